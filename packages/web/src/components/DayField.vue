<script setup lang="ts">
import { usePrimeVue } from 'primevue/config'
import DatePicker from 'primevue/datepicker'
import { computed } from 'vue'
import { isoDay, readDay } from './day'
import FormField from './FormField.vue'

/** A day, typed as 2026-05-01 or chosen; empty while none is given. */
defineProps<{ id: string; label: string; error?: string | null }>()
// weeks begin on Monday
const { locale } = usePrimeVue().config
if (locale) locale.firstDayOfWeek = 1
const day = defineModel<string>({ required: true })
const chosen = computed({
  get: () => readDay(day.value),
  set: (date: Date | null) => (day.value = date instanceof Date ? isoDay(date) : ''),
})
</script>

<template>
  <FormField :id="id" :label="label" :error="error">
    <DatePicker
      v-model="chosen"
      :input-id="id"
      date-format="yy-mm-dd"
      placeholder="2026-05-01"
      show-icon
      icon-display="input"
      update-model-type="date"
      fluid
    />
  </FormField>
</template>
