<script setup lang="ts">
import { beforeCard as texts } from '#words/bench'
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
  <TitledCard :title="texts.beforeYouStart" :level="2">
    <p v-if="!source" class="muted">{{ texts.chooseAFormulaToSee }}</p>
    <p v-else-if="!wanted" class="muted">{{ texts.enterTheBatchSize }}</p>
    <p v-else-if="empty" class="muted">{{ texts.thisFormulaHasNoAmounts }}</p>
    <template v-else-if="plan && time">
      <p>
        {{
          texts.stepsHandsOn(plan.steps.length, sayMinutes(time.totalMinutes), sayMinutes(time.handsMinutes))
        }}
      </p>
      <ul class="list stacked closer">
        <li v-for="f in findings" :key="findingKey(f)">
          <FindingMark severity="stop" :size="16" /><span
            ><span class="hidden-text">{{ texts.stop }} </span>{{ findingText(f).message }}</span
          >
        </li>
        <li v-for="s in small" :key="s.label">
          <FindingMark severity="note" :size="16" /><span
            >{{
              texts.isVeryLittleForA(s.label, say(s.grams), formatNumber(resolution, decimalsOf(resolution)))
            }}<template v-if="Number.isFinite(s.batch)">{{
              texts.fromGOnItCan(formatNumber(s.batch, 0))
            }}</template
            >.</span
          >
        </li>
        <li v-for="n in lacking" :key="n.material">
          <FindingMark severity="check" :size="16" /><span>{{
            texts.needed(
              n.label,
              say(n.needGrams),
              n.haveGrams > 0 ? texts.inStock(say(n.haveGrams)) : texts.noneInStock,
            )
          }}</span>
        </li>
      </ul>
      <p v-if="!findings.length && !small.length && !lacking.length" class="good">
        <FindingMark severity="fine" :size="16" /> {{ texts.nothingToPrepare }}
      </p>
      <template v-if="plan.steps.some((s) => s.ahead)">
        <h3>{{ texts.prepareAhead }}</h3>
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
