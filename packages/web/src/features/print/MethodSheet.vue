<script setup lang="ts">
import { stepText, stepTitle, aheadText, equipmentText } from '@omblet/core/words'
import { schedule, type Assessment, type Method, sayMinutes } from '@omblet/core'
import { computed } from 'vue'
import FlowDrawing from '../../components/FlowDrawing.vue'

const props = defineProps<{ a: Assessment; method: Method }>()
const plan = computed(() => schedule(props.method.steps.filter((s) => !s.later && s.ahead === null)))
const named = (text: string) => (text.startsWith('pH') ? text : text.charAt(0).toUpperCase() + text.slice(1))
</script>

<template>
  <div class="blanks"><span>Made on</span><i></i><span>Batch code</span><i></i><span>By</span><i></i></div>
  <p class="lead">About {{ sayMinutes(plan.totalMinutes) }}, hands-on {{ sayMinutes(plan.handsMinutes) }}.</p>
  <section v-if="method.dayBefore.length" class="text">
    <h2>The day before</h2>
    <ul>
      <li v-for="s in method.dayBefore" :key="s.key">{{ stepTitle(s) }}. {{ aheadText(s.ahead!) }}</li>
    </ul>
  </section>
  <table class="method">
    <thead>
      <tr>
        <th class="tick"><span class="hidden-text">Done</span></th>
        <th>Step</th>
        <th class="num">Hands-on time</th>
        <th class="num">Waiting time</th>
        <th class="write">Observations, measurements, changes</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(s, i) in method.steps" :key="s.key">
        <td class="tick"><b class="box"></b></td>
        <td>
          <strong>{{ i + 1 }}. {{ stepTitle(s) }}</strong>
          <small v-if="stepText(s).detail">{{ stepText(s).detail }}</small>
          <small v-if="stepText(s).look">Until: {{ stepText(s).look }}.</small>
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
      <h2>Process flow</h2>
      <FlowDrawing :a="a" :steps="method.steps" />
    </section>
    <div>
      <section class="text">
        <h2>Equipment</h2>
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
