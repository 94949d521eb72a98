import * as z from 'zod'
import { idOf } from './references.ts'

const text = z.string().max(4000)

/** What is told of a version beside its formula. */
export const VersionStory = z.looseObject({
  /** Why it was made, and what came of it. */
  reason: text.optional(),
  result: text.optional(),
  /** 1 to 5. */
  rating: z.number().int().min(1).max(5).optional(),
  /** The batch and the trial that it comes from. */
  batchId: idOf('batch', z.string().max(200)).optional(),
  trialId: idOf('trial', z.string().max(200)).optional(),
  /** Id of the version that it was made from. */
  from: idOf('version', z.string().max(200)).optional(),
})
export type VersionStory = z.infer<typeof VersionStory>
