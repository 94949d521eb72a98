<script setup lang="ts">
import {
  activeTask,
  decimalsOf,
  formatNumber,
  isUntared,
  largerBatch,
  netOf,
  whyNoWeight,
  NOTE_PERCENT,
  preDilution,
  sayNumber,
  tasksOf,
  type BenchStep,
  lotLabel,
  lotsToUse,
} from '@omblet/core'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, inject, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import Notice from '../../../components/Notice.vue'
import NumberField from '../../../components/NumberField.vue'
import { useBatch } from '../../../stores/batch'
import { useInstruments } from '../../../stores/instruments'
import { today, useLots } from '../../../stores/lots'
import DilutionForm from './DilutionForm.vue'
import Entries from './Entries.vue'
import LiveBar from './LiveBar.vue'
import OverPour from './OverPour.vue'
import { PEDAL, useRun, useShown, useTare } from './run'
import VesselField from './VesselField.vue'
import WeighTable from './WeighTable.vue'

const props = defineProps<{ step: BenchStep }>()
const batch = useBatch()
const lots = useLots()
const instruments = useInstruments()
const run = useRun()
const pedal = inject(PEDAL)!
const shown = useShown('scale', run.now)

const tasks = computed(() => tasksOf(run.state.value, props.step))
const { chosen } = run
chosen.value = null
const active = computed(() => activeTask(tasks.value, chosen.value))
const line = computed(() => (active.value ? run.state.value.plan.a.lines[active.value.line]! : null))
watch(
  () => active.value?.line,
  () => {
    typed.value = null
    recording.value = false
    diluting.value = false
    told.value = null
  },
)

const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))
const untared = computed(() => shown.value !== null && isUntared(run.state.value, props.step.key))
const net = computed(() => netOf(run.state.value, props.step.key, shown.value))
const typed = ref<number | null>(null)
const told = ref<string | null>(null)
const amount = computed(() => typed.value ?? (shown.value?.steady ? net.value : null))

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
  { value: null, label: 'Not from a lot' },
])

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
    told.value = whyNoWeight(shown.value, net.value, run.resolution.value)
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
  if (task.part && grams < task.leftLow) told.value = `Recorded. ${say(task.left - grams)} g more.`
}
const { tare, waiting: taring } = useTare(run.now)
/** The pedal takes a reading that is right, says what is missing, and leaves the step only when all is weighed. */
function press(): boolean {
  const task = active.value
  if (!task) return false
  if (task.over) {
    told.value = 'Choose first what to do about the over-pour.'
    return true
  }
  const grams = amount.value
  if (typed.value === null && grams !== null && grams < task.leftLow && grams > 0)
    told.value = `${say(task.left - grams)} g more. Press Record to take this part as it is.`
  else record()
  return true
}
onMounted(() => (pedal.press = press))
onBeforeUnmount(() => {
  if (pedal.press === press) pedal.press = null
})
function onKey(event: KeyboardEvent) {
  if (event.key !== 't' || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  told.value = null
  void tare()
}

const state = computed(() => (active.value ? run.state.value.lines[active.value.line]! : null))
const small = computed(
  () =>
    state.value !== null &&
    !active.value!.part &&
    state.value.errorPercent > NOTE_PERCENT &&
    state.value.weighed === 0,
)
const dilution = computed(() =>
  small.value ? preDilution(run.state.value.plan.a, active.value!.line, state.value!.target) : null,
)
const larger = computed(() =>
  small.value ? largerBatch(run.state.value.plan.a, run.state.value.totalTarget, state.value!.target) : null,
)
const diluting = ref(false)
const makeLarger = () =>
  larger.value &&
  batch.enter({
    type: 'scale',
    factor: larger.value.factor,
    lines: run.state.value.lines.map((l) => l.index),
    all: true,
  })

const inBeaker = computed(() => tasks.value.reduce((sum, t) => sum + t.weighed, 0))
const field = useTemplateRef<{ focus: () => void }>('field')
defineExpose({ focus: () => field.value?.focus() })
const WORDS = { critical: 'exactly', careful: 'carefully', plain: '' }
</script>

<template>
  <div class="weigh" @keydown="onKey">
    <template v-if="active && line && state">
      <OverPour v-if="active.over" :key="`over-${active.line}`" :line="active.line" />
      <DilutionForm
        v-else-if="diluting && dilution"
        :dilution="dilution"
        :lot="lot"
        @close="diluting = false"
      />
      <section v-else class="active" :aria-label="`Weigh ${run.label(active.line)}`">
        <div class="target">
          <p class="material">{{ run.label(active.line) }}</p>
          <p class="figure mono" data-testid="target">{{ say(active.left) }}<span class="unit"> g</span></p>
          <p class="muted">
            <template v-if="active.part">a part of it now; about is enough</template>
            <template v-else
              >{{ say(active.leftLow) }} to {{ say(active.leftHigh) }} g is right<template
                v-if="WORDS[state.importance]"
                >; weigh it {{ WORDS[state.importance] }}</template
              ></template
            ><template v-if="active.weighed > 0"> · {{ say(active.weighed) }} g is in already</template>
          </p>
          <p v-if="line.source.note" class="note small">{{ line.source.note }}</p>
        </div>
        <p v-if="untared" class="untared">
          Put the beaker of this step on the scale, then press <strong>Tare</strong>. It shows
          <span class="mono">{{ say(shown!.value) }} g</span> now.
        </p>
        <LiveBar
          v-if="net !== null"
          :net="net"
          :steady="shown!.steady"
          :task="active"
          :resolution="run.resolution.value"
        />
        <Notice v-if="instruments.states.scale.fault" kind="check"
          >The scale is overloaded or cannot read. Lighten it, or type the weight.</Notice
        >
        <Notice v-else-if="instruments.states.scale.link === 'lost'" kind="check"
          >The scale is lost. Nothing recorded is; type the weight, or plug it in again.</Notice
        >
        <Notice v-else-if="instruments.states.scale.returned" kind="check"
          >The scale came back and may count from another zero. What was poured since the last record: type
          it. Otherwise press tare, then pour.</Notice
        >
        <form class="entry" @submit.prevent="record">
          <NumberField
            id="weight"
            ref="field"
            v-model="typed"
            class="big"
            data-first
            :label="net === null ? 'What the scale shows' : 'Or type it'"
            unit="g"
            :placeholder="shown?.steady && net !== null && net > 0 ? say(net) : '0'"
            what="the weight"
          />
          <Button
            type="submit"
            icon="pi pi-check"
            :label="
              recording ? 'Settling…' : amount !== null && amount > 0 ? `Record ${say(amount)} g` : 'Record'
            "
          />
          <Button
            v-if="shown"
            :label="taring ? 'Settling…' : 'Tare'"
            aria-keyshortcuts="t"
            severity="secondary"
            outlined
            @click="tare"
          />
        </form>
        <p v-if="told" class="told" role="status">{{ told }}</p>
        <div v-if="choices.length" class="lot">
          <label for="lot">From lot</label>
          <Select
            v-model="lot"
            label-id="lot"
            :options="lotOptions"
            option-label="label"
            option-value="value"
            aria-label="From lot"
          />
        </div>
        <div v-if="small" class="small-amount">
          <FindingMark severity="note" :size="16" />
          <span
            >This scale weighs {{ say(state.target) }} g to within
            {{ sayNumber(state.errorPercent, 0) }} %.</span
          >
          <Button
            v-if="dilution"
            label="Weigh it as a dilution"
            size="small"
            severity="secondary"
            outlined
            @click="diluting = true"
          />
          <Button
            v-if="larger"
            :label="`Make the batch ${sayNumber(larger.total)} g`"
            size="small"
            severity="secondary"
            outlined
            @click="makeLarger"
          />
        </div>
      </section>
    </template>
    <p v-else-if="tasks.length" class="all">
      <FindingMark severity="fine" /> All of it is weighed: {{ say(inBeaker) }} g.
    </p>
    <p v-else class="muted">Nothing to weigh here: its lines have no amount.</p>

    <WeighTable v-if="tasks.length" :tasks="tasks" :active="active?.line ?? null" @choose="chosen = $event" />
    <div class="below">
      <VesselField v-if="step.vessel && step.kind === 'weigh'" :vessel="step.vessel" />
      <Entries :types="['weigh', 'take-out', 'dilution']" :lines="step.lines.map((l) => l.line)" />
    </div>
  </div>
</template>

<style scoped>
.weigh {
  display: grid;
  gap: 1rem;
}
.active {
  display: grid;
  gap: 0.75rem;
}
.material {
  font-size: var(--text-head-1);
  font-weight: 700;
  overflow-wrap: anywhere;
}
.figure {
  font-size: var(--text-figure-xl);
  line-height: 1.1;
  font-weight: 700;
}
.unit {
  font-size: var(--text-figure);
}
.note {
  padding-top: 0.25rem;
}
.entry {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.625rem;
}
.entry .big {
  width: 12rem;
}
.entry :deep(.big input) {
  font-size: var(--text-head-1);
  height: 56px;
}
.entry > :deep(button) {
  min-height: 56px;
  min-width: 88px;
}
.untared {
  padding: 0.75rem 0.875rem;
  border-radius: var(--round-l);
  background: var(--wash);
  font-size: var(--text-lead);
}
.told {
  font-size: var(--text-lead);
  font-weight: 700;
  color: var(--check);
}
.lot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.625rem;
}
.lot label {
  color: var(--muted);
}
.lot :deep(.p-select) {
  min-width: 0;
  max-width: 100%;
  min-height: 44px;
}
.small-amount {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 0.625rem;
}
.small-amount :deep(button) {
  min-height: 44px;
}
.all {
  display: flex;
  align-items: center;
  gap: 0.625rem;
  font-size: var(--text-head-2);
  font-weight: 700;
}
.below {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  justify-content: space-between;
  gap: 0.75rem 1.5rem;
}
@media (max-width: 520px) {
  .figure {
    font-size: var(--text-figure-l);
  }
  .entry .big {
    flex: 1 1 100%;
    width: auto;
  }
  .entry > :deep(button) {
    flex: 1;
  }
}
</style>
