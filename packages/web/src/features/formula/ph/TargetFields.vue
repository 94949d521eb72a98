<script setup lang="ts">
import { targetFields as texts } from '#words/formula-ph'
import { formatRange } from '@omblet/core'
import Button from 'primevue/button'
import Slider from 'primevue/slider'
import { computed } from 'vue'
import { useEditor } from '../../../stores/editor'
import { useTargetFields } from '../target'
import TargetInputs from '../TargetInputs.vue'
import { useTitration } from './titration'

const editor = useEditor()
const t = useTitration()
const own = computed(() => t.formula.value.targetPh ?? null)
const fields = useTargetFields(() => t.target.value)
const { error, choose } = fields
/** Moves the target as a whole; its width stays. */
const middle = computed({
  get: () => (t.target.value ? (t.target.value.min + t.target.value.max) / 2 : 5),
  set: (value: number) => {
    const half = t.target.value ? (t.target.value.max - t.target.value.min) / 2 : 0.1
    choose({ min: Number((value - half).toFixed(2)), max: Number((value + half).toFixed(2)) })
  },
})
</script>

<template>
  <div class="target">
    <div class="fields abreast">
      <TargetInputs :of="fields" :target="t.target.value" />
    </div>
    <Slider
      v-model="middle"
      :min="2.5"
      :max="9"
      :step="0.05"
      :aria-label="texts.centreOfTheTarget"
      class="slider"
      @slideend="editor.settle()"
    />
    <p v-if="error" class="error-text abreast wraps" role="alert">{{ error }}</p>
    <p v-else-if="!own && t.target.value" class="muted small abreast wraps">
      {{ texts.commonRange }}
      <Button :label="texts.saveTarget" size="small" text @click="choose({ ...t.target.value })" />
    </p>
    <p v-else-if="!own" class="muted small abreast wraps">{{ texts.enterTheTargetPh }}</p>
    <p
      v-else-if="
        t.assessment.value.ph.fits &&
        (own.max < t.assessment.value.ph.fits.min || own.min > t.assessment.value.ph.fits.max)
      "
      class="error-text abreast wraps"
    >
      {{ texts.allIngredientsAndTheSite(formatRange(t.assessment.value.ph.fits)) }}
    </p>
  </div>
</template>

<style scoped>
.fields {
  gap: 0.25rem;
}
.fields :deep(input) {
  width: 4.1rem;
  height: 2.75rem;
  padding: 0 0.25rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-m);
  background: var(--field);
  color: var(--accent-ink);
  font-size: var(--text-head-1);
  font-weight: 700;
  text-align: center;
}
.slider {
  margin: 0.75rem 0.5rem 0.5rem;
}
p {
  gap: 0;
}
</style>
