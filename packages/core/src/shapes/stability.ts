import * as z from 'zod'

/** Where a sample of a batch is kept while it is watched. */
export const STORAGES = ['room', 'fridge', 'warm', 'frost', 'window', 'use', 'daily'] as const
export type Storage = (typeof STORAGES)[number]

/** What is looked at, in the order in which one looks: what condemns first. */
export const PROPERTIES = [
  'germs',
  'gas',
  'smell',
  'ph',
  'layer',
  'crystals',
  'grains',
  'body',
  'colour',
  'mass',
  'pack',
] as const
export type Property = (typeof PROPERTIES)[number]

/** How a number was read. */
export const WAYS = ['meter', 'strip', 'scale', 'spread', 'flow', 'line', 'needle', 'ruler', 'photo'] as const
export type Way = (typeof WAYS)[number]

const name = z.string().min(1).max(60)
export const Sample = z.object({
  id: name,
  storage: z.enum(STORAGES),
  /** Set aside for it. */
  grams: z.number().gt(0).max(100_000).optional(),
})
export type Sample = z.infer<typeof Sample>

/** A look that is planned: so many days after filling. */
export const PlannedLook = z.object({
  day: z.number().int().min(0).max(3650),
  sample: name,
  properties: z.array(z.enum(PROPERTIES)).min(1).max(PROPERTIES.length),
})
export type PlannedLook = z.infer<typeof PlannedLook>

const channel = z.number().min(0).max(255)
const Rgb = z.tuple([channel, channel, channel])
export type Rgb = z.infer<typeof Rgb>

/** A colour as it was read off a photograph: the product, and the card beside it. */
export const SeenColour = z.object({ product: Rgb, card: Rgb, cardReflects: z.number().gt(0).max(1) })
export type SeenColour = z.infer<typeof SeenColour>
