import * as z from 'zod'
import { firstIssue, parseJson, ReadError, refuseDepth, refuseNewer } from '../text/json.ts'

const TRIAL_VERSION = 1
const id = z.string().min(1).max(100)
const words = z.string().max(300)
const list = <T extends z.ZodType>(item: T) => z.array(item).max(100_000).default([])

const Trial = z.looseObject({
  format: z.literal('omblet-trial'),
  formatVersion: z.literal(TRIAL_VERSION),
  name: words.default(''),
  samples: z
    .array(z.looseObject({ id, name: words.default(''), reference: z.boolean().default(false) }))
    .max(100)
    .default([]),
  attributes: z
    .array(
      z.looseObject({
        id,
        low: words.default(''),
        high: words.default(''),
        scale: z.tuple([z.number(), z.number()]).optional(),
      }),
    )
    .max(200)
    .default([]),
  scores: list(
    z.looseObject({ by: id, round: z.number().int().min(1).default(1), sample: id, attribute: id, value: z.number() }), // prettier-ignore
  ),
  triangles: list(z.looseObject({ by: id, right: z.boolean() })),
  pairs: list(z.looseObject({ by: id, chosen: id, over: id, attribute: id.optional() })),
})
export type Trial = z.infer<typeof Trial>

/** Reads the text of a trial file: whole, or `ReadError` with the field that is at fault. */
export function readTrial(text: string): Trial {
  const value = parseJson(text)
  refuseNewer(value, TRIAL_VERSION, 'trial', 'read')
  refuseDepth(value)
  const parsed = Trial.safeParse(value)
  if (!parsed.success) throw firstIssue(parsed.error)
  const trial = parsed.data
  const samples = named(trial.samples, 'samples')
  const attributes = named(trial.attributes, 'attributes')
  const knows = (set: ReadonlySet<string>, value: string, field: string, what: string) => {
    if (!set.has(value)) throw new ReadError(`${field} is “${value}”, and there is no such ${what}.`, field)
  }
  trial.scores.forEach((s, i) => {
    knows(samples, s.sample, `scores[${i}].sample`, 'sample')
    knows(attributes, s.attribute, `scores[${i}].attribute`, 'attribute')
    const { scale } = trial.attributes.find((a) => a.id === s.attribute)!
    if (!scale) return
    const [low, high] = scale
    if (s.value < Math.min(low, high) || s.value > Math.max(low, high))
      throw new ReadError(`scores[${i}].value is ${s.value}; the scale of ${s.attribute} goes from ${low} to ${high}.`, `scores[${i}].value`) // prettier-ignore
  })
  trial.pairs.forEach((p, i) => {
    knows(samples, p.chosen, `pairs[${i}].chosen`, 'sample')
    knows(samples, p.over, `pairs[${i}].over`, 'sample')
    if (p.chosen === p.over)
      throw new ReadError(`pairs[${i}].over is the same sample as chosen.`, `pairs[${i}].over`)
    if (p.attribute !== undefined) knows(attributes, p.attribute, `pairs[${i}].attribute`, 'attribute')
  })
  if (trial.samples.filter((s) => s.reference).length > 1)
    throw new ReadError('samples names more than one reference. Leave one.', 'samples')
  return trial
}

function named(items: readonly { id: string }[], field: string): Set<string> {
  const ids = new Set<string>()
  for (const [i, item] of items.entries()) {
    if (ids.has(item.id)) throw new ReadError(`${field}[${i}].id is “${item.id}” a second time.`, `${field}[${i}].id`) // prettier-ignore
    ids.add(item.id)
  }
  return ids
}
