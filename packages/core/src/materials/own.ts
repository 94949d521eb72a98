import type { Said } from '../text/said.ts'
import type { Custom, Formula } from '../shapes/formula.ts'
import { computeAmounts } from '../formula/amounts.ts'
import type { Catalogue } from './catalogue.ts'
import { slug, splitInci, properInci } from '../text/names.ts'
import { compositionOf, materialFromCustom } from './resolve.ts'
import { MOST_NESTED } from './mixtures.ts'
import { MaterialFacts, type Material } from '../shapes/material.ts'

/** A part as supplied: a catalogue id, an own material's id, or a name. */
export type OwnPart = { material: string; percent: number }

/** The few facts that a maker gives about a material of their own. */
export interface OwnFacts {
  name: string
  inci: string
  functions: string[]
  solubility: Material['solubility'][number]
  phase: Material['phase']
  usage?: { min: number; max: number }
  ph?: { min: number; max: number }
  charge?: Material['charge']
  acidBase?: Material['acidBase']
  /** What else matters for its kind. */
  facts?: MaterialFacts
  /** For a mixture, a solution or a stock: what it is made of, percent of it as supplied. */
  parts?: OwnPart[]
}

/** A material of one's own from a short form; its id never meets one that is taken. */
export function ownMaterial(facts: OwnFacts, catalogue: Catalogue): Material {
  const parts = facts.parts?.filter((p) => p.material.trim() !== '' && p.percent > 0)
  const mixture = parts && parts.length > 0
  const custom: Custom = {
    inci: splitInci(facts.inci || facts.name).map(properInci),
    functions: facts.functions.length > 0 ? facts.functions : ['other'],
    solubility: facts.solubility,
    ...(facts.usage ? { usage: facts.usage } : {}),
    ...(facts.ph ? { ph: facts.ph } : {}),
    ...(facts.charge ? { charge: facts.charge } : {}),
    ...(facts.acidBase ? { acidBase: facts.acidBase } : {}),
    ...(facts.facts ? { facts: facts.facts } : {}),
  }
  const stem = slug(facts.name) || 'material'
  let id = stem
  for (let n = 2; catalogue.find(id) !== null; n++) id = `${stem}-${n}`
  const material: Material = {
    ...materialFromCustom(facts.name, custom, null),
    id,
    name: facts.name,
    phase: facts.phase,
    own: true,
    ...(mixture ? { parts: parts.map((p) => ({ inci: p.material, percent: p.percent })) } : {}),
  }
  if (!mixture) return material
  const names = compositionOf(material, catalogue).map((s) => s.inci)
  return names.length > 0 && !facts.inci ? { ...material, inci: names } : material
}

/** Why parts make no mixture. */
export interface MixtureFaultFacts {
  'above-100': { percent: number }
  'contains-itself': { part: string; name: string }
  'too-deep': { part: string; depth: number; most: number }
}
export type MixtureFault = Said<MixtureFaultFacts>

/**
 * Why these parts make no mixture; null when they do. `name` is the mixture's own, which must not be
 * among its parts, directly or inside another mixture.
 */
export function mixtureFault(
  name: string,
  parts: readonly OwnPart[],
  catalogue: Catalogue,
): MixtureFault | null {
  const sum = parts.reduce((s, p) => s + p.percent, 0)
  if (sum > 100.05) return { code: 'above-100', percent: sum }
  const own = slug(name)
  const open = new Set<string>()
  /** Whether a part has the mixture in it, and how deep mixtures lie in it. Each is looked into once. */
  const depths = new Map<string, number>()
  const depthOf = (material: string, level = 0): number => {
    const key = slug(material)
    if (key === own) return Infinity
    const known = depths.get(key)
    if (known !== undefined) return known
    const found = catalogue.find(material)
    if (!found?.own || !found.parts || open.has(key)) return 0
    if (level > MOST_NESTED) return 1
    open.add(key)
    const depth = 1 + Math.max(0, ...found.parts.map((p) => depthOf(p.inci, level + 1)))
    open.delete(key)
    depths.set(key, depth)
    return depth
  }
  for (const { material } of parts) {
    const depth = depthOf(material)
    if (depth === Infinity) return { code: 'contains-itself', part: material, name }
    if (depth >= MOST_NESTED) return { code: 'too-deep', part: material, depth, most: MOST_NESTED }
  }
  return null
}

/** A formula as the parts of a stock: each line with what it has in it, by percent. */
export const partsOfFormula = (formula: Formula): OwnPart[] =>
  computeAmounts(formula).lines.flatMap((line) =>
    line.percent > 0
      ? [
          {
            material: formula.phases[line.phase]!.lines[line.line]!.material,
            percent: Number(line.percent.toFixed(4)),
          },
        ]
      : [],
  )

/** A mixture's parts with mixtures of one's own opened up, so that every name is known on another machine too. */
function openedParts(
  parts: NonNullable<Material['parts']>,
  catalogue: Catalogue,
  known = new Map<Material, OwnPart[]>(),
  above: readonly Material[] = [],
): OwnPart[] {
  const sums = new Map<string, number>()
  const add = (material: string, percent: number) => sums.set(material, (sums.get(material) ?? 0) + percent)
  for (const { inci, percent } of parts) {
    const found = catalogue.find(inci)
    if (!found?.own) add(found?.id ?? inci, percent)
    else if (!found.parts || above.includes(found) || above.length >= MOST_NESTED)
      add(found.inci.join(', '), percent)
    else {
      const inner = known.get(found) ?? openedParts(found.parts, catalogue, known, [...above, found])
      known.set(found, inner)
      for (const p of inner) add(p.material, (p.percent * percent) / 100)
    }
  }
  return [...sums]
    .map(([material, percent]) => ({ material, percent: Number(percent.toPrecision(10)) }))
    .filter((p) => p.percent > 0)
}

/** The facts of an own material that travel with a formula file. */
export function customOf(material: Material, catalogue: Catalogue): Custom {
  return {
    inci: material.inci,
    functions: material.functions,
    solubility: material.solubility,
    ...(material.usage ? { usage: { min: material.usage.min, max: material.usage.max } } : {}),
    ...(material.ph ? { ph: { min: material.ph.min, max: material.ph.max } } : {}),
    ...(material.charge !== 'none' ? { charge: material.charge } : {}),
    ...(material.contains ? { contains: material.contains } : {}),
    ...(material.parts ? { parts: openedParts(material.parts, catalogue) } : {}),
    ...(material.acidBase ? { acidBase: material.acidBase } : {}),
    facts: factsOfOwn(material),
  }
}

/** Everything of a material that a line has no field for. */
function factsOfOwn(material: Material): MaterialFacts {
  const told = Object.keys(MaterialFacts.shape).flatMap((key) => {
    const value = material[key as keyof Material]
    return value === undefined ? [] : [[key, value] as const]
  })
  return MaterialFacts.parse(Object.fromEntries(told))
}
