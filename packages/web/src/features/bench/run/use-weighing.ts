import { useWeighing as texts } from '#words/bench-weighing'
import { noWeightText, lotLabel } from '@omblet/core/words'
import {
  decimalsOf,
  formatNumber,
  isUntared,
  lotsToUse,
  netOf,
  whyNoWeight,
  type AssessedLine,
  type BenchStep,
  type WeighTask,
} from '@omblet/core'
import { computed, ref, watch, type Ref } from 'vue'
import { useBatch } from '../../../stores/batch'
import { useInstruments } from '../../../stores/instruments'
import { today, useLots } from '../../../stores/lots'
import { useRun, useTare, type useShown } from './run'

/** The lot that the material which is weighed now comes from: the first that suits unless another is picked. */
export function useLotChoice(
  active: Readonly<Ref<WeighTask | null>>,
  line: Readonly<Ref<AssessedLine | null>>,
) {
  const lots = useLots()
  const choices = computed(() => (line.value ? lotsToUse(lots.of(line.value.id), today()) : []))
  const picked = ref<Record<number, string | null>>({})
  const lot = computed({
    get: () => {
      const own = active.value ? picked.value[active.value.line] : undefined
      return own === undefined ? (choices.value[0]?.id ?? null) : own
    },
    set: (id) => {
      if (active.value) picked.value[active.value.line] = id
    },
  })
  const lotOptions = computed(() => [
    ...choices.value.map((l) => ({ value: l.id, label: lotLabel(l, today()) })),
    { value: null, label: texts.notFromALot },
  ])
  return { choices, lot, lotOptions }
}

/** Weighing one line: what the scale shows or is typed becomes an entry; what is missing is told. */
export function useWeighing(of: {
  step: () => BenchStep
  active: Readonly<Ref<WeighTask | null>>
  shown: ReturnType<typeof useShown>
  lot: Readonly<Ref<string | null>>
}) {
  const { step, active, shown, lot } = of
  const batch = useBatch()
  const instruments = useInstruments()
  const run = useRun()
  const { chosen } = run
  const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))
  const untared = computed(() => shown.value !== null && isUntared(run.state.value, step().key))
  const net = computed(() => netOf(run.state.value, step().key, shown.value))
  const typed = ref<number | null>(null)
  const told = ref<string | null>(null)
  const amount = computed(() => typed.value ?? (shown.value?.steady ? net.value : null))

  /** Pressed while the scale moved: it is recorded as soon as it has settled. */
  const recording = ref(false)
  watch(shown, (s) => {
    if (!recording.value || (s && !s.steady)) return
    recording.value = false
    if (s) record()
  })
  function record() {
    const task = active.value
    if (!task) return
    if (typed.value === null && shown.value && !shown.value.steady && !untared.value) {
      recording.value = true
      return
    }
    const grams = amount.value
    if (grams === null || grams <= 0) {
      told.value = noWeightText(whyNoWeight(shown.value, net.value, run.resolution.value))
      return
    }
    told.value = null
    const from = typed.value === null && shown.value ? { gross: shown.value.value } : {}
    const done = batch.enter({
      type: 'weigh',
      line: task.line,
      grams,
      ...(lot.value ? { lot: lot.value } : {}),
      ...from,
    })
    if (!done) return
    typed.value = null
    chosen.value = null
    instruments.states.scale.returned = false
    if (task.part && grams < task.leftLow) told.value = texts.recordedGToGo(say(task.left - grams))
  }
  const { tare, waiting: taring } = useTare(run.now)
  /** The pedal takes a reading that is right, says what is missing, and leaves the step only when all is weighed. */
  function press(): boolean {
    const task = active.value
    if (!task) return false
    if (task.over) {
      told.value = texts.firstChooseWhatToDo
      return true
    }
    const grams = amount.value
    if (typed.value === null && grams !== null && grams < task.leftLow && grams > 0)
      told.value = texts.gToGoPressRecord(say(task.left - grams))
    else record()
    return true
  }
  function clear() {
    typed.value = null
    recording.value = false
    told.value = null
  }
  return { say, untared, net, typed, told, amount, recording, record, tare, taring, press, clear }
}
