<script setup lang="ts">
import { common } from '#words/common'
import { instrumentsDialog as texts } from '#words/bench-run'
import { INSTRUMENTS, UNITS, type InstrumentKind } from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { computed, ref } from 'vue'
import Notice from '../../../components/Notice.vue'
import { hasSerial } from '../../../instruments/serial'
import { useInstruments } from '../../../stores/instruments'
import { INSTRUMENT_WORDS } from '../words'
import { useRun } from './run'
import SerialForm from './SerialForm.vue'

const open = defineModel<boolean>('open', { required: true })
const instruments = useInstruments()
const run = useRun()
const error = ref<string | null>(null)
const setting = ref<InstrumentKind | null>(null)
const serial = hasSerial()

const rows = computed(() =>
  INSTRUMENTS.map((kind) => {
    const state = instruments.states[kind]
    const from = { typed: texts.typedByHand, simulated: 'simulated', serial: texts.serialPort2 }[state.from]
    const link =
      state.from === 'typed'
        ? ''
        : { off: '', opening: 'opening', open: 'connected', lost: texts.disconnectedReconnecting }[state.link]
    return {
      kind,
      state,
      words: [from, link].filter(Boolean).join(', '),
      value: state.shown ? `${state.shown.value} ${kind === 'ph' ? '' : UNITS[kind]}` : '–',
    }
  }),
)
async function simulate() {
  error.value = await instruments.simulate(run.state.value.plan.formula, run.resolution.value)
}
async function connect(kind: InstrumentKind) {
  error.value = await instruments.connect(kind, run.resolution.value)
  if (!error.value) setting.value = null
}
</script>

<template>
  <PopUp v-model:visible="open" :header="texts.instruments" width="40rem">
    <div class="all for-hands">
      <p class="muted">
        {{ texts.youCanTypeEveryValue }}
      </p>
      <ul>
        <li v-for="row in rows" :key="row.kind">
          <strong>{{ INSTRUMENT_WORDS[row.kind] }}</strong>
          <span
            >{{ row.words }}<template v-if="row.state.why">. {{ row.state.why }}</template></span
          >
          <span class="mono">{{ row.value }}</span>
          <span class="do">
            <QuietButton
              v-if="row.state.from === 'serial'"
              :label="texts.disconnect"
              size="small"
              @click="instruments.detach(row.kind)"
            />
            <PlainButton
              v-if="serial"
              :label="texts.serialPort"
              :aria-label="texts.serialPortForThe(INSTRUMENT_WORDS[row.kind])"
              :aria-expanded="setting === row.kind"
              size="small"
              @click="setting = setting === row.kind ? null : row.kind"
            />
          </span>
          <SerialForm
            v-if="setting === row.kind"
            :kind="row.kind"
            class="wide"
            @connect="connect(row.kind)"
          />
        </li>
      </ul>
      <Notice v-if="error" kind="check">{{ error }}</Notice>
      <p v-if="!serial" class="muted small">
        {{ texts.thisBrowserHasNoWeb }}
      </p>
      <section class="simulated">
        <h3>{{ texts.simulatedInstruments }}</h3>
        <p class="muted">
          {{ texts.forPracticeASimulatedScale }}
        </p>
        <Button
          v-if="!instruments.simulated"
          :label="texts.setUpSimulatedInstruments"
          icon="pi pi-box"
          @click="simulate"
        />
        <span v-else class="either">
          <PlainButton :label="common.reset" @click="simulate" />
          <PlainButton :label="common.remove" @click="instruments.stopSimulated()" />
        </span>
      </section>
    </div>
  </PopUp>
</template>

<style scoped>
.all,
.simulated {
  display: grid;
  gap: 0.75rem;
}
.simulated {
  justify-items: start;
  padding-top: 0.875rem;
  border-top: 1px solid var(--line);
}
li {
  display: grid;
  grid-template-columns: 7rem minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 0.25rem 0.75rem;
  min-height: 52px;
  border-top: 1px solid var(--line);
}
.wide {
  grid-column: 1 / -1;
}
.either {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
@media (max-width: 520px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 0.375rem 0;
  }
  li > span:nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
