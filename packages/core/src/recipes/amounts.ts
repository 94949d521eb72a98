/** Units as they are written; volumes in millilitres, masses in grams. */
export type Unit = 'percent' | 'grams' | 'millilitres' | 'parts' | 'bare'

/** An amount as a recipe gives it. A range has two ends; `rough` says why its size is a guess. */
export type RecipeAmount =
  | { kind: 'quantity'; min: number; max: number; unit: Unit; rough?: string; spoon?: boolean }
  | { kind: 'fill'; ofGrams?: number }
  | { kind: 'as-needed' }

export interface Found {
  amount: RecipeAmount
  start: number
  end: number
}

const FRACTIONS: Record<string, number> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 1 / 8,
}
const NUMBER = String.raw`(?:\d+\s*[½¼¾⅓⅔⅛]|[½¼¾⅓⅔⅛]|\d+\s+\d\s*[/⁄]\s*\d{1,2}|\d\s*[/⁄]\s*\d{1,2}|\d+(?:[.,]\d+)*|[.,]\d+)`
const ABOUT = String.raw`(?:(?:~|≈|<=|≤|<|about|approx\.?|approximately|ca\.?|circa|max\.?|up to)\s*)?`
const BETWEEN = String.raw`\s*(?:-|–|—|−|\bto\b|\.\.\.?)\s*`

interface UnitRule {
  words: string
  unit: Unit
  /** Grams or millilitres in one. */
  size: number
  rough?: string
  /** What it holds is asked. */
  spoon?: boolean
}
const SPOON =
  'A spoon is no measure: what it holds differs by a third and more. Weigh it once and correct it.'
const DROP = 'Drops differ from 0.02 to 0.07 mL. Weigh twenty of them and correct it.'
const PINCH = 'A pinch is anything between 0.1 and 0.5 g. Weigh it.'

/** US customary sizes (NIST Handbook 44, appendix C); a metric spoon is 5 mL and a drop 0.05 mL by common practice. */
const UNITS: readonly UnitRule[] = [
  { words: String.raw`%\s*(?:\(?w\/[wv]\)?)?|wt\.?\s?%|per\s?cent|pct\.?`, unit: 'percent', size: 1 },
  { words: String.raw`kilograms?|kilos?|kg`, unit: 'grams', size: 1000 },
  { words: String.raw`milligrams?|mg`, unit: 'grams', size: 0.001 },
  { words: String.raw`grammes?|grams?|gms?\.?|gr\.?|g\.?`, unit: 'grams', size: 1 },
  { words: String.raw`fl\.?\s?oz\.?|fluid ounces?`, unit: 'millilitres', size: 29.5735 },
  { words: String.raw`ounces?|oz\.?`, unit: 'grams', size: 28.349523 },
  { words: String.raw`pounds?|lbs?\.?`, unit: 'grams', size: 453.59237 },
  { words: String.raw`millilit(?:er|re)s?|mls?\.?|cc`, unit: 'millilitres', size: 1 },
  { words: String.raw`centilit(?:er|re)s?|cl`, unit: 'millilitres', size: 10 },
  { words: String.raw`decilit(?:er|re)s?|dl`, unit: 'millilitres', size: 100 },
  { words: String.raw`lit(?:er|re)s?|l`, unit: 'millilitres', size: 1000 },
  {
    words: String.raw`tablespoons?|tbsps?\.?|tbs\.?`,
    unit: 'millilitres',
    size: 15,
    rough: SPOON,
    spoon: true,
  },
  { words: String.raw`teaspoons?|tsps?\.?`, unit: 'millilitres', size: 5, rough: SPOON, spoon: true },
  {
    words: String.raw`cups?`,
    unit: 'millilitres',
    size: 240,
    rough: 'A cup is no measure. Weigh it once and correct it.',
    spoon: true,
  },
  { words: String.raw`drops?|gtts?\.?`, unit: 'millilitres', size: 0.05, rough: DROP },
  { words: String.raw`pinch(?:es)?|dash(?:es)?`, unit: 'grams', size: 0.3, rough: PINCH },
  { words: String.raw`parts?`, unit: 'parts', size: 1 },
]
const UNIT_WORDS = UNITS.map((u) => u.words).join('|')

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

/** `1,000 g` is a thousand, `1,000 %` is one. */
function readMeasure(text: string, rule: UnitRule): number {
  if (rule.unit !== 'percent' && /^\d{1,3}(,\d{3})+$/.test(text.trim()))
    return Number(text.replaceAll(',', ''))
  return readNumber(text)
}

const WITH_UNIT = new RegExp(
  `(?<![\\w.,/+-])(${ABOUT})(?:(an?)|(${NUMBER})(?:${BETWEEN}(${NUMBER}))?)\\s*(${UNIT_WORDS})(?![\\w%])`,
  'gi',
)
/** `5% - 8%` and `5 g to 8 g`: the unit at both ends. */
const TWICE = new RegExp(
  `(?<![\\w.,/+-])(${NUMBER})\\s*(${UNIT_WORDS})${BETWEEN}(${NUMBER})\\s*(${UNIT_WORDS})(?![\\w%])`,
  'gi',
)
const ruleOf = (word: string) => UNITS.find((u) => new RegExp(`^(?:${u.words})$`, 'i').test(word))!

function quantity(low: string, high: string | undefined, rule: UnitRule): RecipeAmount | null {
  const min = readMeasure(low, rule) * rule.size
  const max = high === undefined ? min : readMeasure(high, rule) * rule.size
  if (!Number.isFinite(min) || !Number.isFinite(max) || max > 1e7) return null
  const unit = rule.unit
  return {
    kind: 'quantity',
    min: Math.min(min, max),
    max: Math.max(min, max),
    unit,
    ...(rule.rough ? { rough: rule.rough } : {}),
    ...(rule.spoon ? { spoon: true } : {}),
  }
}

/** Every amount with a unit that stands in a text, in order. */
export function amountsIn(text: string): Found[] {
  const found: Found[] = []
  const free = (start: number, end: number) => found.every((f) => end <= f.start || start >= f.end)
  for (const m of text.matchAll(TWICE)) {
    const [rule, other] = [ruleOf(m[2]!), ruleOf(m[4]!)]
    if (rule !== other) continue
    const amount = quantity(m[1]!, m[3], rule)
    if (amount) found.push({ amount, start: m.index, end: m.index + m[0].length })
  }
  for (const m of text.matchAll(WITH_UNIT)) {
    const [whole, about, article, low, high, unit] = m
    const rule = ruleOf(unit!)
    if (article && !rule.rough) continue
    if (!free(m.index, m.index + whole.length)) continue
    const amount = quantity(article ? '1' : low!, high, rule)
    if (!amount) continue
    // “Up to 1 %” is a range from nothing.
    if (/up to|max|<|≤/i.test(about ?? '') && amount.kind === 'quantity') amount.min = 0
    found.push({ amount, start: m.index, end: m.index + whole.length })
  }
  return found.sort((x, y) => x.start - y.start)
}

const HUNDRED = String.raw`(?:100(?:[.,]0+)?\s*(?:%|g\b|grams?\b|ml\b)?)`
const FILL = new RegExp(
  String.raw`\b(?:q\.?\s?s\.?\s*(?:(?:ad|to|up to|for)?\s*${HUNDRED})|(?:up |add |top up |made? up |fill )?to\s+${HUNDRED}|ad\.?\s+${HUNDRED}|(?:the )?(?:balance|remainder|rest)(?: to ${HUNDRED})?|to make (?:up )?(?:to )?${HUNDRED})(?![\w])`,
  'i',
)
/** “To 200 g”: the rest of a batch of that size, not the end of a range. */
const FILL_TO =
  /(?<![\d%½¼¾⅓⅔⅛]\s*|\b(?:g|ml|grams?)\s+)\b(?:q\.?\s?s\.?\s*)?(?:(?:up |top up |made? up )?to|ad\.?)\s+(\d+(?:[.,]\d+)?)\s*(g|gr|grams?|ml)\b/i
const NEEDED =
  /(?:\b(?:q\.?\s?s\.?|as needed|as required)\s*(?:(?:to|for)\s+(?:adjust(?:ing)?\s+)?(?:the\s+)?ph\b[^,;()]*)|\bto (?:adjust (?:the )?)?ph\b[^,;()]*|\bq\.?\s?s\.?(?!\w)|\bas needed\b|\bas required\b|\bif (?:needed|required|necessary)\b|\bto taste\b|\b(?:a )?few drops(?: of)?\b|\bsufficient(?: quantity)?\b)/i

/** “To 100”, “q.s.”, “the rest”, “as needed”; null where a text has nothing of the kind. */
export function fillIn(text: string): Found | null {
  const fill = FILL.exec(text)
  if (fill) return { amount: { kind: 'fill' }, start: fill.index, end: fill.index + fill[0].length }
  const to = FILL_TO.exec(text)
  if (to)
    return {
      amount: { kind: 'fill', ofGrams: readNumber(to[1]!) },
      start: to.index,
      end: to.index + to[0].length,
    }
  const needed = NEEDED.exec(text)
  return needed
    ? { amount: { kind: 'as-needed' }, start: needed.index, end: needed.index + needed[0].length }
    : null
}

const RANGE_ONLY = new RegExp(`^${ABOUT}(${NUMBER})(?:${BETWEEN}(${NUMBER}))?$`, 'i')

/** A cell that holds nothing but a number, or a range of two; its unit is told elsewhere. */
export function bareAmount(text: string, unit: Unit = 'bare'): RecipeAmount | null {
  const m = RANGE_ONLY.exec(text.trim())
  if (!m) return null
  return quantity(m[1]!, m[2], { words: '', unit, size: 1 })
}

/** A number without a unit at the end of a text, not part of a word such as PEG-40. */
export function bareAtEnd(text: string): Found | null {
  const m = new RegExp(`(?:^|[\\s:=(\\t])(${NUMBER}(?:${BETWEEN}${NUMBER})?)\\)?\\s*$`).exec(text)
  const amount = m ? bareAmount(m[1]!) : null
  if (!m || !amount) return null
  const start = m.index + m[0].indexOf(m[1]!)
  return { amount, start, end: text.length }
}

/** A number without a unit at the start of a text, not part of a word such as 1,2-hexanediol. */
export function bareAtStart(text: string): Found | null {
  const m = new RegExp(`^\\s*(${NUMBER}(?:${BETWEEN}${NUMBER})?)\\s+(?=[A-Za-z(])`).exec(text)
  const amount = m ? bareAmount(m[1]!) : null
  return m && amount ? { amount, start: 0, end: m[0].length } : null
}
