<script setup lang="ts">
import { common } from '#words/common'
import { variantsCard as texts } from '#words/trials'
import { trialWarningText, forecastRows } from '@omblet/core/words'
import { findingText } from '@omblet/core/words'
import { forecastOf, formulaToMake, listWords, sharedBase, type Forecast } from '@omblet/core'
import { computed } from 'vue'
import TitledCard from '../../components/TitledCard.vue'
import FindingMark from '../../components/FindingMark.vue'
import { usePrices } from '../../composables/design'
import { useMaterials } from '../../stores/materials'
import Letter from './Letter.vue'
import type { useSetUp } from './use-set-up'

/** What would be compared: each variant with what Omblet expects of it, what else differs, and what can be made once. */
const props = defineProps<{ setUp: ReturnType<typeof useSetUp> }>()
const materials = useMaterials()
const prices = usePrices()
const priceOf = (id: string) => prices()[id] ?? null
const rows = computed(() =>
  props.setUp.chosen.value.map((c, i) => {
    const forecast: Forecast | null = c.formula ? forecastOf(materials.derive(c.formula), priceOf) : null
    return {
      ...c,
      i,
      forecast,
      words: forecast ? forecastRows(forecast) : [],
      reference: c.key === props.setUp.reference.value,
    }
  }),
)
/** What is to heed in one jar and not in all of them. */
const firsts = computed(() => {
  const lists = rows.value.flatMap((r) => (r.forecast ? [r.forecast.findings] : []))
  const inAll = (message: string) =>
    lists.every((list) => list.some((f) => findingText(f).message === message))
  return rows.value.map((r) =>
    r.forecast?.findings.find((f) => f.severity !== 'note' && !inAll(findingText(f).message)),
  )
})
const differs = computed(() => props.setUp.differs.value)
const only = computed(() => {
  const { varied, gives } = differs.value
  const what = props.setUp.what.value
  const named = varied.length > 0 && varied.length <= 6 ? ` (${listWords(varied)})` : ''
  return texts.onlyDiffers(what, named, gives.length > 0 ? texts.makesUpTo100(gives[0] ?? '') : '')
})
const base = computed(() => {
  const grams = props.setUp.grams.value ?? 0
  const formulas = rows.value.flatMap((r) =>
    r.formula && grams > 0 ? [formulaToMake(r.formula, grams)] : [],
  )
  return formulas.length > 1 ? sharedBase(formulas, materials.catalogue) : null
})
const baseWords = computed(() => {
  if (!base.value) return ''
  if (base.value.kind === 'none') return texts.eachSampleIsMadeSeparately
  const parts = base.value.parts.map((p) => p.name.toLowerCase())
  return base.value.kind === 'whole' ? texts.theBaseIsMadeOnce : texts.madeOnceAndDividedBy(listWords(parts))
})
</script>

<template>
  <TitledCard :title="common.samples" :level="2">
    <p v-if="rows.length < 2" class="muted">
      {{ texts.chooseAtLeastTwoEach }}
    </p>
    <ul v-if="rows.length" class="rows">
      <li v-for="r in rows" :key="r.key">
        <Letter :at="r.i" :reference="r.reference" />
        <div>
          <strong>{{ r.name }}</strong>
          <span v-if="r.reference" class="muted small"> {{ texts.reference }}</span>
          <p v-if="!r.forecast" class="muted small">{{ texts.benchmarkWithoutAFormula }}</p>
          <p v-else class="small facts">
            <span v-for="w in r.words" :key="w.what"
              ><span class="muted">{{ w.what }}</span> {{ w.words }}</span
            >
          </p>
          <p v-if="firsts[r.i]" class="small first abreast level">
            <FindingMark :severity="firsts[r.i]!.severity" :size="14" />
            <span
              ><span class="hidden-text">{{ firsts[r.i]!.severity }}: </span
              >{{ findingText(firsts[r.i]!).message }}</span
            >
          </p>
        </div>
      </li>
    </ul>
    <template v-if="rows.length > 1">
      <p v-if="setUp.varies.value !== 'jar' && differs.oneThing" class="told abreast level">
        <FindingMark severity="fine" :size="16" /> <span>{{ only }}</span>
      </p>
      <p v-for="w in setUp.warnings.value" :key="w.code" class="told abreast level">
        <FindingMark severity="check" :size="16" /> <span>{{ trialWarningText(w) }}</span>
      </p>
      <p v-if="base" class="told abreast level">
        <FindingMark severity="note" :size="16" /> <span>{{ baseWords }}</span>
      </p>
    </template>
  </TitledCard>
</template>

<style scoped>
.rows li {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr);
  gap: 0.75rem;
  padding: 0.5rem 0;
  border-top: 1px solid var(--line);
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.75rem;
}
.first :deep(svg),
.told :deep(svg) {
  flex: none;
  align-self: center;
}
</style>
