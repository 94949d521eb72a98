<script setup lang="ts">
import { common } from '#words/common'
import { waitButton as texts } from '#words/bench-run'
import { stepTitle } from '@omblet/core/words'
import { sayMinutes } from '@omblet/core'
import type { MethodStep } from '@omblet/core'
import { PlainButton } from '../../../components/buttons'
import { computed, ref } from 'vue'
import NumberField from '../../../components/NumberField.vue'
import { useBatch } from '../../../stores/batch'
import { allowAlarm } from './alarm'
import { useRun } from './run'

/** Sets the timer of a step that waits. */
const props = defineProps<{
  step: Pick<MethodStep, 'key' | 'said' | 'ownTitle' | 'wait'>
  minutes?: number
  title?: string
}>()
const batch = useBatch()
const run = useRun()
const minutes = ref<number | null>(props.minutes ?? props.step.wait)
const title = computed(() => props.title ?? stepTitle(props.step))
const id = computed(() => (props.title ? `${props.step.key} hold` : props.step.key))
const running = computed(() => run.state.value.timers.find((t) => t.id === id.value && !t.stopped))
const hint = computed(() => ((minutes.value ?? 0) >= 60 ? sayMinutes(minutes.value!) : null))
function set() {
  if (!minutes.value) return
  allowAlarm()
  batch.enter({ type: 'timer', id: id.value, title: title.value, minutes: minutes.value })
}
</script>

<template>
  <form v-if="!running" class="wait" @submit.prevent="set">
    <NumberField
      v-model="minutes"
      :label="props.title ?? texts.wait"
      unit="min"
      :min="0.1"
      :max="20000"
      :what="common.theTime"
    />
    <PlainButton type="submit" :label="texts.setTimer" icon="pi pi-stopwatch" />
    <span v-if="hint" class="muted">{{ hint }}</span>
  </form>
</template>

<style scoped>
.wait {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.5rem;
}
.wait :deep(.field) {
  width: 9rem;
}
.wait :deep(button),
.wait :deep(input) {
  min-height: 44px;
}
.muted {
  padding-bottom: 0.75rem;
}
</style>
