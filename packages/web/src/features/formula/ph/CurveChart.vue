<script setup lang="ts">
import { common } from '#words/common'
import { curveChart as texts } from '#words/formula-ph'
import { adjusterName, axisSteps, formatRange, frameOf, lettingGo, sayNumber } from '@omblet/core'
import { computed } from 'vue'
import { axis, chartBase, labelStyle, palette } from '../../../components/chart'
import ChartFigure from '../../../components/ChartFigure.vue'
import { useTitration } from './titration'

const t = useTitration()

const batch = computed(() => t.assessment.value.amounts.batchGrams)
const grams = (percent: number) => (percent * batch.value) / 100
const curve = computed(() => t.curve.value!)
const end = computed(() => grams(curve.value.percent.at(-1)!))
const steps = computed(() => axisSteps(end.value * (1 - 1e-9)))
const places = computed(() => Math.max(0, -Math.floor(Math.log10(steps.value.step) + 1e-9)))
const at = (x: number) => Number(x.toPrecision(6))

const series = computed(() => [
  {
    name: texts.likelyRange,
    type: 'rangeArea',
    data: curve.value.percent.map((p, i) => ({
      x: at(grams(p)),
      y: [inFrame(curve.value.low[i]!), inFrame(curve.value.high[i]!)],
    })),
  },
  {
    name: 'pH',
    type: 'line',
    data: curve.value.percent.map((p, i) => ({ x: at(grams(p)), y: drawn(curve.value.ph[i]!) })),
  },
])

const aim = computed(() => (t.target.value ? (t.target.value.min + t.target.value.max) / 2 : null))
const range = computed(() =>
  frameOf(
    curve.value.ph,
    t.target.value,
    t.points.value.map((p) => p.ph),
  ),
)
/** The line ends where it leaves the frame. */
const drawn = (ph: number) => (ph < range.value.low || ph > range.value.high ? null : Number(ph.toFixed(3)))
/** The band may run far beyond what is of interest; it is cut at the frame. */
const inFrame = (ph: number) => Number(Math.max(range.value.low, Math.min(range.value.high, ph)).toFixed(3))
/** At the top of its band, on the side where the curve is not. */
const label = (words: string, color: string, band: { low: number; high: number }) => {
  const { ph } = curve.value
  const meets = (from: number, to: number) =>
    ph
      .slice(Math.floor(from * ph.length), Math.ceil(to * ph.length))
      .some((y) => y < band.high + 0.1 && y > band.high - 0.14 * (range.value.high - range.value.low))
  const starts = meets(0, 0.35) && !meets(0.65, 1)
  return {
    text: words,
    position: starts ? ('right' as const) : ('left' as const),
    textAnchor: starts ? ('end' as const) : ('start' as const),
    offsetX: starts ? -4 : 4,
    offsetY: 14,
    borderColor: 'transparent',
    style: labelStyle(color),
  }
}

const edges = computed(() => lettingGo(t.assessment.value.ph.items))
/** A stretch of pH with its colour and words. */
const band = (
  y: number,
  y2: number,
  color: string,
  opacity: number,
  words: string,
  whole = { low: y, high: y2 },
) => ({
  y,
  y2,
  fillColor: color,
  opacity,
  borderColor: 'transparent',
  label: label(words, color, whole),
})
const bands = computed(() => {
  const { fits } = t.assessment.value.ph
  const { low, high } = range.value
  const { fine, stop } = palette.value
  const drawn = []
  if (fits && fits.max > low && fits.min < high)
    drawn.push(
      band(
        Math.max(low, fits.min),
        Math.min(high, fits.max),
        fine,
        0.15,
        texts.allIngredientsEffective(formatRange(fits)),
        {
          low: fits.min,
          high: fits.max,
        },
      ),
    )
  const { low: below, high: above } = edges.value
  if (below && below.min > low)
    drawn.push(
      band(low, Math.min(high, below.min), stop, 0.09, texts.fails(below.label), { low, high: below.min }),
    )
  if (above && above.max < high)
    drawn.push(
      band(Math.max(low, above.max), high, stop, 0.09, texts.fails(above.label), { low: above.max, high }),
    )
  return drawn
})
const targetAt = computed(() => {
  if (!t.plan.value) return null
  return grams(t.taken.value + t.plan.value.percent)
})

const options = computed(() =>
  chartBase({
    colors: [palette.value.soft, palette.value.strong],
    fill: { type: 'solid', opacity: [0.35, 1] },
    stroke: { width: [0, 3], curve: 'straight' },
    xaxis: {
      type: 'numeric',
      min: 0,
      max: end.value,
      tickAmount: steps.value.count,
      ...axis(
        texts.gramsIntoG(
          adjusterName(t.adjuster.value).toLowerCase(),
          sayNumber(t.strengthPercent.value ?? 0),
          sayNumber(batch.value),
        ),
        (v) => sayNumber(v, places.value),
      ),
      tooltip: { enabled: false },
    },
    yaxis: {
      min: range.value.low,
      max: range.value.high,
      tickAmount: range.value.ticks,
      ...axis('pH', (v) => v.toFixed(1)),
    },
    annotations: {
      yaxis: [
        ...bands.value,
        ...(aim.value === null
          ? []
          : [{ y: aim.value, borderColor: palette.value.ink, strokeDashArray: 3, label: { text: '' } }]),
      ],
      xaxis:
        targetAt.value === null || targetAt.value > end.value
          ? []
          : [
              {
                x: targetAt.value,
                borderColor: palette.value.ink,
                strokeDashArray: 3,
                label: {
                  text: texts.target(sayNumber(aim.value!, 2)),
                  orientation: 'horizontal',
                  offsetY: -2,
                  borderColor: palette.value.ink,
                  style: {
                    background: palette.value.ink,
                    color: palette.value.paper,
                    fontSize: '12px',
                    fontFamily: 'inherit',
                  },
                },
              },
            ],
      points: t.points.value.map((p) => ({
        x: at(p.grams),
        y: p.ph,
        marker: {
          size: 6,
          fillColor: palette.value.ink,
          strokeColor: palette.value.paper,
          strokeWidth: 2,
        },
      })),
    },
    tooltip: {
      shared: true,
      x: { formatter: (v: number) => `${sayNumber(v, places.value + 1)} g` },
      y: { formatter: (v: number) => (typeof v === 'number' ? sayNumber(v, 2) : '') },
    },
  }),
)
/** Every tenth point is enough to read. */
const table = computed(() => ({
  heads: [common.grams, 'pH', texts.likely],
  rows: curve.value.percent.flatMap((p, i) =>
    i % 10 === 0
      ? [
          [
            sayNumber(grams(p), places.value + 1),
            sayNumber(curve.value.ph[i]!, 2),
            `${sayNumber(curve.value.low[i]!, 2)}–${sayNumber(curve.value.high[i]!, 2)}`,
          ],
        ]
      : [],
  ),
}))
const summary = computed(() =>
  texts.phFromWithNoTo(
    sayNumber(curve.value.ph[0]!, 1),
    adjusterName(t.adjuster.value).toLowerCase(),
    sayNumber(curve.value.ph.at(-1)!, 1),
    sayNumber(end.value, places.value),
  ),
)
</script>

<template>
  <ChartFigure
    type="rangeArea"
    :height="340"
    :options="options"
    :series="series"
    :summary="summary"
    :table="table"
  >
    <p class="keys small muted" aria-hidden="true">
      <span><i class="line"></i> {{ texts.predicted }}</span>
      <span><i class="band"></i> {{ texts.likelyRange }}</span>
      <span v-if="t.points.value.length"><i class="dot"></i> {{ texts.measured }}</span>
    </p>
  </ChartFigure>
</template>

<style scoped>
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.25rem;
  padding-left: 2.5rem;
}
.keys span {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
}
.line {
  width: 18px;
  height: 3px;
  background: var(--accent-ink);
}
.band {
  width: 18px;
  height: 10px;
  background: color-mix(in srgb, var(--cobalt-300) 45%, transparent);
}
.dot {
  width: 10px;
  height: 10px;
  border-radius: 50%;
  background: var(--ink);
}
</style>
