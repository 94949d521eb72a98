<script setup lang="ts">
import { common } from '#words/common'
import { importDialog as texts } from '#words/ingredients'
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
    if (worker === mine) problem.value = texts.couldNotBeReadSave(file.name)
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
    notify(toast, texts.importedFrom(toStore.value, what.value, fileName.value), {
      label: common.undo,
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
  <PopUp
    v-model:visible="open"
    :header="texts.importIngredientsOrLots"
    @show="begin"
    @hide="stop"
    width="52rem"
  >
    <div class="stacked">
      <p v-if="!read" class="muted">
        {{ texts.aCsvOrXlsxFile }} <em>{{ texts.materialLeftGrams }}</em> {{ texts.plusAnyOfPackGrams }}
        <em>{{ texts.nameInci }}</em> {{ texts.andFunctionsSolubilityPhase }}
      </p>
      <div v-if="!read && !progress" ref="zone" class="drop stacked closer" :class="{ over: dragging }">
        <FileButton
          main
          :label="common.chooseAFile"
          icon="pi pi-upload"
          accept=".csv,.tsv,.txt,.xlsx"
          testid="table-picker"
          @picked="take"
        />
        <span class="muted small">{{ texts.orDropItHere }}</span>
      </div>
      <p v-if="problem" class="error-text" role="alert">{{ problem }}</p>
      <div v-if="progress" class="reading" role="status">
        <span
          >{{ texts.reading(fileName)
          }}<template v-if="progress.total">
            {{ texts.ofRows(progress.done, progress.total) }}</template
          ></span
        >
        <progress :value="progress.total ? progress.done : undefined" :max="progress.total || 1"></progress>
        <PlainButton :label="common.stop" size="small" @click="begin" />
      </div>
      <template v-if="read">
        <p>
          <strong>{{ fileName }}</strong>{{
            texts.newThatChangeYoursThe(
              of('new'),
              word(of('new')),
              of('changes'),
              of('same'),
              read.refused.length,
            )
          }}
        </p>
        <p v-if="read.ignored.length" class="muted small">
          {{ texts.unknownColumns(read.ignored.join(', ')) }}
        </p>
        <OneOf v-model="show" :options="filters" size="small" :label="texts.showRows" />
        <div class="rows" tabindex="0" role="region" :aria-label="texts.rowsOfTheFile">
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
          <p v-else class="muted none">{{ texts.noRowIsRefused }}</p>
        </div>
      </template>
      <div class="buttons">
        <QuietButton v-if="read" :label="texts.anotherFile" @click="begin" />
        <span></span>
        <QuietButton :label="common.cancel" @click="open = false" />
        <Button
          v-if="read"
          :label="toStore === 0 ? texts.nothingToImport : texts.importWord(toStore, what)"
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
