import type { BatchEvent } from '@omblet/core'
import type { Waiting, Why } from './waiting-shape'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { useUnstored } from '../browser/unstored'
import { announce } from '../storage/channel'
import { forget, keep, kept, keptNames } from '../storage/session-stash'

const NAME = 'batch:'
/** What was kept, as far as its name can be told; whoever stores it looks at each entry. */
const read = (value: unknown): Waiting | null => {
  const { info, events, pending } = (value ?? {}) as Partial<Waiting>
  const sound = typeof info?.id === 'string' && typeof info.code === 'string' && Array.isArray(events)
  return sound && Array.isArray(pending) && pending.length > 0 ? { info, events, pending } : null
}

/**
 * Entries of batches that could not be stored, apart from those of the batch that is open: they outlive every way through
 * the pages and a reload, are named on each page, and are tried again.
 */
export const useWaiting = defineStore('waiting', () => {
  const waiting = shallowRef<ReadonlyMap<string, Waiting & { why: Why }>>(new Map())
  const list = computed(() => [...waiting.value.values()])

  /** Keeps what waits in the open batch over a reload, without calling it laid aside. */
  const safekeep = (id: string, what: Waiting) => keep(NAME + id, what)
  const release = (id: string) => forget(NAME + id)

  function layAside(what: Waiting, why: Why) {
    waiting.value = new Map(waiting.value).set(what.info.id, { ...what, why })
    safekeep(what.info.id, what)
    later()
  }
  function drop(id: string) {
    const next = new Map(waiting.value)
    next.delete(id)
    waiting.value = next
    release(id)
  }
  /** Hands over what waits in a batch that is opened; whoever takes it looks after it. */
  function take(id: string): BatchEvent[] {
    const here = waiting.value.get(id) ?? kept(NAME + id, read)
    drop(id)
    return here?.pending ?? []
  }

  /** Room may have come back: stores what waits. */
  async function tryAgain() {
    const { storeWaiting } = await import('./store-waiting')
    for (const [id, { why, ...what }] of waiting.value) {
      const now = why === 'conflict' ? why : await storeWaiting(what)
      if (now === null) {
        drop(id)
        announce({ type: 'batch', id })
      } else if (now !== why) layAside(what, now)
    }
    if (waiting.value.size > 0) later()
  }

  /** A batch with everything that waits, as a file: the way out where the store does not take it. */
  async function asFile(id: string): Promise<string | null> {
    const what = waiting.value.get(id)
    return what ? (await import('./store-waiting')).waitingFile(what) : null
  }

  const { later } = useUnstored(() => waiting.value.size > 0, tryAgain)
  const found = keptNames(NAME).flatMap((id) => {
    const what = kept(NAME + id, read)
    return what ? [[id, { ...what, why: 'failed' as Why }] as const] : []
  })
  if (found.length > 0) {
    waiting.value = new Map(found)
    later()
  }

  return { list, safekeep, release, layAside, drop, take, tryAgain, asFile }
})
