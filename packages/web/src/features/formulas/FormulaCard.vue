<script setup lang="ts">
import { common } from '#words/common'
import { formulaCard as texts } from '#words/formulas'
import { format, isThisYear, isToday } from 'date-fns'
import { computed } from 'vue'
import Counts from '../../components/Counts.vue'
import Jar from '../../components/Jar.vue'
import { layersOf, lineCount } from '../../components/layers'
import { kindWord, siteWord } from '../../components/words'
import type { FormulaRecord } from '../../storage/schema'
import { useCards } from '../../stores/cards'

const props = defineProps<{ record: FormulaRecord; chosen: boolean }>()
const emit = defineEmits<{ choose: [on: boolean]; menu: [event: Event] }>()

const cards = useCards()
const counts = computed(() => cards.countsOf(props.record))
const layers = computed(() => layersOf(formula.value))
const lines = computed(() => lineCount(formula.value))
const formula = computed(() => props.record.formula)
const date = computed(() => {
  const at = new Date(props.record.updatedAt)
  return isToday(at) ? texts.today(format(at, 'HH:mm')) : format(at, isThisYear(at) ? 'd MMM' : 'd MMM yyyy')
})
const product = computed(
  () => `${kindWord(formula.value.product.kind)} · ${siteWord(formula.value.product.site).toLowerCase()}`,
)
</script>

<template>
  <article class="formula card" :class="{ chosen }">
    <Jar :layers="layers" small />
    <div class="body">
      <h2>
        <RouterLink :to="`/formulas/${record.id}`">{{ formula.name || common.unnamedFormula }}</RouterLink>
      </h2>
      <p class="muted small">{{ product }}</p>
      <p class="muted small">
        {{ date }} · {{ lines }} {{ lines === 1 ? common.line : common.lines
        }}<template v-if="record.demo"> {{ texts.example }}</template>
      </p>
      <Counts v-if="counts" :counts="counts" :empty="lines <= 1" />
    </div>
    <div class="side">
      <button
        type="button"
        class="dots"
        :aria-label="texts.moreFor(formula.name)"
        aria-haspopup="menu"
        @click="emit('menu', $event)"
      >
        <i class="pi pi-ellipsis-v" aria-hidden="true"></i>
      </button>
      <input
        type="checkbox"
        :checked="chosen"
        :aria-label="texts.choose(formula.name)"
        @change="emit('choose', ($event.target as HTMLInputElement).checked)"
      />
    </div>
  </article>
</template>

<style scoped>
.formula {
  position: relative;
  display: flex;
  gap: 0.75rem;
  height: 100%;
  padding: 0.875rem 0.5rem 0.875rem 1rem;
  transition: border-color 0.12s;
}
.formula:hover {
  border-color: var(--cobalt-300);
}
.formula.chosen {
  border-color: var(--accent);
  box-shadow: 0 0 0 1px var(--accent);
}
.body {
  flex: 1;
  min-width: 0;
  display: grid;
  align-content: start;
  gap: 0.125rem;
}
h2 {
  line-height: 1.25;
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  -webkit-box-orient: vertical;
}
h2 a {
  color: inherit;
  text-decoration: none;
}
h2 a::after {
  content: '';
  position: absolute;
  inset: 0;
  border-radius: var(--round-xl);
}
.body :deep(.counts) {
  padding-top: 0.35rem;
}
.side {
  position: relative;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: space-between;
}
.dots {
  width: 40px;
  height: 40px;
  border: 0;
  border-radius: 50%;
  background: transparent;
  color: var(--muted);
  cursor: pointer;
}
.dots:hover {
  background: var(--wash);
}
.side input {
  margin: 0 8px;
  accent-color: var(--accent);
  cursor: pointer;
}
</style>
