import { fieldFault } from './field-fault.ts'
import * as z from 'zod'
import { CHARGES } from './charges.ts'
import { CONFIDENCES, MATERIAL_KINDS, SOLUBILITIES, TRAITS } from './material-words.ts'

export * from './material-words.ts'

export const PH_GRADES = ['works', 'holds', 'prefers'] as const
export const EMULSIFIER_ROLES = [
  'oil-in-water',
  'water-in-oil',
  'co-emulsifier',
  'cationic',
  'polymeric',
  'solubiliser',
] as const

/** Neutral words for how a material feels and spreads. */
export const FEELS = [
  'light',
  'medium',
  'rich',
  'fast',
  'slow',
  'dry',
  'silky',
  'slip',
  'soft',
  'firm',
  'melting',
  'waxy',
  'powdery',
  'glossy',
  'sticky',
  'greasy',
  'film',
  'occlusive',
  'evaporates',
] as const

const percent = z.number().min(0).max(100)
const confidence = z.enum(CONFIDENCES)
const level = z.number().int().min(0).max(3)

/** Constants of an acid, base or salt at 25 °C; `counterIonCharge` per mole as supplied, +1 for one sodium. */
export const AcidBaseFacts = z.looseObject({
  molarMass: z.number(fieldFault('no-number')).gt(0, fieldFault('above-zero')),
  pKa: z.array(z.number(fieldFault('no-number')).min(-10).max(20)).max(16),
  chargeFullyProtonated: z.number(fieldFault('no-number')).int().min(-10).max(10),
  counterIonCharge: z.number(fieldFault('no-number')).min(-20).max(20),
})

/** A fact that a maker changed, with what the catalogue says; null where it says nothing. */
const ChangedFact = z.strictObject({
  fact: z.enum(['usage', 'ph', 'heatMaxC', 'density', 'strengthPercent', 'hlb', 'note']),
  was: z.union([z.number(), z.string(), z.object({ min: z.number(), max: z.number() }), z.null()]),
})
export type ChangedFact = z.infer<typeof ChangedFact>

/** A material's facts. Percents are w/w of the product, of the material as supplied unless it says otherwise. */
export const Material = z.strictObject({
  id: z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/),
  inci: z.array(z.string().min(1)).min(1),
  name: z.string().min(1),
  aliases: z.array(z.string().min(1)).optional(),
  kind: z.enum(MATERIAL_KINDS),
  functions: z.array(z.string().min(1)).min(1),
  /** Where it usually goes in. */
  phase: z.enum(['water', 'oil', 'cool-down', 'any']),
  /** What it lives in, the main one first. */
  solubility: z.array(z.enum(SOLUBILITIES)).min(1),
  /** What comes out of the pack; a liquid where nothing is said. */
  form: z.enum(['powder', 'liquid']).optional(),
  heatMaxC: z.number().optional(),
  meltsC: z.number().optional(),
  usage: z.strictObject({ min: percent, typical: percent, max: percent }).optional(),
  /** Where the common part of that range ends, and what changes above: a clause. */
  common: z.strictObject({ to: percent, says: z.string() }).optional(),
  /** `works`: an active or preservative needs it; `holds`: an emulsifier or thickener keeps its body; `prefers`: a wish. */
  ph: z
    .strictObject({
      min: z.number(),
      max: z.number(),
      grade: z.enum(PH_GRADES),
      /** The window counts from this dose up: below it an acid is only a pH adjuster. */
      fromPercent: percent.optional(),
      /** Outside it something is lost slowly: never more than a check. */
      soft: z.boolean().optional(),
      /** What happens outside, a sentence. */
      why: z.string().optional(),
    })
    .optional(),
  charge: z.enum(CHARGES),
  /** g/mL at 20 °C. */
  density: z.number().optional(),
  /** g/mL of a powder, flakes or pastilles as they lie in a spoon. */
  bulkDensity: z.number().gt(0).max(3).optional(),
  /** Active content as usually supplied; the rest is the carrier (water for what lives in water). */
  strengthPercent: z.number().gt(0).max(100).optional(),
  /** A concentrate: parts of water that one part of it turns into the single-strength thing, e.g. 200. */
  reconstitutesTo: z.number().int().min(2).optional(),
  /** Usual make-up of a blend, percent of the blend. */
  parts: z.array(z.strictObject({ inci: z.string().min(1), percent: z.number().gt(0).max(100) })).optional(),
  /** Preservation cover inside its range and window: 0 little, 1 weak, 2 moderate, 3 strong. */
  cover: z
    .strictObject({
      gramPositive: level,
      gramNegative: level,
      yeast: level,
      mould: level,
      role: z.enum(['broad', 'partner', 'booster', 'help']),
    })
    .optional(),
  /** Octanol to water, log10, of a preservative without charge: how much of it oils and micelles take. */
  logKow: z.number().optional(),
  emulsifier: z
    .strictObject({
      role: z.enum(EMULSIFIER_ROLES),
      hlb: z.number().optional(),
      hlbSound: z.enum(['yes', 'partly', 'no']).optional(),
      hlbSource: z.string().optional(),
      /** Usual amount as percent of the oils. */
      shareOfOils: z.strictObject({ min: z.number(), max: z.number() }).optional(),
      maxOilPercent: z.number().optional(),
      /** The other of the classic pair that it is told with, by id. */
      partner: z.string().optional(),
      /** Fatty alcohol to one part of it (common practice). */
      fatty: z.strictObject({ min: z.number(), max: z.number(), says: z.string() }).optional(),
    })
    .optional(),
  requiredHlb: z
    .strictObject({ value: z.number(), low: z.number(), high: z.number(), source: z.string(), confidence })
    .optional(),
  oxidation: z.enum(['fast', 'medium', 'slow']).optional(),
  /** A powder that lumps in bare water: parts of liquid to wet one part with, and which liquid. */
  slurry: z.strictObject({ parts: z.number().gt(0), in: z.string() }).optional(),
  /** Hours until a polymer has its full body. */
  hydrationHours: z.strictObject({ min: z.number().min(0), max: z.number().min(0) }).optional(),
  /** How fast an emulsion thickens while it cools. */
  setting: z.enum(['fast', 'medium', 'slow']).optional(),
  /** Tendency to whiten when rubbed in: 1 none to 5 strong. */
  whitening: z.number().int().min(1).max(5).optional(),
  feel: z.array(z.enum(FEELS)).optional(),
  /** What a lot's analysis found in it, percent of the material. */
  contains: z.array(z.strictObject({ inci: z.string().min(1), percent })).optional(),
  traits: z.array(z.enum(TRAITS)).optional(),
  /** A gel held by charge collapses above so much salt, percent of the product. */
  saltStoodPercent: percent.optional(),
  /** The share of its weight that counts as salt, 0 to 1. */
  saltShare: z.number().gt(0).max(1).optional(),
  /** A solid that dissolves in hot oil: percent of the oils that stay dissolved when they are cold. */
  oilHoldsPercent: percent.optional(),
  /** Groups of what reacts in the jar; pairs of them are told in `data/pairs.json`. */
  reacts: z.array(z.string()).optional(),
  /** Dissolves what water does not: log-linear model, sigma = s · log Kow + t; needs a density. */
  cosolvent: z.strictObject({ s: z.number(), t: z.number(), confidence }).optional(),
  /** From that dose on it goes on moving the pH: which way, and for how many days, where it comes to rest. */
  drift: z
    .strictObject({
      fromPercent: percent,
      says: z.string(),
      why: z.string().optional(),
      way: z.enum(['up', 'down']).optional(),
      restsAfterDays: z.number().gt(0).optional(),
    })
    .optional(),
  /** Months that it stays what it is in a product, at least and at most; another span where there is no water. */
  lasts: z
    .strictObject({
      min: z.number().gt(0),
      max: z.number().gt(0),
      opened: z.number().gt(0).optional(),
      dry: z.strictObject({ min: z.number().gt(0), max: z.number().gt(0) }).optional(),
      says: z.string(),
    })
    .optional(),
  /** Its own constants, where it is an acid, base or salt that the tables do not have. */
  acidBase: AcidBaseFacts.optional(),
  /** One plant or polymer sold under several INCI names. */
  family: z.string().optional(),
  origin: z.enum(['plant', 'mineral', 'animal', 'derived', 'synthetic', 'unknown']),
  note: z.string().optional(),
  source: z.string().min(1),
  confidence,
  /** Made by the user rather than part of the catalogue. */
  own: z.boolean().optional(),
  /** Its parts are known and their shares are not. */
  unknownShares: z.boolean().optional(),
  /** Facts that the maker changed, with what the catalogue says. */
  changed: z.array(ChangedFact).optional(),
})

/** What a line may carry of its own material beside names, functions, ranges and make-up. */
export const MaterialFacts = Material.pick({
  kind: true,
  form: true,
  phase: true,
  heatMaxC: true,
  meltsC: true,
  common: true,
  density: true,
  bulkDensity: true,
  strengthPercent: true,
  cover: true,
  logKow: true,
  emulsifier: true,
  requiredHlb: true,
  oxidation: true,
  slurry: true,
  hydrationHours: true,
  setting: true,
  whitening: true,
  feel: true,
  traits: true,
  saltStoodPercent: true,
  saltShare: true,
  oilHoldsPercent: true,
  reacts: true,
  cosolvent: true,
  drift: true,
  lasts: true,
  origin: true,
  unknownShares: true,
})
  .partial()
  .extend({ ph: Material.shape.ph })
export type MaterialFacts = z.infer<typeof MaterialFacts>

export type Material = z.infer<typeof Material>
export type MaterialKind = Material['kind']
export type Trait = (typeof TRAITS)[number]
export type PhGrade = (typeof PH_GRADES)[number]
export type Cover = NonNullable<Material['cover']>

export const hasTrait = (material: Material, trait: Trait) => material.traits?.includes(trait) ?? false

/** Role of the phase that a material usually goes into; what goes anywhere goes into the water. */
export const usualRole = (material: Material) => (material.phase === 'any' ? 'water' : material.phase)
