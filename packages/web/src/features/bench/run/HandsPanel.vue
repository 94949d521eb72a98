<script setup lang="ts">
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
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import NumberField from '../../../components/NumberField.vue'
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
const speeds = [1, 10, 60, 300].map((value) => ({ value, label: value === 1 ? 'in real time' : `${value} times as fast` })) // prettier-ignore

async function act(h: Hand) {
  error.value = await instruments.hand(h)
}
const pour = (grams: number) => task.value && act({ do: 'pour', line: task.value.line, grams })
/** A careful hand: within the band, though not to the last count. */
const careful = () => task.value && pour(task.value.left + (Math.random() - 0.5) * Math.min(0.3 * run.resolution.value, task.value.leftHigh - task.value.left)) // prettier-ignore
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
const look = setInterval(() => void instruments.look(), 1500)
onBeforeUnmount(() => clearInterval(look))
</script>

<template>
  <section class="card hands" aria-labelledby="hands-title">
    <div class="row">
      <h3 id="hands-title">Simulated bench</h3>
      <Select v-model="vessel" :options="letters" aria-label="Beaker" />
      <Button
        v-if="onPan !== vessel"
        :label="`Put beaker ${vessel} on the scale`"
        severity="secondary"
        outlined
        @click="act({ do: 'place', vessel })"
      />
      <template v-else-if="task">
        <Button
          label="Pour to the target"
          :aria-label="`Pour ${run.label(task.line)} to the target`"
          severity="secondary"
          outlined
          @click="careful"
        />
        <NumberField id="hand-grams" v-model="amount" label="or grams" what="the amount" />
        <Button label="Pour" severity="secondary" outlined :disabled="!amount" @click="pour(amount!)" />
        <Button
          label="Take out"
          severity="secondary"
          outlined
          :disabled="!amount"
          @click="act({ do: 'take', line: task!.line, grams: amount! })"
        />
      </template>
      <template v-else-if="kind === 'water' || kind === 'heat'">
        <NumberField id="hand-water" v-model="amount" label="Water, g" what="the amount" />
        <Button
          label="Pour water"
          severity="secondary"
          outlined
          :disabled="!amount"
          @click="act({ do: 'water', grams: amount! })"
        />
      </template>
      <template v-else-if="kind === 'ph'">
        <NumberField id="hand-drip" v-model="amount" label="Lye 10 %, g" what="the amount" />
        <Button
          label="Drip in"
          severity="secondary"
          outlined
          :disabled="!amount"
          @click="act({ do: 'drip', material: USUAL_ADJUSTER.up, strengthPercent: 10, grams: amount! })"
        />
      </template>
      <Button
        v-if="kind === 'ph' && truth?.probeIn !== vessel"
        label="Probe in"
        severity="secondary"
        outlined
        @click="act({ do: 'probe', vessel })"
      />
      <Button
        v-if="run.step.value?.warms"
        :label="here?.heatTo == null ? 'Into the hot bath' : 'Out of the hot bath'"
        severity="secondary"
        outlined
        @click="
          act({
            do: 'heat',
            vessel,
            celsius: here?.heatTo == null ? (run.step.value!.celsius ?? 70) + 3 : null,
          })
        "
      />
      <Button
        v-if="run.step.value?.from.length"
        label="Pour together"
        severity="secondary"
        outlined
        @click="combine"
      />
      <Button
        v-if="kind === 'cool'"
        :label="here?.way === 'bath' ? 'Out of cold water' : 'Into cold water'"
        severity="secondary"
        outlined
        @click="act({ do: 'way', vessel, way: here?.way === 'bath' ? 'air' : 'bath' })"
      />
      <Button
        :label="open ? 'Less' : 'More'"
        text
        severity="secondary"
        :aria-expanded="open"
        class="last"
        @click="open = !open"
      />
    </div>
    <div v-if="open" class="row">
      <Select
        :model-value="truth?.speed ?? 1"
        :options="speeds"
        option-label="label"
        option-value="value"
        aria-label="Heat and cold run"
        @update:model-value="act({ do: 'speed', speed: $event as number })"
      />
      <Button
        :label="here?.covered === false ? 'Cover it' : 'Take the cover off'"
        severity="secondary"
        text
        @click="act({ do: 'cover', vessel, covered: here?.covered === false })"
      />
      <Button
        v-for="from in others"
        :key="from"
        :label="`Pour ${from} into ${vessel}`"
        severity="secondary"
        text
        @click="act({ do: 'combine', from, into: vessel })"
      />
      <Button label="Free the scale and zero it" severity="secondary" text @click="zero" />
      <Button
        v-for="k in INSTRUMENTS"
        :key="k"
        :label="`${truth?.plugged[k] === false ? 'Plug in' : 'Unplug'}: ${INSTRUMENT_WORDS[k]}`"
        severity="secondary"
        text
        @click="act({ do: 'plug', instrument: k, in: truth?.plugged[k] === false })"
      />
      <span v-if="here" class="muted small">
        Really in beaker {{ vessel }}: {{ say(here.grams) }} g, {{ sayNumber(here.celsius, 1) }} °C,
        {{ here.covered ? 'covered' : 'open' }}.
      </span>
    </div>
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
  </section>
</template>

<style scoped>
.hands {
  position: sticky;
  bottom: 77px;
  z-index: 2;
  display: grid;
  gap: 0.25rem;
  padding: 0.5rem 0.875rem;
  border-style: dashed;
  border-color: var(--line-strong);
}
h3 {
  font-size: var(--text-less);
  align-self: center;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.375rem 0.5rem;
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
.hands :deep(button),
.hands :deep(.p-select) {
  min-height: 44px;
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
