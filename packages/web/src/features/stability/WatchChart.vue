<script setup lang="ts">
import { watchChart as texts } from '#words/stability'
import {
  bandAt,
  sayNumber,
  WATCH,
  type Assessment,
  type Property,
  type Verdict,
  type Way,
  uncapitalise,
} from '@omblet/core'
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import { axis, chartBase, labelStyle, palette } from '../../components/chart'
import ChartFigure from '../../components/ChartFigure.vue'
import type { Earlier } from './use-earlier'

/** Numbers of one property over the weeks, every sample with a mark of its own, on the days that looks have. */
const props = defineProps<{
  property: Property
  way: Way
  list: readonly Verdict[]
  earlier: readonly Earlier[]
  assessment: Assessment
}>()

const unit = computed(() => WATCH.ways[props.way].unit)
const places = computed(() => (props.property === 'ph' || props.property === 'mass' ? 2 : 1))
/** The first days would lie on each other: they are drawn wider apart. */
const place = (day: number) => (1 + Math.max(0, day)) ** 0.2 - 1
const DAYS = [
  [0, 'filled'],
  [1, '1 d'],
  [3, '3 d'],
  [7, '1 w'],
  [14, '2 w'],
  [28, '4 w'],
  [56, '8 w'],
  [84, '12 w'],
  [182, '6 mo'],
  [365, '1 y'],
] as const
const last = computed(() => {
  const ages = props.list.flatMap((v) => v.series.reads.map((r) => r.age))
  return DAYS.find(([d]) => d >= Math.max(14, ...ages))?.[0] ?? Math.max(...ages)
})

const STEPS = [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000]
interface Drawn {
  name: string
  data: { x: number; y: number }[]
  faint: boolean
}
const drawn = computed<Drawn[]>(() => {
  const points = (reads: readonly { age: number; value: number }[]) =>
    reads.map((r) => ({ x: place(r.age), y: Number(r.value.toFixed(3)) }))
  const own = props.list.map((v) => ({
    name: WATCH.storages[v.series.storage].label,
    data: points(v.series.reads),
    faint: false,
  }))
  const storages = new Set(props.list.map((v) => v.series.storage))
  const others = props.earlier.flatMap((e) =>
    e.series
      .filter((s) => s.property === props.property && s.way === props.way && storages.has(s.storage))
      .map((s) => ({
        name: `${e.code}, ${uncapitalise(WATCH.storages[s.storage].label)}`,
        data: points(s.reads),
        faint: true,
      })),
  )
  return [...own, ...others]
})
const values = computed(() => drawn.value.flatMap((s) => s.data.map((d) => d.y)))
const limits = computed(() => props.list[0]?.limits ?? {})
/** What the formula lets expect: of the pH only, and only where it is known to be better than a unit. */
const forecast = computed(() => {
  const p = props.property === 'ph' ? props.assessment.predictedPh : null
  return p && p.high - p.low < 1.2 ? p : null
})
/** The 95 % band of one sample alone; of several it would be a tangle. */
const band = computed(() => {
  const [only] = props.list
  if (!only || props.list.length > 1 || props.earlier.length > 0 || only.trend?.p == null) return []
  const points = only.series.reads
    .filter((r) => r.age >= only.from)
    .map((r) => ({ day: r.age, value: r.value }))
  if (points.length < 3) return []
  const [from, to] = [points[0]!.day, last.value]
  return Array.from({ length: 25 }, (_, i) => from + ((to - from) * i) / 24).flatMap((day) => {
    const b = bandAt(points, day)
    return b ? [{ x: place(day), y: [Number(b.low.toFixed(3)), Number(b.high.toFixed(3))] }] : []
  })
})
/** An edge is drawn where the readings come near it. */
const edges = computed(() => {
  const [low, high] = [Math.min(...values.value), Math.max(...values.value)]
  const near = Math.max(0.5, high - low)
  return (
    [
      ['low', limits.value.low],
      ['high', limits.value.high],
    ] as const
  ).flatMap(([side, at]) =>
    at !== undefined && at > low - 2 * near && at < high + 2 * near ? [{ side, at }] : [],
  )
})
const frame = computed(() => {
  const all = [
    ...values.value,
    ...edges.value.map((e) => e.at),
    ...(forecast.value
      ? [forecast.value.low, forecast.value.high].filter((y) => Math.abs(y - values.value[0]!) < 1.5)
      : []),
  ]
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const least = { ph: 0.4, mass: 0.4, body: 4, colour: 4 }[props.property as 'ph'] ?? 1
  const span = Math.max(least, (high - low) * 1.25)
  const step = STEPS.find((s) => s * 3 >= span) ?? span / 3
  const min = props.property === 'colour' ? 0 : Math.floor((low + high - span) / 2 / step) * step
  const max = Math.max(min + step, Math.ceil((Math.max(high, min + span) - 1e-9) / step) * step)
  return { min, max, step }
})
/** What the formula lets expect is drawn where it lies in the frame. */
const shown = computed(() => {
  const f = forecast.value
  return f && f.high > frame.value.min && f.low < frame.value.max ? f : null
})

const SHAPES = ['circle', 'square', 'triangle', 'diamond', 'star', 'cross'] as const
const series = computed<NonNullable<ApexOptions['series']>>(() => [
  ...(band.value.length ? [{ name: '95 % band', type: 'rangeArea', data: band.value }] : []),
  ...drawn.value.map((s) => ({ name: s.name, type: 'line', data: s.data })),
])
const options = computed(() => {
  const bands = band.value.length ? 1 : 0
  const p = palette.value
  const colours = drawn.value.map((s, i) => (s.faint ? p.muted : p.several[i % p.several.length]!))
  return chartBase({
    colors: [...(bands ? [p.soft] : []), ...colours],
    fill: { opacity: [...(bands ? [0.18] : []), ...drawn.value.map(() => 1)] },
    stroke: {
      width: [...(bands ? [0] : []), ...drawn.value.map((s) => (s.faint ? 1 : 2))],
      curve: 'straight',
      dashArray: [...(bands ? [0] : []), ...drawn.value.map((s, i) => (s.faint ? 3 : [0, 6, 2, 9][i % 4]!))],
    },
    markers: {
      size: [...(bands ? [0] : []), ...drawn.value.map((s) => (s.faint ? 3 : 5))],
      shape: [
        ...(bands ? ['circle' as const] : []),
        ...drawn.value.map((_, i) => SHAPES[i % SHAPES.length]!),
      ],
      strokeColors: p.paper,
    },
    legend: {
      show: drawn.value.length > 1,
      position: 'top',
      horizontalAlign: 'left',
      labels: { colors: p.ink },
    },
    xaxis: {
      type: 'numeric',
      min: 0,
      max: place(last.value) * 1.02,
      labels: { show: false },
      axisTicks: { show: false },
      tooltip: { enabled: false },
    },
    yaxis: {
      min: frame.value.min,
      max: frame.value.max,
      tickAmount: Math.round((frame.value.max - frame.value.min) / frame.value.step),
      ...axis(null, (v) => sayNumber(v, places.value)),
      labels: {
        minWidth: 34,
        style: { fontSize: '12px', colors: p.muted },
        formatter: (v: number) => sayNumber(v, places.value),
      },
    },
    annotations: {
      xaxis: DAYS.filter(([d]) => d <= last.value).map(([d, words]) => ({
        x: place(d),
        borderColor: 'transparent',
        strokeDashArray: 0,
        label: {
          text: words,
          orientation: 'horizontal',
          position: 'bottom',
          offsetY: 18,
          borderColor: 'transparent',
          style: labelStyle(p.muted),
        },
      })),
      yaxis: [
        ...(shown.value
          ? [
              {
                y: shown.value.low,
                y2: shown.value.high,
                fillColor: p.soft,
                opacity: 0.12,
                borderColor: 'transparent',
              },
            ]
          : []),
        ...edges.value.map((e) => ({
          y: e.at,
          borderColor: p.stop,
          label: {
            text: `${e.side === 'low' ? texts.notBelow : texts.notAbove} ${sayNumber(e.at, 2)}`,
            position: 'right',
            textAnchor: 'end',
            offsetY: e.side === 'low' ? 14 : 0,
            borderColor: 'transparent',
            style: labelStyle(p.stop),
          },
        })),
      ],
    },
    grid: { padding: { left: 4, right: 12, top: -8, bottom: 8 } },
    tooltip: { enabled: false },
  } as Omit<ApexOptions, 'chart'>)
})
const say = (v: number) => sayNumber(v, places.value)
const summary = computed(() => {
  const [first] = props.list
  const reads = first?.series.reads ?? []
  return `${WATCH.properties[props.property].label}: ${drawn.value.length === 1 ? texts.readingsFromTo(reads.length, say(reads[0]!.value), say(reads.at(-1)!.value), unit.value) : texts.series(drawn.value.length)}${forecast.value ? texts.forecastTo(say(forecast.value.low), say(forecast.value.high)) : ''}.`
})
const table = computed(() => ({
  heads: [texts.sample, texts.day, unit.value],
  rows: props.list.flatMap((v) =>
    v.series.reads.map((r) => [WATCH.storages[v.series.storage].label, sayNumber(r.age, 1), say(r.value)]),
  ),
}))
</script>

<template>
  <ChartFigure
    :type="band.length ? 'rangeArea' : 'line'"
    :height="drawn.length > 1 ? 176 : 140"
    :options="options"
    :series="series"
    :summary="summary"
    :table="table"
  >
    <p v-if="shown || band.length" class="small muted key">
      <template v-if="shown">{{ texts.wideBandPredictedFromThe(say(shown.low), say(shown.high)) }}</template>
      <template v-if="band.length"> {{ texts.narrowBand95ConfidenceBand }}</template>
    </p>
  </ChartFigure>
</template>

<style scoped>
.key {
  padding-left: 0.25rem;
}
</style>
