import {
  benchPlan,
  foldBatch,
  headOf,
  lotUse,
  refusal,
  type BatchInfo,
  type BatchState,
  type BenchEvent,
  type BenchPlan,
  type Happening,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { plain } from '../components/design'
import { appendEvent, eventsFrom, EventTaken, getBatch } from '../storage/batches'
import { announce, listen, makeId, TAB } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { useLots } from './lots'
import { useMaterials } from './materials'

/** What could not be stored yet; it waits and is not shown as done. */
interface Waiting {
  happening: Happening
  step: string | null
  why: string
}

/**
 * The batch that is open. Everything that happens is an event; it is stored first and shown then, so that whatever
 * happens to the page, the stored events are what was done.
 */
export const useBatch = defineStore('batch', () => {
  const materials = useMaterials()
  const lots = useLots()
  const info = shallowRef<BatchInfo | null>(null)
  const plan = shallowRef<BenchPlan | null>(null)
  const events = shallowRef<BenchEvent[]>([])
  const waiting = shallowRef<Waiting | null>(null)
  /** Something to tell: why an entry was refused, or that another tab wrote. */
  const told = shallowRef<string | null>(null)
  const state = computed<BatchState | null>(() =>
    plan.value && events.value.length > 0 ? foldBatch(plan.value, events.value) : null,
  )

  async function open(id: string): Promise<boolean> {
    if (info.value?.id === id && events.value.length > 0) {
      await catchUp()
      return true
    }
    close()
    const found = await getBatch(id)
    const start = found?.events[0]
    if (!found || start?.type !== 'start') return false
    const { code, name, formulaId, who } = found.head
    info.value = { id, code, name, formulaId, who }
    plan.value = benchPlan(start.formula, materials.catalogue)
    events.value = found.events
    return true
  }
  function close() {
    info.value = null
    plan.value = null
    events.value = []
    waiting.value = null
    told.value = null
  }

  /** Begins a batch and stores its start. Rejects with the store's error. */
  async function begin(
    batch: Omit<BatchInfo, 'id'>,
    start: Extract<Happening, { type: 'start' }>,
  ): Promise<string> {
    const full = { ...batch, id: makeId() }
    const first = { n: 0, at: new Date().toISOString(), step: null, ...plain(start) } as BenchEvent
    const made = benchPlan(start.formula, materials.catalogue)
    await appendEvent(headOf(full, foldBatch(made, [first])), first, null)
    info.value = full
    plan.value = made
    events.value = [first]
    waiting.value = null
    told.value = null
    announce({ type: 'batch', id: full.id, tab: TAB })
    return full.id
  }

  /** What another tab wrote since. */
  async function catchUp() {
    const id = info.value?.id
    if (!id) return
    const more = await eventsFrom(id, events.value.length).catch(() => [])
    if (info.value?.id === id && more.length > 0 && more[0]!.n === events.value.length)
      events.value = [...events.value, ...more]
  }

  let queue: Promise<unknown> = Promise.resolve()
  /**
   * Stores what happened, then shows it. False where it was refused or could not be stored; why is told. `step` is the
   * step that is worked on unless another is given; `quiet` for what happens by itself and will happen again.
   */
  function append(happening: Happening, step?: string | null, quiet = false): Promise<boolean> {
    const at = new Date().toISOString()
    const next = queue.then(() => write(happening, step, at, quiet))
    queue = next.catch(() => undefined)
    return next
  }

  async function write(
    happening: Happening,
    step: string | null | undefined,
    at: string,
    quiet: boolean,
  ): Promise<boolean> {
    const now = state.value
    if (!now || !info.value || !plan.value) return false
    const why = refusal(now, happening)
    if (why) {
      told.value = why
      return false
    }
    const key = step === undefined ? (plan.value.steps[now.at]?.key ?? null) : step
    const n = events.value.length
    const event = { n, at, step: key, ...plain(happening) } as BenchEvent
    const after = [...events.value, event]
    const use = lotUse(events.value, happening)
    try {
      await appendEvent(headOf(info.value, foldBatch(plan.value, after)), event, use)
    } catch (error) {
      if (error instanceof EventTaken) {
        await catchUp()
        if (!quiet)
          told.value = 'Something was entered in another tab. This page now shows it; look before you go on.'
      } else if (!quiet) waiting.value = { happening, step: key, why: explainStorage(error) }
      return false
    }
    events.value = after
    told.value = null
    waiting.value = null
    announce({ type: 'batch', id: info.value.id, tab: TAB })
    if (use) void lots.load()
    return true
  }

  async function tryAgain() {
    const held = waiting.value
    return held ? append(held.happening, held.step) : true
  }

  listen((message) => {
    if (message.type === 'batch' && message.id === info.value?.id) void catchUp()
  })
  return { info, plan, events, state, waiting, told, open, close, begin, append, tryAgain }
})
