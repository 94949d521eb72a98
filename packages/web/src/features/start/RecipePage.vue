<script setup lang="ts">
import {
  buildRecipe,
  LIMITS,
  MOST_RECIPE_LINES,
  sayNumber,
  unpackRecipe,
  type LineAnswer,
  type Product,
} from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../components/buttons'
import { computed, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useDesign } from '../../composables/design'
import FindingMark from '../../components/FindingMark.vue'
import TextField from '../../components/TextField.vue'
import Notice from '../../components/Notice.vue'
import { useLibrary } from '../../stores/library'
import { useMaterials } from '../../stores/materials'
import ProductFields from '../../components/ProductFields.vue'
import FileButton from '../../components/FileButton.vue'
import RecipeRow from './RecipeRow.vue'
import { useRecipeSource } from './use-recipe-source'
import StartFrame from './StartFrame.vue'

const materials = useMaterials()
const library = useLibrary()
const router = useRouter()

const EXAMPLE = `Fog Horn hand lotion (200 g)

Phase A
Distilled water - to 100 %
Glycerine - 4 %
Phase B
Sunflower oil 12%
Shea butter 5%
Emulsifying wax 6%
Phase C
Vitamin E - 10 drops
Preservative`

const { text, cells, fileName, problem, tooLong, source, take, onType } = useRecipeSource()
const product = ref<Product>({ kind: 'lotion', site: 'body', rinse: 'leave-on', region: 'EU' })
const name = ref('')
const batch = ref('')
/** Answers by the words of their line, so that they stay when other lines of the text change. */
const answers = reactive<{ lines: Record<string, LineAnswer>; fillWithWater: boolean }>({
  lines: {},
  fillWithWater: false,
})

const {
  answer: read,
  busy: reading,
  stop: stopReading,
} = useDesign(source, (worker, wanted) => worker.recipe(wanted))
const recipe = computed(() => (read.value ? unpackRecipe(read.value, materials.catalogue) : null))
// Water fills the gap of the recipe that it was asked for.
watch([text, cells], () => (answers.fillWithWater = false))

/** The words of each line; the second of two equal ones has its number. */
const keys = computed(() => {
  const seen = new Map<string, number>()
  return (recipe.value?.lines ?? []).map((line) => {
    const n = (seen.get(line.text) ?? 0) + 1
    seen.set(line.text, n)
    return `${n} ${line.text}`
  })
})
const lineAnswers = computed(() =>
  Object.fromEntries(
    keys.value.flatMap((key, i) => (answers.lines[key] ? [[i, { ...answers.lines[key] }]] : [])),
  ),
)

const batchGrams = computed(() => {
  const value = Number(batch.value.replace(',', '.'))
  return batch.value.trim() !== '' && value > 0 && value <= 1e6 ? value : null
})
const batchError = computed(() =>
  batch.value.trim() !== '' && batchGrams.value === null
    ? 'Enter the batch size in grams, such as 100.'
    : null,
)
const built = computed(() =>
  recipe.value
    ? buildRecipe(
        recipe.value,
        {
          product: { ...product.value },
          lines: lineAnswers.value,
          fillWithWater: answers.fillWithWater,
          ...(name.value.trim() ? { name: name.value.trim() } : {}),
          ...(batchGrams.value ? { batchGrams: batchGrams.value } : {}),
        },
        materials.catalogue,
      )
    : null,
)
const rows = computed(() => {
  const r = recipe.value
  const b = built.value
  if (!r || !b) return []
  return r.lines.map((line, index) => ({
    index,
    line,
    read: line.kind === 'ingredient' ? (b.lines.find((l) => l.line === index) ?? null) : null,
    questions: b.questions.filter((q) => q.line === index),
  }))
})
const ingredientCount = computed(() => rows.value.filter((r) => r.read).length)
const unread = computed(() => rows.value.filter((r) => r.line.kind === 'unread').length)
const tooMany = computed(() => ingredientCount.value > LIMITS.lines)
const gapQuestion = computed(() => built.value?.questions.find((q) => q.kind === 'gap') ?? null)
const batchQuestion = computed(() => built.value?.questions.find((q) => q.kind === 'batch') ?? null)
const open = computed(() => built.value?.questions.length ?? 0)

function answer(index: number, patch: LineAnswer) {
  const key = keys.value[index]!
  answers.lines[key] = { ...answers.lines[key], ...patch }
}

const busy = ref(false)
async function make() {
  if (!built.value || busy.value || tooMany.value) return
  busy.value = true
  try {
    const { id } = await library.create(built.value.formula)
    await router.push(`/formulas/${id}`)
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
  busy.value = false
}
</script>

<template>
  <StartFrame way="recipe" title="New from a recipe">
    <section class="card start-card give" aria-label="The recipe">
      <TextField
        label="Paste the recipe: text or a table"
        v-model="text"
        :rows="13"
        autofocus
        spellcheck="false"
        placeholder="Water to 100 %&#10;Glycerin 4 %&#10;…"
        @input="onType"
        mono
      />
      <div class="abreast wraps">
        <FileButton
          label="Choose a file"
          icon="pi pi-upload"
          size="small"
          accept=".txt,.csv,.tsv,.md,.xlsx"
          testid="recipe-picker"
          @picked="take"
        />
        <Button
          v-if="text === '' && !cells"
          label="Show an example"
          text
          size="small"
          @click="text = EXAMPLE"
        />
        <span v-if="fileName" class="muted small file breaks">{{ fileName }}</span>
      </div>
      <p v-if="reading" class="reading muted small abreast" role="status">
        Reading…
        <PlainButton label="Stop" size="small" @click="stopReading" />
      </p>
      <p v-if="problem" class="error-text" role="alert">{{ problem }}</p>
      <TextField
        label="Name"
        v-model="name"
        :placeholder="recipe?.title ?? 'Recipe'"
        :maxlength="LIMITS.name"
      />
      <TextField
        label="Batch, in grams"
        :error="batchError"
        v-model="batch"
        :placeholder="built ? sayNumber(built.formula.batchGrams ?? 100, 2) : '100'"
        figure
      />
      <div class="two">
        <ProductFields :product="product" @change="product = { ...product, ...$event }" />
      </div>
    </section>

    <section class="card start-card" aria-labelledby="understood-title">
      <header class="start-head">
        <h2 id="understood-title">Result</h2>
        <p v-if="built" class="muted small" role="status">
          {{ ingredientCount }} {{ ingredientCount === 1 ? 'ingredient' : 'ingredients' }},
          {{ open === 0 ? 'nothing missing' : `${open} ${open === 1 ? 'thing' : 'things'} missing`
          }}<template v-if="unread">, {{ unread }} {{ unread === 1 ? 'line' : 'lines' }} not read</template>
        </p>
      </header>
      <Notice v-if="tooLong" kind="stop"
        >That is more than {{ MOST_RECIPE_LINES }} lines. Paste one recipe at a time.</Notice
      >
      <Notice v-else-if="tooMany" kind="stop"
        >A formula can have up to {{ LIMITS.lines }} lines; this recipe has {{ ingredientCount }}. Remove
        some.</Notice
      >
      <p v-if="!built && !tooLong" class="muted start-none">
        Reads percent, grams, millilitres, spoons, drops, “to 100” and ranges, in lists and tables, with or
        without phases. You see how every line was read before anything is created.
      </p>
      <template v-if="built">
        <Notice v-if="batchQuestion" kind="check">{{ batchQuestion.asks }}</Notice>
        <Notice v-if="gapQuestion" kind="check">
          {{ gapQuestion.asks }}
          <template v-if="(built.gapPercent ?? 0) > 0" #actions>
            <Button label="Replace with water" size="small" @click="answers.fillWithWater = true" />
          </template>
        </Notice>
        <ul v-if="built.remarks.length" class="remarks small muted">
          <li v-for="r in built.remarks" :key="r">{{ r }}</li>
        </ul>
        <ol class="rows">
          <RecipeRow
            v-for="row in rows"
            :key="row.index"
            :row="row.line"
            :read="row.read"
            :questions="row.questions"
            @answer="answer(row.index, $event)"
          />
        </ol>
        <footer class="abreast wraps spread">
          <span class="sum"
            ><FindingMark
              :severity="built.gapPercent === null || Math.abs(built.gapPercent) <= 0.05 ? 'fine' : 'check'"
              :size="16"
            />
            <span v-if="built.gapPercent === null"
              >{{ sayNumber(built.knownPercent, 2) }} % and q.s. to 100</span
            >
            <span v-else>{{ sayNumber(built.knownPercent, 2) }} % in total</span></span
          >
          <Button
            label="Create formula"
            :loading="busy"
            :disabled="ingredientCount === 0 || tooMany"
            @click="make"
          />
        </footer>
        <p v-if="open > 0" class="muted small">
          Missing amounts stay in the formula as a check. Omblet fills in nothing.
        </p>
      </template>
    </section>
  </StartFrame>
</template>

<style scoped>
.reading {
  animation: late 0.2s 0.6s both;
}
@keyframes late {
  from {
    opacity: 0;
  }
}
.give :deep(textarea) {
  font-family: var(--mono);
  font-size: var(--text-note);
}
.remarks {
  display: grid;
  gap: 0.125rem;
}
.sum {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
}
</style>
