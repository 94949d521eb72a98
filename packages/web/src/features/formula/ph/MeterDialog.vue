<script setup lang="ts">
import { doseFaultText } from '@omblet/core/words'
import {
  calibrationFault,
  meterState,
  nernstSlope,
  parseNumber,
  type FieldUnit,
  sayNumber,
} from '@omblet/core'
import { format } from 'date-fns'
import Button from 'primevue/button'
import { QuietButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { computed, reactive, ref, watch } from 'vue'
import DayField from '../../../components/DayField.vue'
import TextField from '../../../components/TextField.vue'
import { useTools } from '../../../stores/tools'

const open = defineModel<boolean>('open', { required: true })
const bench = useTools()

const form = reactive({
  highPh: '7.00',
  highMv: '',
  lowPh: '4.01',
  lowMv: '',
  celsius: '25',
  at: format(new Date(), 'yyyy-MM-dd'),
  since: '',
})
const problem = ref<string | null>(null)
watch(
  open,
  (now) => {
    if (!now) return
    const c = bench.tools.calibration
    problem.value = null
    Object.assign(form, { highMv: '', lowMv: '', at: format(new Date(), 'yyyy-MM-dd') })
    if (c)
      Object.assign(form, {
        highPh: c.high.ph.toFixed(2),
        lowPh: c.low.ph.toFixed(2),
        celsius: sayNumber(c.celsius),
        since: c.electrodeSince ?? '',
      })
  },
  { immediate: true },
)

const number = (text: string, min: number, max: number, what: string, unit?: FieldUnit) =>
  parseNumber(text, { min, max, what, unit })
/** Millivolts may be negative, which amounts never are. */
const millivolts = (text: string) => {
  const sign = /^\s*[-−]/.test(text) ? -1 : 1
  const parsed = number(text.replace(/^\s*[-−+]/, ''), 0, 600, 'the millivolts')
  return 'value' in parsed && parsed.value !== null ? { value: sign * parsed.value } : parsed
}
const fields = computed(() => ({
  highPh: number(form.highPh, 0, 14, 'the pH of the buffer'),
  highMv: millivolts(form.highMv),
  lowPh: number(form.lowPh, 0, 14, 'the pH of the buffer'),
  lowMv: millivolts(form.lowMv),
  celsius: number(form.celsius, 0, 60, 'the temperature', '°C'),
}))
const errorOf = (name: keyof typeof fields.value) => {
  const f = fields.value[name]
  return 'error' in f ? f.error : null
}
const calibration = computed(() => {
  const f = fields.value
  const value = (name: keyof typeof f) => {
    const x = f[name]
    return 'value' in x ? x.value : null
  }
  const [hp, hm, lp, lm, c] = [
    value('highPh'),
    value('highMv'),
    value('lowPh'),
    value('lowMv'),
    value('celsius'),
  ]
  if (hp === null || hm === null || lp === null || lm === null || c === null || form.at === '') return null
  return {
    at: form.at,
    high: { ph: hp, mv: hm },
    low: { ph: lp, mv: lm },
    celsius: c,
    ...(form.since ? { electrodeSince: form.since } : {}),
  }
})
const fault = computed(() => (calibration.value ? calibrationFault(calibration.value) : null))
const preview = computed(() =>
  calibration.value && !fault.value ? meterState(calibration.value, { days: 0 }) : null,
)
async function save() {
  if (!calibration.value || fault.value) {
    problem.value =
      (fault.value && doseFaultText(fault.value)) ?? 'Enter both buffers and the millivolts shown in them.'
    return
  }
  await bench.patch({ calibration: calibration.value })
  open.value = false
}
</script>

<template>
  <PopUp v-model:visible="open" header="Calibrate the meter with two buffers" width="32rem">
    <form class="dialog-form" @submit.prevent="save">
      <p class="muted small wide">
        Rinse, immerse, wait for a steady value and enter the millivolts. Use buffers on either side of your
        pH: 7.00 and 4.01 suit most leave-on products.
      </p>
      <TextField label="First buffer, pH" :error="errorOf('highPh')" v-model="form.highPh" figure />
      <TextField
        :label="`Reading in ${form.highPh}, mV`"
        :error="errorOf('highMv')"
        v-model="form.highMv"
        autofocus
        placeholder="about 0"
        mono
      />
      <TextField label="Second buffer, pH" :error="errorOf('lowPh')" v-model="form.lowPh" figure />
      <TextField
        :label="`Reading in ${form.lowPh}, mV`"
        :error="errorOf('lowMv')"
        v-model="form.lowMv"
        placeholder="about 177"
        mono
      />
      <TextField
        label="Temperature of the buffers, °C"
        :error="errorOf('celsius')"
        v-model="form.celsius"
        figure
      />
      <DayField v-model="form.at" label="Day" />
      <DayField v-model="form.since" label="Electrode in use since" />
      <div class="result wide" role="status">
        <p v-if="preview">
          Slope <strong class="mono">{{ sayNumber(preview.slopePercent, 1) }} %</strong> of
          {{ sayNumber(nernstSlope(calibration!.celsius), 2) }} mV per pH, offset
          <strong class="mono">{{ sayNumber(preview.offsetMv, 1) }} mV</strong>. Acceptable: 95–105 % and up
          to 15 mV.
        </p>
        <p v-else-if="fault" class="error-text">{{ doseFaultText(fault) }}</p>
        <p v-else-if="problem" class="error-text">{{ problem }}</p>
      </div>
      <div class="dialog-buttons">
        <QuietButton type="button" label="Cancel" @click="open = false" />
        <Button type="submit" label="Keep" />
      </div>
    </form>
  </PopUp>
</template>

<style scoped>
.result {
  min-height: 2.8rem;
}
</style>
