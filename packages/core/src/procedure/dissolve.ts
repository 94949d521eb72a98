import type { AssessedLine } from '../lines/types.ts'
import { heatingMinutes } from './cooling.ts'
import {
  staysPowder,
  dissolves,
  lives,
  wantsGlycol,
  isCaustic,
  isLiquid,
  isWater,
  isWetting,
  isOily,
  meltsAt,
} from './facts.ts'
import { labelsOf } from './step-builder.ts'
import { isThick, keyOf, type Kept, type Making } from './making.ts'
import type { Part } from './route.ts'
import type { Sprinkled } from './step-facts.ts'
import type { StepLine } from './steps.ts'

/** Parts of the batch's water that take up one part of a powder of the cool-down. */
const TAKE_UP = 4

/** Powders of a part that comes late are taken up in a little of the water first, where their part has no liquid for it. */
export function takeUp({ a, water }: Making, p: Part, lines: readonly AssessedLine[]): StepLine | null {
  if (p.route.to !== 'batch' || p.oily) return null
  const takes = (l: AssessedLine) =>
    staysPowder(l.material)
      ? isThick(a)
        ? 0
        : 1.5
      : dissolves(l.material) && lives(l.material, 'water') && !wantsGlycol(l.material)
        ? TAKE_UP
        : 0
  const wanted = lines.reduce((sum, l) => sum + takes(l) * l.grams, 0)
  const liquid = lines.reduce(
    (sum, l) =>
      sum +
      (isLiquid(l.material) && (isWater(l.material) || isWetting(l) || lives(l.material, 'water'))
        ? l.grams
        : 0),
    0,
  )
  return wanted > 0 && liquid < 0.4 * wanted ? water.take(wanted) : null
}

/** Powders that are to disappear in the liquid of their vessel. */
export function toDissolve(p: Part, lines: readonly AssessedLine[]): AssessedLine[] {
  return lines.filter(
    (l) =>
      dissolves(l.material) &&
      (p.oily ? lives(l.material, 'oil') : !isOily(l.material)) &&
      meltsAt(l.material) === null &&
      !staysPowder(l.material),
  )
}

/** Powders of a vessel that none of its liquids dissolves: they dissolve where it is poured. */
export function undissolved({ a, m }: Making, name: string): AssessedLine[] {
  const held = new Set(m.holds(name).map((r) => `${r.phase}/${r.line}`))
  const lines = a.lines.filter((l) => held.has(`${l.phase}/${l.line}`))
  // of a material that nobody knows it is not said that it is dry
  const wet = lines.some((l) => l.material === null || (isLiquid(l.material) && !isOily(l.material)))
  const oil = lines.some((l) => l.material !== null && isLiquid(l.material) && isOily(l.material))
  return lines.filter(({ material }) =>
    staysPowder(material)
      ? !wet && !oil
      : dissolves(material) &&
        meltsAt(material) === null &&
        !(wet && !isOily(material)) &&
        !(oil && lives(material, 'oil')),
  )
}

const allDissolve = (dry: readonly AssessedLine[]) => dry.every((l) => dissolves(l.material))

/** How what holds such powders is poured; null where it holds none. */
export const sprinkled = (dry: readonly AssessedLine[], whole: readonly AssessedLine[]): Sprinkled | null =>
  dry.length === 0
    ? null
    : { names: labelsOf(dry), dissolve: allDissolve(dry), more: dry.length < whole.length }

/** Parts of the batch that take one part of a powder up (common practice). */
const SPOON = 5
/** Powders that nothing in their vessel takes up are stirred smooth with some of the thick batch, which goes back. */
export function spoonUp({ a, m }: Making, p: Part, dry: readonly AssessedLine[]) {
  const grams = SPOON * dry.reduce((sum, l) => sum + l.grams, 0)
  const about = Math.max(1, Math.round(Math.min(grams, a.amounts.batchGrams / 4)))
  m.with(p.letter, {
    key: `spoon-${p.id}`,
    kind: 'wet',
    said: {
      code: 'spoon',
      names: labelsOf(dry),
      aboutGrams: about,
      vessel: p.letter,
      dissolve: allDissolve(dry),
    },
    hands: 4,
    letter: p.letter,
    equipment: ['spatula'],
  })
}

interface Dissolving {
  name: string
  lines: readonly AssessedLine[]
  powders: readonly AssessedLine[]
  key: string
  mayWarm: boolean
}
function dissolvePowders({ m }: Making, p: Part, { name, lines, powders, key, mayWarm }: Dissolving) {
  const already = m.celsius(name)
  const warm =
    mayWarm && already === null && powders.some((l) => wantsGlycol(l.material)) && p.role !== 'water'
  const celsius = warm ? (p.heatToC ?? WARM) : already
  m.with(name, {
    key: `dissolve-${key}`,
    kind: 'dissolve',
    said: {
      code: 'dissolve',
      names: labelsOf(powders),
      vessel: name,
      warmToC: warm ? celsius : null,
      alreadyWarm: already !== null,
      lye: isCaustic(powders),
      cloudy: !p.oily && lines.some((l) => isOily(l.material)),
    },
    hands: 2 + powders.length,
    wait: warm ? heatingMinutes(p.grams) : 2,
    letter: p.letter,
    celsius,
    warms: warm,
    equipment: ['stirrer', ...(warm ? (['water-bath', 'thermometer'] as const) : [])],
  })
}

const WARM = 55
/** Dissolves "until clear" what the vessel holds of powders, warm where only warmth does it. */
export function dissolveIn(making: Making, p: Part, name = p.letter, kept?: Kept, mayWarm = true) {
  const { m, apart } = making
  const lines = kept?.key ? kept.lines : (kept?.lines ?? p.lines).filter((l) => !apart.has(l))
  const dry = undissolved(making, name)
  const powders = toDissolve(p, lines).filter((l) => !dry.includes(l))
  const stays = lines.filter((l) => staysPowder(l.material) && !dry.includes(l))
  if (powders.length > 0) dissolvePowders(making, p, { name, lines, powders, key: keyOf(p, kept), mayWarm })
  if (stays.length > 0)
    m.with(name, {
      key: `spread-${keyOf(p, kept)}`,
      kind: 'wet',
      said: { code: 'rub-smooth', names: labelsOf(stays), vessel: name },
      hands: 4,
      letter: p.letter,
      equipment: ['spatula'],
    })
}

/** Heats a part, with the hold of the school. */
export function heat({ m, a, choices }: Making, p: Part) {
  if (p.heatToC === null || m.holds(p.letter).length === 0) return
  const inverse = a.emulsion?.type === 'water-in-oil'
  const hold = choices.heating === 'hold' ? (p.oily ? 10 : (p.holdMinutes ?? 20)) : 0
  const watery = !p.oily
  m.with(p.letter, {
    key: `heat-${p.id}`,
    kind: 'heat',
    said: {
      code: 'heat',
      phase: p.letter,
      celsius: p.heatToC,
      holdMinutes: hold,
      reason: p.heatReason,
      care: watery
        ? inverse
          ? 'weigh-inverse'
          : choices.evaporation === 'cover'
            ? 'cover'
            : 'weigh'
        : choices.heating === 'hold' && p.lines.some((l) => meltsAt(l.material) !== null)
          ? 'melt-whole'
          : null,
      oily: p.oily,
    },
    hands: 2,
    wait: heatingMinutes(p.grams) + hold,
    celsius: p.heatToC,
    warms: true,
    holdMinutes: hold,
    letter: p.letter,
    equipment: [
      'water-bath',
      'thermometer',
      ...(watery && choices.evaporation === 'cover' ? (['lid'] as const) : []),
    ],
  })
}
