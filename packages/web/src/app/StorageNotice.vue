<script setup lang="ts">
import { common } from '#words/common'
import { storageNotice as texts } from '#words/app'
import Button from 'primevue/button'
import { PlainButton } from '../components/buttons'
import { computed, defineAsyncComponent, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useToast } from 'primevue/usetoast'
import Notice from '../components/Notice.vue'
import { download, fileName } from '../browser/download'
import { whenIdle } from '../browser/idle'
import { notify } from '../components/notify'
import { useBin } from '../stores/bin'
import { useDrafts } from '../stores/drafts'
import { useFiles } from '../stores/files'
import { useLibrary } from '../stores/library'
import { useWaiting } from '../stores/waiting'
import { chunkLoadError, update } from './update'

/** What stands above every page: trouble with the store, what is not stored, work with files, a new version. */
const library = useLibrary()
const files = useFiles()
const laid = useDrafts()
const bench = useWaiting()
const bin = useBin()
const route = useRoute()
const reload = () => location.reload()
const AddressNotice = defineAsyncComponent(() => import('./AddressNotice.vue'))
/** The first view does not wait for it. */
const idle = ref(false)
onMounted(() => whenIdle(() => (idle.value = true)))
const toast = useToast()
/** More lines than this are counted. */
const SHOWN = 8
async function restoreRest() {
  if (!files.damaged) return
  const taken = await files.take(files.damaged.file, true)
  if ('message' in taken) notify(toast, taken.message)
  else if ('error' in taken) notify(toast, taken.error)
}

const waiting = computed(() =>
  [...laid.drafts].map(([id, d]) => ({ id, name: d.formula.name || common.unnamedFormula, why: d.state })),
)
const WHY = {
  failed: texts.isNotSavedYetOmblet,
  conflict: texts.wasAlsoChangedInAnother,
  gone: texts.wasDeletedInAnotherTab,
}
const HELD = {
  failed: texts.notSavedYetOmbletKeeps,
  conflict: texts.notSavedSomethingElseWas,
  gone: texts.notSavedTheBatchWas,
}
async function saveWaiting({ id, code }: { id: string; code: string }) {
  const text = await bench.asFile(id)
  if (text) download(fileName(code, '.omblet-batch.json'), text)
}
/** A new version never comes in the middle of a batch. */
const offer = computed(() => update.ready && !/^\/bench\/[^/]+$/.test(route.path))
</script>

<template>
  <div class="notices stacked closer">
    <Notice v-if="library.trouble === 'newer'" kind="stop">
      {{ texts.anotherTabRunsANewer }}
      <template #actions><Button :label="texts.reload" size="small" @click="reload" /></template>
    </Notice>
    <Notice v-else-if="library.storageProblem" kind="stop">{{ library.storageProblem }}</Notice>
    <Notice v-for="d in waiting" :key="d.id" kind="stop">
      {{ d.name }} {{ WHY[d.why] }}
      <template #actions>
        <RouterLink :to="`/formulas/${d.id}`">{{ texts.view }}</RouterLink>
      </template>
    </Notice>
    <Notice v-for="w in bench.list" :key="w.info.id" kind="stop">
      {{
        texts.fromTheBench(
          w.info.code,
          w.info.name,
          w.pending.length === 1 ? texts.n1Entry : texts.entries(w.pending.length),
          HELD[w.why],
        )
      }}
      <template #actions>
        <RouterLink :to="`/bench/${w.info.id}`">{{ texts.view }}</RouterLink>
        <PlainButton :label="common.saveAsAFile" size="small" @click="saveWaiting(w.info)" />
      </template>
    </Notice>
    <AddressNotice v-if="idle" />
    <Notice v-if="bin.refused" kind="stop">
      {{ texts.wasNotDeleted(bin.refused.name, bin.refused.why) }}
      <template v-if="bin.refused.forGood">
        {{ texts.deletingItPermanentlyFreesStorage }}
      </template>
      <template #actions>
        <PlainButton
          v-if="bin.refused.forGood"
          :label="texts.deletePermanently"
          size="small"
          @click="bin.refused.forGood()"
        />
        <PlainButton :label="texts.leaveIt" size="small" @click="bin.refused = null" />
      </template>
    </Notice>
    <Notice v-if="chunkLoadError" kind="stop">
      {{ texts.partOfOmbletCouldNot }}
      <template #actions>
        <Button :label="common.tryAgain" size="small" @click="chunkLoadError!.again()" />
        <PlainButton :label="texts.reload" size="small" @click="reload" />
      </template>
    </Notice>
    <Notice v-if="offer" kind="note">
      {{ texts.aNewVersionOfOmblet }}
      <template #actions>
        <Button :label="texts.apply" size="small" @click="update.use()" />
        <PlainButton :label="texts.later" size="small" @click="update.ready = false" />
      </template>
    </Notice>
    <Notice v-if="files.damaged" kind="stop">
      {{ texts.isIncompleteNothingHasBeen(files.damaged.file.name) }}
      <ul>
        <li v-for="(what, i) in files.damaged.lost.slice(0, SHOWN)" :key="i">{{ what }}</li>
        <li v-if="files.damaged.lost.length > SHOWN">{{ texts.more(files.damaged.lost.length - SHOWN) }}</li>
      </ul>
      {{ texts.anotherCopyOfTheBackup }}
      <template #actions>
        <Button :label="texts.restoreTheRest" size="small" @click="restoreRest" />
        <PlainButton :label="texts.leaveIt" size="small" @click="files.damaged = null" />
      </template>
    </Notice>
    <div v-if="files.busy" class="busy card" role="status">
      <span>{{ files.busy.what }}</span>
      <progress max="1" :value="files.busy.done" :aria-label="files.busy.what"></progress>
      <PlainButton :label="common.stop" size="small" @click="files.stop()" />
    </div>
  </div>
</template>

<style scoped>
.notices {
  padding: 0.75rem 1rem;
}
.notices:not(:has(> *)) {
  display: none;
}
.busy {
  display: grid;
  grid-template-columns: minmax(0, auto) minmax(6rem, 1fr) auto;
  align-items: center;
  gap: 0.75rem;
  padding: 0.5rem 0.875rem;
  overflow-wrap: anywhere;
  animation: late 0.2s 0.6s both;
}
progress {
  width: 100%;
  height: 10px;
  accent-color: var(--accent);
}
@keyframes late {
  from {
    opacity: 0;
  }
}
@media print {
  .notices {
    display: none;
  }
}
</style>
