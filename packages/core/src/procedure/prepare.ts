import type { Assessment, AssessedLine } from '../assess/types.ts'
import { hasTrait } from '../materials/schema.ts'
import { formatCelsius, formatGrams, listWords, sayNumber } from '../text/format.ts'
import { LYE_ORDER } from '../text/lye.ts'
import type { Schools } from './choices.ts'
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
  preserves,
  staysPowder,
  swellsLong,
  wantsGlycol,
} from './facts.ts'
import { labelsOf, refsOf, weighMinutes, type Maker, type WaterStore } from './maker.ts'
import type { Part } from './route.ts'
import type { StepLine } from './steps.ts'

/** What the writers of steps share. */
export interface Making {
  a: Assessment
  m: Maker
  choices: Schools
  water: WaterStore
  /** Lines that stand in a vessel of their own: made ahead, or added apart from their phase. */
  apart: Set<AssessedLine>
  /** Vessels that were filled ahead and join at the end. */
  stocks: Set<string>
}

/** Minutes that a wetted gum rests, by school. */
const REST = { rest: 25, 'at-once': 0, overnight: 720 } as const
const restSays = (rest: number) =>
  rest > 0 ? ` Let it rest ${rest >= 60 ? 'overnight' : `${rest} minutes`}.` : ''
const overnight = (rest: number) => (rest >= 240 ? 'The gum rests overnight.' : null)
/** Parts of water that one part of a polymer swells in (common practice: a stock of 1 to 2 %). */
const SWELL_PARTS = 60
/** With less than this share of the liquid that a gum wants it cannot be rubbed smooth. */
const LEAST_WETTING = 0.5
/** Parts of the batch's water that take up one part of a powder of the cool-down. */
const TAKE_UP = 4
const SMALL = 'small beaker'

/** Mixtures of one's own are made first; concentrates and what swells overnight take their part of the water now. */
export function ahead(making: Making, parts: readonly Part[], wash: string) {
  const { a, m, choices, water, apart, stocks } = making
  const d = a.amounts.resolutionGrams
  const seen = new Set<string>()
  for (const line of a.lines) {
    const own = line.material?.own && (line.material.parts ?? line.source.custom?.parts?.map((p) => ({ inci: p.material, percent: p.percent }))) // prettier-ignore
    if (!own || own.length === 0 || seen.has(line.id) || line.percent <= 0) continue
    seen.add(line.id)
    m.loose({
      key: `ahead-${line.id}`,
      kind: 'dissolve',
      title: `Make ${line.label}`,
      detail: `${formatGrams(line.grams, d)} of it is needed; ${listWords(own.slice(0, 6).map((p) => `${sayNumber(p.percent)} % ${p.inci}`))}. It is weighed into its phase like any material.`,
      look: 'even, or clear where it should be',
      hands: 10,
      wait: 20,
      after: [wash],
      ahead: 'A stock may stand overnight and is ready when the batch is.',
      equipment: [SMALL],
    })
  }
  for (const p of parts)
    for (const line of p.lines) {
      const times = line.material?.reconstitutesTo
      if (times === undefined || line.grams <= 0) continue
      const share = water.take((times - 1) * line.grams)
      if (!share) continue
      apart.add(line)
      const vessel = `${p.letter}9`
      stocks.add(vessel)
      m.with(vessel, {
        key: `ahead-${line.id}`,
        kind: 'dissolve',
        title: `Make up ${line.label}`,
        detail: `Weigh ${formatGrams(line.grams, d)} and ${formatGrams(share.grams!, d)} of the water of the formula into a small beaker and stir.`,
        look: 'even, without grains',
        hands: 4,
        wait: 10,
        letter: p.letter,
        weighs: [...refsOf([line]), share],
        equipment: [SMALL],
      })
    }
  if (choices.swelling === 'overnight') swellAhead(making, parts)
}

/** Slowly in the cold overnight, with the preservative in the water already: water alone must not stand that long. */
function swellAhead({ a, m, water, apart, stocks }: Making, parts: readonly Part[]) {
  const swelling = parts.flatMap((p) => p.lines.filter((l) => l.material?.kind === 'hyaluronate' && swellsLong(l.material) && l.grams > 0).map((l) => ({ l, p }))) // prettier-ignore
  const first = swelling[0]
  if (!first) return
  const share = water.take(SWELL_PARTS * swelling.reduce((sum, { l }) => sum + l.grams, 0))
  if (!share) return
  const kept = a.lines.filter((l) => preserves(l) && l.grams > 0 && !isOily(l.material) && !apart.has(l))
  const lines = [...swelling.map(({ l }) => l), ...kept]
  lines.forEach((l) => apart.add(l))
  const hours = Math.max(...swelling.map(({ l }) => l.material!.hydrationHours!.max))
  const vessel = `${first.p.letter}8`
  stocks.add(vessel)
  m.with(vessel, {
    key: `ahead-${first.l.id}`,
    kind: 'wet',
    title: `Let ${listWords(swelling.map(({ l }) => l.label))} swell overnight`,
    detail: `Weigh ${listWords([`${formatGrams(share.grams!, a.amounts.resolutionGrams)} of the water`, ...labelsOf(kept)])} into a beaker with a lid, sprinkle it on and leave it in the cold.${kept.length > 0 ? ' The preservative keeps it meanwhile.' : ' Nothing preserves it: keep it in the fridge, no longer than a night.'}`,
    look: 'no lumps left; those at first are harmless and go by themselves',
    hands: 6,
    wait: Math.round(Math.max(8, hours) * 60),
    letter: first.p.letter,
    weighs: [share, ...refsOf(lines)],
    ahead: 'It swells overnight.',
    equipment: ['beaker with a lid'],
  })
}

/** The liquid of the phase that its gums are rubbed into: enough to wet them, and no water. */
function wettingOf(lines: readonly AssessedLine[], gums: readonly AssessedLine[]): AssessedLine | null {
  const needed = gums.reduce((sum, l) => sum + l.percent * (l.material!.slurry?.parts ?? 3), 0)
  return (
    lines
      .filter((l) => isWetting(l.material) && l.percent >= needed * LEAST_WETTING)
      .sort((x, y) => x.percent - y.percent)[0] ?? null
  )
}

/** Weighs a part into its vessel, wets what lumps, and dissolves what is to be clear; leaves it ready to be heated. */
export function prepare(making: Making, p: Part, name = p.letter, kept?: readonly AssessedLine[]) {
  const { m, choices, apart } = making
  const lines = (kept ?? p.lines).filter((l) => !apart.has(l))
  if (lines.length === 0) return
  const gum = p.oily ? [] : lines.filter((l) => isGum(l.material) && l.material!.slurry !== undefined)
  const swells = p.oily ? [] : lines.filter((l) => swellsLong(l.material) && !gum.includes(l))
  const others = lines.filter((l) => !gum.includes(l) && !swells.includes(l))
  const rest = REST[choices.gum]
  const wetting = gum.length > 0 ? wettingOf(others, gum) : null
  /** Laid out by the maker as a slurry: nothing but what lumps and what wets it. */
  const slurry =
    gum.length + swells.length > 0 && others.length > 0 && others.every((l) => l === wetting || isWetting(l.material))
  const gums = gum
  const swelling = slurry ? [] : swells
  const first = slurry ? lines : others.filter((l) => l !== wetting)
  const extra = takeUp(making, p, first)
  if (first.length > 0)
    m.with(name, {
      key: `weigh-${kept ? `${p.id}-${name}` : p.id}`,
      kind: 'weigh',
      title: `Weigh ${name}, ${p.name || 'unnamed'}`,
      detail: `${listWords(labelsOf(first))}${extra ? `, and ${formatGrams(extra.grams!, making.a.amounts.resolutionGrams)} of the water to take it up` : ''}`,
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
    const small = `${name}1`
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
  m.with(name, {
    key: `gum-${p.id}`,
    kind: 'wet',
    title: `Sprinkle ${what} on ${name} under shear`,
    detail: `The formula has too little to wet it with${slurry ? ` (about ${sayNumber(slurry.parts)} parts of ${slurry.in})` : ''}, so it is sprinkled slowly into the vortex.${restSays(rest)}`,
    look: 'no lumps; what clumps is lost',
    hands: 6 + weighMinutes(gums),
    wait: rest,
    letter: p.letter,
    weighs: refsOf(gums),
    ahead: overnight(rest),
    equipment: ['watch glass', 'stick blender'],
  })
} // prettier-ignore

/** Powders of a part that comes late are taken up in a little of the water first, where their part has no liquid for it. */
function takeUp({ water }: Making, p: Part, lines: readonly AssessedLine[]): StepLine | null {
  if (p.route.to !== 'batch' || p.oily) return null
  const takes = (l: AssessedLine) => (staysPowder(l.material) ? 1.5 : dissolves(l.material) && lives(l.material, 'water') && !wantsGlycol(l.material) ? TAKE_UP : 0)
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
  return lines.filter(
    ({ material }) =>
      dissolves(material) &&
      meltsAt(material) === null &&
      !(wet && !isOily(material)) &&
      !(oil && lives(material, 'oil')),
  )
}

/** How what holds such powders is poured. */
export function sprinkles(dry: readonly AssessedLine[], whole: readonly AssessedLine[]) {
  if (dry.length === 0) return null
  const rest = dry.length < whole.length ? ' Then the rest, stirred together.' : ''
  return {
    detail: `Sprinkle ${listWords(labelsOf(dry))} in bit by bit, stirring until ${dry.length > 1 ? 'all of it' : 'it'} is dissolved.${rest}`,
    look: 'no grains left',
  }
}

const WARM = 55
/** Dissolves "until clear" what the vessel holds of powders, warm where only warmth does it. */
export function dissolveIn(
  making: Making,
  p: Part,
  name = p.letter,
  kept?: readonly AssessedLine[],
  mayWarm = true,
) {
  const { m, apart } = making
  const lines = (kept ?? p.lines).filter((l) => !apart.has(l))
  const dry = undissolved(making, name)
  const powders = toDissolve(p, lines).filter((l) => !dry.includes(l))
  const lye = powders.some((l) => l.material && hasTrait(l.material, 'lye'))
  const stays = lines.filter((l) => staysPowder(l.material) && !p.oily)
  const already = m.celsius(name)
  if (powders.length > 0) {
    const warm =
      mayWarm && already === null && powders.some((l) => wantsGlycol(l.material)) && p.role !== 'water'
    const celsius = warm ? (p.heatToC ?? WARM) : already
    m.with(name, {
      key: `dissolve-${kept ? `${p.id}-${name}` : p.id}`,
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
      equipment: ['stirrer', ...(warm ? ['water bath', 'thermometer'] : [])],
    })
  }
  if (stays.length > 0)
    m.with(name, {
      key: `spread-${kept ? `${p.id}-${name}` : p.id}`,
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
            ? 'Hold it, so that waxes melt whole.'
            : ''
          : ''
    }`.trim(),
    look: watery ? '' : 'clear, no flakes',
    hands: 2,
    wait: heatingMinutes(p.grams) + hold,
    celsius: p.heatToC,
    holdMinutes: hold,
    letter: p.letter,
    equipment: ['water bath', 'thermometer', ...(watery && choices.evaporation === 'cover' ? ['lid or film'] : [])], // prettier-ignore
  })
}
