import * as z from 'zod'

const text = z.string().max(4000)
const id = z.string().max(200)

/** What is told of a version beside its formula. */
export const VersionStory = z.looseObject({
  /** Why it was made, and what came of it. */
  reason: text.optional(),
  result: text.optional(),
  /** 1 to 5. */
  rating: z.number().int().min(1).max(5).optional(),
  /** The batch and the trial that it comes from. */
  batchId: id.optional(),
  trialId: id.optional(),
  /** Id of the version that it was made from. */
  from: id.optional(),
})
export type VersionStory = z.infer<typeof VersionStory>
