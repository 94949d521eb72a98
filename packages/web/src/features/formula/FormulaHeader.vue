<script setup lang="ts">
import { common } from '#words/common'
import { formulaHeader as texts } from '#words/formula'
import { formatDistanceToNow } from 'date-fns'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed, ref, watch } from 'vue'
import { useRouter, type RouteMeta } from 'vue-router'
import { canShareFiles, download, fileName, share } from '../../browser/download'
import { notify } from '../../components/notify'
import { productLine } from '../../components/words'
import MenuButton from '../../components/MenuButton.vue'
import { useEditor } from '../../stores/editor'
import { useLibrary } from '../../stores/library'
import { useMaterials } from '../../stores/materials'
import { listVersions } from '../../storage/formulas'
import BatchField from './BatchField.vue'
import NameField from './NameField.vue'
import ProductDialog from './ProductDialog.vue'
import ShoppingDialog from './ShoppingDialog.vue'
import SaveVersionDialog from './versions/SaveVersionDialog.vue'

const props = defineProps<{ leaf: NonNullable<RouteMeta['leaf']> }>()
const emit = defineEmits<{ keys: []; saved: [] }>()

const LEAVES = [
  { leaf: 'sheet', path: '', label: common.formula },
  { leaf: 'emulsion', path: '/emulsion', label: common.emulsion },
  { leaf: 'balance', path: '/balance', label: common.rebalance },
  { leaf: 'ph', path: '/ph', label: 'pH' },
  { leaf: 'method', path: '/method', label: common.method },
  { leaf: 'cost', path: '/cost', label: common.cost },
  { leaf: 'label', path: '/label', label: common.label },
  { leaf: 'versions', path: '/versions', label: common.versions },
] as const

const editor = useEditor()
const library = useLibrary()
const materials = useMaterials()
const router = useRouter()
const toast = useToast()

const formula = computed(() => editor.formula!)
const productOpen = ref(false)
const versionOpen = ref(false)
const shoppingOpen = ref(false)
const lastVersion = ref<{ number: number; savedAt: string } | null>(null)

async function loadVersion() {
  lastVersion.value = (await listVersions(editor.id!).catch(() => []))[0] ?? null
}
watch(() => editor.id, loadVersion, { immediate: true })

const versionChip = computed(() =>
  lastVersion.value
    ? texts.version(
        lastVersion.value.number,
        formatDistanceToNow(new Date(lastVersion.value.savedAt), { addSuffix: true }),
      )
    : 'draft',
)
const saveWord = computed(
  () =>
    ({
      saved: texts.saved,
      saving: texts.saving,
      failed: texts.notSaved,
      conflict: texts.notSaved,
      gone: texts.notSaved,
    })[editor.state],
)

const items = [
  { label: common.saveVersion, icon: 'pi pi-bookmark', command: () => (versionOpen.value = true) },
  { label: texts.shoppingList, icon: 'pi pi-list-check', command: () => (shoppingOpen.value = true) },
  { label: common.exportWord, icon: 'pi pi-file-export', command: exportIt },
  ...(canShareFiles()
    ? [{ label: texts.share, icon: 'pi pi-share-alt', command: () => void shareIt() }]
    : []),
  { label: texts.duplicate, icon: 'pi pi-copy', command: duplicateIt },
  ...(props.leaf === 'sheet'
    ? [{ label: common.keys, icon: 'pi pi-question-circle', command: () => emit('keys') }]
    : []),
  { label: 'Delete', icon: 'pi pi-trash', command: removeIt },
]

function exportIt() {
  download(fileName(formula.value.name, '.omblet.json'), materials.exportText(formula.value))
}
const shareIt = () =>
  share(fileName(formula.value.name, '.omblet.json'), materials.exportText(formula.value)).catch(() =>
    exportIt(),
  )
async function duplicateIt() {
  await editor.flush()
  await library.refresh()
  const record = library.records.find((r) => r.id === editor.id)
  const id = record ? await library.copy(record) : null
  if (id) await router.push(`/formulas/${id}`)
}
async function removeIt() {
  await editor.flush()
  const undo = await library.remove([editor.id!])
  await router.push('/formulas')
  if (undo) notify(toast, texts.deletedItStaysInThe, { label: common.undo, run: () => void undo() })
}
async function onVersionSaved() {
  await loadVersion()
  emit('saved')
}
</script>

<template>
  <header class="header abreast wraps">
    <NameField />
    <button type="button" class="chip" aria-haspopup="dialog" @click="productOpen = true">
      {{ productLine(formula.product) }}
    </button>
    <span class="chip version">{{ versionChip }}</span>
    <div class="right abreast wraps to-end">
      <span class="saved muted small" :class="{ bad: saveWord === 'Not saved' }" aria-live="polite">{{
        saveWord
      }}</span>
      <div class="undo">
        <QuietButton
          icon="pi pi-undo"
          rounded
          :aria-label="common.undo"
          :disabled="!editor.canUndo"
          @click="editor.undo()"
        />
        <QuietButton
          icon="pi pi-undo"
          class="redo"
          rounded
          :aria-label="texts.redo"
          :disabled="!editor.canRedo"
          @click="editor.redo()"
        />
      </div>
      <BatchField />
      <PlainButton
        as="a"
        :href="`/bench/start?formula=${editor.id}`"
        class="go"
        icon="pi pi-stopwatch"
        :label="common.make"
        @click.prevent="router.push(`/bench/start?formula=${editor.id}`)"
      />
      <Button
        as="a"
        :href="`/formulas/${editor.id}/print`"
        class="go"
        icon="pi pi-print"
        :label="common.print"
        @click.prevent="router.push(`/formulas/${editor.id}/print`)"
      />
      <MenuButton :items="items" :more="texts.moreForThisFormula" />
    </div>
    <nav class="leaves" :aria-label="texts.tabsOfThisFormula">
      <RouterLink
        v-for="l in LEAVES"
        :key="l.leaf"
        :to="`/formulas/${editor.id}${l.path}`"
        :class="{ on: leaf === l.leaf }"
        :aria-current="leaf === l.leaf ? 'page' : undefined"
        >{{ l.label }}</RouterLink
      >
    </nav>
    <ProductDialog v-model:open="productOpen" />
    <ShoppingDialog v-model:open="shoppingOpen" />
    <SaveVersionDialog v-model:open="versionOpen" @saved="onVersionSaved" />
  </header>
</template>

<style scoped>
.header {
  position: sticky;
  top: 0;
  z-index: 4;
  min-height: 60px;
  padding: 0.375rem 0.75rem 0.375rem 1rem;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}
.right :deep(a) {
  text-decoration: none;
}
.leaves {
  display: flex;
  flex: 1 1 100%;
  gap: 0.125rem;
  margin-left: -0.625rem;
}
.leaves a {
  padding: 0.3rem 0.625rem;
  border-radius: var(--round-m);
  color: var(--muted);
  text-decoration: none;
  font-size: var(--text-less);
}
.leaves a:hover {
  color: var(--ink);
}
.leaves a.on {
  background: var(--cobalt-100);
  color: var(--accent-ink);
  font-weight: 700;
}
.undo {
  display: flex;
}
.redo :deep(.pi) {
  transform: scaleX(-1);
}
.saved.bad {
  color: var(--stop);
  font-weight: 600;
}
/* The leaves have a row of their own below name and tools; where there is room, one row is enough. */
@media (min-width: 1561px) {
  .leaves {
    order: 1;
    flex: 0 1 auto;
    margin-left: 0;
  }
  .right {
    order: 2;
  }
}
@media (max-width: 1360px) {
  .version {
    display: none;
  }
}
@media (max-width: 620px) {
  .leaves {
    flex-wrap: wrap;
  }
  .header {
    position: static;
    padding: 0.375rem 0.75rem;
  }
  .right {
    margin-left: 0;
    flex: 1 1 100%;
    flex-wrap: nowrap;
    justify-content: space-between;
  }
  .saved:not(.bad) {
    display: none;
  }
  .go :deep(.p-button-label) {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .go {
    min-width: 40px;
  }
}
</style>
