<script setup lang="ts">
defineProps<{ severity: 'stop' | 'check' | 'note' | 'fine'; size?: number }>()
</script>

<template>
  <svg :width="size ?? 18" :height="size ?? 18" viewBox="0 0 20 20" class="mark" aria-hidden="true">
    <template v-if="severity === 'stop'">
      <path d="M6.200 1h7.600L19 6.200v7.600L13.800 19H6.200L1 13.800V6.200z" fill="var(--stop)" />
      <path d="M9 4.800h2v6.400H9zm0 8h2v2.200H9z" fill="var(--on-mark)" />
    </template>
    <template v-else-if="severity === 'check'">
      <path d="M10 1.500 19.200 18H.8z" fill="var(--check-fill)" />
      <path d="M9.100 7.200h1.800v5.400H9.100zm0 6.700h1.800v1.900H9.100z" fill="var(--on-check)" />
    </template>
    <circle v-else-if="severity === 'note'" cx="10" cy="10" r="5" fill="var(--note)" />
    <template v-else>
      <circle cx="10" cy="10" r="9" fill="var(--fine)" />
      <path d="m5.600 10.300 3 3 5.800-6.200" fill="none" stroke="var(--on-mark)" stroke-width="2" />
    </template>
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
  display: block;
}
</style>
