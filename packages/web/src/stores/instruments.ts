import { instruments as texts } from '#words/stores'
import {
  DEFAULT_SERIAL,
  Follower,
  INSTRUMENTS,
  SerialSettings,
  SIMULATED,
  type Formula,
  type Hand,
  type InstrumentKind,
  type Shown,
  type SimBench,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { steadyNow } from '../browser/steady'
import { reactive, shallowRef } from 'vue'
import * as z from 'zod'
import { plain } from '../browser/plain'
import type { Link, LineSource } from '../instruments/port'
import { choosePort, serialPort } from '../instruments/serial'
import { streamed } from '../instruments/streamed'
import { getSetting, setSetting } from '../storage/settings'

const Kept = z.object({
  serial: z.object({ scale: SerialSettings, thermometer: SerialSettings, ph: SerialSettings }).partial(),
  simulated: z.string().nullable(),
})
const KEY = 'instruments'

export type Truth = ReturnType<SimBench['truth']>

export interface InstrumentState {
  from: 'typed' | 'simulated' | 'serial'
  link: Link
  why: string | null
  /** The newest reading; null while there is none. */
  shown: Shown | null
  /** It speaks, but says that it cannot read: overload, no probe. */
  fault: boolean
  /** It came back after it was lost, and may count from another zero. */
  returned: boolean
}
const fresh = (): InstrumentState => ({
  from: 'typed',
  link: 'off',
  why: null,
  shown: null,
  fault: false,
  returned: false,
})
/** A reading older than this says nothing of now. */
export const STALE_MS = 4000

/** Scale, thermometer and pH probe: typed by hand, simulated, or over a serial port. Losing one blocks nothing. */
export const useInstruments = defineStore('instruments', () => {
  const states = reactive<Record<InstrumentKind, InstrumentState>>({
    scale: fresh(),
    thermometer: fresh(),
    ph: fresh(),
  })
  const settings = reactive<Record<InstrumentKind, SerialSettings>>({
    scale: structuredClone(DEFAULT_SERIAL),
    thermometer: structuredClone(DEFAULT_SERIAL),
    ph: structuredClone(DEFAULT_SERIAL),
  })
  const simulated = shallowRef<string | null>(null)
  const truth = shallowRef<Truth | null>(null)
  const sources: Partial<Record<InstrumentKind, LineSource>> = {}
  let loaded: Promise<void> | null = null

  const keep = () =>
    setSetting(KEY, plain({ serial: settings, simulated: simulated.value })).catch(() => undefined)

  function attach(
    kind: InstrumentKind,
    from: 'simulated' | 'serial',
    source: LineSource,
    resolution: number,
  ) {
    detach(kind)
    const state = states[kind]
    state.from = from
    sources[kind] = source
    const follower = new Follower(
      kind,
      from === 'simulated' ? SIMULATED[kind] : settings[kind].pattern,
      resolution,
    )
    let wasLost = false
    source.open({
      line(text) {
        const shown = follower.take(text, steadyNow())
        if (shown === null) return
        state.fault = shown === 'fault'
        state.shown = shown === 'fault' ? null : shown
      },
      link(link, why) {
        state.link = link
        state.why = why ?? null
        if (link === 'lost') {
          state.shown = null
          wasLost = true
        } else if (link === 'open' && wasLost) {
          state.returned = true
          wasLost = false
        }
      },
    })
  }
  function detach(kind: InstrumentKind) {
    sources[kind]?.close()
    delete sources[kind]
    Object.assign(states[kind], fresh())
  }

  /** Remembers settings, and listens again to a simulated bench that is still there. */
  const load = (resolution: number) =>
    (loaded ??= (async () => {
      const kept = Kept.safeParse(await getSetting<unknown>(KEY).catch(() => null))
      if (!kept.success) return
      for (const kind of INSTRUMENTS) Object.assign(settings[kind], kept.data.serial[kind] ?? {})
      if (kept.data.simulated) listenTo(kept.data.simulated, resolution)
    })())

  function listenTo(id: string, resolution: number) {
    simulated.value = id
    for (const kind of INSTRUMENTS)
      attach(kind, 'simulated', streamed(`/instruments/${id}/${kind}`), resolution)
    void look()
  }

  async function ask(path: string, body?: unknown): Promise<unknown> {
    const response = await fetch(`/instruments${path}`, {
      ...(body === undefined
        ? {}
        : {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify(body),
          }),
    })
    const answer: unknown = await response.json().catch(() => ({}))
    if (response.ok) return answer
    throw new Error((answer as { error?: string }).error ?? texts.theSimulatedBenchDoesNot)
  }
  const sentence = (error: unknown) =>
    error instanceof Error && !(error instanceof TypeError) ? error.message : texts.theSimulatedBenchDoesNot2

  /** Sets up simulated instruments for a formula; a sentence where that cannot be. */
  async function simulate(formula: Formula, resolution: number): Promise<string | null> {
    try {
      const { id } = (await ask('', { formula: plain(formula), seed: Date.now() % 2 ** 31 })) as {
        id: string
      }
      listenTo(id, resolution)
      await keep()
      return null
    } catch (error) {
      return sentence(error)
    }
  }
  async function doIt(h: Hand): Promise<string | null> {
    try {
      truth.value = (await ask(`/${simulated.value}/hands`, h)) as Truth
      return null
    } catch (error) {
      return sentence(error)
    }
  }
  /** Does something at the simulated bench, one thing after the other; a sentence where that cannot be. */
  let hands: Promise<string | null> = Promise.resolve(null)
  function hand(h: Hand): Promise<string | null> {
    hands = hands.then(() => doIt(h))
    return hands
  }
  async function look() {
    truth.value = (await ask(`/${simulated.value}`).catch(() => null)) as Truth | null
  }
  async function stopSimulated() {
    for (const kind of INSTRUMENTS) if (states[kind].from === 'simulated') detach(kind)
    simulated.value = null
    truth.value = null
    await keep()
  }

  /** Opens a serial port that the maker chooses; a sentence where none was. */
  async function connect(kind: InstrumentKind, resolution: number): Promise<string | null> {
    const port = await choosePort()
    if (!port) return texts.noPortWasChosen
    attach(kind, 'serial', serialPort(port, plain(settings[kind])), resolution)
    await keep()
    return null
  }

  return {
    states,
    settings,
    simulated,
    truth,
    load,
    keep,
    simulate,
    stopSimulated,
    hand,
    look,
    connect,
    detach,
  }
})
