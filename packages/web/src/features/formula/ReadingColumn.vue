<script setup lang="ts">
import { readingColumn as texts } from '#words/formula'
import { computed } from 'vue'
import Notice from '../../components/Notice.vue'
import { useBatches } from '../../stores/batches'
import { useEditor } from '../../stores/editor'
import EmulsionCard from './EmulsionCard.vue'
import FindingsCard from './FindingsCard.vue'
import PhCard from './PhCard.vue'

const editor = useEditor()
const batches = useBatches()
const a = computed(() => editor.assessment!)
/** Batches of it to which somebody’s skin reacted. */
const reacted = computed(() => batches.heads.filter((b) => b.reacted && b.formulaId === editor.id))
</script>

<template>
  <aside class="reading-column stacked" :aria-label="texts.reading">
    <Notice v-for="b in reacted" :key="b.id" kind="stop"
      >{{ texts.skinReactedTo }} <RouterLink :to="`/stability/${b.id}`">{{ b.code }}</RouterLink>
      {{ texts.inAPatchTestCheck }}</Notice
    >
    <PhCard
      :windows="a.ph"
      :reading="a.reading"
      :predicted="a.predictedPh"
      :target="a.formula.targetPh ?? null"
      :shut="a.emulsion?.type === 'water-in-oil'"
    />
    <EmulsionCard v-if="a.emulsion" :emulsion="a.emulsion" :lines="a.lines" />
    <FindingsCard :findings="editor.findings" :assessment="a" :begun="a.lines.length > 1" />
  </aside>
</template>

<style scoped>
.reading-column {
  align-content: start;
  padding: 0.875rem;
}
</style>
