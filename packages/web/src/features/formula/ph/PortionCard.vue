<script setup lang="ts">
import { common } from '#words/common'
import { portionCard as texts } from '#words/formula-ph'
import { doseFaultText } from '@omblet/core/words'
import {
  adjusterKey,
  adjusterName,
  decimalsOf,
  formatNumber,
  parseNumber,
  readingFault,
  sayNumber,
  scalePortion,
  type Portion,
} from '@omblet/core'
import { PlainButton, QuietButton } from '../../../components/buttons'
import { computed, ref } from 'vue'
import { useTools } from '../../../stores/tools'
import { useEditor } from '../../../stores/editor'
import { useTitration } from './titration'

const t = useTitration()
const editor = useEditor()
const bench = useTools()

const portion = computed(() => t.formula.value.portion ?? null)
const open = ref(portion.value !== null)
const DROP = 0.05
const drop = computed(() => bench.tools.dropGrams ?? DROP)

const form = ref({ grams: portion.value ? String(portion.value.grams) : '20', drops: '', ph: '' })
const error = ref<string | null>(null)
const set = (next: Portion | undefined) => editor.apply({ type: 'patch', patch: { portion: next } })

function record() {
  const grams = parseNumber(form.value.grams, { min: 0, max: 1e5, what: texts.thePortion, unit: 'g' })
  const drops = parseNumber(form.value.drops || '0', { min: 0, max: 1e4, what: texts.theDrops })
  const ph = parseNumber(form.value.ph, { min: -100, max: 1e6, what: common.thePh })
  error.value = null
  if ('error' in grams) error.value = grams.error
  else if (!grams.value) error.value = texts.enterTheWeightOfThe
  else if ('error' in drops) error.value = drops.error
  else if ('error' in ph) error.value = ph.error
  else if (ph.value === null) error.value = texts.enterTheMeasuredPh
  else {
    const fault = readingFault(ph.value)
    error.value = fault && doseFaultText(fault)
  }
  if (error.value || !('value' in grams) || !('value' in drops) || !('value' in ph)) return
  if (t.strengthPercent.value === null) {
    error.value = texts.enterTheStrengthOfThe
    return
  }
  const same =
    portion.value &&
    adjusterKey(portion.value.material) === t.adjuster.value &&
    portion.value.strengthPercent === t.strengthPercent.value &&
    portion.value.grams === grams.value
  const before = same ? portion.value.steps : []
  const added = (before.at(-1)?.grams ?? 0) + (drops.value ?? 0) * drop.value
  set({
    grams: grams.value!,
    material: t.adjuster.value,
    strengthPercent: t.strengthPercent.value,
    steps: [...before, { grams: Number(added.toPrecision(8)), ph: ph.value!, method: 'meter-direct' }],
  })
  form.value.drops = ''
  form.value.ph = ''
}
const scaled = computed(() => {
  const p = portion.value
  const last = p?.steps.at(-1)
  if (!p || !last || last.grams === 0) return null
  const { batchGrams } = t.assessment.value.amounts
  return { last, ...scalePortion(last.grams, p.grams, batchGrams, drop.value) }
})
const say = (grams: number) =>
  formatNumber(grams, Math.max(2, decimalsOf(t.assessment.value.amounts.resolutionGrams)))
</script>

<template>
  <section class="card portion" aria-labelledby="portion-title">
    <h3 id="portion-title">
      <button type="button" :aria-expanded="open" @click="open = !open">
        <i class="pi" :class="open ? 'pi-chevron-down' : 'pi-chevron-right'" aria-hidden="true"></i>
        {{ texts.testOnASmallPortion }}
      </button>
    </h3>
    <template v-if="open">
      <p class="muted small">
        {{
          texts.weighAPortionAddDrops(
            adjusterName(t.adjuster.value).toLowerCase(),
            sayNumber(t.strengthPercent.value ?? t.usual.value),
            sayNumber(drop, 4),
            bench.tools.dropGrams ? '' : texts.untilYouWeigh20,
          )
        }}
      </p>
      <ol v-if="portion && portion.steps.length">
        <li v-for="(step, i) in portion.steps" :key="i">
          <span>{{ texts.dropsG(sayNumber(step.grams / drop, 1), sayNumber(step.grams, 3)) }}</span>
          <span class="mono">pH {{ sayNumber(step.ph) }}</span>
        </li>
      </ol>
      <form @submit.prevent="record">
        <label
          ><span class="muted small">{{ texts.portionG }}</span
          ><input v-model="form.grams" class="mono" inputmode="decimal"
        /></label>
        <label
          ><span class="muted small">{{ texts.dropsAdded }}</span
          ><input v-model="form.drops" class="mono" inputmode="numeric" placeholder="0"
        /></label>
        <label
          ><span class="muted small">{{ texts.measuredPh }}</span
          ><input v-model="form.ph" class="mono" inputmode="decimal" placeholder="pH"
        /></label>
        <PlainButton type="submit" :label="common.note" size="small" />
      </form>
      <p v-if="error" class="error-text" role="alert">{{ error }}</p>
      <p v-if="scaled" class="result">
        {{ texts.forPhTheOtherG(sayNumber(scaled.last.ph), sayNumber(scaled.restGrams)) }}
        <strong class="mono">{{ say(scaled.batchGrams) }} g</strong
        ><template v-if="scaled.dropsInBatch !== null && scaled.dropsInBatch < 200">
          {{ texts.aboutDrops(sayNumber(scaled.dropsInBatch, 0)) }}</template
        >{{ texts.theCurveNowIncludesIt }}
      </p>
      <QuietButton
        v-if="portion"
        :label="texts.clearPortion"
        size="small"
        class="clear"
        @click="set(undefined)"
      />
    </template>
  </section>
</template>

<style scoped>
.portion {
  display: grid;
  gap: 0.5rem;
  padding: 0.625rem 0.875rem;
}
h3 button {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 30px;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  font-weight: 700;
  text-align: left;
  cursor: pointer;
}
h3 .pi {
  font-size: var(--text-tiny);
  color: var(--muted);
}
li {
  display: flex;
  justify-content: space-between;
  gap: 0.5rem;
  padding: 0.3rem 0;
  border-top: 1px solid var(--line);
}
form {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  align-items: end;
  gap: 0.375rem;
}
label {
  display: grid;
  gap: 0.125rem;
}
input {
  width: 100%;
  height: 34px;
  padding: 0 0.375rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
  text-align: right;
}
.clear {
  justify-self: start;
  margin-left: -0.5rem;
}
</style>
