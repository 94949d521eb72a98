<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, useId, useTemplateRef } from 'vue'
import { glossary, type Entry, type TermId } from '../words/en/glossary'

/** A term of the trade, explained where it stands: on hover, on focus, and on a tap; Escape closes it. */
const { id } = defineProps<{ id: TermId }>()
const entry = computed<Entry>(() => glossary[id])
const tip = useId()
const open = ref(false)
const place = ref({ left: '0px', top: '0px' })
const word = useTemplateRef<HTMLElement>('word')
const note = useTemplateRef<HTMLElement>('note')
let closing: ReturnType<typeof setTimeout> | undefined

const ROOM = 8
async function show() {
  clearTimeout(closing)
  if (open.value) return
  open.value = true
  await nextTick()
  const at = word.value?.getBoundingClientRect()
  const box = note.value?.getBoundingClientRect()
  if (!at || !box) return
  const left = Math.min(Math.max(ROOM, at.left), window.innerWidth - box.width - ROOM)
  const below = at.bottom + 6 + box.height <= window.innerHeight - ROOM
  place.value = {
    left: `${left}px`,
    top: `${below ? at.bottom + 6 : Math.max(ROOM, at.top - 6 - box.height)}px`,
  }
}
const hide = () => {
  clearTimeout(closing)
  open.value = false
}
/** The pointer may cross to the explanation. */
const leave = () => {
  closing = setTimeout(hide, 150)
}
const toggle = () => (open.value ? hide() : void show())
onBeforeUnmount(() => clearTimeout(closing))
</script>

<template>
  <button
    ref="word"
    type="button"
    class="term bare"
    :aria-describedby="open ? tip : undefined"
    @pointerenter="(e) => e.pointerType === 'mouse' && show()"
    @pointerleave="(e) => e.pointerType === 'mouse' && leave()"
    @focus="(e) => (e.target as HTMLElement).matches(':focus-visible') && show()"
    @blur="hide"
    @click.stop.prevent="toggle"
    @keydown.esc="(e) => open && (e.stopPropagation(), hide())"
  >
    <slot>{{ entry.term }}</slot>
  </button>
  <Teleport to="body">
    <span
      v-if="open"
      :id="tip"
      ref="note"
      role="tooltip"
      class="term-note small"
      :style="place"
      @pointerenter="show"
      @pointerleave="leave"
    >
      <strong>{{ entry.term }}</strong> {{ entry.says }}
      <span v-if="entry.example" class="muted block">{{ entry.example }}</span>
    </span>
  </Teleport>
</template>

<style scoped>
.term {
  display: inline-block;
  min-width: 24px;
  min-height: 24px;
  margin: -0.1875rem 0;
  padding: 0.1875rem 0;
  color: inherit;
  font: inherit;
  text-align: inherit;
  text-decoration: underline dotted var(--ink-muted, currentcolor);
  text-underline-offset: 0.2em;
  cursor: help;
}
.term-note {
  position: fixed;
  z-index: 3000;
  width: max-content;
  max-width: min(22rem, calc(100vw - 1rem));
  padding: 0.5rem 0.75rem;
  border: 1px solid var(--line);
  border-radius: var(--round-s);
  background: var(--paper);
  color: var(--ink);
  box-shadow: var(--shadow-high);
}
@media print {
  .term {
    text-decoration: none;
  }
}
</style>
