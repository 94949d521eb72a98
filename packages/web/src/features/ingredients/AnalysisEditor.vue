<script setup lang="ts">
import { analysisEditor as texts } from '#words/ingredients'
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
    <legend>{{ texts.analysisPercentOfTheMaterial }}</legend>
    <PercentRows
      v-model="rows"
      of="inci"
      :what="texts.substance"
      :placeholder="texts.substance2"
      :suggest="suggest"
      :named="(row) => row.inci"
    />
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
    <Button
      type="button"
      :label="texts.addSubstance"
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
