<script setup lang="ts">
import { usePrimeVue } from 'primevue/config'
import DatePicker from 'primevue/datepicker'
import { computed, ref } from 'vue'
import { isoDay, readDay } from './day'
import FormField from './FormField.vue'

/** A day, typed as 2026-05-01 or chosen; empty while none is given. */
defineProps<{ id?: string; label: string; error?: string | null }>()
// weeks begin on Monday
const { locale } = usePrimeVue().config
if (locale) locale.firstDayOfWeek = 1
const day = defineModel<string>({ required: true })
const chosen = computed({
  get: () => readDay(day.value),
  set: (date: Date | null) => (day.value = date instanceof Date ? isoDay(date) : ''),
})
/** What was typed and is no day is said: the field itself goes back to the day before. */
const wrong = ref<string | null>(null)
function onInput(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  wrong.value =
    text === '' || readDay(text) ? null : `“${text.slice(0, 20)}” is no day. Type it as 2026-05-01.`
}
</script>

<template>
  <FormField :id="id" v-slot="{ id: named }" :label="label" :error="wrong ?? error">
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
      @date-select="wrong = null"
    />
  </FormField>
</template>
