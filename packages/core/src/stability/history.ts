import { parseISO } from 'date-fns'
import type { BatchEvent, EventOf } from '../batch/events.ts'
import type { PlannedLook, Property, Sample, SeenColour, Way } from '../shapes/stability.ts'

const DAY_MS = 86_400_000

/** One answer as it was given. */
export interface Answer {
  n: number
  at: string
  /** Days since it was filled, by the clock. */
  age: number
  /** The planned look that it answers; null for one that nobody planned. */
  day: number | null
  sample: string
  property: Property
  value: number | null
  choice: string | null
  way: Way | null
  celsius: number | null
  colour: SeenColour | null
  photo: string | null
  text: string
  /** Another stands in its place: it is shown, and counts for nothing. */
  corrected: boolean
}

/** A planned look and how far it has got. */
export interface LookState extends PlannedLook {
  answered: Property[]
  passed: boolean
}

export interface PatchTest {
  n: number
  at: string
  who: string
  way: EventOf<'patch'>['way']
  place: string
  grams: number | null
  looks: { n: number; at: string; hours: number; grade: number; itches: boolean; text: string }[]
}

/** Everything that was planned and seen of a batch after it was filled. */
export interface History {
  /** When it was filled; null for a batch that is not finished. */
  filledAt: string | null
  samples: Sample[]
  looks: LookState[]
  answers: Answer[]
  patches: PatchTest[]
}

/** What an answer is taken for: those that another one corrects are marked. */
function answersOf(events: readonly BatchEvent[], from: number): Answer[] {
  const observed = events.filter((e) => e.type === 'observe')
  const corrected = new Set(observed.flatMap((e) => (e.corrects === undefined ? [] : [e.corrects])))
  return observed.map((e) => ({
    n: e.n,
    at: e.at,
    age: (parseISO(e.at).getTime() - from) / DAY_MS,
    day: e.day,
    sample: e.sample,
    property: e.property,
    value: e.value ?? null,
    choice: e.choice ?? null,
    way: e.way ?? null,
    celsius: e.celsius ?? null,
    colour: e.colour ?? null,
    photo: e.photo ?? null,
    text: e.text ?? '',
    corrected: corrected.has(e.n),
  }))
}

function patchesOf(events: readonly BatchEvent[]): PatchTest[] {
  return events.flatMap((e) => {
    if (e.type !== 'patch') return []
    const start = parseISO(e.at).getTime()
    const looks = events.flatMap((x) =>
      x.type === 'patch-look' && x.of === e.n
        ? [
            {
              n: x.n,
              at: x.at,
              hours: (parseISO(x.at).getTime() - start) / 3_600_000,
              grade: x.grade,
              itches: x.itchesOverAnHour ?? false,
              text: x.text ?? '',
            },
          ]
        : [],
    )
    return [{ n: e.n, at: e.at, who: e.who, way: e.way, place: e.place, grams: e.grams ?? null, looks }]
  })
}

/** The keeping of a batch from its events; the last plan counts, and answers to an earlier one stay. */
export function historyOf(events: readonly BatchEvent[]): History {
  const finish = events.findLast((e) => e.type === 'finish')
  const plan = events.findLast((e) => e.type === 'keep')
  const filledAt = finish?.at ?? null
  const answers = answersOf(events, parseISO(filledAt ?? events[0]!.at).getTime())
  const passes = events.filter((e) => e.type === 'pass')
  const looks = (plan?.looks ?? [])
    .map((look): LookState => ({
      ...look,
      answered: look.properties.filter((property) =>
        answers.some(
          (a) => !a.corrected && a.sample === look.sample && a.day === look.day && a.property === property,
        ),
      ),
      passed: passes.some((p) => p.sample === look.sample && p.day === look.day),
    }))
    .sort((x, y) => x.day - y.day)
  return { filledAt, samples: plan?.samples ?? [], looks, answers, patches: patchesOf(events) }
}

/** A look is over when all of it was answered, or nobody will make it. */
export const isOver = (look: LookState) => look.passed || look.answered.length === look.properties.length
