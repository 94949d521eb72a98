<script setup lang="ts">
import { common } from '#words/common'
import { firstBatch as texts } from '#words/bench'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import Jar from '../../components/Jar.vue'
import { layersOf } from '../../components/layers'
import NothingYet from '../../components/NothingYet.vue'
import { kindWord } from '../../components/words'
import { useLibrary } from '../../stores/library'

/** The Bench before anything was made: what it does, and what one could make. */
const library = useLibrary()
const router = useRouter()
const SHOWN = 6
const makeable = computed(() =>
  library.records.filter((r) => r.formula.phases.some((p) => p.lines.length > 1)),
)
</script>

<template>
  <NothingYet :title="texts.noBatchesYet">
    <p>
      {{ texts.chooseAFormulaOmbletGuides }}
    </p>
    <p>
      {{ texts.noScaleOrProbeConnected }}
    </p>
    <template v-if="makeable.length === 0" #actions>
      <Button :label="common.goToYourFormulas" @click="router.push('/formulas')" />
    </template>
  </NothingYet>
  <ul v-if="makeable.length" class="makeable" :aria-label="texts.formulasToMake">
    <li v-for="{ id, formula } in makeable.slice(0, SHOWN)" :key="id">
      <RouterLink :to="{ path: '/bench/start', query: { formula: id } }" class="card">
        <Jar :layers="layersOf(formula)" small />
        <span>
          <strong>{{ formula.name || common.unnamedFormula }}</strong>
          <span class="muted small">{{ kindWord(formula.product.kind) }}</span>
          <span class="make">{{ common.make }}</span>
        </span>
      </RouterLink>
    </li>
  </ul>
</template>

<style scoped>
.makeable {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 18rem), 1fr));
  gap: 0.75rem;
}
.card {
  display: flex;
  gap: 0.75rem;
  height: 100%;
  padding: 0.875rem 1rem;
  color: inherit;
  text-decoration: none;
}
.card:hover {
  border-color: var(--line-strong);
}
.card > span {
  display: grid;
  align-content: start;
  gap: 0.125rem;
  overflow-wrap: anywhere;
}
.make {
  padding-top: 0.25rem;
  color: var(--accent-ink);
  font-weight: 700;
}
</style>
