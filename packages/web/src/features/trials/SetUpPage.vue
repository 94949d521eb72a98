<script setup lang="ts">
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
  document.title = 'Create trial – Omblet'
})
const formulas = computed(() =>
  library.records.map((r) => ({ value: r.id, label: r.formula.name || 'Unnamed formula' })),
)
const schools = computed(() =>
  s.schools.value.map((q) => ({ value: q.key as string, label: processOptionText(q) })),
)
const kinds = computed(() => VARIES.map(({ value, label }) => ({ value, label })))
const references = computed(() => [
  { value: NONE, label: 'None: all pairs' },
  ...s.chosen.value.map((c) => ({ value: c.key, label: c.name })),
])
const decisions = computed(() => [
  { value: NONE, label: 'None' },
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
    <PageHead title="Create trial" up="/trials" up-label="All trials" />
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <div class="columns">
      <div class="left">
        <TitledCard title="What is varied" :level="2">
          <div class="pair">
            <ChoiceField
              v-model="s.formulaId.value"
              label="Formula"
              :options="formulas"
              placeholder="Choose a formula"
              filter
            />
            <ChoiceField
              :model-value="s.varies.value"
              label="Varied ingredient"
              :options="kinds"
              @update:model-value="s.varies.value = $event as Varies"
            />
            <ChoiceField
              v-if="s.varies.value === 'material' || s.varies.value === 'level'"
              v-model="s.line.value"
              label="Ingredient"
              :options="s.lines.value"
              placeholder="Choose an ingredient"
            />
            <TextField
              v-if="s.varies.value === 'level'"
              label="Levels, % (separated by semicolons)"
              v-model="s.levels.value"
              mono
            />
            <ChoiceField
              v-if="s.varies.value === 'school'"
              v-model="s.school.value"
              label="Process option"
              :options="schools"
            />
          </div>
          <p v-if="s.failed.value" class="error-text">
            The candidates could not be calculated. Reload the page and try again.
          </p>
          <p v-else-if="!s.formula.value" class="muted">
            Choose a formula. Every sample of the trial is a variant of it.
          </p>
          <p v-else-if="s.busy.value && !s.options.value.length" class="muted">
            Checking every candidate in this formula…
          </p>
          <p
            v-else-if="!s.options.value.length && s.varies.value !== 'material' && s.varies.value !== 'level'"
            class="muted"
          >
            Nothing of this kind to vary in this formula.
          </p>
          <CandidateList v-if="s.offered.value.length" :set-up="s" />
          <Button
            v-if="s.options.value.length > s.offered.value.length || s.all.value"
            :label="s.all.value ? 'Show fewer' : `Show all ${s.options.value.length}`"
            text
            size="small"
            class="start"
            @click="s.all.value = !s.all.value"
          />
          <div class="pair">
            <TextField
              label="Bought product for comparison"
              v-model="s.bought.value"
              maxlength="120"
              placeholder="the cream in use since June"
            />
            <ChoiceField
              :model-value="s.reference.value ?? NONE"
              label="Reference"
              :options="references"
              @update:model-value="s.reference.value = $event === NONE ? null : $event"
            />
            <NumberField
              v-model="s.grams.value"
              label="Amount per sample"
              unit="g"
              :min="5"
              :max="5000"
              what="each jar"
            />
          </div>
        </TitledCard>

        <TitledCard title="Assessors and attributes" :level="2">
          <div class="pair">
            <TextField
              label="Assessors, separated by commas"
              v-model="s.people.value"
              placeholder="Ina, Bo, Una"
              autocomplete="off"
            />
            <NumberField v-model="s.rounds.value" label="Replicates" :min="1" :max="12" what="the rounds" />
          </div>
          <fieldset>
            <legend>Attributes</legend>
            <label v-for="a in usual" :key="a.id" class="felt">
              <Checkbox v-model="s.asked.value" :value="a.id" />
              <span
                >{{ a.name }} <span class="muted small">{{ a.low }} – {{ a.high }}</span></span
              >
            </label>
          </fieldset>
          <div class="abreast wraps">
            <Button :label="more ? 'Show fewer' : 'Show more'" text size="small" @click="more = !more" />
            <OwnAttribute @add="s.addOwn" />
          </div>
          <div class="pair">
            <ChoiceField
              :model-value="s.decides.value ?? NONE"
              label="Deciding attribute"
              :options="decisions"
              @update:model-value="s.decides.value = $event === NONE ? null : $event"
            />
            <div class="tests">
              <label
                ><Checkbox v-model="s.triangle.value" binary /> Triangle test: which of three is
                different</label
              >
              <label><Checkbox v-model="s.pair.value" binary /> Paired preference test</label>
            </div>
          </div>
          <TextField
            label="Name of the trial"
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
          <Button label="Create trial" icon="pi pi-check" type="submit" :loading="busy" />
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
