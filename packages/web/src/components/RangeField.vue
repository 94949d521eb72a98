<script setup lang="ts">
import { rangeField as texts } from '#words/components-fields'
import InputText from 'primevue/inputtext'
import type { ReadRange } from './range'

/** Two numbers that belong together, as they are typed. */
const range = defineModel<{ low: string; high: string }>({ required: true })
defineProps<{
  id: string
  legend: string
  name: string
  unit?: string
  read: ReadRange
  autofocus?: boolean
}>()
</script>

<template>
  <fieldset class="field">
    <legend>{{ legend }}</legend>
    <span class="pair">
      <InputText
        :id="id"
        v-model="range.low"
        :aria-label="texts.from(name, unit ? `, ${unit}` : '')"
        :autofocus="autofocus"
        inputmode="decimal"
        class="mono"
        fluid
      />
      <span>{{ texts.to }}</span>
      <InputText
        v-model="range.high"
        :aria-label="texts.to2(name, unit ? `, ${unit}` : '')"
        inputmode="decimal"
        class="mono"
        fluid
      />
    </span>
    <p v-if="'error' in read" class="error" role="alert">{{ read.error }}</p>
  </fieldset>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr auto 1fr;
  align-items: center;
  gap: 0.5rem;
}
</style>
