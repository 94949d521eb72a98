import { common } from '#words/common'
import { rows as texts } from '#words/ingredients'
import { sayNumber, type Material, type Stand } from '@omblet/core'

export type ShelfRow =
  { key: string; title: string; count: number } | { key: string; material: Material; stand: Stand | null }

/** What belongs to the maker, and how it stands. */
export interface Mine {
  standOf: (id: string) => Stand | null
  used: ReadonlySet<string>
}

const URGENCY = { past: 0, soon: 1, good: 3, unknown: 3 } as const
const urgency = (stand: Stand) => Math.min(URGENCY[stand.freshness], stand.runsOut ? 2 : 3)

/**
 * The shelf as it is read: what stands on it, what ends or runs out first; one's own; what one's formulas use; the rest of
 * the catalogue. A section that is empty is not there; one section alone has no title.
 */
export function shelfRows(found: readonly Material[], { standOf, used }: Mine): ShelfRow[] {
  const stands = new Map(found.map((m) => [m.id, standOf(m.id)] as const))
  const sections: { title: string; materials: Material[] }[] = [
    { title: common.myStock, materials: [] },
    { title: texts.own, materials: [] },
    { title: texts.inMyFormulas, materials: [] },
    { title: texts.theCatalogue, materials: [] },
  ]
  for (const m of found)
    sections[stands.get(m.id) ? 0 : m.own ? 1 : used.has(m.id) ? 2 : 3]!.materials.push(m)
  sections[0]!.materials.sort((x, y) => urgency(stands.get(x.id)!) - urgency(stands.get(y.id)!))
  const shown = sections.filter((s) => s.materials.length > 0)
  return shown.flatMap(({ title, materials }) => [
    ...(shown.length > 1 ? [{ key: `title ${title}`, title, count: materials.length }] : []),
    ...materials.map((material) => ({ key: material.id, material, stand: stands.get(material.id) ?? null })),
  ])
}

/** How a lot stands in words, with what is wrong with it; null where nothing is. */
export function standWords(stand: Stand): { left: string; warning: string | null } {
  const left = texts.gLeft(sayNumber(stand.grams, stand.grams < 10 ? 1 : 0))
  if (stand.freshness === 'past') return { left, warning: texts.expired(stand.expires ?? '') }
  if (stand.freshness === 'soon') return { left, warning: texts.bestBefore(stand.expires ?? '') }
  return { left, warning: stand.runsOut ? texts.runningLow : null }
}
