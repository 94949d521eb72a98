<script setup lang="ts">
import { common } from '#words/common'
import { coolPanel as texts } from '#words/bench-run'
import { coolFaultText } from '@omblet/core/words'
import {
  fitCooling,
  formatCelsius,
  massOf,
  sayNumber,
  stirEvery,
  type BenchStep,
  sayMinutes,
  vesselOf,
} from '@omblet/core'
import { format } from 'date-fns'
import { PlainButton } from '../../../components/buttons'
import { computed, defineAsyncComponent, ref } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import NumberField from '../../../components/NumberField.vue'
import LearnedNote from '../../../components/LearnedNote.vue'
import OneOf from '../../../components/OneOf.vue'
import { useBatch } from '../../../stores/batch'
import { useLearned } from '../../../stores/learned'
import { allowAlarm } from './alarm'
import { useRun, useShown } from './run'
import TemperatureForm from './TemperatureForm.vue'

const CoolChart = defineAsyncComponent(() => import('./CoolChart.vue'))
const props = defineProps<{ step: BenchStep }>()
const batch = useBatch()
const run = useRun()
const learned = useLearned()
const shown = useShown('thermometer', run.now)

const limit = computed(() => props.step.celsius ?? 40)
const way = computed(() => (run.state.value.cooling?.way === 'bath' ? 'bath' : 'air'))
const WAYS = [
  { value: 'air', label: texts.inAir },
  { value: 'bath', label: texts.inColdWater },
] as const
const since = computed(() => run.state.value.cooling?.since ?? 0)
const readings = computed(() =>
  run.state.value.temperatures
    .filter((t) => t.minutes >= since.value - 1e-6)
    .map(({ minutes, celsius }) => ({ minutes, celsius })),
)
/** Cooling begins at the hottest of them. */
const falling = computed(() => {
  const top = readings.value.reduce(
    (best, r, i) => (r.celsius >= readings.value[best]!.celsius ? i : best),
    0,
  )
  return readings.value.slice(top)
})
/** This very vessel, where it cooled before, else every one that cooled in this way. */
const lesson = computed(() => learned.nearest('cooling', way.value, vesselOf(run.state.value)))
const fit = computed(() =>
  fitCooling(
    falling.value,
    limit.value,
    Math.max(20, massOf(run.state.value)),
    way.value,
    run.state.value.room,
    learned.of('cooling', lesson.value),
  ),
)
const now = computed(() => shown.value?.value ?? falling.value.at(-1)?.celsius ?? null)
const there = computed(() => now.value !== null && now.value <= limit.value)
const passed = computed(
  () =>
    run.state.value.elapsed.at(run.now.value) - (falling.value.at(-1)?.minutes ?? run.state.value.minutes),
)
const left = computed(() => ('minutes' in fit.value ? Math.max(0, fit.value.minutes - passed.value) : null))
const band = computed(() =>
  'minutes' in fit.value
    ? {
        low: Math.max(0, fit.value.low - passed.value),
        high: Math.max(0, fit.value.high - passed.value),
      }
    : null,
)
const minutesWords = (m: number) => (m < 1.5 ? texts.min(sayNumber(Math.max(0, m), 1)) : sayMinutes(m))
const setting = computed(() => {
  const main = [...run.state.value.plan.a.lines]
    .filter((l) => l.material?.emulsifier && l.material.setting)
    .sort((x, y) => y.percent - x.percent)[0]
  return main?.material?.setting ?? 'medium'
})
const stir = computed(() => stirEvery(setting.value, now.value ?? 60))
const room = ref<number | null>(run.state.value.room)
const setRoom = () =>
  room.value !== null &&
  room.value !== run.state.value.room &&
  batch.enter({ type: 'room', celsius: room.value })
function remind() {
  allowAlarm()
  if (left.value)
    batch.enter({
      type: 'timer',
      id: `${props.step.key} there`,
      title: texts.aboutNow(formatCelsius(limit.value)),
      minutes: Math.max(0.1, left.value),
    })
}
function remindStir() {
  allowAlarm()
  batch.enter({ type: 'timer', id: `${props.step.key} stir`, title: texts.stir, minutes: stir.value })
}
</script>

<template>
  <div class="stacked">
    <div class="figures">
      <div>
        <p class="label">{{ common.now }}</p>
        <p class="figure mono" data-testid="celsius">
          {{ now === null ? '–' : sayNumber(now, 1) }}<span class="unit"> °C</span>
        </p>
      </div>
      <div v-if="there" class="there">
        <FindingMark severity="fine" :size="24" /> {{ texts.belowContinue(formatCelsius(limit)) }}
      </div>
      <template v-else-if="'minutes' in fit && left !== null && band">
        <div>
          <p class="label">{{ texts.belowInAbout(formatCelsius(limit)) }}</p>
          <p class="figure mono left" data-testid="cool-left">{{ minutesWords(left) }}</p>
        </div>
        <p class="come">
          {{
            texts.checkAgainAtLikelyTo(
              format(run.now.value + left * 60_000, 'HH:mm'),
              minutesWords(band.low),
              minutesWords(band.high),
              fit.from === 'estimate'
                ? learned.of('cooling', lesson)
                  ? texts.fromOneMeasurementAndEarlier
                  : texts.aRoughEstimateFromOne
                : '',
              stir,
            )
          }}<template v-if="setting === 'fast'">{{ texts.thisEmulsifierClumpsIfCooled }}</template
          >.
        </p>
      </template>
      <p v-else-if="'fault' in fit" class="come">{{ coolFaultText(fit.fault) }}</p>
    </div>
    <CoolChart v-if="falling.length > 1" :readings="falling" :fit="'at' in fit ? fit : null" :limit="limit" />
    <LearnedNote
      lesson="cooling"
      :of="lesson"
      :says="texts.comparedWithTheCalculatedTime(lesson === way ? common.it : texts.thisVessel)"
      :unit="texts.timesAsLong"
      :places="2"
    />
    <TemperatureForm />
    <div class="ways abreast at-foot wraps for-hands">
      <div class="field">
        <span class="label">{{ texts.cooling }}</span>
        <OneOf
          :model-value="way"
          :options="WAYS"
          :label="texts.coolingMethod"
          @update:model-value="batch.enter({ type: 'cooling', way: $event })"
        />
      </div>
      <NumberField
        v-model="room"
        :label="way === 'bath' ? texts.waterTemperature : texts.room"
        unit="°C"
        :min="0"
        :max="45"
        :placeholder="way === 'bath' ? '12' : '21'"
        :what="texts.theTemperatureAroundIt"
        @focusout="setRoom"
        @keydown.enter="setRoom"
      />
      <PlainButton
        v-if="left !== null && !there"
        :label="texts.setTimer"
        icon="pi pi-stopwatch"
        @click="remind"
      />
      <PlainButton v-if="!there" :label="texts.stirInMin(stir)" icon="pi pi-stopwatch" @click="remindStir" />
    </div>
    <p class="muted small">
      {{ texts.newtonsLawOfCoolingFitted }}
    </p>
  </div>
</template>

<style scoped src="./figures.css"></style>
<style scoped>
.left {
  color: var(--accent-ink);
}
.come {
  flex: 1 1 14rem;
  color: var(--muted);
}
.ways :deep(.field:has(input)) {
  width: 8.5rem;
}
</style>
