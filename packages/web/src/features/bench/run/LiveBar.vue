<script setup lang="ts">
import { liveBar as texts } from '#words/bench-weighing'
import { decimalsOf, formatNumber } from '@omblet/core'
import { computed } from 'vue'
import type { WeighTask } from '@omblet/core'

/** What lies on the scale beside what should: a bar that fills, with the band in which it is right. */
const props = defineProps<{ net: number; steady: boolean; task: WeighTask; resolution: number }>()
const say = (g: number) => formatNumber(g, decimalsOf(props.resolution))
const end = computed(() => Math.max(props.task.leftHigh * 1.2, props.net * 1.02, props.resolution * 10))
const place = (g: number) => `${(100 * Math.max(0, Math.min(g, end.value))) / end.value}%`
const where = computed(() =>
  props.net > props.task.leftHigh + props.resolution / 2
    ? 'over'
    : props.net >= props.task.leftLow - props.resolution / 2
      ? 'right'
      : 'under',
)
const words = computed(
  () =>
    ({
      over: texts.gOver(say(props.net - props.task.left)),
      right: 'right',
      under: texts.gToGo(say(Math.max(0, props.task.left - props.net))),
    })[where.value],
)
</script>

<template>
  <div class="live" :data-where="where">
    <p class="shown abreast level wraps">
      <span class="mono value" data-testid="live">{{ say(net) }}<span class="unit"> g</span></span>
      <span class="words">{{ words }}</span>
      <span class="muted">{{ steady ? texts.settled : texts.moving }}</span>
    </p>
    <div class="bar" aria-hidden="true">
      <i
        class="band"
        :style="{
          left: place(task.leftLow),
          width: `calc(${place(task.leftHigh)} - ${place(task.leftLow)})`,
        }"
      ></i>
      <i class="fill" :style="{ width: place(net) }"></i>
    </div>
  </div>
</template>

<style scoped>
.shown {
  gap: 0.25rem 1rem;
}
.value {
  font-size: var(--text-figure-xl);
  line-height: 1.1;
  font-weight: 700;
  color: var(--accent-ink);
}
.unit {
  font-size: var(--text-figure);
}
.words {
  font-size: var(--text-head-2);
  font-weight: 700;
}
[data-where='right'] .words,
[data-where='right'] .value {
  color: var(--fine);
}
[data-where='over'] .words,
[data-where='over'] .value {
  color: var(--stop);
}
.bar {
  position: relative;
  height: 20px;
  border-radius: var(--round-l);
  background: var(--track);
  overflow: hidden;
}
.bar i {
  position: absolute;
  top: 0;
  bottom: 0;
}
.fill {
  left: 0;
  background: var(--accent);
  opacity: 0.85;
}
[data-where='right'] .fill {
  background: var(--fine-fill);
}
[data-where='over'] .fill {
  background: var(--stop);
}
.band {
  min-width: 4px;
  background: color-mix(in srgb, var(--fine) 45%, transparent);
}
@media (max-width: 520px) {
  .value {
    font-size: var(--text-figure-l);
  }
}
</style>
