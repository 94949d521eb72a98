<script setup lang="ts">
import { profileCard as texts } from '#words/formula-emulsion'
import {
  freezingText,
  guideText,
  fattyReasonText,
  emulsionNoteText,
  freezingWhyText,
  warmthText,
} from '@omblet/core/words'
import TermText from '../../../components/TermText.vue'
import {
  capitalise,
  formatNumber,
  sayNumber,
  type ColdAndWarm,
  type Emulsion,
  type EmulsionProfile,
  type ExpectedBody,
  type FattyBalance,
} from '@omblet/core'
import { computed } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import BodyScale from './BodyScale.vue'
import { RICHNESS_WORDS } from './words'

const props = defineProps<{
  profile: EmulsionProfile
  emulsion: Emulsion
  body: ExpectedBody | null
  weather: ColdAndWarm | null
  fatty: FattyBalance | null
}>()

const spread = computed(() => {
  const { spread: s } = props.profile
  const total = s.fast + s.medium + s.slow + s.unknown
  return (['fast', 'medium', 'slow', 'unknown'] as const)
    .filter((k) => s[k] > 0)
    .map((k) => ({
      key: k,
      percent: s[k],
      share: (100 * s[k]) / total,
      word: texts.spread[k],
    }))
})
const fats = computed(() => {
  const { solidPercent, softPercent } = props.profile
  const total = solidPercent + softPercent
  return [
    { key: 'soft', percent: softPercent, share: (100 * softPercent) / total, word: texts.liquid },
    { key: 'solid', percent: solidPercent, share: (100 * solidPercent) / total, word: texts.solid },
  ].filter((x) => x.percent > 0)
})
const FROST_MARK = { stands: 'fine', doubtful: 'note', splits: 'check' } as const
const SETTING = texts.setting
const FATTY = texts.fatty
const WHITENING = texts.whitening
const guides = computed(() => props.profile.guides.map((g) => ({ ...g, text: guideText(g) })))
</script>

<template>
  <section class="card stacked closer padded" aria-labelledby="profile-title">
    <header class="abreast level wraps spread">
      <h3 id="profile-title">
        {{ emulsion.type === 'oil-in-water' ? texts.oilInWater : texts.waterInOil }},
        {{ RICHNESS_WORDS[emulsion.richness] }}
      </h3>
      <span class="mono">{{ texts.oilPhase(formatNumber(emulsion.oilPhasePercent, 1)) }}</span>
    </header>
    <dl class="figures">
      <div>
        <dd class="mono">{{ formatNumber(emulsion.oilsPercent, 1) }} %</dd>
        <dt class="muted small">{{ texts.oils }}</dt>
      </div>
      <div>
        <dd class="mono">{{ formatNumber(emulsion.emulsifierPercent + emulsion.polymericPercent, 1) }} %</dd>
        <dt class="muted small">{{ texts.emulsifiers }}</dt>
      </div>
      <div>
        <dd class="mono">{{ formatNumber(emulsion.fattyAlcoholPercent, 1) }} %</dd>
        <dt class="muted small">{{ texts.fattyAlcohols }}</dt>
      </div>
    </dl>
    <template v-if="spread.length">
      <h4>{{ texts.howTheOilsSpread }}</h4>
      <div class="bar" aria-hidden="true">
        <span v-for="x in spread" :key="x.key" :class="x.key" :style="{ width: `${x.share}%` }"></span>
      </div>
      <p class="keys small">
        <span v-for="x in spread" :key="x.key"
          ><i :class="x.key"></i> {{ x.word }}
          <span class="mono">{{ formatNumber(x.percent, 1) }} %</span></span
        >
      </p>
      <h4>{{ texts.solidAndLiquidFats }}</h4>
      <div class="bar" aria-hidden="true">
        <span v-for="x in fats" :key="x.key" :class="x.key" :style="{ width: `${x.share}%` }"></span>
      </div>
      <p class="keys small">
        <span v-for="x in fats" :key="x.key"
          ><i :class="x.key"></i> {{ x.word }}
          <span class="mono">{{ formatNumber(x.percent, 1) }} %</span></span
        >
        <span v-if="profile.softensAtC !== null" class="muted">{{
          texts.meltingFromC(profile.softensAtC)
        }}</span>
      </p>
    </template>
    <BodyScale v-if="body" :body="body" />
    <h4>{{ texts.amountOfEmulsifierApplicable }}</h4>
    <ul class="guides">
      <li v-for="g in guides" :key="g.said.code">
        <FindingMark :severity="g.met === null ? 'note' : g.met ? 'fine' : 'check'" :size="16" />
        <span
          ><strong><TermText :text="g.text.name" /></strong>
          <span class="muted small holds">{{
            g.applies ? (g.met === false ? texts.appliesOutsideItsRange : texts.applies) : texts.doesNotApply
          }}</span><br /><span class="small">{{ capitalise(g.text.says) }}</span></span
        >
      </li>
      <li v-if="fatty">
        <FindingMark :severity="fatty.verdict === 'fits' ? 'fine' : 'check'" :size="16" />
        <span
          ><strong><TermText :text="texts.fattyAlcohol" /></strong>
          <span class="muted small holds">{{ FATTY[fatty.verdict] }}</span><br /><span class="small">{{
            texts.partsPerPartOfEmulsifier(
              sayNumber(fatty.ratio, 2),
              sayNumber(fatty.min, 2),
              sayNumber(fatty.max, 2),
              fattyReasonText(fatty),
            )
          }}</span></span
        >
      </li>
    </ul>
    <template v-if="profile.pairs.length">
      <h4>{{ texts.pairsThatMeetAnHlb(sayNumber(emulsion.requiredHlb ?? 0, 1)) }}</h4>
      <table>
        <tbody>
          <tr v-for="pair in profile.pairs" :key="pair.high.id">
            <th scope="row">{{ capitalise(pair.high.name) }}</th>
            <td class="mono">{{ formatNumber(pair.highPercent, 2) }} %</td>
            <td class="with">{{ texts.withWord(pair.low.name) }}</td>
            <td class="mono">{{ formatNumber(pair.lowPercent, 2) }} %</td>
          </tr>
        </tbody>
      </table>
      <p class="muted small">
        {{ texts.weightedMeanGriffinHandbook }}
      </p>
    </template>
    <h4>{{ texts.whatToExpect }}</h4>
    <ul class="notes stacked closer">
      <li v-if="profile.setting">{{ texts.setsWhileItCools(SETTING[profile.setting]) }}</li>
      <li v-if="profile.whitening !== null">
        {{ texts.whiteningOnRubInFrom(WHITENING[profile.whitening] ?? '') }}
      </li>
      <li v-for="n in profile.notes" :key="n">{{ emulsionNoteText(n) }}</li>
      <li v-if="weather">{{ warmthText(weather) }}</li>
    </ul>
    <p v-if="weather" class="small fatty">
      <FindingMark :severity="FROST_MARK[weather.freezing.verdict]" :size="16" />
      <span
        ><strong>{{ capitalise(freezingText(weather.freezing.verdict)) }}</strong
        ><br />{{ freezingWhyText(weather) }}</span
      >
    </p>
    <p class="muted small">{{ texts.rulesOfThumbFromCommon }}</p>
  </section>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.5rem;
  margin: 0.25rem 0 0;
  overflow-wrap: anywhere;
}
dd {
  margin: 0;
  font-size: var(--text-head-2);
  font-weight: 700;
}
.figures div {
  display: flex;
  flex-direction: column;
}
.bar {
  display: flex;
  height: 14px;
  border-radius: var(--round-m);
  overflow: hidden;
  background: var(--track);
}
.bar span + span {
  border-left: 2px solid var(--paper);
}
.fast {
  background: var(--cobalt-200);
}
.medium {
  background: var(--cobalt-400);
}
.slow {
  background: var(--cobalt-700);
}
.unknown {
  background: var(--other);
}
.soft {
  background: var(--oil);
}
.solid {
  background: var(--oil-deep);
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
}
.keys span {
  display: inline-flex;
  align-items: center;
  gap: 0.375rem;
}
.keys i {
  width: 12px;
  height: 12px;
  border-radius: var(--round-s);
}
.guides li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 0.75rem;
  padding: 0.375rem 0;
  border-top: 1px solid var(--line);
}
.holds {
  margin-left: 0.5rem;
}
.guides :deep(svg) {
  margin-top: 0.2rem;
}
.fatty {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 0.75rem;
  padding-top: 0.375rem;
}
.fatty :deep(svg) {
  margin-top: 0.15rem;
}
td.mono {
  text-align: right;
  white-space: nowrap;
}
.with {
  padding-left: 0.75rem;
}
.notes {
  padding-left: 1.1rem;
  list-style: disc;
}
</style>
