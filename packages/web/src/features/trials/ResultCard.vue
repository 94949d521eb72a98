<script setup lang="ts">
import { common } from '#words/common'
import { resultCard as texts } from '#words/trials'
import { choiceTestText, conclusionText, leftOutText, testText } from '@omblet/core/words'
import { formatNumber, trialVerdict, type PlannedTrial, type TrialReading } from '@omblet/core'
import { computed } from 'vue'
import { HOUSEHOLD_MEASURES } from './household-measures'
import Letter from './Letter.vue'

/** What the trial tells: sentences first, then each attribute as a line with the samples on it. */
const props = defineProps<{ trial: PlannedTrial }>()
const verdict = computed(() => trialVerdict(props.trial))
const head = computed(() => verdict.value.head.map(conclusionText))
const at = (id: string) => props.trial.samples.findIndex((s) => s.id === id)
const reference = (id: string) => props.trial.samples.find((s) => s.id === id)?.reference ?? false
const nameOf = (id: string) => props.trial.samples.find((s) => s.id === id)?.name ?? id

/** Badges that would lie on each other stand in rows above the line. */
const CLOSE = 7
const strip = (r: TrialReading) => {
  const [low, high] = r.scale
  const place = (v: number) => (100 * (v - low)) / (high - low || 1)
  const rows: number[] = []
  return [...r.dots]
    .sort((x, y) => x.mean - y.mean)
    .map((d) => {
      const x = place(d.mean)
      const free = rows.findIndex((last) => x - last >= CLOSE)
      const row = free >= 0 ? free : rows.length
      rows[row] = x
      return { ...d, x, row, from: place(d.low), to: place(d.high) }
    })
}
/** Figures from the kitchen stand in the same table. */
const found = computed(() =>
  HOUSEHOLD_MEASURES.filter((k) => props.trial.plan.measured.some((m) => m.what === k.what)),
)
const foundOf = (sample: string, what: string) => {
  const m = props.trial.plan.measured.find((x) => x.sample === sample && x.what === what)
  return m ? (m.choice ?? formatNumber(m.value ?? 0, 0, 2)) : ''
}
const readings = computed(() =>
  verdict.value.readings.map((r) => {
    const dots = strip(r)
    return {
      ...r,
      dots,
      rows: Math.max(1, ...dots.map((d) => d.row + 1)),
      decides: r.attribute.id === props.trial.plan.decides,
    }
  }),
)
</script>

<template>
  <section class="card stacked padded" aria-labelledby="result-title">
    <h2 id="result-title" class="hidden-text">{{ common.result }}</h2>
    <p class="head-words text-lead">
      <strong>{{ head[0] }}</strong> {{ head.slice(1).join(' ') }}
    </p>
    <p v-for="c in verdict.choices.map(choiceTestText)" :key="c">{{ c }}</p>
    <p v-if="trial.plan.seen?.length" class="small">
      {{ texts.theCodesWereOpenedBefore }}
    </p>
    <div v-for="r in readings" :key="r.attribute.id" class="reading">
      <div class="name">
        <strong>{{ r.attribute.name ?? r.attribute.id }}</strong>
        <span v-if="r.decides" class="muted small">{{ texts.decides }}</span>
      </div>
      <div class="strip" :style="{ '--rows': r.rows }">
        <div class="track">
          <i
            v-for="d in r.dots"
            :key="d.sample"
            class="range"
            :style="{ left: `${d.from}%`, width: `${Math.max(0.5, d.to - d.from)}%`, '--row': d.row }"
          ></i>
          <span
            v-for="d in r.dots"
            :key="`dot ${d.sample}`"
            class="dot"
            :style="{ left: `${d.x}%`, '--row': d.row }"
            :title="`${nameOf(d.sample)}: ${formatNumber(d.mean, 1)}`"
            ><Letter :at="at(d.sample)" :reference="reference(d.sample)"
          /></span>
        </div>
        <div class="ends small muted">
          <span>{{ r.attribute.ask === 'rank' ? texts.least : r.attribute.low }}</span><span>{{
            r.attribute.ask === 'rank' ? texts.most : r.attribute.high
          }}</span>
        </div>
      </div>
      <p class="says" :class="{ tells: r.tells }">
        {{ conclusionText(r.says) }}<span v-if="r.test" class="muted small"> ({{ testText(r.test) }})</span>
      </p>
    </div>
    <details v-if="readings.length">
      <summary class="small muted">{{ texts.asATable }}</summary>
      <div class="scroll">
        <table class="small">
          <thead>
            <tr>
              <th scope="col">{{ texts.meanSpread }}</th>
              <th v-for="s in trial.samples" :key="s.id" scope="col">{{ s.name }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in readings" :key="r.attribute.id">
              <th scope="row">{{ r.attribute.name ?? r.attribute.id }}</th>
              <td v-for="s in trial.samples" :key="s.id" class="mono">
                <template v-for="d in r.dots.filter((x) => x.sample === s.id)" :key="d.sample"
                  >{{ formatNumber(d.mean, 1) }} ± {{ formatNumber((d.high - d.low) / 2, 1) }}</template
                >
              </td>
            </tr>
            <tr v-for="k in found" :key="k.what">
              <th scope="row">{{ k.label }}</th>
              <td v-for="s in trial.samples" :key="s.id" class="mono">{{ foundOf(s.id, k.what) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
    <p v-for="l in verdict.leftOut.map(leftOutText)" :key="l" class="muted small">{{ l }}</p>
    <p class="muted small">
      {{ texts.barsShowTheStandardDeviation }}
    </p>
  </section>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(7rem, 10rem) minmax(12rem, 1.2fr) minmax(0, 1fr);
  align-items: center;
  gap: 0.5rem 1.25rem;
  padding: 0.625rem 0;
  border-top: 1px solid var(--line);
}
.name {
  display: grid;
}
.track {
  position: relative;
  height: calc(30px * var(--rows));
  margin: 0 14px;
  border-bottom: 2px solid var(--line-strong);
}
.range {
  position: absolute;
  bottom: calc(14px + 30px * var(--row));
  height: 6px;
  border-radius: var(--round-s);
  background: var(--band);
}
.dot {
  position: absolute;
  bottom: calc(4px + 30px * var(--row));
  transform: translateX(-50%);
}
.ends {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
}
.says span {
  font-weight: 400;
}
.says.tells {
  font-weight: 600;
}
th,
td {
  white-space: nowrap;
}
summary {
  min-height: 24px;
  cursor: pointer;
}
@media (max-width: 860px) {
  .reading {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
