<script setup lang="ts">
import { common } from '#words/common'
import { phBody as texts } from '#words/formula-ph'
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
      title: texts.thePhOfThisProduct,
      text: texts.inAWOEmulsion,
    }
  if (a.waterPercent < 5)
    return {
      title: texts.noWaterNoPh,
      text: texts.onlyProductsThatContainWater,
    }
  if (!t.model.value)
    return {
      title: texts.thePhCanOnlyBe,
      text: texts.soapFormedInTheProduct,
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
    return texts.noPhSuitsAllNeeds(clash.a.label, formatRange(clash.a), clash.b.label, formatRange(clash.b))
  const [low, high] = blockersOf(t.assessment.value)
  if (!low || !high) return common.noActiveOrPreservativeHere
  if (!fits) return nothingFitsText(nothingFits(t.assessment.value))
  return blockerText(low) === blockerText(high)
    ? texts.allIngredientsAndTheSite(formatRange(fits), blockerText(low))
    : texts.allIngredientsAndTheSite2(formatRange(fits), blockerText(low), blockerText(high))
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
        <strong>{{
          texts.itLooksThinOrSeparated(
            worst.way === 'up' ? texts.passes : texts.isBelow,
            sayNumber(worst.from),
          )
        }}</strong>
        {{
          texts.itAndOnceThePh(
            capitalise(listWords(thinning.map((x) => x.label))),
            thinning.length > 1 ? texts.fail : texts.fails,
            worst.way === 'up' ? texts.below : texts.above,
            thinning.length > 1 ? texts.recover : texts.recovers,
          )
        }}<template v-if="worst.grams">{{
          texts.aboutGOf(
            sayNumber(worst.grams, 1),
            worst.way === 'up' ? texts.sodiumHydroxide10 : texts.citricAcid20,
          )
        }}</template
        >{{ texts.doNotDiscardTheBatch }}
      </Notice>
      <LogCard v-if="!t.shut.value" />
      <PortionCard v-if="!without" />
      <MeterCard v-if="!t.shut.value" />
      <Notice v-if="drifts.length" kind="note">
        <strong>{{ texts.measureAgainAfter24Hours }}</strong> {{ drifts.join(' ') }}
      </Notice>
      <LearnedNote lesson="drift" :of="editor.id" :says="texts.phChangeInTheFirst" unit="" :places="2" />
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
