<script setup lang="ts">
import { knownMark as texts } from '#words/components'
import { knownText } from '@omblet/core/words'
import type { Known } from '@omblet/core'

/** A ring that is filled as far as a make-up is known: half, or not at all. */
defineProps<{ known: Known; size?: number }>()
const WORD = { known: '', partly: texts.partlyKnown, inferred: texts.categoryInferred, unknown: 'unknown' }
</script>

<template>
  <span v-if="known.how !== 'known'" class="known" :title="knownText(known)">
    <svg :width="size ?? 13" :height="size ?? 13" viewBox="0 0 20 20" aria-hidden="true">
      <circle cx="10" cy="10" r="8" fill="none" stroke="currentColor" stroke-width="2" />
      <path v-if="known.how === 'partly'" d="M10 2a8 8 0 0 1 0 16z" fill="currentColor" />
      <path v-else-if="known.how === 'inferred'" d="M10 2a8 8 0 0 1 8 8h-8z" fill="currentColor" /></svg
    >{{ WORD[known.how] }}<span class="hidden-text">: {{ knownText(known) }}</span></span
  >
</template>

<style scoped>
.known {
  display: inline-flex;
  align-items: center;
  gap: 0.25rem;
  color: var(--check);
  font-size: var(--text-tiny);
  font-weight: 400;
  white-space: nowrap;
}
</style>
