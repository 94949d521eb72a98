import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { countBin, listBin, removeFromBin, sweepBin, takeFromBin, type Back } from '../storage/bin'
import { announce, listen } from '../storage/channel'
import { explainStorage } from '../storage/db'
import type { BinRecord } from '../storage/schema'
import { useBatches } from './batches'
import { useLibrary } from './library'
import { useLots } from './lots'
import { useMaterials } from './materials'

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

  /** Puts something back and shows it where it belongs. */
  async function takeBack(id: string): Promise<Back | null> {
    try {
      const back = await takeFromBin(id)
      problem.value = null
      records.value = records.value.filter((r) => r.id !== id)
      await count()
      if (!back) return null
      announce({ type: back.kind, id: back.id })
      announce({ type: 'bin' })
      if (back.kind === 'formula') await useLibrary().reread(back.id)
      else if (back.kind === 'batch') await useBatches().reread(back.id)
      else if (back.kind === 'lot') await useLots().reread(back.id)
      else await useMaterials().load()
      return back
    } catch (error) {
      problem.value = explainStorage(error)
      return null
    }
  }
  async function throwAway(id: string) {
    await removeFromBin(id).catch((error: unknown) => (problem.value = explainStorage(error)))
    announce({ type: 'bin' })
    await load()
  }

  listen((message) => {
    if (message.type === 'bin' || message.type === 'all') void (records.value.length > 0 ? load() : count())
  })
  return { records, size, problem, load, count, sweep, takeBack, throwAway }
})
