<script setup lang="ts">
import { waterPanel as texts } from '#words/bench-weighing'
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
      {{ texts.theBatchShouldWeigh }}
      <strong class="mono" data-testid="expected">{{ run.grams(massOf(s)) }}</strong>
      {{ texts.nowWithWhatIsStill(run.grams(s.totalTarget)) }}
    </p>
    <MassForm when="batch" :vessel="vessel" :label="texts.theBatchWithItsBeaker" />
    <template v-if="measured">
      <p role="status">
        {{
          texts.weightSoLostToEvaporation(
            run.grams(measured.grams),
            run.grams(Math.max(0, measured.expected! - measured.grams)),
          )
        }}
      </p>
      <p v-if="charged > run.resolution.value / 2" class="muted">
        {{ texts.ofItNeedNotBe(run.grams(charged))
        }}<template v-if="looseDoses(s) > 0"> {{ texts.asPhAdjusterAndOver }}</template
        >.
      </p>
      <Notice v-if="inverse && wanted > run.resolution.value" kind="check">{{
        texts.waterCannotSimplyBeStirred
      }}</Notice>
      <PutBack :wanted="wanted" />
    </template>
    <p v-else class="muted">
      {{ texts.withoutWeighingItOfA(covered ? texts.n03To1 : texts.n2To4) }}
    </p>
    <Entries :types="['mass', 'water']" />
  </div>
</template>

<style scoped>
.sum {
  font-size: var(--text-head-3);
}
</style>
