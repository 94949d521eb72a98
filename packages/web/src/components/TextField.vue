<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import FormField from './FormField.vue'

defineOptions({ inheritAttrs: false })
/** Words, or a figure that is read where it is used, with its label above and what is wrong below. */
defineProps<{
  id?: string
  label: string
  error?: string | null | undefined
  /** What was made of what was typed. */
  said?: string | undefined
  /** Figures: aligned, and with the keys for them on a phone. */
  figure?: boolean
  mono?: boolean
  /** Several lines; up to four grow with what is written. */
  rows?: number
}>()
const text = defineModel<string>({ required: true })
</script>

<template>
  <FormField
    :id="id"
    v-slot="{ id: named }"
    :label="label"
    :error="error"
    :said="said"
    :class="$attrs['class']"
  >
    <Textarea
      v-if="rows"
      v-bind="{ ...$attrs, class: mono ? 'mono' : undefined }"
      :id="named"
      v-model="text"
      :rows="rows"
      :auto-resize="rows <= 4"
      fluid
    />
    <InputText
      v-else
      v-bind="{
        inputmode: figure ? 'decimal' : undefined,
        ...$attrs,
        class: figure || mono ? 'mono' : undefined,
      }"
      :id="named"
      :model-value="text"
      :invalid="!!error"
      fluid
      @update:model-value="text = $event ?? ''"
    />
    <slot />
  </FormField>
</template>
