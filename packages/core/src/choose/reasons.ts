import type { Spread } from '../feel/profile.ts'
import type { Material } from '../shapes/material.ts'
import type { PhRange } from '../assess/windows.ts'
import type { Plain } from '../text/said.ts'

type Pace = NonNullable<Material['setting']>

/** What speaks for or against an emulsifier or thickener here, and how it is worked in, by code. */
export interface ChoiceFacts {
  'holds-at-ph': { range: PhRange }
  'holds-only-at-ph': { range: PhRange; here: PhRange }
  'nonionic-emulsifier': Plain
  'nonionic-thickener': Plain
  'sets-fast': Plain
  'hardly-whitens': Plain
  whitens: Plain
  'hlb-far': { hlb: number; required: number }
  'oil-capacity': { mostPercent: number; oilsPercent: number }
  'polymer-alone': Plain
  sets: { pace: Pace }
  'melts-near': { celsius: number }
  'goes-in-cold': Plain
  'tolerates-salts': Plain
  'tolerates-salt': { tolerancePercent: number; saltPercent: number }
  clear: Plain
  hazy: Plain
  sticky: Plain
  light: Plain
  'wet-first': { parts: number; in: string }
  'full-body-after': { hours: number }
}

/** In what a substitute is like the ingredient it replaces, or differs from it, by code. */
export interface SubstituteFacts {
  functions: { functions: string[] }
  'soluble-in': { in: Material['solubility'][number] }
  charge: { charge: Material['charge']; alike: boolean }
  feel: { feel: string[] }
  spreads: { pace: Spread }
  melts: { celsius: number | null }
  'required-hlb': { hlb: number; rather?: number }
  hlb: { hlb: number; not?: number }
  amount: { percent: number; instead: number }
  'goes-in-below': { celsius: number }
  'wet-first': { parts: number; in: string }
  'needs-ph': { range: PhRange }
  'oxidises-sooner': Plain
  hydration: { hours: number }
  'needs-partner': Plain
  scented: Plain
}
