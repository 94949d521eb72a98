import type { Formula } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, triggerRef } from 'vue'
import type { FormulaRecord } from '../storage/schema'
import type { Counts, Judgement } from './judgement'
import { useLibrary } from './library'

/** Milliseconds of work between two breaths. */
const SLICE_MS = 10
const REST_MS = 60
const rest = (ms = 0) => new Promise((resolve) => setTimeout(resolve, ms))

async function fetched(): Promise<Judgement> {
  const [{ readKnowledge }, { useJudgement }] = await Promise.all([
    import('./knowledge'),
    import('./judgement'),
  ])
  await readKnowledge()
  return useJudgement()
}

/** What the cards of the formulas say beyond the formulas themselves; it comes after they are shown, a little at a time. */
export const useCards = defineStore('cards', () => {
  const library = useLibrary()
  const judgement = shallowRef<Judgement | null>(null)
  let fetching: Promise<Judgement | null> | null = null
  /** The judge; null where it could not be fetched, which is tried again when it is next asked for. */
  const fetch = () =>
    (fetching ??= fetched().then(
      (judge) => (judgement.value = judge),
      () => (fetching = null),
    ))

  /** Worked out when a card first needs it, and kept as long as formula and catalogue stay. */
  const known = shallowRef(new WeakMap<Formula, Counts>())
  let words = new WeakMap<Formula, string>()
  let knownBy: object | null = null
  function fresh() {
    const now = judgement.value?.knownBy() ?? null
    if (knownBy === now) return
    knownBy = now
    known.value = new WeakMap()
    words = new WeakMap()
  }

  /** What is to be judged, worked off a little at a time so that the page never stands still. */
  const asked = new Set<FormulaRecord>()
  let working = false
  async function work() {
    if (working) return
    working = true
    // What was typed is shown first.
    await rest(REST_MS)
    const judge = await fetch()
    if (!judge) asked.clear()
    while (judge && asked.size > 0) {
      await rest()
      fresh()
      const since = performance.now()
      for (const record of asked) {
        asked.delete(record)
        if (!known.value.has(record.formula)) known.value.set(record.formula, judge.judge(record.formula))
        if (performance.now() - since > SLICE_MS) break
      }
      triggerRef(known)
    }
    working = false
  }

  /** How a formula is judged; null until it was, which is asked for hereby. */
  function countsOf(record: FormulaRecord): Counts | null {
    fresh()
    const counts = known.value.get(record.formula) ?? null
    if (!counts && !asked.has(record)) {
      asked.add(record)
      void work()
    }
    return counts
  }
  const isJudged = ({ formula }: FormulaRecord) => known.value.has(formula)
  const judged = computed(() => library.records.filter(isJudged).length)
  /** Asks for all of them, so that they can be told apart by their state. */
  function judgeAll() {
    for (const record of library.records) if (!isJudged(record)) asked.add(record)
    void work()
  }

  /** Words that a search looks through: the name, and every material by all its names. */
  function wordsOf({ formula }: FormulaRecord): string {
    fresh()
    let text = words.get(formula)
    if (text === undefined) {
      const names =
        judgement.value?.wordsOf(formula) ?? formula.phases.flatMap((p) => p.lines.map((l) => l.material))
      text = [formula.name, ...names].join(' ').toLowerCase()
      words.set(formula, text)
    }
    return text
  }
  /** Gets the words ready before somebody searches, a little at a time. */
  async function learnWords() {
    await rest(1500)
    await fetch()
    let since = performance.now()
    for (const record of library.records) {
      wordsOf(record)
      if (performance.now() - since < SLICE_MS) continue
      await rest()
      since = performance.now()
    }
  }

  /** The file of a formula; null where the part that writes it could not be fetched. */
  const exportText = async (formula: Formula) => (await fetch())?.exportText(formula) ?? null

  return { known, countsOf, isJudged, judged, judgeAll, wordsOf, learnWords, exportText }
})
