<script setup lang="ts">
import type { Kind, LabelDesign, Layout, StickerSheet } from '@omblet/core'
import { encode } from 'uqr'
import { computed } from 'vue'
import { BANDS, MARK_PATHS } from './marks'
import { FAMILY } from './measure'

/** A label as a drawing, in millimetres. */
const props = defineProps<{
  layout: Layout
  sheet: Pick<StickerSheet, 'width' | 'height' | 'shape'>
  kind: Kind
  mark?: LabelDesign['mark'] | undefined
  /** What the code says. */
  code?: string | undefined
  label: string
}>()

const band = computed(() => BANDS[props.kind])
const round = computed(() => props.sheet.shape === 'round')
const path = computed(() => (props.mark && props.mark !== 'none' ? MARK_PATHS[props.mark] : null))
const modules = computed(() => {
  if (!props.code || !props.layout.code) return null
  const { size, data } = encode(props.code, { border: 0, ecc: 'M' })
  const d = data.flatMap((row, y) => row.flatMap((on, x) => (on ? [`M${x} ${y}h1v1h-1z`] : []))).join('')
  return { size, d }
})
</script>

<template>
  <svg
    xmlns="http://www.w3.org/2000/svg"
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${sheet.width} ${sheet.height}`"
    :width="`${sheet.width}mm`"
    :height="`${sheet.height}mm`"
  >
    <circle v-if="round" :cx="sheet.width / 2" :cy="sheet.height / 2" :r="sheet.width / 2" fill="#ffffff" />
    <rect v-else :width="sheet.width" :height="sheet.height" fill="#ffffff" />
    <circle
      v-if="round"
      :cx="sheet.width / 2"
      :cy="sheet.height / 2"
      :r="sheet.width / 2 - 0.9"
      fill="none"
      :stroke="band"
      stroke-width="0.9"
    />
    <rect v-else width="2.6" :height="sheet.height" :fill="band" />
    <text
      v-for="(run, i) in layout.runs"
      :key="i"
      :x="run.x"
      :y="run.y"
      :font-size="run.size"
      :font-weight="run.bold ? 700 : 400"
      :font-family="FAMILY"
      fill="#17202b"
      xml:space="preserve"
    >
      {{ run.text }}
    </text>
    <path
      v-if="path && layout.mark"
      :d="path"
      :transform="`translate(${layout.mark.x} ${layout.mark.y}) scale(${layout.mark.side / 24})`"
      fill="none"
      :stroke="band"
      stroke-width="1.6"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
    <path
      v-if="modules && layout.code"
      :d="modules.d"
      :transform="`translate(${layout.code.x} ${layout.code.y}) scale(${layout.code.side / modules.size})`"
      fill="#17202b"
      shape-rendering="crispEdges"
    />
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
</style>
