import type { Remark } from './said.ts'
import type { Material } from '../shapes/material.ts'
import {
  amountsIn,
  bareAmount,
  bareAtEnd,
  bareAtStart,
  fillIn,
  type Found,
  type RecipeAmount,
} from './amounts.ts'
import { LONGEST_NAME, type Match, type Matcher } from './match.ts'

/** An ingredient as a recipe names it. */
export interface Ingredient {
  name: string
  amount: RecipeAmount | null
  /** A second amount of the same line, such as grams beside percent. */
  beside: RecipeAmount | null
  strengthPercent: number | null
  note: string
  match: Match | null
  /** What else the name may mean, the likeliest first. */
  others: Material[]
  warnings: Remark[]
}

const SOLUTION =
  /^\s*\)?\s*(?:aqueous\s+|aq\.?\s+|w\/[wv]\s+)?(?:solution|sol\b|soln|stock|active|in\s|strength|concentrat)/i
const SOLUTION_NAME = /\b(?:solution|sol\.?|soln|stock|gel|concentrate|dispersion)\b/i

const squeeze = (text: string) =>
  text
    .replace(/\(\s*[,;=]?\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/\s+([,;:)])/g, '$1')
    .replace(/^[\s,;:.=–—|*•·>→-]+|[\s,;:=–—|*•·(>→-]+$/g, '')
    .replace(/^of\s+/i, '')
    .trim()

const inParens = (text: string, f: Found) => {
  const before = text.slice(0, f.start)
  return before.lastIndexOf('(') > before.lastIndexOf(')')
}

interface Parts {
  amount: Found | null
  beside: Found | null
  strength: Found | null
  /** Other amounts, left in the words. */
  warnings: Remark[]
}

const isPercent = (f: Found) => f.amount.kind === 'quantity' && f.amount.unit === 'percent'
const low = (f: Found) => (f.amount.kind === 'quantity' ? f.amount.min : 0)
const isRough = (f: Found) => f.amount.kind === 'quantity' && f.amount.rough !== undefined

/** Which of a line's amounts is how much of it, which its strength, and which says the same once more. */
function partsOf(text: string, found: readonly Found[]): Parts {
  const warnings: Remark[] = []
  const percents = found.filter(isPercent)
  const masses = found.filter((f) => !isPercent(f)).sort((x, y) => Number(isRough(x)) - Number(isRough(y)))
  let strength = percents.find((f) => found.length > 1 && SOLUTION.test(text.slice(f.end))) ?? null
  if (!strength && found.length > 1 && percents.length > 1)
    strength =
      percents.find((f) => inParens(text, f)) ?? (SOLUTION_NAME.test(text) ? percents[0]! : null) ?? null
  let left = percents.filter((f) => f !== strength)
  if (left.length > 1 && !strength) {
    // A strength is nearly always the larger of two.
    const [small, large] = [...left].sort((x, y) => low(x) - low(y)) as [Found, Found]
    strength = large
    left = [small]
    warnings.push({ code: 'two-percents' })
  }
  const amount = left[0] ?? masses[0] ?? null
  const beside = amount && isPercent(amount) ? (masses[0] ?? null) : (masses[1] ?? null)
  return { amount, beside, strength, warnings }
}

function cut(text: string, spans: readonly (Found | null)[]): string {
  let rest = text
  for (const span of spans.filter((s) => s !== null).sort((x, y) => y.start - x.start))
    rest = `${rest.slice(0, span.start)} ${rest.slice(span.end)}`
  return rest
}

/** Words after a name that the catalogue knows are a note: “glycerin, vegetable, warmed”. */
function nameAndNote(words: string, match: Matcher): Pick<Ingredient, 'name' | 'note' | 'match' | 'others'> {
  if (!match.isSure(words))
    for (const sep of [' - ', ' – ', ' — ', ' | ', '; ', ': ', ' (', ', ', '. ']) {
      for (let at = words.lastIndexOf(sep, LONGEST_NAME); at > 0; at = words.lastIndexOf(sep, at - 1)) {
        const left = squeeze(words.slice(0, at))
        if (match.isSure(left))
          return {
            name: left,
            note: squeeze(words.slice(at + sep.length)).replace(/^\(|\)$/g, ''),
            ...match(left),
          }
      }
    }
  return { name: words, note: '', ...match(words) }
}

/**
 * The ingredient that a line of words is. Null where it has no amount and no name that is known, or no name at all.
 */
export function ingredientOf(text: string, match: Matcher): Ingredient | null {
  const fill = fillIn(text)
  const found = fill
    ? amountsIn(text).filter((f) => f.end <= fill.start || f.start >= fill.end)
    : amountsIn(text)
  const parts = partsOf(text, found)
  const read: Reading = {
    amount: parts.amount?.amount ?? null,
    beside: parts.beside?.amount ?? null,
    strengthPercent: parts.strength ? low(parts.strength) : null,
    warnings: [...parts.warnings],
    note: '',
  }
  if (fill) takeFill(read, text, parts, fill)
  const words = bareNumber(read, squeeze(cut(text, [parts.amount, parts.beside, parts.strength, fill])), {
    text,
    parts,
    match,
  })
  if (!read.amount) return bareIngredient(words, match)
  if (!/[a-z]{2}/i.test(words)) return null
  const named = nameAndNote(words.replace(/^add\s+/i, ''), match)
  const { strengthPercent: s } = read
  return {
    ...named,
    note: [named.note, read.note].filter(Boolean).join('; '),
    amount: read.amount,
    beside: read.beside,
    strengthPercent: s !== null && s > 0 && s <= 100 ? s : null,
    warnings: read.warnings,
  }
}

/** What is read of a line so far. */
interface Reading {
  amount: Ingredient['amount']
  beside: Ingredient['beside']
  strengthPercent: number | null
  warnings: Remark[]
  note: string
}

/** “Lactic acid 80 %, to 100”: what is there beside the fill is a strength; other words that fill are a note. */
function takeFill(read: Reading, text: string, parts: Parts, fill: Found) {
  if (fill.amount.kind === 'fill') {
    const { amount } = parts
    if (amount && isPercent(amount) && low(amount) < 100 && read.strengthPercent === null)
      read.warnings.push({ code: 'amount-and-fill' })
    read.amount = fill.amount
  } else {
    read.note = text.slice(fill.start, fill.end)
    read.amount ??= fill.amount
  }
}

/**
 * A number without a unit at the end of the words. “Glycerin 86 % 5,0” is a strength and the amount of a column,
 * “Glycerin 5 % 12.5” percent and grams, “1 % dimethicone 350” an amount and a grade. Gives back the words without it.
 */
function bareNumber(
  read: Reading,
  words: string,
  { text, parts, match }: { text: string; parts: Parts; match: Matcher },
): string {
  const { amount } = parts
  if (!amount || !isPercent(amount) || read.beside || read.strengthPercent !== null) return words
  const bare = bareAtEnd(words)
  if (!bare || !/[a-z]{2}/i.test(words.slice(0, bare.start)) || match.isSure(words)) return words
  if (low(amount) >= 20 || inParens(text, amount)) {
    read.strengthPercent = low(amount)
    read.amount = bare.amount
  } else if (!/[a-z]/i.test(text.slice(0, amount.start)))
    read.note = [read.note, words.slice(bare.start).trim()].filter(Boolean).join('; ')
  else if (bare.amount.kind === 'quantity') read.beside = { ...bare.amount, unit: 'grams' }
  return squeeze(words.slice(0, bare.start))
}

/** A name with a number that has no unit, or a name alone that the catalogue knows. */
function bareIngredient(words: string, match: Matcher): Ingredient | null {
  const blank = { beside: null, strengthPercent: null, warnings: [] as Remark[] }
  // The number of “polysorbate 80” is its name.
  const end = match.isSure(words) && /\d\s*$/.test(words) ? null : bareAtEnd(words)
  if (end) {
    const before = squeeze(words.slice(0, end.start))
    if (/[a-z]{2}/i.test(before)) {
      // “Glycerin 5 10”: percent and grams of a table that lost its columns.
      const other = bareAtEnd(before)
      const inner = other ? squeeze(before.slice(0, other.start)) : ''
      if (other && /[a-z]{2}/i.test(inner) && !match.isSure(before))
        return { ...nameAndNote(inner, match), ...blank, amount: other.amount, beside: end.amount }
      return { ...nameAndNote(before, match), ...blank, amount: end.amount }
    }
  }
  const start = bareAtStart(words)
  if (start) {
    const after = squeeze(words.slice(start.end))
    if (/[a-z]{2}/i.test(after)) return { ...nameAndNote(after, match), ...blank, amount: start.amount }
  }
  // “Niacinamide 5 - dissolve first”
  const noted = /^(.*\d)\s*(?:\s[-–—]\s|;|\(|,\s)\s*([^\d]+)$/.exec(words)
  if (noted && !match.isSure(noted[1]!)) {
    const inner = bareIngredient(squeeze(noted[1]!), match)
    if (inner?.amount)
      return { ...inner, note: [inner.note, noted[2]!.replace(/\)$/, '')].filter(Boolean).join('; ') }
  }
  const named = nameAndNote(words, match)
  const known = named.match && named.match.confidence !== 'perhaps'
  return known && words.split(/\s+/).length <= 8 ? { ...named, ...blank, amount: null } : null
}

/** An ingredient from the cells of a table whose columns are known. */
export function ingredientOfCells(
  cells: { name: string; inci: string; percent: string; grams: string; amount: string; note: string },
  match: Matcher,
): Ingredient | null {
  const read = (text: string, unit: 'percent' | 'grams' | 'bare'): RecipeAmount | null => {
    const t = text.trim()
    if (t === '' || /^[-–—]+$/.test(t)) return null
    return fillIn(t)?.amount ?? amountsIn(t)[0]?.amount ?? bareAmount(t, unit)
  }
  const warnings: Remark[] = []
  const amounts = (
    [
      [cells.percent, 'percent'],
      [cells.grams, 'grams'],
      [cells.amount, 'bare'],
    ] as const
  ).flatMap(([text, unit]) => {
    const amount = read(text, unit)
    if (!amount && /\w/.test(text)) warnings.push({ code: 'unreadable', text: text.trim() })
    return amount ? [amount] : []
  })
  const name = cells.name.trim() || cells.inci.trim()
  if (!/[a-z]{2}/i.test(name)) return null
  const strength = amountsIn(name).find(isPercent) ?? null
  let named = nameAndNote(squeeze(cut(name, [strength])), match)
  if (named.match?.confidence !== 'sure' && cells.inci.trim() !== '') {
    const byInci = match(squeeze(cells.inci))
    if (byInci.match && byInci.match.confidence !== 'perhaps') named = { ...named, ...byInci }
  }
  return {
    ...named,
    note: [named.note, cells.note.trim()].filter(Boolean).join('; '),
    amount: amounts[0] ?? null,
    beside: amounts[1] ?? null,
    strengthPercent: strength ? low(strength) : null,
    warnings,
  }
}
