<script setup lang="ts">
import { solubilityCharts as texts } from '#words/ingredients'
import {
  catalogue,
  sayNumber,
  solubilityAt,
  temperatureFactor,
  type AcidBase,
  type CosolventMix,
} from '@omblet/core'
import { computed } from 'vue'
import { axis, chartBase, palette } from '../../components/chart'
import ChartFigure from '../../components/ChartFigure.vue'

const props = defineProps<{ solid: AcidBase }>()

const NONE: CosolventMix = { fractions: [], total: 0, massPercent: 0 }
const byPh = computed(() => props.solid.intrinsicSolubility !== undefined)

/** Percent of a watery product with nothing else in it: g per kg, divided by ten. */
const percent = (gramsPerKg: number) => Number((gramsPerKg / 10).toPrecision(3))
/** Drawn on a logarithmic scale; above 30 % the salt, not the acid, sets the limit. */
const log = (gramsPerKg: number) => Math.log10(Math.min(30, percent(gramsPerKg)))
const cold = computed(() => temperatureFactor(props.solid.enthalpy, 5))
const PHS = Array.from({ length: 26 }, (_, i) => 2 + i * 0.2)

const phSeries = computed(() => [
  {
    name: '25 °C',
    data: PHS.map((ph) => ({ x: Number(ph.toFixed(1)), y: log(solubilityAt(props.solid, ph, NONE)) })),
  },
  ...(props.solid.enthalpy === undefined
    ? []
    : [
        {
          name: '5 °C',
          data: PHS.map((ph) => ({
            x: Number(ph.toFixed(1)),
            y: log(solubilityAt(props.solid, ph, NONE) * cold.value),
          })),
        },
      ]),
])

/** The cosolvents that most kitchens have. */
const SHOWN = ['propylene-glycol', 'propanediol', 'glycerin', 'alcohol'].map((id) => catalogue.find(id)!)
const solventSeries = computed(() =>
  SHOWN.map(({ id, name, density, cosolvent }) => ({
    name,
    data: Array.from({ length: 11 }, (_, i) => {
      const mass = i * 4
      const volume = mass / density!
      const fraction = volume / (volume + 100 - mass)
      const mix = { fractions: [{ key: id, fraction, ...cosolvent! }], total: fraction, massPercent: mass }
      return { x: mass, y: percent(solubilityAt(props.solid, byPh.value ? 3.5 : null, mix)) }
    }),
  })),
)

const share = (v: number, logarithmic: boolean) => {
  const value = logarithmic ? 10 ** v : v
  return `${sayNumber(value, value < 0.1 ? 3 : value < 1 ? 2 : 1)} %`
}
const options = (title: string, logarithmic: boolean) =>
  chartBase({
    stroke: { width: 2.5, curve: 'straight', dashArray: [0, 5, 2, 8] },
    colors: palette.value.several,
    legend: {
      show: true,
      position: 'top',
      horizontalAlign: 'left',
      labels: { colors: palette.value.muted },
      fontSize: '13px',
    },
    xaxis: { type: 'numeric', tickAmount: 5, ...axis(title, (v) => sayNumber(v, 1)) },
    yaxis: {
      ...(logarithmic ? { min: -2, max: 1.5, tickAmount: 7 } : { min: 0 }),
      ...axis(null, (v) => share(v, logarithmic)),
    },
    tooltip: {
      y: { formatter: (v: number) => texts.about(share(v, logarithmic)) },
      x: { formatter: (v: number) => sayNumber(v, 1) },
    },
  })
const tableOf = (head: string, series: typeof solventSeries.value, logarithmic: boolean) => ({
  heads: [head, ...series.map((x) => x.name)],
  rows: series[0]!.data.map(({ x }, i) => [
    sayNumber(x, 1),
    ...series.map((one) => share(one.data[i]!.y, logarithmic)),
  ]),
})
const solventTitle = computed(() =>
  byPh.value ? texts.percentOfSolventInWater : texts.percentOfSolventInWater2,
)
const FACTOR = { high: 1.3, medium: 1.5, low: 2 }
</script>

<template>
  <div class="charts">
    <ChartFigure
      v-if="byPh"
      type="line"
      :height="230"
      :options="options(texts.phInWater, true)"
      :series="phSeries"
      :summary="texts.solubilityInWaterByPh"
      :table="tableOf('pH', phSeries, true)"
    />
    <ChartFigure
      v-if="solid.logKow !== undefined"
      type="line"
      :height="230"
      :options="options(solventTitle, false)"
      :series="solventSeries"
      :summary="texts.solubilityInWaterWithA"
      :table="tableOf(texts.solvent, solventSeries, false)"
    />
    <p class="small wide">
      <template v-if="!byPh"
        >{{ texts.aboutDissolvesInWaterAt(sayNumber((solid.waterSolubility ?? 0) / 10, 2))
        }}<template v-if="solid.enthalpy">{{
          texts.aboutAt5C(sayNumber(((solid.waterSolubility ?? 0) / 10) * cold, 2))
        }}</template
        >.
      </template>
      {{ texts.uncertaintyAFactorOfMore(FACTOR[solid.confidence]) }}
      <span class="muted">{{ texts.logLinearCosolvencyYalkowsky(solid.source) }}</span>
    </p>
  </div>
</template>

<style scoped>
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 18rem), 1fr));
  gap: 0.5rem 1rem;
}
</style>
