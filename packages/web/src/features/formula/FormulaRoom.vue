<script setup lang="ts">
import { common } from '#words/common'
import { formulaRoom as texts } from '#words/formula'
import { useEventListener } from '@vueuse/core'
import { computed, onBeforeUnmount, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import NotHere from '../../components/NotHere.vue'
import { useEditor } from '../../stores/editor'
import FormulaHeader from './FormulaHeader.vue'
import type { Leaf } from './leaf'
import SaveNotices from './SaveNotices.vue'

/** The room of one formula: opens it, shows its header, keeps undo on the keys; its leaves and its print stand inside. */
const props = defineProps<{ id: string }>()
const editor = useEditor()
const route = useRoute()
const leaf = computed(() => route.meta.leaf ?? null)
const page = useTemplateRef<Leaf>('page')

watch(
  () => props.id,
  (id) => void editor.open(id),
  { immediate: true },
)
watch(
  [() => editor.formula?.name, () => route.meta.title],
  ([name, title]) => {
    document.title = name ? `${title ? `${title} of ` : ''}${name} – Omblet` : 'Omblet'
  },
  { immediate: true },
)

useEventListener('keydown', (event: KeyboardEvent) => {
  const target = event.target as HTMLElement
  if (target.closest('.p-dialog') || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z')
    return
  // a field keeps its own history, unless the sheet says that it has none
  const typing = target.matches('input:not([type="checkbox"]):not([data-cell]), textarea, [contenteditable]')
  if (typing && !target.hasAttribute('data-history')) return
  event.preventDefault()
  const step = event.shiftKey ? editor.redo : editor.undo
  if (page.value?.keepPlace) page.value.keepPlace(step)
  else step()
})
onBeforeUnmount(() => void editor.flush())
</script>

<template>
  <NotHere
    v-if="editor.opening.how === 'missing' || editor.opening.how === 'refused'"
    :what="texts.formula"
    :why="editor.opening.why"
    to="/formulas"
    :to-label="common.goToYourFormulas"
  />
  <div v-else-if="editor.formula && editor.id === id" class="room">
    <template v-if="leaf">
      <FormulaHeader :leaf="leaf" @keys="page?.showKeys?.()" @saved="page?.reload?.()" />
      <SaveNotices />
    </template>
    <RouterView v-slot="{ Component }"><component :is="Component" :key="id" ref="page" /></RouterView>
  </div>
</template>

<style scoped>
.room {
  display: flex;
  flex-direction: column;
  min-height: 100%;
}
</style>
