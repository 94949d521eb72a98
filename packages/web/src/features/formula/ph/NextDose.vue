<script setup lang="ts">
import { common } from '#words/common'
import { nextDose as texts } from '#words/formula-ph'
import {
  adjusterGroups,
  doseText,
  handlingText,
  doseFaultText,
  landsText,
  doseWaitText,
} from '@omblet/core/words'
import {
  adjusterName,
  adjusterOf,
  decimalsOf,
  solutionDensity,
  doseFault,
  formatNumber,
  parseNumber,
  recordAddition,
  sayNumber,
  COUNTED_DROPS,
  COUNTED_GRAMS,
  dropOf,
} from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton } from '../../../components/buttons'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import Slider from 'primevue/slider'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import LearnedNote from '../../../components/LearnedNote.vue'
import Notice from '../../../components/Notice.vue'
import { useTools } from '../../../stores/tools'
import { useEditor } from '../../../stores/editor'
import ReadingForm from '../ReadingForm.vue'
import { useTitration } from './titration'

const SolutionDialog = defineAsyncComponent(() => import('./SolutionDialog.vue'))
const t = useTitration()
const editor = useEditor()
const bench = useTools()

const listed = computed(() => adjusterOf(t.adjuster.value))
const groups = computed(() =>
  listed.value
    ? adjusterGroups()
    : [
        { label: texts.inTheLog, items: [{ label: t.adjuster.value, value: t.adjuster.value }] },
        ...adjusterGroups(),
      ],
)
const resolution = computed(() => t.assessment.value.amounts.resolutionGrams)
const say = (grams: number) => formatNumber(grams, decimalsOf(resolution.value))

/** What goes in now: the first part of the plan until someone types another amount. */
const typed = ref<string | null>(null)
const offered = computed(() => (t.plan.value ? say(t.plan.value.first.grams) : ''))
watch([() => t.adjuster.value, () => t.strengthPercent.value], () => (typed.value = null))
/** Where the amount in the field would land, read off the curve. */
const amountRead = computed(() =>
  parseNumber(typed.value ?? offered.value, {
    min: 0,
    max: 1e6,
    what: common.theAmount,
    unit: 'g',
    of: {
      density: solutionDensity(t.adjuster.value, t.strengthPercent.value ?? t.usual.value),
      dropGrams: bench.tools.dropGrams,
    },
  }),
)
const amount = computed(() => ('value' in amountRead.value ? amountRead.value.value : null))
const lands = computed(() => {
  const c = t.curve.value
  const plan = t.plan.value
  // where reading and formula do not fit the curve is one story of two
  if (plan?.doubt) return typed.value === null ? plan.first.lands : null
  if (!c || amount.value === null) return null
  const percent = t.taken.value + (100 * amount.value) / t.assessment.value.amounts.batchGrams
  const i = c.percent.findIndex((p) => p >= percent - 1e-12)
  return i < 0 ? null : { ph: c.ph[i]!, low: c.low[i]!, high: c.high[i]! }
})
const most = computed(() => (t.plan.value ? Math.max(10 * resolution.value, t.plan.value.grams * 1.5) : 0))
const slide = computed({
  get: () => amount.value ?? 0,
  set: (grams: number) => {
    typed.value = say(grams)
  },
})
const addError = ref<string | null>(null)
function add() {
  const parsed = amountRead.value
  const fault = 'error' in parsed ? null : doseFault(parsed.value, t.assessment.value.amounts.batchGrams)
  addError.value = 'error' in parsed ? parsed.error : fault && doseFaultText(fault)
  if (addError.value || !('value' in parsed) || !parsed.value || t.strengthPercent.value === null) return
  editor.apply(
    recordAddition(editor.formula!, {
      material: t.adjuster.value,
      strengthPercent: t.strengthPercent.value,
      grams: parsed.value,
      ofGrams: t.assessment.value.amounts.batchGrams,
      at: new Date().toISOString(),
    }),
  )
  typed.value = null
}
const words = computed(() => (t.plan.value ? doseText(t.plan.value, say) : null))
const care = computed(() => handlingText(t.adjuster.value))
const recipeOpen = ref(false)
const recipeUsed = ref(false)

const dropOpen = ref(false)
const twenty = ref('')
const dropError = ref<string | null>(null)
async function setDrop() {
  const parsed = parseNumber(twenty.value, { min: 0, max: 1000, what: common.theWeight, unit: 'g' })
  if ('error' in parsed) return void (dropError.value = parsed.error)
  if (!parsed.value) return void (dropError.value = texts.enterTheWeightOfDrops(COUNTED_DROPS))
  const dropGrams = dropOf(parsed.value)
  const { min, max } = COUNTED_GRAMS
  if (dropGrams === null)
    return void (dropError.value = texts.dropsWeighGCheckThe(COUNTED_DROPS, sayNumber(min), sayNumber(max)))
  dropError.value = null
  await bench.patch({ dropGrams })
  dropOpen.value = false
}
</script>

<template>
  <TitledCard :title="texts.nextDose" class="closer">
    <div class="pick">
      <Select
        :model-value="t.adjuster.value"
        :options="groups"
        option-label="label"
        option-value="value"
        option-group-label="label"
        option-group-children="items"
        :aria-label="texts.adjuster"
        class="adjuster"
        @update:model-value="t.choose($event as string)"
      />
      <span class="strength abreast">
        <InputText
          :model-value="t.strengthText.value ?? sayNumber(t.usual.value)"
          inputmode="decimal"
          class="mono"
          :aria-label="texts.strengthPercent"
          :invalid="'error' in t.strength.value"
          @update:model-value="t.strengthText.value = $event ?? ''"
        />
        %
      </span>
    </div>
    <p v-if="'error' in t.strength.value" class="error-text" role="alert">
      {{ doseFaultText(t.strength.value.error) }}
    </p>
    <p v-if="listed" class="muted small">{{ listed.note }}</p>
    <ol class="stacked">
      <li>
        <form class="add abreast wraps" @submit.prevent="add">
          <label for="add-grams">{{ common.add }}</label>
          <input
            id="add-grams"
            class="mono"
            inputmode="decimal"
            :value="typed ?? offered"
            placeholder="0"
            @input="typed = ($event.target as HTMLInputElement).value"
          />
          <span>{{ texts.gStir }}</span>
          <Button type="submit" :label="texts.added" size="small" />
        </form>
        <p v-if="addError" class="error-text" role="alert">{{ addError }}</p>
        <p v-else-if="'said' in amountRead && amountRead.said" class="muted small">{{ amountRead.said }}</p>
        <template v-if="t.plan.value">
          <Slider
            v-model="slide"
            :min="0"
            :max="most"
            :step="resolution"
            :aria-label="texts.amountToAdd"
            class="slide"
          />
          <p class="small" data-testid="lands">
            {{
              lands
                ? landsText(lands)
                : words?.doubt
                  ? texts.noPredictionForThisAmount
                  : texts.beyondTheRangeOfThe
            }}
          </p>
          <p v-if="words" class="muted small">
            {{ texts.firstG(offered, words.how, words.whole, words.chance) }}
          </p>
          <Notice v-if="words?.doubt" kind="check">{{ words.doubt }}</Notice>
        </template>
      </li>
      <li>
        <p>{{ doseWaitText() }}</p>
      </li>
      <li>
        <ReadingForm id="leaf-read" :label="texts.measureThePh" big />
      </li>
    </ol>
    <div class="links">
      <Button
        :label="texts.prepareTheSolution"
        text
        size="small"
        @click="((recipeOpen = true), (recipeUsed = true))"
      />
      <Button
        :label="
          bench.tools.dropGrams
            ? texts.aDropIsG(sayNumber(bench.tools.dropGrams, 4))
            : texts.weighDrops(COUNTED_DROPS)
        "
        text
        size="small"
        :aria-expanded="dropOpen"
        @click="dropOpen = !dropOpen"
      />
    </div>
    <LearnedNote
      v-if="!bench.tools.dropGrams"
      lesson="drop"
      :says="texts.measuredWeightOfADrop"
      unit="g"
      :places="4"
    />
    <form v-if="dropOpen" class="add abreast wraps" @submit.prevent="setDrop">
      <label for="twenty">{{ texts.dropsWeigh(COUNTED_DROPS) }}</label>
      <input id="twenty" v-model="twenty" class="mono" inputmode="decimal" />
      <span>g</span>
      <PlainButton type="submit" :label="common.keep" size="small" />
      <p v-if="dropError" class="error-text" role="alert">{{ dropError }}</p>
    </form>
    <Notice v-if="care" kind="note">
      <strong>{{ care.strong }}</strong> {{ care.then }}
    </Notice>
    <SolutionDialog
      v-if="recipeUsed"
      v-model:open="recipeOpen"
      :adjuster="t.adjuster.value"
      :name="adjusterName(t.adjuster.value)"
      :strength-percent="t.strengthPercent.value ?? t.usual.value"
    />
  </TitledCard>
</template>

<style scoped>
.pick {
  display: flex;
  gap: 0.5rem;
}
.adjuster {
  flex: 1;
  min-width: 0;
}
.strength {
  gap: 0.25rem;
}
.strength :deep(input) {
  width: 4rem;
  text-align: right;
}
ol {
  counter-reset: step;
  padding-top: 0.25rem;
}
li {
  position: relative;
  display: grid;
  gap: 0.25rem;
  padding-left: 1.5rem;
}
li::before {
  counter-increment: step;
  content: counter(step) '.';
  position: absolute;
  left: 0;
  top: 0.3rem;
  font-weight: 700;
}
li:nth-child(2)::before {
  top: 0;
}
.add input {
  width: 5rem;
  height: 36px;
  padding: 0 0.5rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
  text-align: right;
}
.add :deep(button) {
  margin-left: auto;
}
.slide {
  margin: 0.75rem 0.75rem 0.625rem;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.25rem;
  margin-left: -0.5rem;
}
</style>
