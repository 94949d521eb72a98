<script setup lang="ts">
import {
  ADJUSTER_GROUPS,
  adjusterName,
  aimPh,
  chargedToFill,
  DOSE_WAIT,
  formatNumber,
  formatRange,
  handling,
  landsWords,
  phFormula,
  sayNumber,
} from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, inject, onBeforeUnmount, onMounted } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import FormField from '../../../components/FormField.vue'
import Notice from '../../../components/Notice.vue'
import NumberField from '../../../components/NumberField.vue'
import { useTools } from '../../../stores/tools'
import { useMaterials } from '../../../stores/materials'
import { useDosing } from '../../../composables/dosing'
import Entries from './Entries.vue'
import { PEDAL, useRun, useShown, useTare } from './run'
import { useDoseEntry, usePhReading } from './use-ph-step'

const bench = useTools()
const materials = useMaterials()
const run = useRun()
const { tare, waiting: taring } = useTare(run.now)
const pedal = inject(PEDAL)!
const probe = useShown('ph', run.now)
const scale = useShown('scale', run.now)
onMounted(() => void bench.load())

const s = computed(() => run.state.value)
const formula = computed(() => phFormula(s.value))
const a = computed(() => (formula.value ? materials.derive(formula.value).assessment : null))
const { stand, dosing, strengthText, choose } = useDosing(
  () => a.value,
  () => s.value.plan.a,
)
const aim = computed(() => aimPh(s.value.plan.a))
const now = computed(() => stand.value?.now ?? null)
const current = computed(() => s.value.readings.filter((r) => r.n > s.value.changedAt).at(-1) ?? null)
/** Where it stands: by the model where one can be made, else as it was read. */
const stands = computed(() =>
  now.value
    ? { ph: now.value.value, read: now.value.from === 'reading' }
    : current.value
      ? { ph: current.value.ph, read: s.value.doses.every((d) => d.n < current.value!.n) }
      : null,
)
const inAim = computed(
  () =>
    current.value !== null &&
    aim.value !== null &&
    stands.value !== null &&
    stands.value.read &&
    stands.value.ph >= aim.value.min - 0.05 &&
    stands.value.ph <= aim.value.max + 0.05,
)

const { METHODS, method, typedPh, phError, reading, read, sample, takeSample } = usePhReading(probe)
const doseEntry = useDoseEntry({
  dosing,
  strengthText,
  scale,
  batchGrams: () => a.value?.amounts.batchGrams ?? 0,
})
const {
  strength,
  strengthFault,
  plan,
  dose,
  words,
  fault,
  net,
  typedGrams,
  drops,
  grams,
  doseError,
  say,
  add,
} = doseEntry
const care = computed(() => (dosing.value && !inAim.value ? handling(dosing.value.adjuster) : null))
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
        <p class="label">Now</p>
        <p class="figure mono" data-testid="ph-now">{{ stands ? formatNumber(stands.ph, 2) : '–' }}</p>
        <p v-if="now" class="muted small">
          {{
            now.from === 'reading'
              ? 'read'
              : now.from === 'prediction'
                ? 'computed'
                : 'computed since the last dose'
          }}, likely {{ sayNumber(now.low, 1) }} to {{ sayNumber(now.high, 1) }}
        </p>
      </div>
      <div>
        <p class="label">Aim</p>
        <p class="figure mono">{{ aim ? formatRange(aim) : '–' }}</p>
      </div>
      <p v-if="inAim" class="there"><FindingMark severity="fine" :size="24" /> It is where it should be.</p>
    </div>

    <section aria-labelledby="read-title">
      <h3 id="read-title">Read</h3>
      <SelectButton
        v-model="method"
        :options="[...METHODS]"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        aria-label="How it is read"
      />
      <form class="entry abreast at-foot wraps for-hands" @submit.prevent="read">
        <NumberField
          v-model="typedPh"
          data-first
          :label="probe ? 'Or type it' : 'pH'"
          :max="1400"
          :placeholder="probe ? formatNumber(probe.value, 2) : '5.5'"
          :error="phError"
          what="the pH"
        />
        <Button
          type="submit"
          :label="reading === null ? 'Record pH' : `Record pH ${formatNumber(reading, 2)}`"
        />
        <span v-if="probe" class="live abreast level"
          ><span class="mono" data-testid="probe">{{ formatNumber(probe.value, 2) }}</span>
          <span class="muted">{{ probe.steady ? 'settled' : 'moving' }}</span></span
        >
      </form>
      <p v-if="method === 'meter-10pct'" class="muted small">
        1 g of the batch in 9 g of fresh distilled water; stir, wait five minutes. Throw it away afterwards.
      </p>
      <form class="entry abreast at-foot wraps for-hands" @submit.prevent="takeSample">
        <NumberField v-model="sample" label="Taken away for it" unit="g" placeholder="0" what="the sample" />
        <PlainButton type="submit" label="Note it" :disabled="!sample" />
      </form>
    </section>

    <section v-if="!inAim" aria-labelledby="dose-title">
      <h3 id="dose-title">Bring it there</h3>
      <p v-if="!aim" class="muted">This formula has no pH to aim for. Set one on its pH leaf, or go on.</p>
      <div class="entry abreast at-foot wraps for-hands">
        <FormField id="adjuster" label="With">
          <Select
            :model-value="dosing?.adjuster"
            label-id="adjuster"
            :options="ADJUSTER_GROUPS"
            option-label="label"
            option-value="value"
            option-group-label="label"
            option-group-children="items"
            aria-label="With"
            @update:model-value="choose($event as string)"
          />
        </FormField>
        <NumberField
          v-model="strength"
          label="Strength"
          unit="%"
          :min="0.01"
          :max="100"
          :error="strengthFault"
          what="the strength"
        />
      </div>
      <p v-if="plan && 'there' in plan" class="muted">{{ plan.there }}</p>
      <Notice v-if="fault" kind="check">
        {{ fault.fault }}
        <template v-if="fault.instead" #actions>
          <PlainButton
            :label="`Take ${adjusterName(fault.instead.adjuster).toLowerCase()}, ${sayNumber(fault.instead.strengthPercent)} %`"
            @click="choose(fault.instead.adjuster, fault.instead.strengthPercent)"
          />
        </template>
      </Notice>
      <p v-if="a && !stand?.model" class="muted">
        The pH of this batch cannot be reckoned: add a little, stir, wait and read.
      </p>
      <div v-if="dose" class="dose">
        <p class="figure mono" data-testid="dose">{{ say(dose.first.grams) }}<span class="unit"> g</span></p>
        <p v-if="words">
          first, {{ words.how }}. {{ landsWords(dose.first.lands) }} {{ words.whole }} {{ words.chance }}
        </p>
      </div>
      <p v-if="current === null" class="muted">
        Not read yet: this rests on the weights alone. Read it first.
      </p>
      <form class="entry abreast at-foot wraps for-hands" @submit.prevent="add">
        <NumberField
          v-model="typedGrams"
          :label="net === null ? 'Went in' : 'Or type it'"
          unit="g"
          :placeholder="net !== null && net > 0 ? say(net) : '0'"
          :error="doseError"
          what="the dose"
        />
        <NumberField v-model="drops" label="or drops" :max="1000" placeholder="0" what="the drops" />
        <Button type="submit" :label="grams ? `Record ${sayNumber(grams, 3)} g` : 'Record dose'" />
        <PlainButton v-if="scale" :label="taring ? 'Settling…' : 'Tare'" @click="tare" />
      </form>
      <p class="muted small">{{ DOSE_WAIT }} A timer starts by itself.</p>
      <Notice v-if="care" kind="note">
        <strong>{{ care.strong }}</strong> {{ care.then }}
      </Notice>
    </section>

    <p v-if="charged" class="charged" data-testid="charged">
      {{ say(charged.total) }} g
      {{
        s.doses
          .map((d) => adjusterName(d.material).toLowerCase())
          .filter((x, i, l) => l.indexOf(x) === i)
          .join(', ')
      }}
      so far, charged against {{ charged.label }}, q.s.: {{ formatNumber(charged.from, 2) }} →
      {{ formatNumber(charged.to, 2) }} %.
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
.entry :deep(.field:has(input)) {
  width: 9rem;
}
.entry :deep(.p-select) {
  align-items: center;
  max-width: 100%;
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
.dose {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  gap: 0.5rem 1.25rem;
  max-width: 46rem;
}
.charged {
  padding: 0.5rem 0.75rem;
  border-radius: var(--round-m);
  background: var(--wash);
}
@media (max-width: 520px) {
  .dose {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
