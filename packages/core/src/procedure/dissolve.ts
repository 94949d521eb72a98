import type { AssessedLine } from '../lines/types.ts'
import { listWords, formatCelsius } from '../text/format.ts'
import { LYE_CARE, LYE_ORDER } from '../text/lye.ts'
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
import { labelsOf } from './maker.ts'
import { isThick, keyOf, type Kept, type Making } from './making.ts'
import type { Part } from './route.ts'
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

/** How long powders are stirred: until they are gone, or spread. */
const untilGone = (dry: readonly AssessedLine[]) =>
  dry.every((l) => dissolves(l.material))
    ? { until: `${dry.length > 1 ? 'all of it' : 'it'} is dissolved`, look: 'no grains left' }
    : { until: 'no lump is left', look: 'no lumps between the fingers' }

/** How what holds such powders is poured. */
export function sprinkles(dry: readonly AssessedLine[], whole: readonly AssessedLine[]) {
  if (dry.length === 0) return null
  const rest = dry.length < whole.length ? ' Then the rest, stirred together.' : ''
  const { until, look } = untilGone(dry)
  return {
    detail: `Sprinkle ${listWords(labelsOf(dry))} in bit by bit, stirring until ${until}.${rest}`,
    look,
  }
}

/** Parts of the batch that take one part of a powder up (common practice). */
const SPOON = 5
/** Powders that nothing in their vessel takes up are stirred smooth with some of the thick batch, which goes back. */
export function spoonUp({ a, m }: Making, p: Part, dry: readonly AssessedLine[]) {
  const grams = SPOON * dry.reduce((sum, l) => sum + l.grams, 0)
  const about = Math.max(1, Math.round(Math.min(grams, a.amounts.batchGrams / 4)))
  const { until, look } = untilGone(dry)
  m.with(p.letter, {
    key: `spoon-${p.id}`,
    kind: 'wet',
    title: `Take ${listWords(labelsOf(dry))} up with a few spoons of the batch`,
    detail: `About ${about} g of it into ${p.letter}; stir until ${until}. Dropped into the whole batch it would lump.`,
    look,
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
  const care = isCaustic(powders) ? ` ${LYE_CARE} ${LYE_ORDER} The solution gets hot.` : ''
  m.with(name, {
    key: `dissolve-${key}`,
    kind: 'dissolve',
    title: `Dissolve ${listWords(labelsOf(powders))} in ${name}`,
    detail: warm
      ? `Warm it to ${formatCelsius(celsius!)} and stir. What is still cloudy comes out again when it cools.`
      : already !== null
        ? 'In the warm liquid, one after the other.'
        : `One after the other, stirring.${care}`,
    look:
      !p.oily && lines.some((l) => isOily(l.material)) ? 'no grains left' : 'clear, nothing at the bottom',
    hands: 2 + powders.length,
    wait: warm ? heatingMinutes(p.grams) : 2,
    letter: p.letter,
    celsius,
    warms: warm,
    equipment: ['stirrer', ...(warm ? ['water bath', 'thermometer'] : [])],
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
      title: `Rub ${listWords(labelsOf(stays))} smooth in ${name}`,
      detail: 'The powder does not dissolve: any lump left now stays.',
      look: 'no specks on a glass plate',
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
  const why = p.heatWhy ? `${p.heatWhy} ` : ''
  const watery = !p.oily
  m.with(p.letter, {
    key: `heat-${p.id}`,
    kind: 'heat',
    title: `Heat ${p.letter} to ${formatCelsius(p.heatToC)}${hold > 0 ? ` and hold ${hold} minutes` : ''}`,
    detail: `${why}${
      watery
        ? inverse
          ? 'Weigh it before and after and put back now, hot, what is missing: once it is in the oil it cannot be put back.'
          : choices.evaporation === 'cover'
            ? 'Cover it, so that little water leaves.'
            : 'Weigh it before and after; what is missing is put back as hot water.'
        : choices.heating === 'hold'
          ? p.lines.some((l) => meltsAt(l.material) !== null)
            ? 'Hold it, so that it melts whole.'
            : ''
          : ''
    }`.trim(),
    look: watery ? '' : 'clear, no flakes',
    hands: 2,
    wait: heatingMinutes(p.grams) + hold,
    celsius: p.heatToC,
    warms: true,
    holdMinutes: hold,
    letter: p.letter,
    equipment: [
      'water bath',
      'thermometer',
      ...(watery && choices.evaporation === 'cover' ? ['lid or film'] : []),
    ],
  })
}
