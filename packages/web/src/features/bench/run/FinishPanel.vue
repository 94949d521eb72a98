<script setup lang="ts">
import { common } from '#words/common'
import { finishPanel as texts } from '#words/bench-weighing'
import { stepText, stepTitle, deviationText } from '@omblet/core/words'
import { deviations, madeGrams, sayNumber } from '@omblet/core'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import ChoiceField from '../../../components/ChoiceField.vue'
import TextField from '../../../components/TextField.vue'
import NumberField from '../../../components/NumberField.vue'
import OneOf from '../../../components/OneOf.vue'
import { useBatch } from '../../../stores/batch'
import { useContainers } from '../../../stores/containers'
import { useRun } from './run'

const batch = useBatch()
const containers = useContainers()
const run = useRun()

const OUTCOMES = [
  { value: 'kept', label: common.keep },
  { value: 'discarded', label: texts.discard },
] as const
const outcome = ref<'kept' | 'discarded'>('kept')
const filled = ref<number | null>(null)
const count = ref<number | null>(run.state.value.start.containers?.count ?? null)
const NONE = 'none'
const into = ref(containers.find(run.state.value.start.formula.label?.container)?.id ?? NONE)
const choices = computed(() => [
  { value: NONE, label: texts.notFromStock },
  ...containers.containers.map((c) => ({ value: c.id, label: texts.left(c.name, c.left) })),
])
const reason = ref('')
const error = ref<string | null>(null)
const made = computed(() => madeGrams(run.state.value))
const list = computed(() => deviations(run.state.value))
const left = computed(() => run.state.value.evaporated - run.state.value.putBack)

function finish() {
  error.value = null
  if (outcome.value === 'discarded' && reason.value.trim() === '') {
    error.value = texts.giveAReasonForDiscarding
    return
  }
  if (filled.value !== null && filled.value > made.value * 1.1) {
    error.value = texts.moreThanTheBatchEnter(run.grams(made.value))
    return
  }
  const kept = outcome.value === 'kept'
  const filledCount = kept && count.value ? Math.round(count.value) : 0
  const container = into.value === NONE ? null : into.value
  const shelf = containers.find(container ?? undefined)
  if (shelf && filledCount > shelf.left) {
    error.value = texts.onlyOfAreInStock(shelf.left, shelf.name)
    return
  }
  batch.enter(
    {
      type: 'finish',
      outcome: outcome.value,
      ...(filled.value === null ? {} : { filledGrams: filled.value }),
      ...(filledCount ? { containers: filledCount } : {}),
      ...(filledCount && container ? { container } : {}),
      ...(reason.value.trim() ? { reason: reason.value.trim() } : {}),
    },
    null,
  )
}
</script>

<template>
  <form class="card finish" @submit.prevent="finish">
    <h2>{{ texts.allStepsDone }}</h2>
    <p class="sum">
      <strong class="mono">{{ run.grams(made) }}</strong> {{ texts.made
      }}<template v-if="left > run.resolution.value">{{
        texts.waterLossNotReplaced(run.grams(left))
      }}</template
      >.
    </p>
    <template v-if="list.length">
      <h3>{{ texts.deviations }}</h3>
      <ul class="list">
        <li v-for="d in list" :key="d.n">{{ deviationText(d.said) }}</li>
      </ul>
    </template>
    <p v-else class="muted">{{ texts.everythingWentAsPlanned }}</p>
    <OneOf v-model="outcome" :options="OUTCOMES" :label="common.result" />
    <div v-if="outcome === 'kept'" class="fields">
      <NumberField
        v-model="filled"
        data-first
        :label="texts.totalFilled"
        unit="g"
        :placeholder="sayNumber(made, 0)"
        :what="common.theWeight"
      />
      <NumberField
        v-model="count"
        :label="common.containers"
        :max="10000"
        placeholder="0"
        :what="common.theNumber"
      />
      <ChoiceField
        v-if="containers.containers.length"
        v-model="into"
        :label="common.container"
        :options="choices"
      />
    </div>
    <TextField v-else :label="common.reason" v-model="reason" maxlength="1000" />
    <p v-if="error" class="error-text" role="alert">{{ error }}</p>
    <p v-for="step in run.state.value.plan.later" :key="step.key" class="later">
      <strong>{{ stepTitle(step) }}:</strong> {{ texts.addItToTheBatch(stepText(step).detail) }}
    </p>
    <p class="muted small">
      {{ texts.aFinishedBatchCannotBe }}
    </p>
    <Button type="submit" :label="texts.finishBatch" icon="pi pi-check" size="large" />
  </form>
</template>

<style scoped>
.finish {
  display: grid;
  justify-items: start;
  gap: 0.75rem;
  padding: 1.25rem;
}
h2 {
  font-size: var(--text-head-1);
}
.sum {
  font-size: var(--text-head-3);
}
.list {
  list-style: disc;
  padding-left: 1.25rem;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
}
.fields :deep(.field) {
  width: 11rem;
}
.finish :deep(button),
.finish :deep(input) {
  min-height: 48px;
}
.finish > :deep(.field) {
  width: min(100%, 32rem);
}
</style>
