<script setup lang="ts">
import { propertyRow as texts } from '#words/stability'
import { verdictText, asideText } from '@omblet/core/words'
import {
  WATCH,
  type Assessment,
  type Property,
  type Series,
  type Storage,
  type Verdict,
  uncapitalise,
} from '@omblet/core'
import { computed } from 'vue'
import FindingMark from '../../components/FindingMark.vue'
import type { Earlier } from './use-earlier'
import WatchChart from './WatchChart.vue'
import { MARK, runsOf, sayRun } from './words'

/** One property over the weeks: its numbers as a chart, its words in their order, and what they mean. */
const props = defineProps<{
  property: Property
  list: readonly Verdict[]
  earlier: readonly Earlier[]
  assessment: Assessment
}>()
type Said = Series['said'][number]
const facts = computed(() => WATCH.properties[props.property])
const numbers = computed(() => props.list.filter((v) => v.series.reads.length > 0))
const way = computed(() => numbers.value[0]?.series.way ?? null)
const several = computed(() => props.list.length > 1)
/** Answers of each sample, those of samples that were answered alike all along in one line. */
const said = computed(() => {
  const lines: { key: string; storage: Storage; who: string[]; runs: ReturnType<typeof runsOf<Said>> }[] = []
  for (const { series } of props.list) {
    if (series.said.length === 0) continue
    const runs = runsOf(series.said)
    const who = uncapitalise(WATCH.storages[series.storage].label)
    const alike = lines.find(
      (l) => l.runs.length === 1 && runs.length === 1 && l.runs[0]!.first.words === runs[0]!.first.words,
    )
    if (alike) alike.who.push(who)
    else lines.push({ key: series.sample, storage: series.storage, who: [who], runs })
  }
  return lines
})
/** Sentences for what is measured or not as it should be; all else is told by its marks. */
const means = computed(() => props.list.filter((v) => v.series.reads.length > 0 || v.grade !== 'fine'))
const aside = computed(() => [
  ...new Set(props.list.flatMap((v) => v.series.aside.map((a) => asideText(a.why)))),
])
</script>

<template>
  <section class="row" :aria-label="facts.label">
    <div class="name">
      <h3>{{ facts.label }}</h3>
      <span v-if="way" class="muted small"
        >{{ WATCH.ways[way].label
        }}<template v-if="property !== 'ph' && property !== 'colour'"
          >, {{ WATCH.ways[way].unit }}</template
        ></span
      >
    </div>
    <div class="middle">
      <WatchChart
        v-if="numbers.length && way"
        :property="property"
        :way="way"
        :list="numbers"
        :earlier="earlier"
        :assessment="assessment"
      />
      <p v-for="line in said" :key="line.key" class="said">
        <span v-for="run in line.runs" :key="run.first.n" class="answer">
          <FindingMark :severity="MARK[run.first.grade]" :size="14" />
          <span
            >{{ run.first.words }} <span class="muted small">{{ sayRun(line.storage, run) }}</span></span
          >
        </span>
        <span v-if="several" class="muted small">{{ line.who.join(', ') }}</span>
      </p>
    </div>
    <div class="means small">
      <p v-for="v in means" :key="v.series.sample">
        <strong v-if="several">{{ WATCH.storages[v.series.storage].label }}: </strong
        >{{ verdictText(v).first }}
        {{ v.grade === 'fine' ? verdictText(v).why : '' }}
      </p>
      <p v-if="means.length === 0">{{ texts.asExpected }}</p>
      <p v-for="why in aside" :key="why" class="muted">{{ why }}</p>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 7rem minmax(0, 1fr) 12rem;
  gap: 0.25rem 0.75rem;
  padding-top: 0.625rem;
  border-top: 1px solid var(--line);
}
.name {
  display: grid;
  align-content: start;
  line-height: 1.3;
}
.middle {
  min-width: 0;
}
.said {
  display: flex;
  flex-wrap: wrap;
  gap: 0.125rem 0.75rem;
  padding-bottom: 0.25rem;
}
.answer {
  display: inline-flex;
  align-items: center;
  gap: 0.25rem;
}
.means {
  display: grid;
  align-content: start;
  gap: 0.25rem;
}
@media (max-width: 860px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
