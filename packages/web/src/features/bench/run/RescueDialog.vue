<script setup lang="ts">
import { common } from '#words/common'
import { rescueDialog as texts } from '#words/bench-run'
import TermText from '../../../components/TermText.vue'
import { causeText, discardText, harmlessText, symptomText } from '@omblet/core/words'
import { looksAt, rescue, type Symptom } from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { PopUp } from '../../../components/dialogs'
import { computed, ref, watch } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import Notice from '../../../components/Notice.vue'
import { useBatch } from '../../../stores/batch'
import { useRun } from './run'

const open = defineModel<boolean>('open', { required: true })
const batch = useBatch()
const run = useRun()
const symptom = ref<Symptom | null>(null)
watch(open, (now) => now && (symptom.value = null))
const looks = computed(() => looksAt(run.state.value))
const found = computed(() => {
  if (!symptom.value) return null
  const { causes, harmless } = rescue(symptom.value, run.state.value)
  return {
    causes: causes.map(causeText),
    harmless: harmless && harmlessText(harmless),
    discard: discardText(symptom.value),
  }
})
const label = computed(() => (symptom.value ? symptomText(symptom.value) : ''))
const noted = computed(() =>
  run.state.value.events.some(
    (e) =>
      e.type === 'note' &&
      e.symptom === symptom.value &&
      e.step === run.step.value?.key &&
      !run.state.value.undone.has(e.n),
  ),
)
const note = () =>
  batch.enter({
    type: 'note',
    symptom: symptom.value!,
    text: `${label.value}.${found.value?.causes[0] ? texts.mostLikely(found.value.causes[0].title.toLowerCase()) : ''}`,
  })
</script>

<template>
  <PopUp v-model:visible="open" :header="symptom ? label : texts.whatLooksWrong" width="46rem">
    <div v-if="!symptom" class="stacked">
      <p v-if="looks.now.length === 0">{{ texts.theVesselIsStillEmpty }}</p>
      <ul v-else class="looks">
        <li v-for="(x, i) in looks.now" :key="x.id">
          <button type="button" :autofocus="i === 0" @click="symptom = x.id">{{ symptomText(x.id) }}</button>
        </li>
      </ul>
      <details v-if="looks.later.length">
        <summary>{{ texts.showsOnlyLaterOrAfter(looks.later.length) }}</summary>
        <ul class="looks">
          <li v-for="x in looks.later" :key="x.id">
            <button type="button" @click="symptom = x.id">{{ symptomText(x.id) }}</button>
          </li>
        </ul>
      </details>
    </div>
    <div v-else-if="found" class="stacked">
      <p v-if="found.harmless" class="harmless">
        <FindingMark severity="fine" /><span
          ><strong>{{ texts.likelyHarmless }}</strong> {{ found.harmless }}</span
        >
      </p>
      <p v-if="found.causes.length === 0">
        {{ texts.nothingInThisBatchExplains }}
      </p>
      <h3 class="muted" v-else>
        {{ found.causes.length > 1 ? texts.likelyCausesMostLikelyFirst : texts.likelyCause }}
      </h3>
      <ol class="stacked">
        <li v-for="(c, i) in found.causes" :key="c.title">
          <h4>{{ i + 1 }}. {{ c.title }}</h4>
          <p v-if="c.because" class="because"><TermText :text="c.because" /></p>
          <p>
            <span class="muted">{{ texts.howToCheck }}</span> {{ c.test }}
          </p>
          <ul class="moves">
            <li v-for="m in c.moves" :key="m"><TermText :text="m" /></li>
          </ul>
        </li>
      </ol>
      <Notice kind="check"
        ><strong>{{ texts.whenToDiscard }}</strong> {{ found.discard }}</Notice
      >
      <p class="muted small">
        {{ texts.rankedByThisBatchsWeights }}
      </p>
      <div class="dialog-buttons for-hands">
        <PlainButton :label="texts.otherSymptoms" @click="symptom = null" />
        <PlainButton
          :label="noted ? texts.addedToRecord : texts.addToRecord"
          icon="pi pi-pencil"
          :disabled="noted"
          @click="note"
        />
        <Button :label="common.backToTheBatch" @click="open = false" />
      </div>
    </div>
  </PopUp>
</template>

<style scoped>
.looks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
  gap: 0.5rem;
}
.looks button {
  width: 100%;
  min-height: 52px;
  padding: 0.5rem 0.875rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-l);
  background: var(--paper);
  text-align: left;
  font-size: var(--text-lead);
  cursor: pointer;
}
.looks button:hover {
  background: var(--wash);
}
summary {
  min-height: 44px;
  padding-block: 0.625rem;
  color: var(--muted);
  cursor: pointer;
}
.harmless {
  display: flex;
  gap: 0.5rem;
  padding: 0.75rem;
  border: 1px solid color-mix(in srgb, var(--fine) 40%, transparent);
  border-radius: var(--round-l);
}
h3,
h4 {
  margin: 0;
  color: var(--ink);
  font-size: var(--text-body);
}
.because {
  font-weight: 600;
}
.moves {
  list-style: disc;
  padding-left: 1.25rem;
}
.dialog-buttons {
  flex-wrap: wrap;
}
</style>
