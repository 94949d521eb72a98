<script setup lang="ts">
import { capitalise, partsOfFormula, type Material, type OwnPart } from '@omblet/core'
import AutoComplete from 'primevue/autocomplete'
import Button from 'primevue/button'
import { QuietButton } from './buttons'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import { useLibrary } from '../stores/library'
import { useMaterials } from '../stores/materials'

export interface PartRow {
  /** A material that was chosen, or the text of a name. */
  material: Material | string
  percent: string
}

const rows = defineModel<PartRow[]>({ required: true })
defineProps<{ fault: string | null; sum: number }>()
const materials = useMaterials()
const library = useLibrary()
const found = ref<Material[]>([])

const look = (query: string) => {
  found.value = materials.search(query, 12)
}
const label = (m: Material | string) => (typeof m === 'string' ? m : capitalise(m.name))
const add = () => (rows.value = [...rows.value, { material: '', percent: '' }])
const remove = (index: number) => (rows.value = rows.value.filter((_, i) => i !== index))
const change = (index: number, patch: Partial<PartRow>) =>
  (rows.value = rows.value.map((row, i) => (i === index ? { ...row, ...patch } : row)))

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
  <fieldset class="parts stacked closer">
    <legend>Made of, in percent (for a mixture, a solution or a stock)</legend>
    <div v-for="(row, i) in rows" :key="i" class="part">
      <AutoComplete
        :model-value="row.material"
        :suggestions="found"
        :option-label="label"
        :aria-label="`Part ${i + 1}`"
        placeholder="Material"
        fluid
        @complete="look($event.query)"
        @update:model-value="change(i, { material: $event ?? '' })"
      />
      <InputText
        :model-value="row.percent"
        class="mono"
        inputmode="decimal"
        :aria-label="`Percent of part ${i + 1}`"
        placeholder="%"
        @update:model-value="change(i, { percent: $event ?? '' })"
      />
      <QuietButton icon="pi pi-times" rounded :aria-label="`Remove part ${i + 1}`" @click="remove(i)" />
    </div>
    <p v-if="fault" class="error-text" role="alert">{{ fault }}</p>
    <p v-else-if="sum > 0 && sum < 99.95" class="muted small">
      {{ Number(sum.toFixed(2)) }} % is told; what the rest is stays unknown.
    </p>
    <div class="abreast wraps">
      <Button label="Add a part" icon="pi pi-plus" size="small" text @click="add" />
      <Select
        v-model="taken"
        :options="formulas"
        option-label="name"
        option-value="id"
        size="small"
        placeholder="From one of my formulas…"
        aria-label="Take the lines of a formula as parts"
        @change="takeFormula"
      />
    </div>
  </fieldset>
</template>

<style scoped>
.parts {
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
}
.part :deep(.mono) {
  text-align: right;
}
</style>
