import * as z from 'zod'
import data from '../../data/acid-base.json' with { type: 'json' }
import { CONFIDENCES } from '../shapes/material.ts'

/** Acid–base and solubility constants of a substance at 25 °C. */
export const AcidBase = z.strictObject({
  key: z.string(),
  inci: z.string(),
  /** g/mol of the formula unit as named. */
  molarMass: z.number().gt(0),
  /** Thermodynamic, from the fully protonated form down. Empty for strong acids, strong bases and neutral things. */
  pKa: z.array(z.number()),
  chargeFullyProtonated: z.number().int(),
  /** Strong counter-ions per formula unit: +1 for one sodium, −1 for one chloride. */
  counterIonCharge: z.number(),
  /** Acid families per formula unit where it is not one. */
  acidUnits: z.number().int().optional(),
  /** Ions of a strong salt, which only raise the ionic strength. */
  ions: z.array(z.number()).optional(),
  /** Of the uncharged form, g per kg of water. */
  intrinsicSolubility: z.number().gt(0).optional(),
  /** Of the thing itself where pH hardly matters, g per kg of water. */
  waterSolubility: z.number().gt(0).optional(),
  logKow: z.number().optional(),
  /** Apparent enthalpy of solution, kJ/mol, between cold storage and 25 °C. */
  enthalpy: z.number().optional(),
  enthalpySource: z.string().optional(),
  hydrolysesTo: z.string().optional(),
  /** The acid that a salt is, once acid frees it. */
  saltOf: z.string().optional(),
  /** What the free acid is there for; without it only buffers. */
  does: z.enum(['preserves', 'acts']).optional(),
  /** Free acid that keeps microbes down where it is alone, percent of the product (common practice, estimates). */
  worksFrom: z.number().gt(0).optional(),
  /** What its free form does at a pH, the first that the pH lies below. */
  effects: z
    .array(
      z.strictObject({
        below: z.number().optional(),
        state: z.enum(['fine', 'note', 'check']),
        text: z.string(),
      }),
    )
    .optional(),
  polymer: z.boolean().optional(),
  source: z.string(),
  confidence: z.enum(CONFIDENCES),
})
export type AcidBase = z.infer<typeof AcidBase>

export const acidBases = data as unknown as readonly AcidBase[]
const byKey = new Map(acidBases.map((a) => [a.key, a]))

/** Constants of a substance, or undefined. */
export const acidBaseOf = (key: string): AcidBase | undefined => byKey.get(key)
