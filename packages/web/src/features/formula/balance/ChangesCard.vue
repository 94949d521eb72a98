<script setup lang="ts">
import { aboutText, boundsText, wishText } from '@omblet/core/words'
import { common } from '#words/common'
import { changesCard as texts } from '#words/formula-balance'
import { capitalise, formatNumber, listWords, sayNumber, type Balance, type Standing } from '@omblet/core'
import Button from 'primevue/button'
import { computed } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import Notice from '../../../components/Notice.vue'

const props = defineProps<{
  answer: { before: Standing; result: Balance } | null
  busy: boolean
  failed: boolean
  empty: boolean
  batchGrams: number
}>()
defineEmits<{ take: [] }>()

const result = computed(() => props.answer?.result ?? null)
const changes = computed(() => result.value?.changes ?? [])
const conflict = computed(() =>
  result.value?.status === 'impossible'
    ? texts.cannotBeMet(
        capitalise(listWords(result.value.conflict.map(wishText))),
        result.value.conflict.length > 1 ? texts.together : texts.withTheseIngredients,
      )
    : '',
)
const figure = (value: number | null, unit: string) =>
  value === null ? '–' : `${formatNumber(value, 2)}${unit}`
const rows = computed(() => {
  if (!props.answer) return []
  const { before, result: r } = props.answer
  const row = (label: string, was: number | null, is: number | null, unit: string) => ({
    label,
    was: figure(was, unit),
    is: figure(is, unit),
  })
  return [
    row(common.total, before.totalPercent, r.after.totalPercent, ' %'),
    ...(before.oilPhasePercent === null
      ? []
      : [row(texts.oilPhase, before.oilPhasePercent, r.after.oilPhasePercent, ' %')]),
    ...(before.wantedHlb === null ? [] : [row(texts.requiredHlb, before.wantedHlb, r.after.wantedHlb, '')]),
    ...(before.offeredHlb === null
      ? []
      : [row(texts.hlbOfTheEmulsifiers, before.offeredHlb, r.after.offeredHlb, '')]),
    ...(before.cost === null ? [] : [row(texts.priceOf100G, before.cost, r.after.cost, '')]),
    row(texts.notSynthetic, before.naturalPercent, r.after.naturalPercent, ' %'),
  ]
})
const lead = computed(() => {
  const r = result.value
  if (!r) return ''
  if (r.status === 'impossible') return r.nearest ? texts.nearestSolution : ''
  const n = changes.value.filter((c) => !c.fill).length
  if (n === 0) return texts.nothingHasToChange
  return texts.theLargestByOfItself(
    n,
    n === 1 ? texts.ingredientChanges : texts.ingredientsChange,
    sayNumber(100 * r.largestShare, 1),
  )
})
</script>

<template>
  <section class="card changes" aria-labelledby="changes-title" :aria-busy="busy">
    <header class="abreast level wraps spread">
      <h3 id="changes-title">{{ texts.proposedChanges }}</h3>
      <span class="muted small" role="status">{{ busy && !result ? texts.loadingTheSolver : lead }}</span>
    </header>
    <p v-if="empty" class="muted">{{ texts.noIngredientsYetAddSome }}</p>
    <Notice v-if="failed" kind="stop">{{ common.theSolverCouldNotBe }}</Notice>
    <template v-if="result && !empty">
      <template v-if="result.status === 'impossible'">
        <Notice kind="check">{{ conflict }}</Notice>
        <ul v-if="result.nearest" class="missed stacked closer">
          <li v-for="(m, i) in result.missed" :key="i">
            <FindingMark severity="check" :size="16" />
            <span>{{
              texts.ratherThan(
                capitalise(aboutText(m.about)),
                sayNumber(m.reached, 2),
                m.wanted === 'exactly' ? '' : boundsText(m.wanted),
                sayNumber(m.bound, 2),
              )
            }}</span>
          </li>
        </ul>
      </template>
      <table v-if="changes.length" class="list">
        <thead>
          <tr>
            <th scope="col">{{ common.ingredient }}</th>
            <th scope="col" class="figure">{{ texts.current }}</th>
            <th scope="col" class="figure">{{ texts.proposed }}</th>
            <th scope="col" class="figure">{{ common.grams }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="c in changes" :key="`${c.at.phase}.${c.at.line}`">
            <th scope="row">
              {{ capitalise(c.label) }}<span v-if="c.fill" class="muted small qs">q.s.</span>
            </th>
            <td class="mono figure">{{ c.from === null ? '–' : `${formatNumber(c.from, 2, 4)} %` }}</td>
            <td class="mono figure then">{{ formatNumber(c.to, 2, 4) }} %</td>
            <td class="mono figure muted">{{ formatNumber((c.to * batchGrams) / 100, 2) }} g</td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="result.status === 'done'" class="fine">
        <FindingMark severity="fine" :size="16" /> {{ texts.theFormulaAlreadyMeetsAll }}
      </p>
      <div v-if="changes.length" class="acts">
        <Button
          :label="result.status === 'done' ? texts.applyChanges : texts.applyNearestSolution"
          :severity="result.status === 'done' ? undefined : 'secondary'"
          :outlined="result.status !== 'done'"
          @click="$emit('take')"
        />
      </div>
      <table class="standing">
        <thead>
          <tr>
            <th scope="col">{{ texts.property }}</th>
            <th scope="col" class="figure">{{ texts.current }}</th>
            <th scope="col" class="figure">{{ texts.proposed }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.label">
            <th scope="row">{{ r.label }}</th>
            <td class="mono figure">{{ r.was }}</td>
            <td class="mono figure" :class="{ then: r.is !== r.was }">{{ r.is }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="answer?.before.cost !== null && answer?.before.unpriced.length" class="muted small">
        {{ texts.noPriceNotIncluded(answer.before.unpriced.join(', ')) }}
      </p>
      <p class="muted small">
        {{ texts.minimisesTheLargestRelative }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.changes {
  display: grid;
  gap: 0.75rem;
  padding: 0.875rem 1rem 1rem;
}
header {
  gap: 0.25rem 1rem;
}
.figure {
  width: 7rem;
  text-align: right;
  white-space: nowrap;
}
.then {
  font-weight: 700;
}
.qs {
  margin-left: 0.5rem;
}
.missed li,
.fine {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  align-items: center;
  gap: 0.5rem;
}
.acts {
  display: flex;
  justify-content: flex-end;
}
</style>
