<script setup lang="ts">
import { common } from '#words/common'
import { balanceBody as texts } from '#words/formula-balance'
import { formatNumber, isChosen, parseNumber, sayNumber, type LineRef, type Wishes } from '@omblet/core'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { useToast } from 'primevue/usetoast'
import { computed, reactive, ref } from 'vue'
import { plain } from '../../../browser/plain'
import { useDesign, usePrices } from '../../../composables/design'
import TitledCard from '../../../components/TitledCard.vue'
import { notify } from '../../../components/notify'
import { useEditor } from '../../../stores/editor'
import ChangesCard from './ChangesCard.vue'

const editor = useEditor()
const toast = useToast()
const prices = usePrices()

const a = computed(() => editor.assessment!)
const priced = computed(() => Object.keys(prices()).length > 0)

interface Figure {
  on: boolean
  text: string
}
const oil = reactive<Figure>({ on: false, text: sayNumber(a.value.emulsion?.oilPhasePercent ?? 20, 1) })
const cost = reactive<Figure>({ on: false, text: '' })
const natural = reactive<Figure>({ on: false, text: '' })
const hlb = ref(false)
const ranges = ref(true)
const keepActives = ref(true)
const locked = ref<string[]>([])

const read = (figure: Figure, what: string, max: number) => parseNumber(figure.text, { min: 0, max, what })
const problem = (figure: Figure, what: string, max: number) => {
  if (!figure.on) return null
  const typed = read(figure, what, max)
  return 'error' in typed ? typed.error : typed.value === null ? texts.type(what) : null
}
const oilError = computed(() => problem(oil, texts.theOilPhaseInPercent, 95))
const costError = computed(() => problem(cost, texts.theMostThat100G, 1e6))
const naturalError = computed(() => problem(natural, texts.theLeastShareInPercent, 100))
const valueOf = (figure: Figure, max: number) => {
  const typed = read(figure, '', max)
  return figure.on && 'value' in typed && typed.value !== null ? typed.value : undefined
}

const keyOf = (at: LineRef) => `${at.phase}.${at.line}`
const lines = computed(() =>
  a.value.lines.map((l) => ({
    key: keyOf(l),
    label: l.label,
    percent: l.percent,
    fill: l.fill,
    letter: a.value.phases[l.phase]!.letter,
    role: a.value.phases[l.phase]!.role,
    kept: keepActives.value && l.given && !l.fill && isChosen(l.material),
  })),
)
const wishes = computed<Wishes | null>(() => {
  if (oilError.value || costError.value || naturalError.value) return null
  const oilPhasePercent = valueOf(oil, 95)
  const costMost = valueOf(cost, 1e6)
  const naturalLeast = valueOf(natural, 100)
  return {
    ...(oilPhasePercent !== undefined ? { oilPhasePercent } : {}),
    ...(costMost !== undefined ? { costMost } : {}),
    ...(naturalLeast !== undefined ? { naturalLeast } : {}),
    hlb: hlb.value,
    ranges: ranges.value,
    keepActives: keepActives.value,
    locked: a.value.lines
      .filter((l) => locked.value.includes(keyOf(l)))
      .map(({ phase, line }) => ({ phase, line })),
  }
})
const request = computed(() =>
  wishes.value && a.value.lines.length > 0
    ? { formula: a.value.formula, wishes: wishes.value, prices: prices() }
    : null,
)
const { answer, busy, failed } = useDesign(request, (worker, r) =>
  worker.balance(plain(r.formula), plain(r.wishes), r.prices),
)

function take() {
  const result = answer.value?.result
  if (!result) return
  const n = result.changes.filter((c) => !c.fill).length
  editor.apply(result.edit)
  notify(toast, n === 1 ? texts.oneAmountChanged : texts.amountsChanged(n), {
    label: common.undo,
    run: () => editor.undo(),
  })
}
</script>

<template>
  <div class="columns leaf">
    <h2 class="hidden-text">{{ common.rebalance }}</h2>
    <TitledCard :title="texts.smallestChangeThatMeets" class="wishes">
      <ul>
        <li>
          <label class="check"
            ><Checkbox :model-value="true" binary disabled /> {{ texts.theTotalIs100 }}</label
          >
        </li>
        <li>
          <label class="check"
            ><Checkbox v-model="ranges" binary /> {{ texts.everyIngredientIsWithinIts }}</label
          >
        </li>
        <li v-if="a.emulsion">
          <label class="check"><Checkbox v-model="oil.on" binary /> {{ texts.theOilPhaseIs }}</label>
          <span class="figure"
            ><InputText
              v-model="oil.text"
              class="mono"
              size="small"
              inputmode="decimal"
              :aria-label="texts.oilPhasePercent"
              :invalid="oilError !== null"
              @input="oil.on = true"
            />
            %</span
          >
          <span v-if="oilError" class="error-text" role="alert">{{ oilError }}</span>
        </li>
        <li v-if="a.emulsion?.type === 'oil-in-water'">
          <label class="check"
            ><Checkbox v-model="hlb" binary /> {{ texts.theEmulsifiersMatchTheRequired }}</label
          >
          <span v-if="hlb && !a.emulsion.hlbApplies" class="muted small hint">{{
            texts.hlbIsNoGuideFor
          }}</span>
        </li>
        <li>
          <label class="check"
            ><Checkbox v-model="cost.on" binary :disabled="!priced" /> {{ texts.n100GCostAtMost }}</label
          >
          <span class="figure"
            ><InputText
              v-model="cost.text"
              class="mono"
              size="small"
              inputmode="decimal"
              :aria-label="texts.priceOf100GAt"
              :disabled="!priced"
              :invalid="costError !== null"
              :placeholder="answer?.before.cost ? sayNumber(answer.before.cost, 2) : ''"
              @input="cost.on = true"
          /></span>
          <span v-if="!priced" class="muted small hint">{{ texts.noLotInYourStock }}</span>
          <span v-if="costError" class="error-text" role="alert">{{ costError }}</span>
        </li>
        <li>
          <label class="check"
            ><Checkbox v-model="natural.on" binary /> {{ texts.notSyntheticAtLeast }}</label
          >
          <span class="figure"
            ><InputText
              v-model="natural.text"
              class="mono"
              size="small"
              inputmode="decimal"
              :aria-label="texts.shareThatIsNotSynthetic"
              :invalid="naturalError !== null"
              :placeholder="answer ? sayNumber(answer.before.naturalPercent, 1) : ''"
              @input="natural.on = true"
            />
            %</span
          >
          <span v-if="naturalError" class="error-text" role="alert">{{ naturalError }}</span>
        </li>
        <li>
          <label class="check"
            ><Checkbox v-model="keepActives" binary /> {{ texts.keepActivesPreservativesAnd }}</label
          >
        </li>
      </ul>
      <h4>{{ texts.lockedIngredients }}</h4>
      <ul class="lines">
        <li v-for="l in lines" :key="l.key">
          <label class="check"
            ><Checkbox v-model="locked" :value="l.key" :disabled="l.kept" />
            <span class="phase-badge" :data-role="l.role" :style="{ background: 'var(--phase)' }">{{
              l.letter
            }}</span>
            <span class="label breaks">{{ l.label }}</span></label
          >
          <span class="mono small percent">{{ l.fill ? 'q.s.' : `${formatNumber(l.percent, 2, 4)} %` }}</span>
          <span v-if="l.kept" class="muted small">{{ texts.locked }}</span>
        </li>
      </ul>
    </TitledCard>
    <ChangesCard
      :answer="answer"
      :busy="busy"
      :failed="failed"
      :empty="a.lines.length === 0"
      :batch-grams="a.amounts.batchGrams"
      @take="take"
    />
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 26rem) minmax(0, 1fr);
}
.wishes > ul > li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.25rem 0.75rem;
  min-height: 40px;
  border-top: 1px solid var(--line);
}
.check {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-width: 0;
}
.figure {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
}
.figure :deep(input) {
  width: 5.5rem;
  text-align: right;
}
.hint,
.error-text {
  flex: 1 1 100%;
  padding: 0 0 0.375rem 1.9rem;
}
.lines li {
  justify-content: flex-start;
}
.lines .check {
  flex: 1 1 12rem;
}
</style>
