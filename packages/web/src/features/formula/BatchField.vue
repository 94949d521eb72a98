<script setup lang="ts">
import { common } from '#words/common'
import { batchField as texts } from '#words/formula'
import { parseNumber, sayNumber } from '@omblet/core'
import { nextTick, ref } from 'vue'
import { useEditor } from '../../stores/editor'
import { useTools } from '../../stores/tools'

const editor = useEditor()
const tools = useTools()
const batchText = ref<string | null>(null)
const batchError = ref<string | null>(null)

const batchSaid = ref<string>()
/** The batch as it was when the field was entered. */
let before: number | null = null

function setBatch(grams: number | null) {
  if (grams !== null && grams !== editor.assessment?.amounts.batchGrams)
    editor.apply({ type: 'scale-batch', batchGrams: grams }, 'batch')
}
function onFocus() {
  if (batchText.value !== null) return
  before = editor.assessment?.amounts.batchGrams ?? null
}
function onBatch(event: Event) {
  batchText.value = (event.target as HTMLInputElement).value
  const parsed = parseNumber(batchText.value, {
    min: 0.1,
    max: 100000,
    what: common.theBatch,
    unit: 'g',
    of: { dropGrams: tools.tools.dropGrams },
  })
  batchError.value =
    'error' in parsed ? parsed.error : parsed.value === null ? common.enterTheBatchSizeIn : null
  batchSaid.value = 'said' in parsed ? parsed.said : undefined
  // a figure before a unit that is still being typed was never meant as grams
  setBatch('value' in parsed && parsed.value !== null ? parsed.value : before)
}
async function putBack(event: Event) {
  setBatch(before)
  batchText.value = null
  batchError.value = null
  batchSaid.value = undefined
  await nextTick()
  ;(event.target as HTMLInputElement).select()
}
/** What cannot be read stays in the field with what is wrong, and the batch is as it was. */
function onBatchBlur() {
  editor.settle()
  if (batchError.value) return
  batchText.value = null
}
</script>

<template>
  <label class="batch">
    <span class="muted what">{{ common.batch }}</span>
    <span class="box" :class="{ bad: batchError }">
      <input
        data-history
        inputmode="decimal"
        class="mono"
        :value="batchText ?? sayNumber(editor.assessment!.amounts.batchGrams, 4)"
        :aria-label="texts.batchInGrams"
        :aria-invalid="batchError !== null"
        @focus="onFocus"
        @input="onBatch"
        @blur="onBatchBlur"
        @keydown.enter="($event.target as HTMLInputElement).blur()"
        @keydown.escape="putBack"
      />
      <span class="mono" aria-hidden="true">g</span>
    </span>
    <span v-if="batchError" class="error-text" role="alert">{{ batchError }}</span>
    <span v-else-if="batchSaid" class="said small" aria-live="polite">{{ batchSaid }}</span>
  </label>
</template>

<style scoped>
.batch {
  position: relative;
  display: flex;
  align-items: center;
  gap: 0.5rem;
  font-size: var(--text-less);
}
.box {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
  height: 36px;
  padding: 0 0.625rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
}
.box.bad {
  border-color: var(--stop);
}
.box input {
  width: 3.75rem;
  border: 0;
  background: none;
  text-align: right;
  outline: none;
}
.said {
  position: absolute;
  top: calc(100% + 0.25rem);
  right: 0;
  z-index: 4;
  padding: 0.25rem 0.5rem;
  border: 1px solid var(--line);
  border-radius: var(--round-m);
  background: var(--paper);
  color: var(--muted);
  white-space: nowrap;
}
.box:focus-within {
  outline: 2px solid var(--cobalt-400);
  outline-offset: 1px;
}
@media (max-width: 1360px) {
  .what {
    display: none;
  }
}
</style>
