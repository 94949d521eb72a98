<script setup lang="ts">
import { fillPanel as texts } from '#words/bench-weighing'
import { madeGrams, sayNumber } from '@omblet/core'
import { computed } from 'vue'
import { useRun } from './run'

const run = useRun()
const made = computed(() => madeGrams(run.state.value) - run.state.value.sampled)
const wanted = computed(() => run.state.value.start.containers ?? null)
const each = computed(() => (wanted.value ? wanted.value.ml * wanted.value.density : null))
</script>

<template>
  <p class="fill">
    {{ texts.thereAreAbout }} <strong class="mono">{{ run.grams(made) }}</strong><template
      v-if="wanted && each"
      >{{ texts.containersOfMlTakeAbout(wanted.count, sayNumber(wanted.ml), run.grams(each)) }}</template
    >{{ texts.weighTheFilledAmountThe }}
  </p>
</template>

<style scoped>
.fill {
  font-size: var(--text-head-3);
  max-width: 46rem;
}
</style>
