<script setup lang="ts">
import { common } from '#words/common'
import { numberAnswer as texts } from '#words/stability'
import { creamingPercent, WATCH, type Property, type Way } from '@omblet/core'
import Button from 'primevue/button'
import { computed, ref, useTemplateRef } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import NumberField from '../../components/NumberField.vue'

/** A figure that is read of a sample, by one of the ways to read it; a layer may be read as two heights. */
const props = defineProps<{ property: Property; ways: readonly Way[]; usual: Way | null; waits?: boolean }>()
const emit = defineEmits<{ answer: [read: { value: number; way: Way; celsius?: number }] }>()
const way = ref<Way | null>(props.usual)
const value = ref<number | null>(null)
const celsius = ref<number | null>(null)
/** The whole height, where a layer is read with a ruler: both in millimetres. */
const height = ref<number | null>(null)
const facts = computed(() => WATCH.properties[props.property])
const told = computed(() => {
  if (way.value !== 'ruler') return value.value
  return value.value !== null && height.value && value.value <= height.value
    ? creamingPercent(value.value, height.value)
    : null
})
const unit = computed(() => {
  if (!way.value) return undefined
  if (way.value === 'ruler') return 'mm'
  return WATCH.ways[way.value].unit === 'pH' ? undefined : WATCH.ways[way.value].unit
})
function read() {
  if (told.value === null || !way.value || props.waits) return
  emit('answer', {
    value: told.value,
    way: way.value,
    ...(celsius.value === null ? {} : { celsius: celsius.value }),
  })
}
const field = useTemplateRef<InstanceType<typeof NumberField>>('field')
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <form class="numbers stacked for-hands" @submit.prevent="read">
    <NumberField
      id="look-value"
      ref="field"
      v-model="value"
      :label="way ? texts.by(facts.label, WATCH.ways[way].label) : ''"
      :unit="unit"
      :min="way ? WATCH.ways[way].least : 0"
      :max="way && way !== 'ruler' ? WATCH.ways[way].most : 1e6"
      :what="common.it"
      class="large"
    />
    <NumberField
      v-if="way === 'ruler'"
      id="look-height"
      v-model="height"
      :label="texts.totalHeight"
      unit="mm"
      :min="1"
      :max="1000"
      :what="texts.theHeight"
    />
    <ChoiceField
      v-if="ways.length > 1 && way"
      v-model="way"
      :label="texts.how"
      :options="ways.map((w) => ({ value: w, label: WATCH.ways[w].label }))"
    />
    <NumberField
      v-if="property === 'ph' || property === 'body'"
      id="look-celsius"
      v-model="celsius"
      :label="texts.temperatureIfMeasured"
      unit="°C"
      :min="-30"
      :max="80"
      :what="common.theTemperature"
    />
    <p v-if="way && WATCH.ways[way].how" class="muted small wide">{{ WATCH.ways[way].how }}</p>
    <Button type="submit" label="Enter" size="large" :disabled="told === null || waits" class="wide" />
  </form>
</template>

<style scoped>
.large :deep(input) {
  height: 64px;
  font-size: var(--text-figure);
}
</style>
