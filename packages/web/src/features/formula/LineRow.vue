<script setup lang="ts">
import { lineRow as texts } from '#words/formula'
import { knownText, unknownPhText } from '@omblet/core/words'
import {
  capitalise,
  decimalsOf,
  knownOf,
  phNotTold,
  formatNumber,
  type AssessedLine,
  type CapMark,
} from '@omblet/core'
import type { MenuItem } from 'primevue/menuitem'
import { computed, inject, ref } from 'vue'
import DoseRail from '../../components/DoseRail.vue'
import FindingMark from '../../components/FindingMark.vue'
import KnownMark from '../../components/KnownMark.vue'
import { useEditor } from '../../stores/editor'
import AmountField from './AmountField.vue'
import LineDialog from './LineDialog.vue'
import LineNote from './LineNote.vue'
import { sameLine, sheetKey } from './sheet'
import { useLineMenu } from './use-line-menu'

const props = defineProps<{
  line: AssessedLine
  cap: CapMark | null | undefined
  mark: 'stop' | 'check' | undefined
}>()
const emit = defineEmits<{
  step: [by: -1 | 1]
  move: [by: -1 | 1]
  remove: []
  menu: [event: Event, items: MenuItem[]]
}>()

const editor = useEditor()
const api = inject(sheetKey)!
const row = ref<HTMLElement>()
const amount = ref<InstanceType<typeof AmountField>>()
const lineNote = ref<InstanceType<typeof LineNote>>()
const problem = ref<string | null>(null)
const said = ref<string | null>(null)
const detailsOpen = ref(false)

const source = computed(() => props.line.source)
const unit = computed<'percent' | 'grams'>(() => (source.value.grams !== undefined ? 'grams' : 'percent'))
const places = computed(() => decimalsOf(editor.assessment!.amounts.resolutionGrams))
const name = computed(() => capitalise(props.line.label))
const known = computed(() => knownOf(props.line))
const unmeasured = computed(() => {
  const why = phNotTold(props.line, editor.assessment?.waterPercent ?? 0)
  return why && unknownPhText(why)
})
const inci = computed(() => props.line.material?.inci.join(', ') ?? knownText(known.value))
const lit = computed(() => api.highlighted.value.some((at) => sameLine(at, props.line)))

const openNote = () => void lineNote.value?.open()
const focusCell = (cell: string) => row.value?.querySelector<HTMLElement>(`[data-cell="${cell}"]`)?.focus()
function onSideKey(event: KeyboardEvent, cell: 'name' | 'menu') {
  if ((cell === 'name' && event.key === 'ArrowRight') || (cell === 'menu' && event.key === 'ArrowLeft')) {
    event.preventDefault()
    amount.value?.focus()
  } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    event.preventDefault()
    emit('step', event.key === 'ArrowUp' ? -1 : 1)
  }
}

const items = useLineMenu(() => props.line, {
  details: () => (detailsOpen.value = true),
  note: openNote,
  switchTo: (to) => void amount.value?.switchTo(to),
  move: (by) => emit('move', by),
  remove: () => emit('remove'),
})
</script>

<template>
  <li ref="row" class="line" :class="{ lit }" :data-at="`${line.phase}.${line.line}`" :data-line="source.id">
    <span class="grip" aria-hidden="true" :title="texts.dragToMove"><i class="pi pi-bars"></i></span>
    <button
      type="button"
      class="names bare"
      data-cell="name"
      tabindex="-1"
      aria-haspopup="dialog"
      @click="detailsOpen = true"
      @keydown="onSideKey($event, 'name')"
    >
      <span class="common abreast wraps grow breaks">
        {{ name }}<span v-if="line.strengthWords" class="strength mono">{{ line.strengthWords }}</span>
        <FindingMark v-if="mark" :severity="mark" :size="14" />
        <span v-if="mark" class="hidden-text">({{ mark }})</span>
      </span>
      <span class="inci"
        ><KnownMark :known="known" class="ring" /><span v-if="unmeasured" class="ph-open" :title="unmeasured"
          >{{ texts.phEffectUnknown }}<span class="hidden-text">: {{ unmeasured }}</span></span
        >{{ inci }}</span
      >
    </button>
    <DoseRail
      v-if="!line.fill && line.material?.kind !== 'water'"
      class="dose-rail"
      :dose="line.dosePercent"
      :usage="line.material?.usage"
      :cap="cap"
    />
    <span v-else class="dose-rail"></span>
    <span class="cell percent abreast">
      <AmountField
        v-if="unit === 'percent'"
        ref="amount"
        :line="line"
        :name="name"
        unit="percent"
        :alarming="mark === 'stop'"
        @step="emit('step', $event)"
        @move="emit('move', $event)"
        @remove="emit('remove')"
        @note="openNote"
        @aside="focusCell"
        @problem="problem = $event"
        @said="said = $event"
      />
      <span v-else class="mono plain">{{ formatNumber(line.percent, 2, 3) }}</span>
      <span class="mono muted text-note" aria-hidden="true">%</span>
    </span>
    <span class="cell grams abreast">
      <AmountField
        v-if="unit === 'grams'"
        ref="amount"
        :line="line"
        :name="name"
        unit="grams"
        :alarming="mark === 'stop'"
        @step="emit('step', $event)"
        @move="emit('move', $event)"
        @remove="emit('remove')"
        @note="openNote"
        @aside="focusCell"
        @problem="problem = $event"
        @said="said = $event"
      />
      <span v-else class="mono plain">{{ line.given ? formatNumber(line.grams, places) : '–' }}</span>
      <span class="mono muted text-note" aria-hidden="true">g</span>
    </span>
    <button
      type="button"
      class="dots bare"
      data-cell="menu"
      tabindex="-1"
      :aria-label="texts.moreFor(name)"
      aria-haspopup="menu"
      @click="emit('menu', $event, items())"
      @keydown="onSideKey($event, 'menu')"
    >
      <i class="pi pi-ellipsis-v" aria-hidden="true"></i>
    </button>
    <p v-if="problem" :id="`problem-${source.id}`" class="problem error-text" role="alert">{{ problem }}</p>
    <p v-else-if="said" class="problem muted small" aria-live="polite">{{ said }}</p>
    <LineNote ref="lineNote" :line="line" :name="name" />
    <LineDialog v-if="detailsOpen" v-model:open="detailsOpen" :line="line" :cap="cap ?? null" />
  </li>
</template>

<style scoped>
.ph-open {
  margin-right: 0.375rem;
  color: var(--check);
  font-size: var(--text-tiny);
}
.line {
  display: grid;
  grid-template-columns: 20px minmax(8rem, 1fr) minmax(4rem, 7.5rem) 7.4rem 7.2rem 28px;
  align-items: center;
  gap: 0 0.5rem;
  min-height: 43px;
  padding: 0.1875rem 0.5rem 0.1875rem 0.625rem;
  border-top: 1px solid var(--line);
  background: var(--paper);
}
.line.lit {
  background: var(--wash);
}
.line.sortable-ghost {
  opacity: 0.45;
}
.grip {
  display: grid;
  place-items: center;
  height: 28px;
  color: var(--line-strong);
  cursor: grab;
  font-size: var(--text-small);
}
.line:hover .grip {
  color: var(--muted);
}
.names {
  display: grid;
  min-width: 0;
  padding: 0.125rem 0.25rem;
  line-height: 1.25;
}
.names:hover .common {
  color: var(--accent-ink);
}
.strength {
  padding: 0 0.3rem;
  border-radius: var(--round-s);
  background: var(--cobalt-100);
  color: var(--accent-ink);
  font-size: var(--text-tiny);
  white-space: nowrap;
}
.inci {
  overflow: hidden;
  color: var(--muted);
  font-size: var(--text-tiny);
  text-overflow: ellipsis;
  white-space: nowrap;
}
.ring {
  margin-right: 0.375rem;
  vertical-align: -2px;
}
.cell {
  gap: 0.25rem;
  justify-content: flex-end;
}
.plain {
  padding-right: 0.5rem;
}
.grams .plain {
  padding-right: 0;
  color: var(--muted);
}
.percent .plain {
  color: var(--muted);
}
.dots {
  width: 28px;
  height: 28px;
  display: grid;
  place-items: center;
  border-radius: var(--round-xl);
  color: var(--muted);
}
.dots:hover {
  background: var(--bench);
}
.problem {
  grid-column: 2 / -2;
  padding: 0 0.25rem 0.25rem;
  text-align: right;
}
@media (max-width: 620px) {
  .line {
    grid-template-columns: 24px minmax(0, 1fr) 7.2rem 32px;
    padding-block: 0.375rem;
  }
  .dose-rail {
    grid-area: 2 / 2;
  }
  .percent {
    grid-area: 1 / 3;
  }
  .grams {
    grid-area: 2 / 3;
  }
  .dots {
    grid-area: 1 / 4;
  }
}
</style>
