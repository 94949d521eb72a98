import { BY_MAKER } from './sources.ts'
import type { Custom, Line } from '../shapes/formula.ts'
import { SOLUBILITIES, type Material, type PhGrade } from '../shapes/material.ts'
import { blendNamed } from './blend.ts'
import type { Catalogue } from './catalogue.ts'
import { guessOf } from './guess.ts'
import { MOST_NESTED } from './mixtures.ts'
import { properInci, slug, splitInci } from '../text/names.ts'

/** One substance in a line. `share` is percent of the line as weighed. */
export interface SubstanceShare {
  key: string
  inci: string
  share: number
  /** Bounds of the share: the same where it is known. */
  low: number
  high: number
}

/** A share that is known. */
const exact = (key: string, inci: string, share: number): SubstanceShare => ({
  key,
  inci,
  share,
  low: share,
  high: share,
})
const scaled = (s: SubstanceShare, factor: number): SubstanceShare => ({
  ...s,
  share: s.share * factor,
  low: s.low * factor,
  high: s.high * factor,
})

/**
 * Parts of which only the names are known, the most first as they are usually written: each may be anything from nothing
 * to all of it, and most likely what the middle of all falling shares is (the mean of the ordered simplex).
 */
const openShares = (inci: readonly string[], active: number): SubstanceShare[] =>
  inci.map((name, k) => {
    let share = 0
    for (let j = k + 1; j <= inci.length; j++) share += 1 / j
    return { key: slug(name), inci: name, share: (active * share) / inci.length, low: 0, high: active }
  })

export interface ResolvedLine {
  /** Null when the name is in no catalogue and the line brings no facts of its own. */
  material: Material | null
  /** Catalogue id, or the name as given. */
  id: string
  label: string
  /** For a name that nobody knows: what its words tell of its kind. */
  guess: Material | null
  substances: SubstanceShare[]
  /** Strength against the strength that the usual range is written for: 1 when they agree. */
  doseFactor: number
}

const water = (share: number) => exact('aqua', 'Aqua', share)
const MAX_DEPTH = 6

const kindOf = (functions: readonly string[]): Material['kind'] => {
  const has = (word: string) => functions.some((f) => f.toLowerCase().includes(word))
  if (has('preserv')) return 'preservative'
  if (has('solubilis')) return 'solubiliser'
  if (has('emulsif')) return 'emulsifier'
  if (has('viscosity') || has('thicken') || has('gel')) return 'gum'
  if (has('uv filter') || has('uv absorber')) return 'uv-filter'
  if (has('perfum')) return 'fragrance'
  if (has('buffer')) return 'buffer'
  if (has('emollient')) return 'oil'
  if (has('humectant')) return 'humectant'
  return 'other'
}

const solubilityOf = (custom: Custom): Material['solubility'] => {
  const words = [custom.solubility ?? []].flat().flatMap((s) => s.toLowerCase().split(/[|,/ ]+/))
  const known = SOLUBILITIES.filter((s) => words.includes(s))
  return known.length > 0 ? words.flatMap((w) => known.filter((k) => k === w)) : ['dispersible']
}

/** What outside its pH is lost: what it does, what it holds, or only comfort. */
function phGrade(kind: Material['kind'], functions: readonly string[], base: Material | null): PhGrade {
  if (kind === 'preservative' || functions.some((f) => /active|keratolytic|bleaching/.test(f))) return 'works'
  if (kind === 'emulsifier' || kind === 'gum' || kind === 'cationic') return 'holds'
  return base?.ph?.grade ?? 'prefers'
}

const usageFrom = ({ min, max }: NonNullable<Custom['usage']>) => ({
  min,
  typical: min,
  max: Math.min(100, max),
})

const chemistryOf = ({ ph, charge, contains, acidBase }: Custom, grade: PhGrade): Partial<Material> => ({
  ...(ph ? { ph: { min: ph.min, max: ph.max, grade } } : {}),
  ...(charge ? { charge } : {}),
  ...(contains ? { contains: contains.map(({ inci, percent }) => ({ inci, percent })) } : {}),
  ...(acidBase ? { acidBase } : {}),
})

/** What stays of the material that it is based on; what is in it only where the maker tells nothing else. */
function keptOf(base: Material, custom: Custom): Partial<Material> & Pick<Material, 'id' | 'name'> {
  const { cover, parts, common, ...kept } = base
  const sameMakeUp = !custom.parts && !custom.inci
  return {
    ...kept,
    ...(common && !custom.usage ? { common } : {}),
    ...(sameMakeUp && cover ? { cover } : {}),
    ...(sameMakeUp && parts ? { parts } : {}),
  }
}

/** What is in it: as the maker told, else as of the material it is based on. */
const inciOf = (name: string, custom: Custom, base: Material | null) =>
  custom.inci?.length ? custom.inci.map(properInci) : (base?.inci ?? splitInci(name).map(properInci))

/** A material made from a line's own facts, which win over the catalogue's. */
export function materialFromCustom(name: string, custom: Custom, base: Material | null): Material {
  const inci = inciOf(name, custom, base)
  const functions = custom.functions?.length ? custom.functions : (base?.functions ?? ['other'])
  const kind = base && !custom.functions ? base.kind : kindOf(functions)
  const grade = phGrade(kind, functions, base)
  const usage = custom.usage ? usageFrom(custom.usage) : base?.usage
  return {
    phase: 'any',
    charge: 'none',
    origin: 'unknown',
    id: slug(name),
    name,
    ...(base ? keptOf(base, custom) : {}),
    inci: inci.length > 0 ? inci : [name],
    functions,
    kind,
    solubility: custom.solubility ? solubilityOf(custom) : (base?.solubility ?? ['dispersible']),
    ...(usage ? { usage } : {}),
    ...chemistryOf(custom, grade),
    ...custom.facts,
    source: BY_MAKER,
    ...(inci.length > 1 && !custom.parts ? { unknownShares: true } : {}),
    confidence: 'medium',
    own: true,
  }
}

interface Makeup {
  inci: string
  percent: number
}

const merge = (shares: SubstanceShare[]) => {
  const byKey = new Map<string, SubstanceShare>()
  for (const s of shares) {
    const seen = byKey.get(s.key)
    byKey.set(
      s.key,
      seen
        ? {
            ...seen,
            share: seen.share + s.share,
            low: seen.low + s.low,
            high: Math.min(100, seen.high + s.high),
          }
        : s,
    )
  }
  return [...byKey.values()]
}

/** What own mixtures of a catalogue are made of: each is taken apart once, however many others hold it. */
const mixtures = new WeakMap<Catalogue, Map<Material, SubstanceShare[] | 'open'>>()

/**
 * Parts of a maker's mixture, as supplied, down to substances. A mixture that reaches itself, or lies deeper than
 * `MOST_NESTED` others, stops at its name. Parts above 100 in all are scaled to 100; what is missing below stays unknown.
 */
function mixtureParts(
  parts: readonly { material: string; percent: number }[],
  catalogue: Catalogue,
  depth: number,
): SubstanceShare[] {
  const sum = parts.reduce((total, part) => total + part.percent, 0)
  const scale = sum > 100 ? 100 / sum : 1
  return merge(
    parts.flatMap((part) => {
      const material = catalogue.find(part.material)
      const inner = material
        ? substancesOf(material, undefined, catalogue, depth + 1)
        : [exact(slug(part.material), properInci(part.material), 100)]
      return inner.map((s) => scaled(s, (part.percent * scale) / 100))
    }),
  )
}

/** An own mixture as substances, from memory where it was taken apart before. */
function ownMixture(material: Material, catalogue: Catalogue, depth: number): SubstanceShare[] {
  let known = mixtures.get(catalogue)
  if (!known) mixtures.set(catalogue, (known = new Map()))
  const seen = known.get(material)
  if (seen !== undefined && seen !== 'open') return seen
  const byName = [exact(slug(material.name), properInci(material.name), 100)]
  if (seen === 'open' || depth > MOST_NESTED) return byName
  known.set(material, 'open')
  const result = mixtureParts(
    material.parts!.map((p) => ({ material: p.inci, percent: p.percent })),
    catalogue,
    depth,
  )
  known.set(material, result)
  return result
}

function substancesOf(
  material: Material,
  strength: number | undefined,
  catalogue: Catalogue,
  depth: number,
): SubstanceShare[] {
  const parts: Makeup[] | undefined = material.parts
  // One's own mixture is made of materials as they are supplied; a catalogue blend of pure substances.
  if (parts && material.own) return ownMixture(material, catalogue, depth)
  if (parts && depth < MAX_DEPTH) {
    return parts.flatMap(({ inci, percent }) => {
      const part = catalogue.find(inci)
      const inner =
        part && part.parts && part.id !== material.id
          ? substancesOf(part, undefined, catalogue, depth + 1)
          : [exact(slug(inci), inci, 100)]
      return inner.map((s) => scaled(s, percent / 100))
    })
  }
  const active = strength ?? material.strengthPercent ?? 100
  const [only] = material.inci
  const shares =
    material.inci.length === 1 ? [exact(slug(only!), only!, active)] : openShares(material.inci, active)
  return active < 100 && thinsInWater(material) ? [...shares, water(100 - active)] : shares
}

const thinsInWater = ({ solubility }: Material) =>
  solubility.includes('water') || solubility[0] === 'dispersible'

/** A mixture at a strength: so much of it, the rest its carrier. */
function thinned(
  shares: SubstanceShare[],
  strength: number | undefined,
  material: Material,
): SubstanceShare[] {
  if (strength === undefined || strength >= 100) return shares
  const less = shares.map((s) => scaled(s, strength / 100))
  return thinsInWater(material) ? [...less, water(100 - strength)] : less
}

/**
 * What a line is made of. A blend becomes its parts, a solution its active and water; a strength given on the line
 * replaces the usual one. Shares are percent of the line as weighed.
 */
export function resolveLine(line: Line, catalogue: Catalogue): ResolvedLine {
  // Lines never change in place, so what one was taken apart into stays true as long as it lives.
  let known = resolved.get(catalogue)
  if (!known) resolved.set(catalogue, (known = new WeakMap()))
  let result = known.get(line)
  if (!result) known.set(line, (result = takeApart(line, catalogue)))
  return result
}

const resolved = new WeakMap<Catalogue, WeakMap<Line, ResolvedLine>>()

function takeApart(line: Line, catalogue: Catalogue): ResolvedLine {
  const found = catalogue.find(line.material) ?? (line.custom ? null : blendNamed(line.material, catalogue))
  const material = line.custom ? materialFromCustom(line.material, line.custom, found) : found
  if (!material) {
    const inci = properInci(line.material)
    return {
      material: null,
      id: line.material,
      label: line.material,
      guess: guessOf(line.material),
      substances: [exact(slug(line.material) || 'unnamed', inci, 100)],
      doseFactor: 1,
    }
  }
  const isMixture = line.custom?.parts !== undefined || material.parts !== undefined
  const whole = line.custom?.parts
    ? mixtureParts(line.custom.parts, catalogue, 0)
    : substancesOf(material, line.strengthPercent, catalogue, 0)
  const substances = isMixture ? thinned(whole, line.strengthPercent, material) : whole
  const reference = isMixture ? 100 : (material.strengthPercent ?? 100)
  return {
    material,
    id: found ? found.id : line.material,
    label: material.name,
    guess: null,
    substances: merge(substances),
    doseFactor: line.strengthPercent !== undefined ? line.strengthPercent / reference : 1,
  }
}

/** What a material is made of, falling, as percent of it. */
export const compositionOf = (material: Material, catalogue: Catalogue): SubstanceShare[] =>
  merge(substancesOf(material, undefined, catalogue, 0)).sort((a, b) => b.share - a.share)
