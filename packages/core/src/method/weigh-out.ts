import type { Assessment } from '../assess/types.ts'
import { formatCelsius, listWords } from '../text/format.ts'

export interface WeighRow {
  label: string
  inci: string
  percent: number
  grams: number
  /** Sum in the vessel after this row, with the scale tared at the phase's start. */
  runningGrams: number
  fill: boolean
  given: boolean
  note: string
}

export interface WeighPhase {
  letter: string
  name: string
  role: string
  grams: number
  percent: number
  note: string
  /** Where it is weighed into and what happens to it, in order. */
  steps: string[]
  rows: WeighRow[]
}

/** What to weigh and do, phase by phase, as it stands on the weigh-out sheet. */
export function weighOut(a: Assessment): { before: string[]; phases: WeighPhase[]; after: string[] } {
  const filled = a.phases.map((phase, index) => ({ phase, index })).filter(({ phase }) => phase.lines > 0)
  const letters = (test: (i: number) => boolean) =>
    filled.filter(({ index }) => test(index)).map(({ phase }) => phase.letter)
  const role = (i: number) => a.formula.phases[i]!.role
  const phases = filled.map(({ phase, index }): WeighPhase => {
    const source = a.formula.phases[index]!
    let running = 0
    const rows = a.lines
      .filter((line) => line.phase === index)
      .map((line): WeighRow => {
        running += line.counts
        return {
          label: line.label,
          inci: (line.material?.inci ?? [line.label]).join(', '),
          percent: line.percent,
          grams: line.grams,
          runningGrams: Number((running * a.amounts.resolutionGrams).toPrecision(13)),
          fill: line.fill,
          given: line.given,
          note: line.source.note ?? '',
        }
      })
    const steps: string[] = []
    if (source.role === 'premix')
      steps.push('Weigh and stir until even; let gums wet through before water goes in.')
    if (source.heatToC !== undefined) {
      const hold = source.holdMinutes ? ` and hold ${source.holdMinutes} min` : ''
      steps.push(
        source.role === 'oil'
          ? `Melt at ${formatCelsius(source.heatToC)}${hold}, until clear.`
          : `Cover, heat to ${formatCelsius(source.heatToC)}${hold}. Weigh before and after; put back the water that left.`,
      )
    }
    if (source.role === 'oil' && a.emulsion) {
      const into = letters((i) => role(i) === 'water')
      if (into.length > 0) {
        steps.push(
          a.emulsion.type === 'water-in-oil'
            ? `Add ${listWords(into)} to ${phase.letter} slowly, in a thin stream, blending all the time.`
            : `Combine ${phase.letter} with ${listWords(into)} at the same temperature. Blend in short bursts, again as it cools.`,
        )
      }
    }
    if (source.belowC !== undefined && source.role === 'cool-down') {
      const warm = a.formula.phases.some((p) => (p.heatToC ?? 0) > source.belowC!)
      steps.push(
        warm
          ? `Cool the batch below ${formatCelsius(source.belowC)}, stirring, then add one by one.`
          : 'Add one by one, stirring after each.',
      )
    } else if (source.role === 'cool-down') {
      steps.push('Add last, one by one, stirring after each.')
    }
    if (source.role === 'adjust')
      steps.push('Add in drops, mix, wait, read the pH, then again. Count what goes in.')
    return {
      letter: phase.letter,
      name: phase.name,
      role: phase.role,
      grams: phase.grams,
      percent: phase.percent,
      note: source.note ?? '',
      steps,
      rows,
    }
  })
  const after = ['Make up to the batch weight with distilled water.']
  const aim = a.formula.targetPh ?? a.ph.shared
  if (a.waterPercent >= 5 && a.emulsion?.type !== 'water-in-oil') {
    after.push(
      `Measure pH on a small portion${aim ? `; aim for ${aim.min}–${aim.max}` : ''}. Measure again after the last addition and after 24 hours.`,
    )
  }
  after.push('Fill a clean container. Label it: name, date, batch code, use-by date.')
  return {
    before: [
      'Wash, dry and spray tools with 70 % isopropyl alcohol; let it dry. No flame nearby.',
      'Write down the weight of each empty vessel.',
    ],
    phases,
    after,
  }
}
