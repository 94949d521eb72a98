import type { ResolvedLine } from '../materials/resolve.ts'
import type { Line } from '../shapes/formula.ts'
import { kindHas } from '../shapes/kinds.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import { WRITTEN } from '../formula/written.ts'
import { sayPercent } from '../text/format.ts'

const STRENGTHS = WRITTEN.strengths

declare const weighed: unique symbol
/**
 * The name of what stands on the scale, with its strength where it is a solution: `sodium hydroxide, 10 % solution`.
 * Only `weighedName` makes one, and whatever shows an amount takes one: grams are never shown of a bare material.
 */
export type WeighedName = string & { readonly [weighed]: true }

/** From this strength on a powder with something in it is a purity, not a solution, percent (common practice). */
const PURITY_FROM = 75
/** What melts above this is supplied as pellets or flakes, °C. */
const SOLID_FROM_C = 30

/** What a strength below 100 % means for a material: dissolved, dispersed, or the share of a solid that is active. */
function strengthWord(material: Material | null, strengthPercent: number): string {
  if (!material) return STRENGTHS.solution
  if (material.form === 'powder' && strengthPercent > PURITY_FROM) return STRENGTHS.pure
  if (material.meltsC !== undefined && material.meltsC >= SOLID_FROM_C) return STRENGTHS.active
  if (kindHas(material.kind, 'stays-powder')) return STRENGTHS.dispersion
  if (material.solubility[0] !== 'dispersible') return STRENGTHS.solution
  return material.kind === 'silicone' ? STRENGTHS.emulsion : STRENGTHS.dispersion
}

/**
 * A material as it is weighed. `strengthPercent` is percent w/w of it in what is weighed, null where it is pure; a solid
 * lye says that it is one.
 */
export function weighedName(
  name: string,
  strengthPercent: number | null,
  material: Material | null,
): WeighedName {
  const words = strengthWords(strengthPercent, material)
  return (words === null ? name : `${name}, ${words}`) as WeighedName
}

/** What stands behind a name: `10 % solution`, or `solid` for a lye; null for everything else that is pure. */
function strengthWords(strengthPercent: number | null, material: Material | null): string | null {
  if (strengthPercent !== null)
    return `${sayPercent(strengthPercent)} ${strengthWord(material, strengthPercent)}`
  return material?.form === 'powder' && hasTrait(material, 'lye') ? STRENGTHS.solid : null
}

/** Crystal water is part of a salt as it is sold; its name needs no figure. */
const saysStrength = (material: Material | null) => material?.form !== 'powder' || hasTrait(material, 'lye')

/** A material as it is supplied: `sodium lactate, 60 % solution`. */
export const suppliedName = (material: Material): WeighedName =>
  weighedName(
    material.name,
    material.parts || !saysStrength(material) ? null : (material.strengthPercent ?? null),
    material,
  )

export interface WeighedForm {
  name: WeighedName
  /** What the name says behind the material: `10 % solution`; null where it says nothing. */
  strengthWords: string | null
  /** Percent w/w of the material in what is weighed; null where it is pure. */
  strengthPercent: number | null
  /** The line is a solution or dispersion of a material that comes dry otherwise: it pours and is never dissolved again. */
  isSolution: boolean
  /** The material with the facts of the form in which it is weighed. */
  material: Material | null
}

/** A dissolved powder: it pours, makes no dust, and needs no wetting, hydrating or melting any more. */
function asLiquid(material: Material): Material {
  const { slurry: _slurry, hydrationHours: _hydration, meltsC: _melts, ...rest } = material
  return { ...rest, form: 'liquid', traits: rest.traits?.filter((t) => t !== 'dust') }
}

const forms = new WeakMap<ResolvedLine, WeighedForm>()

/** How a line is weighed. A strength on the line holds over the strength at which the material is supplied. */
export function weighedForm(line: Line, resolved: ResolvedLine): WeighedForm {
  const known = forms.get(resolved)
  if (known) return known
  const { material, label } = resolved
  const supplied = material?.parts ? undefined : material?.strengthPercent
  const active = line.strengthPercent ?? supplied ?? 100
  const strengthPercent = active < 100 ? active : null
  const told = line.strengthPercent !== undefined || saysStrength(material) ? strengthPercent : null
  const isSolution =
    line.strengthPercent !== undefined &&
    line.strengthPercent < (supplied ?? 100) &&
    !(material?.form === 'powder' && line.strengthPercent > PURITY_FROM)
  const form: WeighedForm = {
    name: weighedName(label, told, material),
    strengthWords: strengthWords(told, material),
    strengthPercent,
    isSolution,
    material: isSolution && material ? asLiquid(material) : material,
  }
  forms.set(resolved, form)
  return form
}
