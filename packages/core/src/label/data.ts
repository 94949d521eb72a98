import * as z from 'zod'
import data from '../../data/label.json' with { type: 'json' }
import { KINDS, RINSES, SITES } from '../shapes/formula.ts'
import { LABEL_REGIONS } from '../shapes/label.ts'
import { MATERIAL_KINDS, TRAITS } from '../shapes/material.ts'

/** When a sentence stands: every condition that is given holds. Percents are of the product, of the substance itself. */
const When = z.strictObject({
  /** One of these substances, or a material of the trait or kind, is in it. */
  inci: z.array(z.string()).optional(),
  trait: z.enum(TRAITS).optional(),
  kind: z.enum(MATERIAL_KINDS).optional(),
  /** Materials of this trait do not count. */
  notTrait: z.enum(TRAITS).optional(),
  /** All of them together: at least, or more than. */
  fromPercent: z.number().optional(),
  abovePercent: z.number().optional(),
  rinse: z.enum(RINSES).optional(),
  site: z.array(z.enum(SITES)).optional(),
  notSite: z.enum(SITES).optional(),
  product: z.array(z.enum(KINDS)).optional(),
  /** Nothing of this trait is in it. */
  without: z.enum(TRAITS).optional(),
  claims: z.literal('spf').optional(),
  /** More formaldehyde could be set free than the region lets pass unsaid. */
  formaldehyde: z.literal(true).optional(),
  sold: z.literal(true).optional(),
  fresh: z.literal(true).optional(),
  wet: z.literal(true).optional(),
})
export type When = z.infer<typeof When>

const Data = z.strictObject({
  names: z.strictObject({
    /** Names of the EU that stand otherwise in the US. */
    trivial: z.record(z.string(), z.string()),
    /** Latin names with the common one that the US puts behind them. */
    common: z.record(z.string(), z.string()),
    colours: z.record(z.string(), z.string()),
    wax: z.string(),
    source: z.string(),
  }),
  /** What is a colour only where it is put in as one. */
  colourOf: z.record(z.string(), z.string()),
  functions: z.record(z.string(), z.string()),
  statements: z.array(
    z.strictObject({
      code: z.string(),
      text: z.string(),
      source: z.string(),
      confidence: z.enum(['high', 'medium', 'low']),
      regions: z.array(z.enum(LABEL_REGIONS)).optional(),
      /** The words of the law, to stand as they are. */
      quoted: z.boolean().optional(),
      when: When,
    }),
  ),
  /** How it is used: the first row that fits the kind, site and rinse. */
  directions: z.array(
    z.strictObject({
      kinds: z.array(z.enum(KINDS)).min(1),
      sites: z.array(z.enum(SITES)).optional(),
      rinse: z.enum(RINSES).optional(),
      text: z.string(),
    }),
  ),
  more: z.array(z.strictObject({ text: z.string(), when: When })),
})
export const LABEL = Data.parse(data)
