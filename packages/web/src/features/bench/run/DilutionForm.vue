<script setup lang="ts">
import { decimalsOf, formatNumber, sayNumber, type PreDilution } from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../../components/buttons'
import { computed, ref } from 'vue'
import NumberField from '../../../components/NumberField.vue'
import { useBatch } from '../../../stores/batch'
import { useRun } from './run'

/** Too little to weigh: more of it is dissolved in another line, and a part of that is used. */
const props = defineProps<{ dilution: PreDilution; lot: string | null }>()
const emit = defineEmits<{ close: [] }>()
const batch = useBatch()
const run = useRun()
const solute = ref<number | null>(props.dilution.soluteGrams)
const carrier = ref<number | null>(props.dilution.carrierGrams)
const used = ref<number | null>(props.dilution.useGrams)
const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))
const names = computed(() => ({
  solute: run.label(props.dilution.line),
  carrier: run.label(props.dilution.carrier),
}))
/** How much of the mixture brings what is wanted, by what was really weighed. */
const wanted = computed(() => {
  if (!solute.value || !carrier.value) return null
  const { target } = run.state.value.lines[props.dilution.line]!
  return (target * (solute.value + carrier.value)) / solute.value
})
const brings = computed(() =>
  solute.value && carrier.value && used.value
    ? (used.value * solute.value) / (solute.value + carrier.value)
    : null,
)
function record() {
  if (!solute.value || !carrier.value || !used.value) return
  const done = batch.enter({
    type: 'dilution',
    line: props.dilution.line,
    carrier: props.dilution.carrier,
    soluteGrams: solute.value,
    carrierGrams: carrier.value,
    usedGrams: used.value,
    ...(props.lot ? { lot: props.lot } : {}),
  })
  if (done) emit('close')
}
</script>

<template>
  <section class="dilution" aria-labelledby="dilution-title">
    <h3 id="dilution-title">{{ names.solute }} as a stock solution, 1 in {{ dilution.fold }}</h3>
    <p>
      Weigh {{ say(dilution.soluteGrams) }} g of it, add {{ say(dilution.carrierGrams) }} g of
      {{ names.carrier }} and stir until clear or uniform. Combined weighing error:
      {{ sayNumber(dilution.errorPercent, 0) }} %.
    </p>
    <form class="abreast at-foot wraps for-hands" @submit.prevent="record">
      <NumberField v-model="solute" :label="names.solute" unit="g" what="the weight" />
      <NumberField v-model="carrier" :label="names.carrier" unit="g" what="the weight" />
      <NumberField v-model="used" label="Used of it" unit="g" what="the weight" />
      <Button type="submit" label="Record" icon="pi pi-check" :disabled="!solute || !carrier || !used" />
      <QuietButton label="Weigh directly" @click="emit('close')" />
    </form>
    <p v-if="wanted" class="muted">
      With these weights, use {{ say(wanted) }} g<template v-if="brings !== null"
        >; {{ say(used!) }} g bring {{ sayNumber(brings, 4) }} g {{ names.solute }}</template
      >. The {{ names.carrier }} in it counts towards the formula.
    </p>
  </section>
</template>

<style scoped>
.dilution {
  display: grid;
  gap: 0.75rem;
}
h3 {
  font-size: var(--text-head-2);
}
form :deep(.field) {
  width: 9.5rem;
}
</style>
