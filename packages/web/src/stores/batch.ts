import {
  BenchEvent,
  benchPlan,
  eventFault,
  foldBatch,
  headOf,
  lotUse,
  refusal,
  sameEvent,
  tidyInfo,
  writeBatch,
  type BatchInfo,
  type BatchState,
  type BenchPlan,
  type Happening,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import * as z from 'zod'
import { steadyIso } from '../browser/steady'
import { plain } from '../browser/plain'
import { useUnstored } from '../browser/unstored'
import { appendEvent, BatchGone, eventsFrom, EventTaken, getBatch, type LotUse } from '../storage/batches'
import { listBin, takeFromBin } from '../storage/bin'
import { announce, listen, makeId } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { forget, keep, kept } from '../storage/keepsake'
import { useBatches } from './batches'
import { useContainers } from './containers'
import { useLots } from './lots'
import { useMaterials } from './materials'

/** An entry on its way to the store. */
interface Pending {
  event: BenchEvent
  use: LotUse | null
  /** Happens by itself and will happen again. */
  quiet: boolean
  settle: (stored: boolean) => void
}

/** Why entries wait: the store refuses them, or the batch was deleted elsewhere. */
interface Held {
  why: string
  gone: boolean
}

/**
 * The batch that is open. Everything that happens is an event. An entry belongs to what was seen when it was made: it is
 * complete at that moment and stands in a queue, shown and marked as not stored until the store has it. Entries are stored
 * one after the other, in order; where one cannot be, it and those behind it are kept, said, and tried again.
 */
export const useBatch = defineStore('batch', () => {
  const materials = useMaterials()
  const lots = useLots()
  const containers = useContainers()
  const info = shallowRef<BatchInfo | null>(null)
  const plan = shallowRef<BenchPlan | null>(null)
  const events = shallowRef<BenchEvent[]>([])
  const pending = shallowRef<Pending[]>([])
  const held = shallowRef<Held | null>(null)
  /** Something to tell: why an entry was refused, or that another tab wrote. */
  const told = shallowRef<string | null>(null)
  const all = computed(() =>
    pending.value.length > 0 ? [...events.value, ...pending.value.map((p) => p.event)] : events.value,
  )
  const state = computed<BatchState | null>(() =>
    plan.value && all.value.length > 0 ? foldBatch(plan.value, all.value) : null,
  )
  /** Entries that are shown and not stored. */
  const unstored = computed(() => pending.value.filter((p) => !p.quiet).map((p) => p.event))

  async function open(id: string): Promise<boolean> {
    if (info.value?.id === id && events.value.length > 0) {
      await catchUp()
      return true
    }
    await pumping
    close()
    const found = await getBatch(id)
    const start = found?.events[0]
    if (!found || start?.type !== 'start') return false
    const { code, name, formulaId, who } = found.head
    info.value = { id, code, name, formulaId, who }
    plan.value = benchPlan(start.formula, materials.catalogue)
    events.value = found.events
    takeUp(id)
    return true
  }

  /**
   * Entries that an earlier page could not store go on waiting. What the store has of them already, because the page went
   * before it heard so, is left out; where it has others in their place, another tab wrote since.
   */
  function takeUp(id: string) {
    const all = kept(id, (value) => z.array(BenchEvent).safeParse(value).data ?? null) ?? []
    const stored = events.value.length
    const left = all.filter((e) => e.n >= stored)
    const same = all.every((e) => e.n >= stored || sameEvent(e, events.value[e.n]!))
    if (left.length === 0 || left[0]!.n !== stored || !same) {
      if (!same) told.value = 'Something was entered in another tab. What was entered here last was not stored. Look before you go on.' // prettier-ignore
      forget(id)
      return
    }
    pending.value = left.map((event, i) => ({
      event,
      use: lotUse([...events.value, ...left.slice(0, i)], event),
      quiet: false,
      settle: () => undefined,
    }))
    void pump()
  }

  function close() {
    info.value = null
    plan.value = null
    events.value = []
    pending.value = []
    held.value = null
    told.value = null
  }

  /** Begins a batch and stores its start. Rejects with the store's error. */
  async function begin(
    batch: Omit<BatchInfo, 'id'>,
    start: Extract<Happening, { type: 'start' }>,
  ): Promise<string> {
    await pumping
    const full = tidyInfo({ ...batch, id: makeId() })
    const first = { n: 0, at: steadyIso(), step: null, ...plain(start) } as BenchEvent
    const made = benchPlan(start.formula, materials.catalogue)
    await appendEvent(headOf(full, foldBatch(made, [first])), first, null)
    close()
    info.value = full
    plan.value = made
    events.value = [first]
    announce({ type: 'batch', id: full.id })
    return full.id
  }

  /** What another tab wrote since. */
  async function catchUp() {
    const id = info.value?.id
    if (!id || pending.value.length > 0) return
    const more = await eventsFrom(id, events.value.length).catch(() => [])
    if (info.value?.id === id && more.length > 0 && more[0]!.n === events.value.length)
      events.value = [...events.value, ...more]
  }

  /**
   * Enters what happened: it counts from now on and is on its way to the store. False where it is refused; why is told.
   * `step` is the step that is worked on unless another is given; `quiet` for what happens by itself.
   */
  function enter(happening: Happening, step?: string | null, quiet = false, settle: Pending['settle'] = () => undefined): boolean {
    const now = state.value
    if (!now || !info.value || !plan.value || (quiet && held.value)) return false
    const key = step === undefined ? (plan.value.steps[now.at]?.key ?? null) : step
    const event = { n: all.value.length, at: steadyIso(), step: key, ...plain(happening) }
    const why = refusal(now, happening) ?? eventFault(event)
    if (why) {
      if (!quiet) told.value = why
      return false
    }
    told.value = null
    pending.value = [...pending.value, { event, use: lotUse(all.value, happening), quiet, settle }]
    keepUnstored()
    void pump()
    return true
  } // prettier-ignore

  /** Enters what happened and tells when it is stored; false where it was refused or could not be. */
  const append = (happening: Happening, step?: string | null, quiet = false) =>
    new Promise<boolean>((resolve) => {
      if (!enter(happening, step, quiet, resolve)) resolve(false)
    })

  function keepUnstored() {
    const id = info.value?.id
    if (!id) return
    if (unstored.value.length > 0)
      keep(id, pending.value.map((p) => p.event)) // prettier-ignore
    else forget(id)
  }

  let pumping: Promise<void> = Promise.resolve()
  let running = false
  function pump(): Promise<void> {
    if (running) return pumping
    running = true
    pumping = (async () => {
      try {
        while (pending.value.length > 0 && (await storeFirst()));
      } finally {
        running = false
      }
    })()
    return pumping
  }

  /** Stores the entry whose turn it is; false where it could not be. */
  async function storeFirst(): Promise<boolean> {
    const [first] = pending.value
    if (!first || !info.value || !plan.value) return false
    const { id } = info.value
    const after = [...events.value, first.event]
    try {
      await appendEvent(headOf(info.value, foldBatch(plan.value, after)), first.event, first.use)
    } catch (error) {
      await failed(error)
      return false
    }
    events.value = after
    pending.value = pending.value.slice(1)
    held.value = null
    keepUnstored()
    first.settle(true)
    announce({ type: 'batch', id })
    void useBatches().reread(id)
    if (first.use) void lots.reread(first.use.lot)
    if (first.event.type === 'finish' && first.event.container !== undefined) {
      void containers.reread(first.event.container)
      announce({ type: 'container', id: first.event.container })
    }
    return true
  }

  async function failed(error: unknown) {
    const waiting = pending.value
    if (error instanceof EventTaken) {
      pending.value = []
      held.value = null
      keepUnstored()
      await catchUp()
      if (waiting.some((p) => !p.quiet)) told.value = 'Something was entered in another tab. This page now shows it; what was entered here last was not. Look before you go on.' // prettier-ignore
      waiting.forEach((p) => p.settle(false))
    } else if (error instanceof BatchGone)
      held.value = { why: 'This batch was deleted in another tab.', gone: true }
    else if (waiting.every((p) => p.quiet)) {
      // What happens by itself will happen again.
      pending.value = []
      waiting.forEach((p) => p.settle(false))
    } else {
      held.value = { why: explainStorage(error), gone: false }
      later()
    }
  }

  /** Takes the batch out of the bin again and stores what waits. */
  async function putBack(): Promise<boolean> {
    const id = info.value?.id
    const bin = (await listBin()).find((r) => r.content.kind === 'batch' && r.content.head?.id === id)
    const back = bin ? await takeFromBin(bin.id).catch(() => null) : null
    if (!back || back.id !== id) return false
    announce({ type: 'batch', id })
    await pump()
    return true
  }

  /** The batch with everything that is shown, as a file: the way out where the store does not take it. */
  const asFile = () => (info.value ? writeBatch({ batch: info.value, events: all.value, photos: [] }) : null)

  const { later } = useUnstored(
    () => unstored.value.length > 0,
    () => held.value && !held.value.gone && void pump(),
  )
  listen((message) => {
    if (message.type === 'batch' && message.id === info.value?.id) void catchUp()
  })
  return { info, plan, events, state, pending, unstored, held, told, open, close, begin, enter, append, pump, putBack, asFile } // prettier-ignore
})
