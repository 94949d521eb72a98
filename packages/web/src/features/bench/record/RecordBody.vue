<script setup lang="ts">
import {
  actualFormula,
  capitalise,
  deviations,
  eventRow,
  formatGrams,
  formatPercent,
  isCaution,
  madeGrams,
  recordFacts,
  recordReadings,
  recordRows,
  rowValue,
  sayNumber,
  type BatchHead,
  type BatchState,
} from '@omblet/core'
import { format } from 'date-fns'
import { computed, ref } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import { useMaterials } from '../../../stores/materials'

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
const grams = (g: number) => formatGrams(g, d.value)
const made = computed(() => madeGrams(s.value))
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
const rows = computed(() => recordRows(s.value))
const lotNames = (ids: readonly string[]) =>
  ids.map((id) => props.lots[id] ?? 'a lot that is gone').join(', ')
const doses = computed(() => s.value.doses.filter((x) => x.line === null))
const list = computed(() => deviations(s.value))
const facts = computed(() => recordFacts(s.value, props.head.who, when))
const readings = computed(() => recordReadings(s.value))
const notes = computed(() =>
  s.value.events.flatMap((e) => (e.type === 'note' && !s.value.undone.has(e.n) ? [e] : [])),
)
/** Many rows: only made once they are looked at. */
const open = ref(false)
const events = computed(() => (open.value ? s.value.events.map((e) => eventRow(s.value, e)) : []))
</script>

<template>
  <div class="record">
    <section class="card facts" aria-label="The batch in short">
      <dl>
        <div v-for="f in facts" :key="f.label">
          <dt>{{ f.label }}</dt>
          <dd class="mono">{{ f.value }}</dd>
        </div>
      </dl>
      <p v-if="s.finished?.reason" class="why">{{ s.finished.reason }}</p>
    </section>

    <section v-if="s.corrections.length" class="card" aria-labelledby="beside-title">
      <h2 id="beside-title">Written beside it</h2>
      <ul class="plain">
        <li v-for="c in s.corrections" :key="c.n">
          <span class="muted small">{{ when(c.at) }}</span> {{ c.text }}
        </li>
      </ul>
    </section>

    <section class="card" aria-labelledby="weighed-title">
      <h2 id="weighed-title">What was weighed</h2>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col"></th>
              <th scope="col">Material</th>
              <th scope="col" class="number target">Target</th>
              <th scope="col" class="number">Weighed</th>
              <th scope="col" class="number">In the batch</th>
              <th scope="col" class="number designed">Designed</th>
              <th scope="col" class="lot">Lot</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(r, i) in rows" :key="i">
              <td>
                <span class="phase-badge" :data-role="r.role">{{ r.letter }}</span>
              </td>
              <td>
                {{ capitalise(r.label) }}<span v-if="r.state" class="state small">{{ r.state }}</span>
                <span v-if="r.water" class="muted small block">{{
                  r.water < 0 ? `less ${grams(-r.water)} that left` : `and ${grams(r.water)} put back`
                }}</span>
              </td>
              <td class="mono number target">{{ grams(r.target) }}</td>
              <td class="mono number">{{ r.weighed > 0 ? grams(r.weighed) : '–' }}</td>
              <td class="mono number">
                {{ r.weighed > 0 ? formatPercent(Number(r.percent.toFixed(2))) : '–' }}
              </td>
              <td class="mono number muted designed">{{ formatPercent(Number(r.designed.toFixed(2))) }}</td>
              <td class="lot small">{{ lotNames(r.lots) || '–' }}</td>
            </tr>
            <tr v-for="x in doses" :key="x.n">
              <td><span class="phase-badge" data-role="adjust">pH</span></td>
              <td>{{ capitalise(x.material.replaceAll('-', ' ')) }}, {{ sayNumber(x.strengthPercent) }} %</td>
              <td class="mono number target">–</td>
              <td class="mono number">{{ grams(x.grams) }}</td>
              <td class="mono number">{{ formatPercent(Number(((100 * x.grams) / made).toFixed(2))) }}</td>
              <td class="mono number muted designed">–</td>
              <td class="lot small">–</td>
            </tr>
          </tbody>
          <tfoot>
            <tr>
              <td></td>
              <td>Batch</td>
              <td class="mono number target">{{ grams(s.totalTarget) }}</td>
              <td class="mono number" data-testid="made">{{ grams(made) }}</td>
              <td class="mono number">{{ made > 0 ? formatPercent(100) : '–' }}</td>
              <td class="designed"></td>
              <td class="lot"></td>
            </tr>
          </tfoot>
        </table>
      </div>
    </section>

    <div class="pair">
      <section class="card" aria-labelledby="otherwise-title">
        <h2 id="otherwise-title">What went otherwise</h2>
        <ul v-if="list.length" class="dots">
          <li v-for="x in list" :key="x.n">{{ x.text }}</li>
        </ul>
        <p v-else class="muted">Nothing: it was made as planned.</p>
      </section>
      <section class="card" aria-labelledby="readings-title">
        <h2 id="readings-title">pH and temperature</h2>
        <table v-if="readings.length" class="tight">
          <tbody>
            <tr v-for="r in readings" :key="r.n">
              <td class="mono muted">{{ clock(r.at) }}</td>
              <td>{{ r.material || r.what }}</td>
              <td class="mono number">{{ rowValue(r, d) }}</td>
              <td class="muted small">{{ r.detail }}</td>
            </tr>
          </tbody>
        </table>
        <p v-else class="muted">Nothing was read.</p>
      </section>
    </div>

    <section v-if="notes.length" class="card" aria-labelledby="notes-title">
      <h2 id="notes-title">Notes</h2>
      <ul class="plain">
        <li v-for="e in notes" :key="e.n">
          <span class="muted small">{{ when(e.at) }}</span> {{ e.text }}
          <img
            v-if="e.photo && photos[e.photo]"
            :src="photos[e.photo]"
            :alt="e.text || 'Photo of the batch'"
          />
          <span v-else-if="e.photo" class="muted small">Its photo is not on this device.</span>
        </li>
      </ul>
    </section>

    <div class="pair">
      <section class="card" aria-labelledby="found-title">
        <h2 id="found-title">What is in the jar</h2>
        <ul v-if="findings.length" class="marks">
          <li v-for="f in findings" :key="f.message">
            <FindingMark :severity="f.severity" :size="16" /><span
              ><span class="hidden-text">{{ f.severity }}: </span>{{ f.message }}</span
            >
          </li>
        </ul>
        <p v-else class="muted">
          By what was really weighed there is nothing to stop or check. That is no safety assessment.
        </p>
      </section>
      <section class="card" aria-labelledby="inci-title">
        <h2 id="inci-title">Ingredients as made</h2>
        <p class="inci">{{ inci || '–' }}</p>
      </section>
    </div>

    <details class="card" @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>Every entry, {{ s.events.length }}</summary>
      <div v-if="open" class="scroll">
        <table class="tight">
          <thead>
            <tr>
              <th scope="col" class="number">No.</th>
              <th scope="col">Time</th>
              <th scope="col">What</th>
              <th scope="col">Material</th>
              <th scope="col" class="number">Value</th>
              <th scope="col">Detail</th>
              <th scope="col">Step</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in events" :key="r.n" :class="{ undone: r.undone }">
              <td class="mono number">{{ r.n }}</td>
              <td class="mono">{{ clock(r.at) }}</td>
              <td>{{ r.what }}<span v-if="r.undone" class="muted small"> (taken back)</span></td>
              <td>{{ r.material }}</td>
              <td class="mono number">{{ rowValue(r, d) }}</td>
              <td>{{ r.detail }}</td>
              <td class="muted">{{ r.step }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
  </div>
</template>

<style scoped>
.record {
  display: grid;
  gap: 0.875rem;
  padding: 0.875rem 1rem;
  max-width: 1120px;
}
.card {
  padding: 1rem 1.25rem;
  min-width: 0;
}
h2,
summary {
  font-size: var(--text-lead);
  font-weight: 700;
  padding-bottom: 0.5rem;
}
summary {
  padding: 0;
  min-height: 44px;
  display: list-item;
  line-height: 44px;
  cursor: pointer;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 0.75rem 1rem;
  margin: 0;
}
dt {
  color: var(--muted);
  font-size: var(--text-note);
}
dd {
  margin: 0;
}
.why {
  padding-top: 0.75rem;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
  align-items: start;
  gap: 0.875rem;
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding: 0.25rem 0.5rem;
  color: var(--muted);
  font-size: var(--text-small);
  font-weight: 400;
  text-align: left;
}
td {
  padding: 0.375rem 0.5rem;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
.number {
  text-align: right;
  white-space: nowrap;
}
tfoot td {
  font-weight: 700;
  border-top: 2px solid var(--line-strong);
}
.phase-badge {
  background: var(--phase);
}
.state {
  margin-left: 0.5rem;
  padding: 0 0.5rem;
  border-radius: 999px;
  background: var(--check-wash);
  color: var(--check);
}
.block {
  display: block;
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
.undone td {
  text-decoration: line-through;
  color: var(--muted);
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
  .designed,
  .lot,
  .target {
    display: none;
  }
  dl {
    grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
  }
  td,
  th {
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
  .phase-badge {
    min-width: 14pt;
    height: 14pt;
    font-size: 8pt;
    print-color-adjust: exact;
  }
  h2 {
    font-size: 11pt;
    padding-bottom: 2pt;
  }
  dl {
    grid-template-columns: repeat(4, 1fr);
    gap: 4pt 10pt;
  }
  td {
    padding-block: 2pt;
  }
  details {
    display: none;
  }
}
</style>
