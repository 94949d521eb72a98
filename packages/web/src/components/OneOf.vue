<script setup lang="ts" generic="T extends string | number | boolean | null">
import SelectButton from 'primevue/selectbutton'

/** One of a few, side by side. */
defineProps<{ label: string; options: readonly { value: T; label: string }[] }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <SelectButton
    v-model="chosen"
    :options="[...options]"
    option-label="label"
    option-value="value"
    :allow-empty="false"
    :aria-label="label"
  />
</template>
