<script setup lang="ts">
import {
  handlingText,
  adjusterGroups,
  inTargetText,
  doseFaultText,
  landsText,
  doseWaitText,
} from '@omblet/core/words'
import { adjusterName, sayNumber } from '@omblet/core'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, reactive } from 'vue'
import { PlainButton } from '../../../components/buttons'
import FormField from '../../../components/FormField.vue'
import Notice from '../../../components/Notice.vue'
import NumberField from '../../../components/NumberField.vue'
import type { useDosing } from '../../../composables/dosing'
import { useRun, useShown, useTare } from './run'
import { useDoseEntry } from './use-ph-step'

/** What brings the pH to its aim, and what went in of it. */
const props = defineProps<{
  of: ReturnType<typeof useDosing>
  batchGrams: number
  /** Whether there is a pH to aim for, and whether it was read since something last went in. */
  aimed: boolean
  read: boolean
}>()
const run = useRun()
const scale = useShown('scale', run.now)
const { tare, waiting: taring } = useTare(run.now)
const stand = computed(() => props.of.stand.value)
const dosing = computed(() => props.of.dosing.value)
const choose = (adjuster: string, percent?: number) => props.of.choose(adjuster, percent)
const e = reactive(
  useDoseEntry({
    dosing: props.of.dosing,
    strengthText: props.of.strengthText,
    scale,
    batchGrams: () => props.batchGrams,
  }),
)
const care = computed(() => (dosing.value ? handlingText(dosing.value.adjuster) : null))
</script>

<template>
  <section aria-labelledby="dose-title">
    <h3 id="dose-title">Adjust the pH</h3>
    <p v-if="!aimed" class="muted">This formula has no target pH. Set one on its pH tab, or continue.</p>
    <div class="entry abreast at-foot wraps for-hands">
      <FormField id="adjuster" label="With">
        <Select
          :model-value="dosing?.adjuster"
          label-id="adjuster"
          :options="adjusterGroups()"
          option-label="label"
          option-value="value"
          option-group-label="label"
          option-group-children="items"
          aria-label="With"
          @update:model-value="choose($event as string)"
        />
      </FormField>
      <NumberField
        v-model="e.strength"
        label="Strength"
        unit="%"
        :min="0.01"
        :max="100"
        :error="e.strengthFault"
        what="the strength"
      />
    </div>
    <p v-if="e.plan && 'there' in e.plan" class="muted">{{ inTargetText(e.plan.there) }}</p>
    <Notice v-if="e.fault" kind="check">
      {{ doseFaultText(e.fault.fault) }}
      <template v-if="e.fault.instead" #actions>
        <PlainButton
          :label="`Use ${adjusterName(e.fault.instead.adjuster).toLowerCase()}, ${sayNumber(e.fault.instead.strengthPercent)} %`"
          @click="choose(e.fault.instead.adjuster, e.fault.instead.strengthPercent)"
        />
      </template>
    </Notice>
    <p v-if="stand && !stand.model" class="muted">
      The pH of this batch cannot be predicted. Add a little, stir, wait and measure.
    </p>
    <div v-if="e.dose" class="dose">
      <p class="figure mono" data-testid="dose">
        {{ e.say(e.dose.first.grams) }}<span class="unit"> g</span>
      </p>
      <p v-if="e.words">
        first, {{ e.words.how }}. {{ landsText(e.dose.first.lands) }} {{ e.words.whole }}
        {{ e.words.chance }}
      </p>
      <Notice v-if="e.words?.doubt" kind="check">{{ e.words.doubt }}</Notice>
    </div>
    <p v-if="!read" class="muted">Not measured yet; predicted from the weights. Measure first.</p>
    <form class="entry abreast at-foot wraps for-hands" @submit.prevent="e.add">
      <NumberField
        v-model="e.typedGrams"
        :label="e.net === null ? 'Added' : 'Or type it'"
        unit="g"
        :placeholder="e.net !== null && e.net > 0 ? e.say(e.net) : '0'"
        :error="e.doseError"
        :of="e.of"
        what="the dose"
      />
      <NumberField v-model="e.drops" label="or drops" :max="1000" placeholder="0" what="the drops" />
      <Button type="submit" :label="e.grams ? `Record ${sayNumber(e.grams, 3)} g` : 'Record dose'" />
      <PlainButton v-if="scale" :label="taring ? 'Settling…' : 'Tare'" @click="tare" />
    </form>
    <p class="muted small">{{ doseWaitText() }} A timer starts automatically.</p>
    <Notice v-if="care" kind="note">
      <strong>{{ care.strong }}</strong> {{ care.then }}
    </Notice>
  </section>
</template>

<style scoped src="./figures.css"></style>
<style scoped>
.entry :deep(.field:has(input)) {
  width: 9rem;
}
.entry :deep(.p-select) {
  align-items: center;
  max-width: 100%;
}
.dose {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  gap: 0.5rem 1.25rem;
  max-width: 46rem;
}
@media (max-width: 520px) {
  .dose {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
