import { library as texts } from '#words/stores'
import { duplicate, formulaFault, freeName, slug, withKeys, type Formula } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { announce, listen, makeId } from '../storage/channel'
import { explainStorage, troubleOf, type StorageTrouble } from '../storage/db'
import { deleteFormulas, getFormula, listFormulas, addRecords, saveFormula } from '../storage/formulas'
import { getSetting, setSetting } from '../storage/settings'
import type { FormulaRecord } from '../storage/schema'
import { useBin } from './bin'

export interface Made {
  id: string
  name: string
  stored: boolean
}

const now = () => new Date().toISOString()

export const useLibrary = defineStore('library', () => {
  const records = shallowRef<FormulaRecord[]>([])
  const ready = shallowRef(false)
  const storageProblem = shallowRef<string | null>(null)
  const trouble = shallowRef<StorageTrouble | null>(null)
  /** Formulas that the browser would not store: they live until the page is left. */
  const unstored = new Map<string, FormulaRecord>()

  const hasDemo = computed(() => records.value.some((r) => r.demo))
  const names = computed(() => records.value.map((r) => r.formula.name))
  /** Names of what is being stored: of two files that come in together each gets a name of its own. */
  const coming = new Set<string>()

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
      await refresh()
      if (storageProblem.value === null) {
        const seen = await getSetting<boolean>('demoOffered')
        if (!seen && records.value.length === 0) await loadDemo()
        else if (!seen) await setSetting('demoOffered', true)
        void useBin().sweep()
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
      return {
        id: `example-${slug(formula.name)}`,
        formula,
        rev: 1,
        createdAt: stamp,
        updatedAt: stamp,
        demo: true,
      }
    })
    try {
      await addRecords(demo)
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
    const made = withKeys({ ...formula, name: freeName(formula.name, [...names.value, ...coming]) })
    const fault = formulaFault(made)
    if (fault) throw new Error(texts.thisFormulaCannotBeStored(fault))
    const { name } = made
    coming.add(name)
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
    } finally {
      coming.delete(name)
    }
  }

  const copy = async (record: FormulaRecord) =>
    (await create(duplicate(record.formula, record.formula.name))).id

  /** Moves formulas to the bin; gives back how to undo it, null where they could not be. */
  async function remove(ids: readonly string[]): Promise<(() => Promise<void>) | null> {
    ids.forEach((id) => unstored.delete(id))
    const name =
      ids.length === 1
        ? (records.value.find((r) => r.id === ids[0])?.formula.name ?? texts.theFormula)
        : texts.formulas(ids.length)
    const bins = await useBin().deleting(name, (forGood) => deleteFormulas(ids, now(), makeId, forGood))
    if (!bins) return null
    records.value = records.value.filter((r) => !ids.includes(r.id))
    ids.forEach((id) => announce({ type: 'formula', id }))
    return useBin().undoOf(bins)
  }

  listen((message) => {
    if (message.type === 'formula') return reread(message.id)
    if (message.type === 'all') return refresh()
  })

  return {
    records,
    ready,
    storageProblem,
    trouble,
    hasDemo,
    names,
    unstored,
    start,
    refresh,
    reread,
    note,
    create,
    copy,
    remove,
    loadDemo,
  }
})
