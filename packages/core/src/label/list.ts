import type { Said } from '../text/said.ts'
import type { LeftOutFacts } from './said.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { slug, splitInci } from '../text/names.ts'
import { compositionOf } from '../materials/resolve.ts'
import type { Material } from '../shapes/material.ts'
import { amountsIn } from '../recipes/amounts.ts'
import { makeMatcher, type Confidence } from '../recipes/match.ts'

/** One name of an ingredient list. */
export interface LabelName {
  /** As it stands on the label, without footnotes and percents. */
  text: string
  /** Key of the substance. */
  key: string
  /** A material of the catalogue that is this substance alone; null where there is none. */
  material: Material | null
  confidence: Confidence | null
  /** Percent that the label declares. */
  declaredPercent: number | null
  /** Stands under “may contain”: it may be missing altogether. */
  maybe: boolean
}

export interface LabelList {
  names: LabelName[]
  /** Words that were left out, and why. */
  leftOut: { text: string; why: Said<LeftOutFacts> }[]
}

export const MOST_LABEL_NAMES = 120

const MAY = /(?:\bmay contain|\bpeut contenir|\+\s*\/\s*-|±)[\s:()[\]]*/i
const HEAD = /^\s*(?:full )?(?:ingredients?(?: list)?|inci(?: list)?|composition|contains)\s*[:.–—-]\s*/i
const FOOT =
  /^(?:\*+|†+|‡+)?\s*(?:from |of )?(?:certified |organic|derived|natural|component|occurring|ingredient)/i

/** “Aqua (Water)” and “Aqua/Water/Eau” are one name said twice. */
const NAMES_OF_WATER =
  /^(?:aqua|water|eau|purified water|deionized water|demineralized water)(?:\s*[/(]\s*(?:aqua|water|eau)\s*\)?)*$/i

/** Reads an ingredient list in label order, whatever parts its names. Nothing is dropped unsaid. */
export function readLabel(text: string, catalogue: Catalogue): LabelList {
  const match = makeMatcher(catalogue)
  const names: LabelName[] = []
  const leftOut: LabelList['leftOut'] = []
  const flat = text
    .replace(/^\ufeff/, '')
    .replace(HEAD, '')
    .replace(/\s*[\r\n]+\s*/g, (m) => (/\n\s*\n/.test(m) ? ', ' : ' '))
  // Lists with one name a line have no commas.
  const source =
    flat.includes(',') || flat.includes('•') ? flat : text.replace(HEAD, '').replace(/[\r\n]+/g, ', ')
  const [sure, ...maybe] = source.split(MAY)
  const take = (part: string, may: boolean) => {
    for (const raw of splitInci(part.replace(/\s*[•·|;]\s*/g, ', ')).flatMap((p) =>
      p.includes('(') ? [p] : p.split(/\s\/\s/),
    )) {
      const trimmed = raw
        .replace(/[[\]]/g, ' ')
        .replace(/\s+/g, ' ')
        .replace(/^[\s.:*†‡()-]+|[\s.*†‡:]+$/g, '')
      if (!/[a-z]{2}/i.test(trimmed)) {
        if (/\S/.test(trimmed)) leftOut.push({ text: trimmed, why: { code: 'no-name' } })
        continue
      }
      if (FOOT.test(trimmed)) {
        leftOut.push({ text: trimmed, why: { code: 'footnote' } })
        continue
      }
      const found = amountsIn(trimmed).find(
        (f) => f.amount.kind === 'quantity' && f.amount.unit === 'percent',
      )
      const declared = found?.amount.kind === 'quantity' ? (found.amount.min + found.amount.max) / 2 : null
      const name = (found ? trimmed.slice(0, found.start) + trimmed.slice(found.end) : trimmed)
        .replace(/\(\s*\)/g, '')
        .replace(/\s+/g, ' ')
        .replace(/[\s(:,–—-]+$/g, '')
        .trim()
      const water = NAMES_OF_WATER.test(name)
      const { match: hit } = match(water ? 'aqua' : name)
      const known = hit && hit.confidence !== 'perhaps' ? hit : null
      const single = known && known.material.inci.length === 1 ? known.material : null
      const key = single ? slug(single.inci[0]!) : slug(name)
      if (names.some((n) => n.key === key)) {
        leftOut.push({ text: name, why: { code: 'twice' } })
        continue
      }
      if (names.length >= MOST_LABEL_NAMES) {
        leftOut.push({ text: name, why: { code: 'too-many', most: MOST_LABEL_NAMES } })
        continue
      }
      names.push({
        text: name,
        key,
        material: single,
        confidence: single ? known!.confidence : null,
        declaredPercent: declared !== null && declared > 0 && declared <= 100 ? declared : null,
        maybe: may,
      })
    }
  }
  take(sure ?? '', false)
  maybe.forEach((part) => take(part, true))
  return { names, leftOut }
}

/** What brings a substance into a product: a material, and how much of the material is the substance, percent. */
export interface SubstanceSource {
  material: Material
  share: number
}

const sourcesByCatalogue = new WeakMap<Catalogue, Map<string, SubstanceSource[]>>()

/** Materials of a catalogue by the substances in them. */
export function substanceSources(catalogue: Catalogue): ReadonlyMap<string, readonly SubstanceSource[]> {
  const seen = sourcesByCatalogue.get(catalogue)
  if (seen) return seen
  const map = new Map<string, SubstanceSource[]>()
  for (const material of catalogue.materials)
    for (const { key, share } of compositionOf(material, catalogue)) {
      const list = map.get(key)
      if (list) list.push({ material, share })
      else map.set(key, [{ material, share }])
    }
  sourcesByCatalogue.set(catalogue, map)
  return map
}
