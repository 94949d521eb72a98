<script setup lang="ts">
import { common } from '#words/common'
import { formulaPage as texts } from '#words/formula'
import { stepTitle } from '@omblet/core/words'
import Button from 'primevue/button'
import { useToast } from 'primevue/usetoast'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, onMounted, provide, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { linesOfStep, type LineRef } from '@omblet/core'
import { notify } from '../../components/notify'
import { useEditor } from '../../stores/editor'
import Finder from './Finder.vue'
import Jar from '../../components/Jar.vue'
import KeysDialog from './KeysDialog.vue'
import ReadingColumn from './ReadingColumn.vue'
import Sheet from './Sheet.vue'
import type { Leaf } from './leaf'
import { sheetKey, type SheetApi } from './sheet'

const editor = useEditor()
const toast = useToast()

const sheet = ref<InstanceType<typeof Sheet>>()
const finder = ref<InstanceType<typeof Finder>>()
const keysOpen = ref(false)
const highlighted = ref<readonly LineRef[]>([])

/** The step of the method whose lines were asked for. */
const route = useRoute()
const shownStep = computed(() => {
  const key = route.query['step']
  if (typeof key !== 'string' || !editor.derived) return null
  const { steps } = editor.derived.method
  const at = steps.findIndex((s) => s.key === key)
  return at < 0 ? null : { number: at + 1, ...steps[at]! }
})
const showStep = async () => {
  const lines = shownStep.value ? linesOfStep(shownStep.value) : []
  highlighted.value = lines
  await nextTick()
  if (lines[0]) sheet.value?.focusLine(lines[0])
}
watch(
  () => route.query['step'],
  () => void showStep(),
)

onMounted(() => void showStep())

const layers = computed(
  () => editor.assessment?.phases.map(({ role, letter, percent }) => ({ role, letter, percent })) ?? [],
)

const api: SheetApi = {
  find: (phase, replace) => finder.value?.show(phase, replace),
  focusLine: (at) => sheet.value?.focusLine(at),
  showKeys: () => {
    keysOpen.value = true
  },
  highlight: (lines) => {
    highlighted.value = lines
  },
  highlighted,
  undo: () => sheet.value?.keepPlace(() => editor.undo()),
  redo: () => sheet.value?.keepPlace(() => editor.redo()),
  say: (text, undoable = true) =>
    notify(toast, text, undoable ? { label: common.undo, run: () => editor.undo() } : undefined),
}
provide(sheetKey, api)

function onKey(event: KeyboardEvent) {
  const target = event.target as HTMLElement
  if (target.closest('.p-dialog')) return
  const typing = target.matches('input:not([type="checkbox"]):not([data-cell]), textarea, [contenteditable]')
  if (typing || event.ctrlKey || event.metaKey) return
  if (event.key === '/') {
    event.preventDefault()
    api.find(sheet.value?.currentPhase() ?? null)
  } else if (event.key === '?') {
    event.preventDefault()
    keysOpen.value = true
  } else if (event.altKey && event.key.toLowerCase() === 'p') {
    event.preventDefault()
    sheet.value?.addPhase()
  }
}
useEventListener('keydown', onKey)
defineExpose({
  showKeys: api.showKeys,
  keepPlace: (work: () => void) => sheet.value?.keepPlace(work),
} satisfies Leaf)
</script>

<template>
  <div class="sheet-page">
    <p v-if="shownStep" class="shown-step small" role="status">
      <span>{{ texts.ingredientsOfStep(shownStep.number, stepTitle(shownStep)) }}</span>
      <RouterLink :to="{ path: `/formulas/${editor.id}/method`, query: { step: shownStep.key } }">
        {{ texts.backToTheMethod }}
      </RouterLink>
    </p>
    <div class="sheet-columns">
      <div class="jar-column"><Jar :layers="layers" /></div>
      <Sheet ref="sheet" />
      <ReadingColumn class="reading" />
    </div>
    <Finder ref="finder" />
    <KeysDialog v-model:open="keysOpen" />
    <Button
      class="find-button"
      icon="pi pi-plus"
      :label="common.ingredient"
      @click="api.find(sheet?.currentPhase() ?? null)"
    />
  </div>
</template>

<style scoped>
.shown-step {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
  padding: 0.5rem 1rem;
  border-bottom: 1px solid var(--line);
  background: var(--wash);
}
.sheet-page {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.sheet-columns {
  flex: 1;
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) minmax(18rem, 21rem);
  gap: 0 0.75rem;
  padding-left: 1rem;
}
.jar-column {
  position: sticky;
  top: 75px;
  height: calc(100dvh - 90px);
  padding: 0.875rem 0;
}
.reading {
  border-left: 1px solid var(--line);
  background: var(--side);
}
.find-button {
  display: none;
}
@media (max-width: 1080px) {
  .sheet-columns {
    grid-template-columns: 64px minmax(0, 1fr);
    padding-right: 1rem;
  }
  .reading {
    grid-column: 1 / -1;
    border-left: 0;
    border-top: 1px solid var(--line);
    margin: 0 -1rem;
  }
}
@media (max-width: 620px) {
  .sheet-columns {
    grid-template-columns: minmax(0, 1fr);
    padding: 0 0.5rem;
  }
  .jar-column {
    display: none;
  }
  .reading {
    margin: 0 -0.5rem;
  }
  .find-button {
    display: inline-flex;
    position: fixed;
    right: 1rem;
    bottom: 1rem;
    z-index: 3;
    min-height: 48px;
    border-radius: 24px;
    box-shadow: var(--shadow-high);
  }
}
</style>
