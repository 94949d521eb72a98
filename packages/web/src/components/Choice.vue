<script setup lang="ts" generic="T extends string | number | boolean | null">
import Select from 'primevue/select'

/** One of several in a list that opens, named to those who do not see it; a field with its label is ChoiceField. */
defineProps<{ label: string; options: readonly { value: T; label: string }[] }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <Select
    v-model="chosen"
    :options="[...options]"
    option-label="label"
    option-value="value"
    :aria-label="label"
  />
</template>
