<script setup lang="ts">
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
  { key: 'containers', label: 'Containers', max: 10000, what: 'the number' },
  { key: 'containerPrice', label: 'One container', max: 100000, what: 'its price' },
  { key: 'labelPrice', label: 'One label', max: 100000, what: 'its price' },
  { key: 'hours', label: 'Hours', max: 1000, what: 'the hours' },
  { key: 'rate', label: 'Hourly rate', max: 100000, what: 'the hourly rate' },
  { key: 'marginPercent', label: 'Margin', unit: '%', max: 99, what: 'the margin' },
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
  { name: 'Cost', data: bars.value.map((b) => Number(b.line.cost!.toFixed(4))) },
])
const table = computed(() => ({
  heads: ['Material', 'Grams', 'Cost', 'Share'],
  rows: drivers.value.map((d) => [
    capitalise(d.line.label),
    sayNumber(d.line.grams, 3),
    money(d.line.cost),
    `${sayNumber(d.percent, 0)} %`,
  ]),
}))
const summary = computed(() =>
  bars.value.length
    ? `Most expensive: ${bars.value[0]!.line.label}, ${sayNumber(bars.value[0]!.percent, 0)} % of the priced cost.`
    : 'No prices.',
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
  { label: batch.value ? 'The batch' : 'A batch', value: money(cost.value.materials), note: 'materials' },
  { label: '100 g', value: money(cost.value.per100Grams), note: 'materials' },
  {
    label: 'A container',
    value: money(cost.value.perContainer),
    note:
      cost.value.perContainer === null
        ? 'enter the number of containers'
        : 'with container, label and labour',
  },
])
/** The dearest line that stands on the sheet: what could stand in for it, and what that would change. */
const dearest = computed(() => {
  const index = batch.value ? null : (drivers.value[0]?.line.index ?? null)
  return index === null ? null : (assessment.value.lines[index] ?? null)
})
const name = computed(() => fileName(`${editor.formula!.name} cost`, ''))
</script>

<template>
  <div class="columns leaf">
    <h2 class="hidden-text">Cost</h2>
    <Notice v-if="lost" kind="check" class="wide"
      >That batch no longer exists. Cost of the formula from stock:</Notice
    >
    <TitledCard :title="batch ? `Batch ${batch.code}, lots used` : 'From stock'">
      <template #beside
        ><div class="abreast wraps">
          <Button label="CSV" size="small" text @click="downloadCsv(name, costRows(assessment, cost))" />
          <Button
            label="XLSX"
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
      <NothingYet v-if="!bars.length" title="No prices yet">
        <p>
          Add lots with prices under Ingredients. The cost is calculated from the lots that would be used
          first.
        </p>
        <template #actions>
          <PlainButton label="Load example stock" size="small" @click="takeInDemoShelf" />
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
          {{ capitalise(half.names.join(', ')) }} {{ half.names.length > 1 ? 'make' : 'makes' }} up
          {{ sayNumber(half.percent, 0) }} % of the priced cost.
        </p>
      </template>
      <div v-if="dearest" class="dearest">
        <p class="small">Most expensive: {{ dearest.label }}.</p>
        <StandIns :line="dearest" @take="editor.apply($event.edit)" />
      </div>
      <div v-if="unpriced.length" class="open">
        <div
          class="rail"
          role="img"
          :aria-label="`${sayNumber(cost.unpricedPercent, 1)} % of the batch has no price`"
        >
          <i :style="{ width: `${cost.unpricedPercent}%` }"></i>
        </div>
        <p class="small">
          <strong>No price for {{ sayNumber(cost.unpricedPercent, 1) }} % of the batch</strong> (not
          included): {{ unpriced.join(', ') }}.
        </p>
      </div>
      <p v-if="cost.waste" class="small">
        {{ money(cost.waste) }} of this was discarded or lost in transfer.
      </p>
    </TitledCard>
    <div class="right stacked">
      <FillCard :a="assessment" :chosen="editor.formula!.label?.container ?? null" @choose="choose" />
      <TitledCard title="By phase">
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
      <TitledCard title="Other costs">
        <TextField v-model="currency" label="Currency" maxlength="8" placeholder="€" class="money" />
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
          At {{ sayNumber(costing.marginPercent!, 1) }} % margin a container would sell for
          <strong class="mono">{{ money(price) }}</strong>.
        </p>
        <p v-if="costing.marginPercent !== undefined" class="small caution abreast wraps">
          <FindingMark severity="note" :size="16" /><span
            >Selling is subject to cosmetic law: a safety assessment, tests, a product file and a compliant
            label come first. Your local rules decide.</span
          >
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
