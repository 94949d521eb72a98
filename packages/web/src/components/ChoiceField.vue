<script setup lang="ts" generic="T extends string | number | null">
import FormField from './FormField.vue'
import Choice from './Choice.vue'

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
    <Choice
      v-model="chosen"
      :label-id="named"
      :label="label"
      :options="options"
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
