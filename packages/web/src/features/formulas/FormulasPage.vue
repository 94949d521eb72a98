<script setup lang="ts">
import { common } from '#words/common'
import { formulasPage as texts } from '#words/formulas'
import Button from 'primevue/button'
import PageHead from '../../components/PageHead.vue'
import { PlainButton } from '../../components/buttons'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { useToast } from 'primevue/usetoast'
import { defineAsyncComponent, ref, shallowRef, watch, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { download, fileName } from '../../browser/download'
import NothingYet from '../../components/NothingYet.vue'
import Notice from '../../components/Notice.vue'
import SearchField from '../../components/SearchField.vue'
import { notify } from '../../components/notify'
import MenuButton from '../../components/MenuButton.vue'
import Choice from '../../components/Choice.vue'
import FileButton from '../../components/FileButton.vue'
import type { FormulaRecord } from '../../storage/schema'
import { useCards } from '../../stores/cards'
import { useFiles } from '../../stores/files'
import { useLibrary } from '../../stores/library'
import CardGrid from './CardGrid.vue'
import EmptyJar from './EmptyJar.vue'
import { useFound } from './use-found'
import { useTaking } from './use-taking'
import type { MadeExport } from './export'
import FormulaCard from './FormulaCard.vue'

const BriefDialog = defineAsyncComponent(() => import('./BriefDialog.vue'))
const ExportDialog = defineAsyncComponent(() => import('./ExportDialog.vue'))
const library = useLibrary()
const cards = useCards()
void cards.learnWords()
const files = useFiles()
const router = useRouter()
const toast = useToast()

const briefOpen = ref(false)
/** Fetched when it is first asked for. */
const briefUsed = ref(false)
watch(briefOpen, (open) => open && (briefUsed.value = true))
const chosen = ref<string[]>([])
const page = useTemplateRef<HTMLElement>('page')
const { problems, dragging, take } = useTaking(page)

const go = (path: string) => () => void router.push(path)
const WAYS = [
  { label: texts.brief, icon: 'pi pi-compass', command: go('/start/brief') },
  { label: texts.recipe, icon: 'pi pi-clipboard', command: go('/start/recipe') },
  { label: texts.ingredientList, icon: 'pi pi-list', command: go('/start/label') },
]

const { words, kind, state, kinds, states, shown, filtered, judging, clearFilters } = useFound()

async function duplicateOne(record: FormulaRecord) {
  const id = await library.copy(record)
  notify(toast, texts.duplicated, { label: common.open, run: () => void router.push(`/formulas/${id}`) })
}

async function removeSome(ids: string[], text: string) {
  const undo = await library.remove(ids)
  chosen.value = chosen.value.filter((id) => !ids.includes(id))
  if (undo) notify(toast, texts.inTheBinFor30(text), { label: common.undo, run: () => void undo() })
}

async function exportOne({ formula }: FormulaRecord): Promise<boolean> {
  const text = await cards.exportText(formula)
  if (text !== null) download(fileName(formula.name, '.omblet.json'), text)
  else problems.value = [texts.exportFailed]
  return text !== null
}

/** All cards share one menu. */
const cardMenu = ref<InstanceType<typeof Menu>>()
const cardItems = ref<MenuItem[]>([])
function openMenu(event: Event, record: FormulaRecord) {
  const name = (record.formula.name || common.unnamedFormula).slice(0, 60)
  cardItems.value = [
    { label: texts.duplicate, icon: 'pi pi-copy', command: () => void duplicateOne(record) },
    { label: common.exportWord, icon: 'pi pi-file-export', command: () => void exportOne(record) },
    {
      label: 'Delete',
      icon: 'pi pi-trash',
      command: () => void removeSome([record.id], texts.deleted2(name)),
    },
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
    const saved = await files
      .work(texts.theExport, (worker, progress) => worker.saveBackup(at, { ids: [...ids] }, progress))
      .catch(() => null)
    if (!saved) {
      problems.value = [texts.exportFailed]
      return
    }
    toSave.value = { blob: saved.blob, formulas: ids.length, ...saved.held }
    return
  }
  notify(toast, texts.exportedToYourDownloads(ids.length))
}
/** An export of several that is made, and told of before it is saved. */
const toSave = shallowRef<MadeExport | null>(null)

const toggle = (id: string, on: boolean) => {
  chosen.value = on ? [...chosen.value, id] : chosen.value.filter((other) => other !== id)
}
</script>

<template>
  <div ref="page" class="page" :class="{ dragging }">
    <PageHead :title="texts.formulas">
      <FileButton
        :label="texts.openAFile"
        icon="pi pi-folder-open"
        accept=".json,.zip,.txt,application/json"
        multiple
        testid="file-picker"
        @picked="(_first, all) => take(all)"
      />
      <MenuButton :items="WAYS" :label="texts.newFrom" icon="pi pi-directions" />
      <Menu ref="cardMenu" :model="cardItems" popup />
      <Button :label="texts.newFormula" icon="pi pi-plus" @click="briefOpen = true" />
    </PageHead>

    <div class="notices stacked closer">
      <Notice v-for="problem in problems" :key="problem" kind="stop">
        {{ problem }}{{ / not imported\.$/.test(problem) ? '' : texts.nothingWasChanged }}
        <template #actions
          ><PlainButton
            :label="common.close"
            size="small"
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
          ><PlainButton :label="common.close" size="small" @click="files.report = null"
        /></template>
      </Notice>
      <Notice v-if="library.hasDemo" kind="note">
        {{ texts.theseAreExamplesEditCopy }}
        <template #actions>
          <PlainButton
            :label="texts.removeExamples"
            size="small"
            @click="
              removeSome(
                library.records.filter((r) => r.demo).map((r) => r.id),
                texts.examplesRemoved,
              )
            "
          />
        </template>
      </Notice>
    </div>

    <div v-if="library.records.length > 0" class="filters abreast wraps" role="search">
      <SearchField
        v-model="words"
        :label="texts.searchFormulas"
        :placeholder="texts.nameIngredientOrActive"
      />
      <Choice
        v-model="kind"
        :options="kinds"
        :placeholder="texts.allProductTypes"
        :label="texts.productType"
      />
      <Choice v-model="state" :options="states" :placeholder="texts.anyState" :label="common.state" />
      <span class="muted small count to-end" aria-live="polite"
        >{{ texts.of(shown.length, library.records.length)
        }}<template v-if="judging">{{ texts.judged(cards.judged) }}</template></span
      >
    </div>

    <div
      v-if="chosen.length > 0"
      class="chosen card abreast wraps"
      role="region"
      :aria-label="texts.chosenFormulas"
    >
      <span>{{ texts.chosen(chosen.length) }}</span>
      <PlainButton :label="common.exportWord" icon="pi pi-file-export" size="small" @click="exportChosen" />
      <PlainButton
        label="Delete"
        icon="pi pi-trash"
        size="small"
        @click="removeSome(chosen, texts.deleted(chosen.length))"
      />
      <Button :label="texts.clearSelection" size="small" text @click="chosen = []" />
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
        {{ judging ? texts.checkingYourFormulas : texts.noFormulaMatches }}
      </p>
      <template #actions>
        <PlainButton :label="texts.showAll" @click="clearFilters" />
      </template>
    </NothingYet>

    <NothingYet v-else>
      <template #picture>
        <EmptyJar />
      </template>
      <p>{{ texts.noFormulasYetStartA }}</p>
      <template #actions>
        <Button :label="texts.newFormula" icon="pi pi-plus" @click="briefOpen = true" />
        <PlainButton :label="common.newFromABrief" @click="router.push('/start/brief')" />
        <PlainButton :label="texts.loadExamples" @click="library.loadDemo()" />
      </template>
    </NothingYet>

    <div v-if="dragging" class="drop" aria-hidden="true">{{ texts.dropFormulaFilesOrA }}</div>
    <BriefDialog v-if="briefUsed" v-model:open="briefOpen" />
    <ExportDialog v-if="toSave" :made="toSave" @close="toSave = null" />
  </div>
</template>

<style scoped>
.page {
  position: relative;
  display: block;
  min-height: 100%;
}
.notices {
  padding-bottom: 0.875rem;
}
.notices:empty {
  display: none;
}
.filters {
  padding-bottom: 0.875rem;
}
.chosen {
  position: sticky;
  top: 0.5rem;
  z-index: 2;
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
