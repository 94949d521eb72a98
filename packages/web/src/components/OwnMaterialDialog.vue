<script setup lang="ts">
import { mixtureFaultText } from '@omblet/core/words'
import { common } from '#words/common'
import { ownMaterialDialog as texts } from '#words/components-fields'
import {
  acknowledged,
  clashWords,
  LIMITS,
  mixtureFault,
  parseNumber,
  sayNumber,
  SOLUBILITIES,
  type Material,
  type OwnPart,
  blankKind,
  changedMaterial,
  groupOf,
  kindFacts,
  kindFaults,
  kindOfMaterial,
} from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from './buttons'
import { PopUp } from './dialogs'
import Select from 'primevue/select'
import { useToast } from 'primevue/usetoast'
import { computed, reactive, ref, watch } from 'vue'
import { explainStorage } from '../storage/db'
import { useMaterials } from '../stores/materials'
import ChoiceField from './ChoiceField.vue'
import FormField from './FormField.vue'
import TextField from './TextField.vue'
import { notify } from './notify'
import OwnKindFields from './OwnKindFields.vue'
import PartsEditor, { type PartRow } from './PartsEditor.vue'
import { readRange } from './range'
import RangeField from './RangeField.vue'

const open = defineModel<boolean>('open', { required: true })
/** `material` is changed; without it a new one is made, under `name` to begin with. */
const props = defineProps<{ name?: string; material?: Material | null; action?: string }>()
const emit = defineEmits<{ made: [material: Material] }>()
const materials = useMaterials()
const toast = useToast()

const FUNCTIONS = [
  'skin conditioning',
  'humectant',
  'emollient',
  'emulsifying',
  'solubilising',
  'viscosity controlling',
  'preservative',
  'antioxidant',
  'chelating',
  'buffering',
  'perfuming',
  'hair conditioning',
  'cosmetic colorant',
  'uv filter',
  'absorbent',
  'solvent',
]
const solubilities = SOLUBILITIES.map((value) => ({
  value,
  label: value === 'dispersible' ? texts.neitherDisperses : value,
}))
const phases = [
  { value: 'water', label: common.water },
  { value: 'oil', label: common.oil },
  { value: 'cool-down', label: common.coolDown },
  { value: 'any', label: texts.any },
]
/** What another tab made of it meanwhile, once that was told. */
let read: Material | null = null
const rows = ref<PartRow[]>([])
const blank = () => ({
  name: props.name ?? '',
  inci: '',
  does: 'skin conditioning',
  solubility: 'water' as Material['solubility'][number],
  phase: 'any' as Material['phase'],
  usage: { low: '', high: '' },
  ph: { low: '', high: '' },
})
const facts = reactive(blank())
const kind = ref(blankKind())
const group = computed(() => groupOf(facts.does))
const functions = computed(() =>
  FUNCTIONS.includes(facts.does) || facts.does === '' ? FUNCTIONS : [facts.does, ...FUNCTIONS],
)

watch(open, (isOpen) => {
  rows.value = []
  read = null
  if (!isOpen) return
  Object.assign(facts, blank())
  kind.value = blankKind()
  const m = props.material
  if (!m) return
  const range = (r: { min: number; max: number } | undefined) =>
    r ? { low: sayNumber(r.min, 4), high: sayNumber(r.max, 4) } : { low: '', high: '' }
  Object.assign(facts, {
    name: m.name,
    inci: m.inci.join(', '),
    does: m.functions[0] ?? '',
    solubility: m.solubility[0],
    phase: m.phase,
    usage: range(m.usage),
    ph: range(m.ph),
  })
  kind.value = kindOfMaterial(m)
  rows.value = (m.parts ?? []).map((p) => ({
    material: materials.catalogue.find(p.inci) ?? p.inci,
    percent: String(p.percent),
  }))
})

const usage = computed(() =>
  readRange(facts.usage.low, facts.usage.high, { min: 0, max: 100, what: common.thePercent, unit: '%' }),
)
const ph = computed(() => readRange(facts.ph.low, facts.ph.high, { min: 0, max: 14, what: common.thePh }))
const nameError = computed(() =>
  facts.name.trim() === ''
    ? common.enterAName
    : facts.name.length > LIMITS.material
      ? texts.charactersAtMost(LIMITS.material)
      : null,
)
const parts = computed<OwnPart[]>(() =>
  rows.value.flatMap((row) => {
    const percent = parseNumber(row.percent, { min: 0, max: 100, what: common.thePercent, unit: '%' })
    const material = typeof row.material === 'string' ? row.material.trim() : row.material.id
    return 'value' in percent && percent.value && material ? [{ material, percent: percent.value }] : []
  }),
)
const sum = computed(() => parts.value.reduce((s, p) => s + p.percent, 0))
const fault = computed(() => {
  const bad = rows.value.find(
    (row) => 'error' in parseNumber(row.percent, { min: 0, max: 100, what: common.thePercent, unit: '%' }),
  )
  if (bad) return texts.eachPartNeedsAPercent
  const mixed =
    mixtureFault(facts.name, parts.value, materials.catalogue) ??
    (props.material ? mixtureFault(props.material.id, parts.value, materials.catalogue) : null)
  return mixed && mixtureFaultText(mixed)
})
const valid = computed(
  () =>
    !fault.value &&
    !nameError.value &&
    !('error' in usage.value) &&
    !('error' in ph.value) &&
    Object.keys(kindFaults(kind.value)).length === 0,
)

async function save() {
  if (!valid.value) return
  const told = {
    name: facts.name.trim(),
    inci: facts.inci.trim(),
    functions: [facts.does, ...(props.material?.functions.slice(1) ?? [])],
    solubility: facts.solubility,
    phase: facts.phase,
    ...(parts.value.length > 0 ? { parts: parts.value } : {}),
    ...('value' in usage.value && usage.value.value ? { usage: usage.value.value } : {}),
    ...('value' in ph.value && ph.value.value ? { ph: ph.value.value } : {}),
    ...kindFacts(kind.value, group.value, props.material ?? null),
  }
  try {
    const old = props.material
    if (!old) return emit('made', await materials.add(told))
    const next = changedMaterial(old, told, group.value, materials.catalogue)
    const saved = await materials.put(next, read ?? old)
    if ('clashes' in saved) {
      read = acknowledged(read ?? old, saved.clashes)
      notify(toast, clashWords(saved.clashes), undefined, 'error')
      return
    }
    emit('made', saved.value)
  } catch (error) {
    notify(toast, explainStorage(error), undefined, 'error')
  }
}
</script>

<template>
  <PopUp v-model:visible="open" :header="material ? texts.editOwnIngredient : texts.newOwnIngredient">
    <form class="dialog-form" @submit.prevent="save" @keydown.stop>
      <TextField
        id="own-name"
        :label="common.name"
        :error="nameError"
        class="wide"
        v-model="facts.name"
        autofocus
      />
      <TextField :label="texts.inciNamesSeparatedByCommas" class="wide" v-model="facts.inci" />
      <FormField id="own-does" :label="texts.functionWord">
        <Select label-id="own-does" v-model="facts.does" :options="functions" fluid />
      </FormField>
      <ChoiceField v-model="facts.solubility" :label="texts.solubleIn" :options="solubilities" />
      <ChoiceField v-model="facts.phase" :label="common.phase" :options="phases" />
      <RangeField
        id="own-usage"
        v-model="facts.usage"
        :legend="texts.usualRange"
        name="Usual range"
        :unit="common.percent"
        :read="usage"
      />
      <RangeField id="own-ph" v-model="facts.ph" :legend="texts.suitablePh" name="pH" :read="ph" />
      <OwnKindFields v-model="kind" :group="group" />
      <PartsEditor v-model="rows" class="wide" :fault="fault" :sum="sum" />
      <p class="muted small wide">{{ texts.anythingLeftEmptyCountsAs }}</p>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.cancel" @click="open = false" />
        <Button
          type="submit"
          :label="material ? common.save : (action ?? texts.createAndAdd)"
          :disabled="!valid"
        />
      </div>
    </form>
  </PopUp>
</template>
