<script setup lang="ts">
/** Says that nothing is here, and what to do: one look for all lists. */
defineProps<{ title?: string }>()
</script>

<template>
  <div class="nothing">
    <slot name="picture" />
    <h2 v-if="title">{{ title }}</h2>
    <div class="words stacked closer"><slot /></div>
    <div v-if="$slots['actions']" class="actions"><slot name="actions" /></div>
  </div>
</template>

<style scoped>
.nothing {
  display: grid;
  justify-items: center;
  gap: 1rem;
  max-width: 44rem;
  margin-inline: auto;
  padding: 3rem 1rem;
  text-align: center;
  color: var(--muted);
}
h2 {
  color: var(--ink);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 0.5rem;
}
</style>
