<script setup lang="ts">
import { common } from '#words/common'
import { handsPanel as texts } from '#words/bench-run'
import {
  activeTask,
  decimalsOf,
  formatNumber,
  INSTRUMENTS,
  sayNumber,
  tasksOf,
  USUAL_ADJUSTER,
  type Hand,
} from '@omblet/core'
import { PlainButton, QuietButton } from '../../../components/buttons'
import Select from 'primevue/select'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import NumberField from '../../../components/NumberField.vue'
import Choice from '../../../components/Choice.vue'
import { useInstruments } from '../../../stores/instruments'
import { INSTRUMENT_WORDS } from '../words'
import { useRun } from './run'

/** The hands at the simulated bench: what one would do at a real one. */
const instruments = useInstruments()
const run = useRun()
const error = ref<string | null>(null)
const open = ref(false)
const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))

/** Every vessel that the procedure names. */
const letters = computed(() =>
  [...new Set(run.state.value.plan.steps.flatMap((s) => [s.vessel, ...s.from]))].filter(Boolean),
)
const vessel = ref(letters.value[0] ?? 'A')
watch(
  () => run.step.value?.key,
  () => run.step.value?.vessel && (vessel.value = run.step.value.vessel),
  { immediate: true },
)
/** The thermometer goes where the hands are. */
watch([vessel, () => instruments.simulated], () => void act({ do: 'thermometer', vessel: vessel.value }), {
  immediate: true,
})
const task = computed(() => {
  const step = run.step.value
  if (!step || step.kind === 'ph') return null
  const now = activeTask(tasksOf(run.state.value, step), run.chosen.value)
  return now && !now.over ? now : null
})
const kind = computed(() => run.step.value?.kind ?? null)
const truth = computed(() => instruments.truth)
const here = computed(() => truth.value?.vessels.find((v) => v.name === vessel.value) ?? null)
const onPan = computed(() => truth.value?.onPan ?? null)
const amount = ref<number | null>(null)
const speeds = [1, 10, 60, 300].map((value) => ({
  value,
  label: value === 1 ? texts.inRealTime : texts.timesAsFast(value),
}))

async function act(h: Hand) {
  error.value = await instruments.hand(h)
}
const pour = (grams: number) => task.value && act({ do: 'pour', line: task.value.line, grams })
/** A careful hand: within the band, though not to the last count. */
const careful = () =>
  task.value &&
  pour(
    task.value.left +
      (Math.random() - 0.5) * Math.min(0.3 * run.resolution.value, task.value.leftHigh - task.value.left),
  )
async function zero() {
  await act({ do: 'clear' })
  await act({ do: 'tare' })
}
/** What the step brings together is poured into the beaker that it names. */
async function combine() {
  const step = run.step.value
  if (!step?.into) return
  for (const from of step.from) await act({ do: 'combine', from, into: step.into })
  vessel.value = step.into
}
const others = computed(() => letters.value.filter((l) => l !== vessel.value))
useIntervalFn(() => void instruments.look(), 1500)
</script>

<template>
  <section class="card hands for-hands" aria-labelledby="hands-title">
    <div class="row abreast at-foot wraps">
      <h3 id="hands-title">{{ texts.simulatedBench }}</h3>
      <Select v-model="vessel" :options="letters" :aria-label="texts.beaker" />
      <PlainButton
        v-if="onPan !== vessel"
        :label="texts.putBeakerOnTheScale(vessel)"
        @click="act({ do: 'place', vessel })"
      />
      <template v-else-if="task">
        <PlainButton
          :label="texts.pourToTheTarget"
          :aria-label="texts.pourToTheTarget2(run.label(task.line))"
          @click="careful"
        />
        <NumberField v-model="amount" :label="texts.orGrams" :what="common.theAmount" />
        <PlainButton :label="texts.pour" :disabled="!amount" @click="pour(amount!)" />
        <PlainButton
          :label="texts.takeOut"
          :disabled="!amount"
          @click="act({ do: 'take', line: task!.line, grams: amount! })"
        />
      </template>
      <template v-else-if="kind === 'water' || kind === 'heat'">
        <NumberField v-model="amount" :label="texts.waterG" :what="common.theAmount" />
        <PlainButton
          :label="texts.pourWater"
          :disabled="!amount"
          @click="act({ do: 'water', grams: amount! })"
        />
      </template>
      <template v-else-if="kind === 'ph'">
        <NumberField v-model="amount" :label="texts.lye10G" :what="common.theAmount" />
        <PlainButton
          :label="texts.dripIn"
          :disabled="!amount"
          @click="act({ do: 'drip', material: USUAL_ADJUSTER.up, strengthPercent: 10, grams: amount! })"
        />
      </template>
      <PlainButton
        v-if="kind === 'ph' && truth?.probeIn !== vessel"
        :label="texts.probeIn"
        @click="act({ do: 'probe', vessel })"
      />
      <PlainButton
        v-if="run.step.value?.warms"
        :label="here?.heatTo == null ? texts.intoTheHotBath : texts.outOfTheHotBath"
        @click="
          act({
            do: 'heat',
            vessel,
            celsius: here?.heatTo == null ? (run.step.value!.celsius ?? 70) + 3 : null,
          })
        "
      />
      <PlainButton v-if="run.step.value?.from.length" :label="texts.pourTogether" @click="combine" />
      <PlainButton
        v-if="kind === 'cool'"
        :label="here?.way === 'bath' ? texts.outOfColdWater : texts.intoColdWater"
        @click="act({ do: 'way', vessel, way: here?.way === 'bath' ? 'air' : 'bath' })"
      />
      <QuietButton
        :label="open ? texts.less : texts.more"
        :aria-expanded="open"
        class="last"
        @click="open = !open"
      />
    </div>
    <div v-if="open" class="row abreast at-foot wraps">
      <Choice
        :model-value="truth?.speed ?? 1"
        :options="speeds"
        :label="texts.heatAndColdRun"
        @update:model-value="act({ do: 'speed', speed: $event as number })"
      />
      <QuietButton
        :label="here?.covered === false ? texts.coverIt : texts.takeTheCoverOff"
        @click="act({ do: 'cover', vessel, covered: here?.covered === false })"
      />
      <QuietButton
        v-for="from in others"
        :key="from"
        :label="texts.pourInto(from, vessel)"
        @click="act({ do: 'combine', from, into: vessel })"
      />
      <QuietButton :label="texts.freeTheScaleAndZero" @click="zero" />
      <QuietButton
        v-for="k in INSTRUMENTS"
        :key="k"
        :label="`${truth?.plugged[k] === false ? texts.plugIn : texts.unplug}: ${INSTRUMENT_WORDS[k]}`"
        @click="act({ do: 'plug', instrument: k, in: truth?.plugged[k] === false })"
      />
      <span v-if="here" class="muted small">
        {{
          texts.reallyInBeakerGC(
            vessel,
            say(here.grams),
            sayNumber(here.celsius, 1),
            here.covered ? texts.covered : texts.open,
          )
        }}
      </span>
    </div>
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
  </section>
</template>

<style scoped>
.hands {
  position: sticky;
  bottom: calc(77px + var(--menu-height));
  z-index: 2;
  display: grid;
  gap: 0.25rem;
  padding: 0.5rem 0.875rem;
  border-style: dashed;
  border-color: var(--line-strong);
}
h3 {
  align-self: center;
}
.row > .small {
  align-self: center;
}
.row :deep(.field) {
  width: 6rem;
  gap: 0;
}
.row :deep(.field > label) {
  font-size: var(--text-tiny);
  line-height: 1;
}
.last {
  margin-left: auto;
}
.row :deep(.p-select) {
  align-items: center;
}
@media (max-width: 860px) {
  .hands {
    position: static;
  }
}
</style>
