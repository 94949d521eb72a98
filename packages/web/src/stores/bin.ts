import { bin as texts } from '#words/stores'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { countBin, listBin, removeFromBin, sweepBin, takeFromBin, type Back } from '../storage/bin'
import { announce, listen, tellAll } from '../storage/channel'
import { explainStorage, troubleOf } from '../storage/db'
import type { BinRecord } from '../storage/schema'

/** What was deleted and can come back. */
export const useBin = defineStore('bin', () => {
  const records = shallowRef<BinRecord[]>([])
  const size = ref(0)
  const problem = shallowRef<string | null>(null)

  async function load() {
    try {
      records.value = await listBin()
      size.value = records.value.length
      problem.value = null
    } catch (error) {
      problem.value = explainStorage(error)
    }
  }
  const count = async () => {
    size.value = await countBin().catch(() => size.value)
  }
  /** Throws away for good what has lain here long enough. */
  const sweep = async () => {
    await sweepBin(new Date().toISOString()).catch(() => 0)
    await count()
  }

  /** Puts something back and shows it where it belongs; null where it was not here any more, or why stands in `problem`. */
  async function takeBack(id: string): Promise<Back | null> {
    try {
      const back = await takeFromBin(id)
      problem.value = null
      records.value = records.value.filter((r) => r.id !== id)
      await count()
      if (!back) return null
      announce({ type: 'bin' })
      await tellAll({ type: back.kind, id: back.id })
      return back
    } catch (error) {
      problem.value = explainStorage(error)
      return null
    }
  }
  /** What could not be deleted, and where there was no room for it in the bin, how to delete it for good. */
  const refused = shallowRef<{ name: string; why: string; forGood: (() => Promise<void>) | null } | null>(
    null,
  )
  /** Deletes by way of the bin; where that cannot be, null, and `refused` tells why and offers what can be done. */
  async function deleting<T>(name: string, work: (forGood: boolean) => Promise<T>): Promise<T | null> {
    try {
      const done = await work(false)
      refused.value = null
      return done
    } catch (error) {
      const full = troubleOf(error) === 'full'
      refused.value = {
        name,
        why: full ? texts.thereIsNoRoomFor : explainStorage(error),
        forGood: full ? forGood : null,
      }
      return null
    }
    async function forGood() {
      try {
        await work(true)
        refused.value = null
        await tellAll({ type: 'all' })
      } catch (error) {
        refused.value = { name, why: explainStorage(error), forGood: null }
      }
    }
  }
  /** How to undo what went to the bin; null where nothing did. Counts again what lies there. */
  async function undoOf(ids: readonly (string | null)[]): Promise<(() => Promise<void>) | null> {
    await count()
    const here = ids.filter((id) => id !== null)
    if (here.length === 0) return null
    return async () => {
      for (const id of here) await takeBack(id)
    }
  }
  async function throwAway(id: string) {
    await removeFromBin(id).catch((error: unknown) => (problem.value = explainStorage(error)))
    announce({ type: 'bin' })
    await load()
  }

  listen((message) => {
    if (message.type === 'bin' || message.type === 'all') return records.value.length > 0 ? load() : count()
  })
  return { records, size, problem, refused, deleting, load, sweep, takeBack, undoOf, throwAway }
})
