import { readNumber, UNIT_WORDS, unitOf, type Measure, type UnitRule, type RoughUnit } from '../text/units.ts'

/** Units as they are written; volumes in millilitres, masses in grams. */
export type Unit = Measure | 'bare'

/** An amount as a recipe gives it. A range has two ends; `rough` says why its size is a guess. */
export type RecipeAmount =
  | { kind: 'quantity'; min: number; max: number; unit: Unit; rough?: RoughUnit; spoon?: boolean }
  | { kind: 'fill'; ofGrams?: number }
  | { kind: 'as-needed' }

export interface Found {
  amount: RecipeAmount
  start: number
  end: number
}

const NUMBER = String.raw`(?:\d+\s*[½¼¾⅓⅔⅛]|[½¼¾⅓⅔⅛]|\d+\s+\d\s*[/⁄]\s*\d{1,2}|\d\s*[/⁄]\s*\d{1,2}|\d+(?:[.,]\d+)*|[.,]\d+)`
const ABOUT = String.raw`(?:(?:~|≈|<=|≤|<|about|approx\.?|approximately|ca\.?|circa|max\.?|up to)\s*)?`
const BETWEEN = String.raw`\s*(?:-|–|—|−|\bto\b|\.\.\.?)\s*`

type Sized = Pick<UnitRule, 'size' | 'rough' | 'spoon'> & { unit: Unit }

/** `1,000 g` is a thousand, `1,000 %` is one. */
function readMeasure(text: string, rule: Sized): number {
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
const ruleOf = (word: string) => unitOf(word)!

function quantity(low: string, high: string | undefined, rule: Sized): RecipeAmount | null {
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
  return quantity(m[1]!, m[2], { unit, size: 1 })
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
