<script setup lang="ts">
import { capitalise } from '@omblet/core'
import type { LabelRoom } from './use-label'

/** The sentences of the label, each with where it comes from. */
const { room } = defineProps<{ room: LabelRoom }>()
</script>

<template>
  <section class="card" aria-labelledby="sentences-title">
    <h3 id="sentences-title">Sentences on it</h3>
    <ul>
      <li v-for="s in room.label.value.statements" :key="s.code">
        <p>{{ s.quoted ? `“${s.text}”` : capitalise(s.text) }}</p>
        <p class="muted small">{{ s.source }}; {{ s.confidence }} confidence</p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  gap: 0.5rem;
  padding: 0.875rem 1rem;
}
h3 {
  font-size: var(--text-lead);
}
li + li {
  margin-top: 0.5rem;
}
</style>
