<script setup lang="ts">
import { common } from '#words/common'
import { counts as texts } from '#words/components'
import { computed } from 'vue'
import FindingMark from './FindingMark.vue'

const props = defineProps<{ counts: { stop: number; check: number; note?: number }; empty?: boolean }>()
const parts = computed(() => {
  const { stop, check } = props.counts
  return [
    ...(stop ? [{ severity: 'stop' as const, text: common.counted(stop, 'stop') }] : []),
    ...(check ? [{ severity: 'check' as const, text: common.counted(check, 'check') }] : []),
  ]
})
</script>

<template>
  <span class="counts">
    <span v-if="empty" class="muted">{{ texts.justStarted }}</span>
    <span v-else-if="parts.length === 0" class="one"
      ><FindingMark severity="fine" :size="16" />{{ texts.noStopsOrChecks }}</span
    >
    <span v-for="part in empty ? [] : parts" :key="part.severity" class="one"
      ><FindingMark :severity="part.severity" :size="16" />{{ part.text }}</span
    >
  </span>
</template>

<style scoped>
.counts {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0.25rem 0.75rem;
  font-size: var(--text-small);
}
.one {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
  white-space: nowrap;
}
</style>
