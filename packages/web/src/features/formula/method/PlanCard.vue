<script setup lang="ts">
import { common } from '#words/common'
import { planCard as texts } from '#words/formula-method'
import { stepTitle, clockAt } from '@omblet/core/words'
import { schedule, type MethodStep, minutesOfDay, sayMinutes } from '@omblet/core'
import Checkbox from 'primevue/checkbox'
import { computed, ref } from 'vue'
import TitledCard from '../../../components/TitledCard.vue'
import TimeField from '../../../components/TimeField.vue'
import OneOf from '../../../components/OneOf.vue'

const props = defineProps<{ steps: readonly MethodStep[] }>()

const aheadDone = ref(true)
const which = ref<'start' | 'finish'>('start')
const WHICH = [
  { value: 'start', label: texts.startAt },
  { value: 'finish', label: texts.finishBy },
]
const time = ref('')

const hasAhead = computed(() => props.steps.some((s) => s.ahead !== null))
const inPlan = computed(() => props.steps.filter((s) => !s.later && !(aheadDone.value && s.ahead !== null)))
const plan = computed(() => schedule(inPlan.value))
const origin = computed(() => {
  const at = minutesOfDay(time.value.trim())
  if (at === null) return null
  return which.value === 'start' ? at : at - plan.value.totalMinutes
})
const titleOf = computed(() => new Map(props.steps.map((s) => [s.key, stepTitle(s)])))
const when = (minutes: number) =>
  origin.value === null ? sayMinutes(minutes) : clockAt(origin.value + minutes)
const scale = computed(() => 100 / Math.max(1, plan.value.totalMinutes))
const rows = computed(() =>
  plan.value.slots.map((s) => ({
    ...s,
    title: titleOf.value.get(s.key) ?? '',
    left: s.start * scale.value,
    hands: (s.handsEnd - s.start) * scale.value,
    wait: (s.end - s.handsEnd) * scale.value,
  })),
)
</script>

<template>
  <TitledCard :title="texts.plan" class="plan">
    <template #beside
      ><span class="muted small">{{
        texts.handsOn(sayMinutes(plan.totalMinutes), sayMinutes(plan.handsMinutes))
      }}</span></template
    >

    <div class="abreast wraps">
      <OneOf v-model="which" :options="WHICH" size="small" :label="texts.givenTime" />
      <TimeField v-model="time" :label="which === 'start' ? texts.startAt : texts.finishBy" />
      <span v-if="origin !== null" class="small" role="status">{{
        texts.to(clockAt(origin), clockAt(origin + plan.totalMinutes))
      }}</span>
    </div>
    <label v-if="hasAhead" class="check small"
      ><Checkbox v-model="aheadDone" binary /> {{ texts.dayBeforePreparationsAreDone }}</label
    >
    <table>
      <colgroup>
        <col class="at" />
        <col class="what" />
        <col />
      </colgroup>
      <thead>
        <tr class="small muted">
          <th scope="col">{{ texts.begins }}</th>
          <th scope="col">{{ common.step }}</th>
          <th scope="col">{{ texts.handsOnAndWaitingTime }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.key" :class="{ critical: r.critical }">
          <td class="mono small at">{{ when(r.start) }}</td>
          <th scope="row" class="small">
            {{ r.title }}<span v-if="r.critical" class="hidden-text">{{ texts.onTheCriticalPath }}</span>
          </th>
          <td class="bars">
            <span class="track"
              ><i class="hands" :style="{ left: `${r.left}%`, width: `max(3px, ${r.hands}%)` }"></i
              ><i
                v-if="r.wait > 0"
                class="wait"
                :style="{ left: `${r.left + r.hands}%`, width: `${r.wait}%` }"
              ></i
            ></span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="keys small muted">
      <span><i class="hands"></i>{{ texts.hands }}</span
      ><span><i class="wait"></i>{{ texts.waiting }}</span
      ><span
        ><b>{{ texts.bold }}</b> {{ texts.onTheCriticalPath2 }}</span
      >
    </p>
    <p class="muted small">{{ texts.forOnePersonWaitingTimes }}</p>
  </TitledCard>
</template>

<style scoped>
.check {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 28px;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  height: 26px;
  padding: 0 0.5rem 0 0;
  font-weight: 400;
  text-align: left;
}
.at {
  width: 4.5rem;
  white-space: nowrap;
}
.what {
  width: 46%;
}
th {
  position: relative;
  padding-block: 0.2rem;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.critical th,
.critical .at {
  font-weight: 700;
}
.bars {
  padding: 0;
}
.track {
  position: relative;
  display: block;
  height: 12px;
  border-radius: var(--round-s);
  background: var(--side);
}
.track i {
  position: absolute;
  top: 0;
  bottom: 0;
}
i.hands {
  background: var(--accent);
  border-radius: 2px;
}
i.wait {
  background: var(--band);
  border-radius: 2px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
}
.keys span {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
}
.keys i {
  width: 14px;
  height: 10px;
}
</style>
