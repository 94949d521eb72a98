import {
  isAnswered,
  judgeSteps,
  nextStep,
  standOfSittings,
  type JudgeAnswer,
  type JudgeStep,
  type PlannedTrial,
} from '@omblet/core'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useTrials } from '../../stores/trials'

interface Person {
  id: string
  name: string
  round: number
  of: number
  open: boolean
}
/** Who judges, each with the first round that is not over. */
function peopleOf(trial: PlannedTrial): Person[] {
  const list = new Map<string, Person>()
  for (const { sitting, done, of } of standOfSittings(trial)) {
    const { person: id, round } = sitting
    const here = list.get(id)
    if (here?.open) continue
    const name = trial.plan.people.find((p) => p.id === id)!.name
    list.set(id, { id, name, round, of: trial.plan.rounds, open: done < of })
  }
  return [...list.values()]
}

/**
 * One sitting on one device. What it gives out holds codes and questions, and nothing by which a jar could be known, nor
 * what others said.
 */
export function useJudging(id: () => string) {
  const trials = useTrials()
  const trial = computed(() => trials.find(id()))
  const phase = computed(() =>
    !trials.ready ? 'reading' : !trial.value ? 'gone' : trial.value.plan.endedAt ? 'over' : 'open',
  )
  const people = computed(() => (trial.value ? peopleOf(trial.value) : []))
  const who = ref<{ person: string; round: number } | null>(null)
  const sitting = computed(() => {
    const stands = trial.value && who.value ? standOfSittings(trial.value).map((s) => s.sitting) : []
    return stands.find((s) => s.person === who.value!.person && s.round === who.value!.round) ?? null
  })
  const steps = computed<JudgeStep[]>(() =>
    trial.value && sitting.value ? judgeSteps(trial.value, sitting.value) : [],
  )
  /** Codes that are on the skin, and since when. */
  const served = ref(new Map<string, number>())
  /** A question that one went back to. */
  const again = ref<string | null>(null)
  const step = computed(
    () =>
      steps.value.find((s) => s.key === again.value) ?? nextStep(steps.value, new Set(served.value.keys())),
  )
  const place = computed(() => (step.value ? steps.value.indexOf(step.value) : steps.value.length))
  const asked = computed(() => steps.value.filter((s) => s.kind !== 'serve'))
  const done = computed(() => asked.value.filter(isAnswered).length)
  const now = ref(Date.now())
  useIntervalFn(() => (now.value = Date.now()), 250)
  /** Seconds until a question's moment comes; nothing or less when it is here, or nobody knows since when it is on. */
  const wait = computed(() => {
    const s = step.value
    if (s?.kind !== 'score' || s.moment.afterSeconds === undefined) return 0
    const since = served.value.get(s.code)
    return since === undefined ? 0 : Math.ceil(s.moment.afterSeconds - (now.value - since) / 1000)
  })

  function sit(person: string, round: number) {
    who.value = { person, round }
    served.value = new Map()
    again.value = null
  }
  const stand = () => (who.value = null)
  function serve() {
    if (step.value?.kind !== 'serve') return
    served.value = new Map(served.value).set(step.value.code, Date.now())
    again.value = null
  }
  const storing = ref(false)
  /** Stores an answer and goes on; false where it could not be stored, and then it stays where it is. */
  async function answer(given: JudgeAnswer): Promise<boolean> {
    const s = step.value
    if (!s || !who.value || storing.value) return false
    storing.value = true
    const stored = await trials.answer(id(), who.value.person, who.value.round, s.key, given)
    storing.value = false
    if (stored) again.value = null
    return stored
  }
  /** Back to the question before, to answer it anew. */
  function back() {
    const before = steps.value.slice(0, place.value).findLast((s) => s.kind !== 'serve' && isAnswered(s))
    if (before) again.value = before.key
  }
  const canBack = computed(() =>
    steps.value.slice(0, place.value).some((s) => s.kind !== 'serve' && isAnswered(s)),
  )
  return {
    phase,
    hair: computed(() => trial.value?.plan.product.hair ?? false),
    people,
    who,
    step,
    asked,
    done,
    wait,
    storing,
    problem: computed(() => trials.problem),
    sit,
    stand,
    serve,
    answer,
    back,
    canBack,
    load: trials.load,
  }
}
