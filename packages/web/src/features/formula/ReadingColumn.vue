<script setup lang="ts">
import { computed } from 'vue'
import { useEditor } from '../../stores/editor'
import EmulsionCard from './EmulsionCard.vue'
import FindingsCard from './FindingsCard.vue'
import PhCard from './PhCard.vue'

const editor = useEditor()
const a = computed(() => editor.assessment!)
</script>

<template>
  <aside class="reading-column" aria-label="Reading">
    <PhCard
      :windows="a.ph"
      :reading="a.reading"
      :predicted="a.predictedPh"
      :target="a.formula.targetPh ?? null"
      :shut="a.emulsion?.type === 'water-in-oil'"
    />
    <EmulsionCard v-if="a.emulsion" :emulsion="a.emulsion" :lines="a.lines" />
    <FindingsCard :findings="editor.findings" :begun="a.lines.length > 1" />
  </aside>
</template>

<style scoped>
.reading-column {
  display: grid;
  align-content: start;
  gap: 0.75rem;
  padding: 0.875rem;
}
</style>
