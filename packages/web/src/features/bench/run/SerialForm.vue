<script setup lang="ts">
import { serialForm as texts } from '#words/bench-run'
import { readLine, SerialSettings, type InstrumentKind } from '@omblet/core'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed, ref } from 'vue'
import ChoiceField from '../../../components/ChoiceField.vue'
import TextField from '../../../components/TextField.vue'
import { useInstruments } from '../../../stores/instruments'

/** How a serial instrument speaks, tried on a line of its manual before it is connected. */
const props = defineProps<{ kind: InstrumentKind }>()
const emit = defineEmits<{ connect: [] }>()
const instruments = useInstruments()
const s = computed(() => instruments.settings[props.kind])
const same = <T extends string | number>(values: readonly T[]) =>
  values.map((value) => ({ value, label: String(value) }))
const SPEEDS = same([1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200])
const BITS = same([7, 8] as const)
const STOPS = same([1, 2] as const)
const PARITIES = [
  { value: 'none', label: texts.none },
  { value: 'even', label: texts.even },
  { value: 'odd', label: texts.odd },
] as const
const factorText = ref(String(s.value.pattern.factor))
const factor = computed(() => Number(factorText.value.replace(',', '.')))
const line = ref('')
const valid = computed(() => {
  const parsed = SerialSettings.safeParse({
    ...s.value,
    pattern: { ...s.value.pattern, factor: factor.value },
  })
  return parsed.success ? null : texts.theFactorMustBeA
})
const tried = computed(() => {
  if (line.value === '' || valid.value) return ''
  const read = readLine(line.value, { ...s.value.pattern, factor: factor.value })
  if (read.kind === 'value')
    return texts.readAs(read.value, read.steady === null ? '' : read.steady ? texts.settled : texts.moving)
  return read.kind === 'fault' ? texts.readAsNoReading : texts.noReadingInThisLine
})
function connect() {
  if (valid.value) return
  s.value.pattern.factor = factor.value
  emit('connect')
}
</script>

<template>
  <form class="serial dialog-form" @submit.prevent="connect">
    <ChoiceField v-model="s.baudRate" :label="texts.speedBaud" :options="SPEEDS" />
    <ChoiceField v-model="s.dataBits" :label="texts.dataBits" :options="BITS" />
    <ChoiceField v-model="s.stopBits" :label="texts.stopBits" :options="STOPS" />
    <ChoiceField v-model="s.parity" :label="texts.parity" :options="PARITIES" />
    <TextField
      :label="texts.onlyLinesWithThisText"
      v-model="s.pattern.marker"
      :placeholder="texts.allLines"
      maxlength="40"
      mono
    />
    <TextField
      :label="texts.steadyWhenTheLineContains"
      v-model="s.pattern.steady"
      :placeholder="texts.whenTheValueStaysThe"
      maxlength="40"
      mono
    />
    <TextField
      :label="texts.noReadingWhenTheLine"
      v-model="s.pattern.fault"
      :placeholder="texts.never"
      maxlength="40"
      mono
    />
    <TextField
      :label="texts.requestCommand"
      v-model="s.ask"
      :placeholder="texts.sendsOnItsOwn"
      maxlength="40"
      mono
    />
    <TextField :label="texts.factor" :error="valid" v-model="factorText" figure />
    <label class="comma abreast"
      ><Checkbox v-model="s.pattern.decimalComma" binary :input-id="`${kind}-comma`" />
      {{ texts.commaAsDecimalMark }}</label
    >
    <TextField :label="texts.testLine" class="wide" v-model="line" maxlength="200" mono />
    <p class="wide muted small" role="status">
      {{ tried || texts.theFirstNumberOfA }}
    </p>
    <div class="dialog-buttons">
      <Button type="submit" :label="texts.choosePort" :disabled="valid !== null" />
    </div>
  </form>
</template>

<style scoped>
.serial {
  padding: 0.5rem 0 1rem;
}
.comma {
  align-self: end;
  min-height: 44px;
}
</style>
