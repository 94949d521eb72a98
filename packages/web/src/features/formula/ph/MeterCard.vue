<script setup lang="ts">
import { meterText } from '@omblet/core/words'
import { sayNumber } from '@omblet/core'
import Button from 'primevue/button'
import { computed, defineAsyncComponent, ref } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import { useTools } from '../../../stores/tools'

const MeterDialog = defineAsyncComponent(() => import('./MeterDialog.vue'))
const bench = useTools()
const open = ref(false)
const used = ref(false)
const findings = computed(() =>
  (bench.meter?.findings ?? []).map(({ severity, said }) => ({ severity, ...meterText(said) })),
)
</script>

<template>
  <section class="card meter stacked closer" aria-labelledby="meter-title">
    <header class="abreast spread">
      <h3 id="meter-title">pH meter</h3>
      <Button
        :label="bench.meter ? 'Calibrate again' : 'Calibrate'"
        text
        size="small"
        @click="((open = true), (used = true))"
      />
    </header>
    <template v-if="bench.meter">
      <p class="state">
        <FindingMark :severity="bench.meter.state" :size="16" />
        <span
          >Slope <strong class="mono">{{ sayNumber(bench.meter.slopePercent, 1) }} %</strong>, offset
          <strong class="mono">{{ sayNumber(bench.meter.offsetMv, 1) }} mV</strong>,
          {{
            bench.meter.ageDays === 0 ? 'calibrated today' : `calibrated ${bench.meter.ageDays} days ago`
          }}.</span
        >
      </p>
      <ul class="stacked closer" v-if="findings.length">
        <li v-for="f in findings" :key="f.message">
          <FindingMark :severity="f.severity" :size="16" />
          <span class="small"
            ><strong>{{ f.severity === 'check' ? 'Check' : 'Note' }}</strong> {{ f.message }} {{ f.why }}
            <span class="muted">{{ f.source }}</span></span
          >
        </li>
      </ul>
      <p v-if="bench.doubt > 1" class="muted small">
        Until then its measurements count as {{ bench.doubt }} times as uncertain.
      </p>
    </template>
    <p v-else class="muted small">
      No calibration recorded. Calibrate with two buffers before each session. Until then, measurements count
      as ± 0.1.
    </p>
    <MeterDialog v-if="used" v-model:open="open" />
  </section>
</template>

<style scoped>
.meter {
  padding: 0.625rem 0.875rem 0.75rem;
}
header {
  gap: 0;
}
.state,
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 0.5rem;
}
.state :deep(svg),
li :deep(svg) {
  margin-top: 0.2rem;
}
</style>
