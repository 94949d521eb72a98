import { useTableRows as texts } from '#words/ingredients'
import {
  capitalise,
  changeWords,
  sayNumber,
  sayPercent,
  type Lot,
  type Material,
  type TableRead,
} from '@omblet/core'
import { computed, type Ref } from 'vue'
import { useMaterials } from '../../stores/materials'

/** A row of a file as it is shown before anything is stored. */
export interface ShownRow {
  key: string
  row: number
  mark: 'fine' | 'check' | 'note' | 'stop'
  word: string
  name: string
  detail: string
}

/** The rows of a table that was read, each with what would become of it. */
export function useTableRows(read: Readonly<Ref<TableRead | null>>, show: Readonly<Ref<'all' | 'refused'>>) {
  const materials = useMaterials()
  const of = (status: string) => read.value?.rows.filter((r) => r.status === status).length ?? 0
  const toStore = computed(() => of('new') + of('changes'))
  const word = (n: number) => texts.items(read.value?.kind === 'lots', n)
  const what = computed(() => word(toStore.value))
  const STATUS = {
    new: { word: texts.newWord, mark: 'fine' },
    changes: { word: texts.changesYours, mark: 'check' },
    same: { word: texts.unchanged, mark: 'note' },
  } as const
  const nameOf = (id: string) => capitalise(materials.catalogue.find(id)?.name ?? id)
  const describe = (item: Lot | Material) =>
    'leftGrams' in item
      ? {
          name: nameOf(item.material),
          detail: [
            texts.gLeft(sayNumber(item.leftGrams, 2)),
            item.batch && texts.lot(item.batch),
            item.expires && texts.until(item.expires),
            item.supplier,
          ],
        }
      : {
          name: capitalise(item.name),
          detail: [
            item.inci.join(', '),
            item.usage && `${sayPercent(item.usage.min)} – ${sayPercent(item.usage.max)}`,
            item.parts && texts.parts(item.parts.length),
          ],
        }

  const rows = computed<ShownRow[]>(() => {
    if (!read.value) return []
    const refused = read.value.refused.map((r): ShownRow => ({
      key: `x${r.row}`,
      row: r.row,
      mark: 'stop',
      word: 'refused',
      name: r.what || texts.noName,
      detail: r.why,
    }))
    if (show.value === 'refused') return refused
    const taken = read.value.rows.map((r): ShownRow => {
      const { name, detail } = describe(r.item)
      const { mark, word } = STATUS[r.status]
      const told = r.status === 'changes' ? changeWords(r.changes) : detail.filter(Boolean).join(' · ')
      return { key: `r${r.row}`, row: r.row, mark, word, name, detail: told }
    })
    return [...taken, ...refused].sort((a, b) => a.row - b.row)
  })
  const filters = computed(() => [
    { value: 'all', label: texts.all((read.value?.rows.length ?? 0) + (read.value?.refused.length ?? 0)) },
    { value: 'refused', label: texts.refused(read.value?.refused.length ?? 0) },
  ])
  return { of, toStore, what, word, rows, filters }
}
