<script setup lang="ts" generic="T extends string | number | null">
import Select from 'primevue/select'
import FormField from './FormField.vue'

/** One of several, with its label. */
defineProps<{
  id?: string
  label: string
  options: readonly { value: T; label: string }[]
  small?: boolean
  /** Shown while nothing is chosen. */
  placeholder?: string
  /** So many that one wants to search in them. */
  filter?: boolean
}>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <FormField :id="id" v-slot="{ id: named }" :label="label" class="choice">
    <Select
      v-model="chosen"
      :label-id="named"
      :aria-label="label"
      :options="[...options]"
      option-label="label"
      option-value="value"
      :placeholder="placeholder ?? options.find((o) => o.value === null)?.label"
      :filter="filter"
      :size="small ? 'small' : undefined"
      fluid
    />
  </FormField>
</template>

<style scoped>
.choice,
.choice :deep(.p-select) {
  min-width: 0;
}
</style>
