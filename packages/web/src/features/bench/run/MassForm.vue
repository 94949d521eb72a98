<script setup lang="ts">
import { common } from '#words/common'
import { massForm as texts } from '#words/bench-weighing'
import { heldIn, massOf } from '@omblet/core'
import { PlainButton } from '../../../components/buttons'
import { computed, ref } from 'vue'
import NumberField from '../../../components/NumberField.vue'
import { useBatch } from '../../../stores/batch'
import { useRun, useShown } from './run'

/** Weighs a vessel with what is in it; the empty beaker is taken off where its weight is known. */
const props = defineProps<{ when: 'before' | 'after' | 'batch'; vessel: string | null; label: string }>()
const batch = useBatch()
const run = useRun()
const shown = useShown('scale', run.now)
const typed = ref<number | null>(null)
const tared = ref<number | null>(null)
const error = ref<string | null>(null)

const vessels = computed(() => run.state.value.vessels)
/** The beaker that the batch stands in: its own, else that of the first phase that was weighed. */
const known = computed(() => (props.vessel === null ? null : (vessels.value.get(props.vessel) ?? null)))
const expected = computed(() =>
  props.when === 'batch' ? massOf(run.state.value) : heldIn(run.state.value, run.step.value?.key ?? null),
)
const before = computed(() =>
  run.state.value.masses.some((m) => m.when === 'before' && m.step === run.step.value?.key),
)
const reading = computed(() => typed.value ?? (shown.value?.steady ? shown.value.value : null))
const tare = computed(() => tared.value ?? known.value)

function record() {
  error.value = null
  if (reading.value === null || reading.value <= 0) {
    error.value = texts.putTheBeakerOnThe
    return
  }
  const net = reading.value - (tare.value ?? 0)
  const compared = props.when === 'batch' || (props.when === 'after' && !before.value)
  if (net <= 0) {
    error.value = texts.lessThanTheTareWeight
    return
  }
  if (compared && expected.value !== null && net > expected.value * 1.03 + 1) {
    error.value = tare.value === null ? texts.moreThanWasWeighedIn : texts.moreThanWasWeighedIn2
    return
  }
  if (tared.value !== null && props.vessel !== null)
    batch.enter({ type: 'vessel', vessel: props.vessel, tareGrams: tared.value })
  if (batch.enter({ type: 'mass', when: props.when, grams: Number(net.toFixed(6)) })) {
    typed.value = null
    tared.value = null
  }
}
</script>

<template>
  <form class="mass" @submit.prevent="record">
    <NumberField
      v-model="typed"
      :label="label"
      unit="g"
      :placeholder="shown?.steady ? String(shown.value) : '0'"
      :error="error"
      :what="common.theWeight"
    />
    <NumberField
      v-if="known === null && (when === 'batch' || (when === 'after' && !before))"
      v-model="tared"
      :label="common.tareWeight"
      unit="g"
      :what="common.theWeight"
    />
    <span v-else-if="known !== null" class="muted small">{{ texts.lessBeaker(run.grams(known)) }}</span>
    <PlainButton type="submit" :label="common.record" />
  </form>
</template>

<style scoped>
.mass {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.5rem 0.75rem;
}
.mass :deep(.field) {
  width: 12rem;
}
.mass :deep(button),
.mass :deep(input) {
  min-height: 48px;
}
.small {
  padding-bottom: 0.875rem;
}
</style>
