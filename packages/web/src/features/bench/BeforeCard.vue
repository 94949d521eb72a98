<script setup lang="ts">
import { findingText, stepTitle, aheadText } from '@omblet/core/words'
import {
  decimalsOf,
  findAll,
  formatGrams,
  formatNumber,
  isCaution,
  sayMinutes,
  schedule,
  shoppingList,
  smallWeighings,
  type BenchPlan,
  type Formula,
  findingKey,
} from '@omblet/core'
import { computed } from 'vue'
import TitledCard from '../../components/TitledCard.vue'
import FindingMark from '../../components/FindingMark.vue'
import { today, useLots } from '../../stores/lots'

/** What stands in the way of a batch, how long it takes, and what has to be made beforehand; below it what is to be done. */
const { plan } = defineProps<{ source: Formula | null; plan: BenchPlan | null; wanted: number | null }>()
const lots = useLots()
const empty = computed(() => plan !== null && plan.a.lines.every((l) => l.grams <= 0))
const findings = computed(() =>
  plan ? findAll(plan.a).filter((f) => f.severity === 'stop' && !isCaution(f)) : [],
)
const lacking = computed(() =>
  plan && lots.lots.length > 0 ? shoppingList(plan.a, lots.lots, today()).filter((n) => n.lackGrams > 0) : [],
)
const resolution = computed(() => plan?.a.amounts.resolutionGrams ?? 0.01)
const small = computed(() => (plan ? smallWeighings(plan.a) : []))
const time = computed(() => (plan ? schedule(plan.steps) : null))
const say = (g: number) => formatGrams(g, resolution.value)
</script>

<template>
  <TitledCard title="Before you start" :level="2">
    <p v-if="!source" class="muted">Choose a formula to see what it needs.</p>
    <p v-else-if="!wanted" class="muted">Enter the batch size.</p>
    <p v-else-if="empty" class="muted">This formula has no amounts yet. Enter amounts first.</p>
    <template v-else-if="plan && time">
      <p>
        {{ plan.steps.length }} steps, {{ sayMinutes(time.totalMinutes) }}, hands-on
        {{ sayMinutes(time.handsMinutes) }}.
      </p>
      <ul class="list stacked closer">
        <li v-for="f in findings" :key="findingKey(f)">
          <FindingMark severity="stop" :size="16" /><span
            ><span class="hidden-text">stop: </span>{{ findingText(f).message }}</span
          >
        </li>
        <li v-for="s in small" :key="s.label">
          <FindingMark severity="note" :size="16" /><span
            >{{ s.label }}: {{ say(s.grams) }} is very little for a scale of
            {{ formatNumber(resolution, decimalsOf(resolution)) }} g. The Bench offers a stock
            solution<template v-if="Number.isFinite(s.batch)"
              >; from {{ formatNumber(s.batch, 0) }} g on it can be weighed</template
            >.</span
          >
        </li>
        <li v-for="n in lacking" :key="n.material">
          <FindingMark severity="check" :size="16" /><span
            >{{ n.label }}: {{ say(n.needGrams) }} needed,
            {{ n.haveGrams > 0 ? `${say(n.haveGrams)} in stock` : 'none in stock' }}.</span
          >
        </li>
      </ul>
      <p v-if="!findings.length && !small.length && !lacking.length" class="good">
        <FindingMark severity="fine" :size="16" /> Nothing to prepare.
      </p>
      <template v-if="plan.steps.some((s) => s.ahead)">
        <h3>Prepare ahead</h3>
        <ul class="list stacked closer">
          <li v-for="s in plan.steps.filter((x) => x.ahead)" :key="s.key">
            <span>{{ stepTitle(s) }}: {{ aheadText(s.ahead!) }}</span>
          </li>
        </ul>
      </template>
    </template>
    <slot />
  </TitledCard>
</template>

<style scoped>
.list li,
.good {
  display: flex;
  gap: 0.5rem;
  align-items: baseline;
}
.list :deep(svg),
.good :deep(svg) {
  flex: none;
  align-self: center;
}
</style>
