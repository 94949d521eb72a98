import * as z from 'zod'
import feel from '../../data/feel.json' with { type: 'json' }
import { KINDS, type Kind } from '../shapes/formula.ts'
import { ASKS, type TrialAttribute } from '../shapes/trial.ts'

const Attribute = z.strictObject({
  id: z.string(),
  on: z.enum(['skin', 'hair', 'both']),
  name: z.string(),
  moment: z.string(),
  low: z.string(),
  high: z.string(),
  /** What a sample does that is nearer to the one end or the other, after its name. */
  more: z.string(),
  less: z.string(),
  how: z.string().optional(),
  ask: z.enum(ASKS).optional(),
  scale: z.tuple([z.number(), z.number()]).optional(),
})
const Serving = z.strictObject({
  amount: z.string(),
  places: z.array(z.string()).min(1),
  how: z.string(),
  /** So many are judged in one sitting. */
  most: z.number().int(),
  restMinutes: z.number(),
  before: z.string(),
})
/** Neutral attributes with a word at each end, when each is judged, and how a sample is put on. */
export const FEEL = z
  .strictObject({
    source: z.string(),
    /** `each`: judged of one sample after the other, as each is put on; others of all samples when their time comes. */
    moments: z.array(
      z.strictObject({
        id: z.string(),
        label: z.string(),
        each: z.boolean().optional(),
        afterSeconds: z.number().optional(),
        how: z.string(),
      }),
    ),
    attributes: z.array(Attribute),
    kinds: z.record(z.enum(KINDS), z.array(z.string())),
    serving: z.strictObject({ skin: Serving, hair: Serving }),
  })
  .parse(feel)

/** A line that is scored goes from 0 to 10 where nothing else is told. */
export const SCALE: readonly [number, number] = [0, 10]
export const scaleOf = (attribute: TrialAttribute): readonly [number, number] => attribute.scale ?? SCALE

export const feelOf = (id: string) => FEEL.attributes.find((a) => a.id === id) ?? null
/** When an attribute is judged; what nobody placed comes last. */
export const momentOf = (attribute: TrialAttribute) =>
  FEEL.moments.find((m) => m.id === attribute.moment) ?? FEEL.moments.at(-1)!
export const servingOf = (hair: boolean) => FEEL.serving[hair ? 'hair' : 'skin']

/** Attributes that one may choose from for skin or hair, as a trial keeps them. */
export const attributesFor = (hair: boolean): TrialAttribute[] =>
  FEEL.attributes.filter((a) => a.on === 'both' || (a.on === 'hair') === hair).map(asKept)
/** Those that matter for a kind of product. */
export const usualAttributes = (kind: Kind): TrialAttribute[] =>
  FEEL.kinds[kind].map((id) => asKept(feelOf(id)!))

function asKept({
  on: _on,
  more: _more,
  less: _less,
  ...attribute
}: z.infer<typeof Attribute>): TrialAttribute {
  return attribute
}

/** An attribute of one's own, with a word at each end. */
export function ownAttribute(
  name: string,
  low: string,
  high: string,
  taken: readonly TrialAttribute[],
): TrialAttribute {
  const used = new Set(taken.map((a) => a.id))
  let n = 1
  while (used.has(`own-${n}`)) n++
  return { id: `own-${n}`, name, low, high, moment: 'last' }
}
