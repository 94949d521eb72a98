import { batch as texts } from '#words/stores'
import { eventFaultText, refusalText } from '@omblet/core/words'
import {
  type BatchEvent,
  benchPlan,
  foldBatch,
  headOf,
  lotUse,
  refusal,
  tidyInfo,
  writeBatch,
  type BatchInfo,
  type BatchState,
  type BenchPlan,
  type BatchEventBody,
  type PlannedTrial,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { steadyIso } from '../browser/steady'
import { plain } from '../browser/plain'
import { useUnstored } from '../browser/unstored'
import {
  appendEvent,
  BatchGone,
  beginBatch,
  eventsFrom,
  EventTaken,
  getBatch,
  type LotUse,
} from '../storage/batches'
import { listBin, takeFromBin } from '../storage/bin'
import { announce, listen, makeId } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { useBatches } from './batches'
import { useContainers } from './containers'
import { useLots } from './lots'
import { useMaterials } from './materials'
import { stillWaiting } from './store-waiting'
import { useWaiting } from './waiting'

/** An entry on its way to the store. */
interface Pending {
  event: BatchEvent
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
  const waiting = useWaiting()
  const containers = useContainers()
  const info = shallowRef<BatchInfo | null>(null)
  const plan = shallowRef<BenchPlan | null>(null)
  const events = shallowRef<BatchEvent[]>([])
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
    const left = stillWaiting(waiting.take(id), events.value)
    if (!left) told.value = texts.somethingWasEnteredInAnother
    if (!left || left.length === 0) return
    pending.value = left.map((event, i) => ({
      event,
      use: lotUse([...events.value, ...left.slice(0, i)], event),
      quiet: false,
      settle: () => undefined,
    }))
    keepUnstored()
    void pump()
  }

  /** Leaves the batch; what waits in it waits on, wherever one goes. */
  function close() {
    if (info.value && unstored.value.length > 0)
      waiting.layAside(asWaiting(info.value), held.value?.gone ? 'gone' : 'failed')
    info.value = null
    plan.value = null
    events.value = []
    pending.value = []
    held.value = null
    told.value = null
  }

  /**
   * Begins a batch and stores its start, with what it has from the beginning, and what a trial learns of it, as one.
   * Rejects with the store's error.
   */
  async function begin(
    batch: Omit<BatchInfo, 'id'>,
    start: Extract<BatchEventBody, { type: 'start' }>,
    {
      got = () => [],
      trial,
    }: {
      got?: (plan: BenchPlan) => readonly { happening: BatchEventBody; step: string | null }[]
      trial?: { id: string; change: (here: PlannedTrial, batch: string) => PlannedTrial }
    } = {},
  ): Promise<string> {
    await pumping
    const full = tidyInfo({ ...batch, id: makeId() })
    const made = benchPlan(start.formula, materials.catalogue)
    const first = { n: 0, at: steadyIso(), step: null, ...plain(start) } as BatchEvent
    const all = [first]
    const stored = [{ event: first, use: null as LotUse | null }]
    for (const { happening, step } of got(made)) {
      const event = { n: all.length, at: steadyIso(), step, ...plain(happening) }
      const why = eventFaultText(event)
      if (why) throw new Error(why)
      stored.push({ event, use: lotUse(all, happening) })
      all.push(event)
    }
    await beginBatch(headOf(full, foldBatch(made, all)), {
      events: stored,
      ...(trial ? { trial: { id: trial.id, change: (here) => plain(trial.change(here, full.id)) } } : {}),
    })
    close()
    info.value = full
    plan.value = made
    events.value = all
    announce({ type: 'batch', id: full.id })
    for (const { use } of stored) if (use) void lots.reread(use.lot)
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
  function enter(
    happening: BatchEventBody,
    step?: string | null,
    quiet = false,
    settle: Pending['settle'] = () => undefined,
  ): boolean {
    const now = state.value
    if (!now || !info.value || !plan.value || (quiet && held.value)) return false
    const key = step === undefined ? (plan.value.steps[now.at]?.key ?? null) : step
    const event = { n: all.value.length, at: steadyIso(), step: key, ...plain(happening) }
    const refused = refusal(now, happening)
    const why = refused ? refusalText(refused) : eventFaultText(event)
    if (why) {
      if (!quiet) told.value = why
      return false
    }
    told.value = null
    pending.value = [...pending.value, { event, use: lotUse(all.value, happening), quiet, settle }]
    keepUnstored()
    void pump()
    return true
  }

  /** Enters what happened and tells when it is stored; false where it was refused or could not be. */
  const append = (happening: BatchEventBody, step?: string | null, quiet = false) =>
    new Promise<boolean>((resolve) => {
      if (!enter(happening, step, quiet, resolve)) resolve(false)
    })

  const asWaiting = (of: BatchInfo) => ({
    info: of,
    events: events.value,
    pending: pending.value.map((p) => p.event),
  })
  function keepUnstored() {
    const id = info.value?.id
    if (!id) return
    if (unstored.value.length > 0) waiting.safekeep(id, asWaiting(info.value!))
    else waiting.release(id)
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
      await appendEvent(
        headOf(info.value, foldBatch(plan.value, after)),
        first.event,
        first.use,
        events.value.at(-1),
      )
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
      if (waiting.some((p) => !p.quiet)) told.value = texts.somethingWasEnteredInAnother2
      waiting.forEach((p) => p.settle(false))
    } else if (error instanceof BatchGone) held.value = { why: texts.thisBatchWasDeletedIn, gone: true }
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
  return {
    info,
    plan,
    events,
    state,
    pending,
    unstored,
    held,
    told,
    open,
    close,
    begin,
    enter,
    append,
    pump,
    putBack,
    asFile,
  }
})
