<script setup lang="ts">
import { scoreRows, writeTrial } from '@omblet/core'
import Button from 'primevue/button'
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
const chips = computed(() => {
  const t = trial.value
  if (!t) return []
  const { people, rounds } = t.plan
  return [
    `${t.samples.length} samples, ${t.plan.what} varied`,
    `${people.length === 1 ? 'one person' : `${people.length} people`}, ${rounds === 1 ? 'one round' : `${rounds} rounds`}, blind`,
  ]
})
const csv = () => void downloadCsv(fileName(trial.value!.name, ''), scoreRows(trial.value!))
const asFile = () => download(fileName(trial.value!.name, '.omblet-trial.json'), writeTrial(trial.value!))
async function remove() {
  const undo = await trials.remove(props.id)
  if (!undo) return
  notify(toast, 'The trial lies in the bin for 30 days.', { label: 'Undo', run: () => void undo() })
  await router.push('/trials')
}
</script>

<template>
  <div class="page">
    <template v-if="trial">
      <header class="head">
        <RouterLink to="/trials" class="back" aria-label="All trials"
          ><i class="pi pi-arrow-left" aria-hidden="true"></i
        ></RouterLink>
        <h1>{{ trial.name }}</h1>
        <span v-for="c in chips" :key="c" class="chip">{{ c }}</span>
        <div class="right-side">
          <Button
            v-if="over"
            label="Scores as CSV"
            icon="pi pi-table"
            severity="secondary"
            outlined
            @click="csv"
          />
          <Button
            v-if="over"
            label="As a file"
            icon="pi pi-download"
            severity="secondary"
            outlined
            @click="asFile"
          />
          <Button
            icon="pi pi-trash"
            aria-label="Delete this trial"
            severity="secondary"
            outlined
            @click="remove"
          />
        </div>
      </header>
      <Notice v-if="trials.problem" kind="stop">{{ trials.problem }}</Notice>
      <template v-if="over">
        <ResultCard :trial="trial" />
        <div class="two">
          <FoundCard :trial="trial" />
          <DecideCard :trial="trial" />
        </div>
        <details class="made">
          <summary>How they were made</summary>
          <MakeCard :trial="trial" />
        </details>
      </template>
      <div v-else class="two">
        <MakeCard :trial="trial" />
        <SittingsCard :trial="trial" />
      </div>
    </template>
    <NotHere v-else-if="trials.ready" what="trial" why="" to="/trials" to-label="All trials" />
    <p v-else class="muted">Reading the trial…</p>
  </div>
</template>

<style scoped src="./trials.css"></style>
<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  align-items: start;
  gap: 0.875rem;
}
.chip {
  white-space: normal;
}
.made summary {
  min-height: 40px;
  color: var(--accent-ink);
  cursor: pointer;
}
@media (max-width: 960px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
