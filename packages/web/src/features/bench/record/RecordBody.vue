<script setup lang="ts">
import { recordBody as texts } from '#words/bench-record'
import { findingText, deviationText, recordFacts, recordReadings, rowValue } from '@omblet/core/words'
import {
  actualFormula,
  deviations,
  isCaution,
  type BatchHead,
  type BatchState,
  findingKey,
} from '@omblet/core'
import { format } from 'date-fns'
import { computed } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import TitledCard from '../../../components/TitledCard.vue'
import { useMaterials } from '../../../stores/materials'
import EntriesCard from './EntriesCard.vue'
import WeighedTable from './WeighedTable.vue'

/** The record of a batch: what was wanted, what was done, what came of it. */
const props = defineProps<{
  state: BatchState
  head: BatchHead
  photos: Record<string, string>
  lots: Record<string, string>
}>()
const materials = useMaterials()

const s = computed(() => props.state)
const d = computed(() => s.value.plan.a.amounts.resolutionGrams)
const actual = computed(() => {
  const f = actualFormula(s.value)
  return f ? materials.derive(f) : null
})
const findings = computed(() =>
  actual.value
    ? actual.value.findings.filter(
        (f) => f.severity !== 'note' && !isCaution(f) && f.code !== 'weighing.too-small',
      )
    : [],
)
const inci = computed(() => actual.value?.inci ?? '')
const when = (iso: string) => format(new Date(iso), 'd MMM yyyy, HH:mm')
const clock = (iso: string) => format(new Date(iso), 'HH:mm')
const list = computed(() => deviations(s.value))
const facts = computed(() => recordFacts(s.value, props.head.who, when))
const readings = computed(() => recordReadings(s.value))
const notes = computed(() =>
  s.value.events.flatMap((e) => (e.type === 'note' && !s.value.undone.has(e.n) ? [e] : [])),
)
</script>

<template>
  <div class="record stacked">
    <section class="card facts" :aria-label="texts.batchSummary">
      <dl>
        <div v-for="f in facts" :key="f.label">
          <dt class="muted text-note">{{ f.label }}</dt>
          <dd class="mono">{{ f.value }}</dd>
        </div>
      </dl>
      <p v-if="s.finished?.reason" class="why">{{ s.finished.reason }}</p>
    </section>

    <TitledCard v-if="s.corrections.length" :title="texts.notesAddedLater" :level="2">
      <ul class="plain">
        <li v-for="c in s.corrections" :key="c.n">
          <span class="muted small">{{ when(c.at) }}</span> {{ c.text }}
        </li>
      </ul>
    </TitledCard>

    <TitledCard :title="texts.actualWeights" :level="2">
      <WeighedTable :state="s" :lots="lots" />
    </TitledCard>

    <div class="pair">
      <TitledCard :title="texts.deviations" :level="2">
        <ul v-if="list.length" class="dots">
          <li v-for="x in list" :key="x.n">{{ deviationText(x.said) }}</li>
        </ul>
        <p v-else class="muted">{{ texts.noneTheBatchWasMade }}</p>
      </TitledCard>
      <TitledCard :title="texts.phAndTemperature" :level="2">
        <table v-if="readings.length" class="tight">
          <tbody>
            <tr v-for="r in readings" :key="r.n">
              <td class="mono muted">{{ clock(r.at) }}</td>
              <td>{{ r.material || r.what }}</td>
              <td class="mono num">{{ rowValue(r, d) }}</td>
              <td class="muted small">{{ r.detail }}</td>
            </tr>
          </tbody>
        </table>
        <p v-else class="muted">{{ texts.noMeasurements }}</p>
      </TitledCard>
    </div>

    <TitledCard v-if="notes.length" :title="texts.notes" :level="2">
      <ul class="plain">
        <li v-for="e in notes" :key="e.n">
          <span class="muted small">{{ when(e.at) }}</span> {{ e.text }}
          <img
            v-if="e.photo && photos[e.photo]"
            :src="photos[e.photo]"
            :alt="e.text || texts.photoOfTheBatch"
          />
          <span v-else-if="e.photo" class="muted small">{{ texts.thePhotoIsNotOn }}</span>
        </li>
      </ul>
    </TitledCard>

    <div class="pair">
      <TitledCard :title="texts.compositionAsMade" :level="2">
        <ul v-if="findings.length" class="marks">
          <li v-for="f in findings" :key="findingKey(f)">
            <FindingMark :severity="f.severity" :size="16" /><span
              ><span class="hidden-text">{{ f.severity }}: </span>{{ findingText(f).message }}</span
            >
          </li>
        </ul>
        <p v-else class="muted">
          {{ texts.noStopsOrChecksFor }}
        </p>
      </TitledCard>
      <TitledCard :title="texts.ingredientListAsMade" :level="2">
        <p class="inci">{{ inci || '–' }}</p>
      </TitledCard>
    </div>

    <EntriesCard :state="s" />
  </div>
</template>

<style scoped>
.record {
  padding: 0.875rem 1rem;
  max-width: 1120px;
}
.card {
  padding: 1rem 1.25rem;
  min-width: 0;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 0.75rem 1rem;
  margin: 0;
}
.why {
  padding-top: 0.75rem;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
  align-items: start;
  gap: 0.75rem;
}
.dots {
  list-style: disc;
  padding-left: 1.25rem;
}
.dots li,
.plain li {
  padding-block: 0.125rem;
  overflow-wrap: anywhere;
}
.plain img {
  display: block;
  max-width: min(100%, 24rem);
  margin-top: 0.375rem;
  border-radius: var(--round-m);
}
.marks li {
  display: flex;
  gap: 0.5rem;
  padding-block: 0.125rem;
}
.marks :deep(svg) {
  margin-top: 3px;
}
.tight td {
  padding-block: 0.25rem;
}
.inci {
  overflow-wrap: anywhere;
}
@media (max-width: 620px) {
  .record {
    padding: 0.5rem;
  }
  .card {
    padding: 0.75rem;
  }
  dl {
    grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
  }
  td {
    padding-inline: 0.25rem;
  }
}
@media print {
  .record {
    display: block;
    background: var(--print-paper);
    color: var(--print-ink);
    padding: 0;
    max-width: none;
    font-size: 10pt;
  }
  .card {
    margin-top: 8pt;
    padding: 0;
    border: 0;
    border-radius: 0;
    box-shadow: none;
    background: var(--print-paper);
    break-inside: avoid;
  }
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 14pt;
    break-inside: avoid;
  }
  dl {
    grid-template-columns: repeat(4, 1fr);
    gap: 4pt 10pt;
  }
  td {
    padding-block: 2pt;
  }
}
</style>
