<script setup lang="ts">
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
  document.title = 'Glossary – Omblet'
  await nextTick()
  if (route.hash) document.getElementById(route.hash.slice(1))?.scrollIntoView({ block: 'center' })
})
</script>

<template>
  <div class="page stacked">
    <PageHead title="Glossary" />
    <p class="muted">
      Terms with a dotted underline are explained where they stand: point at them, tap them, or move to them
      with the Tab key. Source: common practice; fragrance allergens as in Regulation (EU) 2023/1545.
    </p>
    <SearchField v-model="words" label="Search terms" placeholder="HLB, preservative, stock solution …" />
    <dl v-if="found.length" class="card">
      <div v-for="{ id, entry } in found" :id="id" :key="id" :class="{ lit: route.hash === `#${id}` }">
        <dt>{{ entry.term }}</dt>
        <dd>
          {{ entry.says }}
          <span v-if="entry.example" class="muted block">Example: {{ entry.example }}</span>
        </dd>
      </div>
    </dl>
    <NothingYet v-else
      ><p>No term matches “{{ words.trim() }}”.</p></NothingYet
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
}
@media (max-width: 620px) {
  dl > div {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
