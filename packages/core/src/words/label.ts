import { format, parseISO } from 'date-fns'
import * as texts from '#words/label'
import type { LabelRegion } from '../findings/traces.ts'
import type { Label } from '../label/label.ts'
import type { LabelText, Paragraph } from '../label/layout.ts'
import type {
  BoundFacts,
  KeepingReasonFacts,
  LabelPart,
  LeftOutFacts,
  Missing,
  SheetFaultFacts,
} from '../label/said.ts'
import { bestBefore, keptMonths, namesInOrder, type Made } from '../label/text.ts'
import type { KeepingReason, UseWithin } from '../label/use-within.ts'
import type { LabelDesign, StickerSheet } from '../shapes/label.ts'
import { capitalise, sayNumber } from '../text/format.ts'
import type { Said } from '../text/said.ts'
import { say } from './say.ts'

export const { USUAL_STORAGE, sayMonths, DRAFT_NOTE } = texts

/** What the law asks of a label and nobody told: `name and address`. */
export const missingText = (missing: Missing): string => say(texts.missing, missing)
/** A reason for a time, as a clause. */
export const keepingReasonText = ({ said }: KeepingReason): string =>
  say<KeepingReasonFacts>(texts.keeping, said)
/** Why a product may be kept so long: the reason that decides, and that which decides once it is opened. */
export function useWithinText({ reasons, closedMonths, openedMonths }: UseWithin): string {
  const first = reasons[0]!
  const opens = reasons.find((r) => r.opened[0] === openedMonths)!
  const also = opens !== first && openedMonths < closedMonths
  return `${capitalise(keepingReasonText(first))}.${also ? ` ${texts.opened(keepingReasonText(opens))}` : ''}`
}
/** Why something in an ingredient list was left out. */
export const leftOutOfListText = (why: Said<LeftOutFacts>): string => say(texts.leftOut, why)
/** What bounds an amount from above, besides order and sum. */
export const boundText = (bound: Said<BoundFacts>): string => say(texts.bound, bound)
/** A part of a label, where it does not fit. */
export const labelPartText = (part: LabelPart): string => texts.labelParts[part]
/** What keeps a grid of stickers from lying on its paper. */
export const sheetFaultText = (fault: Said<SheetFaultFacts>): string => say(texts.sheetFault, fault)
/** `A4, 3 × 7 of 63.5 × 38.1 mm`, `A4, 4 × 6 round, 40 mm`. */
export const sheetText = (sheet: StickerSheet): string => texts.sheet(sheet)

const GRAMS_PER_OUNCE = 28.3495
const ML_PER_FLUID_OUNCE = 29.5735

/** Rounded down to two figures behind the mark: a label may not overstate. */
const down = (value: number) => Math.floor(value * 100 + 1e-9) / 100

/** Content as the region says it: grams or millilitres, in the US with ounces before. */
export function contentText(content: LabelDesign['content'], region: LabelRegion): string {
  if (!content) return ''
  const { amount, unit } = content
  const metric = `${sayNumber(amount, 1)} ${unit}`
  if (region === 'US')
    return unit === 'g'
      ? `${sayNumber(down(amount / GRAMS_PER_OUNCE), 2)} oz (${metric})`
      : `${sayNumber(down(amount / ML_PER_FLUID_OUNCE), 2)} fl oz (${metric})`
  return region === 'CA' ? metric : `${metric} ℮`
}

const sayDay = (day: string) => format(parseISO(day), 'd MMM yyyy')

/** The words of a label; without a batch it is a draft and says so. */
export function labelText(
  label: Label,
  design: LabelDesign,
  made: Made | null,
): { front: LabelText; back: LabelText | null } {
  const { closed, opened } = keptMonths(design, label.useWithin)
  const content = contentText(design.content, label.region)
  const date = made ? texts.bestBefore(label.region, sayDay(bestBefore(made.day, closed))) : texts.DRAFT
  const line = design.line?.trim() || (label.function ?? '')
  const p = (what: LabelPart, text: string, head?: string): Paragraph[] =>
    text.trim() === '' ? [] : [{ what, text, ...(head ? { head } : {}) }]
  const claims = p('claims', capitalise(label.claims.join(', ')))
  const ingredients = p('ingredients', namesInOrder(label, design.order).join(', '), texts.INGREDIENTS)
  const rest = [
    ...(design.directions === false ? [] : p('directions', label.directions.join(' '))),
    ...p('cautions', label.statements.map((s) => capitalise(s.text).replace(/([^.!])$/, '$1.')).join(' ')),
    ...p('keeping', texts.onceOpened(design.storage?.trim() || texts.USUAL_STORAGE, sayMonths(opened))),
    ...p('address', design.address ?? ''),
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
