<script setup lang="ts">
import { glossaryPage as texts } from '#words/help'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import NothingYet from '../../components/NothingYet.vue'
import PageHead from '../../components/PageHead.vue'
import SearchField from '../../components/SearchField.vue'
import { findTerms } from '../../composables/terms'

/** The terms of the trade with their meaning, in alphabetical order; `#hlb` leads to one of them. */
const route = useRoute()
const words = ref('')
const found = computed(() => findTerms(words.value))
onMounted(async () => {
  document.title = texts.glossaryOmblet
  await nextTick()
  if (route.hash) document.getElementById(route.hash.slice(1))?.scrollIntoView({ block: 'center' })
})
</script>

<template>
  <div class="page stacked">
    <PageHead :title="texts.glossary" />
    <p class="muted">
      {{ texts.termsWithADottedUnderline }}
    </p>
    <SearchField
      v-model="words"
      :label="texts.searchTerms"
      :placeholder="texts.hlbPreservativeStockSolution"
    />
    <dl v-if="found.length" class="card">
      <div v-for="{ id, entry } in found" :id="id" :key="id" :class="{ lit: route.hash === `#${id}` }">
        <dt>{{ entry.term }}</dt>
        <dd>
          {{ entry.says }}
          <span v-if="entry.example" class="muted block">{{ texts.example(entry.example) }}</span>
        </dd>
      </div>
    </dl>
    <NothingYet v-else
      ><p>{{ texts.noTermMatches(words.trim()) }}</p></NothingYet
    >
  </div>
</template>

<style scoped>
.page {
  max-width: 60rem;
}
dl {
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: minmax(9rem, 14rem) minmax(0, 1fr);
  gap: 0.25rem 1.5rem;
  padding: 0.75rem 1rem;
  border-bottom: 1px solid var(--line);
}
dl > div:last-child {
  border-bottom: 0;
}
.lit {
  background: var(--wash);
}
dt {
  font-weight: 600;
  overflow-wrap: anywhere;
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
@media (max-width: 620px) {
  dl > div {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
