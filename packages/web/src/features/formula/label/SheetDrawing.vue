<script setup lang="ts">
import { sheetDrawing as texts } from '#words/formula-label'
import { fieldsOf, PAPERS, placeStickers, type StickerSheet } from '@omblet/core'
import { computed, nextTick, useTemplateRef } from 'vue'

/** The first sheet of stickers: used fields, those that will be printed, and those that stay. */
const props = defineProps<{ sheet: StickerSheet; count: number }>()
const first = defineModel<number>('first', { required: true })
const paper = computed(() => PAPERS[props.sheet.paper])
const fields = computed(() =>
  placeStickers(props.sheet, fieldsOf(props.sheet)).map(({ x, y }, i) => ({
    x,
    y,
    i,
    state: i < first.value ? 'used' : i < first.value + props.count ? 'prints' : 'free',
  })),
)
const box = useTemplateRef<HTMLElement>('box')
/** One stop of the tab key for all fields; arrows go from field to field. */
async function onKey(event: KeyboardEvent) {
  const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -props.sheet.columns, ArrowDown: props.sheet.columns }[
    event.key
  ]
  if (by === undefined) return
  event.preventDefault()
  const next = first.value + by
  if (next < 0 || next >= fields.value.length) return
  first.value = next
  await nextTick()
  box.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus()
}
const more = computed(() => Math.max(0, first.value + props.count - fields.value.length))
const WORDS = { used: 'used', prints: texts.getsALabel, free: texts.staysBlank }
</script>

<template>
  <div ref="box" class="paper" :style="{ aspectRatio: `${paper.width} / ${paper.height}` }">
    <button
      v-for="f in fields"
      :key="f.i"
      type="button"
      class="field"
      :class="[f.state, sheet.shape]"
      :aria-label="texts.fieldStartHere(f.i + 1, WORDS[f.state as keyof typeof WORDS])"
      :aria-pressed="f.i === first"
      :tabindex="f.i === first ? 0 : -1"
      :style="{
        left: `${(100 * f.x) / paper.width}%`,
        top: `${(100 * f.y) / paper.height}%`,
        width: `${(100 * sheet.width) / paper.width}%`,
        height: `${(100 * sheet.height) / paper.height}%`,
      }"
      @click="first = f.i"
      @keydown="onKey"
    >
      {{ f.state === 'prints' ? f.i - first + 1 : f.state === 'used' ? '×' : '' }}
    </button>
  </div>
  <p v-if="more" class="muted small">{{ texts.moreOnFurtherSheets(more) }}</p>
</template>

<style scoped>
.paper {
  position: relative;
  width: min(20rem, 100%);
  margin-inline: auto;
  border: 1px solid var(--line-strong);
  background: var(--paper);
}
.field {
  position: absolute;
  display: grid;
  place-items: center;
  padding: 0;
  border: 1px dashed var(--line-strong);
  border-radius: var(--round-s);
  background: transparent;
  color: var(--muted);
  font-size: var(--text-tiny);
  cursor: pointer;
}
.field.round {
  border-radius: 50%;
}
.field.prints {
  border-style: solid;
  border-color: var(--accent);
  background: var(--wash);
  color: var(--accent-ink);
}
.field.used {
  background: var(--track);
}
.field:focus-visible {
  outline: 2px solid var(--cobalt-400);
  outline-offset: 1px;
}
</style>
