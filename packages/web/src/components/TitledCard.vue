<script setup lang="ts">
import TermText from './TermText.vue'
import { useId } from 'vue'

/** A card with its title, and to the right of that what is said of all of it or done with all of it. */
defineProps<{ title: string; level?: 2 | 3 }>()
const id = useId()
</script>

<template>
  <section class="card stacked padded" :aria-labelledby="id">
    <header class="abreast wraps spread">
      <component :is="level === 2 ? 'h2' : 'h3'" :id="id"><TermText :text="title" /></component>
      <slot name="beside" />
    </header>
    <slot />
  </section>
</template>

<style scoped>
@media print {
  h2 {
    font-size: 11pt;
  }
}
</style>
