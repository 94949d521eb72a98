<script setup lang="ts">
import { common } from '#words/common'
import { learnedNote as texts } from '#words/components-fields'
import { sayNumber, type LearnedValue } from '@omblet/core'
import { useToast } from 'primevue/usetoast'
import { computed } from 'vue'
import { useLearned } from '../stores/learned'
import { notify } from './notify'

/** What earlier batches taught, with how many and how far apart they lie; it can be forgotten. */
const props = defineProps<{
  lesson: LearnedValue
  of?: string | null
  /** What is learned, before the figure. */
  says: string
  unit: string
  places?: number
}>()
const learned = useLearned()
const toast = useToast()
const told = computed(() => learned.of(props.lesson, props.of ?? null))
const figure = (value: number) => sayNumber(value, props.places ?? 1)
async function forget() {
  const undo = await learned.forget(props.lesson, props.of ?? null)
  notify(toast, texts.resetOnlyBatchesFromNow, { label: common.undo, run: () => void undo() })
}
</script>

<template>
  <p v-if="told" class="learned small muted abreast wraps">
    <i class="pi pi-history" aria-hidden="true"></i>
    <span
      >{{ says }} {{ figure(told.mean) }}<template v-if="told.sd !== null"> ± {{ figure(told.sd) }}</template>
      {{ texts.inWord(unit, told.n === 1 ? texts.oneEarlierBatch : texts.earlierBatches(told.n)) }}</span
    >
    <button class="bare" type="button" @click="forget">{{ common.reset }}</button>
  </p>
</template>

<style scoped>
.learned {
  gap: 0.25rem 0.5rem;
}
button {
  min-height: 28px;
  color: var(--accent-ink);
  font-size: inherit;
  text-decoration: underline;
}
</style>
