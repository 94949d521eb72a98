<script setup lang="ts">
import { common } from '#words/common'
import { heatPanel as texts } from '#words/bench-run'
import { heldIn, sayNumber, vesselOf, type BenchStep } from '@omblet/core'
import { computed } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import LearnedNote from '../../../components/LearnedNote.vue'
import { useLearned } from '../../../stores/learned'
import Entries from './Entries.vue'
import MassForm from './MassForm.vue'
import PutBack from './PutBack.vue'
import { useRun, useShown } from './run'
import TemperatureForm from './TemperatureForm.vue'
import WaitButton from './WaitButton.vue'

const props = defineProps<{ step: BenchStep }>()
const run = useRun()
const shown = useShown('thermometer', run.now)

const learned = useLearned()
/** This very vessel, where water left from it before. */
const vessel = computed(() => learned.nearest('evaporation', null, vesselOf(run.state.value)))
const target = computed(() => props.step.celsius)
const last = computed(() => run.state.value.temperatures.filter((t) => t.step === props.step.key).at(-1))
const now = computed(() => shown.value?.value ?? last.value?.celsius ?? null)
const there = computed(() => now.value !== null && target.value !== null && now.value >= target.value - 2)
const hold = computed(() => props.step.holdMinutes)
/** A glycol or an oil loses no water. */
const watery = computed(() => {
  const { plan } = run.state.value
  return plan.water !== null && props.step.holds.some((i) => plan.a.lines[i]!.material?.kind === 'water')
})
const masses = computed(() => run.state.value.masses.filter((m) => m.step === props.step.key))
const before = computed(() => masses.value.find((m) => m.when === 'before'))
const after = computed(() => masses.value.filter((m) => m.when === 'after').at(-1))
const held = computed(() => heldIn(run.state.value, props.step.key))
const lost = computed(() => {
  const e = run.state.value
  const start = before.value?.grams ?? held.value
  if (!after.value || start === null) return null
  const back = e.events.reduce(
    (sum, x) => sum + (x.type === 'water' && x.step === props.step.key && !e.undone.has(x.n) ? x.grams : 0),
    0,
  )
  return { gone: Math.max(0, after.value.expected! - after.value.grams), back }
})
</script>

<template>
  <div class="heat">
    <div class="figures">
      <div>
        <p class="label">{{ common.now }}</p>
        <p class="figure mono" data-testid="celsius">
          {{ now === null ? '–' : sayNumber(now, 1) }}<span class="unit"> °C</span>
        </p>
      </div>
      <div v-if="target !== null">
        <p class="label">{{ texts.heatTo }}</p>
        <p class="figure mono">{{ sayNumber(target, 1) }}<span class="unit"> °C</span></p>
      </div>
      <p v-if="there" class="there"><FindingMark severity="fine" /> {{ texts.temperatureReached }}</p>
    </div>
    <TemperatureForm />
    <WaitButton v-if="hold > 0" :step="step" :minutes="hold" :title="texts.holdHot(step.vessel)" />
    <section v-if="watery" class="water" aria-labelledby="water-title">
      <h3 id="water-title">{{ texts.evaporation }}</h3>
      <LearnedNote
        lesson="evaporation"
        :of="vessel"
        :says="vessel ? texts.usualWaterLossFromThis : texts.usualWaterLossOnHeating"
        :unit="texts.ofTheBatch"
      />
      <p v-if="held !== null" class="muted">
        {{ texts.weighedInWeighTheBeaker(run.grams(held)) }}
      </p>
      <MassForm v-if="!after" when="before" :vessel="step.vessel || null" :label="texts.beforeHeating" />
      <p v-if="before" class="muted">{{ texts.before(run.grams(before.grams)) }}</p>
      <MassForm when="after" :vessel="step.vessel || null" :label="texts.afterHeating" />
      <template v-if="lost">
        <p class="lost" role="status">
          <strong>{{ run.grams(lost.gone) }}</strong> {{ texts.left
          }}<template v-if="lost.back > 0">{{ texts.addedBack(run.grams(lost.back)) }}</template
          >.
        </p>
        <PutBack :wanted="Math.max(0, lost.gone - lost.back)" />
      </template>
    </section>
    <Entries :types="['mass', 'water', 'temperature']" />
  </div>
</template>

<style scoped src="./figures.css"></style>
<style scoped>
.heat,
.water {
  display: grid;
  gap: 0.75rem;
}
.water {
  padding-top: 0.75rem;
  border-top: 1px solid var(--line);
}
.lost {
  font-size: var(--text-head-3);
}
</style>
