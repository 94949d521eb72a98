<script setup lang="ts">
import { flowDrawing as texts } from '#words/components-fields'
import { stepVerb } from '@omblet/core/words'
import { flowOf, type Assessment, type MethodStep } from '@omblet/core'
import { computed } from 'vue'

/** The procedure as vessels that flow together, from the top down; the list of steps beside it says the same in words. */
const props = defineProps<{ a: Assessment; steps: readonly MethodStep[]; lit?: string | null }>()

const LANE = 92
const ROW = 30
const TOP = 40
const BOX = 76
const flow = computed(() => flowOf(props.a, props.steps))
const x = (lane: number) => lane * LANE + LANE / 2
const y = (row: number) => TOP + row * ROW + ROW / 2
const width = computed(() => Math.max(1, flow.value.lanes.length) * LANE)
const height = computed(() => TOP + flow.value.rows * ROW + 8)
const spoken = computed(() =>
  texts.vesselsCombinedInStepsSee(
    flow.value.lanes.length,
    flow.value.lanes.map((l) => l.name).join(', '),
    flow.value.rows,
  ),
)
const side = (from: number, to: number) => (from < to ? x(to) - BOX / 2 - 1 : x(to) + BOX / 2 + 1)
</script>

<template>
  <svg
    class="flow"
    :viewBox="`0 0 ${width} ${height}`"
    :style="{ maxWidth: `${width}px` }"
    role="img"
    :aria-label="spoken"
  >
    <defs>
      <marker id="flow-tip" markerWidth="7" markerHeight="7" refX="6" refY="3.500" orient="auto">
        <path d="M0 0 7 3.500 0 7z" class="tip" />
      </marker>
    </defs>
    <g v-for="(lane, i) in flow.lanes" :key="lane.name" :data-role="lane.role">
      <line class="lane" :x1="x(i)" :x2="x(i)" :y1="y(lane.first)" :y2="y(lane.last)" />
      <rect class="vessel" :x="x(i) - 15" y="4" width="30" height="24" rx="6" />
      <text class="name" :x="x(i)" y="21">{{ lane.name }}</text>
    </g>
    <g v-for="step in flow.steps" :key="step.key" :data-role="flow.lanes[step.lane]?.role">
      <line
        v-for="from in step.from"
        :key="from"
        class="pour"
        :x1="x(from)"
        :x2="side(from, step.lane)"
        :y1="y(step.row)"
        :y2="y(step.row)"
        marker-end="url(#flow-tip)"
      />
      <rect
        class="stage"
        :class="{ lit: step.key === lit }"
        :x="x(step.lane) - BOX / 2"
        :y="y(step.row) - 11"
        :width="BOX"
        height="22"
        rx="6"
      />
      <text class="what" :x="x(step.lane)" :y="y(step.row) + 4">
        {{ stepVerb(step.kind) }}
        <tspan v-if="step.celsius !== null" class="celsius bold">{{ step.celsius }}°</tspan>
      </text>
    </g>
  </svg>
</template>

<style scoped>
.flow {
  display: block;
  width: 100%;
  height: auto;
}
.lane {
  stroke: var(--phase, var(--line-strong));
  stroke-width: 3;
  opacity: 0.55;
}
.vessel {
  fill: var(--phase, var(--muted));
}
.name {
  fill: var(--on-fill);
  font-size: var(--text-small);
  font-weight: 700;
  text-anchor: middle;
}
.stage {
  fill: var(--paper);
  stroke: var(--phase, var(--line-strong));
  stroke-width: 1.5;
}
.stage.lit {
  stroke-width: 3;
}
.what {
  fill: var(--ink);
  font-size: var(--text-tiny);
  text-anchor: middle;
}
.pour {
  stroke: var(--phase, var(--ink));
  stroke-width: 2;
}
.tip {
  fill: var(--ink);
}
</style>
