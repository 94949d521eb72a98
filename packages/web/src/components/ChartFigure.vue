<script setup lang="ts">
import { chartFigure as texts } from '#words/components'
import type { ApexOptions } from 'apexcharts'
import ApexChart from 'vue3-apexcharts'

/** A chart with what it shows in one sentence, and its figures as a table for who would rather read them. */
defineProps<{
  type: 'line' | 'rangeArea' | 'bar'
  height: number
  options: ApexOptions
  series: NonNullable<ApexOptions['series']>
  summary: string
  table: { heads: readonly string[]; rows: readonly (readonly string[])[] }
}>()
</script>

<template>
  <figure>
    <figcaption class="hidden-text">{{ summary }}</figcaption>
    <!-- another kind or size is another chart: one that is not drawn yet could not be taken down -->
    <ApexChart :key="`${type} ${height}`" :type="type" :height="height" :options="options" :series="series" />
    <slot />
    <details v-if="table.rows.length">
      <summary class="small muted">{{ texts.asATable }}</summary>
      <table class="small">
        <thead>
          <tr>
            <th v-for="head in table.heads" :key="head" scope="col">{{ head }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in table.rows" :key="i">
            <td v-for="(cell, j) in row" :key="j">{{ cell }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
  overflow: hidden;
}
summary {
  min-height: 24px;
  padding-left: 0.25rem;
  cursor: pointer;
}
details[open] {
  max-height: 16rem;
  overflow: auto;
}
table {
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}
th,
td {
  padding: 0.125rem 1rem 0.125rem 0.25rem;
  text-align: left;
  font-weight: 400;
}
th {
  color: var(--muted);
}
</style>
