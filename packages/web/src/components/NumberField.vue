<script setup lang="ts">
import { parseNumber, type FieldUnit, type MeasuredOut } from '@omblet/core'
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
  /** What is measured, so that volumes and drops become grams. */
  of?: MeasuredOut | undefined
}>()
const value = defineModel<number | null>({ required: true })
const text = ref(value.value === null ? '' : String(value.value))
const wrong = ref<string | null>(null)
const said = ref<string>()
const box = useTemplateRef<{ $el: HTMLInputElement }>('box')

watch(value, (now) => {
  const read = parse(text.value)
  if (!('value' in read) || read.value !== now) text.value = now === null ? '' : String(now)
  if (now !== null) wrong.value = null
  if (now === null) said.value = undefined
})
const CONVERTED: readonly string[] = ['g', 'mL', '%', '°C', 'min'] satisfies FieldUnit[]
const isConverted = (unit: string | undefined): unit is FieldUnit => CONVERTED.includes(unit ?? '')
/** Units that nothing converts to may be typed as they stand beside the field. */
const bare = (typed: string) =>
  props.unit && !isConverted(props.unit) && typed.trim().endsWith(props.unit)
    ? typed.trim().slice(0, -props.unit.length)
    : typed
const parse = (typed: string) =>
  parseNumber(bare(typed), {
    min: props.min ?? 0,
    max: props.max ?? 1e6,
    what: props.what ?? 'it',
    unit: isConverted(props.unit) ? props.unit : undefined,
    of: props.of,
  })
const emit = defineEmits<{ typed: [text: string] }>()
function onInput(typed: string) {
  text.value = typed
  // whoever offers two units may take the one that was typed
  emit('typed', typed)
  const read = parse(typed)
  wrong.value = 'error' in read ? read.error : null
  said.value = 'said' in read ? read.said : undefined
  value.value = 'value' in read ? read.value : null
}
// the same text in another unit
watch(
  () => props.unit,
  () => onInput(text.value),
)
defineExpose({ focus: () => box.value?.$el.focus() })
</script>

<template>
  <FormField :id="id" v-slot="{ id: named }" :label="label" :error="wrong ?? error" :said="said">
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
