<script setup lang="ts">
import { choicesCard as texts } from '#words/formula-method'
import TermText from '../../../components/TermText.vue'
import { processOptionValueText, processOptionText } from '@omblet/core/words'
import {
  questionsOf,
  type Assessment,
  type MethodChoices,
  type ProcessOption,
  type ProcessOptions,
} from '@omblet/core'
import { computed } from 'vue'
import TitledCard from '../../../components/TitledCard.vue'
import ChoiceField from '../../../components/ChoiceField.vue'

/** The questions with two schools; both are right, and each has its price. */
const props = defineProps<{ a: Assessment; choices: MethodChoices; schools: ProcessOptions }>()
const emit = defineEmits<{ choose: [MethodChoices] }>()

const asked = computed(() => questionsOf(props.a))
const why = (q: ProcessOption) =>
  processOptionValueText(q.options.find((o) => o.value === props.schools[q.key])!).why
</script>

<template>
  <TitledCard :title="texts.options" v-if="asked.length" class="choices">
    <div class="grid">
      <div v-for="q in asked" :key="q.key">
        <ChoiceField
          :label="processOptionText(q)"
          :model-value="schools[q.key] as string"
          :options="q.options.map((o) => ({ value: o.value, label: processOptionValueText(o).label }))"
          small
          @update:model-value="emit('choose', { ...choices, [q.key]: $event })"
        />
        <p class="small muted why"><TermText :text="why(q) ?? ''" /></p>
      </div>
    </div>
  </TitledCard>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(10.5rem, 1fr));
  gap: 0.75rem 0.75rem;
}
.why {
  padding-top: 0.25rem;
}
</style>
