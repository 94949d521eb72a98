<script setup lang="ts">
import { common } from '#words/common'
import { temperatureForm as texts } from '#words/bench-run'
import { sayNumber } from '@omblet/core'
import { PlainButton } from '../../../components/buttons'
import { computed, ref, watch } from 'vue'
import NumberField from '../../../components/NumberField.vue'
import { useBatch } from '../../../stores/batch'
import { useRun, useShown } from './run'

/** Takes temperatures: typed, or by itself from a thermometer that speaks, now and then. */
const batch = useBatch()
const run = useRun()
const shown = useShown('thermometer', run.now)
const typed = ref<number | null>(null)
const error = ref<string | null>(null)

function record() {
  const celsius = typed.value ?? shown.value?.value ?? null
  error.value = celsius === null ? texts.typeTheTemperature : null
  if (celsius !== null && batch.enter({ type: 'temperature', celsius })) typed.value = null
}

/** So often, or after so large a change, a reading is written down by itself. */
const EVERY_MS = 60_000
const LEAST_MS = 4000
const CHANGE = 2
let writing = false
const last = computed(() => {
  const t = run.state.value.temperatures.at(-1)
  return t && t.step === run.step.value?.key
    ? { ...t, ms: Date.parse(run.state.value.events[t.n]!.at) }
    : null
})
watch(shown, async (s) => {
  if (!s?.steady || writing || document.visibilityState !== 'visible') return
  const since = last.value ? s.at - last.value.ms : Infinity
  const change = last.value ? Math.abs(s.value - last.value.celsius) : Infinity
  if (since < LEAST_MS || (since < EVERY_MS && change < CHANGE)) return
  writing = true
  await batch.append({ type: 'temperature', celsius: s.value }, undefined, true)
  writing = false
})
</script>

<template>
  <form class="temperature" @submit.prevent="record">
    <NumberField
      v-model="typed"
      data-first
      :label="shown ? common.orTypeIt : texts.theThermometerShows"
      unit="°C"
      :min="-10"
      :max="150"
      :placeholder="shown ? sayNumber(shown.value, 1) : '0'"
      :error="error"
      :what="common.theTemperature"
    />
    <PlainButton type="submit" :label="common.record" />
    <span v-if="shown" class="muted small">{{ texts.recordedAutomatically }}</span>
  </form>
</template>

<style scoped>
.temperature {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.5rem 0.75rem;
}
.temperature :deep(.field) {
  width: 10rem;
}
.temperature :deep(button),
.temperature :deep(input) {
  min-height: 48px;
}
.small {
  padding-bottom: 0.875rem;
}
</style>
