<script setup lang="ts">
import { questionsOf, type Assessment, type MethodChoices, type School, type Schools } from '@omblet/core'
import { computed } from 'vue'
import ChoiceField from '../../../components/ChoiceField.vue'

/** The questions with two schools; both are right, and each has its price. */
const props = defineProps<{ a: Assessment; choices: MethodChoices; schools: Schools }>()
const emit = defineEmits<{ choose: [MethodChoices] }>()

const asked = computed(() => questionsOf(props.a))
const why = (q: School) => q.options.find((o) => o.value === props.schools[q.key])?.why
</script>

<template>
  <section v-if="asked.length" class="card choices" aria-labelledby="choices-title">
    <h3 id="choices-title">Your way</h3>
    <div class="grid">
      <div v-for="q in asked" :key="q.key">
        <ChoiceField
          :id="`choice-${q.key}`"
          :label="q.label"
          :model-value="schools[q.key] as string"
          :options="q.options"
          small
          @update:model-value="emit('choose', { ...choices, [q.key]: $event })"
        />
        <p class="small muted why">{{ why(q) }}</p>
      </div>
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
  font-size: var(--text-lead);
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(10.5rem, 1fr));
  gap: 0.75rem 0.875rem;
}
.why {
  padding-top: 0.25rem;
}
</style>
