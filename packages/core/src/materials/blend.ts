import type { DerivedSource } from './sources.ts'
import type { Catalogue } from './catalogue.ts'
import { guessOf } from './guess.ts'
import { isLimited } from './legal.ts'
import { properInci, slug } from '../text/names.ts'
import type { Material, MaterialKind } from '../shapes/material.ts'

/** What stands between the parts of a blend: brackets, commas (not those of 1,2-hexanediol), and words. */
const BETWEEN = /\s*(?:\(and\)|;|\s\+\s|\s&\s|,\s+|,(?=\D)(?<!\d,)|\band\b|\bwith\b)\s*/i
const MOST_PARTS = 12

/** Kinds that decide what a blend is, the first that one of its parts has. */
const DECIDES: readonly MaterialKind[] = [
  'preservative',
  'emulsifier',
  'emulsifier-wo',
  'cationic',
  'solubiliser',
  'polymer',
  'gum',
  'uv-filter',
  'surfactant',
]

const blends = new WeakMap<Catalogue, Map<string, Material | null>>()

/**
 * A material written by the names of its parts, in any order and with commas, “and”, “(and)” or “with”: one of the
 * catalogue where its parts are the same, else a blend whose shares nobody told. Null where the text is no list of
 * materials.
 */
export function blendNamed(text: string, catalogue: Catalogue): Material | null {
  let known = blends.get(catalogue)
  if (!known) blends.set(catalogue, (known = new Map()))
  const seen = known.get(text)
  if (seen !== undefined) return seen
  if (known.size > 2000) known.clear()
  const made = make(text, catalogue)
  known.set(text, made)
  return made
}

function make(text: string, catalogue: Catalogue): Material | null {
  const names = text
    .split(BETWEEN)
    .map((n) => n.trim())
    .filter(Boolean)
  if (names.length < 2 || names.length > MOST_PARTS) return null
  const found = names.map((n) => catalogue.find(n))
  const told = found.map((m, i) => m ?? guessOf(names[i]!) ?? unheardOf(names[i]!))
  if (!found.some((m, i) => m !== null || isLimited(slug(names[i]!))) || told.some((m) => m === null))
    return null
  const parts = told as Material[]
  const inci = [...new Set(found.flatMap((m, i) => m?.inci ?? [properInci(names[i]!)]))]
  const same = catalogue.find(inci.join(', '))
  if (same) return same
  if (inci.length < 2) return null
  return openBlend(text, inci, parts)
}

/** How a chemical's name ends. */
const CHEMICAL = /(ate|ol|one|ide|ine|ene|ose|acid|ester|ether|polymer|in)$/i
/** A part that nobody knows but whose name is one of a chemical, or that a law names. */
const unheardOf = (name: string): Material | null =>
  CHEMICAL.test(name) || isLimited(slug(name))
    ? {
        id: slug(name),
        name,
        inci: [properInci(name)],
        kind: 'other',
        functions: ['other'],
        phase: 'any',
        solubility: ['dispersible'],
        charge: 'none',
        origin: 'unknown',
        source: 'name-alone' satisfies DerivedSource,
        confidence: 'low',
      }
    : null

const least = (values: (number | undefined)[]) => {
  const known = values.filter((v) => v !== undefined)
  return known.length > 0 ? Math.min(...known) : undefined
}
const most = (values: (number | undefined)[]) => {
  const known = values.filter((v) => v !== undefined)
  return known.length > 0 ? Math.max(...known) : undefined
}

/** What can be said of a blend without its shares: what its parts do, stand and carry. */
function openBlend(text: string, inci: string[], parts: readonly Material[]): Material {
  const main = DECIDES.flatMap((kind) => parts.find((p) => p.kind === kind) ?? [])[0] ?? parts[0]!
  const charged = parts.find((p) => p.charge === 'cationic') ?? parts.find((p) => p.charge === 'anionic')
  const carrying = parts.filter((p) => p.emulsifier && p.emulsifier.role !== 'co-emulsifier')
  const emulsifier = (
    carrying.find((p) => p.emulsifier!.role !== 'polymeric' && p.emulsifier!.role !== 'solubiliser') ??
    carrying[0] ??
    parts.find((p) => p.emulsifier)
  )?.emulsifier
  const traits = [...new Set(parts.flatMap((p) => p.traits ?? []))]
  const heatMaxC = least(parts.map((p) => p.heatMaxC))
  const meltsC = most(parts.map((p) => p.meltsC))
  return {
    id: slug(text),
    name: text,
    inci,
    kind: main.kind,
    functions: [...new Set(parts.flatMap((p) => p.functions))],
    phase: main.phase,
    solubility: main.solubility,
    charge: charged?.charge ?? main.charge,
    origin: 'unknown',
    ...(parts.every((p) => p.form === 'powder') ? { form: 'powder' as const } : {}),
    ...(heatMaxC === undefined ? {} : { heatMaxC }),
    ...(meltsC === undefined ? {} : { meltsC }),
    // Its balance is that of its shares, which nobody told.
    ...(emulsifier ? { emulsifier: { role: emulsifier.role } } : {}),
    ...(traits.length > 0 ? { traits } : {}),
    unknownShares: true,
    source: 'by-parts' satisfies DerivedSource,
    confidence: 'low',
  }
}
