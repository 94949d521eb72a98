<script setup lang="ts">
import { common } from '#words/common'
import { timerStrip as texts } from '#words/bench-run'
import { format } from 'date-fns'
import { QuietButton } from '../../../components/buttons'
import { computed, onMounted, ref, watch } from 'vue'
import { useBatch } from '../../../stores/batch'
import { sound } from './alarm'
import { useRun } from './run'

const batch = useBatch()
const run = useRun()
const minutes = computed(() => run.state.value.elapsed.at(run.now.value))
const timers = computed(() =>
  run.state.value.timers
    .filter((t) => !t.stopped)
    .map((t) => ({
      ...t,
      left: t.end - minutes.value,
      clock: run.now.value + (t.end - minutes.value) * 60_000,
    }))
    .sort((x, y) => x.end - y.end),
)
const say = (left: number) => {
  const s = Math.ceil(Math.max(0, left) * 60 - 1e-6)
  const two = (n: number) => String(n).padStart(2, '0')
  const h = Math.floor(s / 3600)
  return `${h > 0 ? `${h}:` : ''}${two(Math.floor((s % 3600) / 60))}:${two(s % 60)}`
}
const rang = ref(new Set<string>())
onMounted(() => timers.value.forEach((t) => t.left < -0.1 && rang.value.add(`${t.id} ${t.start}`)))
watch(timers, (list) => {
  for (const t of list) {
    const mark = `${t.id} ${t.start}`
    if (t.left > 0 || rang.value.has(mark)) continue
    rang.value.add(mark)
    sound(t.title)
  }
})
</script>

<template>
  <ul v-if="timers.length" class="timers" :aria-label="texts.timers">
    <li v-for="t in timers" :key="t.id" class="card abreast for-hands" :class="{ over: t.left <= 0 }">
      <i class="pi pi-stopwatch" aria-hidden="true"></i>
      <span class="title">{{ t.title }}</span>
      <span v-if="t.left > 0" class="mono left">{{ say(t.left) }}</span>
      <strong v-else class="left" role="alert">{{ texts.timeIsUp }}</strong>
      <span v-if="t.left > 0" class="muted small">{{ texts.at(format(t.clock, 'HH:mm')) }}</span>
      <QuietButton
        :label="t.left > 0 ? common.stop : texts.dismiss"
        :aria-label="`${t.left > 0 ? common.stop : texts.dismiss}: ${t.title}`"
        size="small"
        @click="batch.enter({ type: 'timer-end', id: t.id })"
      />
    </li>
  </ul>
</template>

<style scoped>
.timers {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  padding: 0.75rem 1rem 0;
}
li {
  padding: 0 0.25rem 0 0.875rem;
  min-height: 48px;
}
.left {
  font-size: var(--text-head-2);
  font-weight: 700;
}
.over {
  border-color: var(--check-fill);
  background: var(--check-wash);
}
@media (max-width: 860px) {
  .timers {
    padding: 0.5rem 0.5rem 0;
  }
  li {
    flex: 1 1 100%;
  }
  .title {
    flex: 1;
    min-width: 0;
  }
}
</style>
