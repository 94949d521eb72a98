<script setup lang="ts">
import { stepCard as texts } from '#words/bench-run'
import { stepText } from '@omblet/core/words'
import type { BenchStep } from '@omblet/core'
import { computed, defineAsyncComponent } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import FillPanel from './FillPanel.vue'
import HeatPanel from './HeatPanel.vue'
import { useRun } from './run'
import WaitButton from './WaitButton.vue'
import WaterPanel from './WaterPanel.vue'
import WeighPanel from './WeighPanel.vue'

const CoolPanel = defineAsyncComponent(() => import('./CoolPanel.vue'))
const PhPanel = defineAsyncComponent(() => import('./PhPanel.vue'))

const props = defineProps<{ step: BenchStep }>()
const run = useRun()
const text = computed(() => stepText(props.step))
const number = computed(() => run.state.value.plan.steps.indexOf(props.step) + 1)
const mark = computed(() => run.state.value.marks.get(props.step.key))
const weighs = computed(() => props.step.kind !== 'ph' && props.step.lines.length > 0)
/** Steps whose panel says it with this batch’s own figures, and those that set timers of their own. */
const SAID_BELOW = new Set(['cool', 'water'])
const OWN_TIMER = new Set(['cool', 'ph'])
const role = computed(
  () => run.state.value.plan.a.phases.find((p) => p.letter === props.step.letter)?.role ?? null,
)
</script>

<template>
  <article class="card step stacked" :aria-label="text.title">
    <header class="abreast">
      <span v-if="step.letter" class="phase-badge" :data-role="role">{{ step.letter }}</span>
      <span v-else class="number mono">{{ number }}</span>
      <h2>{{ text.title }}</h2>
    </header>
    <p v-if="mark" class="muted small">
      {{ mark.how === 'done' ? texts.alreadyDone : texts.skipped(mark.reason) }}
    </p>
    <p v-if="text.detail && !weighs && !SAID_BELOW.has(step.kind)" class="detail">
      {{ text.detail }}
    </p>
    <p v-if="text.look" class="look abreast text-lead">
      <FindingMark severity="fine" :size="16" /> {{ texts.until(text.look) }}
    </p>
    <p v-if="step.note" class="note">{{ step.note }}</p>
    <WeighPanel v-if="weighs" :step="step" />
    <p v-if="text.detail && weighs && step.kind !== 'weigh'" class="detail">
      {{ text.detail }}
    </p>
    <HeatPanel v-if="step.warms" :step="step" />
    <CoolPanel v-if="step.kind === 'cool'" :step="step" />
    <WaterPanel v-if="step.kind === 'water'" />
    <PhPanel v-if="step.kind === 'ph'" />
    <FillPanel v-if="step.key === 'fill'" />
    <WaitButton v-if="step.wait > 0 && !step.warms && !OWN_TIMER.has(step.kind)" :step="step" />
  </article>
</template>

<style scoped>
.step {
  padding: 1rem 1.25rem 1.25rem;
}
header {
  gap: 0.75rem;
}
h2 {
  font-size: var(--text-head-1);
  line-height: 1.25;
}
.phase-badge {
  min-width: 32px;
  height: 32px;
  background: var(--phase);
  font-size: var(--text-lead);
}
.number {
  display: grid;
  place-items: center;
  flex: none;
  width: 32px;
  height: 32px;
  border-radius: 50%;
  background: var(--cobalt-500);
  color: var(--on-fill);
  font-weight: 700;
}
.detail {
  font-size: var(--text-head-3);
  max-width: 46rem;
}
.note {
  padding: 0.625rem 0.875rem;
  border-left: 3px solid var(--accent);
  background: var(--wash);
  white-space: pre-line;
  font-size: var(--text-lead);
}
@media (max-width: 860px) {
  .step {
    padding: 0.75rem;
  }
  h2 {
    font-size: var(--text-head-2);
  }
  .detail {
    font-size: var(--text-lead);
  }
}
</style>
