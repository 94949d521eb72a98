<script setup lang="ts">
import { common } from '#words/common'
import { factsDialog as texts } from '#words/ingredients'
import {
  catalogue as base,
  FactChange,
  type FieldUnit,
  parseNumber,
  sayNumber,
  type Material,
} from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import { useToast } from 'primevue/usetoast'
import { computed, reactive } from 'vue'
import TextField from '../../components/TextField.vue'
import RangeField from '../../components/RangeField.vue'
import { notify } from '../../components/notify'
import { readRange } from '../../components/range'
import { explainStorage } from '../../storage/db'
import { useMaterials } from '../../stores/materials'

const props = defineProps<{ material: Material }>()
const emit = defineEmits<{ close: [] }>()
const store = useMaterials()
const toast = useToast()
const was = base.find(props.material.id)!
/** What was held of it when the dialog opened: only what is changed here is saved. */
const held = store.changeOf(props.material.id)
const m = props.material

const say = (value: number | undefined) => (value === undefined ? '' : sayNumber(value, 4))
const form = reactive({
  usage: { low: say(m.usage?.min), high: say(m.usage?.max) },
  ph: { low: say(m.ph?.min), high: say(m.ph?.max) },
  heat: say(m.heatMaxC),
  density: say(m.density),
  strength: say(m.strengthPercent),
  hlb: say(m.emulsifier?.hlb),
  note: m.note ?? '',
})
const one = (text: string, min: number, max: number, what: string, unit?: FieldUnit) =>
  parseNumber(text, { min, max, what, unit })
const usage = computed(() =>
  readRange(form.usage.low, form.usage.high, { min: 0, max: 100, what: common.thePercent, unit: '%' }),
)
const ph = computed(() => readRange(form.ph.low, form.ph.high, { min: 0, max: 14, what: common.thePh }))
const singles = computed(() => ({
  heat: one(form.heat, 0, 300, common.theTemperature, '°C'),
  density: one(form.density, 0.01, 25, texts.theDensity),
  strength: one(form.strength, 0.001, 100, common.theStrength, '%'),
  hlb: one(form.hlb, 0, 40, texts.theHlb),
}))
const errorOf = (key: keyof typeof singles.value) => {
  const parsed = singles.value[key]
  return 'error' in parsed ? parsed.error : null
}
const valid = computed(
  () =>
    !('error' in usage.value) &&
    !('error' in ph.value) &&
    Object.values(singles.value).every((p) => !('error' in p)),
)

/** Only what differs from the catalogue is kept as a change. */
const change = computed<FactChange | null>(() => {
  if (!valid.value) return null
  const range = (read: typeof usage.value, old: { min: number; max: number } | undefined) =>
    'value' in read && read.value && (read.value.min !== old?.min || read.value.max !== old.max)
      ? read.value
      : undefined
  const number = (key: keyof typeof singles.value, old: number | undefined) => {
    const parsed = singles.value[key]
    return 'value' in parsed && parsed.value !== null && parsed.value !== old ? parsed.value : undefined
  }
  const next = {
    usage: range(usage.value, was.usage),
    ph: range(ph.value, was.ph),
    heatMaxC: number('heat', was.heatMaxC),
    density: number('density', was.density),
    strengthPercent: number('strength', was.strengthPercent),
    hlb: number('hlb', was.emulsifier?.hlb),
    note: form.note.trim() !== (was.note ?? '') ? form.note.trim() : undefined,
  }
  const told = Object.entries(next).filter(([, value]) => value !== undefined)
  return told.length > 0 ? FactChange.parse({ id: m.id, ...Object.fromEntries(told) }) : null
})

async function save() {
  if (!valid.value) return
  try {
    if (change.value) await store.change(change.value, held)
    else await store.reset(m.id)
    emit('close')
  } catch (error) {
    notify(toast, explainStorage(error), undefined, 'error')
  }
}
async function reset() {
  const before = store.changeOf(m.id)
  await store.reset(m.id)
  emit('close')
  if (before)
    notify(toast, texts.resetToTheCatalogue2, { label: common.undo, run: () => void store.change(before) })
}
</script>

<template>
  <PopUp :visible="true" :header="texts.changeFacts" @update:visible="emit('close')">
    <form class="dialog-form" @submit.prevent="save" @keydown.stop>
      <p class="muted small wide">
        {{ texts.fromYourSuppliersDocumentsOr }}
      </p>
      <RangeField
        id="fact-usage"
        v-model="form.usage"
        :legend="texts.usualRange"
        name="Usual range"
        :unit="common.percent"
        :read="usage"
        autofocus
      />
      <RangeField id="fact-ph" v-model="form.ph" legend="pH" name="pH" :read="ph" />
      <TextField
        :label="common.maximumProcessingTemperature"
        :error="errorOf('heat')"
        v-model="form.heat"
        figure
      />
      <TextField :label="texts.densityGMl" :error="errorOf('density')" v-model="form.density" figure />
      <TextField
        v-if="!m.parts"
        :label="texts.strengthAsSupplied"
        :error="errorOf('strength')"
        v-model="form.strength"
        figure
      />
      <TextField v-if="m.emulsifier" :label="texts.hlb" :error="errorOf('hlb')" v-model="form.hlb" figure />
      <TextField :label="common.note" class="wide" v-model="form.note" :rows="2" maxlength="1000" />
      <div class="dialog-buttons">
        <QuietButton v-if="m.changed" type="button" :label="texts.resetToTheCatalogue" @click="reset" />
        <QuietButton type="button" :label="common.cancel" @click="emit('close')" />
        <Button type="submit" :label="common.save" :disabled="!valid" />
      </div>
    </form>
  </PopUp>
</template>
