<script setup lang="ts">
import { common } from '#words/common'
import { methodSheet as texts } from '#words/print'
import { stepText, stepTitle, aheadText, equipmentText } from '@omblet/core/words'
import { schedule, type Assessment, type Method, sayMinutes } from '@omblet/core'
import { computed } from 'vue'
import FlowDrawing from '../../components/FlowDrawing.vue'

const props = defineProps<{ a: Assessment; method: Method }>()
const plan = computed(() => schedule(props.method.steps.filter((s) => !s.later && s.ahead === null)))
const named = (text: string) => (text.startsWith('pH') ? text : text.charAt(0).toUpperCase() + text.slice(1))
</script>

<template>
  <div class="blanks">
    <span>{{ texts.madeOn }}</span><i></i><span>{{ common.batchCode }}</span
    ><i></i><span>{{ common.by }}</span
    ><i></i>
  </div>
  <p class="lead">{{ texts.aboutHandsOn(sayMinutes(plan.totalMinutes), sayMinutes(plan.handsMinutes)) }}</p>
  <section v-if="method.dayBefore.length" class="text">
    <h2>{{ texts.theDayBefore }}</h2>
    <ul>
      <li v-for="s in method.dayBefore" :key="s.key">{{ stepTitle(s) }}. {{ aheadText(s.ahead!) }}</li>
    </ul>
  </section>
  <table class="method">
    <thead>
      <tr>
        <th class="tick">
          <span class="hidden-text">{{ common.done }}</span>
        </th>
        <th>{{ common.step }}</th>
        <th class="num">{{ texts.handsOnTime }}</th>
        <th class="num">{{ texts.waitingTime }}</th>
        <th class="write">{{ texts.observationsMeasurementsChanges }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(s, i) in method.steps" :key="s.key">
        <td class="tick"><b class="box"></b></td>
        <td>
          <strong>{{ i + 1 }}. {{ stepTitle(s) }}</strong>
          <small v-if="stepText(s).detail">{{ stepText(s).detail }}</small>
          <small v-if="stepText(s).look">{{ texts.until(stepText(s).look) }}</small>
          <small v-if="s.note">{{ s.note }}</small>
        </td>
        <td class="num mono">{{ s.hands > 0 ? sayMinutes(s.hands) : '–' }}</td>
        <td class="num mono">{{ s.wait > 0 ? sayMinutes(s.wait) : '–' }}</td>
        <td class="write"></td>
      </tr>
    </tbody>
  </table>
  <div class="ends">
    <section class="text">
      <h2>{{ texts.processFlow }}</h2>
      <FlowDrawing :a="a" :steps="method.steps" />
    </section>
    <div>
      <section class="text">
        <h2>{{ texts.equipment }}</h2>
        <p>{{ equipmentText(method.equipment).map(named).join(', ') }}</p>
      </section>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.ends {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1rem;
  break-inside: avoid;
}
.ends :deep(svg) {
  max-height: 420px;
}
</style>
