<script setup lang="ts">
import { common } from '#words/common'
import { printPage as texts } from '#words/print'
import { findingText, stepText, stepTitle } from '@omblet/core/words'
import {
  capitalise,
  formatGrams,
  formatNumber,
  formatRange,
  isCaution,
  phaseLetter,
  weighOut,
  findingKey,
} from '@omblet/core'
import { format } from 'date-fns'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import FindingMark from '../../components/FindingMark.vue'
import { productLine } from '../../components/words'
import PrintBar from '../../components/PrintBar.vue'
import OneOf from '../../components/OneOf.vue'
import { useEditor } from '../../stores/editor'
import { useMaterials } from '../../stores/materials'
import MethodSheet from './MethodSheet.vue'

const route = useRoute()
const router = useRouter()
const materials = useMaterials()
const editor = useEditor()

const formula = computed(() => editor.formula)

const what = computed({
  get: () => {
    const wanted = route.query['what']
    return wanted === 'card' || wanted === 'method' ? wanted : 'weigh-out'
  },
  set: (value) => void router.replace({ query: { ...route.query, what: value } }),
})
const paper = computed({
  get: () => (route.query['paper'] === 'letter' ? 'letter' : 'a4'),
  set: (value) => void router.replace({ query: { ...route.query, paper: value } }),
})
const sheets = [
  { value: 'weigh-out', label: texts.weighOutSheet },
  { value: 'method', label: common.method },
  { value: 'card', label: texts.formulaCard },
]
/** Steps whose amounts and cautions stand in their detail. */
const TOLD = new Set<string>(['ph', 'water'])
const TITLES = { 'weigh-out': texts.weighOutSheet, method: common.method, card: texts.formulaCard }
const papers = [
  { value: 'a4', label: 'A4' },
  { value: 'letter', label: texts.letter },
]

const derived = computed(() => (formula.value ? materials.derive(formula.value) : null))
const a = computed(() => derived.value?.assessment ?? null)
const sheet = computed(() => (a.value ? weighOut(a.value) : null))
const findings = computed(() => derived.value?.findings ?? [])
const stops = computed(() => findings.value.filter((f) => f.severity === 'stop'))
const checks = computed(() => findings.value.filter((f) => f.severity === 'check'))
const cautions = computed(() => findings.value.filter((f) => isCaution(f)))
const resolution = computed(() => a.value?.amounts.resolutionGrams ?? 0.01)
const today = format(new Date(), 'd MMMM yyyy')
const grams = (value: number) => formatGrams(value, resolution.value)
const inci = computed(() => derived.value?.inci ?? '')
</script>

<template>
  <div v-if="formula && a && sheet" class="print-page">
    <PrintBar :back="`/formulas/${editor.id}`">
      <OneOf v-model="what" :options="sheets" :label="texts.whatToPrint" />
      <OneOf v-model="paper" :options="papers" :label="texts.paper" />
    </PrintBar>

    <article class="paper" :class="paper">
      <header class="top">
        <div>
          <p class="kind">{{ TITLES[what] }}</p>
          <h1>{{ formula.name }}</h1>
          <p>{{ productLine(formula.product) }}</p>
        </div>
        <dl class="facts">
          <div>
            <dt>{{ common.batch }}</dt>
            <dd class="mono">{{ grams(a.amounts.totalGrams) }}</dd>
          </div>
          <div v-if="formula.targetPh ?? a.ph.fits">
            <dt>pH</dt>
            <dd class="mono">{{ formatRange((formula.targetPh ?? a.ph.fits)!) }}</dd>
          </div>
          <div>
            <dt>{{ texts.printed }}</dt>
            <dd>{{ today }}</dd>
          </div>
        </dl>
      </header>

      <div v-if="stops.length || !a.amounts.balanced" class="stopped">
        <FindingMark severity="stop" />
        <div>
          <strong>{{ texts.doNotMakeItLike }}</strong>
          <p v-for="stop in stops" :key="findingKey(stop)">{{ findingText(stop).message }}</p>
        </div>
      </div>

      <template v-if="what === 'weigh-out'">
        <div class="blanks">
          <span>{{ texts.madeOn }}</span><i></i><span>{{ common.batchCode }}</span
          ><i></i><span>{{ common.by }}</span
          ><i></i>
        </div>
        <ol class="plain">
          <li v-for="step in sheet.before" :key="step.key">
            <b class="box"></b><strong>{{ stepTitle(step) }}.</strong> {{ stepText(step).detail }}
          </li>
        </ol>
        <section v-for="block in sheet.blocks" :key="block.key" class="phase" :data-role="block.role">
          <header>
            <span class="phase-badge">{{ block.vessel }}</span>
            <h2>{{ stepTitle(block.step) }}</h2>
            <span class="tare">{{ common.tareWeight }} <i></i> g</span>
            <strong class="mono">{{ grams(block.grams) }}</strong>
          </header>
          <table>
            <thead>
              <tr>
                <th class="tick">
                  <span class="hidden-text">{{ common.done }}</span>
                </th>
                <th>{{ common.ingredient }}</th>
                <th class="num">%</th>
                <th class="num">{{ texts.weigh }}</th>
                <th class="num">{{ texts.runningTotal }}</th>
                <th class="write">{{ texts.weighedLot }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(row, i) in block.rows" :key="i">
                <td class="tick"><b class="box"></b></td>
                <td>
                  {{ capitalise(row.label) }}<span v-if="row.fill" class="qs">q.s.</span
                  ><small v-if="row.part">{{ texts.partTheRestIsWeighed }}</small
                  ><small v-if="row.note">{{ row.note }}</small>
                </td>
                <td class="num mono">{{ row.given ? formatNumber(row.percent, 2, 4) : '–' }}</td>
                <td class="num mono weigh">{{ row.given ? grams(row.grams) : '–' }}</td>
                <td class="num mono muted">{{ grams(row.runningGrams) }}</td>
                <td class="write"></td>
              </tr>
            </tbody>
          </table>
          <p v-if="block.note" class="note">{{ block.note }}</p>
          <ol class="plain">
            <li v-for="step in block.steps" :key="step.key">
              <b class="box"></b><strong>{{ stepTitle(step) }}.</strong
              ><template v-if="stepText(step).detail && TOLD.has(step.kind)">
                {{ stepText(step).detail }}</template
              ><template v-if="stepText(step).look"> {{ texts.until(stepText(step).look) }}</template
              ><template v-if="step.note"> {{ step.note }}</template>
            </li>
          </ol>
        </section>
        <section class="phase">
          <div class="blanks">
            <span>{{ texts.weightAfter }}</span><i></i><span>pH</span><i></i
            ><span>{{ texts.phAfter24H }}</span
            ><i></i>
          </div>
        </section>
        <section v-if="cautions.length" class="cautions">
          <h2>{{ texts.precautions }}</h2>
          <ul>
            <li v-for="c in cautions" :key="findingKey(c)">
              <strong>{{ findingText(c).message }}</strong> {{ findingText(c).why }}
            </li>
          </ul>
        </section>
      </template>

      <template v-else-if="what === 'method'">
        <MethodSheet :a="a" :method="derived!.method">
          <section v-if="cautions.length" class="cautions">
            <h2>{{ texts.precautions }}</h2>
            <ul>
              <li v-for="c in cautions" :key="findingKey(c)">
                <strong>{{ findingText(c).message }}</strong> {{ findingText(c).why }}
              </li>
            </ul>
          </section>
        </MethodSheet>
      </template>

      <template v-else>
        <table class="card-table">
          <thead>
            <tr>
              <th>{{ common.phase }}</th>
              <th>{{ common.ingredient }}</th>
              <th>{{ texts.inci }}</th>
              <th class="num">%</th>
              <th class="num">g</th>
            </tr>
          </thead>
          <tbody v-for="(phase, p) in a.phases" :key="p">
            <tr v-for="(line, l) in a.lines.filter((x) => x.phase === p)" :key="l">
              <td :data-role="phase.role">
                <span v-if="l === 0" class="phase-badge">{{ phaseLetter(p) }}</span>
              </td>
              <td>
                {{ capitalise(line.weighedAs) }}<small v-if="line.source.note">{{ line.source.note }}</small>
              </td>
              <td class="muted">{{ line.material?.inci.join(', ') ?? '–' }}</td>
              <td class="num mono">
                {{ line.fill ? 'q.s. ' : '' }}{{ line.given ? formatNumber(line.percent, 2, 4) : '–' }}
              </td>
              <td class="num mono">{{ line.given ? formatGrams(line.grams, resolution) : '–' }}</td>
            </tr>
            <tr v-if="phase.lines" class="sum">
              <td></td>
              <td colspan="2">{{ phase.name }}</td>
              <td class="num mono">{{ formatNumber(phase.percent) }}</td>
              <td class="num mono">{{ grams(phase.grams) }}</td>
            </tr>
          </tbody>
          <tfoot>
            <tr>
              <td></td>
              <td colspan="2">{{ common.total }}</td>
              <td class="num mono">{{ formatNumber(a.amounts.totalPercent, 2, 4) }}</td>
              <td class="num mono">{{ grams(a.amounts.totalGrams) }}</td>
            </tr>
          </tfoot>
        </table>
        <section v-if="formula.note" class="text">
          <h2>{{ common.note }}</h2>
          <p>{{ formula.note }}</p>
        </section>
        <section class="text">
          <h2>{{ texts.ingredientsInDescendingOrder }}</h2>
          <p>{{ inci }}</p>
        </section>
        <section v-if="checks.length" class="text">
          <h2>{{ texts.findings }}</h2>
          <ul>
            <li v-for="f in checks" :key="findingKey(f)">{{ findingText(f).message }}</li>
          </ul>
        </section>
        <section v-if="cautions.length" class="text">
          <h2>{{ texts.precautions }}</h2>
          <ul>
            <li v-for="f in cautions" :key="findingKey(f)">{{ findingText(f).message }}</li>
          </ul>
        </section>
      </template>

      <footer>
        {{ texts.ombletInformsItDoesNot }}
      </footer>
    </article>
  </div>
</template>

<style src="./print.css"></style>
