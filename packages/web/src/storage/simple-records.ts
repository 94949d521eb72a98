import { simpleRecords as texts } from '#words/storage'
import type { Backup, Catalogue, Lot } from '@omblet/core'

const lotWords = (l: Lot) => `${Number(l.leftGrams.toFixed(2))} g`

/** Records that are here, or not, or are left as they are here: each with its place and how a sentence tells it. */
export function simpleRecords(backup: Backup, catalogue: Catalogue) {
  const of = <K extends 'materials' | 'lots' | 'containers' | 'changes'>(
    kind: K,
    words: (file: Backup[K][number], here: Backup[K][number]) => string,
  ) =>
    (backup[kind] as Backup[K][number][]).map((item) => ({
      kind,
      id: item.id,
      item,
      words: (here: unknown) => words(item, here as Backup[K][number]),
    }))
  return [
    ...of('materials', (m) => texts.material(m.name)),
    ...of('lots', (l, here) =>
      texts.lotOfHereInThe(catalogue.find(l.material)?.name ?? l.material, lotWords(here), lotWords(l)),
    ),
    ...of('containers', (c, here) => texts.hereInTheBackup(c.name, here.left, c.left)),
    ...of('changes', (c) => texts.changedFactsOf(catalogue.find(c.id)?.name ?? c.id)),
  ]
}
