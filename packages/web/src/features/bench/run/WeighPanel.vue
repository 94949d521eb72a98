<script setup lang="ts">
import { common } from '#words/common'
import { weighPanel as texts } from '#words/bench-weighing'
import {
  measuredOf,
  activeTask,
  largerBatch,
  NOTE_PERCENT,
  preDilution,
  sayNumber,
  tasksOf,
  type BenchStep,
} from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { computed, inject, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import Notice from '../../../components/Notice.vue'
import NumberField from '../../../components/NumberField.vue'
import Choice from '../../../components/Choice.vue'
import { useBatch } from '../../../stores/batch'
import { useInstruments } from '../../../stores/instruments'
import { useTools } from '../../../stores/tools'
import DilutionForm from './DilutionForm.vue'
import Entries from './Entries.vue'
import LiveBar from './LiveBar.vue'
import OverPour from './OverPour.vue'
import { PEDAL, useRun, useShown } from './run'
import { useLotChoice, useWeighing } from './use-weighing'
import VesselField from './VesselField.vue'
import WeighTable from './WeighTable.vue'

const props = defineProps<{ step: BenchStep }>()
const batch = useBatch()
const instruments = useInstruments()
const run = useRun()
const tools = useTools()
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
    weighing.clear()
    diluting.value = false
  },
)

const { choices, lot, lotOptions } = useLotChoice(active, line)
const weighing = useWeighing({ step: () => props.step, active, shown, lot })
const { say, untared, net, typed, told, amount, recording, record, tare, taring, press } = weighing
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
      <section v-else class="stacked" :aria-label="texts.weigh(run.label(active.line))">
        <div class="target">
          <p class="material">{{ run.label(active.line) }}</p>
          <p class="figure mono" data-testid="target">{{ say(active.left) }}<span class="unit"> g</span></p>
          <p class="muted">
            <template v-if="active.part">{{ texts.partOfItNowApproximate }}</template>
            <template v-else
              >{{ texts.toGIsWithinTolerance(say(active.leftLow), say(active.leftHigh))
              }}<template v-if="WORDS[state.importance]">{{
                texts.weighIt(WORDS[state.importance])
              }}</template></template
            ><template v-if="active.weighed > 0"> {{ texts.gAlreadyAdded(say(active.weighed)) }}</template>
          </p>
          <p v-if="line.source.note" class="note small">{{ line.source.note }}</p>
        </div>
        <p v-if="untared" class="untared">
          {{ texts.putTheBeakerForThis }} <strong>{{ common.tare }}</strong>{{ texts.itShows }}
          <span class="mono">{{ say(shown!.value) }} g</span> {{ texts.now }}
        </p>
        <LiveBar
          v-if="net !== null"
          :net="net"
          :steady="shown!.steady"
          :task="active"
          :resolution="run.resolution.value"
        />
        <Notice v-if="instruments.states.scale.fault" kind="check">{{ texts.theScaleIsOverloadedOr }}</Notice>
        <Notice v-else-if="instruments.states.scale.link === 'lost'" kind="check">{{
          texts.scaleDisconnectedYourEntries
        }}</Notice>
        <Notice v-else-if="instruments.states.scale.returned" kind="check">{{
          texts.theScaleReconnectedAndIts
        }}</Notice>
        <form class="entry abreast at-foot wraps" @submit.prevent="record">
          <NumberField
            ref="field"
            v-model="typed"
            class="big"
            data-first
            :label="net === null ? texts.whatTheScaleShows : common.orTypeIt"
            unit="g"
            :placeholder="shown?.steady && net !== null && net > 0 ? say(net) : '0'"
            :of="measuredOf(run.state.value.plan.a.lines[active.line]!.material, tools.tools.dropGrams)"
            :what="common.theWeight"
          />
          <Button
            type="submit"
            icon="pi pi-check"
            :label="
              recording
                ? common.settling
                : amount !== null && amount > 0
                  ? texts.recordG(say(amount))
                  : common.record
            "
          />
          <PlainButton
            v-if="shown"
            :label="taring ? common.settling : common.tare"
            aria-keyshortcuts="t"
            @click="tare"
          />
        </form>
        <p v-if="told" class="told" role="status">{{ told }}</p>
        <div v-if="choices.length" class="lot abreast wraps">
          <label for="lot">{{ texts.fromLot }}</label>
          <Choice v-model="lot" label-id="lot" :options="lotOptions" :label="texts.fromLot" />
        </div>
        <div v-if="small" class="abreast wraps for-hands">
          <FindingMark severity="note" :size="16" />
          <span>{{ texts.thisScaleWeighsGWith(say(state.target), sayNumber(state.errorPercent, 0)) }}</span>
          <PlainButton
            v-if="dilution"
            :label="texts.useAStockSolution"
            size="small"
            @click="diluting = true"
          />
          <PlainButton
            v-if="larger"
            :label="texts.increaseBatchToG(sayNumber(larger.total))"
            size="small"
            @click="makeLarger"
          />
        </div>
      </section>
    </template>
    <p v-else-if="tasks.length" class="all abreast">
      <FindingMark severity="fine" /> {{ texts.allWeighedG(say(inBeaker)) }}
    </p>
    <p v-else class="muted">{{ texts.nothingToWeighTheIngredients }}</p>

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
.lot label {
  color: var(--muted);
}
.lot :deep(.p-select) {
  min-width: 0;
  max-width: 100%;
  min-height: 44px;
}
.all {
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
