<script setup lang="ts">
import { common } from '#words/common'
import { briefPage as texts } from '#words/start'
import { impossibleText } from '@omblet/core/words'
import {
  asksEmulsion,
  capitalise,
  CONSTRAINTS,
  countFindings,
  LIMITS,
  parseAmount,
  parseNumber,
  USUAL_BATCH,
  type Brief,
  type Constraint,
  type Material,
  type Product,
  type Proposals,
} from '@omblet/core'
import AutoComplete from 'primevue/autocomplete'
import { QuietButton } from '../../components/buttons'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { computed, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { plain } from '../../browser/plain'
import { useDesign, usePrices } from '../../composables/design'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import Notice from '../../components/Notice.vue'
import { kindWord } from '../../components/words'
import { useLibrary } from '../../stores/library'
import { useLots } from '../../stores/lots'
import { useMaterials } from '../../stores/materials'
import ProductFields from '../../components/ProductFields.vue'
import { ABSORPTION, CONSTRAINT_WORDS, FEEL, needs, RICHNESS } from './brief-words'
import ProposalCard from './ProposalCard.vue'
import StartFrame from './StartFrame.vue'

const library = useLibrary()
const materials = useMaterials()
const lots = useLots()
const router = useRouter()
const prices = usePrices()

const name = ref('')
const product = ref<Product>({ kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' })
const batch = ref('100')
const batchTouched = ref(false)
const wish = reactive<Pick<Brief, 'richness' | 'absorption' | 'feel' | 'need'>>({
  richness: 'cream',
  absorption: 'medium',
  feel: 'silky',
  need: 'moisture',
})
const constraints = ref<Constraint[]>([])
const actives = ref<{ material: string; label: string; amount: string }[]>([])

const isEmulsion = computed(() => asksEmulsion({ product: product.value, constraints: constraints.value }))
watch(
  () => product.value.kind,
  (kind) => {
    if (!batchTouched.value) batch.value = String(USUAL_BATCH[kind])
    if (kind === 'lotion' || kind === 'cream' || kind === 'butter') wish.richness = kind
    if (kind === 'leave-in') {
      wish.richness = 'milk'
      wish.need = 'softness'
      product.value = { ...product.value, site: 'hair' }
    } else if (product.value.site === 'hair') product.value = { ...product.value, site: 'face' }
  },
)

const grams = computed(() =>
  parseNumber(batch.value, { min: 1, max: 100_000, what: common.theBatch, unit: 'g' }),
)
const batchError = computed(() =>
  'error' in grams.value ? grams.value.error : grams.value.value === null ? common.enterTheBatchSizeIn : null,
)

const words = ref<string | Material>('')
const found = ref<Material[]>([])
const used = computed(() => new Set(actives.value.map((a) => a.material)))
function search(event: { query: string }) {
  found.value = materials
    .search(event.query, 14)
    .filter((m) => !used.value.has(m.id))
    .slice(0, 10)
}
function addActive(m: Material) {
  actives.value = [...actives.value, { material: m.id, label: m.name, amount: String(m.usage?.typical ?? 1) }]
  words.value = ''
}
const doseOf = (amount: string) => {
  const typed = parseAmount(amount)
  return (typed.kind === 'percent' || typed.kind === 'bare') && typed.value > 0 && typed.value <= 100
    ? typed.value
    : null
}
const doseError = (amount: string) => (doseOf(amount) === null ? texts.enterAPercentageAbove0 : null)

/** What it is called and how much is made are as typed when a proposal is started, also while new ones are worked out. */
const named = computed(() => ({
  name: name.value.trim() || texts.newWord(kindWord(product.value.kind).toLowerCase()),
  batchGrams: 'value' in grams.value ? grams.value.value! : 100,
}))
const brief = computed<Brief | null>(() => {
  if (batchError.value || actives.value.some((a) => doseError(a.amount))) return null
  return {
    name: '',
    batchGrams: named.value.batchGrams,
    product: { ...product.value },
    ...wish,
    constraints: [...constraints.value],
    actives: actives.value.map((a) => ({ material: a.material, percent: doseOf(a.amount)! })),
  }
})
const request = computed(() =>
  brief.value ? { brief: brief.value, shelf: new Set(lots.owned), prices: prices() } : null,
)
const { answer, busy, failed } = useDesign(
  request,
  (worker, r) =>
    // The bridge parts the union into a promise for each of its kinds.
    worker.propose(plain(r.brief), r.shelf, r.prices) as Promise<Proposals>,
)
const proposals = computed(() => (answer.value?.status === 'done' ? answer.value.proposals : []))
const unpriced = computed(
  () => constraints.value.includes('low-budget') && Object.keys(prices()).length === 0,
)

const making = ref<number | null>(null)
async function start(index: number) {
  const proposal = proposals.value[index]
  if (!proposal || making.value !== null) return
  making.value = index
  const { id } = await library.create({ ...proposal.formula, ...named.value })
  making.value = null
  if (id) await router.push(`/formulas/${id}`)
}
</script>

<template>
  <StartFrame way="brief" :title="common.newFromABrief">
    <section class="card start-card" :aria-label="texts.theBrief">
      <TextField
        :label="common.name"
        v-model="name"
        autofocus
        :placeholder="texts.newWord(kindWord(product.kind).toLowerCase())"
        :maxlength="LIMITS.name"
      />
      <div class="two">
        <ProductFields :product="product" @change="product = { ...product, ...$event }" />
      </div>
      <div class="two">
        <TextField
          :label="common.batchInGrams"
          :error="batchError"
          v-model="batch"
          @input="batchTouched = true"
          figure
        />
        <ChoiceField v-model="wish.need" :label="texts.need" :options="needs" />
      </div>
      <ChoiceField v-if="isEmulsion" v-model="wish.richness" :label="texts.richness" :options="RICHNESS" />
      <div class="two">
        <ChoiceField v-model="wish.absorption" :label="texts.rateOfAbsorption" :options="ABSORPTION" />
        <ChoiceField v-model="wish.feel" :label="texts.skinFeel" :options="FEEL" />
      </div>
      <fieldset class="stacked closer">
        <legend>{{ texts.requiredActives }}</legend>
        <div v-for="(a, i) in actives" :key="a.material" class="active">
          <span>{{ capitalise(a.label) }}</span>
          <InputText
            v-model="a.amount"
            class="mono"
            size="small"
            inputmode="decimal"
            :aria-label="texts.percentOf(a.label)"
            :invalid="doseError(a.amount) !== null"
          />
          <span class="muted small">%</span>
          <QuietButton
            icon="pi pi-times"
            rounded
            :aria-label="texts.remove(a.label)"
            @click="actives = actives.filter((_, k) => k !== i)"
          />
          <span v-if="doseError(a.amount)" class="error-text wide" role="alert">{{
            doseError(a.amount)
          }}</span>
        </div>
        <AutoComplete
          v-model="words"
          :suggestions="found"
          option-label="name"
          :min-length="2"
          :placeholder="texts.addAnActiveSuchAs"
          :aria-label="texts.addAnActive"
          fluid
          @complete="search"
          @option-select="addActive($event.value)"
        />
      </fieldset>
      <fieldset class="stacked closer">
        <legend>{{ texts.constraints }}</legend>
        <div class="checks">
          <label v-for="c in CONSTRAINTS" :key="c"
            ><Checkbox v-model="constraints" :value="c" /> {{ CONSTRAINT_WORDS[c] }}</label
          >
        </div>
      </fieldset>
    </section>

    <section class="stacked" aria-labelledby="brief-out" :aria-busy="busy">
      <header class="start-head">
        <h2 id="brief-out">{{ texts.proposals }}</h2>
        <p class="muted small" role="status">
          {{
            busy
              ? texts.calculating
              : proposals.length > 0
                ? texts.differentNoneWithAStop(
                    proposals.length,
                    proposals.length === 1 ? texts.formula : texts.formulas,
                  )
                : ''
          }}
        </p>
      </header>
      <Notice v-if="failed" kind="stop">{{ texts.noProposalsCouldBeCalculated }}</Notice>
      <Notice v-if="unpriced" kind="note">{{ texts.noLotInYourStock }}</Notice>
      <template v-if="answer?.status === 'impossible'">
        <Notice v-for="(w, i) in answer.why" :key="i" kind="check">{{ impossibleText(w) }}</Notice>
      </template>
      <ProposalCard
        v-for="(p, i) in proposals"
        :key="`${i}-${p.title}`"
        :proposal="p"
        :counts="countFindings(p.findings)"
        :busy="making === i"
        @start="start(i)"
      />
      <p v-if="proposals.length" class="muted small">
        {{ texts.builtFromTheCatalogueBy }}
      </p>
    </section>
  </StartFrame>
</template>

<style scoped>
.two :deep(.field) {
  min-width: 0;
}
.active {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 4.5rem auto 36px;
  align-items: center;
  gap: 0.25rem 0.375rem;
}
.active :deep(input) {
  width: 4.5rem;
  text-align: right;
}
.checks {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.375rem 0.75rem;
}
.checks label {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 28px;
  font-size: var(--text-less);
}
</style>
