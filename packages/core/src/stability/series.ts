import { PROPERTIES, type Property, type Storage, type Way } from '../shapes/stability.ts'
import { colourChange } from './colour.ts'
import { choicesOf, sdOf, waysOf, type Grade } from '../batch/watch-data.ts'
import type { Answer, History } from './history.ts'
import type { Said } from '../text/said.ts'
import type { AsideFacts } from './verdict-facts.ts'

export type Aside = Said<AsideFacts>

/** A number that was read: how old the batch was, and where the answer stands. */
export interface Read {
  age: number
  value: number
  n: number
}
/** An answer in words. */
export interface Answered {
  age: number
  day: number | null
  words: string
  grade: Grade
  n: number
}

/** What was seen of one property of one sample, in the order of age. */
export interface Series {
  sample: string
  storage: Storage
  property: Property
  /** Where there are numbers: how they were read, all in the same way. */
  way: Way | null
  reads: Read[]
  said: Answered[]
  /** Numbers that were read otherwise, or that nothing can be told from, with why. */
  aside: { n: number; why: Aside }[]
}

/** The way that most numbers were read in; of two the one that was used last. */
function usualWay(answers: readonly Answer[]): Way | null {
  const counts = new Map<Way, number>()
  for (const a of answers) if (a.way) counts.set(a.way, (counts.get(a.way) ?? 0) + 1)
  let best: Way | null = null
  for (const [way, n] of counts) if (best === null || n >= counts.get(best)!) best = way
  return best
}

/** Colours are told as what changed since the first picture; the others as they were read. */
function readsOf(
  property: Property,
  answers: readonly Answer[],
  way: Way | null,
): Pick<Series, 'reads' | 'aside'> {
  const aside: Series['aside'] = []
  const reads: Read[] = []
  const first = answers.find((a) => a.colour)
  for (const a of answers) {
    if (property === 'colour') {
      if (!a.colour) continue
      if (a === first) {
        reads.push({ age: a.age, value: 0, n: a.n })
        continue
      }
      const change = colourChange(first!.colour!, a.colour)
      if ('why' in change) aside.push({ n: a.n, why: change.why })
      else reads.push({ age: a.age, value: change.deltaE, n: a.n })
    } else if (a.value !== null && a.way !== null && waysOf(property).includes(a.way)) {
      if (a.way === way) reads.push({ age: a.age, value: a.value, n: a.n })
      else
        aside.push({
          n: a.n,
          why: { code: 'other-measurement', way: a.way, usual: way! },
        })
    }
  }
  return { reads, aside }
}

/** All series of a batch, in the order of samples and of looking. */
export function seriesOf(h: History): Series[] {
  return h.samples.flatMap((sample) =>
    PROPERTIES.flatMap((property): Series[] => {
      const answers = h.answers
        .filter((a) => !a.corrected && a.sample === sample.id && a.property === property)
        .sort((x, y) => x.age - y.age || x.n - y.n)
      if (answers.length === 0) return []
      const way = property === 'colour' ? 'photo' : usualWay(answers)
      const choices = choicesOf(property)
      const said = answers.flatMap((a): Answered[] => {
        const choice = choices.find((c) => c.id === a.choice)
        return choice ? [{ age: a.age, day: a.day, words: choice.words, grade: choice.grade, n: a.n }] : []
      })
      const numbers = readsOf(property, answers, way)
      return [
        {
          sample: sample.id,
          storage: sample.storage,
          property,
          way: numbers.reads.length > 0 ? way : null,
          ...numbers,
          said,
        },
      ]
    }),
  )
}

/** Error of one of its readings. */
export const errorOf = (s: Series) => (s.way && s.reads.length > 0 ? sdOf(s.way, s.reads[0]!.value) : 0)
