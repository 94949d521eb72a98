import { lots as texts } from '#words/stores'
import { freshnessOf, stockOf, type Lot } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { announce, listen, type Changed } from '../storage/channel'
import { explainStorage } from '../storage/db'
import {
  changeLot,
  deleteFile,
  deleteLot,
  getFile,
  getLot,
  Gone,
  listLots,
  saveFile,
  saveLot,
} from '../storage/shelf'
import { useBin } from './bin'
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

  /** Reads one lot again: it may be new, changed or gone. */
  async function reread(id: string) {
    const lot = await getLot(id).catch(() => null)
    if (lot === null) return
    const at = lots.value.findIndex((l) => l.id === id)
    if (lot && at >= 0) lots.value = lots.value.map((l, i) => (i === at ? lot : l))
    else lots.value = [...(lot ? [lot] : []), ...lots.value.filter((l) => l.id !== id)]
  }

  async function keep<T>(changed: Changed, work: () => Promise<T>): Promise<T | null> {
    try {
      const result = await work()
      problem.value = null
      announce(changed)
      return result
    } catch (error) {
      problem.value = error instanceof Gone ? texts.thisLotWasDeletedIn : explainStorage(error)
      return null
    }
  }
  const now = () => new Date().toISOString()
  /** Adds a lot; it shows at once, and a failed write is said. */
  const put = (lot: Lot) => {
    lots.value = [lot, ...lots.value.filter((l) => l.id !== lot.id)]
    return keep({ type: 'lot', id: lot.id }, () => saveLot(lot, now()))
  }
  /** Saves what was changed of a lot since it was read as `was`; null where it could not be stored. */
  async function change(was: Lot, next: Lot) {
    const saved = await keep({ type: 'lot', id: was.id }, () => changeLot(was, next, now()))
    await reread(was.id)
    return saved
  }
  /** Moves a lot with its paper to the bin; gives back how to undo it. */
  async function remove(lot: Lot, name: string): Promise<(() => Promise<void>) | null> {
    lots.value = lots.value.filter((l) => l.id !== lot.id)
    const bin = await useBin().deleting(name, (forGood) => deleteLot(lot, name, now(), forGood))
    await reread(lot.id)
    announce({ type: 'lot', id: lot.id })
    return useBin().undoOf([bin])
  }
  const putFile = (file: LotFile) => keep({ type: 'lot', id: file.lot }, () => saveFile(file))
  const dropFile = (lot: string) => keep({ type: 'lot', id: lot }, () => deleteFile(lot))
  const fileOf = (lot: string) => getFile(lot).catch(() => undefined)

  const of = (material: string) => lots.value.filter((l) => l.material === material)
  const left = (material: string) => stockOf(lots.value, material, today())
  const owned = computed(() => new Set(lots.value.filter((l) => l.leftGrams > 0).map((l) => l.material)))
  const expiring = computed(() =>
    lots.value
      .filter((l) => l.leftGrams > 0 && ['past', 'soon'].includes(freshnessOf(l, today())))
      .sort((a, b) => a.expires!.localeCompare(b.expires!)),
  )

  listen((message) => {
    if (message.type === 'lot') return reread(message.id)
    if (message.type === 'all') return load()
  })
  return {
    lots,
    problem,
    load,
    reread,
    put,
    change,
    remove,
    putFile,
    dropFile,
    fileOf,
    of,
    left,
    owned,
    expiring,
  }
})
