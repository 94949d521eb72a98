<script setup lang="ts">
import { common } from '#words/common'
import { phaseDialog as say } from '#words/formula'
import { LIMITS, parseNumber, type FieldLimits, sayNumber, type Phase, type Role } from '@omblet/core'
import Button from 'primevue/button'
import { PopUp } from '../../components/dialogs'
import { computed, reactive, watch } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import { useEditor } from '../../stores/editor'

const props = defineProps<{ index: number | null }>()
const emit = defineEmits<{ close: [] }>()
const editor = useEditor()
const phase = computed(() => (props.index === null ? null : (editor.formula?.phases[props.index] ?? null)))

const ROLES: { value: Role; label: string }[] = [
  { value: 'water', label: common.water },
  { value: 'oil', label: common.oil },
  { value: 'cool-down', label: common.coolDown },
  { value: 'premix', label: say.premix },
  { value: 'adjust', label: say.adjust },
  { value: 'other', label: common.other },
]
const texts = reactive<Record<string, string>>({})
const errors = reactive<Record<string, string | null>>({})
const said = reactive<Record<string, string | undefined>>({})
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
const RANGES: Record<Field, FieldLimits> = {
  heatToC: { min: 0, max: 200, what: common.theTemperature, unit: '°C' },
  holdMinutes: { min: 0, max: 1440, what: common.theTime, unit: 'min' },
  belowC: { min: 0, max: 200, what: common.theTemperature, unit: '°C' },
}
function onNumber(field: Field, text: string) {
  texts[field] = text
  const parsed = parseNumber(text, RANGES[field])
  said[field] = 'said' in parsed ? parsed.said : undefined
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
  <PopUp :visible="phase !== null" :header="common.phase" @update:visible="close" width="30rem">
    <form v-if="phase" class="dialog-form" @submit.prevent="close">
      <TextField
        :label="common.name"
        autofocus
        :maxlength="LIMITS.name"
        :model-value="phase.name"
        @update:model-value="patch({ name: $event ?? '' }, 'name')"
      />
      <ChoiceField
        :label="say.role"
        :model-value="phase.role"
        :options="ROLES"
        @update:model-value="patch({ role: $event }, 'role')"
      />
      <TextField
        :label="say.heatToC"
        :error="errors['heatToC']"
        :said="said['heatToC']"
        :model-value="valueOf('heatToC')"
        :placeholder="say.notHeated"
        @update:model-value="onNumber('heatToC', $event ?? '')"
        figure
      />
      <TextField
        :label="say.holdMinutes"
        :error="errors['holdMinutes']"
        :said="said['holdMinutes']"
        inputmode="numeric"
        :model-value="valueOf('holdMinutes')"
        :placeholder="say.noHold"
        @update:model-value="onNumber('holdMinutes', $event ?? '')"
        mono
      />
      <TextField
        :label="say.addBelowC"
        :error="errors['belowC']"
        :said="said['belowC']"
        :model-value="valueOf('belowC')"
        :placeholder="say.any"
        @update:model-value="onNumber('belowC', $event ?? '')"
        figure
      />
      <TextField
        :label="common.note"
        class="wide"
        :rows="2"
        :maxlength="LIMITS.note"
        :model-value="phase.note ?? ''"
        @update:model-value="patch({ note: $event || undefined }, 'note')"
      />
      <div class="dialog-buttons"><Button type="submit" :label="common.done" /></div>
    </form>
  </PopUp>
</template>
