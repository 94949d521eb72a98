import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import { isDark } from '../browser/dark'

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? ''

/** Colours of the theme as they stand now, for what draws itself and does not read style sheets. */
export const palette = computed(() => {
  void isDark.value
  const style = getComputedStyle(document.documentElement)
  const token = (name: string) => style.getPropertyValue(`--${name}`).trim()
  return {
    ink: token('ink'),
    muted: token('muted'),
    paper: token('paper'),
    line: token('line'),
    stop: token('stop'),
    fine: token('fine'),
    strong: token('accent-ink'),
    soft: token('accent'),
    several: [token('accent-ink'), token('check'), token('fine'), token('premix-ink')],
  }
})

const SMALL = { fontSize: '12px' }
const TITLE = { fontWeight: 400, fontSize: '13px' }

/** One axis: its title, and how its numbers are said. */
export const axis = (title: string | null, say: (value: number) => string) => ({
  ...(title === null ? {} : { title: { text: title, style: { ...TITLE, color: palette.value.muted } } }),
  labels: {
    style: { ...SMALL, colors: palette.value.muted },
    formatter: (value: string | number) => say(Number(value)),
  },
})

/** A mark in words on the paper itself. */
export const labelStyle = (color: string) => ({
  background: 'transparent',
  color,
  ...SMALL,
  fontFamily: 'inherit',
})

/** What all charts are alike in; a chart's own options go over it. */
export const chartBase = (own: Omit<ApexOptions, 'chart'>): ApexOptions => ({
  theme: { mode: isDark.value ? 'dark' : 'light' },
  dataLabels: { enabled: false },
  ...own,
  chart: {
    toolbar: { show: false },
    zoom: { enabled: false },
    animations: { enabled: false },
    fontFamily: 'inherit',
    background: 'transparent',
    nonce,
  },
  legend: { show: false, ...own.legend },
  grid: { borderColor: palette.value.line, padding: { left: 4, right: 12 }, ...own.grid },
})
