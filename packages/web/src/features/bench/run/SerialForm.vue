<script setup lang="ts">
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
  { value: 'none', label: 'none' },
  { value: 'even', label: 'even' },
  { value: 'odd', label: 'odd' },
] as const
const factorText = ref(String(s.value.pattern.factor))
const factor = computed(() => Number(factorText.value.replace(',', '.')))
const line = ref('')
const valid = computed(() => {
  const parsed = SerialSettings.safeParse({
    ...s.value,
    pattern: { ...s.value.pattern, factor: factor.value },
  })
  return parsed.success ? null : 'The factor must be a number other than 0.'
})
const tried = computed(() => {
  if (line.value === '' || valid.value) return ''
  const read = readLine(line.value, { ...s.value.pattern, factor: factor.value })
  if (read.kind === 'value')
    return `Read as ${read.value}${read.steady === null ? '' : read.steady ? ', settled' : ', moving'}.`
  return read.kind === 'fault' ? 'Read as: no reading.' : 'No reading in this line.'
})
function connect() {
  if (valid.value) return
  s.value.pattern.factor = factor.value
  emit('connect')
}
</script>

<template>
  <form class="serial dialog-form" @submit.prevent="connect">
    <ChoiceField v-model="s.baudRate" label="Speed, baud" :options="SPEEDS" />
    <ChoiceField v-model="s.dataBits" label="Data bits" :options="BITS" />
    <ChoiceField v-model="s.stopBits" label="Stop bits" :options="STOPS" />
    <ChoiceField v-model="s.parity" label="Parity" :options="PARITIES" />
    <TextField
      label="Only lines with this text"
      v-model="s.pattern.marker"
      placeholder="all lines"
      maxlength="40"
      mono
    />
    <TextField
      label="Steady when the line contains"
      v-model="s.pattern.steady"
      placeholder="when the value stays the same"
      maxlength="40"
      mono
    />
    <TextField
      label="No reading when the line contains"
      v-model="s.pattern.fault"
      placeholder="never"
      maxlength="40"
      mono
    />
    <TextField label="Request command" v-model="s.ask" placeholder="sends on its own" maxlength="40" mono />
    <TextField label="Factor" :error="valid" v-model="factorText" figure />
    <label class="comma abreast"
      ><Checkbox v-model="s.pattern.decimalComma" binary :input-id="`${kind}-comma`" /> Comma as decimal
      mark</label
    >
    <TextField label="Test line" class="wide" v-model="line" maxlength="200" mono />
    <p class="wide muted small" role="status">
      {{
        tried || 'The first number of a line is the reading. \\r and \\n may be used in “Request command”.'
      }}
    </p>
    <div class="dialog-buttons">
      <Button type="submit" label="Choose port" :disabled="valid !== null" />
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
