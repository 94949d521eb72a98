<script setup lang="ts">
import { targetInputs as say } from '#words/formula'
import { sayNumber } from '@omblet/core'
import type { useTargetFields } from './target'

/** The two ends of a target pH, typed; what cannot be stays in its field. */
defineProps<{
  of: ReturnType<typeof useTargetFields>
  target: { min: number; max: number } | null
}>()
const ENDS = [
  { end: 'min', says: say.from },
  { end: 'max', says: say.to },
] as const
</script>

<template>
  <template v-for="{ end, says } in ENDS" :key="end">
    <span v-if="end === 'max'" class="muted">–</span>
    <input
      class="mono"
      inputmode="decimal"
      :aria-label="say.targetPh(says)"
      data-history
      :value="of.texts.value[end] ?? (target ? sayNumber(target[end]) : '')"
      :placeholder="says"
      @input="of.onText(end, ($event.target as HTMLInputElement).value)"
      @blur="of.settle"
    />
  </template>
</template>
