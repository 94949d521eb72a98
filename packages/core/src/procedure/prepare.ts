import type { AssessedLine } from '../lines/types.ts'
import { hasTrait } from '../shapes/material.ts'
import { formatCelsius, formatGrams, listWords, sayNumber } from '../text/format.ts'
import { LYE_ORDER } from '../text/lye.ts'
import { heatingMinutes } from './cooling.ts'
import {
  dissolves,
  isGum,
  isLiquid,
  isOily,
  isWater,
  isWetting,
  lives,
  meltsAt,
  neutralises,
  staysPowder,
  swellsLong,
  wantsGlycol,
} from './facts.ts'
import { labelsOf, refsOf, weighMinutes } from './maker.ts'
import { isThick, SMALL, type Making } from './making.ts'
import { CHECK_PERCENT, weighingErrorPercent } from '../weighing/error.ts'
import { preDilution } from '../weighing/dilution.ts'
import type { Part } from './route.ts'
import type { StepLine } from './steps.ts'

/** Minutes that a wetted gum rests, by school. */
const REST = { rest: 25, 'at-once': 0, overnight: 720 } as const
const restSays = (rest: number) =>
  rest > 0 ? ` Let it rest ${rest > 60 ? 'overnight' : `${rest} minutes`}.` : ''
const overnight = (rest: number) => (rest >= 240 ? 'The gum rests overnight.' : null)
/** With less than this share of the liquid that a gum wants it cannot be rubbed smooth. */
const LEAST_WETTING = 0.5
/** Parts of the batch's water that take up one part of a powder of the cool-down. */
const TAKE_UP = 4

/** The liquid of the phase that its gums are rubbed into: enough to wet them, and no water. */
function wettingOf(lines: readonly AssessedLine[], gums: readonly AssessedLine[]): AssessedLine | null {
  const needed = gums.reduce((sum, l) => sum + l.percent * (l.material!.slurry?.parts ?? 3), 0)
  return (
    lines
      .filter((l) => isWetting(l.material) && l.percent >= needed * LEAST_WETTING)
      .sort((x, y) => x.percent - y.percent)[0] ?? null
  )
}

/** A phase that is parted between two vessels has two weighings; the second, which waits for the pH, says so. */
const keyOf = (p: Part, kept: Kept | undefined) =>
  kept ? `${p.id}-${kept.key ?? `${p.letter}${kept.waits ? '2' : ''}`}` : p.id
/** Some lines of a part, in a vessel of their own. */
export interface Kept {
  lines: readonly AssessedLine[]
  waits: boolean
  /** What the keys of its steps end with, where it is none of the two halves of a late part. */
  key?: string
}

/** What a scale cannot weigh is weighed as a dilution; in words, or nothing. */
export function tooSmall({ a }: Making, lines: readonly AssessedLine[]): string {
  const d = a.amounts.resolutionGrams
  return lines
    .flatMap((l) => {
      if (
        l.fill ||
        l.grams <= 0 ||
        weighingErrorPercent(l.grams, d, a.amounts.repeatabilityGrams) <= CHECK_PERCENT
      )
        return []
      const dilution = preDilution(a, a.lines.indexOf(l), l.grams)
      if (!dilution) return []
      const carrier = a.lines[dilution.carrier]!.label
      return [`${formatGrams(l.grams, d)} ${l.label} is too little for this scale: stir ${formatGrams(dilution.soluteGrams, d)} into ${formatGrams(dilution.carrierGrams, d)} ${carrier} and take ${formatGrams(dilution.useGrams, d)} of that, counting its ${carrier} with the rest.`] // prettier-ignore
    })
    .join(' ')
}

/** Weighs a part into its vessel, wets what lumps, and dissolves what is to be clear; leaves it ready to be heated. */
export function prepare(making: Making, p: Part, name = p.letter, kept?: Kept) {
  const { m, choices, apart } = making
  const lines = (kept?.lines ?? p.lines).filter((l) => !apart.has(l))
  if (lines.length === 0) return
  const gum = p.oily ? [] : lines.filter((l) => isGum(l.material) && l.material!.slurry !== undefined)
  const swells = p.oily ? [] : lines.filter((l) => swellsLong(l.material) && !gum.includes(l))
  // What neutralises a polymer comes when that is wet.
  const bases = gum.some((l) => hasTrait(l.material!, 'needs-neutralising')) ? lines.filter((l) => neutralises(l.material)) : [] // prettier-ignore
  const others = lines.filter((l) => !gum.includes(l) && !swells.includes(l) && !bases.includes(l))
  const rest = REST[choices.gum]
  const wetting = gum.length > 0 ? wettingOf(others, gum) : null
  /** Laid out by the maker as a slurry: nothing but what lumps and what wets it. */
  const slurry =
    gum.length + swells.length > 0 && others.length > 0 && others.every((l) => l === wetting || isWetting(l.material))
  const gums = gum
  const swelling = slurry ? [] : swells
  const first = slurry ? lines : others.filter((l) => l !== wetting)
  const extra = takeUp(making, p, first)
  const tiny = tooSmall(making, first)
  if (first.length > 0)
    m.with(name, {
      key: `weigh-${keyOf(p, kept)}`,
      kind: 'weigh',
      title: `Weigh ${name}, ${p.name || 'unnamed'}`,
      detail: `${listWords(labelsOf(first))}${extra ? `, and ${formatGrams(extra.grams!, making.a.amounts.resolutionGrams)} of the water to take it up` : ''}${tiny && `. ${tiny}`}`,
      hands: weighMinutes(first),
      letter: p.letter,
      weighs: [...(extra ? [extra] : []), ...refsOf(first)],
      equipment: [p.role === 'water' ? 'large heat-proof beaker' : p.oily ? 'heat-proof beaker' : SMALL],
    })
  if (slurry)
    m.with(name, {
      key: `mix-${p.id}`,
      kind: 'wet',
      title: `Wet ${listWords(labelsOf([...gum, ...swells]))} in ${name}`,
      detail: `Rub it smooth before any water comes to it.${restSays(rest)}`,
      look: 'no lumps between the fingers',
      hands: 4,
      wait: rest,
      letter: p.letter,
      ahead: overnight(rest),
      equipment: ['stirrer'],
    })
  else if (gums.length > 0) wetGums(making, p, name, gums, wetting, rest)
  if (swelling.length > 0)
    m.with(name, {
      key: `swell-${p.id}`,
      kind: 'wet',
      title: `Sprinkle ${listWords(labelsOf(swelling))} on ${name} under high shear`,
      detail: 'Weigh it on a watch glass, let it fall into the vortex and blend for two or three minutes. Lumps at first are harmless: they swell by themselves.',
      look: 'no powder left on top',
      hands: 4 + weighMinutes(swelling),
      letter: p.letter,
      weighs: refsOf(swelling),
      equipment: ['watch glass', 'stick blender'],
    })
  if (bases.length > 0)
    m.with(name, {
      key: `neutralise-${p.id}`,
      kind: 'add',
      title: `Stir ${listWords(labelsOf(bases))} into ${name}`,
      detail: `Drop by drop, slowly: it thickens at once, and stirred fast it keeps air.${bases.some((l) => hasTrait(l.material!, 'lye')) ? ` ${LYE_ORDER}` : ''}`,
      look: 'clear and thick, without lumps',
      hands: 3 + weighMinutes(bases),
      letter: p.letter,
      weighs: refsOf(bases),
      equipment: ['stirrer'],
    })
  const polymers = p.oily ? lines.filter((l) => isGum(l.material)) : []
  if (polymers.length > 0)
    m.with(name, {
      key: `gum-${p.id}`,
      kind: 'wet',
      title: `Stir ${listWords(labelsOf(polymers))} into the oils of ${name}`,
      detail: 'A polymer that is spread in oil meets the water without lumps.',
      look: 'even, no clumps at the wall',
      hands: 3,
      letter: p.letter,
      equipment: ['stirrer'],
    })
} // prettier-ignore

function wetGums({ m }: Making, p: Part, name: string, gums: AssessedLine[], wetting: AssessedLine | null, rest: number) {
  const what = listWords(labelsOf(gums))
  if (wetting) {
    const small = m.free(name)
    m.with(small, {
      key: `gum-${p.id}`,
      kind: 'wet',
      title: `Wet ${what} with ${wetting.label}`,
      detail: `Weigh ${listWords(labelsOf([...gums, wetting]))} into a small beaker and rub it smooth: it lumps in bare water.${restSays(rest)}`,
      look: 'no lumps between the fingers',
      hands: 4 + weighMinutes([...gums, wetting]),
      wait: rest,
      letter: p.letter,
      weighs: refsOf([...gums, wetting]),
      ahead: overnight(rest),
      equipment: [SMALL, 'stirrer'],
    })
    m.pour([small], name, {
      key: `slurry-${p.id}`,
      kind: 'add',
      title: `Stir the slurry of ${what} into ${name}`,
      detail: 'In a thin stream, stirring all along.',
      look: 'even, no lumps',
      hands: 3,
      letter: p.letter,
      equipment: ['stirrer'],
    })
    return
  }
  const slurry = gums[0]!.material!.slurry
  const stands = Math.min(rest, 60)
  m.with(name, {
    key: `gum-${p.id}`,
    kind: 'wet',
    title: `Sprinkle ${what} on ${name} under shear`,
    detail: `The formula has too little to wet it with${slurry ? ` (about ${sayNumber(slurry.parts)} parts of ${slurry.in})` : ''}, so it is sprinkled slowly into the vortex.${restSays(stands)}`,
    look: 'no lumps; what clumps is lost',
    hands: 6 + weighMinutes(gums),
    wait: stands,
    letter: p.letter,
    weighs: refsOf(gums),
    equipment: ['watch glass', 'stick blender'],
  })
} // prettier-ignore

/** Powders of a part that comes late are taken up in a little of the water first, where their part has no liquid for it. */
function takeUp({ a, water }: Making, p: Part, lines: readonly AssessedLine[]): StepLine | null {
  if (p.route.to !== 'batch' || p.oily) return null
  const takes = (l: AssessedLine) => (staysPowder(l.material) ? (isThick(a) ? 0 : 1.5) : dissolves(l.material) && lives(l.material, 'water') && !wantsGlycol(l.material) ? TAKE_UP : 0)
  const wanted = lines.reduce((sum, l) => sum + takes(l) * l.grams, 0)
  const liquid = lines.reduce((sum, l) => sum + (isLiquid(l.material) && (isWater(l.material) || isWetting(l.material) || lives(l.material, 'water')) ? l.grams : 0), 0)
  return wanted > 0 && liquid < 0.4 * wanted ? water.take(wanted) : null
} // prettier-ignore

/** Powders that are to disappear in the liquid of their vessel. */
function toDissolve(p: Part, lines: readonly AssessedLine[]): AssessedLine[] {
  return lines.filter((l) => dissolves(l.material) && (p.oily ? lives(l.material, 'oil') : !isOily(l.material)) && meltsAt(l.material) === null && !staysPowder(l.material)) // prettier-ignore
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

const WARM = 55
/** Dissolves "until clear" what the vessel holds of powders, warm where only warmth does it. */
export function dissolveIn(making: Making, p: Part, name = p.letter, kept?: Kept, mayWarm = true) {
  const { m, apart } = making
  const lines = kept?.key ? kept.lines : (kept?.lines ?? p.lines).filter((l) => !apart.has(l))
  const dry = undissolved(making, name)
  const powders = toDissolve(p, lines).filter((l) => !dry.includes(l))
  const lye = powders.some((l) => l.material && hasTrait(l.material, 'lye'))
  const stays = lines.filter((l) => staysPowder(l.material) && !dry.includes(l))
  const already = m.celsius(name)
  if (powders.length > 0) {
    const warm =
      mayWarm && already === null && powders.some((l) => wantsGlycol(l.material)) && p.role !== 'water'
    const celsius = warm ? (p.heatToC ?? WARM) : already
    m.with(name, {
      key: `dissolve-${keyOf(p, kept)}`,
      kind: 'dissolve',
      title: `Dissolve ${listWords(labelsOf(powders))} in ${name}`,
      detail: warm
        ? `Warm it to ${formatCelsius(celsius!)} and stir. What is still cloudy comes out again when it cools.`
        : already !== null
          ? 'In the warm liquid, one after the other.'
          : `One after the other, stirring.${lye ? ` ${LYE_ORDER} It gets hot.` : ''}`,
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
  if (stays.length > 0)
    m.with(name, {
      key: `spread-${keyOf(p, kept)}`,
      kind: 'wet',
      title: `Rub ${listWords(labelsOf(stays))} smooth in ${name}`,
      detail: 'It stays a powder: every lump that is left now is left for good.',
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
    equipment: ['water bath', 'thermometer', ...(watery && choices.evaporation === 'cover' ? ['lid or film'] : [])], // prettier-ignore
  })
}
