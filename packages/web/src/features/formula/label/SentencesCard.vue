<script setup lang="ts">
import { sentencesCard as texts } from '#words/formula-label'
import { capitalise } from '@omblet/core'
import TitledCard from '../../../components/TitledCard.vue'
import type { LabelRoom } from './use-label'

/** The sentences of the label, each with where it comes from. */
const { room } = defineProps<{ room: LabelRoom }>()
</script>

<template>
  <TitledCard :title="texts.statements" class="closer">
    <ul>
      <li v-for="s in room.label.value.statements" :key="s.code">
        <p>{{ s.quoted ? `“${s.text}”` : capitalise(s.text) }}</p>
        <p class="muted small">{{ texts.confidence(s.source, s.confidence) }}</p>
      </li>
    </ul>
  </TitledCard>
</template>

<style scoped>
li + li {
  margin-top: 0.5rem;
}
</style>
