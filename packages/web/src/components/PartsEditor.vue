<script setup lang="ts">
import { common } from '#words/common'
import { partsEditor as texts } from '#words/components-fields'
import { capitalise, partsOfFormula, type Material, type OwnPart } from '@omblet/core'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import { useLibrary } from '../stores/library'
import { useMaterials } from '../stores/materials'
import PercentRows from './PercentRows.vue'

export interface PartRow {
  /** A material that was chosen, or the text of a name. */
  material: Material | string
  percent: string
}

const rows = defineModel<PartRow[]>({ required: true })
defineProps<{ fault: string | null; sum: number }>()
const materials = useMaterials()
const library = useLibrary()
const label = (m: Material | string) => (typeof m === 'string' ? m : capitalise(m.name))
const add = () => (rows.value = [...rows.value, { material: '', percent: '' }])

const formulas = computed(() => library.records.map((r) => ({ id: r.id, name: r.formula.name })))
const taken = ref<string | null>(null)
function takeFormula() {
  const record = library.records.find((r) => r.id === taken.value)
  taken.value = null
  if (!record) return
  rows.value = partsOfFormula(record.formula).map((part: OwnPart) => ({
    material: materials.catalogue.find(part.material) ?? part.material,
    percent: String(part.percent),
  }))
}
</script>

<template>
  <fieldset class="stacked closer">
    <legend>{{ texts.compositionInPercentMixture }}</legend>
    <PercentRows
      v-model="rows"
      of="material"
      :what="texts.part"
      :placeholder="common.ingredient"
      :suggest="(typed) => materials.search(typed, 12)"
      :option-label="label"
    />
    <p v-if="fault" class="error-text" role="alert">{{ fault }}</p>
    <p v-else-if="sum > 0 && sum < 99.95" class="muted small">
      {{ texts.statedTheRestStaysUnknown(Number(sum.toFixed(2))) }}
    </p>
    <div class="abreast wraps">
      <Button :label="texts.addIngredient" icon="pi pi-plus" size="small" text @click="add" />
      <Select
        v-model="taken"
        :options="formulas"
        option-label="name"
        option-value="id"
        size="small"
        :placeholder="texts.fromOneOfMyFormulas"
        :aria-label="texts.useTheIngredientsOfA"
        @change="takeFormula"
      />
    </div>
  </fieldset>
</template>
