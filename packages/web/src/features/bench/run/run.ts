import {
  capitalise,
  formatGrams,
  type BatchState,
  type BenchStep,
  type InstrumentKind,
  type WeighedName,
} from '@omblet/core'
import { computed, inject, ref, watch, type ComputedRef, type InjectionKey, type Ref } from 'vue'
import { steadyNow } from '../../../browser/steady'
import { useBatch } from '../../../stores/batch'
import { STALE_MS, useInstruments } from '../../../stores/instruments'

/** What the parts of the running batch share. */
export interface Run {
  state: ComputedRef<BatchState>
  step: ComputedRef<BenchStep | null>
  resolution: ComputedRef<number>
  grams: (value: number) => string
  /** Name of a line as it is weighed. */
  label: (line: number) => WeighedName
  now: Readonly<{ value: number }>
  /** Line that the maker chose to weigh next; null for the order of the formula. */
  chosen: Ref<number | null>
}
export const RUN: InjectionKey<Run> = Symbol('run')
export const useRun = () => inject(RUN)!

export function makeRun(now: Readonly<{ value: number }>): Run {
  const batch = useBatch()
  const state = computed(() => batch.state!)
  const resolution = computed(() => state.value.plan.a.amounts.resolutionGrams)
  return {
    state,
    step: computed(() => batch.state?.plan.steps[batch.state.at] ?? null),
    resolution,
    grams: (value) => formatGrams(value, resolution.value),
    label: (line) => capitalise(state.value.plan.a.lines[line]!.weighedAs),
    now,
    chosen: ref(null),
  }
}

/** What an instrument shows, where it speaks and is not silent for long; null while it is typed by hand. */
export function useShown(kind: InstrumentKind, now: Readonly<{ value: number }>) {
  const instruments = useInstruments()
  return computed(() => {
    const { from, shown } = instruments.states[kind]
    return from !== 'typed' && shown && now.value - shown.at < STALE_MS ? shown : null
  })
}

/** Shared by parts: a primary action that a foot pedal triggers, where the step has one. */
export interface Pedal {
  /** Does the next thing; false where the step itself may be over. */
  press: (() => boolean | Promise<boolean>) | null
}
export const PEDAL: InjectionKey<Pedal> = Symbol('pedal')

/** Tares with the next settled reading: a tare while the scale moves would shift everything after it. */
export function useTare(now: Readonly<{ value: number }>) {
  const batch = useBatch()
  const instruments = useInstruments()
  const shown = useShown('scale', now)
  const waiting = ref(false)
  let pressed = 0
  watch(shown, (s) => {
    // What was on its way when it was pressed may be of before.
    if (s === null) waiting.value = false
    if (!waiting.value || !s?.steady || s.at <= pressed) return
    waiting.value = false
    batch.enter({ type: 'tare', gross: s.value })
  })
  function tare() {
    if (!shown.value) return
    instruments.states.scale.returned = false
    pressed = steadyNow()
    waiting.value = true
  }
  return { tare, waiting }
}
