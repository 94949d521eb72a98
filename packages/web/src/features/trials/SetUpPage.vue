<script setup lang="ts">
import { formatNumber, type Varies } from '@omblet/core'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import FindingMark from '../../components/FindingMark.vue'
import FormField from '../../components/FormField.vue'
import Notice from '../../components/Notice.vue'
import NumberField from '../../components/NumberField.vue'
import { explainStorage } from '../../storage/db'
import { useLibrary } from '../../stores/library'
import { useTrials } from '../../stores/trials'
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
  document.title = 'Set up a trial – Omblet'
})
const formulas = computed(() =>
  library.records.map((r) => ({ value: r.id, label: r.formula.name || 'Unnamed formula' })),
)
const schools = computed(() => s.schools.value.map(({ key, label }) => ({ value: key as string, label })))
const kinds = computed(() => VARIES.map(({ value, label }) => ({ value, label })))
const references = computed(() => [
  { value: NONE, label: 'None: all against all' },
  ...s.chosen.value.map((c) => ({ value: c.key, label: c.name })),
])
const decisions = computed(() => [
  { value: NONE, label: 'None named' },
  ...s.attributes.value.flatMap((a) => (s.asked.value.includes(a.id) ? [{ value: a.id, label: a.name ?? a.id }] : [])), // prettier-ignore
])
/** Against the formula as it is: what was to heed before is nothing that a candidate brings. */
const asItIs = computed(() => s.options.value.find((o) => o.current) ?? { stops: 0, checks: 0 })
type Counts = { stops: number; checks: number }
const severity = (o: Counts) => (o.stops > asItIs.value.stops ? 'stop' : o.checks > asItIs.value.checks ? 'check' : 'fine') // prettier-ignore
const markWords = (o: Counts) => ({ stop: 'brings a stop', check: 'brings something to check', fine: 'brings nothing to heed' })[severity(o)] // prettier-ignore
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
    <header class="head">
      <RouterLink to="/trials" class="back" aria-label="All trials"
        ><i class="pi pi-arrow-left" aria-hidden="true"></i
      ></RouterLink>
      <h1>Set up a trial</h1>
    </header>
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <div class="columns">
      <div class="left">
        <section class="card part" aria-labelledby="vary-title">
          <h2 id="vary-title">What is varied</h2>
          <div class="pair">
            <ChoiceField
              id="trial-formula"
              v-model="s.formulaId.value"
              label="Formula"
              :options="formulas"
              placeholder="Choose a formula"
              filter
            />
            <ChoiceField
              id="trial-varies"
              :model-value="s.varies.value"
              label="What differs"
              :options="kinds"
              @update:model-value="s.varies.value = $event as Varies"
            />
            <ChoiceField
              v-if="s.varies.value === 'material' || s.varies.value === 'level'"
              id="trial-line"
              v-model="s.line.value"
              label="Which line"
              :options="s.lines.value"
              placeholder="Choose a line"
            />
            <FormField
              v-if="s.varies.value === 'level'"
              id="trial-levels"
              label="Levels, % (apart by a semicolon)"
            >
              <InputText id="trial-levels" v-model="s.levels.value" class="mono" fluid />
            </FormField>
            <ChoiceField
              v-if="s.varies.value === 'school'"
              id="trial-school"
              v-model="s.school.value"
              label="Which question"
              :options="schools"
            />
          </div>
          <p v-if="s.failed.value" class="error-text">
            The candidates could not be worked out. Reload the page and try again.
          </p>
          <p v-else-if="!s.formula.value" class="muted">
            Choose a formula: every jar of the trial is a variant of it.
          </p>
          <p v-else-if="s.busy.value && !s.options.value.length" class="muted">
            Judging every candidate in this formula…
          </p>
          <p
            v-else-if="!s.options.value.length && s.varies.value !== 'material' && s.varies.value !== 'level'"
            class="muted"
          >
            There is nothing of this kind to vary in this formula.
          </p>
          <ul v-if="s.offered.value.length" class="options">
            <li v-for="o in s.offered.value" :key="o.key">
              <label>
                <Checkbox v-model="s.picked.value" :value="o.key" />
                <FindingMark
                  v-if="
                    s.varies.value !== 'version' && s.varies.value !== 'jar' && s.varies.value !== 'school'
                  "
                  :severity="severity(o)"
                  :size="16"
                />
                <span class="name"
                  >{{ o.label }}<span v-if="o.current" class="muted small"> · as it is now</span
                  ><span class="hidden-text">, {{ markWords(o) }}</span></span
                >
                <span v-if="o.percent !== null" class="mono amount"
                  >{{ formatNumber(o.percent, 1, 3) }} %</span
                >
              </label>
              <p v-if="o.says" class="muted small says">{{ o.says }}</p>
            </li>
          </ul>
          <Button
            v-if="s.options.value.length > s.offered.value.length || s.all.value"
            :label="s.all.value ? 'Show fewer' : `Show all ${s.options.value.length}`"
            text
            size="small"
            class="start"
            @click="s.all.value = !s.all.value"
          />
          <div class="pair">
            <FormField id="trial-bought" label="A bought product too">
              <InputText
                id="trial-bought"
                v-model="s.bought.value"
                maxlength="120"
                placeholder="the jar in use since June"
                fluid
              />
            </FormField>
            <ChoiceField
              id="trial-reference"
              :model-value="s.reference.value ?? NONE"
              label="Held against"
              :options="references"
              @update:model-value="s.reference.value = $event === NONE ? null : $event"
            />
            <NumberField
              id="trial-grams"
              v-model="s.grams.value"
              label="Of each is made"
              unit="g"
              :min="5"
              :max="5000"
              what="each jar"
            />
          </div>
        </section>

        <section class="card part" aria-labelledby="judge-title">
          <h2 id="judge-title">Who judges what</h2>
          <div class="pair">
            <FormField id="trial-people" label="Who judges, with commas">
              <InputText
                id="trial-people"
                v-model="s.people.value"
                placeholder="Ina, Bo, Una"
                autocomplete="off"
                fluid
              />
            </FormField>
            <NumberField
              id="trial-rounds"
              v-model="s.rounds.value"
              label="Rounds of each"
              :min="1"
              :max="12"
              what="the rounds"
            />
          </div>
          <fieldset>
            <legend>What is felt</legend>
            <label v-for="a in usual" :key="a.id" class="felt">
              <Checkbox v-model="s.asked.value" :value="a.id" />
              <span
                >{{ a.name }} <span class="muted small">{{ a.low }} – {{ a.high }}</span></span
              >
            </label>
          </fieldset>
          <div class="buttons">
            <Button
              :label="more ? 'Fewer to choose from' : 'More to choose from'"
              text
              size="small"
              @click="more = !more"
            />
            <OwnAttribute @add="s.addOwn" />
          </div>
          <div class="pair">
            <ChoiceField
              id="trial-decides"
              :model-value="s.decides.value ?? NONE"
              label="Which one decides"
              :options="decisions"
              @update:model-value="s.decides.value = $event === NONE ? null : $event"
            />
            <div class="tests">
              <label
                ><Checkbox v-model="s.triangle.value" binary /> Triangles: which of three is the odd
                one</label
              >
              <label><Checkbox v-model="s.pair.value" binary /> Pairs: which of two is preferred</label>
            </div>
          </div>
          <FormField id="trial-name" label="What the trial is called">
            <InputText
              id="trial-name"
              v-model="s.name.value"
              maxlength="120"
              :placeholder="s.usualName.value"
              fluid
            />
          </FormField>
        </section>
      </div>
      <div class="right">
        <VariantsCard :set-up="s" />
        <Notice v-if="tried && s.fault.value" kind="stop">{{ s.fault.value }}</Notice>
        <div class="buttons end">
          <Button label="Set it up" icon="pi pi-check" type="submit" :loading="busy" />
        </div>
      </div>
    </div>
  </form>
</template>

<style scoped src="./trials.css"></style>
<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  align-items: start;
  gap: 0.875rem;
}
.left,
.right {
  display: grid;
  gap: 0.875rem;
  min-width: 0;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 13rem), 1fr));
  gap: 0.75rem;
}
.options li {
  padding: 0.25rem 0;
  border-top: 1px solid var(--line);
}
.options label,
.felt,
.tests label {
  display: flex;
  align-items: center;
  gap: 0.625rem;
  min-height: 40px;
  cursor: pointer;
}
.name {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
.says {
  padding-left: 2.15rem;
}
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 13rem), 1fr));
  gap: 0 1rem;
  margin: 0;
  padding: 0;
  border: 0;
  min-width: 0;
}
legend {
  padding: 0;
  font-size: var(--text-note);
  color: var(--muted);
}
.tests {
  display: grid;
  align-content: end;
}
.start {
  justify-self: start;
}
@media (max-width: 960px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
