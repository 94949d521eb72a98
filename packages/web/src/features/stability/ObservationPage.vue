<script setup lang="ts">
import { common } from '#words/common'
import { observationPage as texts } from '#words/stability'
import { batchVerdictText, sayAge } from '@omblet/core/words'
import { choicesOf, PROPERTIES, sayNumber, WATCH, waysOf, type Answer } from '@omblet/core'
import { differenceInMinutes } from 'date-fns'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../components/buttons'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import FindingMark from '../../components/FindingMark.vue'
import TextField from '../../components/TextField.vue'
import NotHere from '../../components/NotHere.vue'
import Notice from '../../components/Notice.vue'
import PhotoField from '../../components/PhotoField.vue'
import { useSettled } from '../../composables/settled'
import { useStability } from '../../stores/stability'
import ColourReader from './ColourReader.vue'
import ObservationHead from './ObservationHead.vue'
import NumberAnswer from './NumberAnswer.vue'
import { useLife } from './use-life'
import { useQuestions, type Wanted } from './use-questions'
import { usePhoto } from './use-photo'
import { MARK, sayLook } from './words'

/** Looking: one question a screen, large, with what was seen last beside it. Without a batch: all that is due. */
const props = defineProps<{ id?: string }>()
const keeping = useStability()
const route = useRoute()
const router = useRouter()
onMounted(() => void keeping.load())

/** Batches whose looks are due when the page is opened, in order; one alone where it is named. */
const queue = ref<string[]>(props.id ? [props.id] : [])
const place = ref(0)
watch(
  () => keeping.due,
  (due) => {
    if (!props.id && queue.value.length === 0) queue.value = [...new Set(due.map((d) => d.head.id))]
  },
  { immediate: true },
)
const current = computed(() => queue.value[place.value] ?? '')
const life = useLife(() => current.value)
const number = (key: string) => {
  const text = route.query[key]
  return typeof text === 'string' && /^\d+$/.test(text) ? Number(text) : undefined
}
const wanted = computed<Wanted>(() => ({
  sample: typeof route.query['sample'] === 'string' ? route.query['sample'] : undefined,
  day: number('day'),
  corrects: number('corrects'),
  property: PROPERTIES.find((p) => p === route.query['property']),
}))
const asked = useQuestions(life, () => wanted.value)
const { question } = asked
const facts = computed(() => (question.value ? WATCH.properties[question.value.property] : null))
const choices = computed(() => (question.value ? choicesOf(question.value.property) : []))
const ways = computed(() =>
  question.value ? waysOf(question.value.property).filter((w) => w !== 'photo') : [],
)
const note = ref('')
const colour = ref(false)
const { photo, photoError, taking, takePhoto } = usePhoto(
  () => life.batch.info!.id,
  () => question.value,
)
const settled = useSettled(() => question.value)
const field = useTemplateRef<InstanceType<typeof NumberAnswer>>('field')
const title = useTemplateRef<HTMLElement>('title')

watch(
  question,
  async (q) => {
    note.value = ''
    photo.value = null
    photoError.value = null
    colour.value = false
    if (!q) return
    await nextTick()
    if (field.value && choices.value.length === 0 && window.matchMedia('(pointer: fine)').matches)
      field.value.focus()
    else title.value?.focus()
  },
  { immediate: true },
)
const says = () => ({
  ...(note.value.trim() ? { text: note.value.trim() } : {}),
  ...(photo.value ? { photo: photo.value } : {}),
})
const choose = (choice: string) => asked.answer({ choice, ...says() })
function measured(seen: NonNullable<Answer['colour']>, picture: string) {
  asked.answer({ ...says(), colour: seen, way: 'photo', photo: picture })
}
const skip = () => void asked.at.value++
const back = () => void asked.at.value--
const over = computed(() => life.phase.value === 'here' && asked.question.value === null)
const age = computed(() => {
  const at = life.history.value?.filledAt
  return at ? sayAge(differenceInMinutes(keeping.now, new Date(at)) / 1440) : ''
})
/** What the formula lets expect, where that is known. */
const expected = computed(() => {
  if (question.value?.property !== 'ph') return ''
  const p = life.made.value?.assessment.predictedPh
  return p && p.high - p.low < 1.2
    ? texts.predictedFromTheFormula(sayNumber(p.low, 1), sayNumber(p.high, 1))
    : ''
})
const passed = ref(false)
/** What is left of this look is not made at all. */
function pass() {
  const q = question.value
  if (!q || q.day === null) return
  if (life.batch.enter({ type: 'pass', sample: q.sample, day: q.day }, null)) {
    passed.value = true
    const rest = asked.list.value.findIndex(
      (x, i) => i > asked.at.value && (x.sample !== q.sample || x.day !== q.day),
    )
    asked.at.value = rest < 0 ? asked.list.value.length : rest
  }
}
function next() {
  if (place.value + 1 < queue.value.length) place.value++
  else void router.push(props.id ? `/stability/${props.id}` : '/stability')
}
</script>

<template>
  <div class="page stacked" :data-storing="life.batch.pending.length > 0 || undefined">
    <ObservationHead
      :life="life"
      :id="current"
      :age="age"
      :at="
        question && asked.list.value.length > 1 ? `${asked.at.value + 1} of ${asked.list.value.length}` : ''
      "
    />
    <Notice v-if="life.batch.held" kind="stop"
      >{{ texts.theLastAnswersAreNot(life.batch.held.why) }}
      <template #actions
        ><Button :label="common.tryAgain" size="small" @click="life.batch.pump()"
      /></template>
    </Notice>
    <Notice v-if="life.batch.told" kind="check">{{ life.batch.told }}</Notice>

    <p v-if="queue.length === 0" class="done stacked">{{ common.nothingIsDueToday }}</p>
    <NotHere
      v-else-if="life.phase.value === 'missing'"
      :what="common.batch2"
      :why="life.refused.value"
      to="/stability"
      :to-label="common.allBatchesOnStabilityTest"
    />
    <section v-else-if="question && facts" class="stacked" aria-labelledby="ask-title">
      <p class="where">
        {{ WATCH.storages[question.storage].label
        }}<template v-if="question.day !== null">, {{ sayLook(question.storage, question.day) }}</template>
      </p>
      <h1 id="ask-title" ref="title" tabindex="-1">{{ facts.ask }}</h1>
      <p class="muted beside">
        {{ asked.lastWords.value || texts.firstObservation }}{{ expected ? `. ${expected}` : '' }}.
      </p>
      <ColourReader
        v-if="colour"
        :batch="life.batch.info!.id"
        :first="asked.before.value.find((a) => a.colour)?.colour ?? null"
        @measured="measured"
        @cancel="colour = false"
      />
      <template v-else>
        <fieldset v-if="choices.length" class="bare" :disabled="!settled || taking">
          <ul class="choices stacked closer">
            <li v-for="c in choices" :key="c.id">
              <button type="button" @click="choose(c.id)">
                <FindingMark :severity="MARK[c.grade]" />{{ c.words }}
              </button>
            </li>
          </ul>
        </fieldset>
        <NumberAnswer
          v-if="ways.length"
          :key="`${current} ${question.sample} ${question.property} ${asked.at.value}`"
          ref="field"
          :property="question.property"
          :ways="ways"
          :usual="asked.usualWay.value"
          :waits="taking"
          @answer="asked.answer({ ...$event, ...says() })"
        />
        <PlainButton
          v-if="question.property === 'colour'"
          :label="texts.measureInAPhoto"
          icon="pi pi-camera"
          size="large"
          @click="colour = true"
        />
        <TextField :label="common.note" v-model="note" maxlength="1000" />
        <PhotoField
          :label="photo ? texts.photoAddedTakeAnother : texts.addPhoto"
          testid="look-photo"
          @picked="takePhoto"
        />
        <p v-if="taking" class="muted" role="status">{{ texts.resizingThePhoto }}</p>
        <p v-if="photoError" class="error-text" role="alert">{{ photoError }}</p>
      </template>
      <fieldset class="bare" :disabled="!settled">
        <div class="feet for-hands">
          <QuietButton v-if="asked.at.value > 0" :label="common.back" icon="pi pi-arrow-left" @click="back" />
          <QuietButton :label="texts.skipQuestion" @click="skip" />
          <QuietButton
            v-if="question.day !== null && !question.corrects"
            :label="texts.skipObservation"
            @click="pass"
          />
        </div>
      </fieldset>
    </section>
    <section v-else-if="over" class="done stacked" role="status">
      <div class="verdict">
        <FindingMark v-if="life.verdict.value?.grade" :severity="MARK[life.verdict.value.grade]" :size="26" />
        <p v-if="life.verdict.value">{{ batchVerdictText(life.verdict.value).says }}</p>
      </div>
      <Button
        :label="place + 1 < queue.length ? texts.nextBatch : common.done"
        size="large"
        autofocus
        @click="next"
      />
    </section>
    <p v-else class="muted">{{ texts.opening }}</p>
  </div>
</template>

<style scoped>
.done {
  padding-top: 1rem;
}
.page {
  align-content: start;
  max-width: 34rem;
  margin-inline: auto;
  padding: 0.5rem 0.875rem 2rem;
}
.where {
  color: var(--accent-ink);
  font-weight: 700;
}
h1 {
  font-size: var(--text-figure);
  line-height: 1.2;
  outline: none;
}
.beside {
  margin-top: -0.5rem;
}
.choices button {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  width: 100%;
  min-height: 60px;
  padding: 0.5rem 1rem;
  border: 1px solid var(--line-strong);
  border-radius: var(--round-l);
  background: var(--paper);
  font-size: var(--text-lead);
  text-align: left;
  cursor: pointer;
}
.choices button:hover {
  background: var(--wash);
}
.feet {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem;
}
.verdict {
  display: flex;
  align-items: start;
  gap: 0.75rem;
  font-size: var(--text-head-2);
}
</style>
