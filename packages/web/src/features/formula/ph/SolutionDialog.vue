<script setup lang="ts">
import { common } from '#words/common'
import { solutionDialog as texts } from '#words/formula-ph'
import { doseFaultText, solutionText } from '@omblet/core/words'
import { decimalsOf, formatNumber, parseNumber, sayNumber, solutionRecipe } from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { computed, reactive, watch } from 'vue'
import TextField from '../../../components/TextField.vue'
import { useTitration } from './titration'

const open = defineModel<boolean>('open', { required: true })
const props = defineProps<{ adjuster: string; name: string; strengthPercent: number }>()
const t = useTitration()

const form = reactive({ grams: '50', strength: '', stock: '' })
watch(
  open,
  (now) => {
    if (now)
      Object.assign(form, {
        strength: sayNumber(props.strengthPercent),
        stock: sayNumber(t.assessment.value.catalogue.find(props.adjuster)?.strengthPercent ?? 100),
      })
  },
  { immediate: true },
)
const grams = computed(() =>
  parseNumber(form.grams, { min: 0.1, max: 1e5, what: common.theAmount, unit: 'g' }),
)
const strength = computed(() =>
  parseNumber(form.strength, { min: 0, max: 1000, what: common.theStrength, unit: '%' }),
)
const stock = computed(() =>
  parseNumber(form.stock, { min: 1, max: 100, what: texts.theStrengthOfWhatYou, unit: '%' }),
)
const said = (x: ReturnType<typeof parseNumber>) => ('error' in x ? x.error : null)
const valueOf = (x: ReturnType<typeof parseNumber>) => ('value' in x ? x.value : null)
const resolution = computed(() => t.assessment.value.amounts.resolutionGrams)
const recipe = computed(() => {
  const [g, s] = [valueOf(grams.value), valueOf(strength.value)]
  return g === null || s === null
    ? null
    : solutionRecipe(props.adjuster, s, g, resolution.value, valueOf(stock.value) ?? 100)
})
const say = (value: number) => formatNumber(value, decimalsOf(resolution.value))
function use() {
  const s = valueOf(strength.value)
  if (s !== null) t.choose(props.adjuster, s)
  open.value = false
}
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.aSolutionOf(name.toLowerCase())">
    <form class="dialog-form" @submit.prevent="use">
      <TextField :label="texts.amountG" :error="said(grams)" v-model="form.grams" autofocus figure />
      <TextField :label="texts.strength" :error="said(strength)" v-model="form.strength" figure />
      <TextField :label="texts.startingStrength" :error="said(stock)" v-model="form.stock" figure />
      <div v-if="recipe" class="wide stacked" role="status">
        <p v-if="'fault' in recipe" class="error-text">{{ doseFaultText(recipe.fault) }}</p>
        <template v-else>
          <dl>
            <dt>{{ texts.distilledWater }}</dt>
            <dd class="mono num bold">{{ say(recipe.waterGrams) }} g</dd>
            <dt>{{ name }}</dt>
            <dd class="mono num bold">{{ say(recipe.solidGrams) }} g</dd>
          </dl>
          <ol>
            <li v-for="step in solutionText(recipe).steps" :key="step">{{ step }}</li>
          </ol>
          <ul class="cautions">
            <li v-for="caution in solutionText(recipe).cautions" :key="caution">{{ caution }}</li>
          </ul>
        </template>
      </div>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.close" @click="open = false" />
        <Button type="submit" :label="texts.useThisStrength" :disabled="!recipe || 'fault' in recipe" />
      </div>
    </form>
  </PopUp>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  margin: 0;
}
dt,
dd {
  margin: 0;
  padding: 0.375rem 0;
  border-top: 1px solid var(--line);
}
ol {
  list-style: decimal;
  padding-left: 1.25rem;
}
.cautions {
  display: grid;
  gap: 0.25rem;
  padding: 0.625rem 0.875rem 0.625rem 2rem;
  border: 1px solid color-mix(in srgb, var(--check) 35%, transparent);
  border-radius: var(--round-l);
  background: var(--check-wash);
  list-style: disc;
}
</style>
