<script setup lang="ts">
import { common } from '#words/common'
import { proposalCard as texts } from '#words/start'
import { missText, partText, pickText, proposalTitle, findingText } from '@omblet/core/words'
import {
  capitalise,
  formatNumber,
  formatRange,
  listWords,
  sayNumber,
  type Proposal,
  findingKey,
} from '@omblet/core'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import Counts from '../../components/Counts.vue'
import FindingMark from '../../components/FindingMark.vue'
import Jar from '../../components/Jar.vue'
import { useMaterials } from '../../stores/materials'

const props = defineProps<{
  proposal: Proposal
  counts: { stop: number; check: number; note: number }
  busy: boolean
}>()
defineEmits<{ start: [] }>()
const materials = useMaterials()

const assessment = computed(() => materials.derive(props.proposal.formula).assessment)
const water = computed(() => assessment.value.lines.find((l) => l.fill)?.percent ?? 0)
const layers = computed(() =>
  assessment.value.phases.map(({ role, letter, percent }) => ({ role, letter, percent })),
)
const open = ref(false)
const lead = computed(() =>
  [
    assessment.value.emulsion
      ? texts.oilPhase(sayNumber(assessment.value.emulsion.oilPhasePercent, 1))
      : texts.noOilPhase,
    props.proposal.formula.targetPh ? `pH ${formatRange(props.proposal.formula.targetPh)}` : '',
    texts.ingredients(assessment.value.lines.length),
  ].filter(Boolean),
)
const others = (names: readonly { name: string }[]) =>
  listWords(
    names.map((m) => m.name),
    'or',
  )
</script>

<template>
  <article class="card proposal">
    <Jar :layers="layers" class="jar" />
    <div class="body stacked closer">
      <header>
        <h3>{{ proposalTitle(proposal) }}</h3>
        <Counts :counts="counts" />
      </header>
      <p class="muted small">{{ lead.join(' · ') }}</p>
      <table>
        <tbody>
          <tr v-for="c in proposal.choices" :key="c.part + c.material.id">
            <td class="muted small part">{{ partText(c.part) }}</td>
            <th scope="row">
              {{ capitalise(c.material.name) }}
              <span class="small muted why block">{{ capitalise(pickText(c.why)) }}</span>
              <span v-if="open && c.alternatives.length" class="small why block">{{
                texts.or(others(c.alternatives))
              }}</span>
            </th>
            <td class="mono figure">{{ formatNumber(c.percent, 2, 3) }} %</td>
          </tr>
          <tr>
            <td class="muted small part">{{ texts.rest }}</td>
            <th scope="row">
              {{ texts.distilledWater }} <span class="small muted why block">{{ common.qSTo100 }}</span>
            </th>
            <td class="mono figure">{{ formatNumber(water, 2) }} %</td>
          </tr>
        </tbody>
      </table>
      <ul v-if="proposal.misses.length" class="small misses">
        <li v-for="(m, i) in proposal.misses" :key="i">
          <FindingMark severity="check" :size="14" /><span>{{ missText(m) }}</span>
        </li>
      </ul>
      <ul v-if="open && proposal.findings.length" class="small misses">
        <li v-for="f in proposal.findings" :key="findingKey(f)">
          <FindingMark :severity="f.severity" :size="14" /><span>{{ findingText(f).message }}</span>
        </li>
      </ul>
      <footer>
        <Button
          :label="open ? texts.hideAlternatives : texts.showAlternatives"
          text
          size="small"
          :aria-expanded="open"
          @click="open = !open"
        />
        <Button :label="texts.useThisProposal" size="small" :loading="busy" @click="$emit('start')" />
      </footer>
    </div>
  </article>
</template>

<style scoped>
.proposal {
  display: grid;
  grid-template-columns: 72px minmax(0, 1fr);
  gap: 1rem;
  padding: 0.875rem 1rem;
}
.jar {
  align-self: start;
  height: 16rem;
}
.body {
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0.25rem 0.75rem;
}
.part {
  width: 5.5rem;
}
.figure {
  width: 5rem;
  text-align: right;
  white-space: nowrap;
}
.misses {
  display: grid;
  gap: 0.25rem;
}
.misses li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  align-items: baseline;
  gap: 0.5rem;
}
footer {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 0.5rem;
}
@media (max-width: 860px) {
  .proposal {
    grid-template-columns: minmax(0, 1fr);
  }
  .jar {
    display: none;
  }
  .part {
    display: none;
  }
}
</style>
