<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { FormulaRecord } from '../../storage/schema'

/** Cards in rows as wide as the page; only rows that are near the window are drawn. */
const props = defineProps<{ records: readonly FormulaRecord[] }>()

const LEAST_WIDTH = 312
const GAP = 12
const ROW = 126
const FEW_ROWS = 24

const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const columns = computed(() => Math.max(1, Math.floor((width.value + GAP) / (LEAST_WIDTH + GAP))))
const rows = computed(() => Math.ceil(props.records.length / columns.value))
const rowOf = (index: number) => props.records.slice(index * columns.value, (index + 1) * columns.value)

const virtual = useWindowVirtualizer(
  computed(() => ({
    count: rows.value,
    estimateSize: () => ROW + GAP,
    // A few cards are all drawn, so that a search in the page finds them.
    overscan: rows.value <= FEW_ROWS ? rows.value : 1,
    gap: 0,
    scrollMargin: box.value?.offsetTop ?? 0,
  })),
)
const measure = (element: unknown) => {
  if (element instanceof HTMLElement) virtual.value.measureElement(element)
}
</script>

<template>
  <div ref="box" class="box" :style="{ height: `${virtual.getTotalSize()}px` }">
    <ul
      v-for="row in virtual.getVirtualItems()"
      :key="row.key as number"
      :ref="measure"
      class="row"
      :data-index="row.index"
      :style="{
        gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
        transform: `translateY(${row.start - virtual.options.scrollMargin}px)`,
      }"
    >
      <li
        v-for="(record, i) in rowOf(row.index)"
        :key="record.id"
        :aria-posinset="row.index * columns + i + 1"
        :aria-setsize="records.length"
      >
        <slot :record="record" />
      </li>
    </ul>
  </div>
</template>

<style scoped>
.box {
  position: relative;
}
.row {
  position: absolute;
  inset: 0 0 auto;
  display: grid;
  gap: 0.75rem;
  padding-bottom: 0.75rem;
  contain: layout style;
}
</style>
