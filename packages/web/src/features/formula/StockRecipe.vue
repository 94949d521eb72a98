<script setup lang="ts">
import { common } from '#words/common'
import { stockRecipe as texts } from '#words/formula'
import { capitalise, formatGrams, parseNumber, sayNumber, stockRecipe, type Material } from '@omblet/core'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useMaterials } from '../../stores/materials'

const props = defineProps<{ material: Material; need: number; resolution: number }>()
const materials = useMaterials()
/** A stock sticks to its beaker: a little more than the need is the habit. */
const spare = ref('5')
const parsed = computed(() => parseNumber(spare.value, { min: 0, max: 500, what: texts.theSpare, unit: '%' }))
const grams = computed(() => {
  const percent = 'value' in parsed.value ? (parsed.value.value ?? 0) : 0
  const exact = props.need * (1 + percent / 100)
  return Number(
    (Math.ceil(Number((exact / props.resolution).toPrecision(12))) * props.resolution).toPrecision(12),
  )
})
const rows = computed(() => stockRecipe(props.material, grams.value, props.resolution, materials.catalogue))
const told = computed(() => (props.material.parts ?? []).reduce((s, p) => s + p.percent, 0))
</script>

<template>
  <section class="stock" :aria-label="texts.recipeOfThisStockSolution">
    <header class="abreast spread">
      <h3>
        {{ common.make }} <span class="mono">{{ formatGrams(grams, resolution) }}</span> {{ texts.ofIt }}
      </h3>
      <label class="small muted"
        >{{ texts.spare }}
        <InputText v-model="spare" class="mono" inputmode="decimal" :aria-label="texts.overagePercent" />
        %</label
      >
    </header>
    <p v-if="'error' in parsed" class="error-text" role="alert">{{ parsed.error }}</p>
    <ul>
      <li v-for="(row, i) in rows" :key="i">
        <span>{{ capitalise(row.label) }}</span>
        <span class="mono muted">{{ sayNumber(row.percent, 3) }} %</span>
        <span class="mono">{{ formatGrams(row.grams, resolution) }}</span>
      </li>
    </ul>
    <p class="muted small">
      {{ texts.thisBatchNeeds(formatGrams(need, resolution))
      }}<template v-if="told < 99.95"> {{ texts.onlyOfItsCompositionIs(sayNumber(told, 2)) }}</template>
    </p>
  </section>
</template>

<style scoped>
.stock {
  padding: 0.75rem 0;
  border-top: 1px solid var(--line);
}
header {
  padding-bottom: 0.375rem;
  gap: 0;
}
label :deep(input) {
  width: 3.5rem;
  padding: 0.25rem 0.5rem;
  text-align: right;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6rem 6.5rem;
  gap: 0.5rem;
  padding: 0.2rem 0;
  border-top: 1px solid var(--line);
}
li .mono {
  text-align: right;
}
</style>
