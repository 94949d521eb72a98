import type { AssessedLine } from '../lines/types.ts'
import type { Assessment } from '../assess/types.ts'
import { containerName, shutContainers } from '../feel/dispensing.ts'
import { aimPh } from '../dosing/aim.ts'
import { DOSE_WAIT_MINUTES } from '../dosing/dosing.ts'
import { adjusterKey } from '../dosing/fit.ts'
import { adjusterOf } from '../ph/adjusters.ts'
import { dissolves, preserves, swellsLong } from './facts.ts'
import { coolTo } from './late.ts'
import { labelsOf } from './step-builder.ts'
import { isInverse, isWatery, whips, type Making } from './making.ts'
import { COOL, type Part } from './route.ts'
import type { AdjusterSolution } from './step-facts.ts'

/** Water that left, pH, the preservative that waits for it, and the adjusters. */
export function finish(making: Making, parts: readonly Part[], base: Part) {
  const { a, m } = making
  const watery = isWatery(a)
  const inverse = isInverse(a)
  const hot = m.steps.some((s) => s.kind === 'heat' && parts.some((p) => p.letter === s.vessel && !p.oily))
  if (watery) coolTo(making, base, COOL, 'cool-batch')
  if (watery && hot && !inverse)
    m.with(base.letter, {
      key: 'make-up',
      kind: 'water',
      said: { code: 'make-up-water', ...shouldWeigh(making, parts, base) },
      hands: 3,
      equipment: ['distilled-water'],
    })
  const measurable = watery && !inverse
  const aim = aimPh(a)
  const adjusts = parts.filter((p) => p.route.to === 'ph')
  const adjusters = adjusts.flatMap((p) => p.lines)
  const waiting = m.others(base.letter).filter((v) => !making.folded.some((p) => p.letter === v))
  const late = waiting
    .flatMap((v) => m.holds(v))
    .flatMap((r) => a.lines.filter((l) => l.phase === r.phase && l.line === r.line))
  const preserve = () => {
    if (waiting.length === 0) return
    m.pour(waiting, base.letter, {
      key: 'preserve',
      kind: 'add',
      said: {
        code: 'preserve',
        names: labelsOf([...new Set(late)]),
        atPh: measurable && late.some(preserves),
      },
      hands: 3,
      equipment: ['spatula'],
      celsius: null,
    })
  }
  if (!measurable) {
    if (adjusters.length > 0) weighAdjusters(making, base, adjusters)
    preserve()
    return
  }
  m.with(base.letter, {
    key: 'ph',
    kind: 'ph',
    said: { code: 'ph', aim, ...plannedAdjusters(making, adjusters) },
    hands: 10,
    wait: DOSE_WAIT_MINUTES,
    celsius: null,
    weighs: adjusters.map(({ phase, line }) => ({ phase, line })),
    equipment: ['ph-meter', 'pipette', ...labelsOf(adjusters).map((material) => ({ material }))],
  })
  preserve()
  m.with(base.letter, {
    key: 'ph-check',
    kind: 'ph',
    said: { code: 'ph-again' },
    hands: 3,
    celsius: null,
    equipment: ['ph-meter'],
  })
  hydrateLong(making, base)
}

/** What hydrates for hours does so now, and the pH is read again afterwards. */
function hydrateLong(making: Making, base: Part) {
  const { a, m, choices } = making
  const slow = Math.max(
    0,
    ...a.lines.map((l) =>
      swellsLong(l.material) && !making.apart.has(l) && l.percent > 0 ? l.material!.hydrationHours!.max : 0,
    ),
  )
  if (slow > 0 && choices.swelling === 'shear')
    m.with(base.letter, {
      key: 'swell',
      kind: 'rest',
      said: { code: 'hydrate' },
      hands: 2,
      wait: Math.round(slow * 60),
      celsius: null,
      equipment: ['lid'],
    })
}

/** What the formula plans to adjust with in this batch; a solid as the solution that is made of it. */
function plannedAdjusters({ a }: Making, adjusters: readonly AssessedLine[]) {
  const dosed = adjusters.filter((l) => l.grams > 0)
  return {
    planned: dosed.map((l) => ({ name: l.weighedAs, grams: l.grams })),
    solutions: dosed.flatMap((l): AdjusterSolution[] => {
      const adjuster = adjusterOf(adjusterKey(l.source.material) ?? '')
      if (!adjuster || !dissolves(l.material) || adjuster.mostPercent === 100) return []
      const wholeGrams = (l.grams * (l.strengthPercent ?? 100)) / adjuster.usualPercent
      return [
        {
          name: l.weighedAs,
          percent: adjuster.usualPercent,
          grams: l.grams,
          waterGrams: wholeGrams - l.grams,
          wholeGrams,
          lye: adjuster.hazard === 'lye',
        },
      ]
    }),
    resolutionGrams: a.amounts.resolutionGrams,
  }
}

/** What the batch should weigh here, without what goes in later. */
function shouldWeigh({ a, m }: Making, parts: readonly Part[], base: Part) {
  const later = [
    ...m.others(base.letter).flatMap((v) => m.holds(v)),
    ...parts.filter((p) => p.route.to === 'ph').flatMap((p) => p.lines),
  ]
  const grams = a.lines.reduce(
    (sum, l) => sum + (later.some((r) => r.phase === l.phase && r.line === l.line) ? l.grams : 0),
    0,
  )
  return {
    nowGrams: a.amounts.batchGrams - grams,
    laterGrams: grams,
    resolutionGrams: a.amounts.resolutionGrams,
  }
}

function weighAdjusters({ m }: Making, base: Part, lines: readonly AssessedLine[]) {
  m.with(base.letter, {
    key: 'adjust',
    kind: 'add',
    said: { code: 'adjust', names: labelsOf(lines) },
    hands: 3,
    weighs: lines.map(({ phase, line }) => ({ phase, line })),
    celsius: null,
    equipment: ['spatula'],
  })
}

/** Names of containers that a step proposes. */
const PROPOSED = 2
/** What keeps fingers out of the product, where it comes out of it. */
const proposedContainers = (a: Assessment) => shutContainers(a).slice(0, PROPOSED).map(containerName)

/** Whipping, folding, filling, labelling and the look a day later. */
export function end(making: Making, vessel: string) {
  const { a, m, choices } = making
  const watery = isWatery(a)
  const inverse = isInverse(a)
  const firm = !watery && m.celsius(vessel) !== null
  const whipped = whips(a, choices)
  if (whipped && vessel) {
    m.with(vessel, {
      key: 'chill',
      kind: 'cool',
      said: { code: 'chill' },
      hands: 3,
      wait: 25,
      celsius: 15,
      equipment: ['ice'],
    })
    m.with(vessel, {
      key: 'whip',
      kind: 'whip',
      said: { code: 'whip' },
      hands: 12,
      wait: 10,
      celsius: null,
      equipment: ['whisk', 'measuring-cup'],
    })
    for (const p of making.folded)
      m.pour([p.letter], vessel, {
        key: `add-${p.id}`,
        kind: 'add',
        said: { code: 'fold', names: labelsOf(p.lines) },
        hands: 4,
        letter: p.letter,
        celsius: null,
        equipment: ['sieve', 'spatula'],
      })
  }
  m.with(vessel, {
    key: 'fill',
    kind: 'fill',
    said: { code: 'fill', whipped, flows: firm && !whipped, containers: proposedContainers(a) },
    hands: 8,
    celsius: null,
    equipment: ['container', whipped ? 'piping-bag' : 'funnel'],
  })
  m.loose({
    key: 'label',
    kind: 'label',
    said: { code: 'label' },
    hands: 3,
    after: ['fill'],
    equipment: ['label'],
  })
  m.loose({
    key: 'look',
    kind: 'look',
    said: { code: 'observe', ph: watery && !inverse },
    hands: 5,
    after: ['label'],
    later: true,
  })
}
