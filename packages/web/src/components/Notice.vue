<script setup lang="ts">
import FindingMark from './FindingMark.vue'

defineProps<{ kind: 'stop' | 'check' | 'note' }>()
</script>

<template>
  <div class="notice abreast wraps" :data-kind="kind" :role="kind === 'stop' ? 'alert' : 'status'">
    <FindingMark :severity="kind" />
    <div class="text"><slot /></div>
    <div v-if="$slots['actions']" class="actions"><slot name="actions" /></div>
  </div>
</template>

<style scoped>
.notice {
  padding: 0.625rem 0.75rem;
  border: 1px solid var(--line);
  border-radius: var(--round-l);
  background: var(--paper);
  font-size: var(--text-less);
}
.notice[data-kind='stop'] {
  background: var(--stop-wash);
  border-color: color-mix(in srgb, var(--stop) 35%, transparent);
}
.notice[data-kind='check'] {
  background: var(--check-wash);
  border-color: color-mix(in srgb, var(--check) 35%, transparent);
}
.text {
  flex: 1 1 12rem;
  overflow-wrap: anywhere;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
</style>
