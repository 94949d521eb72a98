<script setup lang="ts">
import { common } from '#words/common'
import { weighedTable as texts } from '#words/bench-record'
import { weighedText } from '@omblet/core/words'
import {
  adjusterAsWeighed,
  capitalise,
  formatGrams,
  formatPercent,
  madeGrams,
  recordRows,
  type BatchState,
} from '@omblet/core'
import { computed } from 'vue'

/** What was wanted of each material, what was weighed of which lots, and what it is in the batch. */
const props = defineProps<{ state: BatchState; lots: Record<string, string> }>()
const s = computed(() => props.state)
const grams = (g: number) => formatGrams(g, s.value.plan.a.amounts.resolutionGrams)
const made = computed(() => madeGrams(s.value))
const rows = computed(() => recordRows(s.value))
const doses = computed(() => s.value.doses.filter((x) => x.line === null))
const lotNames = (ids: readonly string[]) => ids.map((id) => props.lots[id] ?? texts.deletedLot).join(', ')
</script>

<template>
  <div class="scroll">
    <table>
      <thead>
        <tr>
          <th scope="col"></th>
          <th scope="col">{{ common.ingredient }}</th>
          <th scope="col" class="num target">{{ common.target }}</th>
          <th scope="col" class="num">{{ texts.weighed }}</th>
          <th scope="col" class="num">{{ texts.asMade }}</th>
          <th scope="col" class="num designed">{{ common.formula }}</th>
          <th scope="col" class="lot">{{ texts.lot }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in rows" :key="i">
          <td>
            <span class="phase-badge" :data-role="r.role">{{ r.letter }}</span>
          </td>
          <td>
            {{ capitalise(r.label)
            }}<span v-if="r.state" class="state small">{{ weighedText(r.state) }}</span>
            <span v-if="r.water" class="muted small block">{{
              r.water < 0 ? texts.lessWaterLoss(grams(-r.water)) : texts.andAddedBack(grams(r.water))
            }}</span>
          </td>
          <td class="mono num target">{{ grams(r.target) }}</td>
          <td class="mono num">{{ r.weighed > 0 ? grams(r.weighed) : '–' }}</td>
          <td class="mono num">
            {{ r.weighed > 0 ? formatPercent(Number(r.percent.toFixed(2))) : '–' }}
          </td>
          <td class="mono num muted designed">{{ formatPercent(Number(r.designed.toFixed(2))) }}</td>
          <td class="lot small">{{ lotNames(r.lots) || '–' }}</td>
        </tr>
        <tr v-for="x in doses" :key="x.n">
          <td><span class="phase-badge" data-role="adjust">pH</span></td>
          <td>{{ capitalise(adjusterAsWeighed(x, s.plan.a.catalogue)) }}</td>
          <td class="mono num target">–</td>
          <td class="mono num">{{ grams(x.grams) }}</td>
          <td class="mono num">{{ formatPercent(Number(((100 * x.grams) / made).toFixed(2))) }}</td>
          <td class="mono num muted designed">–</td>
          <td class="lot small">–</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td></td>
          <td>{{ common.batch }}</td>
          <td class="mono num target">{{ grams(s.totalTarget) }}</td>
          <td class="mono num" data-testid="made">{{ grams(made) }}</td>
          <td class="mono num">{{ made > 0 ? formatPercent(100) : '–' }}</td>
          <td class="designed"></td>
          <td class="lot"></td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
tfoot td {
  border-top: 2px solid var(--line-strong);
}
.phase-badge {
  background: var(--phase);
}
.state {
  margin-left: 0.5rem;
  padding: 0 0.5rem;
  border-radius: 999px;
  background: var(--check-wash);
  color: var(--check);
}
@media (max-width: 620px) {
  .designed,
  .lot,
  .target {
    display: none;
  }
  td,
  th {
    padding-inline: 0.25rem;
  }
}
@media print {
  .phase-badge {
    min-width: 14pt;
    height: 14pt;
    font-size: 8pt;
    print-color-adjust: exact;
  }
  td {
    padding-block: 2pt;
  }
}
</style>
