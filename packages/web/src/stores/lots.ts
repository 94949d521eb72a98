import { freshnessOf, stockOf, type Lot } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { announce, listen, TAB } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { deleteFile, deleteLot, getFile, listLots, saveFile, saveLot } from '../storage/shelf'
import type { LotFile } from '../storage/schema'

/** This day where one is, as `2026-06-01`. */
export const today = () => {
  const now = new Date()
  const two = (n: number) => String(n).padStart(2, '0')
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
}

/** What stands on the shelf. */
export const useLots = defineStore('lots', () => {
  const lots = shallowRef<Lot[]>([])
  const problem = shallowRef<string | null>(null)

  const load = async () => {
    lots.value = await listLots().catch(() => lots.value)
  }

  async function keep(work: () => Promise<void>) {
    try {
      await work()
      problem.value = null
      announce({ type: 'library', tab: TAB })
    } catch (error) {
      problem.value = explainStorage(error)
    }
  }
  /** Adds or changes a lot; it shows at once, and a failed write is said. */
  const put = (lot: Lot) => {
    lots.value = [lot, ...lots.value.filter((l) => l.id !== lot.id)]
    return keep(() => saveLot(lot))
  }
  /** Takes a lot away and gives back its paper, so that both can be put back. */
  async function remove(lot: Lot): Promise<LotFile | undefined> {
    lots.value = lots.value.filter((l) => l.id !== lot.id)
    const file = await getFile(lot.id).catch(() => undefined)
    await keep(async () => {
      await deleteLot(lot.id)
      if (file) await deleteFile(lot.id)
    })
    return file
  }
  const putFile = (file: LotFile) => keep(() => saveFile(file))
  const dropFile = (lot: string) => keep(() => deleteFile(lot))
  const fileOf = (lot: string) => getFile(lot).catch(() => undefined)

  const of = (material: string) => lots.value.filter((l) => l.material === material)
  const left = (material: string) => stockOf(lots.value, material, today())
  const owned = computed(() => new Set(lots.value.filter((l) => l.leftGrams > 0).map((l) => l.material)))
  const expiring = computed(() =>
    lots.value
      .filter((l) => l.leftGrams > 0 && ['past', 'soon'].includes(freshnessOf(l, today())))
      .sort((a, b) => a.expires!.localeCompare(b.expires!)),
  )

  listen(() => void load())
  return { lots, problem, load, put, remove, putFile, dropFile, fileOf, of, left, owned, expiring }
})
