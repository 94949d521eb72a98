<script setup lang="ts">
import { common } from '#words/common'
import { sittingsCard as texts } from '#words/trials'
import { ended, reopened, servingOf, standOfSittings, type PlannedTrial } from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../components/TitledCard.vue'
import { PlainButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { notify } from '../../components/notify'
import { useTrials } from '../../stores/trials'

/** Who has judged, and how far: never what they said, nor which code is which jar. */
const props = defineProps<{ trial: PlannedTrial }>()
const router = useRouter()
const trials = useTrials()
const toast = useToast()
const plan = computed(() => props.trial.plan)
const stands = computed(() => standOfSittings(props.trial))
const people = computed(() =>
  plan.value.people.map((p) => ({
    ...p,
    rounds: stands.value.filter((s) => s.sitting.person === p.id),
  })),
)
const all = computed(() => stands.value.every((s) => s.done === s.of))
const any = computed(() => stands.value.some((s) => s.done > 0))
const words = (s: { done: number; of: number }) =>
  s.done === 0 ? texts.open : s.done === s.of ? texts.done : texts.doneOf(s.done, s.of)
const serving = computed(() => servingOf(plan.value.product.hair))
async function end() {
  const { id } = plan.value
  const early = !all.value
  if (!(await trials.change(id, (here) => ended(here, new Date().toISOString())))) return
  const said = early ? texts.closedBeforeAllAssessmentsWere : texts.theCodesAreOpen
  const back = () => void trials.change(id, (here) => reopened(here, new Date().toISOString()) ?? here)
  notify(toast, said, { label: common.undo, run: back })
}
const seen = computed(() => plan.value.seen ?? [])
</script>

<template>
  <TitledCard :title="texts.assessments" :level="2">
    <p class="small">{{ texts.each(serving.before, serving.amount, serving.how) }}</p>
    <table>
      <caption class="hidden-text">
        {{
          texts.sessionsAndProgress
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ texts.who }}</th>
          <th v-for="n in plan.rounds" :key="n" scope="col">
            {{ plan.rounds === 1 ? texts.sitting : texts.round(n) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in people" :key="p.id">
          <th scope="row">{{ p.name }}</th>
          <td v-for="(s, i) in p.rounds" :key="i" :class="{ done: s.done === s.of }">{{ words(s) }}</td>
        </tr>
      </tbody>
    </table>
    <div class="abreast wraps">
      <Button
        v-if="!all"
        :label="texts.assessOnThisDevice"
        icon="pi pi-play"
        @click="router.push(`/trials/${plan.id}/judge`)"
      />
      <PlainButton
        :label="texts.sampleCodes"
        icon="pi pi-tag"
        @click="router.push(`/trials/${plan.id}/paper?what=codes`)"
      />
      <PlainButton
        :label="texts.paperSheets"
        icon="pi pi-print"
        @click="router.push(`/trials/${plan.id}/paper?what=sheets`)"
      />
    </div>
    <p v-if="seen.length" class="small">
      {{ texts.theCodesWereOpenFor }}
    </p>
    <p class="muted small">
      {{ texts.onlyThePersonWhoLabels }}
    </p>
    <div class="dialog-buttons">
      <Button
        :label="all ? texts.unblindAndShowResult : texts.closeTrial"
        :icon="all ? 'pi pi-lock-open' : undefined"
        :severity="all ? undefined : 'secondary'"
        :outlined="!all"
        :disabled="!any"
        @click="end"
      />
    </div>
  </TitledCard>
</template>

<style scoped>
.done {
  color: var(--fine);
  font-weight: 600;
}
</style>
