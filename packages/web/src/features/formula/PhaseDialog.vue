<script setup lang="ts">
import { LIMITS, parseNumber, sayNumber, type Phase, type Role } from '@omblet/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import Textarea from 'primevue/textarea'
import { computed, reactive, watch } from 'vue'
import FormField from '../../components/FormField.vue'
import { useEditor } from '../../stores/editor'

const props = defineProps<{ index: number | null }>()
const emit = defineEmits<{ close: [] }>()
const editor = useEditor()
const phase = computed(() => (props.index === null ? null : (editor.formula?.phases[props.index] ?? null)))

const ROLES: { value: Role; label: string }[] = [
  { value: 'water', label: 'Water' },
  { value: 'oil', label: 'Oil' },
  { value: 'cool-down', label: 'Cool-down' },
  { value: 'premix', label: 'Premix' },
  { value: 'adjust', label: 'Adjust' },
  { value: 'other', label: 'Other' },
]
const texts = reactive<Record<string, string>>({})
const errors = reactive<Record<string, string | null>>({})
watch(
  () => props.index,
  () => {
    for (const key of Object.keys(texts)) delete texts[key]
    for (const key of Object.keys(errors)) delete errors[key]
  },
)

const patch = (change: Partial<Phase>, key: string) =>
  editor.apply({ type: 'patch-phase', phase: props.index!, patch: change }, `phase-${props.index}-${key}`)

type Field = 'heatToC' | 'holdMinutes' | 'belowC'
const RANGES: Record<Field, { min: number; max: number; what: string }> = {
  heatToC: { min: 0, max: 200, what: 'the temperature' },
  holdMinutes: { min: 0, max: 1440, what: 'the time' },
  belowC: { min: 0, max: 200, what: 'the temperature' },
}
function onNumber(field: Field, text: string) {
  texts[field] = text
  const parsed = parseNumber(text.replace(/\s*min$/i, ''), RANGES[field])
  errors[field] = 'error' in parsed ? parsed.error : null
  if ('value' in parsed) patch({ [field]: parsed.value ?? undefined }, field)
}
const valueOf = (field: Field) =>
  texts[field] ?? (phase.value?.[field] === undefined ? '' : sayNumber(phase.value[field], 1))

function close() {
  editor.settle()
  emit('close')
}
</script>

<template>
  <Dialog
    :visible="phase !== null"
    modal
    header="Phase"
    :style="{ width: 'min(30rem, calc(100vw - 2rem))' }"
    :draggable="false"
    @update:visible="close"
  >
    <form v-if="phase" class="dialog-form" @submit.prevent="close">
      <FormField id="phase-name" label="Name">
        <InputText
          id="phase-name"
          autofocus
          :maxlength="LIMITS.name"
          :model-value="phase.name"
          fluid
          @update:model-value="patch({ name: $event ?? '' }, 'name')"
        />
      </FormField>
      <FormField id="phase-role" label="Role">
        <Select
          label-id="phase-role"
          :model-value="phase.role"
          :options="ROLES"
          option-label="label"
          option-value="value"
          fluid
          @update:model-value="patch({ role: $event }, 'role')"
        />
      </FormField>
      <FormField id="phase-heat" label="Heat to, °C" :error="errors['heatToC']">
        <InputText
          id="phase-heat"
          class="mono"
          inputmode="decimal"
          :model-value="valueOf('heatToC')"
          :invalid="!!errors['heatToC']"
          placeholder="not heated"
          fluid
          @update:model-value="onNumber('heatToC', $event ?? '')"
        />
      </FormField>
      <FormField id="phase-hold" label="Hold, minutes" :error="errors['holdMinutes']">
        <InputText
          id="phase-hold"
          class="mono"
          inputmode="numeric"
          :model-value="valueOf('holdMinutes')"
          :invalid="!!errors['holdMinutes']"
          placeholder="no hold"
          fluid
          @update:model-value="onNumber('holdMinutes', $event ?? '')"
        />
      </FormField>
      <FormField id="phase-below" label="Add below, °C" :error="errors['belowC']">
        <InputText
          id="phase-below"
          class="mono"
          inputmode="decimal"
          :model-value="valueOf('belowC')"
          :invalid="!!errors['belowC']"
          placeholder="any"
          fluid
          @update:model-value="onNumber('belowC', $event ?? '')"
        />
      </FormField>
      <FormField id="phase-note" label="Note" class="wide">
        <Textarea
          id="phase-note"
          rows="2"
          auto-resize
          :maxlength="LIMITS.note"
          :model-value="phase.note ?? ''"
          fluid
          @update:model-value="patch({ note: $event || undefined }, 'note')"
        />
      </FormField>
      <div class="dialog-buttons"><Button type="submit" label="Done" /></div>
    </form>
  </Dialog>
</template>
