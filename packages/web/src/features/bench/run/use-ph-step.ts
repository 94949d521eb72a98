import { usePhStep as texts } from '#words/bench-run'
import { doseFaultText, doseText } from '@omblet/core/words'
import {
  atResolution,
  solutionDensity,
  DROP_ML,
  decimalsOf,
  DOSE_WAIT_MINUTES,
  doseFault,
  formatNumber,
  readingFault,
  type Reading,
} from '@omblet/core'
import { computed, ref, type Ref } from 'vue'
import type { useDosing } from '../../../composables/dosing'
import { useBatch } from '../../../stores/batch'
import { useTools } from '../../../stores/tools'
import { allowAlarm } from './alarm'
import { useRun, type useShown } from './run'

type Shown = ReturnType<typeof useShown>

type Fault = Parameters<typeof doseFaultText>[0] | null
const faultOf = (fault: Fault) => fault && doseFaultText(fault)

/** Reading the pH at the table: typed, or taken from a probe that has settled; and what is taken away for it. */
export function usePhReading(probe: Shown) {
  const batch = useBatch()
  const run = useRun()
  const method = ref<Reading['method']>(run.state.value.readings.at(-1)?.method ?? 'meter-direct')
  const typedPh = ref<number | null>(null)
  const phError = ref<string | null>(null)
  const reading = computed(() => typedPh.value ?? (probe.value?.steady ? probe.value.value : null))
  function read() {
    const ph = reading.value
    phError.value =
      ph === null
        ? probe.value
          ? texts.theProbeIsNotSteady
          : texts.typeThePhThatThe
        : faultOf(readingFault(ph))
    if (ph === null || phError.value) return
    if (batch.enter({ type: 'ph', ph: Number(ph.toFixed(3)), method: method.value })) typedPh.value = null
  }
  const sample = ref<number | null>(null)
  const takeSample = () => {
    if (sample.value && batch.enter({ type: 'sample', grams: sample.value })) sample.value = null
  }
  return { method, typedPh, phError, reading, read, sample, takeSample }
}

/** A dose on its way into the batch: strength, how much by scale, figure or drops, and why it cannot be. */
export function useDoseEntry(given: {
  dosing: ReturnType<typeof useDosing>['dosing']
  strengthText: Ref<string | null>
  scale: Shown
  batchGrams: () => number
}) {
  const { dosing, strengthText, scale, batchGrams } = given
  const batch = useBatch()
  const run = useRun()
  const tools = useTools()
  /** Of the solution, as typed; also what cannot be stays in the field. */
  const strength = computed({
    get: () =>
      strengthText.value === null ? (dosing.value?.usualPercent ?? null) : Number(strengthText.value) || null,
    set: (percent) => (strengthText.value = percent === null ? '' : String(percent)),
  })
  const strengthFault = computed(() =>
    dosing.value && 'error' in dosing.value.strength && strength.value !== null
      ? doseFaultText(dosing.value.strength.error)
      : null,
  )
  const plan = computed(() => dosing.value?.planned ?? null)
  const dose = computed(() => dosing.value?.plan ?? null)
  const words = computed(() => (dose.value ? doseText(dose.value, say) : null))
  const fault = computed(() => (plan.value && 'fault' in plan.value ? plan.value : null))
  const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))
  const tared = computed(() => {
    const last = run.state.value.events.findLast((e) => e.step === run.step.value?.key && e.type !== 'timer')
    return last?.type === 'tare'
  })
  const net = computed(() =>
    tared.value && scale.value?.steady
      ? atResolution(scale.value.value - run.state.value.zero, run.resolution.value)
      : null,
  )
  const typedGrams = ref<number | null>(null)
  const drops = ref<number | null>(null)
  /** How drops and volumes of the solution in hand become grams. */
  const of = computed(() => {
    const held = dosing.value
    const density = held ? solutionDensity(held.adjuster, strength.value ?? held.usualPercent) : 1
    return { density, dropGrams: tools.tools.dropGrams ?? DROP_ML * density }
  })
  const gramsOfDrops = computed(() => (drops.value ? drops.value * of.value.dropGrams : null))
  const grams = computed(
    () => typedGrams.value ?? gramsOfDrops.value ?? (net.value !== null && net.value > 0 ? net.value : null),
  )
  const doseError = ref<string | null>(null)
  function add() {
    const held = dosing.value
    doseError.value = faultOf(
      doseFault(grams.value, batchGrams()) ?? (held && 'error' in held.strength ? held.strength.error : null),
    )
    if (doseError.value || !grams.value || !strength.value || !held) return
    const done = batch.enter({
      type: 'dose',
      material: held.adjuster,
      strengthPercent: strength.value,
      grams: Number(grams.value.toFixed(6)),
      ...(typedGrams.value === null && drops.value ? { drops: Math.round(drops.value) } : {}),
    })
    if (!done) return
    typedGrams.value = null
    drops.value = null
    allowAlarm()
    batch.enter({
      type: 'timer',
      id: 'ph wait',
      title: texts.measureThePhNow,
      minutes: DOSE_WAIT_MINUTES,
    })
  }
  const entry = { typedGrams, drops, grams, doseError, of, add }
  return { strength, strengthFault, plan, dose, words, fault, net, say, ...entry }
}
