<script setup lang="ts">
import { candidateList as texts } from '#words/trials'
import { optionText, optionName } from '@omblet/core/words'
import { formatNumber } from '@omblet/core'
import Checkbox from 'primevue/checkbox'
import { computed } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import type { useSetUp } from './use-set-up'

/** What can be compared, each as it was judged in the very formula. */
const props = defineProps<{ setUp: ReturnType<typeof useSetUp> }>()
const s = props.setUp
/** Against the formula as it is: what was to heed before is nothing that a candidate brings. */
const asItIs = computed(() => s.options.value.find((o) => o.current) ?? { stops: 0, checks: 0 })
type Counts = { stops: number; checks: number }
const severity = (o: Counts) =>
  o.stops > asItIs.value.stops ? 'stop' : o.checks > asItIs.value.checks ? 'check' : 'fine'
const markWords = (o: Counts) =>
  ({ stop: texts.newStop, check: texts.newCheck, fine: texts.noFindings })[severity(o)]
</script>

<template>
  <ul class="options">
    <li v-for="o in s.offered.value" :key="o.key">
      <label>
        <Checkbox v-model="s.picked.value" :value="o.key" />
        <FindingMark
          v-if="s.varies.value !== 'version' && s.varies.value !== 'jar' && s.varies.value !== 'school'"
          :severity="severity(o)"
          :size="16"
        />
        <span class="name"
          >{{ optionName(o) }}<span v-if="o.current" class="muted small"> {{ texts.current }}</span
          ><span class="hidden-text">, {{ markWords(o) }}</span></span
        >
        <span v-if="o.percent !== null" class="mono amount">{{ formatNumber(o.percent, 1, 3) }} %</span>
      </label>
      <p v-if="o.note" class="muted small says">{{ optionText(o.note) }}</p>
    </li>
  </ul>
</template>

<style scoped>
li {
  padding: 0.25rem 0;
  border-top: 1px solid var(--line);
}
.name {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
.says {
  padding-left: 2.15rem;
}
label {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 40px;
  cursor: pointer;
}
</style>
