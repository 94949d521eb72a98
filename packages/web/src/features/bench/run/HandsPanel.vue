<script setup lang="ts">
import { decimalsOf, formatNumber, INSTRUMENTS, sayNumber, type Hand } from '@omblet/core'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import NumberField from '../../../components/NumberField.vue'
import { useInstruments } from '../../../stores/instruments'
import { INSTRUMENT_WORDS } from '../words'
import { useRun } from './run'
import { tasksOf } from './weighing'

/** The hands at the simulated bench: what one would do at a real one. */
const instruments = useInstruments()
const run = useRun()
const error = ref<string | null>(null)
const open = ref(true)
const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))

const letters = computed(() => run.state.value.plan.a.phases.filter((p) => p.lines > 0).map((p) => p.letter))
const vessel = ref(letters.value[0] ?? 'A')
watch(
  () => run.step.value?.letter,
  (letter) => letter && (vessel.value = letter),
  { immediate: true },
)
const task = computed(() => {
  const step = run.step.value
  return step && step.kind !== 'ph'
    ? (tasksOf(run.state.value, step).find((t) => !t.done && !t.over) ?? null)
    : null
})
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
const combine = () => {
  const said = /Pour ([A-Z]+(?:[, and]*[A-Z]+)*) into ([A-Z]+)/.exec(run.step.value?.title ?? '')
  const into = said?.[2] ?? letters.value[0]!
  return Promise.all(
    (said?.[1] ?? '').split(/,\s*|\s+and\s+/).filter(Boolean).map((from) => act({ do: 'combine', from, into })), // prettier-ignore
  )
}
/** What a step brings together is poured there by one press. */
const others = computed(() => letters.value.filter((l) => l !== vessel.value))
const look = setInterval(() => void instruments.look(), 1500)
onBeforeUnmount(() => clearInterval(look))
</script>

<template>
  <section class="card hands" aria-labelledby="hands-title">
    <header>
      <h3 id="hands-title">Simulated bench</h3>
      <span class="muted small">your hands at a beaker that is not there</span>
      <Button
        :label="open ? 'Fold' : 'Unfold'"
        text
        size="small"
        severity="secondary"
        :aria-expanded="open"
        @click="open = !open"
      />
    </header>
    <div v-if="open" class="body">
      <div class="row">
        <Select v-model="vessel" :options="letters" aria-label="Beaker" />
        <Button
          :label="onPan === vessel ? `Beaker ${vessel} is on the scale` : `Put beaker ${vessel} on the scale`"
          severity="secondary"
          outlined
          :disabled="onPan === vessel"
          @click="act({ do: 'place', vessel })"
        />
        <Button label="Scale free" severity="secondary" text @click="act({ do: 'clear' })" />
      </div>
      <div v-if="task" class="row">
        <Button
          :label="`Pour ${run.label(task.line)} to the target`"
          severity="secondary"
          outlined
          :disabled="onPan === null"
          @click="careful"
        />
        <NumberField id="hand-grams" v-model="amount" label="or grams" unit="g" what="the amount" />
        <Button
          label="Pour"
          severity="secondary"
          outlined
          :disabled="!amount || onPan === null"
          @click="pour(amount!)"
        />
        <Button
          label="Take out"
          severity="secondary"
          outlined
          :disabled="!amount || onPan === null"
          @click="act({ do: 'take', line: task!.line, grams: amount! })"
        />
      </div>
      <div v-if="run.step.value?.kind === 'water' || run.step.value?.kind === 'heat'" class="row">
        <NumberField id="hand-water" v-model="amount" label="Water" unit="g" what="the amount" />
        <Button
          label="Pour water"
          severity="secondary"
          outlined
          :disabled="!amount || onPan === null"
          @click="act({ do: 'water', grams: amount! })"
        />
      </div>
      <div v-if="run.step.value?.kind === 'ph'" class="row">
        <NumberField id="hand-drip" v-model="amount" label="Lye, 10 %" unit="g" what="the amount" />
        <Button
          label="Drip in"
          severity="secondary"
          outlined
          :disabled="!amount || onPan === null"
          @click="act({ do: 'drip', material: 'sodium-hydroxide', strengthPercent: 10, grams: amount! })"
        />
        <Button
          label="Probe in"
          severity="secondary"
          outlined
          :disabled="truth?.probeIn === vessel"
          @click="act({ do: 'probe', vessel })"
        />
      </div>
      <div class="row">
        <Button
          v-if="here?.heatTo == null"
          label="Into the hot bath"
          severity="secondary"
          outlined
          @click="act({ do: 'heat', vessel, celsius: 75 })"
        />
        <Button
          v-else
          label="Out of the hot bath"
          severity="secondary"
          outlined
          @click="act({ do: 'heat', vessel, celsius: null })"
        />
        <!-- prettier-ignore -->
        <Button
          :label="here?.way === 'bath' ? 'Out of cold water' : 'Into cold water'"
          severity="secondary"
          outlined
          @click="act({ do: 'way', vessel, way: here?.way === 'bath' ? 'air' : 'bath' })"
        />
        <Button
          :label="here?.covered === false ? 'Cover it' : 'Take the cover off'"
          severity="secondary"
          outlined
          @click="act({ do: 'cover', vessel, covered: here?.covered === false })"
        />
        <Button
          v-if="run.step.value?.kind === 'combine'"
          label="Pour together"
          severity="secondary"
          outlined
          @click="combine"
        />
        <template v-else>
          <Button
            v-for="from in others"
            :key="from"
            :label="`${from} into ${vessel}`"
            severity="secondary"
            text
            @click="act({ do: 'combine', from, into: vessel })"
          />
        </template>
      </div>
      <div class="row">
        <Select
          :model-value="truth?.speed ?? 1"
          :options="speeds"
          option-label="label"
          option-value="value"
          aria-label="Heat and cold run"
          @update:model-value="act({ do: 'speed', speed: $event as number })"
        />
        <Button
          v-for="k in INSTRUMENTS"
          :key="k"
          :label="`${truth?.plugged[k] === false ? 'Plug in' : 'Unplug'}: ${INSTRUMENT_WORDS[k]}`"
          severity="secondary"
          text
          @click="act({ do: 'plug', instrument: k, in: truth?.plugged[k] === false })"
        />
      </div>
      <p v-if="here" class="muted small">
        Beaker {{ vessel }}: {{ say(here.grams) }} g at {{ sayNumber(here.celsius, 1) }} °C,
        {{ here.covered ? 'covered' : 'open' }}.
      </p>
      <p v-if="error" class="error-text" role="alert">{{ error }}</p>
    </div>
  </section>
</template>

<style scoped>
.hands {
  padding: 0.75rem 1.25rem 1rem;
  border-style: dashed;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.25rem 0.75rem;
}
header :deep(button) {
  margin-left: auto;
}
h3 {
  font-size: 1rem;
}
.body {
  display: grid;
  gap: 0.5rem;
  padding-top: 0.375rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.5rem;
}
.row :deep(.field) {
  width: 8rem;
}
.hands :deep(button),
.hands :deep(input),
.hands :deep(.p-select) {
  min-height: 44px;
}
.row :deep(.p-select) {
  align-items: center;
}
</style>
