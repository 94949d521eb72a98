<script setup lang="ts">
import { common } from '#words/common'
import { lineNote as texts } from '#words/formula'
import { LIMITS, type AssessedLine } from '@omblet/core'
import { computed, nextTick, ref } from 'vue'
import { useEditor } from '../../stores/editor'

/** The note of a line: shown below it, written in its place. */
const props = defineProps<{ line: AssessedLine; name: string }>()
const editor = useEditor()
const source = computed(() => props.line.source)
const field = ref<HTMLInputElement>()
const writing = ref(false)

async function open() {
  writing.value = true
  await nextTick()
  field.value?.focus()
}
function onNote(event: Event) {
  const value = (event.target as HTMLInputElement).value.slice(0, LIMITS.note)
  editor.apply(
    { type: 'patch-line', at: props.line, patch: { note: value || undefined } },
    `note-${source.value.id}`,
  )
}
function close() {
  writing.value = false
  editor.settle()
}
defineExpose({ open })
</script>

<template>
  <input
    v-if="writing"
    ref="field"
    data-history
    class="field-of-note small"
    :value="source.note ?? ''"
    :aria-label="texts.noteOn(name)"
    :placeholder="common.note"
    @input="onNote"
    @blur="close"
    @keydown.enter="close"
    @keydown.esc="close"
  />
  <p v-else-if="source.note" class="note small" @dblclick="open">{{ source.note }}</p>
</template>

<style scoped>
.note,
.field-of-note {
  grid-column: 2 / -1;
}
.note {
  padding: 0 0.25rem 0.25rem;
  color: var(--muted);
  font-style: italic;
  overflow-wrap: anywhere;
}
.field-of-note {
  height: 30px;
  margin: 0 0 0.25rem;
  padding: 0 0.5rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
}
</style>
