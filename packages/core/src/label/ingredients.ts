import type { Assessment } from '../assess/types.ts'
import { namedAllergens, type LabelRegion, type NamedAllergen } from '../findings/traces.ts'
import type { AssessedLine } from '../lines/types.ts'
import { reconstituted } from '../materials/facts.ts'
import { slug } from '../text/names.ts'
import { LABEL } from './data.ts'
import { labelName } from './names.ts'

/** How powders and concentrates that stand for a juice are listed. */
export type Concentrates = 'made-up' | 'as-added'

export interface LabelEntry {
  /** As the list of the region writes it. */
  name: string
  /** Percent of the product that its place rests on; null where its share is not known. */
  percent: number | null
  /** It lies between these, percent. */
  low: number
  high: number
  colour: boolean
  /** A fragrance allergen that is part of what stands here already. */
  allergen: boolean
}

export interface IngredientList {
  entries: LabelEntry[]
  /** First place from which on any order is allowed; null where there is none. */
  belowOneFrom: number | null
  allergens: string[]
  /** Lines (indexes) whose make-up or carrier is not known, and those with scent that lack an analysis. */
  unknownMakeUp: number[]
  noAnalysis: number[]
  /** Percent of the product that no name accounts for: carriers and parts that nobody told. */
  unnamed: number
  /** What was made up with water, by name, with percent of single strength. */
  madeUp: { name: string; percent: number }[]
}

interface Sum {
  inci: string
  percent: number
  low: number
  high: number
  known: boolean
  colour: boolean
}

const COLOUR_INDEX = /^CI \d{5}/
/** A liquid extract stands in a carrier that its name does not tell. */
const hidesCarrier = ({ material: m, source }: AssessedLine) =>
  m?.kind === 'extract' &&
  m.inci.length === 1 &&
  m.form !== 'powder' &&
  m.parts === undefined &&
  source.custom?.parts === undefined &&
  m.strengthPercent === undefined &&
  source.strengthPercent === undefined &&
  /extract/i.test(m.inci[0]!)

/** Less of a line than this may be without a name: it is rounding. */
const ROUNDING = 0.01

/** Powders and concentrates that the plain water of the formula makes up, by line; none where it does not suffice. */
function madeUpLines(a: Assessment, wanted: Concentrates): Map<number, { percent: number; water: number }> {
  const found = new Map<number, { percent: number; water: number }>()
  if (wanted === 'as-added') return found
  a.lines.forEach((line, i) => {
    const whole = line.material ? reconstituted(line.material, line.percent) : null
    if (whole) found.set(i, { percent: whole.percent, water: whole.waterPercent })
  })
  const water = [...found.values()].reduce((sum, x) => sum + x.water, 0)
  return water <= (a.substances.get('aqua')?.low ?? 0) ? found : new Map()
}

/** Everything taken apart and summed by name, as weighed. */
function sumUp(a: Assessment, made: ReadonlyMap<number, { percent: number; water: number }>) {
  const sums = new Map<string, Sum>()
  const unknown = new Set<number>()
  let unnamed = 0
  const add = (inci: string, percent: number, low: number, high: number, known: boolean, colour: boolean) => {
    const key = slug(inci)
    const sum = sums.get(key)
    if (!sum) {
      sums.set(key, { inci, percent, low, high, known, colour })
      return
    }
    sum.percent += percent
    sum.low += low
    sum.high += high
    sum.known &&= known
    sum.colour &&= colour
  }
  a.lines.forEach((line, i) => {
    if (line.percent <= 0) return
    const juice = made.get(i)
    if (juice) {
      const inci = line.material!.inci[0]!.replace(/ Powder$/, '')
      add(inci, juice.percent, juice.percent, juice.percent, true, false)
      add('Aqua', -juice.water, -juice.water, -juice.water, true, false)
      return
    }
    const of = line.percent / 100
    const colourant = line.material?.kind === 'colourant'
    const told = line.substances.reduce((sum, s) => sum + s.share, 0)
    const carried = hidesCarrier(line)
    if (!line.material || carried || 100 - told > ROUNDING || line.substances.some((s) => s.low < s.high))
      unknown.add(i)
    if (100 - told > ROUNDING) unnamed += of * (100 - told)
    for (const s of line.substances) {
      const colour = colourant || COLOUR_INDEX.test(s.inci)
      const inci = colourant ? (LABEL.colourOf[s.inci] ?? s.inci) : s.inci
      const known = s.low === s.high && !carried
      add(inci, of * s.share, carried ? 0 : of * s.low, of * s.high, known, colour)
    }
  })
  return { sums, unknown: [...unknown], unnamed }
}

/** Names of a region over one sum each: what shares a name there is one. */
function named(sums: Iterable<Sum>, nameOf: (inci: string) => string): LabelEntry[] {
  const entries = new Map<string, LabelEntry>()
  for (const s of sums) {
    if (s.high <= 1e-9) continue
    const name = nameOf(s.inci)
    const seen = entries.get(name)
    entries.set(name, {
      name,
      percent: s.known && seen?.percent !== null ? (seen?.percent ?? 0) + s.percent : null,
      low: (seen?.low ?? 0) + s.low,
      high: (seen?.high ?? 0) + s.high,
      colour: s.colour && (seen?.colour ?? true),
      allergen: false,
    })
  }
  return [...entries.values()]
}

/** Where any order begins: below 1 % in the EU and the UK, at 1 % in the US and Canada. */
const isSmall = (high: number, region: LabelRegion) =>
  region === 'US' || region === 'CA' ? high <= 1 + 1e-9 : high < 1 - 1e-9

/** What may stand anywhere comes behind what may not; allergens behind that, colours last. */
const rankOf = (region: LabelRegion) => (e: LabelEntry) =>
  e.colour ? 3 : !isSmall(e.high, region) ? 0 : e.allergen ? 2 : 1
const middle = (e: LabelEntry) => e.percent ?? (e.low + e.high) / 2

function inOrder(
  all: readonly LabelEntry[],
  allergens: readonly NamedAllergen[],
  nameOf: (inci: string) => string,
  region: LabelRegion,
): LabelEntry[] {
  const standing = new Set(all.map((e) => e.name))
  const rank = rankOf(region)
  const behind = allergens
    .map(({ name, percent }): LabelEntry => ({
      name: nameOf(name),
      percent,
      low: percent,
      high: percent,
      colour: false,
      allergen: true,
    }))
    .filter((e) => !standing.has(e.name))
  return [...all, ...behind].sort(
    (x, y) => rank(x) - rank(y) || middle(y) - middle(x) || x.name.localeCompare(y.name, 'en'),
  )
}

/**
 * Ingredients in label order: falling weight as put in, taken apart and summed by name; below 1 % falling too, though
 * any order would do; allergens behind them, colourants last. A name whose share is not known stands where the middle
 * of what it may be puts it. Regulation (EC) 1223/2009, Article 19(1)(g); 21 CFR 701.3; from memory.
 */
export function ingredientList(
  a: Assessment,
  region: LabelRegion,
  concentrates: Concentrates = 'made-up',
): IngredientList {
  const made = madeUpLines(a, concentrates)
  const { sums, unknown, unnamed } = sumUp(a, made)
  const all = named(sums.values(), (inci) => labelName(inci, region))
  const allergens = namedAllergens(a, region)
  const entries = inOrder(all, allergens, (inci) => labelName(inci, region), region)
  const rank = rankOf(region)
  const first = entries.findIndex((e) => rank(e) > 0)
  return {
    entries,
    belowOneFrom: first < 0 || entries[first]!.colour ? null : first,
    allergens: allergens.map((x) => labelName(x.name, region)),
    unknownMakeUp: unknown,
    noAnalysis:
      region === 'US'
        ? []
        : a.lines.flatMap((l, i) =>
            l.percent > 0 &&
            (l.material?.kind === 'fragrance' || l.material?.kind === 'essential-oil') &&
            l.material.contains === undefined
              ? [i]
              : [],
          ),
    unnamed,
    madeUp: [...made].map(([i, { percent }]) => ({
      name: labelName(a.lines[i]!.material!.inci[0]!.replace(/ Powder$/, ''), region),
      percent,
    })),
  }
}

/**
 * INCI names in the order of a label, as they were put in: nothing made up with water, nothing translated, and of the
 * allergens only substances that analyses tell.
 */
export function inciList(a: Assessment): string[] {
  const plain = (inci: string) => inci
  const { sums } = sumUp(a, new Map())
  const { region } = a.formula.product
  const told = namedAllergens(a, region).filter((x) => !x.natural)
  return inOrder(named(sums.values(), plain), told, plain, region).map((e) => e.name)
}
