<script setup lang="ts">
import { needsCard as texts } from '#words/formula-method'
import { stepTitle, aheadText, equipmentText } from '@omblet/core/words'
import TitledCard from '../../../components/TitledCard.vue'
import type { Equipment, MethodStep } from '@omblet/core'
import { capitalise } from '@omblet/core'

defineProps<{ equipment: readonly Equipment[]; dayBefore: readonly MethodStep[] }>()
</script>

<template>
  <TitledCard :title="texts.preparation" class="closer">
    <template v-if="dayBefore.length">
      <h4>{{ texts.theDayBefore }}</h4>
      <ul class="stacked closer">
        <li v-for="s in dayBefore" :key="s.key">
          <strong>{{ stepTitle(s) }}</strong><br /><span class="small muted">{{ aheadText(s.ahead!) }}</span>
        </li>
      </ul>
    </template>
    <h4>{{ texts.equipment }}</h4>
    <ul class="things">
      <li v-for="e in equipmentText(equipment)" :key="e">{{ e.startsWith('pH') ? e : capitalise(e) }}</li>
    </ul>
  </TitledCard>
</template>

<style scoped>
.things {
  columns: 2;
  gap: 1rem;
}
</style>
