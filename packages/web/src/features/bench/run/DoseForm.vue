<script setup lang="ts">
import { common } from '#words/common'
import { doseForm as texts } from '#words/bench-run'
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
    <h3 id="dose-title">{{ texts.adjustThePh }}</h3>
    <p v-if="!aimed" class="muted">{{ texts.thisFormulaHasNoTarget }}</p>
    <div class="entry abreast at-foot wraps for-hands">
      <FormField id="adjuster" :label="texts.withWord">
        <Select
          :model-value="dosing?.adjuster"
          label-id="adjuster"
          :options="adjusterGroups()"
          option-label="label"
          option-value="value"
          option-group-label="label"
          option-group-children="items"
          :aria-label="texts.withWord"
          @update:model-value="choose($event as string)"
        />
      </FormField>
      <NumberField
        v-model="e.strength"
        :label="texts.strength"
        unit="%"
        :min="0.01"
        :max="100"
        :error="e.strengthFault"
        :what="common.theStrength"
      />
    </div>
    <p v-if="e.plan && 'there' in e.plan" class="muted">{{ inTargetText(e.plan.there) }}</p>
    <Notice v-if="e.fault" kind="check">
      {{ doseFaultText(e.fault.fault) }}
      <template v-if="e.fault.instead" #actions>
        <PlainButton
          :label="
            texts.use(
              adjusterName(e.fault.instead.adjuster).toLowerCase(),
              sayNumber(e.fault.instead.strengthPercent),
            )
          "
          @click="choose(e.fault.instead.adjuster, e.fault.instead.strengthPercent)"
        />
      </template>
    </Notice>
    <p v-if="stand && !stand.model" class="muted">
      {{ texts.thePhOfThisBatch }}
    </p>
    <div v-if="e.dose" class="dose">
      <p class="figure mono" data-testid="dose">
        {{ e.say(e.dose.first.grams) }}<span class="unit"> g</span>
      </p>
      <p v-if="e.words">
        {{ texts.first(e.words.how, landsText(e.dose.first.lands), e.words.whole, e.words.chance) }}
      </p>
      <Notice v-if="e.words?.doubt" kind="check">{{ e.words.doubt }}</Notice>
    </div>
    <p v-if="!read" class="muted">{{ texts.notMeasuredYetPredictedFrom }}</p>
    <form class="entry abreast at-foot wraps for-hands" @submit.prevent="e.add">
      <NumberField
        v-model="e.typedGrams"
        :label="e.net === null ? texts.added : common.orTypeIt"
        unit="g"
        :placeholder="e.net !== null && e.net > 0 ? e.say(e.net) : '0'"
        :error="e.doseError"
        :of="e.of"
        :what="texts.theDose"
      />
      <NumberField
        v-model="e.drops"
        :label="texts.orDrops"
        :max="1000"
        placeholder="0"
        :what="texts.theDrops"
      />
      <Button type="submit" :label="e.grams ? texts.recordG(sayNumber(e.grams, 3)) : texts.recordDose" />
      <PlainButton v-if="scale" :label="taring ? common.settling : common.tare" @click="tare" />
    </form>
    <p class="muted small">{{ texts.aTimerStartsAutomatically(doseWaitText()) }}</p>
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
