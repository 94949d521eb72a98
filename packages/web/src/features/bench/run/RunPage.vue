<script setup lang="ts">
import { common } from '#words/common'
import { runPage as texts } from '#words/bench-run'
import { sayMinutes } from '@omblet/core'
import { useWakeLock } from '@vueuse/core'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../../components/buttons'
import { computed, defineAsyncComponent, nextTick, provide, ref, shallowReactive, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answerJump, jump } from '../../../browser/steady'
import { download, fileName } from '../../../browser/download'
import NotHere from '../../../components/NotHere.vue'
import Notice from '../../../components/Notice.vue'
import { useOpenBatch } from '../../../composables/open-batch'
import { useInstruments } from '../../../stores/instruments'
import FinishPanel from './FinishPanel.vue'
import { useNow } from './now'
import { makeRun, PEDAL, RUN, type Pedal } from './run'
import RunHeader from './RunHeader.vue'
import SkipDialog from './SkipDialog.vue'
import StepCard from './StepCard.vue'
import StepList from './StepList.vue'
import TimerStrip from './TimerStrip.vue'
import { useRunKeys, type Opened } from './use-run-keys'

const RescueDialog = defineAsyncComponent(() => import('./RescueDialog.vue'))
const NoteDialog = defineAsyncComponent(() => import('./NoteDialog.vue'))
const InstrumentsDialog = defineAsyncComponent(() => import('./InstrumentsDialog.vue'))
const HandsPanel = defineAsyncComponent(() => import('./HandsPanel.vue'))
const KeysDialog = defineAsyncComponent(() => import('./KeysDialog.vue'))

const props = defineProps<{ id: string }>()
const instruments = useInstruments()
const router = useRouter()
const now = useNow()
const run = makeRun(now)
const pedal = shallowReactive<Pedal>({ press: null })
provide(RUN, run)
provide(PEDAL, pedal)

const { batch, phase, refused } = useOpenBatch(() => props.id, {
  opened(id) {
    void instruments.load(run.resolution.value)
    if (batch.state!.finished) void router.replace(`/bench/${id}/record`)
  },
})
/** Finished here or in another tab: what is left is its record. */
watch(
  () => batch.state?.finished,
  (finished, before) => {
    if (finished && before === null && batch.info?.id === props.id)
      void router.replace(`/bench/${props.id}/record`)
  },
)
const here = computed(() => phase.value === 'here' && batch.state !== null && batch.info?.id === props.id)
const over = computed(() => here.value && run.step.value === null)

const dialog = ref<Opened | null>(null)
const opened = ref(new Set<string>())
watch(dialog, (d) => d && opened.value.add(d))
const close = (which: string) => (open: boolean) => {
  if (!open && dialog.value === which) dialog.value = null
}

const stage = ref<HTMLElement>()
/** The new step is read out and keys act on it. */
watch(
  () => run.step.value?.key,
  async (key, before) => {
    if (before === undefined || key === before) return
    await nextTick()
    stage.value?.scrollIntoView({ block: 'start' })
    // Where a keyboard is at hand it goes to the field that comes first, else the new step is read out.
    const fine = window.matchMedia('(pointer: fine)').matches
    const first = fine
      ? stage.value?.querySelector<HTMLElement>('[data-first] input, input[data-first]')
      : null
    ;(first ?? stage.value)?.focus({ preventScroll: true })
  },
)

const done = () => batch.enter({ type: 'step', how: 'done' })
/** The second click of a double click fell on a step that nobody has seen yet. */
const click = (event: MouseEvent) => {
  if (event.detail < 2) done()
}
function back() {
  const { at, plan } = batch.state!
  const to = plan.steps[at - 1]
  if (to) batch.enter({ type: 'step', how: 'go' }, to.key)
}
/**
 * The pedal does the next thing of the step; where there is none left, the step is over. One press after the other: a
 * second press acts on what the first one left.
 */
let presses: Promise<unknown> = Promise.resolve()
function forward() {
  presses = presses.then(async () => {
    if (!here.value || over.value || batch.state!.paused) return
    const more = await pedal.press?.()
    if (!more) done()
    await nextTick()
  })
}
function keepAsFile() {
  const text = batch.asFile()
  if (text) download(fileName(`${batch.info!.code} ${batch.info!.name}`, '.omblet-batch.json'), text)
}

useRunKeys({
  listens: () => here.value && dialog.value === null,
  forward,
  back,
  open: (which) => {
    if (which !== 'skip' || !over.value) dialog.value = which
  },
})
// The screen stays on while something is made.
const { request: stayAwake } = useWakeLock()
stayAwake('screen').catch(() => undefined)
</script>

<template>
  <div v-if="here" class="run" :data-storing="batch.pending.length > 0 || undefined">
    <RunHeader
      @rescue="dialog = 'rescue'"
      @note="dialog = 'note'"
      @instruments="dialog = 'instruments'"
      @keys="dialog = 'keys'"
    />
    <Notice v-if="batch.held" kind="stop" class="told">
      {{ batch.held.why }}
      {{
        batch.unstored.length === 1
          ? texts.theLastEntryIsNot
          : texts.theLastEntriesAreNot(batch.unstored.length)
      }}
      <template #actions>
        <Button v-if="batch.held.gone" :label="texts.restoreBatch" size="small" @click="batch.putBack()" />
        <Button v-else :label="common.tryAgain" size="small" @click="batch.pump()" />
        <PlainButton :label="common.saveAsAFile" size="small" @click="keepAsFile" />
      </template>
    </Notice>
    <Notice v-else-if="batch.told" kind="check" class="told">{{ batch.told }}</Notice>
    <Notice v-if="jump" kind="check" class="told">
      {{ texts.theClockOfThisDevice(sayMinutes(jump.ms / 60_000)) }}
      <template #actions>
        <Button :label="texts.theComputerWasAsleepCount" size="small" @click="answerJump('slept')" />
        <PlainButton :label="texts.theClockChanged" size="small" @click="answerJump('set')" />
      </template>
    </Notice>
    <TimerStrip />
    <div v-if="batch.state!.paused" class="card pause stacked" role="status">
      <h2>{{ texts.paused }}</h2>
      <p v-if="batch.state!.paused.reason">{{ batch.state!.paused.reason }}</p>
      <p class="muted">{{ texts.everythingIsSavedTimersKeep }}</p>
      <Button
        :label="texts.resume"
        icon="pi pi-play"
        size="large"
        autofocus
        @click="batch.enter({ type: 'resume' })"
      />
    </div>
    <div v-else class="table-columns">
      <StepList />
      <div ref="stage" class="stage stacked" tabindex="-1">
        <FinishPanel v-if="over" />
        <StepCard v-else :key="run.step.value!.key" :step="run.step.value!" />
        <HandsPanel v-if="instruments.simulated" />
      </div>
    </div>
    <footer v-if="!batch.state!.paused" class="bar for-hands">
      <PlainButton
        :label="common.back"
        icon="pi pi-arrow-left"
        :disabled="batch.state!.at === 0"
        @click="back"
      />
      <span v-if="batch.pending.length && !batch.held" class="storing muted" role="status">{{
        batch.pending.length === 1 ? texts.savingTheLastEntry : texts.savingEntries(batch.pending.length)
      }}</span>
      <QuietButton v-if="!over" :label="texts.skip" @click="dialog = 'skip'" />
      <Button
        v-if="!over"
        class="done"
        :label="common.done"
        icon="pi pi-check"
        icon-pos="right"
        @click="click"
      />
    </footer>
    <SkipDialog :open="dialog === 'skip'" @update:open="close('skip')($event)" />
    <RescueDialog
      v-if="opened.has('rescue')"
      :open="dialog === 'rescue'"
      @update:open="close('rescue')($event)"
    />
    <NoteDialog v-if="opened.has('note')" :open="dialog === 'note'" @update:open="close('note')($event)" />
    <InstrumentsDialog
      v-if="opened.has('instruments')"
      :open="dialog === 'instruments'"
      @update:open="close('instruments')($event)"
    />
    <KeysDialog v-if="opened.has('keys')" :open="dialog === 'keys'" @update:open="close('keys')($event)" />
  </div>
  <NotHere
    v-else-if="phase === 'missing'"
    :what="common.batch2"
    :why="refused"
    to="/bench"
    :to-label="common.allBatches"
  />
  <p v-else class="opening muted late">{{ texts.openingTheBatch }}</p>
</template>

<style scoped>
.run {
  display: flex;
  flex-direction: column;
  min-height: calc(100dvh - var(--menu-height));
}
.told {
  margin: 0.75rem 1rem 0;
}
.told :deep(button) {
  min-height: 44px;
}
.table-columns {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  align-items: start;
  gap: 1rem;
  flex: 1;
  padding: 0.875rem 1rem 1rem;
}
.stage {
  outline: none;
  max-width: 60rem;
  scroll-margin-top: 72px;
}
.bar {
  position: sticky;
  /* above the menu, which lies at the bottom on a phone */
  bottom: var(--menu-height);
  z-index: 3;
  display: flex;
  gap: 0.5rem;
  padding: 0.625rem 1rem;
  border-top: 1px solid var(--line);
  background: var(--paper);
}
.storing {
  align-self: center;
  animation: late 0.2s 0.3s both;
}
.bar .done {
  margin-left: auto;
}
.pause {
  justify-items: start;
  margin: 0.875rem 1rem;
  padding: 1.5rem;
}
.opening {
  padding: 2rem 1rem;
}
.late {
  animation: late 0.2s 0.3s both;
}
@keyframes late {
  from {
    opacity: 0;
  }
}
@media (max-width: 860px) {
  .stage {
    scroll-margin-top: 8px;
  }
  .table-columns {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    gap: 0.5rem;
    padding: 0.5rem;
  }
  .bar {
    padding: 0.5rem;
  }
}
</style>
