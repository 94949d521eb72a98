<script setup lang="ts">
import { doseRail as texts } from '#words/components-fields'
import { sayPercent } from '@omblet/core'
import { computed } from 'vue'

const props = defineProps<{
  dose: number
  usage?: { min: number; max: number } | undefined
  cap?: { maxPercent: number; source: string; open?: boolean } | null | undefined
}>()

/** The rail's far end: room for the range, the cap and the dose, and a little beyond. */
const end = computed(() => {
  const range = props.usage
    ? props.usage.max > 40
      ? Math.max(20, props.dose * 1.6)
      : props.usage.max * 1.35
    : 0
  const cap = props.cap ? props.cap.maxPercent * 1.15 : 0
  return Math.max(range, Math.min(cap, Math.max(range, props.dose) * 2.5), props.dose * 1.15, 0.001)
})
const at = (value: number) => `${Math.min(100, Math.max(0, (value / end.value) * 100))}%`
const over = computed(() =>
  props.cap && !props.cap.open ? props.dose > props.cap.maxPercent * 1.0001 : false,
)
const outside = computed(() => (props.usage ? props.dose > props.usage.max * 1.000001 : false))
const spoken = computed(() =>
  [
    props.usage
      ? texts.usualRangeTo(sayPercent(props.usage.min), sayPercent(props.usage.max))
      : texts.usualRangeUnknown,
    ...(props.cap && props.cap.maxPercent < 100
      ? [
          `${props.cap.open ? texts.compositionUnknownItMayExceed : texts.legalLimit} ${sayPercent(Number(props.cap.maxPercent.toFixed(4)))}, ${props.cap.source}`,
        ]
      : []),
  ].join('; '),
)
</script>

<template>
  <div class="rail" :title="spoken" role="img" :aria-label="spoken">
    <span
      v-if="usage"
      class="band"
      :style="{ left: at(usage.min), right: `calc(100% - ${at(Math.min(usage.max, end))})` }"
    ></span>
    <span
      v-if="cap?.open && cap.maxPercent <= end"
      class="perhaps"
      :style="{ left: at(cap.maxPercent), right: 0 }"
    ></span>
    <span
      v-if="cap && cap.maxPercent <= end"
      class="cap"
      :class="{ open: cap.open }"
      :style="{ left: at(cap.maxPercent) }"
    ></span>
    <span v-if="dose > 0" class="dose" :class="{ over, outside }" :style="{ left: at(dose) }"></span>
  </div>
</template>

<style scoped>
.rail {
  position: relative;
  height: 24px;
}
.rail::before {
  content: '';
  position: absolute;
  inset: 10.5px 0;
  height: 3px;
  border-radius: 2px;
  background: var(--track);
}
.band {
  position: absolute;
  top: 8.5px;
  height: 7px;
  min-width: 3px;
  border-radius: var(--round-s);
  background: var(--band);
}
.dose {
  position: absolute;
  top: 4px;
  width: 4px;
  height: 16px;
  margin-left: -2px;
  border-radius: 2px;
  background: var(--ink);
}
.dose.outside {
  background: var(--check-fill);
}
.dose.over {
  background: var(--stop);
}
.cap {
  position: absolute;
  top: 2px;
  width: 2px;
  height: 20px;
  margin-left: -1px;
  background: var(--stop);
}
.perhaps {
  position: absolute;
  top: 6px;
  height: 12px;
  border-radius: 0 4px 4px 0;
  background: repeating-linear-gradient(-45deg, var(--stop) 0 1px, transparent 1px 4px);
  opacity: 0.7;
}
.cap.open {
  width: 1px;
  background: none;
  border-left: 1px dashed var(--stop);
}
.cap::after {
  content: '';
  position: absolute;
  left: -3px;
  top: 0;
  width: 8px;
  height: 2px;
  background: var(--stop);
}
</style>
