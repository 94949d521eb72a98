<script setup lang="ts">
import { common } from '#words/common'
import { dilutionForm as texts } from '#words/bench-weighing'
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
    <h3 id="dilution-title">{{ texts.asAStockSolution1(names.solute, dilution.fold) }}</h3>
    <p>
      {{
        texts.weighGOfItAdd(
          say(dilution.soluteGrams),
          say(dilution.carrierGrams),
          names.carrier,
          sayNumber(dilution.errorPercent, 0),
        )
      }}
    </p>
    <form class="abreast at-foot wraps for-hands" @submit.prevent="record">
      <NumberField v-model="solute" :label="names.solute" unit="g" :what="common.theWeight" />
      <NumberField v-model="carrier" :label="names.carrier" unit="g" :what="common.theWeight" />
      <NumberField v-model="used" :label="texts.usedOfIt" unit="g" :what="common.theWeight" />
      <Button
        type="submit"
        :label="common.record"
        icon="pi pi-check"
        :disabled="!solute || !carrier || !used"
      />
      <QuietButton :label="texts.weighDirectly" @click="emit('close')" />
    </form>
    <p v-if="wanted" class="muted">
      {{ texts.withTheseWeightsUseG(say(wanted))
      }}<template v-if="brings !== null">{{
        texts.gBringG(say(used!), sayNumber(brings, 4), names.solute)
      }}</template
      >{{ texts.theInItCountsTowards(names.carrier) }}
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
