import type { AssessedLine } from '../lines/types.ts'
import { hasTrait } from '../shapes/material.ts'
import { dissolves, isCaustic, isGum, isWetting, neutralises, swellsLong } from './facts.ts'
import { labelsOf, refsOf, weighMinutes, type StepBuilder } from './step-builder.ts'
import { keyOf, type Kept, type Making } from './making.ts'
import { CHECK_PERCENT, weighingErrorPercent } from '../weighing/error.ts'
import { preDilution } from '../weighing/dilution.ts'
import type { Part } from './route.ts'
import { takeUp } from './dissolve.ts'
import type { TooSmall } from './step-facts.ts'

/** Minutes that a wetted gum rests, by school. */
const REST = { rest: 25, 'at-once': 0, overnight: 720 } as const
const overnight = (rest: number) => (rest >= 240 ? ('gum-rests' as const) : null)
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

/** What a scale cannot weigh is weighed as a dilution. */
function tooSmall({ a }: Making, lines: readonly AssessedLine[]): TooSmall[] {
  const d = a.amounts.resolutionGrams
  return lines.flatMap((l): TooSmall[] => {
    if (
      l.fill ||
      l.grams <= 0 ||
      weighingErrorPercent(l.grams, d, a.amounts.repeatabilityGrams) <= CHECK_PERCENT
    )
      return []
    const dilution = preDilution(a, a.lines.indexOf(l), l.grams)
    if (!dilution) return []
    const { soluteGrams, carrierGrams, useGrams } = dilution
    const carrier = a.lines[dilution.carrier]!.weighedAs
    return [{ name: l.weighedAs, grams: l.grams, carrier, soluteGrams, carrierGrams, useGrams }]
  })
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
      said: { code: 'rub-slurry', names: labelsOf([...gum, ...swells]), vessel: name, restMinutes: rest },
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
  if (first.length === 0) return
  making.m.with(name, {
    key: `weigh-${key}`,
    kind: 'weigh',
    said: {
      code: 'weigh',
      vessel: name,
      phase: p.name,
      names: labelsOf(first),
      takeUpGrams: extra?.grams ?? null,
      tooSmall: tooSmall(making, first),
      lye: isCaustic(first),
      resolutionGrams: making.a.amounts.resolutionGrams,
    },
    hands: weighMinutes(first),
    letter: p.letter,
    weighs: [...(extra ? [extra] : []), ...refsOf(first)],
    equipment: [p.role === 'water' ? 'large-beaker' : p.oily ? 'heat-proof-beaker' : 'small-beaker'],
  })
}

function sprinkle(m: StepBuilder, p: Part, name: string, swelling: readonly AssessedLine[]) {
  m.with(name, {
    key: `swell-${p.id}`,
    kind: 'wet',
    said: { code: 'sprinkle-polymer', names: labelsOf(swelling), vessel: name },
    hands: 4 + weighMinutes(swelling),
    letter: p.letter,
    weighs: refsOf(swelling),
    equipment: ['watch-glass', 'stick-blender'],
  })
}

function neutralise(m: StepBuilder, p: Part, name: string, bases: readonly AssessedLine[]) {
  m.with(name, {
    key: `neutralise-${p.id}`,
    kind: 'add',
    said: {
      code: 'neutralise',
      names: labelsOf(bases),
      vessel: name,
      lye: isCaustic(bases),
      solidLye: bases.some((l) => isCaustic([l]) && dissolves(l.material)),
    },
    hands: 3 + weighMinutes(bases),
    letter: p.letter,
    weighs: refsOf(bases),
    equipment: ['stirrer'],
  })
}

function spreadInOil(m: StepBuilder, p: Part, name: string, polymers: readonly AssessedLine[]) {
  m.with(name, {
    key: `gum-${p.id}`,
    kind: 'wet',
    said: { code: 'spread-in-oil', names: labelsOf(polymers), vessel: name },
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
  if (wetting) {
    const small = m.free(name)
    m.with(small, {
      key: `gum-${p.id}`,
      kind: 'wet',
      said: {
        code: 'wet-gum',
        names: labelsOf(gums),
        wetting: wetting.weighedAs,
        restMinutes: rest,
      },
      hands: 4 + weighMinutes([...gums, wetting]),
      wait: rest,
      letter: p.letter,
      weighs: refsOf([...gums, wetting]),
      ahead: overnight(rest),
      equipment: ['small-beaker', 'stirrer'],
    })
    m.pour([small], name, {
      key: `slurry-${p.id}`,
      kind: 'add',
      said: { code: 'add-slurry', names: labelsOf(gums), vessel: name },
      hands: 3,
      letter: p.letter,
      equipment: ['stirrer'],
    })
    return
  }
  const slurry = gums[0]!.material!.slurry ?? null
  const stands = Math.min(rest, 60)
  m.with(name, {
    key: `gum-${p.id}`,
    kind: 'wet',
    said: { code: 'sprinkle-gum', names: labelsOf(gums), vessel: name, slurry, restMinutes: stands },
    hands: 6 + weighMinutes(gums),
    wait: stands,
    letter: p.letter,
    weighs: refsOf(gums),
    equipment: ['watch-glass', 'stick-blender'],
  })
}
