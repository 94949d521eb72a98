<script setup lang="ts">
import type { MethodStep } from '@omblet/core'
import { capitalise } from '@omblet/core'

defineProps<{ equipment: readonly string[]; dayBefore: readonly MethodStep[] }>()
</script>

<template>
  <section class="card needs" aria-labelledby="needs-title">
    <h3 id="needs-title">What is needed</h3>
    <template v-if="dayBefore.length">
      <h4>The day before</h4>
      <ul class="before">
        <li v-for="s in dayBefore" :key="s.key">
          <strong>{{ s.title }}</strong><br /><span class="small muted">{{ s.ahead }}</span>
        </li>
      </ul>
    </template>
    <h4>Equipment</h4>
    <ul class="things">
      <li v-for="e in equipment" :key="e">{{ e.startsWith('pH') ? e : capitalise(e) }}</li>
    </ul>
  </section>
</template>

<style scoped>
.needs {
  display: grid;
  gap: 0.5rem;
  padding: 0.875rem 1rem 1rem;
}
h3 {
  font-size: var(--text-lead);
}
h4 {
  margin: 0.25rem 0 0;
  font-size: var(--text-note);
  color: var(--muted);
}
.before {
  display: grid;
  gap: 0.375rem;
}
.things {
  columns: 2;
  gap: 1rem;
}
</style>
