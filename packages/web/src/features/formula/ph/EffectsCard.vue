<script setup lang="ts">
import { common } from '#words/common'
import { effectsCard as texts } from '#words/formula-ph'
import { phEffectKind, phEffectText, doseEffectText } from '@omblet/core/words'
import { formatNumber, phEffects, sayNumber, type DoseEffect } from '@omblet/core'
import { computed, ref } from 'vue'
import TitledCard from '../../../components/TitledCard.vue'
import FindingMark from '../../../components/FindingMark.vue'
import OneOf from '../../../components/OneOf.vue'
import { useTitration } from './titration'

defineProps<{ blockers: string }>()
const t = useTitration()

const which = ref<'target' | 'now'>('target')
const at = computed(() =>
  which.value === 'now' || !t.target.value
    ? t.now.value!.value
    : (t.target.value.min + t.target.value.max) / 2,
)
const choices = computed(() => [
  ...(t.target.value
    ? [
        {
          label: texts.atTheTarget(sayNumber((t.target.value.min + t.target.value.max) / 2, 2)),
          value: 'target' as const,
        },
      ]
    : []),
  { label: texts.current(sayNumber(t.now.value!.value, 1)), value: 'now' as const },
])
const rows = computed(() => phEffects(t.assessment.value, at.value))
const part = (percent: number) => sayNumber(percent, percent < 0.1 ? 3 : 2)
const WORD = texts.states
const figure = (e: DoseEffect, value: number) =>
  e.unit === 'mol/kg' ? sayNumber(value, 3) : formatNumber(value, 2)
</script>

<template>
  <TitledCard :title="texts.effectsOfPh" class="closer">
    <template #beside><OneOf v-model="which" :options="choices" size="small" label="pH" /></template>

    <p class="small muted">{{ blockers }}</p>
    <ul v-if="rows.length">
      <li v-for="row in rows" :key="row.id">
        <FindingMark :severity="row.state" :size="16" /><span class="hidden-text">{{ WORD[row.state] }}</span>
        <strong class="name breaks">{{ row.label }}</strong>
        <template v-if="row.percent !== null && row.of !== null">
          <span class="muted small what">{{ phEffectKind(row) }}</span>
          <span class="mono figures">{{ texts.of(part(row.percent), part(row.of)) }}</span>
          <span class="bar" aria-hidden="true"
            ><i :style="{ width: `${(100 * row.percent) / row.of}%` }"></i
          ></span>
          <span class="text small">{{ phEffectText(row) }}</span>
        </template>
        <span v-else class="text small wide">{{ phEffectText(row) }}</span>
      </li>
    </ul>
    <p v-else class="muted">{{ common.noActiveOrPreservativeHere }}</p>
    <p v-if="rows.some((r) => r.percent !== null)" class="muted small">
      {{ texts.calculatedAsAcidIncludingIts }}
    </p>
    <template v-if="t.effects.value.length">
      <h3>{{ texts.effectsOfTheDose }}</h3>
      <table>
        <thead>
          <tr class="muted small">
            <th scope="col">{{ texts.what }}</th>
            <th scope="col" class="num">{{ texts.now }}</th>
            <th scope="col" class="num">{{ texts.after }}</th>
            <th scope="col">
              <span class="hidden-text">{{ texts.unit }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="e in t.effects.value" :key="doseEffectText(e)">
            <th scope="row">{{ doseEffectText(e) }}</th>
            <td class="mono num">{{ figure(e, e.before) }}</td>
            <td class="mono num">{{ figure(e, e.after) }}</td>
            <td class="muted small">{{ e.unit }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </TitledCard>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 16px minmax(7rem, 11rem) 5.5rem 9.5rem minmax(4rem, 1fr);
  align-items: center;
  gap: 0.125rem 0.75rem;
  padding: 0.5rem 0;
  border-top: 1px solid var(--line);
}
.figures {
  font-size: var(--text-note);
  white-space: nowrap;
}
.bar {
  height: 9px;
  border-radius: var(--round-s);
  background: var(--track);
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--cobalt-400);
}
.text {
  grid-column: 2 / -1;
}
.text.wide {
  grid-column: 3 / -1;
}
.name,
.text.wide {
  line-height: 1.25;
}
.num {
  width: 5.5rem;
}
td:last-child {
  width: 4rem;
}
@media (max-width: 620px) {
  li {
    grid-template-columns: 16px minmax(0, 1fr) auto;
  }
  .what {
    display: none;
  }
  .bar {
    grid-column: 2 / -1;
  }
  .text.wide {
    grid-column: 2 / -1;
  }
}
</style>
