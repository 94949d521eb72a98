<script setup lang="ts">
import { common } from '#words/common'
import { benchPage as texts } from '#words/bench'
import { headStepText } from '@omblet/core/words'
import { formatGrams, type BatchHead } from '@omblet/core'
import { format, formatDistanceToNow } from 'date-fns'
import Button from 'primevue/button'
import TitledCard from '../../components/TitledCard.vue'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import VirtualScroller from 'primevue/virtualscroller'
import { useToast } from 'primevue/usetoast'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { notAfter } from '../../browser/days'
import { download, fileName } from '../../browser/download'
import { whenIdle } from '../../browser/idle'
import Notice from '../../components/Notice.vue'
import { notify } from '../../components/notify'
import SearchField from '../../components/SearchField.vue'
import Choice from '../../components/Choice.vue'
import FileButton from '../../components/FileButton.vue'
import type { Orphan } from '../../storage/batches'
import { useBatches } from '../../stores/batches'
import { useFiles } from '../../stores/files'
import FirstBatch from './FirstBatch.vue'
import { STATUS_WORDS } from './words'

const batches = useBatches()
const files = useFiles()
const router = useRouter()
const toast = useToast()

onMounted(() => {
  document.title = texts.benchOmblet
  void batches.load().then(batches.loadOrphans)
  // The table is likely next: its code is fetched while the list is looked at.
  whenIdle(() => void import('./run/RunPage.vue'))
})

const words = ref('')
const which = ref<'all' | 'finished' | 'discarded'>('all')
const WHICH = [
  { value: 'all', label: common.allBatches },
  { value: 'finished', label: texts.kept },
  { value: 'discarded', label: texts.discarded },
]
const made = computed(() => batches.heads.filter((b) => b.status === 'finished' || b.status === 'discarded'))
const shown = computed(() => {
  const wanted = words.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return made.value.filter(
    (b) =>
      (which.value === 'all' || b.status === which.value) &&
      wanted.every((w) => `${b.code} ${b.name} ${b.who}`.toLowerCase().includes(w)),
  )
})
const day = (b: BatchHead) => format(new Date(b.startedAt), 'd MMM yyyy')
const grams = (g: number) => formatGrams(g, g >= 1000 ? 1 : 0.1)
const to = (b: BatchHead) =>
  b.status === 'finished' || b.status === 'discarded' ? `/bench/${b.id}/record` : `/bench/${b.id}`

/** What is left of a batch, as it is: other programs can read it, and nothing is lost by removing it here. */
const keepOrphan = (o: Orphan) =>
  download(fileName(texts.leftOver(o.head?.code ?? o.id), '.json'), JSON.stringify(o, null, 1))
async function removeOrphan(o: Orphan) {
  const undo = await batches.remove(o.id)
  if (undo)
    notify(toast, texts.removedItStaysInThe, {
      label: common.undo,
      run: () => void undo().then(batches.loadOrphans),
    })
}

const problem = ref<string | null>(null)
async function take(file: File) {
  const result = await files.take(file)
  problem.value = 'error' in result ? `${file.name}: ${result.error}` : null
  if ('message' in result) {
    const { to, message } = result
    notify(toast, message, to ? { label: common.open, run: () => void router.push(to) } : undefined)
  }
}
</script>

<template>
  <div class="page">
    <PageHead :title="texts.bench">
      <template #beside
        ><span v-if="batches.heads.length" class="muted small">{{
          batches.heads.length === 1 ? texts.n1Batch : texts.batches(batches.heads.length)
        }}</span></template
      >
      <FileButton
        :label="texts.importBatch"
        icon="pi pi-upload"
        accept=".json,.txt"
        testid="batch-picker"
        @picked="take"
      />
      <Button :label="texts.startABatch" icon="pi pi-play" @click="router.push('/bench/start')" />
    </PageHead>
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <Notice v-if="batches.problem" kind="stop">{{ batches.problem }}</Notice>

    <TitledCard :title="texts.orphanedEntries" :level="2" v-if="batches.orphans.length" class="orphans">
      <p class="muted">
        {{ texts.entriesOfBatchesThatWere }}
      </p>
      <ul>
        <li v-for="o in batches.orphans" :key="o.id">
          <span
            ><strong>{{ o.head ? o.head.code : texts.entriesWithoutABatch }}</strong
            >, {{ o.events.length === 1 ? texts.n1Entry : texts.entries(o.events.length)
            }}<template v-if="o.events[0]"
              >, {{ format(new Date(o.events[0].at), 'd MMM yyyy') }}</template
            ></span
          >
          <PlainButton :label="common.saveAsAFile" size="small" @click="keepOrphan(o)" />
          <PlainButton :label="common.remove" size="small" @click="removeOrphan(o)" />
        </li>
      </ul>
    </TitledCard>

    <section v-if="batches.running.length" aria-labelledby="table-title">
      <h2 id="table-title">{{ texts.inProgress }}</h2>
      <ul class="running">
        <li v-for="b in batches.running" :key="b.id">
          <RouterLink :to="to(b)" class="card one">
            <span class="name bold text-lead breaks">{{ b.name }}</span>
            <span class="mono code">{{ b.code }}</span>
            <span class="step wide">{{ headStepText(b) }}</span>
            <span class="muted small">{{
              texts.ofSteps(
                b.stepsDone,
                b.steps,
                grams(b.targetGrams),
                b.status === 'paused' ? texts.paused : texts.lastEntry,
                formatDistanceToNow(notAfter(b.lastAt), { addSuffix: true }),
              )
            }}</span>
            <span class="bar" aria-hidden="true"
              ><i :style="{ width: `${(100 * b.stepsDone) / Math.max(1, b.steps)}%` }"></i
            ></span>
            <span class="go">{{ b.status === 'paused' ? texts.resume : common.resumeBatch }}</span>
          </RouterLink>
        </li>
      </ul>
    </section>

    <section v-if="made.length" aria-labelledby="made-title">
      <div class="made-head abreast wraps spread">
        <h2 id="made-title">{{ texts.made }}</h2>
        <div class="filters" role="search">
          <SearchField v-model="words" :label="texts.searchBatches" :placeholder="texts.nameCodeOrMaker" />
          <Choice v-model="which" :options="WHICH" :label="texts.showBatches" />
        </div>
      </div>
      <div class="card table" role="table" :aria-label="texts.finishedBatches" :aria-rowcount="shown.length">
        <div class="row heads" role="row">
          <span role="columnheader">{{ texts.code }}</span>
          <span role="columnheader">{{ common.product }}</span>
          <span role="columnheader">{{ texts.started }}</span>
          <span role="columnheader" class="figure num">{{ texts.filled }}</span>
          <span role="columnheader">{{ common.by }}</span>
          <span role="columnheader">{{ common.state }}</span>
        </div>
        <VirtualScroller
          :items="shown"
          :item-size="44"
          :style="{ height: `${Math.min(shown.length * 44, 528)}px` }"
          :pt="{ content: { role: 'rowgroup' } }"
        >
          <template #item="{ item: b }: { item: BatchHead }">
            <div class="row" role="row">
              <span role="cell" class="mono"
                ><RouterLink :to="to(b)">{{ b.code }}</RouterLink></span
              >
              <span role="cell" class="cut">{{ b.name }}</span>
              <span role="cell">{{ day(b) }}</span>
              <span role="cell" class="mono figure num">{{
                b.filledGrams === null ? '–' : grams(b.filledGrams)
              }}</span>
              <span role="cell" class="muted cut">{{ b.who || '–' }}</span>
              <span role="cell" :class="['state', b.status]">{{ STATUS_WORDS[b.status] }}</span>
            </div>
          </template>
        </VirtualScroller>
        <p v-if="shown.length === 0" class="none muted">{{ texts.noBatchMatches }}</p>
      </div>
    </section>

    <FirstBatch v-if="batches.ready && batches.heads.length === 0 && !batches.problem" />
  </div>
</template>

<style scoped>
h2 {
  padding-bottom: 0.5rem;
}
.orphans ul {
  display: grid;
  gap: 0.5rem;
  padding-top: 0.5rem;
}
.orphans li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
.orphans li > span {
  margin-right: auto;
}
.running {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 24rem), 1fr));
  gap: 0.75rem;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.25rem 0.75rem;
  padding: 0.875rem 1rem;
  color: inherit;
  text-decoration: none;
}
.one:hover {
  border-color: var(--line-strong);
}
.code {
  color: var(--muted);
}
.bar {
  grid-column: 1 / -1;
  height: 6px;
  border-radius: var(--round-s);
  background: var(--track);
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--accent);
}
.go {
  align-self: end;
  color: var(--accent-ink);
  font-weight: 700;
}
.one > .muted {
  grid-column: 1;
}
.made-head {
  padding-bottom: 0.5rem;
}
.made-head h2 {
  padding: 0;
}
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.row {
  display: grid;
  grid-template-columns: 8.5rem minmax(8rem, 2fr) 7.5rem 6.5rem minmax(4rem, 1fr) 6rem;
  align-items: center;
  gap: 0.75rem;
  height: 44px;
  padding: 0 1rem;
  border-bottom: 1px solid var(--line);
}
.heads {
  height: 36px;
  color: var(--muted);
  font-size: var(--text-small);
}
.state.discarded {
  color: var(--stop);
}
.none {
  padding: 1rem;
}
@media (max-width: 860px) {
  .row {
    grid-template-columns: 7rem minmax(0, 1fr) 5.5rem;
  }
  .row > :nth-child(3),
  .row > :nth-child(5),
  .row > :nth-child(6) {
    display: none;
  }
}
</style>
