<script setup lang="ts">
import type { MethodChoices, Schools } from '@omblet/core'
import { computed } from 'vue'
import ChoiceField from '../../../components/ChoiceField.vue'

/** The questions with two schools; both are right, and each has its price. */
const props = defineProps<{ choices: MethodChoices; schools: Schools; open: readonly string[] }>()
const emit = defineEmits<{ choose: [MethodChoices] }>()

const QUESTIONS = [
  {
    key: 'pouring',
    label: 'Pouring',
    options: [
      { value: 'oil-into-water', label: 'Oil into water' },
      { value: 'water-into-oil', label: 'Water into oil' },
    ],
  },
  {
    key: 'heating',
    label: 'Heating',
    options: [
      { value: 'hold', label: 'Hold it hot' },
      { value: 'melt', label: 'Until melted' },
    ],
  },
  {
    key: 'evaporation',
    label: 'Water that leaves',
    options: [
      { value: 'cover', label: 'Cover it' },
      { value: 'weigh', label: 'Weigh, make up' },
    ],
  },
  {
    key: 'cooling',
    label: 'Cooling',
    options: [
      { value: 'air', label: 'In air' },
      { value: 'bath', label: 'In cold water' },
      { value: 'cold-share', label: 'Cold share of water' },
    ],
  },
  {
    key: 'gum',
    label: 'Gums',
    options: [
      { value: 'rest', label: 'Wet, rest 25 min' },
      { value: 'at-once', label: 'Use at once' },
      { value: 'overnight', label: 'Leave overnight' },
    ],
  },
  {
    key: 'swelling',
    label: 'What swells for hours',
    options: [
      { value: 'shear', label: 'High shear, wait at the end' },
      { value: 'overnight', label: 'Overnight, preserved' },
    ],
  },
  {
    key: 'body',
    label: 'Body',
    options: [
      { value: 'as-it-is', label: 'Pour it' },
      { value: 'whip', label: 'Chill and whip' },
    ],
  },
  {
    key: 'ending',
    label: 'At the end',
    options: [
      { value: 'adjust-first', label: 'Adjust, preserve' },
      { value: 'preserve-first', label: 'Preserve, adjust' },
    ],
  },
] as const
const asked = computed(() => QUESTIONS.filter((q) => props.open.includes(q.key)))
const chosen = (key: (typeof QUESTIONS)[number]['key']) => props.schools[key]
</script>

<template>
  <section v-if="asked.length" class="card choices" aria-labelledby="choices-title">
    <h3 id="choices-title">Your way</h3>
    <div class="grid">
      <ChoiceField
        v-for="q in asked"
        :id="`choice-${q.key}`"
        :key="q.key"
        :label="q.label"
        :model-value="chosen(q.key)"
        :options="q.options"
        small
        @update:model-value="emit('choose', { ...choices, [q.key]: $event })"
      />
    </div>
  </section>
</template>

<style scoped>
.choices {
  display: grid;
  gap: 0.625rem;
  padding: 0.875rem 1rem 1rem;
}
h3 {
  font-size: 1.0625rem;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(10.5rem, 1fr));
  gap: 0.625rem;
}
</style>
