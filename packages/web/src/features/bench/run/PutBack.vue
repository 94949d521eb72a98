<script setup lang="ts">
import { common } from '#words/common'
import { putBack as texts } from '#words/bench-weighing'
import { atResolution, decimalsOf, formatNumber } from '@omblet/core'
import { PlainButton } from '../../../components/buttons'
import { computed, ref } from 'vue'
import NumberField from '../../../components/NumberField.vue'
import { useBatch } from '../../../stores/batch'
import { useRun, useShown, useTare } from './run'

/** Water that is put back: typed, or what the scale gained since it was tared. */
defineProps<{ wanted: number }>()
const batch = useBatch()
const run = useRun()
const { tare, waiting: taring } = useTare(run.now)
const shown = useShown('scale', run.now)
const typed = ref<number | null>(null)
const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))
const tared = computed(() => {
  const last = run.state.value.events.findLast(
    (e) => e.step === run.step.value?.key && e.type !== 'temperature',
  )
  return last?.type === 'tare'
})
const net = computed(() =>
  tared.value && shown.value?.steady
    ? atResolution(shown.value.value - run.state.value.zero, run.resolution.value)
    : null,
)
const grams = computed(() => typed.value ?? (net.value !== null && net.value > 0 ? net.value : null))
function record() {
  if (!grams.value) return
  if (batch.enter({ type: 'water', grams: grams.value })) typed.value = null
}
</script>

<template>
  <form class="put abreast at-foot wraps for-hands" @submit.prevent="record">
    <p class="wanted">
      {{ texts.addBack }} <strong class="mono" data-testid="put-back">{{ say(wanted) }} g</strong>
      {{ texts.water }}
    </p>
    <NumberField
      v-model="typed"
      :label="texts.waterAddedBack"
      unit="g"
      :placeholder="net !== null && net > 0 ? say(net) : say(wanted)"
      :what="texts.theWater"
    />
    <PlainButton v-if="shown" :label="taring ? common.settling : common.tare" @click="tare" />
    <PlainButton
      type="submit"
      :label="grams ? texts.recordGWater(say(grams)) : texts.recordWater"
      :disabled="!grams"
    />
  </form>
</template>

<style scoped>
.wanted {
  flex: 1 1 100%;
  font-size: var(--text-head-2);
}
.put :deep(.field) {
  width: 10rem;
}
</style>
