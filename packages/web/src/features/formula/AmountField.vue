<script setup lang="ts">
import { amountField as texts } from '#words/formula'
import { decimalsOf, formatNumber, measuredOf, parseAmount, type AssessedLine, type Edit } from '@omblet/core'
import { computed, inject, nextTick, ref } from 'vue'
import { useEditor } from '../../stores/editor'
import { useTools } from '../../stores/tools'
import { sheetKey } from './sheet'

const props = defineProps<{
  line: AssessedLine
  name: string
  unit: 'percent' | 'grams'
  alarming: boolean
}>()
const emit = defineEmits<{
  step: [by: -1 | 1]
  move: [by: -1 | 1]
  remove: []
  note: []
  /** The caret leaves the field sideways, to a neighbouring cell. */
  aside: [cell: 'name' | 'menu']
  problem: [sentence: string | null]
  /** What was made of a unit that had to be converted. */
  said: [words: string | null]
}>()

const editor = useEditor()
const api = inject(sheetKey)!
const input = ref<HTMLInputElement>()
const typed = ref<string | null>(null)
const faulty = ref(false)
/** What puts the amount back to what it was when the field was entered. */
let before: Edit | null = null

const source = computed(() => props.line.source)
const key = computed(() => `amount-${source.value.id}`)
const places = computed(() => decimalsOf(editor.assessment!.amounts.resolutionGrams))
const shown = computed(() => {
  if (typed.value !== null) return typed.value
  if (props.line.fill) return `q.s. ${formatNumber(props.line.percent)}`
  if (!props.line.given) return ''
  return props.unit === 'grams'
    ? formatNumber(source.value.grams!, places.value, 5)
    : formatNumber(source.value.percent ?? props.line.percent, 2, 5)
})

const amountEdit = (unit: 'percent' | 'grams', value: number): Edit =>
  unit === 'grams'
    ? { type: 'set-grams', at: props.line, grams: value }
    : { type: 'set-percent', at: props.line, percent: value }

function say(sentence: string | null) {
  faulty.value = sentence !== null
  emit('problem', sentence)
}
function forget() {
  typed.value = null
  say(null)
}

const tools = useTools()
const read = (text: string) => parseAmount(text, measuredOf(props.line.material, tools.tools.dropGrams))

function onInput(event: Event) {
  typed.value = (event.target as HTMLInputElement).value
  const amount = read(typed.value)
  say(amount.kind === 'error' ? amount.message : null)
  emit('said', 'said' in amount ? (amount.said ?? null) : null)
  // what a beginning of a unit stands behind was never meant as a percent or as grams
  if (amount.kind === 'error' || amount.kind === 'begun') restore()
  else if (amount.kind === 'empty') editor.apply({ type: 'clear-amount', at: props.line }, key.value)
  else if (amount.kind === 'fill') editor.apply({ type: 'set-fill', at: props.line }, key.value)
  // counts when the field is left: more letters may make another unit of it
  else if ('said' in amount && props.unit === 'percent') restore()
  else editor.apply(amountEdit(amount.kind === 'bare' ? props.unit : amount.kind, amount.value), key.value)
}
function restore() {
  if (before) editor.apply(before, key.value)
}

function onFocus(event: FocusEvent) {
  ;(event.target as HTMLInputElement).select()
  // what could not be read still stands there, and goes back to what was before it
  if (typed.value !== null) return
  const { percent, grams, fill } = source.value
  before = fill
    ? { type: 'set-fill', at: props.line }
    : percent !== undefined
      ? amountEdit('percent', percent)
      : grams !== undefined
        ? amountEdit('grams', grams)
        : { type: 'clear-amount', at: props.line }
}
/** What was typed counts when the field is left; what could not be read stays there, and the amount is as it was. */
function onBlur() {
  const amount = typed.value === null ? null : read(typed.value)
  if (amount?.kind === 'error' || amount?.kind === 'begun') {
    restore()
    say(amount.kind === 'error' ? amount.message : texts.isNotAnAmountYet(typed.value!.trim()))
    editor.settle()
    return
  }
  if (amount?.kind === 'grams') editor.apply(amountEdit('grams', amount.value), key.value)
  forget()
  editor.settle()
}
function putBack() {
  if (typed.value !== null && before) editor.apply(before, key.value)
  forget()
  void nextTick(() => input.value?.select())
}

async function switchTo(unit: 'percent' | 'grams') {
  // What was typed stays: "4" then g is 4 g, not the grams that 4 % would be.
  const amount = typed.value === null ? null : read(typed.value)
  if (amount?.kind === 'bare') editor.apply(amountEdit(unit, amount.value), key.value)
  else editor.apply({ type: 'switch-unit', at: props.line, unit })
  forget()
  await nextTick()
  api.focusLine(props.line)
}

function through(history: () => void) {
  forget()
  history()
}

/** What a key does in the field; null leaves it to the browser. */
function actionFor(event: KeyboardEvent): (() => void) | null {
  if (event.altKey) return withAlt(event)
  if (event.ctrlKey || event.metaKey) return withControl(event)
  const { key: pressed } = event
  const plain: Record<string, (() => void) | null> = {
    ArrowUp: () => emit('step', -1),
    ArrowDown: () => emit('step', 1),
    Enter: () => emit('step', event.shiftKey ? -1 : 1),
    Escape: document.querySelector('.p-dialog') ? null : putBack,
    '/': () => api.find(props.line.phase),
    '?': api.showKeys,
    q: () => through(() => editor.apply({ type: 'set-fill', at: props.line })),
    '%': () => void switchTo('percent'),
  }
  const action = plain[pressed.length === 1 ? pressed.toLowerCase() : pressed]
  if (action !== undefined) return action
  // behind other letters it is the end of a unit, such as kg
  if (pressed.toLowerCase() === 'g' && !/\p{L}/u.test(typed.value ?? '')) return () => void switchTo('grams')
  return asideOf(event.target as HTMLInputElement, pressed)
}
function withAlt({ key }: KeyboardEvent): (() => void) | null {
  if (key === 'ArrowUp' || key === 'ArrowDown') return () => emit('move', key === 'ArrowUp' ? -1 : 1)
  return key.toLowerCase() === 'n' ? () => emit('note') : null
}
function withControl({ key, shiftKey }: KeyboardEvent): (() => void) | null {
  if (key === 'Delete' || key === 'Backspace') return () => emit('remove')
  return key.toLowerCase() === 'z' ? () => through(shiftKey ? api.redo : api.undo) : null
}
/** Left and right leave the field where its text ends. */
function asideOf(field: HTMLInputElement, pressed: string): (() => void) | null {
  const whole = field.selectionStart === 0 && field.selectionEnd === field.value.length
  if (pressed === 'ArrowLeft' && (whole || field.selectionEnd === 0)) return () => emit('aside', 'name')
  const atEnd = whole || field.selectionStart === field.value.length
  return pressed === 'ArrowRight' && atEnd ? () => emit('aside', 'menu') : null
}

function onKeyDown(event: KeyboardEvent) {
  const action = actionFor(event)
  if (!action) return
  event.preventDefault()
  event.stopPropagation()
  action()
}

defineExpose({ switchTo, focus: () => input.value?.focus() })
</script>

<template>
  <input
    ref="input"
    data-cell="amount"
    class="amount mono"
    :class="{ fill: line.fill, bad: faulty || (alarming && !line.fill) }"
    inputmode="decimal"
    autocomplete="off"
    spellcheck="false"
    :value="shown"
    :placeholder="line.given ? '' : '0.00'"
    :aria-label="texts.amountOf(name, texts.units[unit])"
    :aria-invalid="faulty"
    :aria-describedby="faulty ? `problem-${source.id}` : undefined"
    @input="onInput"
    @focus="onFocus"
    @blur="onBlur"
    @keydown="onKeyDown"
  />
</template>

<style scoped>
.amount {
  width: 100%;
  min-width: 0;
  height: 34px;
  padding: 0 0.5rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
  text-align: right;
}
.amount:focus {
  outline: 2px solid var(--cobalt-400);
  outline-offset: 0;
}
.amount.fill {
  padding: 0 0.5rem 0 0.25rem;
  border-color: var(--cobalt-200);
  background: var(--cobalt-100);
  color: var(--accent-ink);
  font-size: var(--text-note);
}
.amount.bad {
  border-color: var(--stop);
}
@media (max-width: 620px) {
  .amount {
    height: 40px;
    font-size: var(--text-body);
  }
}
</style>
