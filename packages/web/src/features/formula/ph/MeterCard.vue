<script setup lang="ts">
import { common } from '#words/common'
import { meterCard as texts } from '#words/formula-ph'
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
      <h3 id="meter-title">{{ texts.phMeter }}</h3>
      <Button
        :label="bench.meter ? texts.calibrateAgain : texts.calibrate"
        text
        size="small"
        @click="((open = true), (used = true))"
      />
    </header>
    <template v-if="bench.meter">
      <p class="state">
        <FindingMark :severity="bench.meter.state" :size="16" />
        <span
          >{{ texts.slope }} <strong class="mono">{{ sayNumber(bench.meter.slopePercent, 1) }} %</strong
          >{{ texts.offset }} <strong class="mono">{{ sayNumber(bench.meter.offsetMv, 1) }} mV</strong>,
          {{
            bench.meter.ageDays === 0 ? texts.calibratedToday : texts.calibratedDaysAgo(bench.meter.ageDays)
          }}.</span
        >
      </p>
      <ul class="stacked closer" v-if="findings.length">
        <li v-for="f in findings" :key="f.message">
          <FindingMark :severity="f.severity" :size="16" />
          <span class="small"
            ><strong>{{ f.severity === 'check' ? texts.check : common.note }}</strong> {{ f.message }}
            {{ f.why }} <span class="muted">{{ f.source }}</span></span
          >
        </li>
      </ul>
      <p v-if="bench.doubt > 1" class="muted small">
        {{ texts.untilThenItsMeasurementsCount(bench.doubt) }}
      </p>
    </template>
    <p v-else class="muted small">
      {{ texts.noCalibrationRecordedCalibrate }}
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
