<script setup lang="ts">
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import Select from 'primevue/select'
import { useToast } from 'primevue/usetoast'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { download, fileName, hand } from '../../browser/download'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import SearchField from '../../components/SearchField.vue'
import { notify } from '../../components/notify'
import { kindOptions } from '../../components/words'
import type { FormulaRecord } from '../../storage/schema'
import { useCards } from '../../stores/cards'
import { useFiles } from '../../stores/files'
import { useLibrary } from '../../stores/library'
import CardGrid from './CardGrid.vue'
import FormulaCard from './FormulaCard.vue'

const BriefDialog = defineAsyncComponent(() => import('./BriefDialog.vue'))
const library = useLibrary()
const cards = useCards()
void cards.learnWords()
const files = useFiles()
const router = useRouter()
const toast = useToast()

const words = ref('')
const kind = ref<string | null>(null)
const state = ref<string | null>(null)
const briefOpen = ref(false)
/** Fetched when it is first asked for. */
const briefUsed = ref(false)
watch(briefOpen, (open) => open && (briefUsed.value = true))
const chosen = ref<string[]>([])
const dragging = ref(false)
const problems = ref<string[]>([])
const picker = ref<HTMLInputElement>()

const ways = ref<InstanceType<typeof Menu>>()
const go = (path: string) => () => void router.push(path)
const WAYS = [
  { label: 'A brief', icon: 'pi pi-compass', command: go('/start/brief') },
  { label: 'A recipe from elsewhere', icon: 'pi pi-clipboard', command: go('/start/recipe') },
  { label: 'An ingredient list', icon: 'pi pi-list', command: go('/start/label') },
]

const kinds = [{ value: null, label: 'Every kind' }, ...kindOptions]
const states = [
  { value: null, label: 'Any state' },
  { value: 'stop', label: 'With a stop' },
  { value: 'check', label: 'With a check' },
  { value: 'clean', label: 'No stops or checks' },
]

const shown = computed(() => {
  const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return library.records.filter((r) => {
    if (kind.value && r.formula.product.kind !== kind.value) return false
    if (state.value !== null) {
      const counts = cards.isJudged(r) ? cards.countsOf(r) : null
      if (!counts) return false
      if (state.value === 'stop' && counts.stop === 0) return false
      if (state.value === 'check' && counts.check === 0) return false
      if (state.value === 'clean' && counts.stop + counts.check > 0) return false
    }
    return wanted.length === 0 || wanted.every((word) => cards.wordsOf(r).includes(word))
  })
})
/** A state can be asked for only of what was judged. */
watch([state, () => library.records], () => state.value !== null && cards.judgeAll())
const filtered = computed(() => words.value !== '' || kind.value !== null || state.value !== null)

function clearFilters() {
  words.value = ''
  kind.value = null
  state.value = null
}

async function duplicateOne(record: FormulaRecord) {
  const id = await library.copy(record)
  notify(toast, 'Duplicated.', { label: 'Open', run: () => void router.push(`/formulas/${id}`) })
}

async function removeSome(ids: string[], text: string) {
  const undo = await library.remove(ids)
  chosen.value = chosen.value.filter((id) => !ids.includes(id))
  if (undo) notify(toast, `${text} In the bin for 30 days.`, { label: 'Undo', run: () => void undo() })
}

async function exportOne({ formula }: FormulaRecord): Promise<boolean> {
  const text = await cards.exportText(formula)
  if (text !== null) download(fileName(formula.name, '.omblet.json'), text)
  else problems.value = ['The export was not made.']
  return text !== null
}

/** All cards share one menu. */
const cardMenu = ref<InstanceType<typeof Menu>>()
const cardItems = ref<MenuItem[]>([])
function openMenu(event: Event, record: FormulaRecord) {
  const name = (record.formula.name || 'Unnamed formula').slice(0, 60)
  cardItems.value = [
    { label: 'Duplicate', icon: 'pi pi-copy', command: () => void duplicateOne(record) },
    { label: 'Export', icon: 'pi pi-file-export', command: () => void exportOne(record) },
    { label: 'Delete', icon: 'pi pi-trash', command: () => void removeSome([record.id], `${name} deleted.`) },
  ]
  cardMenu.value?.toggle(event)
}

async function exportChosen() {
  const ids = chosen.value
  const one = ids.length === 1 && library.records.find((r) => r.id === ids[0])
  if (one) {
    if (!(await exportOne(one))) return
  } else {
    const at = new Date().toISOString()
    const saved = await files.work('The export', (worker, progress) => worker.saveBackup(at, { ids: [...ids] }, progress)).catch(() => null) // prettier-ignore
    if (!saved) {
      problems.value = ['The export was not made.']
      return
    }
    hand('omblet-formulas.json', saved.blob)
  }
  notify(toast, `${ids.length} exported to your downloads.`)
}

async function take(list: FileList | readonly File[] | null | undefined) {
  problems.value = []
  const told: string[] = []
  let last: string | undefined
  for (const file of list ?? []) {
    const result = await files.take(file)
    if ('error' in result) problems.value.push(`${file.name}: ${result.error}`)
    else {
      told.push(result.message)
      last = result.to
    }
  }
  if (told.length > 0) {
    const to = last
    notify(
      toast,
      told.length === 1 ? told[0]! : `${told.length} files imported.`,
      to ? { label: 'Open', run: () => void router.push(to) } : undefined,
    )
  }
}
/** Files that the system hands to the installed application. */
interface LaunchQueue {
  setConsumer: (consumer: (params: { files: { getFile: () => Promise<File> }[] }) => void) => void
}
;(window as Window & { launchQueue?: LaunchQueue }).launchQueue?.setConsumer(async ({ files: handles }) => {
  await take(await Promise.all(handles.map((h) => h.getFile())))
})

async function onPick(event: Event) {
  const input = event.target as HTMLInputElement
  await take(input.files)
  input.value = ''
}

function onDrop(event: DragEvent) {
  dragging.value = false
  void take(event.dataTransfer?.files)
}

const toggle = (id: string, on: boolean) => {
  chosen.value = on ? [...chosen.value, id] : chosen.value.filter((other) => other !== id)
}
</script>

<template>
  <div
    class="page"
    :class="{ dragging }"
    @dragover.prevent="dragging = true"
    @dragleave.self="dragging = false"
    @drop.prevent="onDrop"
  >
    <header class="head">
      <h1>Formulas</h1>
      <div class="tools">
        <Button
          label="Open a file"
          icon="pi pi-folder-open"
          severity="secondary"
          outlined
          @click="picker?.click()"
        />
        <Button
          label="Start from…"
          icon="pi pi-directions"
          severity="secondary"
          outlined
          aria-haspopup="menu"
          @click="ways?.toggle($event)"
        />
        <Menu ref="ways" :model="WAYS" popup />
        <Menu ref="cardMenu" :model="cardItems" popup />
        <Button label="New formula" icon="pi pi-plus" @click="briefOpen = true" />
        <input
          ref="picker"
          type="file"
          accept=".json,.zip,.txt,application/json"
          multiple
          hidden
          data-testid="file-picker"
          @change="onPick"
        />
      </div>
    </header>

    <div class="notices">
      <Notice v-for="problem in problems" :key="problem" kind="stop">
        {{ problem }}{{ / not imported\.$/.test(problem) ? '' : ' Nothing was changed.' }}
        <template #actions
          ><Button
            label="Close"
            size="small"
            severity="secondary"
            outlined
            @click="problems = problems.filter((p) => p !== problem)"
        /></template>
      </Notice>
      <Notice v-if="files.report" kind="check">
        {{ files.report.message }}
        <details v-for="part in files.report.details" :key="part.title">
          <summary>{{ part.title }} ({{ part.items.length }})</summary>
          <ul class="report">
            <li v-for="(item, i) in part.items" :key="i">{{ item }}</li>
          </ul>
        </details>
        <template #actions
          ><Button label="Close" size="small" severity="secondary" outlined @click="files.report = null"
        /></template>
      </Notice>
      <Notice v-if="library.hasDemo" kind="note">
        These are examples from a small harbour town. Change or copy them, or clear them away.
        <template #actions>
          <Button
            label="Remove the examples"
            size="small"
            severity="secondary"
            outlined
            @click="
              removeSome(
                library.records.filter((r) => r.demo).map((r) => r.id),
                'Examples removed.',
              )
            "
          />
        </template>
      </Notice>
    </div>

    <div v-if="library.records.length > 0" class="filters" role="search">
      <SearchField v-model="words" label="Search formulas" placeholder="Name, material or active" />
      <Select
        v-model="kind"
        :options="kinds"
        option-label="label"
        option-value="value"
        placeholder="Every kind"
        aria-label="Kind of product"
      />
      <Select
        v-model="state"
        :options="states"
        option-label="label"
        option-value="value"
        placeholder="Any state"
        aria-label="State"
      />
      <span class="muted small count" aria-live="polite"
        >{{ shown.length }} of {{ library.records.length
        }}<template v-if="state !== null && cards.judged < library.records.length"
          >, {{ cards.judged }} judged</template
        ></span
      >
    </div>

    <div v-if="chosen.length > 0" class="chosen card" role="region" aria-label="Chosen formulas">
      <span>{{ chosen.length }} chosen</span>
      <Button
        label="Export"
        icon="pi pi-file-export"
        size="small"
        severity="secondary"
        outlined
        @click="exportChosen"
      />
      <Button
        label="Delete"
        icon="pi pi-trash"
        size="small"
        severity="secondary"
        outlined
        @click="removeSome(chosen, `${chosen.length} deleted.`)"
      />
      <Button label="Choose none" size="small" text @click="chosen = []" />
    </div>

    <CardGrid v-if="shown.length > 0" v-slot="{ record }" :records="shown">
      <FormulaCard
        :record="record"
        :chosen="chosen.includes(record.id)"
        @choose="toggle(record.id, $event)"
        @menu="openMenu($event, record)"
      />
    </CardGrid>

    <NothingYet v-else-if="filtered">
      <p>
        {{
          state !== null && cards.judged < library.records.length
            ? 'Judging your formulas…'
            : 'No formula matches.'
        }}
      </p>
      <template #actions>
        <Button label="Show all" severity="secondary" outlined @click="clearFilters" />
      </template>
    </NothingYet>

    <NothingYet v-else>
      <template #picture>
        <svg viewBox="0 0 80 96" width="72" height="86" aria-hidden="true">
          <rect
            x="16"
            y="4"
            width="48"
            height="14"
            rx="4"
            fill="none"
            stroke="currentColor"
            stroke-width="3"
          />
          <path
            d="M8 24h64v52a14 14 0 0 1-14 14H22A14 14 0 0 1 8 76z"
            fill="none"
            stroke="currentColor"
            stroke-width="3"
          />
          <path d="M10 56h60v20a12 12 0 0 1-12 12H22a12 12 0 0 1-12-12z" fill="var(--band)" />
        </svg>
      </template>
      <p>The shelf is empty. Start a formula, or drop a file here.</p>
      <template #actions>
        <Button label="New formula" icon="pi pi-plus" @click="briefOpen = true" />
        <Button
          label="Start from a brief"
          severity="secondary"
          outlined
          @click="router.push('/start/brief')"
        />
        <Button label="Bring the examples" severity="secondary" outlined @click="library.loadDemo()" />
      </template>
    </NothingYet>

    <div v-if="dragging" class="drop" aria-hidden="true">Drop formula files or a backup</div>
    <BriefDialog v-if="briefUsed" v-model:open="briefOpen" />
  </div>
</template>

<style scoped>
.page {
  position: relative;
  min-height: 100%;
  padding: 1rem 1.25rem 3rem;
  max-width: 1360px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.75rem;
  padding-bottom: 0.875rem;
}
h1 {
  font-size: var(--text-head-1);
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.notices {
  display: grid;
  gap: 0.5rem;
  padding-bottom: 0.875rem;
}
.notices:empty {
  display: none;
}
.filters {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  padding-bottom: 0.875rem;
}
.count {
  margin-left: auto;
}
.chosen {
  position: sticky;
  top: 0.5rem;
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
  margin-bottom: 0.875rem;
  padding: 0.5rem 0.875rem;
}
.report {
  padding: 0.25rem 0 0.25rem 1.25rem;
  list-style: disc;
  max-height: 12rem;
  overflow: auto;
  overflow-wrap: anywhere;
}
.drop {
  position: fixed;
  inset: 1rem;
  z-index: 5;
  display: grid;
  place-items: center;
  border: 3px dashed var(--accent);
  border-radius: var(--round-xl);
  background: color-mix(in srgb, var(--paper) 88%, transparent);
  font-size: var(--text-head-2);
  pointer-events: none;
}
</style>
