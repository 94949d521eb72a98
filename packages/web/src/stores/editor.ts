import {
  applyEdit,
  assess,
  capOf,
  duplicate,
  findAll,
  freeName,
  withIds,
  type Edit,
  type Formula,
} from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { announce, listen, makeId, TAB } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { ConflictError, getFormula, GoneError, saveFormula } from '../storage/formulas'
import type { FormulaRecord } from '../storage/schema'
import { useLibrary } from './library'
import { useMaterials } from './materials'

type SaveState = 'saved' | 'saving' | 'failed' | 'conflict' | 'gone'

interface Step {
  formula: Formula
  /** Steps with the same key, one after the other, are one step: the letters of one word. */
  key: string | null
}

/** The open formula: what it says, what was worked out from it, its undo history and how it is saved. */
export const useEditor = defineStore('editor', () => {
  const materials = useMaterials()
  const library = useLibrary()

  const id = ref<string | null>(null)
  const formula = shallowRef<Formula | null>(null)
  const past = shallowRef<readonly Step[]>([])
  const future = shallowRef<readonly Formula[]>([])
  const state = ref<SaveState>('saved')
  const problem = ref<string | null>(null)
  const elsewhere = shallowRef<FormulaRecord | null>(null)
  let rev = 0
  let saving: Promise<void> | null = null
  let dirty = false
  let lastKey: string | null = null

  const assessment = computed(() => (formula.value ? assess(formula.value, materials.catalogue) : null))
  const findings = computed(() => (assessment.value ? findAll(assessment.value) : []))
  const caps = computed(() => assessment.value?.lines.map((_, i) => capOf(assessment.value!, i)) ?? [])
  const canUndo = computed(() => past.value.length > 0)
  const canRedo = computed(() => future.value.length > 0)

  /** Opens a stored formula; false when there is none of that id. */
  async function open(wanted: string): Promise<boolean> {
    if (id.value === wanted && formula.value && state.value !== 'gone') return true
    await flush()
    const record = library.unstored.get(wanted) ?? (await getFormula(wanted))
    if (!record) return false
    id.value = record.id
    rev = record.rev
    formula.value = withIds(record.formula, makeId)
    past.value = []
    future.value = []
    lastKey = null
    dirty = false
    elsewhere.value = null
    state.value = 'saved'
    problem.value = null
    if (rev === 0) {
      dirty = true
      await save()
    }
    return true
  }

  function change(next: Formula, key: string | null) {
    const current = formula.value
    if (!current || next === current) return
    if (key === null || key !== lastKey) past.value = [...past.value, { formula: current, key }]
    lastKey = key
    future.value = []
    formula.value = withIds(next, makeId)
    dirty = true
    void save()
  }

  /** One edit as one undoable step; edits of one `key` in a row are one step together. */
  const apply = (edit: Edit, key: string | null = null) => {
    if (formula.value) change(applyEdit(formula.value, edit), key)
  }
  const replace = (next: Formula) => change(next, null)
  /** Ends a run of keyed edits, so that the next one is a step of its own. */
  const settle = () => {
    lastKey = null
  }

  function undo() {
    const step = past.value.at(-1)
    if (!step || !formula.value) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, formula.value]
    formula.value = step.formula
    lastKey = null
    dirty = true
    void save()
  }

  function redo() {
    const next = future.value.at(-1)
    if (!next || !formula.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, { formula: formula.value, key: null }]
    formula.value = next
    lastKey = null
    dirty = true
    void save()
  }

  async function writeOnce() {
    if (!id.value || !formula.value) return
    dirty = false
    state.value = 'saving'
    const sent = formula.value
    try {
      const record = await saveFormula(id.value, sent, rev, new Date().toISOString())
      rev = record.rev
      if (!dirty) state.value = 'saved'
      library.note(record)
      problem.value = null
      announce({ type: 'saved', id: record.id, tab: TAB })
    } catch (error) {
      dirty = true
      if (error instanceof ConflictError) {
        elsewhere.value = error.current
        state.value = 'conflict'
      } else if (error instanceof GoneError) {
        state.value = 'gone'
      } else {
        state.value = 'failed'
        problem.value = explainStorage(error)
      }
    }
  }

  /** Writes what has changed; changes made meanwhile go with the next round. Waits while a conflict is open. */
  function save(): Promise<void> {
    if (state.value === 'conflict' || state.value === 'gone') return Promise.resolve()
    saving ??= (async () => {
      while (dirty && state.value !== 'conflict' && state.value !== 'gone') {
        await writeOnce()
        if (state.value === 'failed') break
      }
      saving = null
    })()
    return saving
  }

  async function flush() {
    if (dirty) await save()
    await saving
  }

  function adopt(record: FormulaRecord) {
    if (formula.value) past.value = [...past.value, { formula: formula.value, key: null }]
    future.value = []
    lastKey = null
    rev = record.rev
    formula.value = withIds(record.formula, makeId)
    dirty = false
    elsewhere.value = null
    state.value = 'saved'
  }

  /** Takes what the other tab wrote; what stood here stays one undo away. */
  function takeOther() {
    if (elsewhere.value) adopt(elsewhere.value)
  }

  /** Keeps what stands here as a formula of its own and shows the other tab's under the old name. */
  async function keepAsCopy(): Promise<string | null> {
    const mine = formula.value
    if (!mine) return null
    const name = freeName(mine.name, library.names)
    const copyId = await library.create(duplicate(mine, name, makeId))
    if (copyId && elsewhere.value) adopt(elsewhere.value)
    else if (copyId) state.value = 'saved'
    return copyId
  }

  /** Stores a formula again that another tab deleted. */
  async function storeAgain() {
    rev = 0
    state.value = 'saving'
    dirty = true
    await save()
  }

  listen(async (message) => {
    if (message.type === 'library' || message.id !== id.value) return
    if (message.type === 'deleted') {
      state.value = 'gone'
      return
    }
    if (dirty || saving) return
    const record = await getFormula(message.id)
    if (record && record.rev > rev && !dirty) adopt(record)
  })

  addEventListener('pagehide', () => void save())

  return {
    id,
    formula,
    assessment,
    findings,
    caps,
    state,
    problem,
    elsewhere,
    canUndo,
    canRedo,
    open,
    apply,
    replace,
    settle,
    undo,
    redo,
    flush,
    save,
    takeOther,
    keepAsCopy,
    storeAgain,
  }
})
