<script setup lang="ts">
import { startFrame as texts } from '#words/start'
import UpLink from '../../components/UpLink.vue'
import { onMounted } from 'vue'

/** The frame of the ways to start a formula: a brief, a recipe from elsewhere, an ingredient list. */
const props = defineProps<{ way: 'brief' | 'recipe' | 'label'; title: string }>()
const WAYS = [
  { way: 'brief', to: '/start/brief', label: texts.aBrief },
  { way: 'recipe', to: '/start/recipe', label: texts.aRecipe },
  { way: 'label', to: '/start/label', label: texts.anIngredientList },
] as const
onMounted(() => {
  document.title = `${props.title} – Omblet`
})
</script>

<template>
  <div class="start">
    <header class="abreast wraps">
      <UpLink to="/formulas" :label="texts.backToFormulas" />
      <h1>{{ title }}</h1>
      <nav :aria-label="texts.newFrom">
        <RouterLink
          v-for="w in WAYS"
          :key="w.way"
          :to="w.to"
          :class="{ on: w.way === way }"
          :aria-current="w.way === way ? 'page' : undefined"
          >{{ w.label }}</RouterLink
        >
      </nav>
    </header>
    <div class="columns leaf">
      <slot />
    </div>
  </div>
</template>

<style scoped>
header {
  position: sticky;
  top: 0;
  z-index: 4;
  gap: 0.375rem 0.75rem;
  min-height: 60px;
  padding: 0.375rem 1rem;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}
h1 {
  font-size: var(--text-head-2);
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0.125rem;
  margin-left: auto;
}
nav a {
  padding: 0.3rem 0.625rem;
  border-radius: var(--round-m);
  color: var(--muted);
  text-decoration: none;
  font-size: var(--text-less);
}
nav a:hover {
  color: var(--ink);
}
nav a.on {
  background: var(--cobalt-100);
  color: var(--accent-ink);
  font-weight: 700;
}
.columns {
  --columns: minmax(0, 27rem) minmax(0, 1fr);
}
@media (max-width: 620px) {
  header {
    position: static;
  }
  nav {
    margin-left: 0;
  }
}
</style>

<style src="./start.css"></style>
