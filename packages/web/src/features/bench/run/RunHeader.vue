<script setup lang="ts">
import { common } from '#words/common'
import { runHeader as texts } from '#words/bench-run'
import { INSTRUMENTS, listWords, type InstrumentKind } from '@omblet/core'
import UpLink from '../../../components/UpLink.vue'
import { PlainButton } from '../../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { notify } from '../../../components/notify'
import MenuButton from '../../../components/MenuButton.vue'
import { useBatch } from '../../../stores/batch'
import { useBatches } from '../../../stores/batches'
import { useInstruments } from '../../../stores/instruments'
import { INSTRUMENT_WORDS } from '../words'
import { useRun } from './run'

const emit = defineEmits<{ rescue: []; note: []; instruments: []; keys: [] }>()
const batch = useBatch()
const batches = useBatches()
const instruments = useInstruments()
const router = useRouter()
const toast = useToast()
const run = useRun()

const chip = computed(() => {
  const { start, totalTarget } = run.state.value
  return `${batch.info!.code} · ${run.grams(totalTarget)}${start.version ? texts.version(start.version) : ''}`
})
const link = computed(() => {
  const linked = INSTRUMENTS.filter((k) => instruments.states[k].from !== 'typed')
  const lost = linked.filter((k) => instruments.states[k].link === 'lost')
  if (linked.length === 0) return { words: texts.instrumentsManualEntry, state: '' }
  if (lost.length > 0) return { words: texts.disconnected(listWords(lost.map(name))), state: 'lost' }
  return {
    words:
      linked.length === INSTRUMENTS.length
        ? texts.instrumentsConnected
        : texts.connected(listWords(linked.map(name))),
    state: 'open',
  }
})
const name = (k: InstrumentKind) => (k === 'ph' ? INSTRUMENT_WORDS[k] : INSTRUMENT_WORDS[k].toLowerCase())

async function remove() {
  const id = batch.info!.id
  batch.close()
  const undo = await batches.remove(id)
  await router.push('/bench')
  if (undo) notify(toast, texts.batchDeleted, { label: common.undo, run: () => void undo() })
}
const items = [
  { label: texts.pause, icon: 'pi pi-pause', command: () => batch.enter({ type: 'pause' }) },
  { label: texts.noteOrPhoto, icon: 'pi pi-pencil', command: () => emit('note') },
  { label: texts.instruments, icon: 'pi pi-gauge', command: () => emit('instruments') },
  {
    label: texts.recordSoFar,
    icon: 'pi pi-list',
    command: () => void router.push(`/bench/${batch.info!.id}/record`),
  },
  { label: common.keys, icon: 'pi pi-question-circle', command: () => emit('keys') },
  { label: texts.deleteBatch, icon: 'pi pi-trash', command: () => void remove() },
]
</script>

<template>
  <header class="bench-head">
    <UpLink to="/bench" :label="common.allBatches" />
    <h1 :title="batch.info!.name">{{ batch.info!.name }}</h1>
    <span class="chip mono">{{ chip }}</span>
    <div class="right">
      <button type="button" class="chip link" :class="link.state" @click="emit('instruments')">
        {{ link.words }}
      </button>
      <PlainButton
        :label="texts.somethingLooksWrong"
        icon="pi pi-question-circle"
        class="wrong"
        @click="emit('rescue')"
      />
      <MenuButton :items="items" :more="common.moreForThisBatch" />
    </div>
  </header>
</template>

<style scoped src="../head.css"></style>
<style scoped>
.right :deep(button:not(.chip)) {
  min-height: 44px;
  min-width: 44px;
}
button.chip {
  min-height: 32px;
}
.link.open {
  color: var(--fine);
  border-color: color-mix(in srgb, var(--fine) 40%, transparent);
}
.link.lost {
  color: var(--stop);
  border-color: color-mix(in srgb, var(--stop) 40%, transparent);
  font-weight: 700;
}
@media (max-width: 860px) {
  .bench-head {
    padding: 0.25rem 0.5rem;
    gap: 0.25rem 0.5rem;
  }
  h1 {
    display: -webkit-box;
    flex: 1 1 0;
    overflow: hidden;
    font-size: var(--text-lead);
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
  }
  .right .wrong {
    margin-left: auto;
  }
  button.chip {
    min-height: 44px;
  }
}
@media (max-width: 520px) {
  .link:not(.open, .lost) {
    display: none;
  }
  .right {
    flex-wrap: nowrap;
  }
  .right .wrong {
    flex: 1;
    margin-left: 0;
    white-space: nowrap;
  }
  .link {
    white-space: normal;
  }
}
</style>
