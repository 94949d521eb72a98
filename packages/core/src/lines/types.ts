import type { LineAmount } from '../formula/amounts.ts'
import type { SubstanceShare } from '../materials/resolve.ts'
import type { Line, Phase } from '../shapes/formula.ts'
import type { Material } from '../shapes/material.ts'
import type { WeighedName } from './weighed.ts'

/** A line with its material, its amount and what it is made of. */
export interface AssessedLine extends LineAmount {
  source: Line
  phaseSource: Phase
  /** With the facts of the form in which it is weighed. */
  material: Material | null
  /** Of a name that nobody knows: what its words tell of its kind; inferred, so never the ground of a limit. */
  guess: Material | null
  id: string
  /** Name of the material alone; beside an amount stands `weighedAs`. */
  label: string
  /** Name of what is weighed, with its strength. */
  weighedAs: WeighedName
  /** What that name says behind the material: `10 % solution`; null where it says nothing. */
  strengthWords: string | null
  /** Percent w/w of the material in what is weighed; null where it is pure. */
  strengthPercent: number | null
  /** A solution or dispersion of what comes dry otherwise. */
  isSolution: boolean
  substances: readonly SubstanceShare[]
  /** Percent expressed at the strength that the material's usual range is written for. */
  dosePercent: number
}

export interface Substance {
  key: string
  inci: string
  /** Percent of the whole product, summed over every line that contains it. */
  percent: number
  /** Between these, where the share of a blend is not known; else the same. */
  low: number
  high: number
  /** Indexes into `lines`. */
  lines: number[]
}
