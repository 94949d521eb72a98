<script setup lang="ts">
import { dayField as texts } from '#words/components-fields'
import { usePrimeVue } from 'primevue/config'
import DatePicker from 'primevue/datepicker'
import { computed, ref } from 'vue'
import { readDayText } from '@omblet/core'
import { isoDay, readDay } from './day'
import FormField from './FormField.vue'

/** A day, typed as people write it or chosen; empty while none is given. A month alone is its last day where it `ends`. */
const props = defineProps<{ id?: string; label: string; error?: string | null; ends?: boolean }>()
// weeks begin on Monday
const { locale } = usePrimeVue().config
if (locale) locale.firstDayOfWeek = 1
const day = defineModel<string>({ required: true })
const chosen = computed({
  get: () => readDay(day.value),
  // what is no day yet is still being typed
  set: (date: unknown) => {
    if (date instanceof Date) day.value = isoDay(date)
    else if (!date) day.value = ''
  },
})
/** What was typed and is no day is said: the field itself goes back to the day before. */
const wrong = ref<string | null>(null)
const said = ref<string>()
const NO_DAY = {
  'no-day': texts.isNoDay,
  'two-days': texts.canBeTwoDays,
  'month-first': texts.hasItsMonthFirst,
  'not-real': texts.doesNotExist,
} as const
function onInput(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  const read = readDayText(text, props.ends)
  wrong.value =
    text === '' || 'day' in read ? null : texts.typeItAs202605(text.slice(0, 20), NO_DAY[read.error])
  said.value = 'day' in read && read.said ? `${text} = ${read.day}` : undefined
  if ('day' in read) day.value = read.day
}
</script>

<template>
  <FormField :id="id" v-slot="{ id: named }" :label="label" :error="wrong ?? error" :said="said">
    <DatePicker
      v-model="chosen"
      :input-id="named"
      date-format="yy-mm-dd"
      placeholder="2026-05-01"
      show-icon
      icon-display="input"
      update-model-type="date"
      fluid
      @input="onInput"
      @date-select="((wrong = null), (said = undefined))"
    />
  </FormField>
</template>
