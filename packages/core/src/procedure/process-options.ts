import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import type { MethodChoices, ProcessOptions } from '../shapes/method.ts'
import { isGum, preserves, swellsLong } from './facts.ts'
import { routed, type Part } from './route.ts'

/** The schools that are taken where neither the formula nor its pH says anything. */
export const DEFAULT_CHOICES: ProcessOptions = {
  pouring: 'oil-into-water',
  heating: 'hold',
  evaporation: 'cover',
  cooling: 'air',
  ending: 'adjust-first',
  gum: 'rest',
  swelling: 'shear',
  body: 'as-it-is',
}

/** A preservative that moves the pH by more than this is in before it is set. */
export const MOVES = 0.3
const late = (l: Assessment['lines'][number]) =>
  preserves(l) &&
  (l.phaseSource.role === 'cool-down' || l.phaseSource.role === 'other' || l.phaseSource.role === 'premix')

/** How far the preservative alone moves the predicted pH; null where that cannot be said. */
export function preservativeShift(a: Assessment): number | null {
  const own = a.lines.filter(late)
  if (own.length === 0 || a.predictedPh === null) return null
  const phases = a.formula.phases.map((phase) => ({
    ...phase,
    lines: phase.lines.filter((line) => !own.some((l) => l.source === line)),
  }))
  const without = assess({ ...a.formula, phases }, a.catalogue).predictedPh
  return without === null ? null : a.predictedPh.value - without.value
}

/** The school of each question: the maker's, else the one that this formula asks for. */
export function processOptionsOf(a: Assessment, chosen: MethodChoices = {}): ProcessOptions {
  const own = Object.fromEntries(Object.entries(chosen).filter(([, v]) => v !== undefined)) as MethodChoices
  const shift = own.ending === undefined ? preservativeShift(a) : null
  const ending = shift !== null && Math.abs(shift) > MOVES ? 'preserve-first' : DEFAULT_CHOICES.ending
  return { ...DEFAULT_CHOICES, ending, ...own }
}

/** Which of the choices make a difference to a formula. */
export function openChoices(a: Assessment): (keyof ProcessOptions)[] {
  const parts = routed(a)
  const hot = (p: Part) => p.heatToC !== null
  const joined = parts.filter((p) => p.route.to === 'join')
  const watery = a.waterPercent >= 5
  const late = parts.some((p) => p.route.to === 'batch')
  const gums = parts.some((p) =>
    p.lines.some((l) => isGum(l.material) && l.material!.slurry && !swellsLong(l.material)),
  )
  const swelling = parts.some((p) =>
    p.lines.some((l) => l.material?.kind === 'hyaluronate' && swellsLong(l.material)),
  )
  const preserved = parts.some((p) => p.route.to === 'batch' && p.lines.some(preserves))
  const two = joined.some((p) => p.oily) && joined.some((p) => !p.oily)
  const firm = a.formula.product.kind === 'butter' && !watery
  const jelly = a.emulsion?.type === 'oil-in-water' && joined.some(hot)
  return [
    ...(two && a.emulsion?.type === 'oil-in-water' ? (['pouring'] as const) : []),
    ...(joined.some(hot) ? (['heating'] as const) : []),
    ...(joined.some((p) => hot(p) && !p.oily) && watery ? (['evaporation'] as const) : []),
    ...(joined.some(hot) && late ? (['cooling'] as const) : []),
    ...(gums ? (['gum'] as const) : []),
    ...(swelling ? (['swelling'] as const) : []),
    ...(preserved && watery ? (['ending'] as const) : []),
    ...(firm || jelly ? (['body'] as const) : []),
  ]
}
