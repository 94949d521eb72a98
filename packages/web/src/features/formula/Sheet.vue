<script setup lang="ts">
import { common } from '#words/common'
import { sheet as texts } from '#words/formula'
import { formatGrams, formatNumber, neighbourPlace, type LineRef } from '@omblet/core'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import Sortable, { type SortableEvent } from 'sortablejs'
import { computed, inject, nextTick, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { useEditor } from '../../stores/editor'
import PhaseBlock from './PhaseBlock.vue'
import PhaseDialog from './PhaseDialog.vue'
import { sheetKey } from './sheet'

const editor = useEditor()
const api = inject(sheetKey)!
const root = ref<HTMLElement>()
const current = ref<LineRef | null>(null)
const dialogFor = ref<number | null>(null)
const lineMenu = ref<InstanceType<typeof Menu>>()
const lineItems = shallowRef<MenuItem[]>([])

const formula = computed(() => editor.formula!)
const a = computed(() => editor.assessment!)
const linesOf = (phase: number) =>
  a.value.lines.map((line, index) => ({ line, index })).filter(({ line }) => line.phase === phase)

/** Lines that findings point at, with the gravest word. */
const marks = computed(() => {
  const map = new Map<string, 'stop' | 'check'>()
  for (const { severity, lines } of editor.findings) {
    if (severity === 'note') continue
    for (const { phase, line } of lines) {
      const key = `${phase}.${line}`
      if (severity === 'stop' || !map.has(key)) map.set(key, severity)
    }
  }
  return map
})

const cell = (at: LineRef) =>
  root.value?.querySelector<HTMLElement>(`[data-at="${at.phase}.${at.line}"] [data-cell="amount"]`)

function focusLine(at: LineRef) {
  void nextTick(() => {
    const target = cell(at)
    target?.focus()
    target?.closest('li')?.scrollIntoView({ block: 'nearest' })
  })
}

/** Does something that may redraw the sheet, and keeps the focus on the line where it was. */
function keepPlace(work: () => void) {
  const id = document.activeElement?.closest<HTMLElement>('[data-line]')?.dataset['line']
  work()
  if (!id) return
  void nextTick(() => {
    if (document.activeElement?.closest('[data-line]')) return
    root.value?.querySelector<HTMLElement>(`[data-line="${CSS.escape(id)}"] [data-cell="amount"]`)?.focus()
  })
}

/** One line up or down, over the edges of phases, skipping empty ones. */
function step(at: LineRef, by: -1 | 1) {
  const order = a.value.lines
  const here = order.findIndex((l) => l.phase === at.phase && l.line === at.line)
  const next = order[here + by]
  if (next) focusLine(next)
}

function move(at: LineRef, by: -1 | 1) {
  const to = neighbourPlace(formula.value, at, by)
  if (!to) return
  editor.apply({ type: 'move-line', from: at, to })
  focusLine(to)
}

function remove(at: LineRef) {
  const line = a.value.lines.find((l) => l.phase === at.phase && l.line === at.line)
  if (!line) return
  editor.apply({ type: 'remove-line', at })
  api.say(texts.removed(line.label))
  const rest = formula.value.phases[at.phase]?.lines.length ?? 0
  if (rest > 0) focusLine({ phase: at.phase, line: Math.min(at.line, rest - 1) })
}

function addPhase(after = formula.value.phases.length - 1) {
  const index = after + 1
  editor.apply({ type: 'add-phase', index, phase: { name: texts.newPhase, role: 'other', lines: [] } })
  dialogFor.value = index
}

function removePhase(index: number) {
  const phase = formula.value.phases[index]!
  const holds = phase.lines.length
  editor.apply({ type: 'remove-phase', phase: index })
  api.say(
    texts.removed2(
      phase.name || common.phase,
      holds ? texts.withWord(holds, holds === 1 ? common.line : common.lines) : '',
    ),
  )
}

function showMenu(event: Event, items: MenuItem[]) {
  lineItems.value = items
  lineMenu.value?.toggle(event)
}

const currentPhase = () => current.value?.phase ?? null
function onFocusIn(event: FocusEvent) {
  const at = (event.target as HTMLElement).closest<HTMLElement>('[data-at]')?.dataset['at']
  const phase = (event.target as HTMLElement).closest<HTMLElement>('[data-phase]')?.dataset['phase']
  if (at) {
    const [p, l] = at.split('.').map(Number)
    current.value = { phase: p!, line: l! }
  } else if (phase) current.value = { phase: Number(phase), line: -1 }
}

// Dragging: the list is put back as Vue drew it, and the move is made as an edit.
let sortables: Sortable[] = []
const phaseKeys = computed(() => formula.value.phases.map((p) => p.id).join())
watch(
  phaseKeys,
  async () => {
    await nextTick()
    sortables.forEach((s) => s.destroy())
    sortables = [...(root.value?.querySelectorAll<HTMLElement>('ol.lines') ?? [])].map((list) =>
      Sortable.create(list, { group: 'lines', handle: '.grip', animation: 120, onEnd: onDrop }),
    )
  },
  { immediate: true },
)
onBeforeUnmount(() => sortables.forEach((s) => s.destroy()))

function onDrop(event: SortableEvent) {
  const { item, from, to, oldIndex = 0, newIndex = 0 } = event
  const phaseOf = (list: HTMLElement) => Number(list.closest<HTMLElement>('[data-phase]')!.dataset['phase'])
  const [fromPhase, toPhase] = [phaseOf(from), phaseOf(to)]
  item.remove()
  from.insertBefore(item, from.children[oldIndex] ?? null)
  if (fromPhase === toPhase && oldIndex === newIndex) return
  editor.apply({
    type: 'move-line',
    from: { phase: fromPhase, line: oldIndex },
    to: { phase: toPhase, line: newIndex },
  })
}

defineExpose({ focusLine, currentPhase, addPhase, keepPlace })
</script>

<template>
  <div ref="root" class="sheet stacked" @focusin="onFocusIn">
    <h2 class="hidden-text">{{ texts.sheet }}</h2>
    <PhaseBlock
      v-for="(phase, p) in formula.phases"
      :key="phase.id"
      :phase="phase"
      :index="p"
      :total="a.phases[p]!"
      :lines="linesOf(p)"
      :marks="marks"
      :first="p === 0"
      :last="p === formula.phases.length - 1"
      @step="step"
      @move="move"
      @remove="remove"
      @menu="showMenu"
      @edit="dialogFor = p"
      @add-after="addPhase(p)"
      @remove-phase="removePhase(p)"
      @move-phase="editor.apply({ type: 'move-phase', from: p, to: p + $event })"
    />
    <div class="abreast wraps spread">
      <Button :label="texts.addAPhase" icon="pi pi-plus" text size="small" @click="addPhase()" />
      <div class="total" :class="{ off: !a.amounts.balanced }">
        <span>{{ common.total }}</span>
        <span class="mono">{{ formatNumber(a.amounts.totalPercent, 2, 4) }} %</span>
        <span class="mono grams">{{ formatGrams(a.amounts.totalGrams, a.amounts.resolutionGrams) }}</span>
      </div>
    </div>
    <p class="hint muted small">
      <kbd>/</kbd> {{ texts.findsAnIngredient }} <kbd>?</kbd> {{ texts.listsTheKeys }}
    </p>
    <Menu ref="lineMenu" :model="lineItems" popup />
    <PhaseDialog :index="dialogFor" @close="dialogFor = null" />
  </div>
</template>

<style scoped>
.sheet {
  min-width: 0;
  padding: 0.875rem 0 4rem;
  align-content: start;
}
.total {
  display: flex;
  gap: 0.5rem;
  padding-right: calc(28px + 1.125rem);
  font-weight: 700;
}
.total .grams {
  min-width: 7.2rem;
  text-align: right;
}
.total > :first-child {
  padding-right: 0.5rem;
}
.total.off {
  color: var(--stop);
}
.hint kbd {
  padding: 0 0.35rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-s);
  background: var(--paper);
  font-family: var(--mono);
}
@media (max-width: 620px) {
  .hint {
    display: none;
  }
  .total {
    padding-right: 0.75rem;
  }
}
</style>
