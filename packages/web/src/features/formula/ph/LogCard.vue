<script setup lang="ts">
import { methodText } from '@omblet/core/words'
import { common } from '#words/common'
import { logCard as texts } from '#words/formula-ph'
import {
  adjusterName,
  decimalsOf,
  formatNumber,
  partsOfAddition,
  phLog,
  removeEntry,
  sayNumber,
  takeInAdditions,
  type LogEntry,
} from '@omblet/core'
import { format, isToday } from 'date-fns'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton } from '../../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed } from 'vue'
import { notify } from '../../../components/notify'
import { useEditor } from '../../../stores/editor'
import ReadingForm from '../ReadingForm.vue'
import { useTitration } from './titration'

const t = useTitration()
const editor = useEditor()
const toast = useToast()

const entries = computed(() => phLog(t.formula.value))
const places = computed(() => decimalsOf(t.assessment.value.amounts.resolutionGrams))

function when(at: string | undefined) {
  const day = at ? new Date(at) : null
  if (!day || Number.isNaN(day.getTime())) return '–'
  return isToday(day) ? format(day, 'HH:mm') : format(day, 'd MMM')
}
const stamp = (e: LogEntry) => when(e.kind === 'read' ? e.reading.at : e.addition.at)
const words = (e: LogEntry) =>
  e.kind === 'read'
    ? texts.measuredBy(methodText(e.reading.method))
    : `${adjusterName(e.addition.material).toLowerCase()}, ${sayNumber(e.addition.strengthPercent)} %`
const value = (e: LogEntry) =>
  e.kind === 'read' ? sayNumber(e.reading.ph) : `${formatNumber(e.addition.grams, places.value)} g`

const open = computed(() => (t.formula.value.additions ?? []).filter((x) => !x.inFormula))
/** What was added and is not yet in the formula, one sentence an adjuster. */
const counted = computed(() => {
  const sums = new Map<string, { grams: number; dry: number; water: number }>()
  for (const x of open.value) {
    const sum = sums.get(x.material) ?? { grams: 0, dry: 0, water: 0 }
    const parts = partsOfAddition(x)
    sum.grams += x.grams
    sum.dry += parts.dryGrams
    sum.water += parts.waterGrams
    sums.set(x.material, sum)
  }
  const from = t.assessment.value.amounts.fillIndex === null ? '' : texts.deductedFromTheQS
  return [...sums].map(([material, s]) =>
    texts.gGAndGWater(
      formatNumber(s.grams, places.value),
      formatNumber(s.dry, places.value),
      adjusterName(material).toLowerCase(),
      formatNumber(s.water, places.value),
      from,
    ),
  )
})
function takeIn() {
  const edit = takeInAdditions(t.formula.value)
  if (!edit) return
  editor.apply(edit)
  notify(toast, texts.addedToTheFormulaAs, { label: common.undo, run: () => editor.undo() })
}
function remove(entry: LogEntry) {
  editor.apply(removeEntry(t.formula.value, entry))
  notify(toast, texts.removedFromTheLog, { label: common.undo, run: () => editor.undo() })
}
</script>

<template>
  <TitledCard :title="texts.log" class="closer">
    <ol v-if="entries.length">
      <li v-for="entry in entries" :key="`${entry.kind}${entry.index}`" :class="entry.kind">
        <span class="mono small muted">{{ stamp(entry) }}</span>
        <span class="words"
          >{{ words(entry)
          }}<span v-if="entry.kind === 'added' && entry.addition.inFormula" class="muted small">
            {{ texts.inTheFormula }}</span
          ></span
        >
        <span class="mono value">{{ value(entry) }}</span>
        <button
          type="button"
          :aria-label="texts.remove(words(entry), value(entry))"
          :title="texts.removeFromTheLog"
          @click="remove(entry)"
        >
          <i class="pi pi-times" aria-hidden="true"></i>
        </button>
      </li>
    </ol>
    <p v-else class="muted small">
      {{ texts.noEntriesYetAMeasurement }}
    </p>
    <p v-for="line in counted" :key="line" class="small muted">{{ line }}</p>
    <PlainButton v-if="open.length" :label="texts.addToFormula" size="small" class="take" @click="takeIn" />
    <ReadingForm v-if="!t.model.value" id="log-read" :label="common.read" />
  </TitledCard>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 3.1rem minmax(0, 1fr) auto 28px;
  align-items: center;
  gap: 0.375rem;
  min-height: 34px;
  border-top: 1px solid var(--line);
}
li.read .value {
  font-weight: 700;
}
.words {
  overflow-wrap: anywhere;
  font-size: var(--text-note);
  line-height: 1.25;
}
li button {
  width: 28px;
  height: 28px;
  border: 0;
  border-radius: var(--round-m);
  background: none;
  color: var(--muted);
  cursor: pointer;
}
li button:hover {
  background: var(--wash);
  color: var(--ink);
}
li .pi {
  font-size: var(--text-tiny);
}
.take {
  justify-self: start;
}
</style>
