<script setup lang="ts">
import { looseDoses, massOf, waterToAdd } from '@omblet/core'
import { computed } from 'vue'
import Notice from '../../../components/Notice.vue'
import Entries from './Entries.vue'
import MassForm from './MassForm.vue'
import PutBack from './PutBack.vue'
import { useRun } from './run'

const run = useRun()
const s = computed(() => run.state.value)
const measured = computed(() => s.value.masses.filter((m) => m.when === 'batch').at(-1))
const wanted = computed(() => waterToAdd(s.value))
const left = computed(() => s.value.evaporated - s.value.putBack)
const charged = computed(() => Math.max(0, left.value - wanted.value))
/** The beaker of this step, in which everything ended up. */
const vessel = computed(() => {
  const { steps, at } = { ...s.value.plan, at: s.value.at }
  return steps[at]?.vessel || steps.find((x) => x.kind === 'fill')?.vessel || 'A'
})
const inverse = computed(() => s.value.plan.a.emulsion?.type === 'water-in-oil')
const covered = computed(() => s.value.plan.formula.method?.choices?.evaporation !== 'weigh')
</script>

<template>
  <div class="stacked">
    <p class="sum">
      The batch should weigh
      <strong class="mono" data-testid="expected">{{ run.grams(massOf(s)) }}</strong> now, with what is still
      to come {{ run.grams(s.totalTarget) }}.
    </p>
    <MassForm when="batch" :vessel="vessel" label="The batch with its beaker" />
    <template v-if="measured">
      <p role="status">
        Weight {{ run.grams(measured.grams) }}, so
        {{ run.grams(Math.max(0, measured.expected! - measured.grams)) }}
        lost to evaporation or transfer.
      </p>
      <p v-if="charged > run.resolution.value / 2" class="muted">
        {{ run.grams(charged) }} of it need not be replaced: that much more than planned was added<template
          v-if="looseDoses(s) > 0"
        >
          as pH adjuster and over-pours</template
        >.
      </p>
      <Notice v-if="inverse && wanted > run.resolution.value" kind="check"
        >Water cannot simply be stirred into a W/O emulsion. Warm a little of the batch and blend the water in
        drop by drop, or accept the loss and record it.</Notice
      >
      <PutBack :wanted="wanted" />
    </template>
    <p v-else class="muted">
      Without weighing it, {{ covered ? '0.3 to 1 %' : '2 to 4 %' }} of a heated water phase has probably
      evaporated (estimate). The record then says “not measured”.
    </p>
    <Entries :types="['mass', 'water']" />
  </div>
</template>

<style scoped>
.sum {
  font-size: var(--text-head-3);
}
</style>
