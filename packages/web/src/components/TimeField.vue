<script setup lang="ts">
import { timeField as texts } from '#words/components-fields'
import { minutesOfDay } from '@omblet/core'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'

/** A time of the day, typed as 07:30; empty while none is given. */
const props = defineProps<{ label: string }>()
const time = defineModel<string>({ required: true })
const wrong = computed(() => time.value.trim() !== '' && minutesOfDay(time.value.trim()) === null)
</script>

<template>
  <span class="time">
    <InputText
      v-model="time"
      class="mono"
      inputmode="numeric"
      autocomplete="off"
      size="small"
      placeholder="07:30"
      maxlength="5"
      :aria-label="props.label"
      :invalid="wrong"
    />
    <span v-if="wrong" class="error-text" role="alert">{{ texts.typeATimeSuchAs }}</span>
  </span>
</template>

<style scoped>
.time {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.375rem;
}
.time :deep(input) {
  width: 5rem;
}
</style>
