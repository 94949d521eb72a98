<script setup lang="ts" generic="Row extends { percent: string }">
import { percentRows as texts } from '#words/components-fields'
import { capitalise } from '@omblet/core'
import AutoComplete from 'primevue/autocomplete'
import InputText from 'primevue/inputtext'
import { ref, type Ref } from 'vue'
import { QuietButton } from './buttons'

/** Rows of something that is looked up and its percent, as they are typed. */
const rows = defineModel<Row[]>({ required: true })
const props = defineProps<{
  /** What is looked up, by the name of its field. */
  of: Exclude<keyof Row & string, 'percent'>
  /** A row in words, such as “part”. */
  what: string
  placeholder: string
  suggest: (typed: string) => Row[typeof props.of][]
  optionLabel?: (it: Row[typeof props.of]) => string
  /** Names a row to those who do not see it, once something is chosen. */
  named?: (row: Row) => string
}>()
const found = ref([]) as Ref<unknown[]>
const change = (index: number, patch: object) =>
  (rows.value = rows.value.map((row, i) => (i === index ? { ...row, ...patch } : row)))
const remove = (index: number) => (rows.value = rows.value.filter((_, i) => i !== index))
const name = (row: Row, index: number) => props.named?.(row) || `${props.what} ${index + 1}`
</script>

<template>
  <div v-for="(row, i) in rows" :key="i" class="part">
    <AutoComplete
      :model-value="row[of]"
      :suggestions="found"
      :option-label="optionLabel"
      :aria-label="`${capitalise(what)} ${i + 1}`"
      :placeholder="placeholder"
      fluid
      @complete="found = suggest($event.query)"
      @update:model-value="change(i, { [of]: $event ?? '' })"
    />
    <InputText
      :model-value="row.percent"
      class="mono"
      inputmode="decimal"
      :aria-label="texts.percentOf(name(row, i))"
      placeholder="%"
      @update:model-value="change(i, { percent: $event ?? '' })"
    />
    <QuietButton icon="pi pi-times" rounded :aria-label="texts.remove(name(row, i))" @click="remove(i)" />
  </div>
</template>

<style scoped>
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
