<script setup lang="ts">
import {
  buildRecipe,
  LIMITS,
  MOST_RECIPE_LINES,
  sayNumber,
  unpackRecipe,
  type Cell,
  type LineAnswer,
  type Product,
} from '@omblet/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, reactive, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useDesign } from '../../composables/design'
import FindingMark from '../../components/FindingMark.vue'
import FormField from '../../components/FormField.vue'
import Notice from '../../components/Notice.vue'
import { useLibrary } from '../../stores/library'
import { useMaterials } from '../../stores/materials'
import ProductFields from './ProductFields.vue'
import RecipeRow from './RecipeRow.vue'
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

const text = ref('')
const cells = shallowRef<readonly (readonly Cell[])[] | null>(null)
const fileName = ref('')
const problem = ref<string | null>(null)
const product = ref<Product>({ kind: 'lotion', site: 'body', rinse: 'leave-on', region: 'EU' })
const name = ref('')
const batch = ref('')
/** Answers by the words of their line, so that they stay when other lines of the text change. */
const answers = reactive<{ lines: Record<string, LineAnswer>; fillWithWater: boolean }>({
  lines: {},
  fillWithWater: false,
})
const picker = useTemplateRef<HTMLInputElement>('picker')

/** Reading runs beside the page, so that no text stops the typing. */
const tooLong = computed(
  () => (cells.value ? cells.value.length : text.value.split('\n').length) > MOST_RECIPE_LINES,
)
const source = computed(() => {
  if (tooLong.value) return null
  if (cells.value) return { cells: cells.value }
  return text.value.trim() === '' ? null : { text: text.value }
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
    ? 'Type the grams of the whole batch, such as 100.'
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

async function take(file: File | undefined) {
  problem.value = null
  if (!file) return
  if (file.size > 5_000_000) {
    problem.value = `${file.name} is larger than 5 MB: no recipe is. Check that it is the right file.`
    return
  }
  try {
    if (/\.xlsx$/i.test(file.name)) {
      const { readSheet } = await import('read-excel-file/browser')
      cells.value = (await readSheet(file)) as readonly (readonly Cell[])[]
      text.value = ''
    } else {
      cells.value = null
      text.value = await file.text()
    }
    fileName.value = file.name
  } catch {
    problem.value = `${file.name} could not be read. Save it as .xlsx, .csv or plain text, or paste it here.`
  }
}
function onPick(event: Event) {
  const input = event.target as HTMLInputElement
  void take(input.files?.[0])
  input.value = ''
}
function onType() {
  cells.value = null
  fileName.value = ''
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
  <StartFrame way="recipe" title="Start from a recipe">
    <section class="card start-card give" aria-label="The recipe">
      <FormField id="recipe-text" label="Paste it as it is: text or a table">
        <Textarea
          id="recipe-text"
          v-model="text"
          rows="13"
          class="mono"
          autofocus
          spellcheck="false"
          placeholder="Water to 100 %&#10;Glycerin 4 %&#10;…"
          @input="onType"
        />
      </FormField>
      <div class="acts">
        <Button
          label="Choose a file"
          icon="pi pi-upload"
          severity="secondary"
          outlined
          size="small"
          @click="picker?.click()"
        />
        <Button
          v-if="text === '' && !cells"
          label="Show an example"
          text
          size="small"
          @click="text = EXAMPLE"
        />
        <span v-if="fileName" class="muted small file">{{ fileName }}</span>
        <input
          ref="picker"
          type="file"
          accept=".txt,.csv,.tsv,.md,.xlsx"
          hidden
          data-testid="recipe-picker"
          @change="onPick"
        />
      </div>
      <p v-if="reading" class="reading muted small" role="status">
        Reading…
        <Button label="Stop" size="small" severity="secondary" outlined @click="stopReading" />
      </p>
      <p v-if="problem" class="error-text" role="alert">{{ problem }}</p>
      <FormField id="recipe-name" label="Name">
        <InputText
          id="recipe-name"
          v-model="name"
          :placeholder="recipe?.title ?? 'Recipe'"
          :maxlength="LIMITS.name"
          fluid
        />
      </FormField>
      <FormField id="recipe-batch" label="Batch, in grams" :error="batchError">
        <InputText
          id="recipe-batch"
          v-model="batch"
          inputmode="decimal"
          class="mono"
          :placeholder="built ? sayNumber(built.formula.batchGrams ?? 100, 2) : '100'"
          :invalid="batchError !== null"
          fluid
        />
      </FormField>
      <ProductFields v-model="product" />
    </section>

    <section class="card start-card" aria-labelledby="understood-title">
      <header class="start-head">
        <h2 id="understood-title">What was understood</h2>
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
        >A formula holds {{ LIMITS.lines }} lines; this has {{ ingredientCount }}. Leave some out.</Notice
      >
      <p v-if="!built && !tooLong" class="muted start-none">
        Percents, grams, millilitres, spoons and drops are read, “to 100” and ranges too, in lists and tables,
        with or without phases. Every line shows what became of it before anything is made.
      </p>
      <template v-if="built">
        <Notice v-if="batchQuestion" kind="check">{{ batchQuestion.asks }}</Notice>
        <Notice v-if="gapQuestion" kind="check">
          {{ gapQuestion.asks }}
          <template v-if="(built.gapPercent ?? 0) > 0" #actions>
            <Button label="Let water take it" size="small" @click="answers.fillWithWater = true" />
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
        <footer>
          <span class="sum"
            ><FindingMark
              :severity="built.gapPercent === null || Math.abs(built.gapPercent) <= 0.05 ? 'fine' : 'check'"
              :size="16"
            />
            <span v-if="built.gapPercent === null"
              >{{ sayNumber(built.knownPercent, 2) }} % and what is left of 100</span
            >
            <span v-else>{{ sayNumber(built.knownPercent, 2) }} % in all</span></span
          >
          <Button
            label="Make the formula"
            :loading="busy"
            :disabled="ingredientCount === 0 || tooMany"
            @click="make"
          />
        </footer>
        <p v-if="open > 0" class="muted small">
          What is still missing stays in the formula as a check; nothing is filled in by itself.
        </p>
      </template>
    </section>
  </StartFrame>
</template>

<style scoped>
.reading {
  display: flex;
  align-items: center;
  gap: 0.625rem;
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
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
.file {
  overflow-wrap: anywhere;
}
.remarks {
  display: grid;
  gap: 0.125rem;
}
footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem;
}
.sum {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
}
</style>
