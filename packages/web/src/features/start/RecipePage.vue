<script setup lang="ts">
import { remarkText, questionText } from '@omblet/core/words'
import { common } from '#words/common'
import { recipePage as texts } from '#words/start'
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

const EXAMPLE = texts.fogHornHandLotion200

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
  batch.value.trim() !== '' && batchGrams.value === null ? texts.enterTheBatchSizeIn : null,
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
const gapQuestion = computed(() => built.value?.questions.find((q) => q.said.code === 'gap') ?? null)
const batchQuestion = computed(() => built.value?.questions.find((q) => q.said.code === 'batch') ?? null)
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
  <StartFrame way="recipe" :title="texts.newFromARecipe">
    <section class="card start-card give" :aria-label="texts.theRecipe">
      <TextField
        :label="texts.pasteTheRecipeTextOr"
        v-model="text"
        :rows="13"
        autofocus
        spellcheck="false"
        :placeholder="texts.waterTo100Glycerin4"
        @input="onType"
        mono
      />
      <div class="abreast wraps">
        <FileButton
          :label="common.chooseAFile"
          icon="pi pi-upload"
          size="small"
          accept=".txt,.csv,.tsv,.md,.xlsx"
          testid="recipe-picker"
          @picked="take"
        />
        <Button
          v-if="text === '' && !cells"
          :label="texts.showAnExample"
          text
          size="small"
          @click="text = EXAMPLE"
        />
        <span v-if="fileName" class="muted small file breaks">{{ fileName }}</span>
      </div>
      <p v-if="reading" class="reading muted small abreast" role="status">
        {{ texts.reading }}
        <PlainButton :label="common.stop" size="small" @click="stopReading" />
      </p>
      <p v-if="problem" class="error-text" role="alert">{{ problem }}</p>
      <TextField
        :label="common.name"
        v-model="name"
        :placeholder="recipe?.title ?? texts.recipe"
        :maxlength="LIMITS.name"
      />
      <TextField
        :label="common.batchInGrams"
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
        <h2 id="understood-title">{{ common.result }}</h2>
        <p v-if="built" class="muted small" role="status">
          {{ ingredientCount }} {{ ingredientCount === 1 ? texts.ingredient : texts.ingredients }},
          {{ open === 0 ? texts.nothingMissing : texts.missing(open, open === 1 ? texts.thing : texts.things)
          }}<template v-if="unread">{{
            texts.notRead(unread, unread === 1 ? common.line : common.lines)
          }}</template>
        </p>
      </header>
      <Notice v-if="tooLong" kind="stop">{{ texts.thatIsMoreThanLines(MOST_RECIPE_LINES) }}</Notice>
      <Notice v-else-if="tooMany" kind="stop">{{
        texts.aFormulaCanHaveUp(LIMITS.lines, ingredientCount)
      }}</Notice>
      <p v-if="!built && !tooLong" class="muted start-none">
        {{ texts.readsPercentGramsMillilitres }}
      </p>
      <template v-if="built">
        <Notice v-if="batchQuestion" kind="check">{{ questionText(batchQuestion) }}</Notice>
        <Notice v-if="gapQuestion" kind="check">
          {{ questionText(gapQuestion) }}
          <template v-if="(built.gapPercent ?? 0) > 0" #actions>
            <Button :label="texts.replaceWithWater" size="small" @click="answers.fillWithWater = true" />
          </template>
        </Notice>
        <ul v-if="built.remarks.length" class="remarks small muted">
          <li v-for="(r, i) in built.remarks" :key="i">{{ remarkText(r) }}</li>
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
            <span v-if="built.gapPercent === null">{{
              texts.andQSTo100(sayNumber(built.knownPercent, 2))
            }}</span>
            <span v-else>{{ texts.inTotal(sayNumber(built.knownPercent, 2)) }}</span></span
          >
          <Button
            :label="texts.createFormula"
            :loading="busy"
            :disabled="ingredientCount === 0 || tooMany"
            @click="make"
          />
        </footer>
        <p v-if="open > 0" class="muted small">
          {{ texts.missingAmountsStayInThe }}
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
