<script setup lang="ts">
import { common } from '#words/common'
import { meterDialog as texts } from '#words/formula-ph'
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
  const parsed = number(text.replace(/^\s*[-−+]/, ''), 0, 600, texts.theMillivolts)
  return 'value' in parsed && parsed.value !== null ? { value: sign * parsed.value } : parsed
}
const fields = computed(() => ({
  highPh: number(form.highPh, 0, 14, texts.thePhOfTheBuffer),
  highMv: millivolts(form.highMv),
  lowPh: number(form.lowPh, 0, 14, texts.thePhOfTheBuffer),
  lowMv: millivolts(form.lowMv),
  celsius: number(form.celsius, 0, 60, common.theTemperature, '°C'),
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
    problem.value = (fault.value && doseFaultText(fault.value)) ?? texts.enterBothBuffersAndThe
    return
  }
  await bench.patch({ calibration: calibration.value })
  open.value = false
}
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.calibrateTheMeterWithTwo" width="32rem">
    <form class="dialog-form" @submit.prevent="save">
      <p class="muted small wide">
        {{ texts.rinseImmerseWaitForA }}
      </p>
      <TextField :label="texts.firstBufferPh" :error="errorOf('highPh')" v-model="form.highPh" figure />
      <TextField
        :label="texts.readingInMv(form.highPh)"
        :error="errorOf('highMv')"
        v-model="form.highMv"
        autofocus
        :placeholder="texts.about0"
        mono
      />
      <TextField :label="texts.secondBufferPh" :error="errorOf('lowPh')" v-model="form.lowPh" figure />
      <TextField
        :label="texts.readingInMv2(form.lowPh)"
        :error="errorOf('lowMv')"
        v-model="form.lowMv"
        :placeholder="texts.about177"
        mono
      />
      <TextField
        :label="texts.temperatureOfTheBuffersC"
        :error="errorOf('celsius')"
        v-model="form.celsius"
        figure
      />
      <DayField v-model="form.at" :label="texts.day" />
      <DayField v-model="form.since" :label="texts.electrodeInUseSince" />
      <div class="result wide" role="status">
        <p v-if="preview">
          {{ texts.slope }} <strong class="mono">{{ sayNumber(preview.slopePercent, 1) }} %</strong>
          {{ texts.ofMvPerPhOffset(sayNumber(nernstSlope(calibration!.celsius), 2)) }}
          <strong class="mono">{{ sayNumber(preview.offsetMv, 1) }} mV</strong
          >{{ texts.acceptable95105AndUp }}
        </p>
        <p v-else-if="fault" class="error-text">{{ doseFaultText(fault) }}</p>
        <p v-else-if="problem" class="error-text">{{ problem }}</p>
      </div>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="common.keep" />
      </div>
    </form>
  </PopUp>
</template>

<style scoped>
.result {
  min-height: 2.8rem;
}
</style>
