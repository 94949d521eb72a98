<script setup lang="ts">
import { common } from '#words/common'
import UpLink from './UpLink.vue'

/** The head of a page: the way up, its name, what is said of it, and on the right what one may do here. */
defineProps<{ title: string; up?: string; upLabel?: string }>()
</script>

<template>
  <header class="page-head abreast wraps">
    <UpLink v-if="up" :to="up" :label="upLabel ?? common.back" />
    <h1>{{ title }}</h1>
    <slot name="beside" />
    <div v-if="$slots['default']" class="acts abreast wraps to-end"><slot /></div>
  </header>
</template>

<style scoped>
.page-head {
  min-height: 60px;
  padding-block: 0.5rem;
}
@media print {
  .acts {
    display: none;
  }
}
</style>
