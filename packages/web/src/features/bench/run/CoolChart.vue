<script setup lang="ts">
import { formatCelsius, sayNumber, type CoolFit, type CoolReading } from '@omblet/core'
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import ApexChart from 'vue3-apexcharts'
import { isDark } from '../../../browser/dark'

const props = defineProps<{ readings: readonly CoolReading[]; fit: CoolFit | null; limit: number }>()
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? ''

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
const low = computed(() => Math.floor((Math.min(props.limit, ...props.readings.map((r) => r.celsius)) - 6) / 10) * 10) // prettier-ignore
const high = computed(() => Math.ceil((Math.max(...props.readings.map((r) => r.celsius)) + 2) / 10) * 10)
const text = computed(() => (isDark.value ? '#a7b4c4' : '#566575'))
const green = computed(() => (isDark.value ? '#6cc59b' : '#23714f'))
const options = computed<ApexOptions>(() => ({
  chart: {
    type: 'line',
    toolbar: { show: false },
    zoom: { enabled: false },
    animations: { enabled: false },
    fontFamily: 'inherit',
    background: 'transparent',
    nonce,
  },
  theme: { mode: isDark.value ? 'dark' : 'light' },
  colors: isDark.value ? ['#7ea2db', '#e6ebf2'] : ['#4d7dc8', '#17202b'],
  stroke: { width: [2, 0], curve: 'straight', dashArray: [5, 0] },
  markers: { size: [0, 5], strokeWidth: 0 },
  legend: { show: false },
  dataLabels: { enabled: false },
  grid: { borderColor: isDark.value ? '#2d3948' : '#d8dfe7', padding: { left: 4, right: 12 } },
  xaxis: {
    type: 'numeric',
    min: 0,
    max: end.value.max,
    tickAmount: Math.round(end.value.max / end.value.step),
    title: { text: 'minutes of cooling', style: { fontWeight: 400, fontSize: '13px', color: text.value } },
    labels: {
      style: { colors: text.value, fontSize: '12px' },
      formatter: (v: string) => sayNumber(Number(v), end.value.step < 1 ? 1 : 0),
    },
    tooltip: { enabled: false },
  },
  yaxis: {
    min: low.value,
    max: high.value,
    tickAmount: Math.max(1, Math.round((high.value - low.value) / 10)),
    title: { text: '°C', style: { fontWeight: 400, fontSize: '13px', color: text.value } },
    labels: { style: { colors: text.value, fontSize: '12px' }, formatter: (v: number) => v.toFixed(0) },
  },
  annotations: {
    yaxis: [
      {
        y: props.limit,
        borderColor: green.value,
        strokeDashArray: 0,
        label: {
          text: `below ${formatCelsius(props.limit)} it goes on`,
          position: 'left',
          textAnchor: 'start',
          offsetX: 6,
          borderColor: 'transparent',
          style: { background: 'transparent', color: green.value, fontSize: '12px', fontFamily: 'inherit' },
        },
      },
    ],
  },
  tooltip: { enabled: false },
}))
</script>

<template>
  <figure>
    <figcaption class="hidden-text">
      {{ readings.length }} temperatures from {{ sayNumber(readings[0]!.celsius, 1) }} to
      {{ sayNumber(readings.at(-1)!.celsius, 1) }} °C, and the law through them.
    </figcaption>
    <ApexChart type="line" height="250" :options="options" :series="series" />
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
}
</style>
