<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import ChoiceField from './ChoiceField.vue'
import FormField from './FormField.vue'
import { kindFaults, likes, type KindForm, type OwnGroup } from './own-kind'

/** What matters for a material of this group. */
const form = defineModel<KindForm>({ required: true })
const props = defineProps<{ group: OwnGroup }>()

const ROLES: { value: KindForm['role']; label: string }[] = [
  { value: 'unknown', label: 'Not known' },
  { value: 'oil-in-water', label: 'Holds oil in water' },
  { value: 'water-in-oil', label: 'Holds water in oil' },
  { value: 'cationic', label: 'Cationic, for hair' },
  { value: 'co-emulsifier', label: 'Only helps another' },
  { value: 'polymeric', label: 'A polymer that holds oil' },
  { value: 'solubiliser', label: 'Clears a little oil in water' },
]
const CHARGES: { value: KindForm['charge']; label: string }[] = [
  { value: 'none', label: 'Not known, or none' },
  { value: 'nonionic', label: 'Nonionic' },
  { value: 'anionic', label: 'Anionic (negative)' },
  { value: 'cationic', label: 'Cationic (positive)' },
  { value: 'amphoteric', label: 'Amphoteric' },
]
const OXIDATION: { value: KindForm['oxidation']; label: string }[] = [
  { value: 'unknown', label: 'Not known' },
  { value: 'slow', label: 'Slowly' },
  { value: 'medium', label: 'At a middling pace' },
  { value: 'fast', label: 'Fast' },
]
const COVERS = [
  { key: 'bacteria', label: 'bacteria' },
  { key: 'yeast', label: 'yeast' },
  { key: 'mould', label: 'mould' },
] as const
const faults = computed(() => kindFaults(form.value))
const options = computed(() => (props.group === 'acid' ? likes() : []))
const charged = computed(() => props.group === 'emulsifier' || props.group === 'thickener')
</script>

<template>
  <ChoiceField
    v-if="group === 'emulsifier'"
    id="own-role"
    v-model="form.role"
    label="What it holds"
    :options="ROLES"
  />
  <FormField v-if="group === 'emulsifier'" id="own-hlb" label="HLB, where it is told" :error="faults.hlb">
    <InputText id="own-hlb" v-model="form.hlb" inputmode="decimal" class="mono" fluid />
  </FormField>
  <ChoiceField v-if="charged" id="own-charge" v-model="form.charge" label="Charge" :options="CHARGES" />
  <template v-if="group === 'acid'">
    <FormField id="own-like" label="Moves the pH like">
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
    <FormField id="own-pka" label="or its own pKa" :error="faults.pKa">
      <InputText
        id="own-pka"
        v-model="form.pKa"
        class="mono"
        fluid
        placeholder="3.1; 4.8"
        :disabled="form.like !== ''"
      />
    </FormField>
    <FormField id="own-molar" label="Molar mass, g/mol" :error="faults.molarMass">
      <InputText id="own-molar" v-model="form.molarMass" inputmode="decimal" class="mono" fluid />
    </FormField>
  </template>
  <template v-if="group === 'thickener'">
    <FormField id="own-hours" label="Hours until it is swollen" :error="faults.hours">
      <InputText id="own-hours" v-model="form.hours" inputmode="decimal" class="mono" fluid />
    </FormField>
    <FormField id="own-salt" label="Lets go above salt of, %" :error="faults.salt">
      <InputText
        id="own-salt"
        v-model="form.salt"
        inputmode="decimal"
        class="mono"
        fluid
        placeholder="if it minds salt"
      />
    </FormField>
    <div class="field checks wide">
      <label><Checkbox v-model="form.lumps" binary />Lumps in bare water: wet it first</label>
      <label><Checkbox v-model="form.neutralise" binary />Thickens only when it is neutralised</label>
    </div>
  </template>
  <fieldset v-if="group === 'preservative'" class="field checks wide">
    <legend>It holds down, by its maker’s papers</legend>
    <label v-for="c in COVERS" :key="c.key"><Checkbox v-model="form[c.key]" binary />{{ c.label }}</label>
  </fieldset>
  <ChoiceField
    v-if="group === 'oil'"
    id="own-oxidation"
    v-model="form.oxidation"
    label="Turns rancid"
    :options="OXIDATION"
  />
  <div v-if="group === 'powder'" class="field checks wide">
    <label><Checkbox v-model="form.raw" binary />A plant ground raw, neither extracted nor sterilised</label>
  </div>
  <FormField id="own-stands" label="Stands heat up to, °C" :error="faults.stands">
    <InputText
      id="own-stands"
      v-model="form.stands"
      inputmode="decimal"
      class="mono"
      fluid
      placeholder="if told"
    />
  </FormField>
  <FormField
    v-if="group === 'emulsifier' || group === 'oil'"
    id="own-melts"
    label="Melts at, °C"
    :error="faults.melts"
  >
    <InputText
      id="own-melts"
      v-model="form.melts"
      inputmode="decimal"
      class="mono"
      fluid
      placeholder="if it is solid"
    />
  </FormField>
</template>

<style scoped>
.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem 1.25rem;
  padding: 0;
  margin: 0;
  border: 0;
}
.checks label {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 28px;
}
</style>
