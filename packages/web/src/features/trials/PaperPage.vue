<script setup lang="ts">
import { common } from '#words/common'
import { paperPage as texts } from '#words/trials'
import { splitText, forbidsText } from '@omblet/core/words'
import {
  formatGrams,
  judgeSteps,
  scaleOf,
  servingOf,
  sittingsOf,
  type Formula,
  type JudgeStep,
} from '@omblet/core'
import { computed, onMounted } from 'vue'
import { useRoute } from 'vue-router'
import PrintBar from '../../components/PrintBar.vue'
import NotHere from '../../components/NotHere.vue'
import { useMaterials } from '../../stores/materials'
import { useTrials } from '../../stores/trials'
import { useMaking } from './use-making'

/** What is printed of a trial: codes for the jars (with the key, for whoever fills them), or a sheet for each sitting. */
const props = defineProps<{ id: string }>()
const route = useRoute()
const trials = useTrials()
onMounted(() => {
  document.title = texts.printOmblet
  void trials.load()
})
const what = computed(() => route.query['what'])
const codes = computed(() => what.value !== 'sheets' && what.value !== 'make')
const TITLES: Record<string, string> = { sheets: texts.assessmentSheets, make: texts.weighOut2 }
const HINTS: Record<string, string> = {
  sheets: texts.onePerSessionEnterThe,
  make: texts.sharedBaseAndOwnIngredients,
}
const trial = computed(() => trials.find(props.id))
const sittings = computed(() => (trial.value ? sittingsOf(trial.value) : []))
const personOf = (id: string) => trial.value?.plan.people.find((p) => p.id === id)?.name ?? id
const nameOf = (id: string) => trial.value?.samples.find((s) => s.id === id)?.name ?? id
const serving = computed(() => servingOf(trial.value?.plan.product.hair ?? false))
/** Each jar with every code that it is served under, by sitting. */
const key = computed(() =>
  (trial.value?.samples ?? []).map((s) => ({
    ...s,
    codes: sittings.value.flatMap((t) => [
      ...t.served.filter((x) => x.sample === s.id).map((x) => x.code),
      ...t.trios.flatMap((x) => x.codes.filter((_, i) => x.samples[i] === s.id)),
      ...t.duos.flatMap((x) => x.codes.filter((_, i) => x.samples[i] === s.id)),
    ]),
  })),
)
const sheets = computed(() =>
  sittings.value.map((sitting) => ({ sitting, steps: trial.value ? judgeSteps(trial.value, sitting) : [] })),
)
const materials = useMaterials()
const { base, jars } = useMaking(() => trial.value)
const say = (g: number) => formatGrams(g, base.value.resolutionGrams)
/** Of the whole base, with what stays on tools. */
const inBase = (percent: number) =>
  (base.value.grams * percent) /
  base.value.parts.reduce((s, p) => s + p.lines.reduce((t, l) => t + l.percent, 0), 0)
const linesOf = (formula: Formula) => materials.derive(formula).assessment.lines
type Score = Extract<JudgeStep, { kind: 'score' }>
/** A sheet has a row for each thing that is felt, in the order of the moments, and a column for each code. */
const rowsOf = (steps: readonly JudgeStep[]) => {
  const scores = steps.filter((s): s is Score => s.kind === 'score')
  return [...new Set(scores.map((s) => s.attribute))].map((attribute) => ({
    attribute,
    moment: scores.find((s) => s.attribute === attribute)!.moment.label,
  }))
}
</script>

<template>
  <div class="paper-page">
    <PrintBar
      :back="`/trials/${id}`"
      :title="TITLES[String(what)] ?? texts.sampleCodes"
      :hint="HINTS[String(what)] ?? texts.keyOnlyForThePerson"
    />
    <NotHere
      v-if="trials.ready && !trial"
      :what="common.trial"
      why=""
      to="/trials"
      :to-label="common.allTrials"
    />
    <template v-else-if="trial">
      <article v-if="codes" class="sheet stacked">
        <h2>{{ texts.key(trial.name) }}</h2>
        <p>{{ texts.newCodesForEverySession }}</p>
        <section v-for="k in key" :key="k.id" class="jar">
          <h3>
            {{ k.name }}<span v-if="k.reference"> {{ texts.reference }}</span>
          </h3>
          <ul class="codes">
            <li v-for="c in k.codes" :key="c" class="mono">{{ c }}</li>
          </ul>
        </section>
        <h3>{{ texts.orderOfSamples }}</h3>
        <table>
          <thead>
            <tr>
              <th scope="col">{{ texts.who }}</th>
              <th scope="col">{{ texts.round }}</th>
              <th scope="col">{{ texts.codePlace }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="s in sittings" :key="`${s.person} ${s.round}`">
              <th scope="row">{{ personOf(s.person) }}</th>
              <td>{{ s.round }}</td>
              <td>
                <span v-for="x in s.served" :key="x.code" class="served block"
                  ><strong class="mono">{{ x.code }}</strong> {{ nameOf(x.sample) }}, {{ x.place }}</span
                >
                <span v-for="(t, i) in s.trios" :key="`t${i}`" class="served block"
                  >{{ texts.triangle }} <strong class="mono">{{ t.codes.join(' ') }}</strong></span
                >
                <span v-for="(d, i) in s.duos" :key="`d${i}`" class="served block"
                  >{{ texts.pair }} <strong class="mono">{{ d.codes.join(' ') }}</strong></span
                >
              </td>
            </tr>
          </tbody>
        </table>
      </article>
      <article v-if="what === 'make'" class="sheet stacked">
        <h2>{{ texts.weighOut(trial.name) }}</h2>
        <section v-for="p in base.parts" :key="p.letters">
          <h3>{{ texts.onceForAllIntoEach(p.name, say(p.gramsEach), base.jars) }}</h3>
          <p>{{ splitText(p.split) }}</p>
          <table>
            <tbody>
              <tr v-for="(l, i) in p.lines" :key="i">
                <th scope="row">{{ l.weighedAs }}</th>
                <td class="mono grams">{{ say(inBase(l.percent)) }}</td>
                <td class="mono grams">☐ ________</td>
              </tr>
            </tbody>
          </table>
        </section>
        <p v-for="f in base.forbids.map(forbidsText)" :key="f">{{ f }}</p>
        <section v-for="jar in jars" :key="jar.id">
          <h3>{{ jar.name }}</h3>
          <table>
            <tbody>
              <tr v-for="p in base.parts" :key="p.letters">
                <th scope="row">{{ texts.fromTheBase(p.name) }}</th>
                <td class="mono grams">{{ say(p.gramsEach) }}</td>
                <td class="mono grams">☐ ________</td>
              </tr>
              <tr v-for="(l, i) in base.formula ? jar.own : linesOf(jar.formula)" :key="i">
                <th scope="row">{{ l.weighedAs }}</th>
                <td class="mono grams">{{ say(l.grams) }}</td>
                <td class="mono grams">☐ ________</td>
              </tr>
            </tbody>
          </table>
        </section>
      </article>
      <article
        v-for="{ sitting, steps } in what === 'sheets' ? sheets : []"
        :key="`${sitting.person} ${sitting.round}`"
        class="sheet stacked"
      >
        <h2>{{ texts.round2(personOf(sitting.person), sitting.round) }}</h2>
        <p>{{ texts.eachFromLeftToRight(serving.before, serving.amount, serving.how) }}</p>
        <table v-if="rowsOf(steps).length">
          <thead>
            <tr>
              <th scope="col">{{ texts.whenWhatFrom0To }}</th>
              <th v-for="x in sitting.served" :key="x.code" scope="col">
                <span class="mono">{{ x.code }}</span><br /><small class="block">{{ x.place }}</small>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in rowsOf(steps)" :key="r.attribute.id">
              <th scope="row">
                {{ r.moment }}: <strong>{{ r.attribute.name }}</strong>
                <small class="block">{{
                  r.attribute.ask === 'seconds'
                    ? texts.inSecondsUpTo(scaleOf(r.attribute)[1])
                    : `${r.attribute.low} – ${r.attribute.high}`
                }}</small>
              </th>
              <td v-for="x in sitting.served" :key="x.code"></td>
            </tr>
          </tbody>
        </table>
        <template v-for="s in steps" :key="s.key">
          <p v-if="s.kind === 'triangle'">
            {{ texts.twoAreTheSameCircle }}
            <strong class="mono">{{ s.codes.join('   ') }}</strong>
          </p>
          <p v-else-if="s.kind === 'pair'">
            {{ texts.circleTheOneYouPrefer }} <strong class="mono">{{ s.codes.join('   ') }}</strong>
          </p>
          <p v-else-if="s.kind === 'rank'">
            {{ texts.leastFirst(s.attribute.name ?? s.attribute.id)
            }}<span class="mono">{{ s.codes.join(', ') }}</span
            >): ______________________
          </p>
        </template>
      </article>
    </template>
  </div>
</template>

<style scoped>
h2 {
  font-size: var(--text-head-2);
}
.sheet {
  max-width: 190mm;
  margin: 1rem auto;
  padding: 1.25rem;
  overflow-x: auto;
  background: var(--print-paper);
  color: var(--print-ink);
  color-scheme: light;
}
.codes {
  display: flex;
  flex-wrap: wrap;
  gap: 0.375rem;
}
.codes li {
  padding: 0.25rem 0.75rem;
  border: 1px dashed currentcolor;
  font-size: var(--text-head-3);
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  padding: 0.375rem;
  border: 1px solid currentcolor;
  font-weight: 400;
  text-align: left;
  vertical-align: top;
}
.grams {
  text-align: right;
  white-space: nowrap;
}
@media print {
  .sheet {
    margin: 0;
    padding: 0;
    break-after: page;
  }
  .sheet:last-child {
    break-after: auto;
  }
}
thead th {
  color: inherit;
  font-size: inherit;
}
</style>
