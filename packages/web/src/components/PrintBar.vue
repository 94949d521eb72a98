<script setup lang="ts">
import { common } from '#words/common'
import Button from 'primevue/button'
import { QuietButton } from './buttons'
import type { RouteLocationRaw } from 'vue-router'

/** The bar above what is printed: the way back, what it is, and the one thing to do. It does not print itself. */
defineProps<{ back: RouteLocationRaw; title?: string; hint?: string }>()
const print = () => window.print()
</script>

<template>
  <header class="print-bar abreast wraps">
    <RouterLink v-slot="{ navigate }" :to="back" custom>
      <QuietButton icon="pi pi-arrow-left" :label="common.back" @click="navigate" />
    </RouterLink>
    <h1 v-if="title">{{ title }}</h1>
    <p v-if="hint" class="muted small">{{ hint }}</p>
    <slot />
    <Button class="go" icon="pi pi-print" :label="common.print" @click="print" />
  </header>
</template>

<style scoped>
.print-bar {
  position: sticky;
  top: 0;
  z-index: 3;
  gap: 0.75rem;
  padding: 0.625rem 1rem;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}
h1 {
  font-size: var(--text-head-3);
}
.go {
  margin-left: auto;
}
@media print {
  .print-bar {
    display: none;
  }
}
</style>
