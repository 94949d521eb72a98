<script setup lang="ts">
import { common } from '#words/common'
import { overPour as texts } from '#words/bench-weighing'
import { findingText, pourText, percentChangeText, pourHappenings } from '@omblet/core/words'
import { decimalsOf, formatNumber, pourRemedies, type PourRemedy, findingKey } from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../../components/buttons'
import { computed, ref } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import NumberField from '../../../components/NumberField.vue'
import { useBatch } from '../../../stores/batch'
import { useMaterials } from '../../../stores/materials'
import { useRun, useShown } from './run'

/** What can be done about too much of a line, each reckoned through. */
const props = defineProps<{ line: number }>()
const batch = useBatch()
const materials = useMaterials()
const run = useRun()
const shown = useShown('scale', run.now)

const state = computed(() => run.state.value.lines[props.line]!)
const remedies = computed(() => pourRemedies(run.state.value, props.line, materials.catalogue))
const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))
const surplus = computed(() => state.value.weighed - state.value.target)
const taking = ref(false)
const out = ref<number | null>(null)
const fallen = computed(() => {
  if (!shown.value?.steady) return null
  const gone = run.state.value.zero - shown.value.value
  return gone > run.resolution.value / 2 ? Number(gone.toFixed(6)) : null
})

function take(remedy: PourRemedy) {
  if (remedy.id === 'take-out' && !taking.value) {
    taking.value = true
    return
  }
  for (const h of pourHappenings(remedy)) if (!batch.enter(h)) return
}
function takeOut() {
  const grams = out.value ?? fallen.value ?? Number(surplus.value.toFixed(6))
  const from = out.value === null && fallen.value !== null ? { gross: shown.value!.value } : {}
  if (batch.enter({ type: 'take-out', line: props.line, grams, ...from })) taking.value = false
}
</script>

<template>
  <section class="over stacked" aria-labelledby="over-title">
    <h3 class="abreast" id="over-title">
      <FindingMark severity="stop" /> {{ texts.gTooMuch(say(surplus), run.label(line)) }}
    </h3>
    <p>{{ texts.gWeighedGPlannedNothing(say(state.weighed), say(state.target)) }}</p>
    <form v-if="taking" class="abreast at-foot wraps for-hands" @submit.prevent="takeOut">
      <NumberField
        v-model="out"
        :label="texts.removed"
        unit="g"
        :placeholder="say(fallen ?? surplus)"
        :what="common.theAmount"
      />
      <Button type="submit" :label="texts.removedG(say(out ?? fallen ?? surplus))" />
      <QuietButton :label="texts.otherOptions" @click="taking = false" />
    </form>
    <ol class="stacked closer" v-else>
      <li v-for="(r, i) in remedies" :key="r.id" class="remedy abreast spread">
        <div class="text">
          <h4>{{ pourText(r).title }}</h4>
          <p>{{ pourText(r).detail }}</p>
          <p class="muted small">
            <template v-if="r.id !== 'discard'">{{
              texts.batchG(
                run.label(line),
                percentChangeText(r.percent, run.state.value.plan.a.lines[line]!.percent),
                say(r.totalGrams),
              )
            }}</template>
            <template v-if="r.topUps.length">
              {{
                texts.topUp(r.topUps.map((t) => `${run.label(t.line)} ${say(t.grams)} g`).join(', '))
              }}</template
            >
          </p>
          <ul v-if="r.findings.length" class="brings">
            <li v-for="f in r.findings.slice(0, 3)" :key="findingKey(f)">
              <FindingMark :severity="f.severity" :size="16" /><span
                ><span class="hidden-text">{{ f.severity }}: </span>{{ findingText(f).message }}</span
              >
            </li>
          </ul>
        </div>
        <Button
          :label="r.id === 'take-out' ? common.remove : texts.choose"
          :aria-label="`${r.id === 'take-out' ? common.remove : texts.choose}: ${pourText(r).title}`"
          :severity="i === 0 ? undefined : 'secondary'"
          :outlined="i !== 0"
          @click="take(r)"
        />
      </li>
    </ol>
  </section>
</template>

<style scoped>
h3 {
  font-size: var(--text-head-1);
  color: var(--stop);
}
h4 {
  margin: 0;
  color: var(--ink);
  font-size: var(--text-lead);
}
.remedy {
  gap: 1rem;
  padding: 0.75rem 0.875rem;
  border: 1px solid var(--line);
  border-radius: var(--round-l);
}
.remedy:first-child {
  border-color: var(--accent);
}
.text {
  display: grid;
  gap: 0.125rem;
  min-width: 0;
}
.remedy :deep(button) {
  flex: none;
  min-height: 48px;
}
.brings li {
  display: flex;
  gap: 0.375rem;
  padding-top: 0.25rem;
}
.brings :deep(svg) {
  margin-top: 3px;
}
@media (max-width: 520px) {
  .remedy {
    flex-direction: column;
    align-items: stretch;
    gap: 0.5rem;
  }
}
</style>
