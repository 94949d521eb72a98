<script setup lang="ts">
import { coolChart as texts } from '#words/bench-run'
import { formatCelsius, sayNumber, type CoolFit, type CoolReading } from '@omblet/core'
import { computed } from 'vue'
import { axis, chartBase, labelStyle, palette } from '../../../components/chart'
import ChartFigure from '../../../components/ChartFigure.vue'

const props = defineProps<{ readings: readonly CoolReading[]; fit: CoolFit | null; limit: number }>()

const first = computed(() => props.readings[0]!.minutes)
const last = computed(() => props.readings.at(-1)!.minutes)
const end = computed(() => {
  const wanted = last.value - first.value + (props.fit ? Math.min(props.fit.high * 1.1, 400) : 0)
  const step = [0.1, 0.2, 0.5, 1, 2, 5, 10, 15, 20, 30, 60, 120].find((s) => s * 6 >= wanted) ?? 240
  return { max: Math.max(step, Math.ceil(wanted / step) * step), step }
})
const curve = computed(() => {
  const { fit } = props
  if (!fit) return []
  return Array.from({ length: 41 }, (_, i) => (end.value.max * i) / 40).map((x) => ({
    x,
    y: Number(fit.at(first.value + x).toFixed(2)),
  }))
})
const thinned = computed(() => {
  const step = Math.max(1, Math.ceil(props.readings.length / 80))
  return props.readings.filter((_, i) => i % step === 0 || i === props.readings.length - 1)
})
const series = computed(() => [
  { name: 'law', type: 'line', data: curve.value },
  {
    name: 'read',
    type: 'scatter',
    data: thinned.value.map((r) => ({ x: Number((r.minutes - first.value).toFixed(3)), y: r.celsius })),
  },
])
const low = computed(
  () => Math.floor((Math.min(props.limit, ...props.readings.map((r) => r.celsius)) - 6) / 10) * 10,
)
const high = computed(() => Math.ceil((Math.max(...props.readings.map((r) => r.celsius)) + 2) / 10) * 10)
const options = computed(() =>
  chartBase({
    colors: [palette.value.soft, palette.value.ink],
    stroke: { width: [2, 0], curve: 'straight', dashArray: [5, 0] },
    markers: { size: [0, 5], strokeWidth: 0 },
    xaxis: {
      type: 'numeric',
      min: 0,
      max: end.value.max,
      tickAmount: Math.round(end.value.max / end.value.step),
      ...axis(texts.minutesOfCooling, (v) => sayNumber(v, end.value.step < 1 ? 1 : 0)),
      tooltip: { enabled: false },
    },
    yaxis: {
      min: low.value,
      max: high.value,
      tickAmount: Math.max(1, Math.round((high.value - low.value) / 10)),
      ...axis('°C', (v) => v.toFixed(0)),
    },
    annotations: {
      yaxis: [
        {
          y: props.limit,
          borderColor: palette.value.fine,
          strokeDashArray: 0,
          label: {
            text: texts.belowContinue(formatCelsius(props.limit)),
            position: 'left',
            textAnchor: 'start',
            offsetX: 6,
            borderColor: 'transparent',
            style: labelStyle(palette.value.fine),
          },
        },
      ],
    },
    tooltip: { enabled: false },
  }),
)
const summary = computed(() =>
  texts.temperaturesFromToCAnd(
    props.readings.length,
    sayNumber(props.readings[0]!.celsius, 1),
    sayNumber(props.readings.at(-1)!.celsius, 1),
  ),
)
const table = computed(() => ({
  heads: [texts.minutes, '°C'],
  rows: thinned.value.map((r) => [sayNumber(r.minutes - first.value, 1), sayNumber(r.celsius, 1)]),
}))
</script>

<template>
  <ChartFigure
    type="line"
    :height="250"
    :options="options"
    :series="series"
    :summary="summary"
    :table="table"
  />
</template>
