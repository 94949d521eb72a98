import type { Catalogue } from '../materials/catalogue.ts'
import { blendNamed } from '../materials/blend.ts'
import { slug } from '../text/names.ts'
import type { Material } from '../shapes/material.ts'
import { makeSearch, type Search } from '../materials/search.ts'

/** `sure` is the name itself; `likely` the name with words left out; `perhaps` a guess by spelling. */
export type Confidence = 'sure' | 'likely' | 'perhaps'

export interface Match {
  material: Material
  confidence: Confidence
}

/** Words that say how good or of what make a thing is, not what it is. */
const ADJECTIVES =
  /\b(organic|pure|raw|refined|unrefined|virgin|extra|cold[- ]pressed|cosmetic[- ]grade|food[- ]grade|usp|bp|vegetable|vegetal|natural|fresh|filtered|boiled|cooled|melted|sifted|liquid|powdered|powder|flakes?|pellets?|beads?|pastilles?|fine|deodori[sz]ed|your|favou?rite|of choice|of your choice|any|some|the|pharma(?:ceutical)? grade|certified|fair[- ]trade|non[- ]gmo|rspo|optional|solution|soln|aqueous)\b/gi

const SPELLINGS: readonly (readonly [RegExp, string])[] = [
  [/lysed\b/g, 'lyzed'],
  [/liquorice/g, 'licorice'],
  [/(glycerin)e\b/g, '$1'],
  [/\bsulph/g, 'sulf'],
  [/\bessence\b/g, 'essential oil'],
  [/\be\.?o\.?$/g, 'essential oil'],
  [/\bvit\.?\s/g, 'vitamin '],
  [/\bext\.?$/g, 'extract'],
]

function spelt(name: string): string {
  let text = name.toLowerCase()
  for (const [from, to] of SPELLINGS) text = text.replace(from, to)
  return text
}

const squeeze = (text: string) =>
  text
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:.–—*•·()-]+|[\s,;:–—*•·(-]+$/g, '')
    .trim()

/** Ways to say a name, the fullest first; `false` where words were left out. */
function* readings(name: string): Generator<[text: string, whole: boolean]> {
  const full = squeeze(name)
  yield [full, true]
  const same = spelt(full)
  yield [same, true]
  const inside = [...full.matchAll(/\(([^()]+)\)/g)].map((m) => squeeze(m[1]!))
  const outside = squeeze(full.replace(/\([^()]*\)?/g, ' '))
  if (inside.length > 0) {
    yield [outside, true]
    yield [spelt(outside), true]
  }
  for (const part of inside) yield [part, false]
  // “oil (sunflower)”
  for (const part of inside) yield [`${part} ${outside}`, false]
  // “Water, distilled”
  const turned = /^([^,]+),\s*([^,]+)$/.exec(outside)
  if (turned) {
    yield [`${turned[2]} ${turned[1]}`, true]
    yield [turned[1]!, false]
  }
  const plain = squeeze(spelt(outside).replace(ADJECTIVES, ' '))
  yield [plain, false]
  yield [plain.replace(/s\b/g, ''), false]
  yield [plain.replace(/\boil$/, 'essential oil'), false]
  yield [plain.replace(/\s+oil$/, ''), false]
  yield [plain.replace(/\b(water|distillate|floral water)$/, 'hydrosol'), false]
  yield [`${plain} oil`, false]
  yield [`${plain} extract`, false]
  for (const part of full.split(/\s+(?:or|aka|=)\s+|\s*\/\s*|\s+[-–—]\s+/i))
    if (part !== full) yield [squeeze(part), false]
}

/** No name of a material is longer; looking for it in longer words is looking for nothing. */
export const LONGEST_NAME = 160

/** What the words of a recipe mean, and whether they are for sure a name, which costs no guessing. */
export interface Matcher {
  (name: string): { match: Match | null; others: Material[] }
  isSure: (name: string) => boolean
}

/** Finds what a recipe's words mean in a catalogue. Made once for many names. */
export function makeMatcher(catalogue: Catalogue): Matcher {
  let search: Search | null = null
  const known = new Map<string, { match: Match | null; others: Material[] }>()
  const sure = new Map<string, boolean>()
  const find = (name: string) => {
    if (name.length > LONGEST_NAME) return { match: null, others: [] }
    for (const [text, whole] of readings(name)) {
      const material = text ? catalogue.find(text) : null
      if (material)
        return {
          match: { material, confidence: whole ? ('sure' as const) : ('likely' as const) },
          others: [],
        }
    }
    // a blend by its parts, in any order and with “and”
    const blend = blendNamed(squeeze(name), catalogue)
    if (blend)
      return {
        match: { material: blend, confidence: blend.unknownShares ? ('likely' as const) : ('sure' as const) },
        others: [],
      }
    search ??= makeSearch(catalogue.materials)
    const plain =
      squeeze(
        spelt(name)
          .replace(/\([^()]*\)?/g, ' ')
          .replace(ADJECTIVES, ' '),
      ) || squeeze(name)
    const others = ofKind(plain, catalogue) ?? (plain.length < 3 ? [] : search(plain, 6))
    const first = others.find((m) => sharesWords(plain, m))
    return {
      match: first ? { material: first, confidence: 'perhaps' as const } : null,
      others,
    }
  }
  const match = (name: string) => {
    const seen = known.get(name)
    if (seen) return seen
    const result = find(name)
    known.set(name, result)
    return result
  }
  const isSure = (name: string) => {
    if (name.length > LONGEST_NAME) return false
    let is = known.has(name) ? known.get(name)!.match?.confidence === 'sure' : sure.get(name)
    if (is === undefined) {
      is = false
      for (const [text, whole] of readings(name)) {
        if (!text || !catalogue.find(text)) continue
        is = whole
        break
      }
      if (!is && /,|\band\b|\bwith\b|\+|&/.test(name))
        is = blendNamed(squeeze(name), catalogue) !== null && !/\d/.test(name)
      sure.set(name, is)
    }
    return is
  }
  return Object.assign(match, { isSure })
}

/** “Preservative”: materials of that kind, those that cover everything first; null where a word is no kind. */
function ofKind(name: string, catalogue: Catalogue): Material[] | null {
  const kind = slug(name.replace(/s$/, ''))
  const list = catalogue.materials.filter((m) => m.kind === kind)
  const broad = (m: Material) => Number(m.cover?.role === 'broad')
  return list.length > 0 ? list.sort((x, y) => broad(y) - broad(x)).slice(0, 6) : null
}

/** Half of the words or more begin alike: less is no guess worth showing. */
function sharesWords(name: string, material: Material): boolean {
  const words = slug(name)
    .split('-')
    .filter((w) => w.length > 2)
  const own = [material.name, ...material.inci, ...(material.aliases ?? []), ...material.functions].flatMap(
    (n) => slug(n).split('-'),
  )
  const alike = words.filter((w) => own.some((o) => o.slice(0, 4) === w.slice(0, 4)))
  return words.length > 0 && alike.length * 2 >= words.length
}
