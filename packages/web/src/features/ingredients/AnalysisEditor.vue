<script setup lang="ts">
import { ALLERGENS } from '@omblet/core'
import Button from 'primevue/button'
import PercentRows from '../../components/PercentRows.vue'

export interface AnalysisRow {
  inci: string
  percent: string
}
const rows = defineModel<AnalysisRow[]>({ required: true })
defineProps<{ error: string | null }>()

const KNOWN = [...ALLERGENS.map((x) => x.name), 'Methyl Eugenol', 'Furocoumarins'].sort((a, b) =>
  a.localeCompare(b),
)
const suggest = (typed: string) => KNOWN.filter((name) => name.toLowerCase().includes(typed.toLowerCase()))
</script>

<template>
  <fieldset class="stacked closer">
    <legend>Analysis, percent of the material (leave empty what the certificate does not state)</legend>
    <PercentRows
      v-model="rows"
      of="inci"
      what="substance"
      placeholder="Substance"
      :suggest="suggest"
      :named="(row) => row.inci"
    />
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
    <Button
      type="button"
      label="Add substance"
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
}
</style>
