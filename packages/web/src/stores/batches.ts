import { batches as texts } from '#words/stores'
import type { BatchHead } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { deleteBatch, getHead, listBatches, listOrphans, type Orphan } from '../storage/batches'
import { announce, listen, makeId } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { carriedSetting, setSetting } from '../storage/settings'
import { useBin } from './bin'

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
      who.value = (await carriedSetting('who')) ?? who.value
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

  /** Batches of which only the entries, or only the name, is left. */
  const orphans = shallowRef<Orphan[]>([])
  const loadOrphans = async () => {
    orphans.value = await listOrphans().catch(() => [])
  }

  /** Reads one batch again: it may be new, changed or gone. */
  async function reread(id: string) {
    const head = await getHead(id).catch(() => null)
    if (head === null) return
    const others = heads.value.filter((b) => b.id !== id)
    heads.value = head ? [...others, head].sort((x, y) => y.lastAt.localeCompare(x.lastAt)) : others
  }

  /** Moves a batch, or what is left of one, to the bin; gives back how to undo it. */
  async function remove(id: string): Promise<(() => Promise<void>) | null> {
    const name = heads.value.find((h) => h.id === id)?.code ?? texts.theBatch
    const bin = await useBin().deleting(name, (forGood) =>
      deleteBatch(id, new Date().toISOString(), makeId, forGood),
    )
    if (bin === null) return null
    announce({ type: 'batch', id })
    await reread(id)
    orphans.value = orphans.value.filter((o) => o.id !== id)
    return useBin().undoOf([bin])
  }

  listen((message) => {
    if (!ready.value) return
    if (message.type === 'batch') return reread(message.id)
    if (message.type === 'all') return load()
  })
  return { heads, running, ready, problem, who, orphans, load, loadOrphans, reread, remember, remove }
})
