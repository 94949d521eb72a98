<script setup lang="ts">
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
  [...laid.drafts].map(([id, d]) => ({ id, name: d.formula.name || 'Unnamed formula', why: d.state })),
)
const WHY = {
  failed: 'is not saved yet. Omblet keeps trying.',
  conflict: 'was also changed in another tab. Choose which version to keep.',
  gone: 'was deleted in another tab. Your changes are not saved.',
}
const HELD = {
  failed: 'not saved yet. Omblet keeps trying.',
  conflict: 'not saved: something else was entered in another tab. Check before you continue.',
  gone: 'not saved: the batch was deleted. It stays in the bin for 30 days.',
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
      Another tab runs a newer version of Omblet. Nothing is lost; reload this page to continue.
      <template #actions><Button label="Reload" size="small" @click="reload" /></template>
    </Notice>
    <Notice v-else-if="library.storageProblem" kind="stop">{{ library.storageProblem }}</Notice>
    <Notice v-for="d in waiting" :key="d.id" kind="stop">
      {{ d.name }} {{ WHY[d.why] }}
      <template #actions>
        <RouterLink :to="`/formulas/${d.id}`">View</RouterLink>
      </template>
    </Notice>
    <Notice v-for="w in bench.list" :key="w.info.id" kind="stop">
      {{ w.info.code }}, {{ w.info.name }}:
      {{ w.pending.length === 1 ? '1 entry' : `${w.pending.length} entries` }} from the Bench
      {{ HELD[w.why] }}
      <template #actions>
        <RouterLink :to="`/bench/${w.info.id}`">View</RouterLink>
        <PlainButton label="Save as a file" size="small" @click="saveWaiting(w.info)" />
      </template>
    </Notice>
    <AddressNotice v-if="idle" />
    <Notice v-if="bin.refused" kind="stop">
      {{ bin.refused.name }} was not deleted: {{ bin.refused.why }}
      <template v-if="bin.refused.forGood">
        Deleting it permanently frees storage and cannot be undone.
      </template>
      <template #actions>
        <PlainButton
          v-if="bin.refused.forGood"
          label="Delete permanently"
          size="small"
          @click="bin.refused.forGood()"
        />
        <PlainButton label="Leave it" size="small" @click="bin.refused = null" />
      </template>
    </Notice>
    <Notice v-if="chunkLoadError" kind="stop">
      Part of Omblet could not be loaded. The server does not answer, or it has a newer version.
      <template #actions>
        <Button label="Try again" size="small" @click="chunkLoadError!.again()" />
        <PlainButton label="Reload" size="small" @click="reload" />
      </template>
    </Notice>
    <Notice v-if="offer" kind="note">
      A new version of Omblet is available. It is used from the next start, or now.
      <template #actions>
        <Button label="Apply" size="small" @click="update.use()" />
        <PlainButton label="Later" size="small" @click="update.ready = false" />
      </template>
    </Notice>
    <Notice v-if="files.damaged" kind="stop">
      {{ files.damaged.file.name }} is incomplete. Nothing has been restored yet. Missing or damaged:
      <ul>
        <li v-for="(what, i) in files.damaged.lost.slice(0, SHOWN)" :key="i">{{ what }}</li>
        <li v-if="files.damaged.lost.length > SHOWN">{{ files.damaged.lost.length - SHOWN }} more.</li>
      </ul>
      Another copy of the backup may contain them.
      <template #actions>
        <Button label="Restore the rest" size="small" @click="restoreRest" />
        <PlainButton label="Leave it" size="small" @click="files.damaged = null" />
      </template>
    </Notice>
    <div v-if="files.busy" class="busy card" role="status">
      <span>{{ files.busy.what }}</span>
      <progress max="1" :value="files.busy.done" :aria-label="files.busy.what"></progress>
      <PlainButton label="Stop" size="small" @click="files.stop()" />
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
