import { useQuestions as texts } from '#words/stability'
import {
  choicesOf,
  historyOf,
  observationsToday,
  mattersOf,
  openObservations,
  sayNumber,
  WATCH,
  waysOf,
  type Answer,
  type History,
  type Property,
  type Storage,
  type Way,
} from '@omblet/core'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Life } from './use-life'

/** One question: a property of a sample, and the planned look that it belongs to. */
export interface Question {
  sample: string
  storage: Storage
  day: number | null
  property: Property
  /** The answer that is put right. */
  corrects?: number
}
export interface Wanted {
  sample?: string | undefined
  day?: number | undefined
  corrects?: number | undefined
  /** One property alone, between the looks that are planned. */
  property?: Property | undefined
}

/** What is asked of a batch now: one look, one answer to be put right, or all that is due. */
function questionsOf(h: History, wanted: Wanted, now: Date, all: readonly Property[]): Question[] {
  const storageOf = (id: string) => h.samples.find((s) => s.id === id)?.storage
  if (wanted.corrects !== undefined) {
    const a = h.answers.find((x) => x.n === wanted.corrects)
    const storage = a && storageOf(a.sample)
    return a && storage
      ? [{ sample: a.sample, storage, day: a.day, property: a.property, corrects: a.n }]
      : []
  }
  if (wanted.property !== undefined) {
    const sample = h.samples.find((s) => s.id === wanted.sample) ?? h.samples[0]
    return sample
      ? [{ sample: sample.id, storage: sample.storage, day: null, property: wanted.property }]
      : []
  }
  const open = openObservations(h)
  const looks =
    wanted.sample !== undefined && wanted.day !== undefined
      ? open.filter((l) => l.sample === wanted.sample && l.day === wanted.day)
      : observationsToday(open, now)
  if (looks.length > 0)
    return looks.flatMap((look) => {
      const storage = storageOf(look.sample)
      return storage
        ? look.properties.map((property) => ({ sample: look.sample, storage, day: look.day, property }))
        : []
    })
  // nothing planned is open: a look between, at the first sample
  const first = h.samples[0]
  return first
    ? all.map((property) => ({ sample: first.id, storage: first.storage, day: null, property }))
    : []
}

/** Answers to a question's sample and property that stand. */
const answersTo = (answers: readonly Answer[], q: Question) =>
  answers.filter((a) => !a.corrected && a.sample === q.sample && a.property === q.property)

/** What was answered the last time, in words; empty where nothing was. */
function wordsOf(a: Answer | undefined): string {
  if (!a) return ''
  const way = a.way && WATCH.ways[a.way]
  if (a.value !== null && way)
    return texts.last(sayNumber(a.value), way.unit === 'pH' ? texts.by(way.label) : way.unit)
  const choice = choicesOf(a.property).find((c) => c.id === a.choice)
  return texts.last2(choice?.words.toLowerCase() ?? texts.aPhotograph)
}

/** The questions of a look, one after the other; each answer is stored before the next is asked. */
export function useQuestions(life: Life, wanted: () => Wanted) {
  const list = shallowRef<Question[]>([])
  const at = ref(0)
  /** Numbers of answers that were given on this page, by question, to be put right when one goes back. */
  const given = new Map<number, number>()
  let of = ''
  watch(
    [() => life.batch.info?.id, () => life.phase.value, wanted],
    () => {
      const { history, made, batch } = life
      if (life.phase.value !== 'here' || !history.value || !made.value || !batch.info) return
      const key = JSON.stringify([batch.info.id, wanted()])
      if (key === of) return
      of = key
      const all = mattersOf(made.value.assessment, made.value.findings).map((m) => m.property)
      list.value = questionsOf(history.value, wanted(), new Date(), all)
      at.value = 0
      given.clear()
    },
    { immediate: true },
  )
  const question = computed(() => list.value[at.value] ?? null)
  /** What was answered in another tab meanwhile is not asked again. */
  watch(
    [question, () => life.state.value?.events.length],
    () => {
      const q = question.value
      if (!q || q.day === null || q.corrects !== undefined || given.has(at.value)) return
      const elsewhere = answersTo(life.history.value?.answers ?? [], q).some((a) => a.day === q.day)
      if (elsewhere) at.value++
    },
    { flush: 'sync' },
  )
  const before = computed<Answer[]>(() => {
    const q = question.value
    const h = life.state.value ? historyOf(life.state.value.events) : null
    return q && h ? answersTo(h.answers, q).filter((a) => a.n !== given.get(at.value)) : []
  })
  /** How this was read the last time, so that it is read the same way. */
  const usualWay = computed<Way | null>(() => {
    const q = question.value
    if (!q) return null
    return before.value.findLast((a) => a.way)?.way ?? waysOf(q.property).find((w) => w !== 'photo') ?? null
  })

  function answer(told: {
    value?: number
    way?: Way
    choice?: string
    celsius?: number
    text?: string
    photo?: string
    colour?: Answer['colour']
  }): boolean {
    const q = question.value
    if (!q) return false
    const { sample, day, property } = q
    const corrects = given.get(at.value) ?? q.corrects
    const n = life.state.value!.events.length
    const { colour, ...rest } = told
    const happening = {
      type: 'observe' as const,
      sample,
      day,
      property,
      ...rest,
      ...(colour ? { colour } : {}),
      ...(corrects === undefined ? {} : { corrects }),
    }
    // it is mine before it is there, else it would look as if another tab had given it
    const here = at.value
    const earlier = given.get(here)
    given.set(here, n)
    if (!life.batch.enter(happening, null)) {
      if (earlier === undefined) given.delete(here)
      else given.set(here, earlier)
      return false
    }
    at.value = here + 1
    return true
  }

  const lastWords = computed(() => wordsOf(before.value.at(-1)))
  return { list, at, question, usualWay, before, answer, lastWords }
}
