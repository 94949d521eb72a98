<script setup lang="ts">
import { common } from '#words/common'
import { costBody as texts } from '#words/formula-cost'
import { capitalise, costRows, sayNumber, type Costing } from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton } from '../../../components/buttons'
import { computed } from 'vue'
import { axis, chartBase, palette } from '../../../components/chart'
import ChartFigure from '../../../components/ChartFigure.vue'
import FindingMark from '../../../components/FindingMark.vue'
import TextField from '../../../components/TextField.vue'
import NothingYet from '../../../components/NothingYet.vue'
import Notice from '../../../components/Notice.vue'
import NumberField from '../../../components/NumberField.vue'
import { downloadCsv, downloadSpreadsheet, fileName } from '../../../browser/download'
import { useContainers } from '../../../stores/containers'
import { takeInDemoShelf } from '../../../stores/demo-shelf'
import { useEditor } from '../../../stores/editor'
import FillCard from './FillCard.vue'
import StandIns from '../StandIns.vue'
import { useCost } from './use-cost'

const editor = useEditor()
const { money, currency, batch, lost, costing, change, assessment, cost, drivers, price } = useCost()

const FIELDS: { key: keyof Costing & string; label: string; unit?: string; max: number; what: string }[] = [
  { key: 'containers', label: common.containers, max: 10000, what: common.theNumber },
  { key: 'containerPrice', label: texts.oneContainer, max: 100000, what: texts.itsPrice },
  { key: 'labelPrice', label: texts.oneLabel, max: 100000, what: texts.itsPrice },
  { key: 'hours', label: texts.hours, max: 1000, what: texts.theHours },
  { key: 'rate', label: texts.hourlyRate, max: 100000, what: texts.theHourlyRate },
  { key: 'marginPercent', label: texts.margin, unit: '%', max: 99, what: texts.theMargin },
]
const set = (key: keyof Costing & string, value: number | null) =>
  change(
    { [key]: value === null ? undefined : key === 'containers' ? Math.round(value) : value },
    `cost-${key}`,
  )

const shelf = useContainers()
/** A container from the shelf stands on the label too. */
function choose(id: string, count: number, each: number | undefined) {
  const container = shelf.find(id)
  if (!container) return
  const label = { ...editor.formula!.label, container: id, containerKind: container.kind }
  const next = {
    ...costing.value,
    containers: count,
    ...(each === undefined ? {} : { containerPrice: each }),
  }
  editor.apply({ type: 'patch', patch: { label, costing: next } })
}

const BAR = 34
const bars = computed(() => drivers.value.slice(0, 14))
const options = computed(() =>
  chartBase({
    colors: [palette.value.soft],
    plotOptions: { bar: { horizontal: true, barHeight: '62%', borderRadius: 3 } },
    xaxis: {
      categories: bars.value.map((b) => capitalise(b.line.label)),
      ...axis(null, (v) => money(v)),
    },
    yaxis: { labels: { maxWidth: 220, style: { colors: palette.value.ink, fontSize: '13px' } } },
    tooltip: { y: { formatter: (v: number) => money(v), title: { formatter: () => '' } } },
  }),
)
const series = computed(() => [
  { name: common.cost, data: bars.value.map((b) => Number(b.line.cost!.toFixed(4))) },
])
const table = computed(() => ({
  heads: [texts.material, common.grams, common.cost, texts.share],
  rows: drivers.value.map((d) => [
    capitalise(d.line.label),
    sayNumber(d.line.grams, 3),
    money(d.line.cost),
    `${sayNumber(d.percent, 0)} %`,
  ]),
}))
const summary = computed(() =>
  bars.value.length
    ? texts.mostExpensiveOfThePriced(bars.value[0]!.line.label, sayNumber(bars.value[0]!.percent, 0))
    : texts.noPrices,
)
const half = computed(() => {
  let sum = 0
  const most: string[] = []
  for (const d of drivers.value) {
    if (sum >= 50) break
    sum += d.percent
    most.push(d.line.label)
  }
  return { names: most, percent: sum }
})
const unpriced = computed(() =>
  cost.value.unpriced.map((id) => assessment.value.lines.find((l) => l.id === id)?.label ?? id),
)
const phases = computed(() =>
  cost.value.phases.map((p) => ({
    ...p,
    name: assessment.value.phases[p.phase]!.name,
    letter: assessment.value.phases[p.phase]!.letter,
  })),
)
const figures = computed(() => [
  {
    label: batch.value ? texts.theBatch : texts.aBatch,
    value: money(cost.value.materials),
    note: 'materials',
  },
  { label: '100 g', value: money(cost.value.per100Grams), note: 'materials' },
  {
    label: texts.aContainer,
    value: money(cost.value.perContainer),
    note:
      cost.value.perContainer === null ? texts.enterTheNumberOfContainers : texts.withContainerLabelAndLabour,
  },
])
/** The dearest line that stands on the sheet: what could stand in for it, and what that would change. */
const dearest = computed(() => {
  const index = batch.value ? null : (drivers.value[0]?.line.index ?? null)
  return index === null ? null : (assessment.value.lines[index] ?? null)
})
const name = computed(() => fileName(texts.cost(editor.formula!.name), ''))
</script>

<template>
  <div class="columns leaf">
    <h2 class="hidden-text">{{ common.cost }}</h2>
    <Notice v-if="lost" kind="check" class="wide">{{ texts.thatBatchNoLongerExists }}</Notice>
    <TitledCard :title="batch ? texts.batchLotsUsed(batch.code) : texts.fromStock">
      <template #beside
        ><div class="abreast wraps">
          <Button
            :label="texts.csv"
            size="small"
            text
            @click="downloadCsv(name, costRows(assessment, cost))"
          />
          <Button
            :label="texts.xlsx"
            size="small"
            text
            @click="downloadSpreadsheet(name, costRows(assessment, cost))"
          /></div
      ></template>

      <dl>
        <div v-for="f in figures" :key="f.label">
          <dt class="muted text-note">{{ f.label }}</dt>
          <dd :class="f.value === 'not known' ? 'muted' : 'mono'">{{ f.value }}</dd>
          <dd class="muted small">{{ f.note }}</dd>
        </div>
      </dl>
      <NothingYet v-if="!bars.length" :title="texts.noPricesYet">
        <p>
          {{ texts.addLotsWithPricesUnder }}
        </p>
        <template #actions>
          <PlainButton :label="texts.loadExampleStock" size="small" @click="takeInDemoShelf" />
        </template>
      </NothingYet>
      <template v-else>
        <ChartFigure
          type="bar"
          :height="bars.length * BAR + 40"
          :options="options"
          :series="series"
          :summary="summary"
          :table="table"
        />
        <p class="small">
          {{
            texts.upOfThePricedCost(
              capitalise(half.names.join(', ')),
              half.names.length > 1 ? texts.make : texts.makes,
              sayNumber(half.percent, 0),
            )
          }}
        </p>
      </template>
      <div v-if="dearest" class="dearest">
        <p class="small">{{ texts.mostExpensive(dearest.label) }}</p>
        <StandIns :line="dearest" @take="editor.apply($event.edit)" />
      </div>
      <div v-if="unpriced.length" class="open">
        <div class="rail" role="img" :aria-label="texts.ofTheBatchHasNo(sayNumber(cost.unpricedPercent, 1))">
          <i :style="{ width: `${cost.unpricedPercent}%` }"></i>
        </div>
        <p class="small">
          <strong>{{ texts.noPriceForOfThe(sayNumber(cost.unpricedPercent, 1)) }}</strong>
          {{ texts.notIncluded(unpriced.join(', ')) }}
        </p>
      </div>
      <p v-if="cost.waste" class="small">
        {{ texts.ofThisWasDiscardedOr(money(cost.waste)) }}
      </p>
    </TitledCard>
    <div class="right stacked">
      <FillCard :a="assessment" :chosen="editor.formula!.label?.container ?? null" @choose="choose" />
      <TitledCard :title="texts.byPhase">
        <table>
          <tbody>
            <tr v-for="p in phases" :key="p.phase">
              <td>
                <span
                  class="phase-badge"
                  :data-role="assessment.phases[p.phase]!.role"
                  :style="{ background: 'var(--phase)' }"
                  >{{ p.letter }}</span
                >
              </td>
              <td>{{ p.name }}</td>
              <td class="number num" :class="p.cost === null ? 'muted' : 'mono'">{{ money(p.cost) }}</td>
            </tr>
          </tbody>
        </table>
      </TitledCard>
      <TitledCard :title="texts.otherCosts">
        <TextField v-model="currency" :label="texts.currency" maxlength="8" placeholder="€" class="money" />
        <div class="grid">
          <NumberField
            v-for="f in FIELDS"
            :key="f.key"
            :label="f.label"
            :unit="f.unit ?? ''"
            :max="f.max"
            :what="f.what"
            :model-value="(costing[f.key] as number | undefined) ?? null"
            @update:model-value="set(f.key, $event)"
          />
        </div>
        <p v-if="price !== null">
          {{ texts.atMarginAContainerWould(sayNumber(costing.marginPercent!, 1)) }}
          <strong class="mono">{{ money(price) }}</strong>.
        </p>
        <p v-if="costing.marginPercent !== undefined" class="small caution abreast wraps">
          <FindingMark severity="note" :size="16" /><span>{{ texts.sellingIsSubjectToCosmetic }}</span>
        </p>
      </TitledCard>
    </div>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1.5fr) minmax(0, 1fr);
}
.wide {
  grid-column: 1 / -1;
}
.caution {
  flex-wrap: nowrap;
}
dl {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.5rem;
}
dd {
  margin: 0;
}
dd.mono {
  font-size: var(--text-head-1);
}
.rail {
  height: 0.75rem;
  border-radius: var(--round-s);
  background: var(--track);
  overflow: hidden;
}
.rail i {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(45deg, var(--muted) 0 3px, transparent 3px 8px);
}
.money {
  width: 6rem;
}
.open {
  display: grid;
  gap: 0.25rem;
}
.grid {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.5rem 0.75rem;
}
</style>
