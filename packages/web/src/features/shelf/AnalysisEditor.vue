<script setup lang="ts">
import { ALLERGENS } from '@omblet/core'
import AutoComplete from 'primevue/autocomplete'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'

export interface AnalysisRow {
  inci: string
  percent: string
}
const rows = defineModel<AnalysisRow[]>({ required: true })
defineProps<{ error: string | null }>()

const KNOWN = [...ALLERGENS.map((x) => x.name), 'Methyl Eugenol', 'Furocoumarins'].sort((a, b) =>
  a.localeCompare(b),
)
const found = ref<string[]>([])
const look = (query: string) => {
  found.value = KNOWN.filter((name) => name.toLowerCase().includes(query.toLowerCase()))
}
const change = (index: number, patch: Partial<AnalysisRow>) =>
  (rows.value = rows.value.map((row, i) => (i === index ? { ...row, ...patch } : row)))
const remove = (index: number) => (rows.value = rows.value.filter((_, i) => i !== index))
</script>

<template>
  <fieldset class="stacked closer">
    <legend>Its analysis, percent of the material (leave empty what the paper does not tell)</legend>
    <div v-for="(row, i) in rows" :key="i" class="part">
      <AutoComplete
        :model-value="row.inci"
        :suggestions="found"
        :aria-label="`Substance ${i + 1}`"
        placeholder="Substance"
        fluid
        @complete="look($event.query)"
        @update:model-value="change(i, { inci: $event ?? '' })"
      />
      <InputText
        :model-value="row.percent"
        class="mono"
        inputmode="decimal"
        :aria-label="`Percent of ${row.inci || `substance ${i + 1}`}`"
        placeholder="%"
        @update:model-value="change(i, { percent: $event ?? '' })"
      />
      <QuietButton
        type="button"
        icon="pi pi-times"
        rounded
        :aria-label="`Remove ${row.inci || `substance ${i + 1}`}`"
        @click="remove(i)"
      />
    </div>
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
    <Button
      type="button"
      label="Add a substance"
      icon="pi pi-plus"
      size="small"
      text
      @click="rows = [...rows, { inci: '', percent: '' }]"
    />
  </fieldset>
</template>

<style scoped>
fieldset {
  justify-items: start;
  margin: 0;
  padding: 0;
  border: 0;
  min-width: 0;
}
legend {
  padding: 0 0 0.3rem;
  font-size: var(--text-note);
  color: var(--muted);
}
.part {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6rem 2.5rem;
  gap: 0.5rem;
  width: 100%;
}
.part :deep(.mono) {
  text-align: right;
}
</style>
