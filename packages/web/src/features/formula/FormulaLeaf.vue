<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useEditor } from '../../stores/editor'
import FormulaHeader from './FormulaHeader.vue'
import SaveNotices from './SaveNotices.vue'

/** A leaf of a formula beside its sheet: opens the formula, shows the header, and keeps undo on the keys. */
const props = defineProps<{ id: string; leaf: 'emulsion' | 'balance' | 'ph' | 'method'; title: string }>()
const editor = useEditor()
const missing = ref(false)

watch(
  () => props.id,
  async (id) => {
    missing.value = !(await editor.open(id).catch(() => false))
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
  <div v-if="missing" class="missing">
    <h1>This formula is not here</h1>
    <p class="muted">It was deleted, or it lives in another browser.</p>
    <RouterLink to="/formulas">Go to your formulas</RouterLink>
  </div>
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
.missing {
  display: grid;
  gap: 0.75rem;
  padding: 3rem 2rem;
}
.missing h1 {
  font-size: 1.5rem;
}
</style>
