<script setup lang="ts">
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
  (name) => (document.title = `${name ?? 'Trial'} – Omblet`),
  { immediate: true },
)
const over = computed(() => trial.value?.plan.endedAt !== undefined)
/** The last day on which the end can be taken back; none where that is over, or it is decided. */
const until = computed(() => {
  const last = trial.value && reopensUntil(trial.value)
  return last && new Date() < new Date(last) ? format(new Date(last), 'd MMMM') : null
})
const reopen = () => void trials.change(props.id, (here) => reopened(here, new Date().toISOString()) ?? here)
const chips = computed(() => {
  const t = trial.value
  if (!t) return []
  const { people, rounds } = t.plan
  return [
    `${t.samples.length} samples, ${t.plan.what} varied`,
    `${people.length === 1 ? 'one assessor' : `${people.length} assessors`}, ${rounds === 1 ? 'one replicate' : `${rounds} replicates`}, blind`,
  ]
})
const csv = () => void downloadCsv(fileName(trial.value!.name, ''), scoreRows(trial.value!))
const asFile = () => download(fileName(trial.value!.name, '.omblet-trial.json'), writeTrial(trial.value!))
async function remove() {
  const undo = await trials.remove(props.id)
  if (!undo) return
  notify(toast, 'Trial deleted. It stays in the bin for 30 days.', { label: 'Undo', run: () => void undo() })
  await router.push('/trials')
}
</script>

<template>
  <div class="page">
    <template v-if="trial">
      <PageHead :title="trial.name" up="/trials" up-label="All trials"
        ><template #beside
          ><span v-for="c in chips" :key="c" class="chip">{{ c }}</span></template
        >
        <PlainButton v-if="over" label="Scores as CSV" icon="pi pi-table" @click="csv" />
        <PlainButton v-if="over" label="As a file" icon="pi pi-download" @click="asFile" />
        <PlainButton icon="pi pi-trash" aria-label="Delete trial" @click="remove" />
      </PageHead>
      <Notice v-if="trials.problem" kind="stop">{{ trials.problem }}</Notice>
      <template v-if="over">
        <Notice v-if="until" kind="note">
          The trial is closed and its codes are open. Until {{ until }} it can be reopened.
          <template #actions><PlainButton label="Reopen trial" size="small" @click="reopen" /></template>
        </Notice>
        <ResultCard :trial="trial" />
        <div class="columns">
          <FoundCard :trial="trial" />
          <DecideCard :trial="trial" />
        </div>
        <details class="made">
          <summary>Samples</summary>
          <MakeCard :trial="trial" />
        </details>
      </template>
      <div v-else class="columns">
        <MakeCard :trial="trial" />
        <SittingsCard :trial="trial" />
      </div>
    </template>
    <NotHere v-else-if="trials.ready" what="trial" why="" to="/trials" to-label="All trials" />
    <p v-else class="muted">Loading the trial…</p>
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
