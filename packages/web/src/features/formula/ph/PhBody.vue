<script setup lang="ts">
import { nothingFitsText, driftText, blockerText } from '@omblet/core/words'
import {
  blockersOf,
  nothingFits,
  capitalise,
  driftsOf,
  formatRange,
  listWords,
  sayNumber,
  thinningAt,
} from '@omblet/core'
import { computed } from 'vue'
import LearnedNote from '../../../components/LearnedNote.vue'
import Notice from '../../../components/Notice.vue'
import { useEditor } from '../../../stores/editor'
import CurveCard from './CurveCard.vue'
import EffectsCard from './EffectsCard.vue'
import LogCard from './LogCard.vue'
import MeterCard from './MeterCard.vue'
import NextDose from './NextDose.vue'
import PortionCard from './PortionCard.vue'
import { provideTitration } from './titration'

const t = provideTitration()
const editor = useEditor()

/** Why there is no curve, in words that say what to do; null where there is one. */
const without = computed(() => {
  const a = t.assessment.value
  if (t.shut.value)
    return {
      title: 'The pH of this product cannot be measured',
      text: 'In a W/O emulsion the water is enclosed in oil, out of reach of strip and probe. Set the pH of the water phase before emulsifying.',
    }
  if (a.waterPercent < 5)
    return {
      title: 'No water, no pH',
      text: 'Only products that contain water have a pH.',
    }
  if (!t.model.value)
    return {
      title: 'The pH can only be measured',
      text: 'Soap formed in the product, zinc oxide or chalk sets its own pH, which cannot be predicted. Measure it and keep the log here.',
    }
  return null
})
const thinning = computed(() =>
  t.model.value && t.now.value ? thinningAt(t.assessment.value, t.model.value, t.now.value.value) : [],
)
const worst = computed(() => thinning.value[0] ?? null)
const drifts = computed(() => driftsOf(t.assessment.value).map(driftText))
const blockers = computed(() => {
  const { fits, clashes } = t.assessment.value.ph
  const clash = clashes[0]
  if (clash)
    return `No pH suits all: ${clash.a.label} needs ${formatRange(clash.a)}, ${clash.b.label} ${formatRange(clash.b)}.`
  const [low, high] = blockersOf(t.assessment.value)
  if (!low || !high) return 'No active or preservative here depends on pH.'
  if (!fits) return nothingFitsText(nothingFits(t.assessment.value))
  return blockerText(low) === blockerText(high)
    ? `All ingredients and the site suit pH ${formatRange(fits)}; ${blockerText(low)} sets both ends.`
    : `All ingredients and the site suit pH ${formatRange(fits)}; ${blockerText(low)} sets the lower end, ${blockerText(high)} the upper.`
})
</script>

<template>
  <div class="ph-columns">
    <div class="main">
      <h2 class="hidden-text">pH</h2>
      <section v-if="without" class="card without stacked closer" aria-labelledby="without-title">
        <h3 id="without-title">{{ without.title }}</h3>
        <p>{{ without.text }}</p>
      </section>
      <CurveCard v-else />
      <EffectsCard v-if="t.now.value" :blockers="blockers" />
    </div>
    <div class="side">
      <NextDose v-if="!without" />
      <Notice v-if="worst" kind="check">
        <strong
          >It looks thin or separated until pH {{ worst.way === 'up' ? 'passes' : 'is below' }}
          {{ sayNumber(worst.from) }}.</strong
        >
        {{ capitalise(listWords(thinning.map((x) => x.label))) }}
        {{ thinning.length > 1 ? 'fail' : 'fails' }} {{ worst.way === 'up' ? 'below' : 'above' }} it and
        {{ thinning.length > 1 ? 'recover' : 'recovers' }} once the pH is corrected and the product blended
        again<template v-if="worst.grams"
          >: about {{ sayNumber(worst.grams, 1) }} g of
          {{ worst.way === 'up' ? 'sodium hydroxide, 10 %' : 'citric acid, 20 %' }}</template
        >. Do not discard the batch.
      </Notice>
      <LogCard v-if="!t.shut.value" />
      <PortionCard v-if="!without" />
      <MeterCard v-if="!t.shut.value" />
      <Notice v-if="drifts.length" kind="note">
        <strong>Measure again after 24 hours.</strong> {{ drifts.join(' ') }}
      </Notice>
      <LearnedNote lesson="drift" :of="editor.id" says="pH change in the first week" unit="" :places="2" />
    </div>
  </div>
</template>

<style scoped>
.ph-columns {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(19rem, 21.5rem);
}
.main,
.side {
  display: grid;
  align-content: start;
  gap: 0.75rem;
  padding: 0.875rem 1rem 3rem;
  min-width: 0;
}
.side {
  padding-inline: 0.875rem;
  border-left: 1px solid var(--line);
  background: var(--side);
}
.without {
  padding: 2.5rem 1.5rem;
  max-width: 40rem;
}
.without h3 {
  font-size: var(--text-head-3);
}
@media (max-width: 1000px) {
  .ph-columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
@media (max-width: 620px) {
  .main,
  .side {
    padding-inline: 0.5rem;
  }
}
</style>
