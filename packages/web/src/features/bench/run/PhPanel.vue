<script setup lang="ts">
import { common } from '#words/common'
import { phPanel as texts } from '#words/bench-run'
import {
  adjusterName,
  aimPh,
  chargedToFill,
  decimalsOf,
  formatNumber,
  formatRange,
  phFormula,
  sayNumber,
} from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { computed, inject, onBeforeUnmount, onMounted } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import NumberField from '../../../components/NumberField.vue'
import { READING_WAYS } from '../../../components/reading-ways'
import OneOf from '../../../components/OneOf.vue'
import { useTools } from '../../../stores/tools'
import { useMaterials } from '../../../stores/materials'
import { useDosing } from '../../../composables/dosing'
import DoseForm from './DoseForm.vue'
import Entries from './Entries.vue'
import { PEDAL, useRun, useShown } from './run'
import { usePhReading } from './use-ph-step'

const bench = useTools()
const materials = useMaterials()
const run = useRun()
const pedal = inject(PEDAL)!
const probe = useShown('ph', run.now)
onMounted(() => void bench.load())

const s = computed(() => run.state.value)
const formula = computed(() => phFormula(s.value))
const a = computed(() => (formula.value ? materials.derive(formula.value).assessment : null))
const dosed = useDosing(
  () => a.value,
  () => s.value.plan.a,
)
const aim = computed(() => aimPh(s.value.plan.a))
const now = computed(() => dosed.stand.value?.now ?? null)
const current = computed(() => s.value.readings.filter((r) => r.n > s.value.changedAt).at(-1) ?? null)
/** Where it stands: by the model where one can be made, else as it was read. */
const stands = computed(() =>
  now.value
    ? { ph: now.value.value, read: now.value.from === 'reading' }
    : current.value
      ? { ph: current.value.ph, read: s.value.doses.every((d) => d.n < current.value!.n) }
      : null,
)
const inTarget = computed(
  () =>
    current.value !== null &&
    aim.value !== null &&
    stands.value !== null &&
    stands.value.read &&
    stands.value.ph >= aim.value.min - 0.05 &&
    stands.value.ph <= aim.value.max + 0.05,
)

const { method, typedPh, phError, reading, read, sample, takeSample } = usePhReading(probe)
const charged = computed(() => chargedToFill(s.value))
function press() {
  if (reading.value !== null && current.value === null) {
    read()
    return true
  }
  return false
}
onMounted(() => (pedal.press = press))
onBeforeUnmount(() => {
  if (pedal.press === press) pedal.press = null
})
</script>

<template>
  <div class="ph">
    <div class="figures">
      <div>
        <p class="label">{{ common.now }}</p>
        <p class="figure mono" data-testid="ph-now">{{ stands ? formatNumber(stands.ph, 2) : '–' }}</p>
        <p v-if="now" class="muted small">
          {{
            texts.likelyTo(
              now.from === 'reading'
                ? texts.measured
                : now.from === 'prediction'
                  ? texts.predicted
                  : texts.predictedSinceTheLastDose,
              sayNumber(now.low, 1),
              sayNumber(now.high, 1),
            )
          }}
        </p>
      </div>
      <div>
        <p class="label">{{ common.target }}</p>
        <p class="figure mono">{{ aim ? formatRange(aim) : '–' }}</p>
      </div>
      <p v-if="inTarget" class="there"><FindingMark severity="fine" :size="24" /> {{ texts.onTarget }}</p>
    </div>

    <section aria-labelledby="read-title">
      <h3 id="read-title">{{ common.read }}</h3>
      <OneOf v-model="method" :options="READING_WAYS" :label="texts.measurement" />
      <form class="entry abreast at-foot wraps for-hands" @submit.prevent="read">
        <NumberField
          v-model="typedPh"
          data-first
          :label="probe ? common.orTypeIt : 'pH'"
          :max="1400"
          :placeholder="probe ? formatNumber(probe.value, 2) : '5.5'"
          :error="phError"
          :what="common.thePh"
        />
        <Button
          type="submit"
          :label="reading === null ? texts.recordPh : texts.recordPh2(formatNumber(reading, 2))"
        />
        <span v-if="probe" class="live abreast level"
          ><span class="mono" data-testid="probe">{{ formatNumber(probe.value, 2) }}</span>
          <span class="muted">{{ probe.steady ? texts.settled : texts.moving }}</span></span
        >
      </form>
      <p v-if="method === 'meter-10pct'" class="muted small">
        {{ texts.stir1GOfThe }}
      </p>
      <form class="entry abreast at-foot wraps for-hands" @submit.prevent="takeSample">
        <NumberField
          v-model="sample"
          :label="texts.sampleTaken"
          unit="g"
          placeholder="0"
          :what="texts.theSample"
        />
        <PlainButton type="submit" :label="texts.recordSample" :disabled="!sample" />
      </form>
    </section>

    <DoseForm
      v-if="!inTarget"
      :of="dosed"
      :batch-grams="a?.amounts.batchGrams ?? 0"
      :aimed="aim !== null"
      :read="current !== null"
    />

    <p v-if="charged" class="charged" data-testid="charged">
      {{
        texts.gSoFarChargedAgainst(
          formatNumber(charged.total, decimalsOf(run.resolution.value)),
          s.doses
            .map((d) => adjusterName(d.material).toLowerCase())
            .filter((x, i, l) => l.indexOf(x) === i)
            .join(', '),
          charged.label,
          formatNumber(charged.from, 2),
          formatNumber(charged.to, 2),
        )
      }}
    </p>
    <Entries :types="['ph', 'dose', 'sample']" />
  </div>
</template>

<style scoped src="./figures.css"></style>
<style scoped>
.ph,
section {
  display: grid;
  gap: 0.75rem;
}
section {
  justify-items: start;
  padding-top: 0.75rem;
  border-top: 1px solid var(--line);
}
.figures > div {
  align-self: start;
}
.entry :deep(.field) {
  width: 9rem;
}
.ph :deep(.p-togglebutton) {
  min-height: 44px;
}
.live {
  padding-bottom: 0.375rem;
}
.live .mono {
  font-size: var(--text-figure);
  font-weight: 700;
  color: var(--accent-ink);
}
.charged {
  padding: 0.5rem 0.75rem;
  border-radius: var(--round-m);
  background: var(--wash);
}
</style>
