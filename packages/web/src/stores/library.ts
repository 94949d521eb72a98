import {
  assess,
  countFindings,
  duplicate,
  findAll,
  formulaFault,
  freeName,
  isCaution,
  withKeys,
  writeFormula,
  type Formula,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, triggerRef } from 'vue'
import { announce, listen, makeId } from '../storage/channel'
import { explainStorage, troubleOf, type StorageTrouble } from '../storage/db'
import { deleteFormulas, getFormula, getSetting, listFormulas, putRecords, saveFormula, setSetting } from '../storage/formulas' // prettier-ignore
import type { FormulaRecord } from '../storage/schema'
import { useBin } from './bin'
import { useLots } from './lots'
import { useMaterials } from './materials'

/** How a formula is judged, as a card shows it. */
export interface Summary {
  stop: number
  check: number
  note: number
}

export interface Made {
  id: string
  name: string
  stored: boolean
}

const now = () => new Date().toISOString()
/** Milliseconds of work between two breaths. */
const SLICE_MS = 10
const REST_MS = 60

export const useLibrary = defineStore('library', () => {
  const materials = useMaterials()
  const records = shallowRef<FormulaRecord[]>([])
  const ready = shallowRef(false)
  const storageProblem = shallowRef<string | null>(null)
  const trouble = shallowRef<StorageTrouble | null>(null)
  /** Formulas that the browser would not store: they live until the page is left. */
  const unstored = new Map<string, FormulaRecord>()

  /** Worked out when a card first needs it, and kept as long as formula and catalogue stay. */
  const known = shallowRef(new WeakMap<Formula, Summary>())
  let knownFor = materials.catalogue
  function fresh() {
    if (knownFor === materials.catalogue) return
    knownFor = materials.catalogue
    known.value = new WeakMap()
    words = new WeakMap()
  }
  function judge({ formula }: FormulaRecord) {
    fresh()
    if (known.value.has(formula)) return
    const findings = findAll(assess(formula, materials.catalogue))
    known.value.set(formula, countFindings(findings.filter((f) => !isCaution(f) || f.severity !== 'note')))
  }
  /** How a formula is judged; null until it was, which is asked for hereby. */
  function summaryOf(record: FormulaRecord): Summary | null {
    fresh()
    const summary = known.value.get(record.formula) ?? null
    if (!summary && !asked.has(record)) {
      asked.add(record)
      void work()
    }
    return summary
  }
  const isJudged = ({ formula }: FormulaRecord) => known.value.has(formula)
  /** Asks for all of them, so that they can be told apart by their state. */
  function judgeAll() {
    for (const record of records.value) if (!isJudged(record)) asked.add(record)
    void work()
  }

  /** What is to be judged, worked off a little at a time so that the page never stands still. */
  const asked = new Set<FormulaRecord>()
  let working = false
  async function work() {
    if (working) return
    working = true
    // What was typed is shown first.
    await new Promise((resolve) => setTimeout(resolve, REST_MS))
    while (asked.size > 0) {
      await new Promise((resolve) => setTimeout(resolve))
      const since = performance.now()
      for (const record of asked) {
        asked.delete(record)
        judge(record)
        if (performance.now() - since > SLICE_MS) break
      }
      triggerRef(known)
    }
    working = false
  }

  /** Words that a search looks through. */
  let words = new WeakMap<Formula, string>()
  function wordsOf({ formula }: FormulaRecord): string {
    fresh()
    let text = words.get(formula)
    if (text === undefined) {
      const names = formula.phases.flatMap((p) =>
        p.lines.map((l) => {
          const m = materials.catalogue.find(l.material)
          return m ? `${m.name} ${m.inci.join(' ')}` : l.material
        }),
      )
      text = [formula.name, ...names].join(' ').toLowerCase()
      words.set(formula, text)
    }
    return text
  }

  /** Gets the words ready before somebody searches, a little at a time. */
  async function learnWords() {
    await new Promise((resolve) => setTimeout(resolve, 1500))
    let since = performance.now()
    for (const record of records.value) {
      wordsOf(record)
      if (performance.now() - since < SLICE_MS) continue
      await new Promise((resolve) => setTimeout(resolve))
      since = performance.now()
    }
  }

  const hasDemo = computed(() => records.value.some((r) => r.demo))
  const names = computed(() => records.value.map((r) => r.formula.name))

  function failed(error: unknown) {
    storageProblem.value = explainStorage(error)
    trouble.value = troubleOf(error)
  }
  async function refresh() {
    try {
      records.value = [...unstored.values(), ...(await listFormulas())]
      storageProblem.value = null
      trouble.value = null
    } catch (error) {
      failed(error)
      if (records.value.length === 0) records.value = [...unstored.values()]
    }
  }

  /** Takes in what was just written, so that the list need not be read again. */
  function note(record: FormulaRecord) {
    unstored.delete(record.id)
    records.value = [record, ...records.value.filter((r) => r.id !== record.id)]
  }
  /** Reads one formula again: it may be new, changed or gone. */
  async function reread(id: string) {
    const record = await getFormula(id).catch(() => null)
    if (record === null) return
    if (record) note(record)
    else records.value = records.value.filter((r) => r.id !== id || unstored.has(id))
  }

  /** First visit: an empty store that never held anything gets the examples. */
  async function start() {
    try {
      await Promise.all([materials.load(), useLots().load()])
      await refresh()
      if (storageProblem.value === null) {
        const seen = await getSetting<boolean>('demoOffered')
        if (!seen && records.value.length === 0) await loadDemo()
        else if (!seen) await setSetting('demoOffered', true)
        void useBin().sweep()
        void learnWords()
      }
    } catch (error) {
      failed(error)
    } finally {
      ready.value = true
    }
  }

  async function loadDemo() {
    const { demoFormulas } = await import('../demo')
    const at = Date.now()
    const demo = demoFormulas().map((formula, i): FormulaRecord => {
      const stamp = new Date(at - i * 36e5 * 7).toISOString()
      return { id: makeId(), formula, rev: 1, createdAt: stamp, updatedAt: stamp, demo: true }
    })
    try {
      await putRecords(demo)
    } catch (error) {
      // They can be looked at even where they cannot be kept.
      for (const record of demo) unstored.set(record.id, { ...record, rev: 0 })
      records.value = [...unstored.values()]
      failed(error)
      return
    }
    await setSetting('demoOffered', true)
    await refresh()
    announce({ type: 'all' })
  }

  /** Stores a new formula; without storage it is kept in memory, and the problem is said. */
  async function create(formula: Formula): Promise<Made> {
    const id = makeId()
    const made = withKeys({ ...formula, name: freeName(formula.name, names.value) })
    const fault = formulaFault(made)
    if (fault) throw new Error(`This formula cannot be stored: ${fault}`)
    const { name } = made
    try {
      note(await saveFormula(id, made, 0, now()))
      storageProblem.value = null
      trouble.value = null
      announce({ type: 'formula', id })
      return { id, name, stored: true }
    } catch (error) {
      failed(error)
      unstored.set(id, { id, formula: made, rev: 0, createdAt: now(), updatedAt: now(), demo: false })
      records.value = [...unstored.values(), ...records.value.filter((r) => !unstored.has(r.id))]
      return { id, name, stored: false }
    }
  }

  const copy = async (record: FormulaRecord) =>
    (await create(duplicate(record.formula, record.formula.name))).id

  /** Moves formulas to the bin; gives back how to undo it, null where they could not be. */
  async function remove(ids: readonly string[]): Promise<(() => Promise<void>) | null> {
    try {
      ids.forEach((id) => unstored.delete(id))
      const bins = await deleteFormulas(ids, now(), makeId)
      records.value = records.value.filter((r) => !ids.includes(r.id))
      ids.forEach((id) => announce({ type: 'formula', id }))
      const bin = useBin()
      await bin.count()
      return async () => {
        for (const id of bins) await bin.takeBack(id)
      }
    } catch (error) {
      failed(error)
      return null
    }
  }

  const exportText = (formula: Formula) => writeFormula(materials.selfContained(formula))

  listen((message) => {
    if (message.type === 'formula') void reread(message.id)
    if (message.type === 'all') void refresh()
  })

  return {
    records,
    ready,
    storageProblem,
    trouble,
    hasDemo,
    names,
    unstored,
    known,
    summaryOf,
    isJudged,
    judgeAll,
    wordsOf,
    start,
    refresh,
    reread,
    note,
    create,
    copy,
    remove,
    loadDemo,
    exportText,
  }
})
