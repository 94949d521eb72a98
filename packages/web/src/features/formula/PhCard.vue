<script setup lang="ts">
import { common } from '#words/common'
import { phCard as texts } from '#words/formula'
import {
  capitalise,
  formatRange,
  formatNumber,
  type PhPrediction,
  type PhWindows,
  type Reading,
} from '@omblet/core'
import { computed, ref } from 'vue'
import { useEditor } from '../../stores/editor'
import PhEntries from './PhEntries.vue'

const props = defineProps<{
  windows: PhWindows
  reading: Reading | null
  predicted: PhPrediction | null
  target: { min: number; max: number } | null
  shut: boolean
}>()

const editor = useEditor()
const FROM = 2
const TO = 10
const at = (ph: number) => ((Math.max(FROM, Math.min(TO, ph)) - FROM) / (TO - FROM)) * 100
const order = { works: 0, holds: 1, prefers: 2, skin: 3 }
const GRADE = texts.grades

const clashing = computed(() => new Set(props.windows.clashes.flatMap(({ a, b }) => [a.id, b.id])))
const rows = computed(() =>
  [...props.windows.items]
    .sort((a, b) => order[a.grade] - order[b.grade] || a.max - a.min - (b.max - b.min))
    .map((item) => ({
      ...item,
      clash: clashing.value.has(item.id),
      spoken: texts.atPh(item.label, GRADE[item.grade], formatRange(item)),
    })),
)
const showAll = ref(false)
const MOST = 6
const shown = computed(() =>
  showAll.value ? rows.value : rows.value.filter((r, i) => i < MOST || r.grade === 'skin'),
)
const headline = computed(() =>
  props.windows.clashes.length > 0
    ? texts.noCommonRange
    : props.windows.fits
      ? texts.commonRange(formatRange(props.windows.fits))
      : props.windows.shared
        ? texts.noRangeSuitsTheSite
        : texts.noRequirement,
)

/** `phenoxyethanol with …` and `panthenol (D-form)` are long for a row: the first word tells. */
const shortLabel = (label: string) => capitalise(label.split(/ with | \(|, /)[0]!)
</script>

<template>
  <section class="card ph padded" aria-labelledby="ph-title">
    <header class="abreast level spread">
      <h2 class="text-less" id="ph-title">{{ texts.phRanges }}</h2>
      <span class="muted small">{{ shut ? texts.cannotBeMeasured : headline }}</span>
    </header>
    <div class="chart">
      <div v-for="row in shown" :key="row.id" class="row" :title="row.spoken">
        <span class="label cut">{{ shortLabel(row.label) }}</span>
        <span class="track" role="img" :aria-label="row.spoken + (row.clash ? texts.clashes : '')">
          <span
            class="bar"
            :class="[row.grade, { clash: row.clash }]"
            :style="{ left: `${at(row.min)}%`, right: `${100 - at(row.max)}%` }"
          ></span>
        </span>
        <span class="grade" :class="{ clash: row.clash }">{{
          row.clash ? texts.clashes2 : GRADE[row.grade]
        }}</span>
      </div>
      <div class="marks" aria-hidden="true">
        <span
          v-if="predicted"
          class="predicted"
          :style="{ left: `${at(predicted.low)}%`, right: `${100 - at(predicted.high)}%` }"
        ></span>
        <span
          v-if="target"
          class="target"
          :style="{ left: `${at(target.min)}%`, right: `${100 - at(target.max)}%` }"
        ></span>
        <span v-if="reading" class="reading" :style="{ left: `${at(reading.ph)}%` }"></span>
      </div>
    </div>
    <div class="axis mono" aria-hidden="true">
      <span></span
      ><span class="ticks"
        ><i v-for="n in [2, 4, 6, 8, 10]" :key="n" :style="{ left: `${at(n)}%` }">{{ n }}</i></span
      ><span></span>
    </div>
    <button
      v-if="rows.length > shown.length || showAll"
      type="button"
      class="more small bare"
      @click="showAll = !showAll"
    >
      {{ showAll ? common.showFewer : texts.showAll(rows.length) }}
    </button>
    <p class="as-written small">
      <template v-if="predicted"
        >{{ texts.predictedPh }} <strong class="mono">{{ formatNumber(predicted.value, 1) }}</strong> ({{
          formatNumber(predicted.low, 1)
        }}–{{ formatNumber(predicted.high, 1) }}).</template
      >
      <template v-else-if="!shut">{{ texts.phCannotBePredictedHere }}</template>
    </p>
    <RouterLink v-if="!shut" :to="`/formulas/${editor.id}/ph`" class="to-leaf small">{{
      texts.curveDoseAndLog
    }}</RouterLink>
    <PhEntries :shared="windows.fits" :reading="reading" :target="target" :shut="shut" />
  </section>
</template>

<style scoped>
header {
  padding-bottom: 0.375rem;
}
.chart {
  position: relative;
}
.row {
  display: grid;
  grid-template-columns: 6.75rem 1fr 4.25rem;
  align-items: center;
  gap: 0.5rem;
  min-height: 24px;
  font-size: var(--text-small);
}
.track {
  position: relative;
  height: 8px;
  border-radius: var(--round-s);
  background: var(--track);
}
.bar {
  position: absolute;
  inset-block: 0;
  min-width: 4px;
  border-radius: var(--round-s);
  background: var(--cobalt-300);
}
.bar.holds {
  background: repeating-linear-gradient(
    90deg,
    var(--cobalt-300) 0 7px,
    color-mix(in srgb, var(--cobalt-300) 62%, transparent) 7px 10px
  );
}
.bar.prefers,
.bar.skin {
  background: none;
  border: 1.5px solid var(--cobalt-300);
}
.bar.skin {
  border-style: dashed;
}
.bar.clash {
  background: var(--stop-soft);
}
.grade {
  color: var(--muted);
  font-size: var(--text-tiny);
  text-align: right;
}
.grade.clash {
  color: var(--stop);
  font-weight: 600;
}
.marks {
  position: absolute;
  left: calc(6.75rem + 0.5rem);
  right: calc(4.25rem + 0.5rem);
  inset-block: 0;
  pointer-events: none;
}
.predicted {
  position: absolute;
  inset-block: 0;
  min-width: 3px;
  border-radius: var(--round-s);
  background: color-mix(in srgb, var(--fine) 22%, transparent);
}
.as-written {
  padding-top: 0.25rem;
}
.as-written:empty {
  display: none;
}
.target {
  position: absolute;
  inset-block: 0;
  min-width: 2px;
  border-inline: 1.5px dashed var(--ink);
  background: var(--aim-wash);
}
.reading {
  position: absolute;
  inset-block: -2px;
  width: 2px;
  margin-left: -1px;
  background: var(--ink);
}
.axis {
  display: grid;
  grid-template-columns: 6.75rem 1fr 4.25rem;
  gap: 0.5rem;
  height: 18px;
  font-size: var(--text-tiny);
  color: var(--muted);
}
.ticks {
  position: relative;
}
.ticks i {
  position: absolute;
  font-style: normal;
  transform: translateX(-50%);
}
.to-leaf {
  display: inline-block;
  min-height: 24px;
  color: var(--accent-ink);
}
.more {
  min-height: 24px;
  color: var(--accent-ink);
  text-decoration: underline;
  text-underline-offset: 2px;
}
</style>
