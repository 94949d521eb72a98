import { daysOf } from './use-within.ts'
import { addMonths, format, parseISO, addDays } from 'date-fns'
import type { LabelDesign } from '../shapes/label.ts'
import { capitalise, sayNumber } from '../text/format.ts'
import type { LabelRegion } from '../findings/traces.ts'
import type { Label } from './label.ts'
import type { LabelText, Least, Paragraph } from './layout.ts'
import { sayMonths, type UseWithin } from './use-within.ts'

const GRAMS_PER_OUNCE = 28.3495
const ML_PER_FLUID_OUNCE = 29.5735

/** Rounded down to two figures behind the mark: a label may not overstate. */
const down = (value: number) => Math.floor(value * 100 + 1e-9) / 100

/** Content as the region says it: grams or millilitres, in the US with ounces before. */
export function contentWords(content: LabelDesign['content'], region: LabelRegion): string {
  if (!content) return ''
  const { amount, unit } = content
  const metric = `${sayNumber(amount, 1)} ${unit}`
  if (region === 'US')
    return unit === 'g'
      ? `${sayNumber(down(amount / GRAMS_PER_OUNCE), 2)} oz (${metric})`
      : `${sayNumber(down(amount / ML_PER_FLUID_OUNCE), 2)} fl oz (${metric})`
  return region === 'CA' ? metric : `${metric} ℮`
}

/** Height of the figures of the content, mm: 2 to 50 g or ml, 3 to 200, 4 above (EU, UK); 1/16 or 1/8 inch (US). */
export function leastOf(design: LabelDesign, region: LabelRegion, areaMm2: number): Least {
  const amount = design.content?.amount ?? 0
  if (region === 'US') {
    const small = areaMm2 < 12 * 25.4 * 25.4
    return { letters: 25.4 / (small ? 32 : 16), figures: areaMm2 < 5 * 25.4 * 25.4 ? 25.4 / 16 : 25.4 / 8 }
  }
  if (region === 'CA') return { letters: 0.9, figures: 1.6 }
  return { letters: 0.9, figures: amount <= 50 ? 2 : amount <= 200 ? 3 : 4 }
}

/** The time that stands on the label: the maker's own where one was set. */
export const keptMonths = (design: LabelDesign, proposed: UseWithin) => ({
  closed: design.keep?.closedMonths ?? proposed.closedMonths,
  opened: Math.min(
    design.keep?.openedMonths ?? proposed.openedMonths,
    design.keep?.closedMonths ?? proposed.closedMonths,
  ),
})

/** The last day on which it may be used, as `2027-05-26`. */
export function bestBefore(made: string, months: number): string {
  const day = parseISO(made)
  const whole = Math.floor(months)
  return format(addDays(addMonths(day, whole), daysOf(months - whole)), 'yyyy-MM-dd')
}

/** Names in the order of the label, those below 1 % in the order that its maker chose. */
export function namesInOrder(label: Label, order: readonly string[] = []): string[] {
  const { entries, belowOneFrom } = label.list
  if (belowOneFrom === null || order.length === 0) return entries.map((e) => e.name)
  const rank = (name: string) => {
    const at = order.indexOf(name)
    return at < 0 ? order.length : at
  }
  const free = entries.slice(belowOneFrom).filter((e) => !e.colour)
  const sorted = free
    .map((e, i) => ({ e, i }))
    .sort((x, y) => rank(x.e.name) - rank(y.e.name) || x.i - y.i)
    .map(({ e }) => e)
  return [...entries.slice(0, belowOneFrom), ...sorted, ...entries.filter((e) => e.colour)].map((e) => e.name)
}

/** How it is kept where its maker did not say. */
export const USUAL_STORAGE = 'Keep cool and dark.'

/** What a batch tells of itself. */
export interface Made {
  code: string
  /** As `2026-11-26`. */
  day: string
}

const sayDay = (day: string) => format(parseISO(day), 'd MMM yyyy')

/** The words of a label; without a batch it is a draft and says so. */
export function labelText(
  label: Label,
  design: LabelDesign,
  made: Made | null,
): { front: LabelText; back: LabelText | null } {
  const { closed, opened } = keptMonths(design, label.useWithin)
  const content = contentWords(design.content, label.region)
  const date = made
    ? `${label.region === 'US' ? 'use by' : 'best before'} ${sayDay(bestBefore(made.day, closed))}`
    : 'draft'
  const line = design.line?.trim() || (label.function ?? '')
  const p = (what: string, text: string, head?: string): Paragraph[] =>
    text.trim() === '' ? [] : [{ what, text, ...(head ? { head } : {}) }]
  const claims = p('the claims', capitalise(label.claims.join(', ')))
  const ingredients = p('the ingredients', namesInOrder(label, design.order).join(', '), 'Ingredients:')
  const rest = [
    ...(design.directions === false ? [] : p('the directions', label.directions.join(' '))),
    ...p(
      'the cautions',
      label.statements.map((s) => capitalise(s.text).replace(/([^.!])$/, '$1.')).join(' '),
    ),
    ...p(
      'keeping',
      `${design.storage?.trim() || USUAL_STORAGE} Once opened use within ${sayMonths(opened)}.`,
    ),
    ...p('name and address', design.address ?? ''),
  ]
  const figures = [content, made ? made.code : '', date].filter(Boolean)
  if (design.faces !== 'two')
    return {
      front: { name: label.name, line, paragraphs: [...claims, ...ingredients, ...rest], foot: figures },
      back: null,
    }
  return {
    front: { name: label.name, line, paragraphs: claims, foot: [content].filter(Boolean) },
    back: {
      name: label.name,
      line: '',
      paragraphs: [...ingredients, ...rest],
      foot: figures.slice(content ? 1 : 0),
    },
  }
}
