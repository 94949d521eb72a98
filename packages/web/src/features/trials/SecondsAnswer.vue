<script setup lang="ts">
import { common } from '#words/common'
import { secondsAnswer as texts } from '#words/trials'
import { useIntervalFn } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import NumberField from '../../components/NumberField.vue'

/** Seconds until something is so: by a watch, or typed. Stops by itself at the end of the scale. */
const props = defineProps<{ scale: readonly [number, number] }>()
const emit = defineEmits<{ answer: [seconds: number] }>()
const since = ref<number | null>(null)
const now = ref(Date.now())
const typed = ref<number | null>(null)
const most = computed(() => props.scale[1])
const ran = computed(() =>
  since.value === null ? 0 : Math.min(most.value, Math.round((now.value - since.value) / 1000)),
)
const { pause, resume } = useIntervalFn(
  () => {
    now.value = Date.now()
    if (ran.value >= most.value) stop()
  },
  200,
  { immediate: false },
)
function start() {
  since.value = now.value = Date.now()
  resume()
}
function stop() {
  now.value = Date.now()
  pause()
  typed.value = ran.value
  since.value = null
}
</script>

<template>
  <div class="watch stacked">
    <p class="mono figure" role="timer">{{ since === null ? (typed ?? 0) : ran }} s</p>
    <Button
      v-if="since === null"
      :label="typed === null ? texts.start : texts.startAgain"
      icon="pi pi-play"
      size="large"
      @click="start"
    />
    <Button v-else :label="common.stop" icon="pi pi-stop" size="large" severity="warn" @click="stop" />
    <form class="by-hand for-hands" @submit.prevent="typed !== null && emit('answer', typed)">
      <NumberField
        v-model="typed"
        :label="texts.seconds"
        unit="s"
        :min="scale[0]"
        :max="scale[1]"
        :what="common.theTime"
      />
      <Button type="submit" :label="texts.next" :disabled="typed === null || since !== null" />
    </form>
    <p class="muted small">{{ texts.secondsCountAsNotWithin(most, most) }}</p>
  </div>
</template>

<style scoped>
.figure {
  font-size: var(--text-figure-xl);
  text-align: center;
}
.by-hand {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
  gap: 0.75rem;
}
</style>
