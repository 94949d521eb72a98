/** What a unit measures; volumes in millilitres, masses in grams. */
export type Measure = 'percent' | 'grams' | 'millilitres' | 'parts'

export interface UnitRule {
  /** Spellings, as a pattern. */
  words: string
  unit: Measure
  /** Grams or millilitres in one. */
  size: number
  /** How one is called beside a figure. */
  name: string
  /** Its size is a guess. */
  rough?: RoughUnit
  /** What it holds is asked. */
  spoon?: boolean
  /** A drop: the maker may have weighed twenty. */
  drop?: boolean
}
/** A unit that holds a different amount each time. */
export type RoughUnit = 'spoon' | 'drop' | 'pinch' | 'cup'
/** US customary sizes (NIST Handbook 44, appendix C); a metric spoon is 5 mL and a drop 0.05 mL by common practice. */
export const UNITS: readonly UnitRule[] = [
  {
    words: String.raw`%\s*(?:\(?w\/[wv]\)?)?|wt\.?\s?%|per\s?cent|pct\.?`,
    unit: 'percent',
    size: 1,
    name: '%',
  },
  { words: String.raw`kilograms?|kilos?|kg`, unit: 'grams', size: 1000, name: 'kg' },
  { words: String.raw`milligrams?|mg`, unit: 'grams', size: 0.001, name: 'mg' },
  { words: String.raw`grammes?|grams?|gms?\.?|gr\.?|g\.?`, unit: 'grams', size: 1, name: 'g' },
  { words: String.raw`fl\.?\s?oz\.?|fluid ounces?`, unit: 'millilitres', size: 29.5735, name: 'fl oz' },
  { words: String.raw`ounces?|oz\.?`, unit: 'grams', size: 28.349523, name: 'oz' },
  { words: String.raw`pounds?|lbs?\.?`, unit: 'grams', size: 453.59237, name: 'lb' },
  { words: String.raw`millilit(?:er|re)s?|mls?\.?|cc`, unit: 'millilitres', size: 1, name: 'mL' },
  { words: String.raw`centilit(?:er|re)s?|cl`, unit: 'millilitres', size: 10, name: 'cL' },
  { words: String.raw`decilit(?:er|re)s?|dl`, unit: 'millilitres', size: 100, name: 'dL' },
  { words: String.raw`lit(?:er|re)s?|l`, unit: 'millilitres', size: 1000, name: 'L' },
  {
    words: String.raw`tablespoons?|tbsps?\.?|tbs\.?`,
    unit: 'millilitres',
    size: 15,
    name: 'tbsp',
    rough: 'spoon',
    spoon: true,
  },
  {
    words: String.raw`teaspoons?|tsps?\.?`,
    unit: 'millilitres',
    size: 5,
    name: 'tsp',
    rough: 'spoon',
    spoon: true,
  },
  { words: String.raw`cups?`, unit: 'millilitres', size: 240, name: 'cup', rough: 'cup', spoon: true },
  {
    words: String.raw`drops?|gtts?\.?`,
    unit: 'millilitres',
    size: 0.05,
    name: 'drops',
    rough: 'drop',
    drop: true,
  },
  { words: String.raw`pinch(?:es)?|dash(?:es)?`, unit: 'grams', size: 0.3, name: 'pinch', rough: 'pinch' },
  { words: String.raw`parts?`, unit: 'parts', size: 1, name: 'parts' },
]
export const UNIT_WORDS = UNITS.map((u) => u.words).join('|')

const EXACT = UNITS.map((rule) => ({ rule, exact: new RegExp(`^(?:${rule.words})$`, 'i') }))
/** The unit that a word is, whatever the letter case; undefined where it is none. */
export const unitOf = (word: string): UnitRule | undefined => EXACT.find((u) => u.exact.test(word))?.rule

const FRACTIONS: Record<string, number> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
}

/** One number as written: `2,5`, `1/2`, `1 ½`, `1,000.5`. NaN where it is none. */
export function readNumber(text: string): number {
  const t = text.trim()
  const mixed = /^(\d+)?\s*([½¼¾⅓⅔⅛])$/.exec(t)
  if (mixed) return Number(mixed[1] ?? 0) + FRACTIONS[mixed[2]!]!
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(t)
  if (fraction) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])
  if (/^\d{1,3}(,\d{3})+\.\d+$/.test(t)) return Number(t.replaceAll(',', ''))
  if (/^\d{1,3}(\.\d{3})+,\d+$/.test(t)) return Number(t.replaceAll('.', '').replace(',', '.'))
  return /^\d*[.,]?\d+$/.test(t) ? Number(t.replace(',', '.')) : NaN
}
