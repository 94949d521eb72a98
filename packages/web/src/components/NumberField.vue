<script setup lang="ts">
import { parseNumber } from '@omblet/core'
import InputText from 'primevue/inputtext'
import { ref, useTemplateRef, watch } from 'vue'
import FormField from './FormField.vue'

/** A number with its unit, typed with a comma or a dot. `null` while it is empty; what is wrong is said beside it. */
const props = defineProps<{
  id?: string
  label: string
  unit?: string
  min?: number
  max?: number
  /** How the number is called in a sentence: `the weight`. */
  what?: string
  placeholder?: string
  error?: string | null
}>()
const value = defineModel<number | null>({ required: true })
const text = ref(value.value === null ? '' : String(value.value))
const wrong = ref<string | null>(null)
const box = useTemplateRef<{ $el: HTMLInputElement }>('box')

watch(value, (now) => {
  const read = parse(text.value)
  if (!('value' in read) || read.value !== now) text.value = now === null ? '' : String(now)
  if (now !== null) wrong.value = null
})
const parse = (typed: string) =>
  parseNumber(typed, { min: props.min ?? 0, max: props.max ?? 1e6, what: props.what ?? 'it' })
function onInput(typed: string) {
  text.value = typed
  const read = parse(typed)
  wrong.value = 'error' in read ? read.error : null
  value.value = 'value' in read ? read.value : null
}
defineExpose({ focus: () => box.value?.$el.focus() })
</script>

<template>
  <FormField :id="id" v-slot="{ id: named }" :label="label" :error="wrong ?? error">
    <span class="box">
      <InputText
        :id="named"
        ref="box"
        :model-value="text"
        inputmode="decimal"
        autocomplete="off"
        class="mono"
        :placeholder="placeholder"
        :invalid="wrong !== null"
        fluid
        @update:model-value="onInput($event ?? '')"
      />
      <span v-if="unit" class="muted" aria-hidden="true">{{ unit }}</span>
    </span>
  </FormField>
</template>

<style scoped>
.box {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
</style>
