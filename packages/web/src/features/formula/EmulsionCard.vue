<script setup lang="ts">
import { common } from '#words/common'
import { emulsionCard as texts } from '#words/formula'
import TermText from '../../components/TermText.vue'
import {
  capitalise,
  formatNumber,
  listWords,
  sayNumber,
  type AssessedLine,
  type Emulsion,
} from '@omblet/core'
import { computed } from 'vue'

const props = defineProps<{ emulsion: Emulsion; lines: readonly AssessedLine[] }>()

const RICHNESS = {
  milk: 'milk',
  lotion: 'lotion',
  cream: 'cream',
  'rich-cream': texts.richCream,
  butter: 'butter',
}
const share = computed(() => {
  const { emulsifierPercent, oilPhasePercent } = props.emulsion
  return oilPhasePercent > 0 ? (emulsifierPercent / oilPhasePercent) * 100 : 0
})
/** Narrowest pH window of the emulsifiers. */
const ph = computed(() => {
  const windows = props.lines.flatMap((l) =>
    l.percent > 0 && l.material?.emulsifier && l.material.emulsifier.role !== 'solubiliser' && l.material.ph
      ? [l.material.ph]
      : [],
  )
  if (windows.length === 0) return 'any'
  return `${sayNumber(Math.max(...windows.map((w) => w.min)), 1)}–${sayNumber(Math.min(...windows.map((w) => w.max)), 1)}`
})
const unsure = computed(() => props.emulsion.oilPhaseRange.because)
const oilPhase = computed(() => {
  const { low, high } = props.emulsion.oilPhaseRange
  return unsure.value.length > 0
    ? `${formatNumber(low, 0)}–${formatNumber(high, 0)}`
    : formatNumber(props.emulsion.oilPhasePercent, 1)
})
const hlb = computed(() => {
  const { requiredHlb, offeredHlb, hlbApplies, hlbNotTold } = props.emulsion
  if (requiredHlb !== null && hlbNotTold.length > 0 && offeredHlb === null)
    return texts.requiredHlbAboutHlbOf(sayNumber(requiredHlb, 0), listWords(hlbNotTold))
  if (requiredHlb === null || offeredHlb === null) return null
  return texts.requiredHlbAboutEmulsifiers(
    sayNumber(requiredHlb, 0),
    sayNumber(offeredHlb, 0),
    hlbApplies ? '' : texts.hlbIsNoReliableGuide,
  )
})
</script>

<template>
  <section class="card padded" aria-labelledby="emulsion-title">
    <header class="abreast level spread">
      <h2 class="text-less" id="emulsion-title">{{ common.emulsion }}</h2>
      <span class="muted small"
        >{{ emulsion.type === 'oil-in-water' ? texts.oilInWater : texts.waterInOil }} ·
        {{ RICHNESS[emulsion.richness] }}</span
      >
    </header>
    <dl>
      <div>
        <dd class="mono">{{ oilPhase }} %</dd>
        <dt class="small muted">{{ texts.oilPhase }}</dt>
      </div>
      <div>
        <dd class="mono">{{ formatNumber(share, 0) }} %</dd>
        <dt class="small muted">{{ texts.ofItEmulsifier }}</dt>
      </div>
      <div>
        <dd class="mono">{{ ph }}</dd>
        <dt class="small muted">{{ texts.emulsifierPh }}</dt>
      </div>
    </dl>
    <p v-if="unsure.length" class="muted small">
      {{ texts.mayBelongToTheOil(capitalise(listWords(unsure)), unsure.length > 1 ? texts.them : common.it) }}
    </p>
    <p v-if="hlb" class="muted small"><TermText :text="hlb" /></p>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.5rem;
  margin: 0.5rem 0 0;
  text-align: center;
}
dl > div {
  display: flex;
  flex-direction: column;
}
dd {
  margin: 0;
  font-size: var(--text-head-3);
  font-weight: 700;
}
p {
  padding-top: 0.5rem;
}
</style>
