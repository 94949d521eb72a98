<script setup lang="ts">
import { onBeforeUnmount, onMounted, watch } from 'vue'
import NotHere from '../../components/NotHere.vue'
import { useEditor } from '../../stores/editor'
import FormulaHeader from './FormulaHeader.vue'
import SaveNotices from './SaveNotices.vue'

/** A leaf of a formula beside its sheet: opens the formula, shows the header, and keeps undo on the keys. */
const props = defineProps<{ id: string; leaf: 'emulsion' | 'balance' | 'ph' | 'method'; title: string }>()
const editor = useEditor()

watch(
  () => props.id,
  async (id) => {
    await editor.open(id)
    document.title = editor.formula ? `${props.title} of ${editor.formula.name} – Omblet` : 'Omblet'
  },
  { immediate: true },
)

function onKey(event: KeyboardEvent) {
  const target = event.target as HTMLElement
  if (target.closest('.p-dialog') || target.matches('input:not([type="checkbox"]), textarea')) return
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
    event.preventDefault()
    if (event.shiftKey) editor.redo()
    else editor.undo()
  }
}
onMounted(() => addEventListener('keydown', onKey))
onBeforeUnmount(() => {
  removeEventListener('keydown', onKey)
  void editor.flush()
})
</script>

<template>
  <NotHere
    v-if="editor.opening.how === 'missing' || editor.opening.how === 'refused'"
    what="formula"
    :why="editor.opening.why"
    to="/formulas"
    to-label="Go to your formulas"
  />
  <div v-else-if="editor.formula && editor.id === id" class="page">
    <FormulaHeader :leaf="leaf" />
    <SaveNotices />
    <slot />
  </div>
</template>

<style scoped>
.page {
  display: flex;
  flex-direction: column;
  min-height: 100%;
}
</style>
