<script setup lang="ts">
import { choicesOf, PROPERTIES, sayAge, sayNumber, WATCH, waysOf, type Answer } from '@omblet/core'
import { differenceInMinutes } from 'date-fns'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import FindingMark from '../../components/FindingMark.vue'
import FormField from '../../components/FormField.vue'
import NotHere from '../../components/NotHere.vue'
import Notice from '../../components/Notice.vue'
import { smallPicture } from '../../browser/picture'
import { savePhoto } from '../../storage/batches'
import { makeId } from '../../storage/channel'
import { explainStorage } from '../../storage/db'
import { useKeeping } from '../../stores/keeping'
import ColourReader from './ColourReader.vue'
import NumberAnswer from './NumberAnswer.vue'
import { useLife } from './use-life'
import { useQuestions, type Wanted } from './use-questions'
import { MARK, sayLook } from './words'

/** Looking: one question a screen, large, with what was seen last beside it. Without a batch: all that is due. */
const props = defineProps<{ id?: string }>()
const keeping = useKeeping()
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
const ways = computed(() => (question.value ? waysOf(question.value.property).filter((w) => w !== 'photo') : [])) // prettier-ignore
const note = ref('')
const colour = ref(false)
/** A photograph for the answer that comes next; it is stored before the answer that names it. */
const photo = ref<string | null>(null)
const photoError = ref<string | null>(null)
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
async function takePhoto(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    const id = makeId()
    await savePhoto({ id, batch: life.batch.info!.id, blob: await smallPicture(file) })
    photo.value = id
    photoError.value = null
  } catch (failure) {
    photoError.value =
      failure instanceof DOMException && failure.name === 'InvalidStateError'
        ? 'This is no picture that can be read here. Take a JPEG, PNG or WebP.'
        : explainStorage(failure)
  }
}
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
    ? `Its formula lets expect ${sayNumber(p.low, 1)} to ${sayNumber(p.high, 1)}`
    : ''
})
const passed = ref(false)
/** What is left of this look is not made at all. */
function pass() {
  const q = question.value
  if (!q || q.day === null) return
  if (life.batch.enter({ type: 'pass', sample: q.sample, day: q.day }, null)) {
    passed.value = true
    const rest = asked.list.value.findIndex((x, i) => i > asked.at.value && (x.sample !== q.sample || x.day !== q.day))
    asked.at.value = rest < 0 ? asked.list.value.length : rest
  }
} // prettier-ignore
function next() {
  if (place.value + 1 < queue.value.length) place.value++
  else void router.push(props.id ? `/keeping/${props.id}` : '/keeping')
}
</script>

<template>
  <div class="page" :data-storing="life.batch.pending.length > 0 || undefined">
    <header>
      <RouterLink :to="current ? `/keeping/${current}` : '/keeping'" class="up" aria-label="Stop looking"
        ><i class="pi pi-times" aria-hidden="true"></i
      ></RouterLink>
      <template v-if="life.batch.info && current">
        <div class="what">
          <strong>{{ life.batch.info.name }}</strong>
          <span class="muted small"
            ><span class="mono">{{ life.batch.info.code }}</span
            ><template v-if="age">, {{ age === 'today' ? 'made today' : `${age} old` }}</template></span
          >
        </div>
        <span v-if="question && asked.list.value.length > 1" class="mono small count"
          >{{ asked.at.value + 1 }} of {{ asked.list.value.length }}</span
        >
      </template>
    </header>
    <Notice v-if="life.batch.held" kind="stop"
      >{{ life.batch.held.why }} The last answers are kept here and not stored yet.
      <template #actions><Button label="Try again" size="small" @click="life.batch.pump()" /></template>
    </Notice>
    <Notice v-if="life.batch.told" kind="check">{{ life.batch.told }}</Notice>

    <p v-if="queue.length === 0" class="done">Nothing is due today.</p>
    <NotHere
      v-else-if="life.phase.value === 'missing'"
      what="batch"
      :why="life.refused.value"
      to="/keeping"
      to-label="All that is kept"
    />
    <section v-else-if="question && facts" class="ask" aria-labelledby="ask-title">
      <p class="where">
        {{ WATCH.storages[question.storage].label
        }}<template v-if="question.day !== null">, {{ sayLook(question.storage, question.day) }}</template>
      </p>
      <h1 id="ask-title" ref="title" tabindex="-1">{{ facts.ask }}</h1>
      <p class="muted beside">
        {{ asked.lastWords.value || 'The first look at it' }}{{ expected ? `. ${expected}` : '' }}.
      </p>
      <ColourReader
        v-if="colour"
        :batch="life.batch.info!.id"
        :first="asked.before.value.find((a) => a.colour)?.colour ?? null"
        @measured="measured"
        @cancel="colour = false"
      />
      <template v-else>
        <ul v-if="choices.length" class="choices">
          <li v-for="c in choices" :key="c.id">
            <button type="button" @click="choose(c.id)">
              <FindingMark :severity="MARK[c.grade]" />{{ c.words }}
            </button>
          </li>
        </ul>
        <NumberAnswer
          v-if="ways.length"
          :key="`${current} ${question.sample} ${question.property} ${asked.at.value}`"
          ref="field"
          :property="question.property"
          :ways="ways"
          :usual="asked.usualWay.value"
          @answer="asked.answer({ ...$event, ...says() })"
        />
        <Button
          v-if="question.property === 'colour'"
          label="Measure it in a photograph"
          icon="pi pi-camera"
          severity="secondary"
          outlined
          size="large"
          @click="colour = true"
        />
        <FormField id="look-note" label="A word beside it">
          <InputText id="look-note" v-model="note" maxlength="1000" fluid />
        </FormField>
        <label class="chip photo"
          ><i class="pi pi-camera" aria-hidden="true"></i>
          {{ photo ? 'A photograph goes with it. Take another' : 'A photograph beside it'
          }}<input
            type="file"
            accept="image/*"
            capture="environment"
            data-testid="look-photo"
            @change="takePhoto"
        /></label>
        <p v-if="photoError" class="error-text" role="alert">{{ photoError }}</p>
      </template>
      <div class="feet">
        <Button
          v-if="asked.at.value > 0"
          label="Back"
          icon="pi pi-arrow-left"
          text
          severity="secondary"
          @click="back"
        />
        <!-- prettier-ignore -->
        <Button label="Not this time" text severity="secondary" @click="skip" />
        <Button
          v-if="question.day !== null && !question.corrects"
          label="Leave this look out"
          text
          severity="secondary"
          @click="pass"
        />
      </div>
    </section>
    <section v-else-if="over" class="done" role="status">
      <div class="verdict">
        <FindingMark v-if="life.verdict.value?.grade" :severity="MARK[life.verdict.value.grade]" :size="26" />
        <p>{{ life.verdict.value?.says }}</p>
      </div>
      <Button
        :label="place + 1 < queue.length ? 'The next batch' : 'Done'"
        size="large"
        autofocus
        @click="next"
      />
    </section>
    <p v-else class="muted">Opening…</p>
  </div>
</template>

<style scoped>
.done {
  display: grid;
  gap: 0.875rem;
  padding-top: 1rem;
}
.page {
  display: grid;
  align-content: start;
  gap: 0.875rem;
  max-width: 34rem;
  margin-inline: auto;
  padding: 0.5rem 0.875rem 2rem;
}
header {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 52px;
}
.up {
  display: grid;
  place-items: center;
  flex: none;
  width: 44px;
  height: 44px;
  margin-left: -0.5rem;
  color: var(--muted);
  text-decoration: none;
}
.what {
  display: grid;
  flex: 1;
  min-width: 0;
  line-height: 1.3;
}
.count {
  color: var(--muted);
}
.ask,
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
.choices {
  display: grid;
  gap: 0.5rem;
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
.photo {
  position: relative;
  min-height: 44px;
  justify-self: start;
  color: var(--ink);
  cursor: pointer;
}
.photo input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.photo:focus-within {
  outline: 2px solid var(--cobalt-400);
}
.feet {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem;
}
.feet :deep(button) {
  min-height: 44px;
}
.verdict {
  display: flex;
  align-items: start;
  gap: 0.75rem;
  font-size: var(--text-head-2);
}
</style>
