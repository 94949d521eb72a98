<script setup lang="ts">
import { common } from '#words/common'
import { recordPage as texts } from '#words/bench-record'
import { eventTable } from '@omblet/core/words'
import { headOf } from '@omblet/core'
import Button from 'primevue/button'
import UpLink from '../../../components/UpLink.vue'
import { PlainButton } from '../../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed, defineAsyncComponent, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { canShareFiles, downloadCsv, fileName, hand, share } from '../../../browser/download'
import NotHere from '../../../components/NotHere.vue'
import Notice from '../../../components/Notice.vue'
import { notify } from '../../../components/notify'
import MenuButton from '../../../components/MenuButton.vue'
import { photosOf } from '../../../storage/batches'
import { useOpenBatch } from '../../../composables/open-batch'
import { useBatches } from '../../../stores/batches'
import { useFiles } from '../../../stores/files'
import { useLots } from '../../../stores/lots'
import { STATUS_WORDS } from '../words'
import RecordBody from './RecordBody.vue'

const ProvedDialog = defineAsyncComponent(() => import('./ProvedDialog.vue'))
const CorrectionDialog = defineAsyncComponent(() => import('./CorrectionDialog.vue'))

const props = defineProps<{ id: string }>()
const batches = useBatches()
const lots = useLots()
const files = useFiles()
const router = useRouter()
const toast = useToast()

const photos = shallowRef<Record<string, string>>({})
function forget() {
  Object.values(photos.value).forEach((url) => URL.revokeObjectURL(url))
  photos.value = {}
}
const { batch, phase, refused } = useOpenBatch(() => props.id, {
  async opened(id) {
    forget()
    const kept = await photosOf(id).catch(() => [])
    photos.value = Object.fromEntries(kept.map((p) => [p.id, URL.createObjectURL(p.blob)]))
  },
})
onBeforeUnmount(forget)

const head = computed(() => (batch.info && batch.state ? headOf(batch.info, batch.state) : null))
const running = computed(() => head.value?.status === 'running' || head.value?.status === 'paused')
const dialog = ref<'proved' | 'correct' | null>(null)
const used = ref(false)
watch(dialog, (d) => d && (used.value = true))
const lotNames = computed(() =>
  Object.fromEntries(lots.lots.map((l) => [l.id, l.batch || l.supplier || common.unnumberedLot])),
)

async function file(how: (name: string, blob: Blob) => unknown) {
  const name = fileName(`${batch.info!.code} ${batch.info!.name}`, '.omblet-batch.json')
  const blob = await files.work(name, (worker) => worker.batchFile(props.id)).catch(() => null)
  if (blob) how(name, blob)
  else notify(toast, texts.theFileCouldNotBe, undefined, 'error')
}
const csv = () => downloadCsv(fileName(texts.readings(batch.info!.code), ''), eventTable(batch.state!))
const print = () => window.print()
async function remove() {
  batch.close()
  const undo = await batches.remove(props.id)
  await router.push('/bench')
  if (undo)
    notify(toast, texts.batchDeletedItStaysIn, {
      label: common.undo,
      run: () => void undo(),
    })
}
/** Label and cost stand with the formula and rest on this batch. */
const ofFormula = (leaf: 'label' | 'cost') =>
  batch.info!.formulaId
    ? router.push({ path: `/formulas/${batch.info!.formulaId}/${leaf}`, query: { batch: props.id } })
    : notify(toast, texts.theFormulaIsNotIn)
const items = [
  { label: common.label, icon: 'pi pi-tag', command: () => void ofFormula('label') },
  { label: common.cost, icon: 'pi pi-calculator', command: () => void ofFormula('cost') },
  { label: texts.allEntriesAsCsv, icon: 'pi pi-table', command: csv },
  { label: texts.batchAsAFile, icon: 'pi pi-file-export', command: () => void file(hand) },
  ...(canShareFiles()
    ? [
        {
          label: texts.shareTheFile,
          icon: 'pi pi-share-alt',
          command: () => void file((name, blob) => share(name, blob).catch(() => hand(name, blob))),
        },
      ]
    : []),
  { label: texts.deleteBatch, icon: 'pi pi-trash', command: () => void remove() },
]
</script>

<template>
  <div
    v-if="phase === 'here' && batch.state && head"
    class="record-page"
    :data-storing="batch.pending.length > 0 || undefined"
  >
    <Notice v-if="batch.held" kind="stop" class="told">
      {{ texts.theLastEntriesAreNot(batch.held.why) }}
      <template #actions><Button :label="common.tryAgain" size="small" @click="batch.pump()" /></template>
    </Notice>
    <header class="bench-head">
      <UpLink to="/bench" :label="common.allBatches" />
      <h1>{{ head.name }}</h1>
      <span class="chip mono">{{ head.code }}</span>
      <span class="chip" :class="head.status">{{ STATUS_WORDS[head.status] }}</span>
      <div class="right">
        <Button
          v-if="running"
          :label="common.resumeBatch"
          icon="pi pi-stopwatch"
          @click="router.push(`/bench/${id}`)"
        />
        <Button
          v-if="head.status === 'finished'"
          :label="head.watch ? common.stability : common.scheduleObservations"
          icon="pi pi-calendar-clock"
          :severity="head.watch ? 'secondary' : undefined"
          :outlined="head.watch !== undefined"
          @click="router.push(head.watch ? `/stability/${id}` : `/stability/${id}?plan=1`)"
        />
        <PlainButton
          v-if="!running"
          :label="common.addNote"
          icon="pi pi-pencil"
          @click="dialog = 'correct'"
        />
        <PlainButton
          v-if="!running && head.formulaId"
          :label="texts.nextVersion"
          icon="pi pi-bookmark"
          @click="dialog = 'proved'"
        />
        <Button
          :label="common.print"
          icon="pi pi-print"
          :outlined="running || !head.watch"
          :severity="running || !head.watch ? 'secondary' : undefined"
          @click="print"
        />
        <MenuButton :items="items" :more="common.moreForThisBatch" />
      </div>
    </header>
    <RecordBody :state="batch.state" :head="head" :photos="photos" :lots="lotNames" />
    <ProvedDialog
      v-if="used"
      :open="dialog === 'proved'"
      :state="batch.state"
      :head="head"
      @update:open="dialog = $event ? 'proved' : null"
    />
    <CorrectionDialog
      v-if="used"
      :open="dialog === 'correct'"
      @update:open="dialog = $event ? 'correct' : null"
    />
  </div>
  <NotHere
    v-else-if="phase === 'missing'"
    :what="common.batch2"
    :why="refused"
    to="/bench"
    :to-label="common.allBatches"
  />
</template>

<style scoped src="../head.css"></style>
<style scoped>
.record-page {
  padding-bottom: 3rem;
}
.discarded {
  color: var(--stop);
}
.told {
  margin: 0.75rem 1rem 0;
}
@media (max-width: 860px) {
  .right :deep(button) {
    min-height: 44px;
  }
}
@media print {
  .bench-head {
    position: static;
    padding: 0 0 6pt;
    min-height: 0;
    border-color: var(--print-ink);
  }
  .right {
    display: none;
  }
  .record-page {
    padding: 0;
  }
}
</style>
