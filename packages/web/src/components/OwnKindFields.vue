<script setup lang="ts">
import { kindFaults, likes, type KindForm, type OwnGroup } from '@omblet/core'
import Checkbox from 'primevue/checkbox'
import Select from 'primevue/select'
import { computed } from 'vue'
import ChoiceField from './ChoiceField.vue'
import FormField from './FormField.vue'
import TextField from './TextField.vue'

/** What matters for a material of this group. */
const form = defineModel<KindForm>({ required: true })
const props = defineProps<{ group: OwnGroup }>()

const ROLES: { value: KindForm['role']; label: string }[] = [
  { value: 'unknown', label: 'Unknown' },
  { value: 'oil-in-water', label: 'O/W emulsifier' },
  { value: 'water-in-oil', label: 'W/O emulsifier' },
  { value: 'cationic', label: 'Cationic, for hair' },
  { value: 'co-emulsifier', label: 'Co-emulsifier' },
  { value: 'polymeric', label: 'Polymeric emulsifier' },
  { value: 'solubiliser', label: 'Solubiliser' },
]
const CHARGES: { value: KindForm['charge']; label: string }[] = [
  { value: 'none', label: 'Unknown or none' },
  { value: 'nonionic', label: 'Nonionic' },
  { value: 'anionic', label: 'Anionic (negative)' },
  { value: 'cationic', label: 'Cationic (positive)' },
  { value: 'amphoteric', label: 'Amphoteric' },
]
const OXIDATION: { value: KindForm['oxidation']; label: string }[] = [
  { value: 'unknown', label: 'Unknown' },
  { value: 'slow', label: 'Slowly' },
  { value: 'medium', label: 'At a medium rate' },
  { value: 'fast', label: 'Fast' },
]
type NumberKey = 'hlb' | 'stands' | 'melts' | 'molarMass' | 'salt' | 'hours' | 'pKa'
interface Field {
  key: NumberKey
  label: string
  hint?: string
}
const MELTS: Field = { key: 'melts', label: 'Melts at, °C', hint: 'if it is solid' }
const FIELDS: Partial<Record<OwnGroup, Field[]>> = {
  emulsifier: [{ key: 'hlb', label: 'HLB, if stated' }, MELTS],
  acid: [
    { key: 'pKa', label: 'or its own pKa', hint: '3.1; 4.8' },
    { key: 'molarMass', label: 'Molar mass, g/mol' },
  ],
  thickener: [
    { key: 'hours', label: 'Hydration time, hours' },
    { key: 'salt', label: 'Electrolyte tolerance, %', hint: 'if salts thin it' },
  ],
  oil: [MELTS],
}
const STANDS: Field = { key: 'stands', label: 'Maximum processing temperature, °C', hint: 'if stated' }
type TickKey = 'bacteria' | 'yeast' | 'mould' | 'lumps' | 'neutralise' | 'raw'
const TICKS: Partial<Record<OwnGroup, { key: TickKey; label: string }[]>> = {
  preservative: [
    { key: 'bacteria', label: 'bacteria' },
    { key: 'yeast', label: 'yeast' },
    { key: 'mould', label: 'mould' },
  ],
  thickener: [
    { key: 'lumps', label: 'Lumps in water: wet it first' },
    { key: 'neutralise', label: 'Thickens only when neutralised' },
  ],
  powder: [{ key: 'raw', label: 'Raw ground plant, neither extracted nor sterilised' }],
}
const fields = computed(() => [...(FIELDS[props.group] ?? []), STANDS])
const ticks = computed(() => TICKS[props.group] ?? [])
const faults = computed(() => kindFaults(form.value))
const options = computed(() => (props.group === 'acid' ? likes() : []))
const charged = computed(() => props.group === 'emulsifier' || props.group === 'thickener')
</script>

<template>
  <ChoiceField v-if="group === 'emulsifier'" v-model="form.role" label="Emulsifier type" :options="ROLES" />
  <ChoiceField v-if="charged" v-model="form.charge" label="Charge" :options="CHARGES" />
  <FormField v-if="group === 'acid'" id="own-like" label="Acts as (acid–base type)">
    <Select
      label-id="own-like"
      v-model="form.like"
      :options="options"
      option-label="label"
      option-value="value"
      filter
      show-clear
      placeholder="an acid, base or salt"
      fluid
      @update:model-value="form.like = $event ?? ''"
    />
  </FormField>
  <ChoiceField v-if="group === 'oil'" v-model="form.oxidation" label="Oxidation" :options="OXIDATION" />
  <TextField
    v-for="f in fields"
    :id="`own-${f.key}`"
    :key="f.key"
    :label="f.label"
    :error="faults[f.key]"
    v-model="form[f.key]"
    :placeholder="f.hint"
    :disabled="f.key === 'pKa' && form.like !== ''"
    figure
  />
  <fieldset v-if="ticks.length > 0" class="field checks wide">
    <legend v-if="group === 'preservative'">Effective against (supplier data)</legend>
    <label v-for="c in ticks" :key="c.key"><Checkbox v-model="form[c.key]" binary />{{ c.label }}</label>
  </fieldset>
</template>

<style scoped>
.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem 1.25rem;
}
.checks label {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 28px;
}
</style>
