<script setup lang="ts">
import { bodyReasonsText, bodySpanText, bodyText } from '@omblet/core/words'
import { bodyScale as texts } from '#words/formula-emulsion'
import { listWords, type Body, type ExpectedBody } from '@omblet/core'
import { computed } from 'vue'

/** The body to expect, when it is filled and a day later, on a scale from milk to butter. */
const props = defineProps<{ body: ExpectedBody }>()
const BODY_STEPS: readonly Body[] = ['milk', 'lotion', 'cream', 'rich cream', 'butter']
/** From the lower end of a body's span to the upper, as shares of the scale. */
function stretch(at: ExpectedBody['now']) {
  const step = (b: Body) => BODY_STEPS.indexOf(b)
  const width = 100 / BODY_STEPS.length
  return { left: `${step(at.low) * width}%`, width: `${(step(at.high) - step(at.low) + 1) * width}%` }
}
const days = computed(() => [
  { label: texts.atFilling, at: props.body.now },
  { label: texts.afterADay, at: props.body.tomorrow },
])
const span = (at: ExpectedBody['now']) => bodySpanText(at)
</script>

<template>
  <h4>{{ texts.expectedConsistency }}</h4>
  <div v-for="d in days" :key="d.label" class="day">
    <span class="small">{{ d.label }}</span>
    <span class="small span">{{ span(d.at) }}</span>
    <span class="scale" aria-hidden="true"><i :style="stretch(d.at)"></i></span>
  </div>
  <div class="steps muted" aria-hidden="true">
    <span v-for="b in BODY_STEPS" :key="b">{{ bodyText(b) }}</span>
  </div>
  <p class="muted small">
    {{
      texts.fromVeryRoughlyToMpa(
        listWords(bodyReasonsText(body).slice(0, 3)),
        body.viscosity.low.toLocaleString('en'),
        body.viscosity.high.toLocaleString('en'),
      )
    }}
  </p>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0.125rem 0.75rem;
}
.day .span {
  text-align: right;
}
.day .scale {
  grid-column: 1 / -1;
}
.scale {
  position: relative;
  height: 14px;
  border-radius: var(--round-m);
  background: var(--track);
}
.scale i {
  position: absolute;
  top: 0;
  bottom: 0;
  border-radius: var(--round-m);
  background: var(--band);
}
.steps {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  overflow-wrap: anywhere;
  font-size: var(--text-tiny);
  text-align: center;
}
</style>
