<script setup lang="ts">
import { common } from '#words/common'
import { curveCard as texts } from '#words/formula-ph'
import { doseFaultText, inTargetText, methodText } from '@omblet/core/words'
import {
  acidBaseOf,
  adjusterName,
  decimalsOf,
  formatNumber,
  listWords,
  oilyAcids,
  sayNumber,
} from '@omblet/core'
import { PlainButton } from '../../../components/buttons'
import { computed, defineAsyncComponent } from 'vue'
import Notice from '../../../components/Notice.vue'
import TargetFields from './TargetFields.vue'
import { useTitration } from './titration'

const CurveChart = defineAsyncComponent(() => import('./CurveChart.vue'))
const t = useTitration()

const nowWords = computed(() => {
  const n = t.now.value!
  const band = texts.likelyTo(sayNumber(n.low, 1), sayNumber(n.high, 1))
  if (!n.read) return `${n.from === 'prediction' ? 'predicted' : texts.fittedToMeasurements}, ${band}`
  const measured = texts.measured(sayNumber(n.read.ph, 2), methodText(n.read.method))
  if (n.from === 'reading-and-additions') return texts.plusTheAdditionsSince(measured, band)
  return n.read.method === 'meter-10pct' ? texts.undiluted(measured, band) : `${measured}; ${band}`
})
/** A predicted pH that may be anywhere within two units is told in halves. */
const nowFigure = computed(() => {
  const n = t.now.value!
  return formatNumber(n.value, n.high - n.low > 0.6 ? 1 : 2)
})
const resolution = computed(() => t.assessment.value.amounts.resolutionGrams)
const grams = (value: number) => formatNumber(value, decimalsOf(resolution.value))
const dropWords = computed(() => {
  const p = t.plan.value
  if (!p) return null
  const { drops } = p
  const range = texts.toDrops(drops.low, drops.high, drops.calibrated ? '' : texts.of005Ml)
  if (p.how === 'weigh') return drops.count > 30 ? texts.weighItAreTooMany(range) : texts.weighIt
  if (p.how === 'drops') return texts.aboutCountDropsTheScale(range)
  if (p.how === 'dilute') return texts.fewerThanThreeDropsAnd
  return texts.about(range)
})
const fault = computed(() => (t.planned.value && 'fault' in t.planned.value ? t.planned.value : null))
const there = computed(() =>
  t.planned.value && 'there' in t.planned.value ? inTargetText(t.planned.value.there) : null,
)
/** What the computation leaves out in this formula. */
const neglected = computed(() => {
  const a = t.assessment.value
  const oily = a.waterPhase ? oilyAcids(a.waterPhase, a.emulsion) : []
  const names = [...new Set(oily.map((f) => acidBaseOf(f.key)!.inci.toLowerCase()))]
  const solids = a.solubility
    .filter((s) => s.verdict === 'solid')
    .map((s) => acidBaseOf(s.key)?.inci.toLowerCase() ?? s.key)
  return [
    names.length > 0 ? texts.partOfTheDissolvesIn(listWords(names)) : '',
    solids.length > 0 ? texts.undissolvedDoesNotCountUntil(listWords(solids)) : '',
  ]
    .filter(Boolean)
    .join(' ')
})
</script>

<template>
  <section class="card padded" aria-labelledby="curve-title">
    <h3 id="curve-title" class="hidden-text">{{ texts.currentPhAndPhAdjuster }}</h3>
    <div class="figures">
      <div>
        <p class="label muted text-less">{{ common.now }}</p>
        <p class="figure mono" data-testid="now">{{ nowFigure }}</p>
        <p class="muted small">{{ nowWords }}</p>
      </div>
      <div class="aim">
        <p class="label muted text-less">{{ common.target }}</p>
        <TargetFields />
      </div>
      <div>
        <p class="label muted text-less">{{ texts.remainingDose }}</p>
        <template v-if="t.plan.value">
          <p class="figure mono" data-testid="dose">
            {{ grams(t.plan.value.grams) }}<span class="unit"> g</span>
          </p>
          <p class="muted small">
            {{
              texts.likelyToG(grams(t.plan.value.lowGrams), grams(t.plan.value.highGrams), dropWords ?? '')
            }}
          </p>
        </template>
        <template v-else>
          <p class="figure mono">{{ there ? '0' : '–' }}<span v-if="there" class="unit"> g</span></p>
          <p v-if="there" class="muted small">{{ there }}</p>
        </template>
      </div>
    </div>
    <Notice v-if="fault" kind="check" class="fault">
      {{ doseFaultText(fault.fault) }}
      <template v-if="fault.instead" #actions>
        <PlainButton
          :label="
            texts.use(
              adjusterName(fault.instead.adjuster).toLowerCase(),
              sayNumber(fault.instead.strengthPercent),
            )
          "
          size="small"
          @click="t.choose(fault.instead.adjuster, fault.instead.strengthPercent)"
        />
      </template>
    </Notice>
    <CurveChart v-if="t.curve.value && t.curve.value.ph.length > 1" />
    <p v-else-if="t.failed.value" class="muted wait">
      {{ texts.theCurveCouldNotBe }}
    </p>
    <div v-else class="wait" aria-hidden="true"></div>
    <p class="muted small basis">
      {{ texts.waterPhaseAt25C(neglected) }}
    </p>
  </section>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: minmax(9rem, 1fr) auto minmax(11rem, 1.3fr);
  gap: 0.5rem 2rem;
  padding-bottom: 0.5rem;
}
.figure {
  font-size: var(--text-figure);
  line-height: 1.2;
  font-weight: 700;
}
.unit {
  font-size: var(--text-head-1);
}
.aim {
  min-width: 11rem;
}
.fault {
  margin-bottom: 0.5rem;
}
.wait {
  height: 340px;
}
.basis {
  padding-top: 0.25rem;
}
@media (max-width: 620px) {
  .figures {
    grid-template-columns: minmax(0, 1fr) auto;
    column-gap: 1rem;
  }
  .figures > :last-child {
    grid-column: 1 / -1;
  }
}
@media (max-width: 520px) {
  .figures {
    grid-template-columns: minmax(0, 1fr);
    overflow-wrap: anywhere;
  }
  .aim {
    min-width: 0;
  }
}
</style>
