import {
  assess,
  countFindings,
  duplicate,
  findAll,
  freeName,
  isCaution,
  withIds,
  writeBackup,
  writeFormula,
  type Formula,
  type Imported,
  readFile,
  ReadError,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { announce, listen, makeId, TAB } from '../storage/channel'
import { explainStorage } from '../storage/db'
import {
  collectBackup,
  deleteFormulas,
  getSetting,
  listFormulas,
  putRecords,
  restoreBackup,
  saveFormula,
  setSetting,
  type Restored,
} from '../storage/formulas'
import type { FormulaRecord, VersionRecord } from '../storage/schema'
import { useLots } from './lots'
import { useMaterials } from './materials'

export interface Summary {
  record: FormulaRecord
  counts: { stop: number; check: number; note: number }
  layers: { role: string; letter: string; percent: number }[]
  /** Words that a search looks through. */
  words: string
  lines: number
}

/** What became of an imported file: a sentence, and where to go. */
export type Taken = { message: string; id?: string; batch?: string } | { error: string }

const now = () => new Date().toISOString()

export const useLibrary = defineStore('library', () => {
  const materials = useMaterials()
  const records = shallowRef<FormulaRecord[]>([])
  const ready = shallowRef(false)
  const storageProblem = shallowRef<string | null>(null)
  const lastBackup = shallowRef<string | null>(null)
  let cache = new WeakMap<Formula, Omit<Summary, 'record'>>()
  let cachedFor = materials.catalogue
  /** Formulas that the browser would not store: they live until the page is left. */
  const unstored = new Map<string, FormulaRecord>()

  function summarise(record: FormulaRecord): Summary {
    if (cachedFor !== materials.catalogue) {
      cachedFor = materials.catalogue
      cache = new WeakMap()
    }
    let rest = cache.get(record.formula)
    if (!rest) {
      const a = assess(record.formula, materials.catalogue)
      const findings = findAll(a)
      rest = {
        counts: countFindings(findings.filter((f) => !isCaution(f) || f.severity !== 'note')),
        layers: a.phases.map(({ role, letter, percent }) => ({ role, letter, percent })),
        words: [record.formula.name, ...a.lines.map((l) => `${l.label} ${l.material?.inci.join(' ') ?? ''}`)]
          .join(' ')
          .toLowerCase(),
        lines: a.lines.length,
      }
      cache.set(record.formula, rest)
    }
    return { record, ...rest }
  }

  const summaries = computed(() => records.value.map(summarise))
  const hasDemo = computed(() => records.value.some((r) => r.demo))
  const names = computed(() => records.value.map((r) => r.formula.name))

  async function refresh() {
    try {
      records.value = await listFormulas()
      storageProblem.value = null
    } catch (error) {
      storageProblem.value = explainStorage(error)
      records.value = [...unstored.values()]
    }
  }

  /** Takes in what was just written, so that the list need not be read again. */
  function note(record: FormulaRecord) {
    unstored.delete(record.id)
    records.value = [record, ...records.value.filter((r) => r.id !== record.id)]
  }

  /** First visit: an empty store that never held anything gets the examples. */
  async function start() {
    await Promise.all([materials.load(), useLots().load()])
    await refresh()
    if (storageProblem.value === null) {
      lastBackup.value = (await getSetting<string>('lastBackup')) ?? null
      const seen = await getSetting<boolean>('demoOffered')
      if (!seen && records.value.length === 0) await loadDemo()
      else if (!seen) await setSetting('demoOffered', true)
    }
    ready.value = true
  }

  async function loadDemo() {
    const { demoFormulas } = await import('../demo')
    const at = Date.now()
    const demo = demoFormulas().map((formula, i): FormulaRecord => {
      const stamp = new Date(at - i * 36e5 * 7).toISOString()
      return {
        id: makeId(),
        formula: withIds(formula, makeId),
        rev: 1,
        createdAt: stamp,
        updatedAt: stamp,
        demo: true,
      }
    })
    await putRecords(demo)
    await setSetting('demoOffered', true)
    await refresh()
    announce({ type: 'library', tab: TAB })
  }

  const guard = async <T>(work: () => Promise<T>): Promise<T | null> => {
    try {
      const value = await work()
      await refresh()
      announce({ type: 'library', tab: TAB })
      return value
    } catch (error) {
      storageProblem.value = explainStorage(error)
      return null
    }
  }

  /** Stores a new formula and returns its id; without storage it is kept in memory, and the problem is said. */
  async function create(formula: Formula): Promise<string> {
    const id = makeId()
    const made = withIds({ ...formula, name: freeName(formula.name, names.value) }, makeId)
    const stored = await guard(async () => saveFormula(id, made, 0, now()))
    if (!stored) {
      unstored.set(id, { id, formula: made, rev: 0, createdAt: now(), updatedAt: now(), demo: false })
      records.value = [...unstored.values(), ...records.value.filter((r) => !unstored.has(r.id))]
    }
    return id
  }

  const copy = (record: FormulaRecord) => create(duplicate(record.formula, record.formula.name, makeId))

  const remove = (ids: readonly string[]) =>
    guard(async () => {
      const gone = await deleteFormulas(ids)
      ids.forEach((id) => announce({ type: 'deleted', id, tab: TAB }))
      return gone
    })
  const putBack = (gone: { formulas: FormulaRecord[]; versions: VersionRecord[] }) =>
    guard(async () => putRecords(gone.formulas, gone.versions))
  const removeDemo = () => remove(records.value.filter((r) => r.demo).map((r) => r.id))

  const exportText = (formula: Formula) => writeFormula(materials.selfContained(formula))

  async function backupText(ids?: readonly string[]) {
    const text = writeBackup(await collectBackup(now(), ids))
    if (!ids) {
      lastBackup.value = now()
      await setSetting('lastBackup', lastBackup.value)
    }
    return text
  }

  /** Reads a file and stores it whole, or says why not. */
  async function importText(text: string): Promise<Taken> {
    let imported: Imported
    try {
      imported = readFile(text)
    } catch (error) {
      if (error instanceof ReadError) return { error: error.message }
      throw error
    }
    if (imported.kind === 'formula') {
      const wanted = imported.formula.name.trim() || 'Unnamed formula'
      const id = await create({ ...imported.formula, name: wanted })
      const name = records.value.find((r) => r.id === id)?.formula.name ?? wanted
      const renamed = name !== wanted ? `; a formula called ${wanted} was here already` : ''
      return { message: `Imported as ${name}${renamed}.`, id }
    }
    const { headFrom, takeIn } = await import('./batch-files')
    if (imported.kind === 'batch') return takeIn(imported.batch)
    const { backup } = imported
    const restored = await guard<Restored>(() => restoreBackup(backup, makeId, freeName, headFrom))
    if (!restored) return { error: storageProblem.value ?? 'It could not be stored.' }
    await Promise.all([materials.load(), useLots().load()])
    const { added, same, copies } = restored
    return {
      message: `Restored: ${added} added, ${same} already here${copies ? `, ${copies} kept beside yours as copies` : ''}.`,
    }
  }

  listen((message) => {
    if (message.type !== 'batch') void refresh()
  })

  return {
    records,
    summaries,
    ready,
    storageProblem,
    lastBackup,
    hasDemo,
    names,
    unstored,
    start,
    refresh,
    note,
    create,
    copy,
    remove,
    putBack,
    removeDemo,
    loadDemo,
    exportText,
    backupText,
    importText,
  }
})
