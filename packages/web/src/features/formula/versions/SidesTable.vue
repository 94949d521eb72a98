<script setup lang="ts">
import { sidesTable as texts } from '#words/formula-versions'
import { findingText, sidesText } from '@omblet/core/words'
import { capitalise, formatNumber, sideBySide, type SideRow, findingKey } from '@omblet/core'
import { computed } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import { usePrices } from '../../../composables/design'
import type { useVersions } from './use-versions'

/** Two formulas side by side: amounts aligned, what follows from each, findings that came and went, and the method. */
const props = defineProps<{ pair: NonNullable<ReturnType<typeof useVersions>['pair']['value']> }>()
const prices = usePrices()
const sides = computed(() => sideBySide(props.pair.left.derived, props.pair.right.derived))
const cell = (side: SideRow['left']) =>
  !side
    ? '–'
    : side.fill
      ? `q.s. ${formatNumber(side.percent ?? 0, 2, 3)}`
      : side.percent === null
        ? texts.noAmount
        : formatNumber(side.percent, 2, 4)
const moved = (r: SideRow) =>
  r.left && r.right && r.left.phase !== r.right.phase ? `${r.left.phase} → ${r.right.phase}` : ''
const told = computed(() =>
  sidesText(props.pair.left.derived, props.pair.right.derived, (id) => prices()[id] ?? null),
)
const same = computed(() => !sides.value.rows.some((r) => r.changed))
const findings = computed(() => [
  { title: texts.newFindings, list: sides.value.came, none: 'none' },
  { title: texts.resolvedFindings, list: sides.value.went, none: 'none' },
])
const steps = computed(() =>
  [
    { title: texts.onlyIn(props.pair.left.name.toLowerCase()), list: told.value.steps.left },
    { title: texts.onlyIn(props.pair.right.name.toLowerCase()), list: told.value.steps.right },
  ].filter((s) => s.list.length > 0),
)
</script>

<template>
  <div class="sides">
    <p v-if="same" class="muted">{{ texts.noDifferences }}</p>
    <table>
      <caption class="hidden-text">
        {{
          texts.amountsInPercentSideBy
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">%</th>
          <th scope="col" class="num">{{ pair.left.name }}</th>
          <th scope="col" class="num">{{ pair.right.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in sides.rows" :key="i" :class="{ changed: r.changed }">
          <th scope="row">
            {{ capitalise(r.label) }}<span v-if="moved(r)" class="muted small"> {{ moved(r) }}</span
            ><span v-if="r.changed" class="hidden-text">{{ texts.differs }}</span>
          </th>
          <td class="mono num">{{ cell(r.left) }}</td>
          <td class="mono num">{{ cell(r.right) }}</td>
        </tr>
      </tbody>
      <tbody class="facts">
        <tr v-for="f in told.facts" :key="f.what" :class="{ changed: f.changed }">
          <th scope="row">{{ f.what }}</th>
          <td class="num">{{ f.left }}</td>
          <td class="num">{{ f.right }}</td>
        </tr>
      </tbody>
    </table>
    <div class="brings">
      <section v-for="f in findings" :key="f.title">
        <h3>{{ f.title }}</h3>
        <p v-if="f.list.length === 0" class="muted small">{{ f.none }}</p>
        <ul class="small">
          <li class="abreast level" v-for="x in f.list" :key="findingKey(x)">
            <FindingMark :severity="x.severity" :size="14" /><span
              ><span class="hidden-text">{{ x.severity }}: </span>{{ findingText(x).message }}</span
            >
          </li>
        </ul>
      </section>
      <section v-for="s in steps" :key="s.title">
        <h3>{{ s.title }}</h3>
        <ul class="small plain">
          <li class="abreast level" v-for="t in s.list" :key="t">{{ t }}</li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  gap: 1rem;
  overflow-x: auto;
}
th,
td {
  overflow-wrap: anywhere;
}
.changed > * {
  background: var(--wash);
  font-weight: 600;
}
.facts td {
  font-size: var(--text-small);
}
h3 {
  padding-bottom: 0.25rem;
  color: var(--muted);
  font-size: var(--text-note);
}
.brings {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 16rem), 1fr));
  gap: 1rem;
}
li {
  padding: 0.2rem 0;
}
li :deep(svg) {
  flex: none;
  align-self: center;
}
</style>
