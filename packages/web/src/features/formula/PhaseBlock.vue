<script setup lang="ts">
import { common } from '#words/common'
import { phaseBlock as texts } from '#words/formula'
import { routeChoiceText, routeReasonText, goesText } from '@omblet/core/words'
import {
  formatGrams,
  formatNumber,
  routeChoices,
  type AssessedLine,
  type LineRef,
  type Phase,
  type PhaseTotal,
} from '@omblet/core'
import MenuButton from '../../components/MenuButton.vue'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { computed, inject, ref } from 'vue'
import { useEditor } from '../../stores/editor'
import LineRow from './LineRow.vue'
import { heatWords, sheetKey } from './sheet'

const props = defineProps<{
  phase: Phase
  index: number
  total: PhaseTotal
  lines: { line: AssessedLine; index: number }[]
  marks: ReadonlyMap<string, 'stop' | 'check'>
  first: boolean
  last: boolean
}>()
const emit = defineEmits<{
  step: [at: LineRef, by: -1 | 1]
  move: [at: LineRef, by: -1 | 1]
  remove: [at: LineRef]
  edit: []
  addAfter: []
  removePhase: []
  movePhase: [by: -1 | 1]
  menu: [event: Event, items: MenuItem[]]
}>()

const editor = useEditor()
const api = inject(sheetKey)!
/** Everything that a row shows: of three hundred rows a keystroke draws only those that look otherwise now. */
const looks = (line: AssessedLine, at: number) => {
  const cap = editor.derived!.caps[at]
  const mark = props.marks.get(`${line.phase}.${line.line}`)
  return [
    line.source,
    line.material,
    line.substances,
    line.label,
    line.phase,
    line.line,
    line.percent,
    line.grams,
    line.dosePercent,
    line.given,
    line.fill,
    cap?.maxPercent,
    cap?.source,
    cap?.open,
    mark,
  ]
}
const routes = ref<InstanceType<typeof Menu>>()
const part = computed(() => editor.derived!.parts.find((p) => p.index === props.index) ?? null)
const goes = computed(() => (part.value ? goesText(part.value, editor.derived!.parts) : ''))
const routeItems = computed<MenuItem[]>(() =>
  routeChoices(editor.assessment!, props.index).map((c) => ({
    label: routeChoiceText(c),
    icon: c.chosen ? 'pi pi-check' : 'pi pi-minus',
    command: () => editor.apply({ type: 'patch-phase', phase: props.index, patch: { goes: c.goes } }),
  })),
)
const temperature = computed(() => heatWords(props.phase))
const items = computed(() => [
  { label: texts.nameRoleAndHeat, icon: 'pi pi-pencil', command: () => emit('edit') },
  { label: texts.addIngredient, icon: 'pi pi-plus', command: () => api.find(props.index) },
  { label: texts.addPhaseBelow, icon: 'pi pi-clone', command: () => emit('addAfter') },
  {
    label: texts.moveUp,
    icon: 'pi pi-arrow-up',
    disabled: props.first,
    command: () => emit('movePhase', -1),
  },
  {
    label: texts.moveDown,
    icon: 'pi pi-arrow-down',
    disabled: props.last,
    command: () => emit('movePhase', 1),
  },
  { label: common.remove, icon: 'pi pi-trash', command: () => emit('removePhase') },
])
</script>

<template>
  <section
    class="phase card"
    :data-phase="index"
    :data-role="phase.role"
    :aria-label="texts.phase(total.letter, phase.name)"
  >
    <header class="abreast">
      <span class="phase-badge" :style="{ background: 'var(--phase)' }">{{ total.letter }}</span>
      <button
        type="button"
        class="label abreast level wraps bare"
        aria-haspopup="dialog"
        @click="emit('edit')"
      >
        <span class="phase-name bold">{{ phase.name || texts.unnamedPhase }}</span>
        <span class="muted small">{{
          temperature || (phase.role === 'oil' || phase.role === 'water' ? texts.notHeated : '')
        }}</span>
      </button>
      <button
        v-if="part"
        type="button"
        class="goes small"
        aria-haspopup="menu"
        :aria-label="texts.phaseGoesChange(total.letter, goes, routeReasonText(part.route.reason))"
        :title="routeReasonText(part.route.reason)"
        @click="routes?.toggle($event)"
      >
        <i class="pi pi-arrow-right" aria-hidden="true"></i> {{ goes }}
      </button>
      <Menu ref="routes" :model="routeItems" popup />
      <span class="sums mono">
        <span>{{ formatNumber(total.percent) }} %</span>
        <span class="grams">{{ formatGrams(total.grams, editor.assessment!.amounts.resolutionGrams) }}</span>
      </span>
      <MenuButton class="dots" :items="items" :more="texts.moreForPhase(total.letter)" size="small" />
    </header>
    <p v-if="phase.note" class="note small">{{ phase.note }}</p>
    <ol class="lines">
      <LineRow
        v-for="{ line, index: at } in lines"
        :key="line.source.id"
        v-memo="looks(line, at)"
        :line="line"
        :cap="editor.derived!.caps[at]"
        :mark="marks.get(`${line.phase}.${line.line}`)"
        @step="emit('step', line, $event)"
        @move="emit('move', line, $event)"
        @remove="emit('remove', line)"
        @menu="(event, items) => emit('menu', event, items)"
      />
    </ol>
    <button v-if="lines.length === 0" type="button" class="empty bare" @click="api.find(index)">
      <i class="pi pi-plus" aria-hidden="true"></i> {{ texts.noIngredientsInThisPhase }}
    </button>
  </section>
</template>

<style scoped>
.goes {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
  min-height: 28px;
  border: 0;
  border-radius: var(--round-m);
  padding: 0 0.5rem;
  background: transparent;
  color: var(--accent-ink);
  text-align: left;
  cursor: pointer;
}
.goes:hover {
  background: var(--wash);
}
.goes .pi {
  font-size: var(--text-tiny);
}
.phase {
  overflow: clip;
}
header {
  min-height: 40px;
  padding: 0.25rem 0.5rem 0.25rem 0.75rem;
}
.label {
  gap: 0 0.5rem;
  min-width: 0;
  min-height: 28px;
  padding: 0.125rem 0.25rem;
  overflow-wrap: anywhere;
}
.label:hover .phase-name {
  text-decoration: underline;
  text-decoration-color: var(--line-strong);
  text-underline-offset: 3px;
}
.sums {
  display: flex;
  gap: 0.5rem;
  margin-left: auto;
  font-weight: 700;
  white-space: nowrap;
}
.sums .grams {
  min-width: 7.2rem;
  text-align: right;
}
header :deep(.dots) {
  width: 28px;
  height: 28px;
}
.note {
  padding: 0 0.75rem 0.5rem 3rem;
  color: var(--muted);
  font-style: italic;
  overflow-wrap: anywhere;
}
.lines {
  min-height: 4px;
}
.empty {
  width: 100%;
  padding: 0.625rem 0.75rem;
  border-top: 1px solid var(--line);
  color: var(--muted);
}
.empty:hover {
  color: var(--accent-ink);
  background: var(--wash);
}
@media (max-width: 620px) {
  header {
    flex-wrap: wrap;
    gap: 0 0.5rem;
  }
  .label {
    flex: 1 1 6rem;
  }
  /* where it goes stands below, so that no name is cut */
  .goes {
    order: 1;
    flex: 1 1 100%;
    min-height: 32px;
    padding-left: 2.375rem;
  }
  .sums {
    gap: 0.5rem;
    font-size: var(--text-note);
  }
  .sums .grams {
    min-width: 0;
  }
}
</style>
