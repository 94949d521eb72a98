<script setup lang="ts">
import { common } from '#words/common'
import { ownKindFields as texts } from '#words/components-fields'
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
  { value: 'unknown', label: texts.unknown },
  { value: 'oil-in-water', label: texts.oWEmulsifier },
  { value: 'water-in-oil', label: texts.wOEmulsifier },
  { value: 'cationic', label: texts.cationicForHair },
  { value: 'co-emulsifier', label: texts.coEmulsifier },
  { value: 'polymeric', label: texts.polymericEmulsifier },
  { value: 'solubiliser', label: texts.solubiliser },
]
const CHARGES: { value: KindForm['charge']; label: string }[] = [
  { value: 'none', label: texts.unknownOrNone },
  { value: 'nonionic', label: texts.nonionic },
  { value: 'anionic', label: texts.anionicNegative },
  { value: 'cationic', label: texts.cationicPositive },
  { value: 'amphoteric', label: texts.amphoteric },
]
const OXIDATION: { value: KindForm['oxidation']; label: string }[] = [
  { value: 'unknown', label: texts.unknown },
  { value: 'slow', label: texts.slowly },
  { value: 'medium', label: texts.atAMediumRate },
  { value: 'fast', label: texts.fast },
]
type NumberKey = 'hlb' | 'stands' | 'melts' | 'molarMass' | 'salt' | 'hours' | 'pKa'
interface Field {
  key: NumberKey
  label: string
  hint?: string
}
const MELTS: Field = { key: 'melts', label: texts.meltsAtC, hint: texts.ifItIsSolid }
const FIELDS: Partial<Record<OwnGroup, Field[]>> = {
  emulsifier: [{ key: 'hlb', label: texts.hlbIfStated }, MELTS],
  acid: [
    { key: 'pKa', label: texts.orItsOwnPka, hint: '3.1; 4.8' },
    { key: 'molarMass', label: texts.molarMassGMol },
  ],
  thickener: [
    { key: 'hours', label: texts.hydrationTimeHours },
    { key: 'salt', label: texts.electrolyteTolerance, hint: texts.ifSaltsThinIt },
  ],
  oil: [MELTS],
}
const STANDS: Field = { key: 'stands', label: common.maximumProcessingTemperature, hint: texts.ifStated }
type TickKey = 'bacteria' | 'yeast' | 'mould' | 'lumps' | 'neutralise' | 'raw'
const TICKS: Partial<Record<OwnGroup, { key: TickKey; label: string }[]>> = {
  preservative: [
    { key: 'bacteria', label: texts.bacteria },
    { key: 'yeast', label: texts.yeast },
    { key: 'mould', label: texts.mould },
  ],
  thickener: [
    { key: 'lumps', label: texts.lumpsInWaterWetIt },
    { key: 'neutralise', label: texts.thickensOnlyWhenNeutralised },
  ],
  powder: [{ key: 'raw', label: texts.rawGroundPlantNeitherExtracted }],
}
const fields = computed(() => [...(FIELDS[props.group] ?? []), STANDS])
const ticks = computed(() => TICKS[props.group] ?? [])
const faults = computed(() => kindFaults(form.value))
const options = computed(() => (props.group === 'acid' ? likes() : []))
const charged = computed(() => props.group === 'emulsifier' || props.group === 'thickener')
</script>

<template>
  <ChoiceField
    v-if="group === 'emulsifier'"
    v-model="form.role"
    :label="texts.emulsifierType"
    :options="ROLES"
  />
  <ChoiceField v-if="charged" v-model="form.charge" :label="texts.charge" :options="CHARGES" />
  <FormField v-if="group === 'acid'" id="own-like" :label="texts.actsAsAcidBaseType">
    <Select
      label-id="own-like"
      v-model="form.like"
      :options="options"
      option-label="label"
      option-value="value"
      filter
      show-clear
      :placeholder="texts.anAcidBaseOrSalt"
      fluid
      @update:model-value="form.like = $event ?? ''"
    />
  </FormField>
  <ChoiceField
    v-if="group === 'oil'"
    v-model="form.oxidation"
    :label="texts.oxidation"
    :options="OXIDATION"
  />
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
    <legend v-if="group === 'preservative'">{{ texts.effectiveAgainstSupplierData }}</legend>
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
