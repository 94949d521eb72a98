import type { AssessedLine } from '../lines/types.ts'
import { hasTrait } from '../shapes/material.ts'
import { formatGrams, listWords, sayNumber } from '../text/format.ts'
import { LYE_CARE, LYE_ORDER } from '../text/lye.ts'
import { dissolves, isCaustic, isGum, isWetting, neutralises, swellsLong } from './facts.ts'
import { labelsOf, refsOf, weighMinutes, type Maker } from './maker.ts'
import { keyOf, SMALL, type Kept, type Making } from './making.ts'
import { CHECK_PERCENT, weighingErrorPercent } from '../weighing/error.ts'
import { preDilution } from '../weighing/dilution.ts'
import type { Part } from './route.ts'
import { takeUp } from './dissolve.ts'

/** Minutes that a wetted gum rests, by school. */
const REST = { rest: 25, 'at-once': 0, overnight: 720 } as const
const restSays = (rest: number) =>
  rest > 0 ? ` Let it rest ${rest > 60 ? 'overnight' : `${rest} minutes`}.` : ''
const overnight = (rest: number) => (rest >= 240 ? 'The gum rests overnight.' : null)
/** With less than this share of the liquid that a gum wants it cannot be rubbed smooth. */
const LEAST_WETTING = 0.5

/** The liquid of the phase that its gums are rubbed into: enough to wet them, and no water. */
function wettingOf(lines: readonly AssessedLine[], gums: readonly AssessedLine[]): AssessedLine | null {
  const needed = gums.reduce((sum, l) => sum + l.percent * (l.material!.slurry?.parts ?? 3), 0)
  return (
    lines
      .filter((l) => isWetting(l) && l.percent >= needed * LEAST_WETTING)
      .sort((x, y) => x.percent - y.percent)[0] ?? null
  )
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
      const carrier = a.lines[dilution.carrier]!.weighedAs
      return [
        `${formatGrams(l.grams, d)} ${l.weighedAs} is too little for this scale: stir ${formatGrams(dilution.soluteGrams, d)} into ${formatGrams(dilution.carrierGrams, d)} ${carrier} and take ${formatGrams(dilution.useGrams, d)} of that, counting its ${carrier} with the rest.`,
      ]
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
  const bases = gum.some((l) => hasTrait(l.material!, 'needs-neutralising'))
    ? lines.filter((l) => neutralises(l.material))
    : []
  const others = lines.filter((l) => !gum.includes(l) && !swells.includes(l) && !bases.includes(l))
  const rest = REST[choices.gum]
  const wetting = gum.length > 0 ? wettingOf(others, gum) : null
  /** Laid out by the maker as a slurry: nothing but what lumps and what wets it. */
  const slurry =
    gum.length + swells.length > 0 && others.length > 0 && others.every((l) => l === wetting || isWetting(l))
  const gums = gum
  const swelling = slurry ? [] : swells
  const first = slurry ? lines : others.filter((l) => l !== wetting)
  weighFirst(making, p, name, keyOf(p, kept), first)
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
  if (swelling.length > 0) sprinkle(m, p, name, swelling)
  if (bases.length > 0) neutralise(m, p, name, bases)
  const polymers = p.oily ? lines.filter((l) => isGum(l.material)) : []
  if (polymers.length > 0) spreadInOil(m, p, name, polymers)
}

/** Weighs what comes first, with the water that takes it up where it would stick to the vessel. */
function weighFirst(making: Making, p: Part, name: string, key: string, first: readonly AssessedLine[]) {
  const extra = takeUp(making, p, first)
  const tiny = tooSmall(making, first)
  if (first.length === 0) return
  const water = extra
    ? `, and ${formatGrams(extra.grams!, making.a.amounts.resolutionGrams)} of the water to take it up`
    : ''
  making.m.with(name, {
    key: `weigh-${key}`,
    kind: 'weigh',
    title: `Weigh ${name}, ${p.name || 'unnamed'}`,
    detail: `${listWords(labelsOf(first))}${water}${tiny && `. ${tiny}`}${isCaustic(first) ? `${tiny ? '' : '.'} ${LYE_CARE}` : ''}`,
    hands: weighMinutes(first),
    letter: p.letter,
    weighs: [...(extra ? [extra] : []), ...refsOf(first)],
    equipment: [p.role === 'water' ? 'large heat-proof beaker' : p.oily ? 'heat-proof beaker' : SMALL],
  })
}

function sprinkle(m: Maker, p: Part, name: string, swelling: readonly AssessedLine[]) {
  m.with(name, {
    key: `swell-${p.id}`,
    kind: 'wet',
    title: `Sprinkle ${listWords(labelsOf(swelling))} on ${name} under high shear`,
    detail:
      'Weigh it on a watch glass, let it fall into the vortex and blend for two or three minutes. Lumps at first are harmless: they hydrate by themselves.',
    look: 'no powder left on top',
    hands: 4 + weighMinutes(swelling),
    letter: p.letter,
    weighs: refsOf(swelling),
    equipment: ['watch glass', 'stick blender'],
  })
}

function neutralise(m: Maker, p: Part, name: string, bases: readonly AssessedLine[]) {
  m.with(name, {
    key: `neutralise-${p.id}`,
    kind: 'add',
    title: `Stir ${listWords(labelsOf(bases))} into ${name}`,
    detail: `Drop by drop, slowly: it thickens at once, and stirred fast it keeps air.${isCaustic(bases) ? ` ${LYE_CARE}` : ''}${bases.some((l) => isCaustic([l]) && dissolves(l.material)) ? ` ${LYE_ORDER}` : ''}`,
    look: 'clear and thick, without lumps',
    hands: 3 + weighMinutes(bases),
    letter: p.letter,
    weighs: refsOf(bases),
    equipment: ['stirrer'],
  })
}

function spreadInOil(m: Maker, p: Part, name: string, polymers: readonly AssessedLine[]) {
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
}

function wetGums(
  { m }: Making,
  p: Part,
  name: string,
  gums: AssessedLine[],
  wetting: AssessedLine | null,
  rest: number,
) {
  const what = listWords(labelsOf(gums))
  if (wetting) {
    const small = m.free(name)
    m.with(small, {
      key: `gum-${p.id}`,
      kind: 'wet',
      title: `Wet ${what} with ${wetting.weighedAs}`,
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
}
