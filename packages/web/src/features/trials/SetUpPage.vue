<script setup lang="ts">
import { common } from '#words/common'
import { setUpPage as texts } from '#words/trials'
import { processOptionText } from '@omblet/core/words'
import { type Varies } from '@omblet/core'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import TitledCard from '../../components/TitledCard.vue'
import PageHead from '../../components/PageHead.vue'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import Notice from '../../components/Notice.vue'
import NumberField from '../../components/NumberField.vue'
import { explainStorage } from '../../storage/db'
import { useLibrary } from '../../stores/library'
import { useTrials } from '../../stores/trials'
import CandidateList from './CandidateList.vue'
import OwnAttribute from './OwnAttribute.vue'
import { NONE, useSetUp } from './use-set-up'
import { VARIES } from './use-varied'
import VariantsCard from './VariantsCard.vue'

const route = useRoute()
const router = useRouter()
const library = useLibrary()
const trials = useTrials()
const text = (key: string) => {
  const value = route.query[key]
  return typeof value === 'string' ? value : undefined
}
const asked = text('formula')
const varied = VARIES.find((v) => v.value === text('varies'))?.value
const s = useSetUp({
  ...(asked === undefined ? {} : { formula: asked }),
  ...(varied === undefined ? {} : { varies: varied }),
  pick: text('pick')?.split(',') ?? [],
})
onMounted(() => {
  document.title = texts.createTrialOmblet
})
const formulas = computed(() =>
  library.records.map((r) => ({ value: r.id, label: r.formula.name || common.unnamedFormula })),
)
const schools = computed(() =>
  s.schools.value.map((q) => ({ value: q.key as string, label: processOptionText(q) })),
)
const kinds = computed(() => VARIES.map(({ value, label }) => ({ value, label })))
const references = computed(() => [
  { value: NONE, label: texts.noneAllPairs },
  ...s.chosen.value.map((c) => ({ value: c.key, label: c.name })),
])
const decisions = computed(() => [
  { value: NONE, label: texts.none },
  ...s.attributes.value.flatMap((a) =>
    s.asked.value.includes(a.id) ? [{ value: a.id, label: a.name ?? a.id }] : [],
  ),
])
/** The long list of attributes is folded: those of the product come first. */
const more = ref(false)
const usual = computed(() =>
  s.attributes.value.filter((a) => more.value || s.first.value.has(a.id) || s.asked.value.includes(a.id)),
)
const problem = ref<string | null>(null)
const tried = ref(false)
const busy = ref(false)
async function begin() {
  tried.value = true
  const trial = s.plan()
  if (!trial || busy.value) return
  busy.value = true
  try {
    await trials.add(trial)
    await router.push(`/trials/${trial.plan.id}`)
  } catch (error) {
    problem.value = explainStorage(error)
  }
  busy.value = false
}
</script>

<template>
  <form class="page" @submit.prevent="begin">
    <PageHead :title="texts.createTrial" up="/trials" :up-label="common.allTrials" />
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <div class="columns">
      <div class="left">
        <TitledCard :title="texts.whatIsVaried" :level="2">
          <div class="pair">
            <ChoiceField
              v-model="s.formulaId.value"
              :label="common.formula"
              :options="formulas"
              :placeholder="texts.chooseAFormula"
              filter
            />
            <ChoiceField
              :model-value="s.varies.value"
              :label="texts.variedIngredient"
              :options="kinds"
              @update:model-value="s.varies.value = $event as Varies"
            />
            <ChoiceField
              v-if="s.varies.value === 'material' || s.varies.value === 'level'"
              v-model="s.line.value"
              :label="common.ingredient"
              :options="s.lines.value"
              :placeholder="texts.chooseAnIngredient"
            />
            <TextField
              v-if="s.varies.value === 'level'"
              :label="texts.levelsSeparatedBySemicolons"
              v-model="s.levels.value"
              mono
            />
            <ChoiceField
              v-if="s.varies.value === 'school'"
              v-model="s.school.value"
              :label="texts.processOption"
              :options="schools"
            />
          </div>
          <p v-if="s.failed.value" class="error-text">
            {{ texts.theCandidatesCouldNotBe }}
          </p>
          <p v-else-if="!s.formula.value" class="muted">
            {{ texts.chooseAFormulaEverySample }}
          </p>
          <p v-else-if="s.busy.value && !s.options.value.length" class="muted">
            {{ texts.checkingEveryCandidateInThis }}
          </p>
          <p
            v-else-if="!s.options.value.length && s.varies.value !== 'material' && s.varies.value !== 'level'"
            class="muted"
          >
            {{ texts.nothingOfThisKindTo }}
          </p>
          <CandidateList v-if="s.offered.value.length" :set-up="s" />
          <Button
            v-if="s.options.value.length > s.offered.value.length || s.all.value"
            :label="s.all.value ? common.showFewer : texts.showAll(s.options.value.length)"
            text
            size="small"
            class="start"
            @click="s.all.value = !s.all.value"
          />
          <div class="pair">
            <TextField
              :label="texts.boughtProductForComparison"
              v-model="s.bought.value"
              maxlength="120"
              :placeholder="texts.theCreamInUseSince"
            />
            <ChoiceField
              :model-value="s.reference.value ?? NONE"
              :label="texts.reference"
              :options="references"
              @update:model-value="s.reference.value = $event === NONE ? null : $event"
            />
            <NumberField
              v-model="s.grams.value"
              :label="texts.amountPerSample"
              unit="g"
              :min="5"
              :max="5000"
              :what="texts.eachJar"
            />
          </div>
        </TitledCard>

        <TitledCard :title="texts.assessorsAndAttributes" :level="2">
          <div class="pair">
            <TextField
              :label="texts.assessorsSeparatedByCommas"
              v-model="s.people.value"
              :placeholder="texts.inaBoUna"
              autocomplete="off"
            />
            <NumberField
              v-model="s.rounds.value"
              :label="texts.replicates"
              :min="1"
              :max="12"
              :what="texts.theRounds"
            />
          </div>
          <fieldset>
            <legend>{{ texts.attributes }}</legend>
            <label v-for="a in usual" :key="a.id" class="felt">
              <Checkbox v-model="s.asked.value" :value="a.id" />
              <span
                >{{ a.name }} <span class="muted small">{{ a.low }} – {{ a.high }}</span></span
              >
            </label>
          </fieldset>
          <div class="abreast wraps">
            <Button
              :label="more ? common.showFewer : texts.showMore"
              text
              size="small"
              @click="more = !more"
            />
            <OwnAttribute @add="s.addOwn" />
          </div>
          <div class="pair">
            <ChoiceField
              :model-value="s.decides.value ?? NONE"
              :label="texts.decidingAttribute"
              :options="decisions"
              @update:model-value="s.decides.value = $event === NONE ? null : $event"
            />
            <div class="tests">
              <label
                ><Checkbox v-model="s.triangle.value" binary /> {{ texts.triangleTestWhichOfThree }}</label
              >
              <label><Checkbox v-model="s.pair.value" binary /> {{ texts.pairedPreferenceTest }}</label>
            </div>
          </div>
          <TextField
            :label="texts.nameOfTheTrial"
            v-model="s.name.value"
            maxlength="120"
            :placeholder="s.usualName.value"
          />
        </TitledCard>
      </div>
      <div class="right">
        <VariantsCard :set-up="s" />
        <Notice v-if="tried && s.fault.value" kind="stop">{{ s.fault.value }}</Notice>
        <div class="dialog-buttons">
          <Button :label="texts.createTrial" icon="pi pi-check" type="submit" :loading="busy" />
        </div>
      </div>
    </div>
  </form>
</template>

<style scoped>
.left,
.right {
  display: grid;
  gap: 0.75rem;
  min-width: 0;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 13rem), 1fr));
  gap: 0.75rem;
}
.felt,
.tests label {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 40px;
  cursor: pointer;
}
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 13rem), 1fr));
  gap: 0 1rem;
}
.tests {
  display: grid;
  align-content: end;
}
.start {
  justify-self: start;
}
</style>
