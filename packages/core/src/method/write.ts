import type { Assessment } from '../assess/types.ts'
import { listWords } from '../text/format.ts'
import { aheadSteps, combine, mainPhase, premix } from './begin.ts'
import type { MethodChoices } from './choices.ts'
import { coolAndAdd, finish } from './finish.ts'
import type { Step } from './steps.ts'
import { isGum, partsOf, PRESERVING, swellsAhead, Writer } from './writer.ts'

/** The schools that are taken where a formula says nothing. */
export const DEFAULT_CHOICES = {
  pouring: 'oil-into-water',
  heating: 'hold',
  evaporation: 'cover',
  cooling: 'air',
  ending: 'adjust-first',
  gum: 'rest',
} as const satisfies MethodChoices

/** Which of the choices make a difference to a formula. */
export function openChoices(a: Assessment): (keyof typeof DEFAULT_CHOICES)[] {
  const lines = a.lines.filter((l) => l.percent > 0 || !l.given)
  const hot = a.formula.phases.some((p) => p.heatToC !== undefined && p.lines.length > 0)
  const emulsion = a.emulsion?.type === 'oil-in-water' && a.formula.phases.some((p) => p.role === 'oil')
  const late = a.formula.phases.some((p) => p.role === 'cool-down' && p.lines.length > 0)
  const gums = lines.some(
    (l) =>
      isGum(l.material) &&
      !swellsAhead(l.material) &&
      (l.phaseSource.role === 'premix' || l.material!.slurry !== undefined),
  )
  const preserved = lines.some((l) => PRESERVING(l) && l.phaseSource.role === 'cool-down')
  return [
    ...(emulsion ? (['pouring'] as const) : []),
    ...(hot ? (['heating'] as const) : []),
    ...(hot && a.waterPercent >= 5 ? (['evaporation'] as const) : []),
    ...(hot && late ? (['cooling'] as const) : []),
    ...(gums ? (['gum'] as const) : []),
    ...(preserved && a.waterPercent >= 5 ? (['ending'] as const) : []),
  ]
}

/**
 * The method that a formula asks for, in order: from its phases, what is known of its materials, and the maker's
 * choices where there are two schools. Minutes are estimates of common practice.
 */
export function writeMethod(a: Assessment, chosen: MethodChoices = {}): Step[] {
  const choices = { ...DEFAULT_CHOICES, ...chosen }
  const w = new Writer()
  const parts = partsOf(a)
  const res = a.amounts.resolutionGrams
  const watery = a.waterPercent >= 5
  const hot = Math.max(0, ...parts.map((p) => p.heatToC ?? 0))
  const wash = w.add({
    key: 'prepare',
    kind: 'prepare',
    title: 'Wash, dry and spray tools and bench',
    detail:
      'Spray with 70 % isopropyl alcohol and let it dry; no flame nearby. Gloves on. Write down the weight of each empty vessel.',
    hands: 10,
    equipment: ['gloves', '70 % isopropyl alcohol', `scale to ${res} g`],
  })
  const first = [wash]
  const ahead = aheadSteps(w, a, first)

  const ready = new Map<number, string>()
  for (const p of parts.filter((x) => x.role === 'premix'))
    ready.set(p.index, premix(w, p, choices, [...first, ...ahead]))
  const mains = parts.filter((p) => p.role === 'water' || p.role === 'oil' || p.role === 'other')
  const premixes = parts.filter((p) => p.role === 'premix').map((p) => ready.get(p.index)!)
  const firstWater = mains.find((p) => p.role === 'water') ?? mains.find((p) => p.role !== 'oil')
  for (const p of mains) {
    const into = p === firstWater ? premixes : []
    ready.set(p.index, mainPhase(w, p, choices, [...first, ...ahead], into))
  }
  let batch: string[] = mains.map((p) => ready.get(p.index)!)
  if (mains.length === 0) batch = premixes
  const waters = mains.filter((p) => p.role === 'water')
  const oils = mains.filter((p) => p.role === 'oil')
  if (a.emulsion && oils.length > 0 && waters.length > 0)
    batch = [combine(w, a, choices, waters, oils, batch)]
  else if (mains.length > 1)
    batch = [
      w.add({
        key: 'combine',
        kind: 'combine',
        title: `Stir ${listWords(mains.map((p) => p.letter))} together`,
        hands: 3,
        after: batch,
        equipment: ['stirrer'],
      }),
    ]
  batch = coolAndAdd(w, a, choices, parts, batch, hot)
  finish(w, a, choices, parts, batch, watery, hot)
  return w.steps
}
