import * as z from 'zod'

/** Both schools of each question that makers answer differently. */
export const POURINGS = ['oil-into-water', 'water-into-oil'] as const
export const HEATINGS = ['hold', 'melt'] as const
export const EVAPORATIONS = ['cover', 'weigh'] as const
export const COOLINGS = ['air', 'bath', 'cold-share'] as const
export const ENDINGS = ['adjust-first', 'preserve-first'] as const
export const GUMS = ['rest', 'at-once', 'overnight'] as const
export const SWELLINGS = ['shear', 'overnight', 'stock'] as const
export const FINISHES = ['as-it-is', 'whip', 'beat'] as const

export const MethodChoices = z.looseObject({
  pouring: z.enum(POURINGS).optional(),
  heating: z.enum(HEATINGS).optional(),
  evaporation: z.enum(EVAPORATIONS).optional(),
  cooling: z.enum(COOLINGS).optional(),
  ending: z.enum(ENDINGS).optional(),
  gum: z.enum(GUMS).optional(),
  swelling: z.enum(SWELLINGS).optional(),
  body: z.enum(FINISHES).optional(),
})
export type MethodChoices = z.infer<typeof MethodChoices>
/** Every question answered. */
export type ProcessOptions = {
  [
    K in 'pouring' | 'heating' | 'evaporation' | 'cooling' | 'ending' | 'gum' | 'swelling' | 'body'
  ]: NonNullable<MethodChoices[K]>
}

const minutes = z.number().min(0).max(100_000)

/** What the maker changed in a method; steps are known by a key that outlives changes of the formula. */
export const MethodEdits = z.looseObject({
  choices: MethodChoices.optional(),
  changes: z
    .record(
      z.string().max(300),
      z.looseObject({
        title: z.string().max(300).optional(),
        note: z.string().max(4000).optional(),
        hands: minutes.optional(),
        wait: minutes.optional(),
        hidden: z.boolean().optional(),
      }),
    )
    .optional(),
  /** Keys in the wished order; steps that are not named keep their place after the one before them. */
  order: z.array(z.string().max(300)).max(500).optional(),
  own: z
    .array(
      z.looseObject({
        key: z.string().min(1).max(300),
        title: z.string().max(300),
        hands: minutes,
        wait: minutes,
      }),
    )
    .max(100)
    .optional(),
})
export type MethodEdits = z.infer<typeof MethodEdits>

/** Where a phase goes: the key of another phase, or the batch; and when. What is not told is proposed. */
export const Goes = z.looseObject({
  into: z.string().max(100),
  when: z.enum(['before-heat', 'hot', 'cool']).optional(),
})
export type Goes = z.infer<typeof Goes>
/** The whole batch, in whatever vessel it stands. */
export const BATCH = 'batch'
