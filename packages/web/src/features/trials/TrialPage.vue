<script setup lang="ts">
import { common } from '#words/common'
import { trialPage as texts } from '#words/trials'
import { reopened, reopensUntil, scoreRows, writeTrial } from '@omblet/core'
import { format } from 'date-fns'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed, onMounted, watch } from 'vue'
import { useRouter } from 'vue-router'
import { download, downloadCsv, fileName } from '../../browser/download'
import NotHere from '../../components/NotHere.vue'
import Notice from '../../components/Notice.vue'
import { notify } from '../../components/notify'
import { useTrials } from '../../stores/trials'
import DecideCard from './DecideCard.vue'
import FoundCard from './FoundCard.vue'
import MakeCard from './MakeCard.vue'
import ResultCard from './ResultCard.vue'
import SittingsCard from './SittingsCard.vue'

const props = defineProps<{ id: string }>()
const trials = useTrials()
const router = useRouter()
const toast = useToast()
onMounted(() => void trials.load())
const trial = computed(() => trials.find(props.id))
watch(
  () => trial.value?.name,
  (name) => (document.title = `${name ?? texts.trial} – Omblet`),
  { immediate: true },
)
const over = computed(() => trial.value?.plan.endedAt !== undefined)
/** The last day on which the end can be taken back; none where that is over, or it is decided. */
const until = computed(() => {
  const last = trial.value && reopensUntil(trial.value)
  return last && new Date() < new Date(last) ? format(new Date(last), texts.dMmmm) : null
})
const reopen = () => void trials.change(props.id, (here) => reopened(here, new Date().toISOString()) ?? here)
const chips = computed(() => {
  const t = trial.value
  if (!t) return []
  const { people, rounds } = t.plan
  return [
    texts.samplesVaried(t.samples.length, t.plan.what),
    texts.blind(
      people.length === 1 ? texts.oneAssessor : texts.assessors(people.length),
      rounds === 1 ? texts.oneReplicate : texts.replicates(rounds),
    ),
  ]
})
const csv = () => void downloadCsv(fileName(trial.value!.name, ''), scoreRows(trial.value!))
const asFile = () => download(fileName(trial.value!.name, '.omblet-trial.json'), writeTrial(trial.value!))
async function remove() {
  const undo = await trials.remove(props.id)
  if (!undo) return
  notify(toast, texts.trialDeletedItStaysIn, { label: common.undo, run: () => void undo() })
  await router.push('/trials')
}
</script>

<template>
  <div class="page">
    <template v-if="trial">
      <PageHead :title="trial.name" up="/trials" :up-label="common.allTrials"
        ><template #beside
          ><span v-for="c in chips" :key="c" class="chip">{{ c }}</span></template
        >
        <PlainButton v-if="over" :label="texts.scoresAsCsv" icon="pi pi-table" @click="csv" />
        <PlainButton v-if="over" :label="texts.asAFile" icon="pi pi-download" @click="asFile" />
        <PlainButton icon="pi pi-trash" :aria-label="texts.deleteTrial" @click="remove" />
      </PageHead>
      <Notice v-if="trials.problem" kind="stop">{{ trials.problem }}</Notice>
      <template v-if="over">
        <Notice v-if="until" kind="note">
          {{ texts.theTrialIsClosedAnd(until) }}
          <template #actions
            ><PlainButton :label="texts.reopenTrial" size="small" @click="reopen"
          /></template>
        </Notice>
        <ResultCard :trial="trial" />
        <div class="columns">
          <FoundCard :trial="trial" />
          <DecideCard :trial="trial" />
        </div>
        <details class="made">
          <summary>{{ common.samples }}</summary>
          <MakeCard :trial="trial" />
        </details>
      </template>
      <div v-else class="columns">
        <MakeCard :trial="trial" />
        <SittingsCard :trial="trial" />
      </div>
    </template>
    <NotHere v-else-if="trials.ready" :what="common.trial" why="" to="/trials" :to-label="common.allTrials" />
    <p v-else class="muted">{{ texts.loadingTheTrial }}</p>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1.3fr) minmax(0, 1fr);
}
.chip {
  white-space: normal;
}
.made summary {
  min-height: 40px;
  color: var(--accent-ink);
  cursor: pointer;
}
</style>
