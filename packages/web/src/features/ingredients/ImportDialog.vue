<script setup lang="ts">
import { type ReadRow, type TableRead } from '@omblet/core'
import { useDropZone } from '@vueuse/core'
import { proxy, wrap } from 'comlink'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import VirtualScroller from 'primevue/virtualscroller'
import { useToast } from 'primevue/usetoast'
import { onBeforeUnmount, ref, shallowRef, useTemplateRef } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import { notify } from '../../components/notify'
import OneOf from '../../components/OneOf.vue'
import FileButton from '../../components/FileButton.vue'
import { explainStorage } from '../../storage/db'
import { useLots } from '../../stores/lots'
import { useMaterials } from '../../stores/materials'
import type { TableWorker } from '../../workers/table.worker'
import { useTableRows, type ShownRow } from './use-table-rows'

const open = defineModel<boolean>('open', { required: true })
const materials = useMaterials()
const toast = useToast()

const fileName = ref('')
const problem = ref<string | null>(null)
const progress = ref<{ done: number; total: number } | null>(null)
const storing = ref(false)
const read = shallowRef<TableRead | null>(null)
const show = ref<'all' | 'refused'>('all')
const zone = useTemplateRef<HTMLElement>('zone')
const { isOverDropZone: dragging } = useDropZone(zone, { onDrop: (dropped) => void take(dropped?.[0]) })
let worker: Worker | null = null

function stop() {
  worker?.terminate()
  worker = null
  progress.value = null
}
onBeforeUnmount(stop)

function begin() {
  stop()
  read.value = null
  problem.value = null
  fileName.value = ''
  show.value = 'all'
}

async function take(file: File | undefined) {
  if (!file) return
  begin()
  fileName.value = file.name
  progress.value = { done: 0, total: 0 }
  const mine = new Worker(new URL('../../workers/table.worker.ts', import.meta.url), { type: 'module' })
  worker = mine
  try {
    const onProgress = (done: number, total: number) => {
      if (worker === mine) progress.value = { done, total }
    }
    const result = await wrap<TableWorker>(mine).read(file, materials.own, useLots().lots, proxy(onProgress))
    if (worker !== mine) return
    if (result.error !== undefined) problem.value = result.error
    else {
      read.value = result.read
      if (result.read.rows.length === 0 && result.read.refused.length > 0) show.value = 'refused'
    }
  } catch {
    if (worker === mine) problem.value = `${file.name} could not be read. Save it again as .csv or .xlsx.`
  }
  if (worker === mine) stop()
}

const { of, toStore, what, word, rows, filters } = useTableRows(read, show)

async function store() {
  if (!read.value || toStore.value === 0) return
  storing.value = true
  try {
    const rowsOf = <T extends object>(all: ReadRow<T>[]) =>
      all.flatMap((r) => (r.status === 'same' ? [] : [{ was: r.was, next: r.item }]))
    const undo = await materials.takeIn({
      lots: read.value.kind === 'lots' ? rowsOf(read.value.rows) : [],
      materials: read.value.kind === 'materials' ? rowsOf(read.value.rows) : [],
      containers: [],
    })
    notify(toast, `${toStore.value} ${what.value} imported from ${fileName.value}.`, {
      label: 'Undo',
      run: () =>
        void undo().catch((error: unknown) => notify(toast, explainStorage(error), undefined, 'error')),
    })
    open.value = false
  } catch (error) {
    problem.value = explainStorage(error)
  }
  storing.value = false
}
</script>

<template>
  <PopUp v-model:visible="open" header="Import ingredients or lots" @show="begin" @hide="stop" width="52rem">
    <div class="stacked">
      <p v-if="!read" class="muted">
        A .csv or .xlsx file with column names in the first row. Lots: <em>material, left_grams</em> plus any
        of (pack_grams, price, supplier, batch, bought, opened, expires, analysis, note). Own ingredients:
        <em>name, inci</em> and functions, solubility, phase, usage_min, usage_max, ph_min, ph_max, parts. You
        see everything before it is saved.
      </p>
      <div v-if="!read && !progress" ref="zone" class="drop stacked closer" :class="{ over: dragging }">
        <FileButton
          main
          label="Choose a file"
          icon="pi pi-upload"
          accept=".csv,.tsv,.txt,.xlsx"
          testid="table-picker"
          @picked="take"
        />
        <span class="muted small">or drop it here</span>
      </div>
      <p v-if="problem" class="error-text" role="alert">{{ problem }}</p>
      <div v-if="progress" class="reading" role="status">
        <span
          >Reading {{ fileName
          }}<template v-if="progress.total">
            : {{ progress.done }} of {{ progress.total }} rows</template
          ></span
        >
        <progress :value="progress.total ? progress.done : undefined" :max="progress.total || 1"></progress>
        <PlainButton label="Stop" size="small" @click="begin" />
      </div>
      <template v-if="read">
        <p>
          <strong>{{ fileName }}</strong>: {{ of('new') }} new {{ word(of('new')) }}, {{ of('changes') }} that
          change yours, {{ of('same') }} the same, {{ read.refused.length }} refused.
        </p>
        <p v-if="read.ignored.length" class="muted small">Unknown columns: {{ read.ignored.join(', ') }}.</p>
        <OneOf v-model="show" :options="filters" size="small" label="Show rows" />
        <div class="rows" tabindex="0" role="region" aria-label="Rows of the file">
          <VirtualScroller v-if="rows.length" :items="rows" :item-size="46" class="scroller">
            <template #item="{ item }: { item: ShownRow }">
              <div class="row">
                <span class="mono muted small">{{ item.row }}</span>
                <FindingMark :severity="item.mark" :size="16" />
                <span class="word small">{{ item.word }}</span>
                <span class="name">{{ item.name }}</span>
                <span class="small detail" :title="item.detail">{{ item.detail }}</span>
              </div>
            </template>
          </VirtualScroller>
          <p v-else class="muted none">No row is refused.</p>
        </div>
      </template>
      <div class="buttons">
        <QuietButton v-if="read" label="Another file" @click="begin" />
        <span></span>
        <QuietButton label="Cancel" @click="open = false" />
        <Button
          v-if="read"
          :label="toStore === 0 ? 'Nothing to import' : `Import ${toStore} ${what}`"
          :disabled="toStore === 0 || storing"
          :loading="storing"
          @click="store"
        />
      </div>
    </div>
  </PopUp>
</template>

<style scoped>
em {
  font-style: normal;
  font-family: var(--mono);
  font-size: var(--text-note);
}
.drop {
  justify-items: center;
  padding: 2rem 1rem;
  border: 1.5px dashed var(--line-strong);
  border-radius: var(--round-xl);
}
.drop.over {
  background: var(--wash);
  border-color: var(--accent);
}
.reading {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.5rem 1rem;
  align-items: center;
}
.reading > span {
  grid-column: 1 / -1;
}
progress {
  width: 100%;
  accent-color: var(--accent);
}
.rows {
  height: min(46vh, 22rem);
  border: 1px solid var(--line);
  border-radius: var(--round-l);
  overflow: hidden;
}
.scroller {
  height: 100%;
  width: 100%;
}
.row {
  display: grid;
  grid-template-columns: 2.5rem 16px 4rem minmax(0, 11rem) minmax(0, 1fr);
  align-items: center;
  gap: 0.75rem;
  height: 46px;
  padding: 0 0.75rem;
  border-bottom: 1px solid var(--line);
}
.row > .mono {
  text-align: right;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.detail {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  overflow: hidden;
  line-height: 1.3;
}
.none {
  padding: 1rem;
}
.buttons {
  display: flex;
  gap: 0.5rem;
}
.buttons > span {
  flex: 1;
}
@media (max-width: 620px) {
  .row {
    grid-template-columns: 2.5rem 16px minmax(0, 1fr);
    row-gap: 0;
    align-content: center;
  }
  .row > :nth-child(-n + 2) {
    grid-row: 1 / span 2;
  }
  .word {
    display: none;
  }
  .name,
  .detail {
    grid-column: 3;
  }
  .detail {
    -webkit-line-clamp: 1;
    line-clamp: 1;
  }
}
</style>
