import * as z from 'zod'

export const LABEL_REGIONS = ['EU', 'UK', 'US', 'CA', 'other'] as const
export const MARKS = ['none', 'wave', 'gull', 'shell', 'sun', 'leaf'] as const

const mm = z.number().gt(0).max(400)
/** A sheet of stickers: paper, and where its fields lie; mm from the upper left corner. */
export const StickerSheet = z.strictObject({
  id: z.string().max(60),
  paper: z.enum(['A4', 'Letter']),
  shape: z.enum(['rectangle', 'round']),
  columns: z.number().int().min(1).max(20),
  rows: z.number().int().min(1).max(40),
  width: mm,
  height: mm,
  left: z.number().min(0).max(200),
  top: z.number().min(0).max(250),
  /** From the left of a field to the left of the next, and down. */
  across: mm,
  down: mm,
})
export type StickerSheet = z.infer<typeof StickerSheet>

const months = z.number().gt(0).max(60)
/** How the label of a formula looks and what its maker wrote on it; one a formula, used by all its batches. */
export const LabelDesign = z.looseObject({
  region: z.enum(LABEL_REGIONS).optional(),
  /** One of the usual sheets by its id, or a grid of one's own. */
  sheet: z.string().max(60).optional(),
  own: StickerSheet.optional(),
  /** What it is and for whom, in a few words. */
  line: z.string().max(120).optional(),
  address: z.string().max(300).optional(),
  storage: z.string().max(200).optional(),
  content: z.strictObject({ amount: z.number().gt(0).max(10_000), unit: z.enum(['g', 'ml']) }).optional(),
  concentrates: z.enum(['made-up', 'as-added']).optional(),
  mark: z.enum(MARKS).optional(),
  qr: z.boolean().optional(),
  faces: z.enum(['one', 'two']).optional(),
  directions: z.boolean().optional(),
  /** Id of the container on the shelf, and what it is. */
  container: z.string().max(100).optional(),
  containerKind: z.string().max(20).optional(),
  /** A keeping time of the maker's own, with the reason. */
  keep: z
    .strictObject({ closedMonths: months, openedMonths: months, reason: z.string().max(300) })
    .optional(),
  /** Names below 1 % in the order that reads well. */
  order: z.array(z.string().max(200)).max(300).optional(),
})
export type LabelDesign = z.infer<typeof LabelDesign>

/** What a maker reckons a batch with, beside prices. */
export const Costing = z.looseObject({
  containers: z.number().int().min(0).max(10_000).optional(),
  containerPrice: z.number().min(0).max(100_000).optional(),
  labelPrice: z.number().min(0).max(100_000).optional(),
  hours: z.number().min(0).max(1000).optional(),
  rate: z.number().min(0).max(100_000).optional(),
  marginPercent: z.number().min(0).max(99).optional(),
})
export type Costing = z.infer<typeof Costing>
