<script setup lang="ts">
import { materialFacts as texts } from '#words/components'
import TermText from './TermText.vue'
import { factsOf } from '@omblet/core/words'
import type { Material } from '@omblet/core'
import { computed } from 'vue'

const props = defineProps<{ material: Material }>()
const facts = computed(() => factsOf(props.material))
/** Said once below when most facts share it; the others carry their own. */
const common = computed(() => {
  const counts = new Map<string, number>()
  for (const { source } of facts.value) counts.set(source, (counts.get(source) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? ''
})
</script>

<template>
  <dl class="facts">
    <template v-for="fact in facts" :key="fact.what">
      <dt class="muted"><TermText :text="fact.what" /></dt>
      <dd>
        {{ fact.value
        }}<span v-if="fact.source !== common" class="muted from block small">{{ fact.source }}</span>
      </dd>
    </template>
    <dt class="muted">{{ texts.source }}</dt>
    <dd>{{ common }}</dd>
  </dl>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: minmax(6rem, 9rem) 1fr;
  gap: 0.375rem 0.75rem;
  margin: 0 0 1rem;
  font-size: var(--text-less);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
