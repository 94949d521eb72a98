import type { BatchHead } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { deleteBatch, listBatches, putBatch } from '../storage/batches'
import { announce, listen, TAB } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { getSetting, setSetting } from '../storage/formulas'

/** The list of batches, newest first. */
export const useBatches = defineStore('batches', () => {
  const heads = shallowRef<BatchHead[]>([])
  const ready = shallowRef(false)
  const problem = shallowRef<string | null>(null)
  /** Who makes: the name given last. */
  const who = shallowRef('')

  async function load() {
    try {
      heads.value = await listBatches()
      who.value = (await getSetting<string>('who')) ?? who.value
      problem.value = null
    } catch (error) {
      problem.value = explainStorage(error)
    }
    ready.value = true
  }
  const running = computed(() => heads.value.filter((b) => b.status === 'running' || b.status === 'paused'))

  async function remember(name: string) {
    who.value = name
    await setSetting('who', name).catch(() => undefined)
  }

  /** Deletes a batch and gives back how to undo it. */
  async function remove(id: string): Promise<(() => Promise<void>) | null> {
    try {
      const gone = await deleteBatch(id)
      announce({ type: 'batch', id, tab: TAB })
      await load()
      if (!gone) return null
      return async () => {
        const { code, name, formulaId, who: by } = gone.head
        await putBatch(
          { batch: { id, code, name, formulaId, who: by }, events: gone.events, photos: [] },
          gone.head,
          gone.photos,
        )
        await load()
      }
    } catch (error) {
      problem.value = explainStorage(error)
      return null
    }
  }

  listen((message) => {
    if (message.type === 'batch' && ready.value) void load()
  })
  return { heads, running, ready, problem, who, load, remember, remove }
})
