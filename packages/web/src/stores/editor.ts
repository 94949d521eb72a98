import { fullText } from '@omblet/core/words'
import {
  applyEdit,
  duplicate,
  formulaFault,
  freeName,
  fullReason,
  sameFormula,
  withKeys,
  type Edit,
  type Formula,
} from '@omblet/core'
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { useUnstored } from '../browser/unstored'
import { announce, listen } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { ConflictError, getFormula, GoneError, saveFormula } from '../storage/formulas'
import type { FormulaRecord } from '../storage/schema'
import { useDrafts, type Step } from './drafts'
import { useLibrary } from './library'
import { useMaterials } from './materials'

type SaveState = 'saved' | 'saving' | 'failed' | 'conflict' | 'gone'

/**
 * The open formula: what it says, what was worked out from it, its undo history and how it is saved. Changes that cannot
 * be stored stay here when another formula is opened, over a reload too, are named, and are tried again.
 */
export const useEditor = defineStore('editor', () => {
  const materials = useMaterials()
  const library = useLibrary()
  const laid = useDrafts()

  const id = ref<string | null>(null)
  const formula = shallowRef<Formula | null>(null)
  const past = shallowRef<readonly Step[]>([])
  const future = shallowRef<readonly Formula[]>([])
  const state = ref<SaveState>('saved')
  const problem = ref<string | null>(null)
  const elsewhere = shallowRef<FormulaRecord | null>(null)
  /** Why the last edit was not made: what it would have made could not be read again. */
  const refused = ref<string | null>(null)
  let rev = 0
  let saving: Promise<void> | null = null
  let dirty = false
  let lastKey: string | null = null

  /** What follows from it. */
  const derived = computed(() => (formula.value ? materials.derive(formula.value) : null))
  const assessment = computed(() => derived.value?.assessment ?? null)
  const findings = computed(() => derived.value?.findings ?? [])
  const canUndo = computed(() => past.value.length > 0)
  const canRedo = computed(() => future.value.length > 0)

  /** Lays the open formula aside where its last changes are not stored. */
  function layAside() {
    if (!id.value || !formula.value || !dirty) return
    const now = state.value === 'conflict' || state.value === 'gone' ? state.value : 'failed'
    laid.layAside(id.value, { formula: formula.value, rev, past: past.value, state: now })
  }

  /** How the last opening went, and why the store would not tell. */
  const opening = shallowRef<{ id: string; how: 'opening' | 'here' | 'missing' | 'refused'; why: string }>({
    id: '',
    how: 'opening',
    why: '',
  })

  /** Opens a stored formula; how that went stands in `opening`. */
  async function open(wanted: string): Promise<boolean> {
    opening.value = { id: wanted, how: 'opening', why: '' }
    let found = false
    try {
      found = await openStored(wanted)
      opening.value = { id: wanted, how: found ? 'here' : 'missing', why: '' }
    } catch (error) {
      opening.value = { id: wanted, how: 'refused', why: explainStorage(error) }
    }
    return found
  }

  /** False when there is none of that id; rejects with the store's error where it cannot tell. */
  async function openStored(wanted: string): Promise<boolean> {
    if (id.value === wanted && formula.value && state.value !== 'gone') return true
    await flush()
    layAside()
    let draft = laid.drafts.get(wanted)
    const record =
      library.unstored.get(wanted) ??
      (await getFormula(wanted).catch((error: unknown) => {
        if (!draft) throw error
        return undefined
      }))
    if (!record && !draft) return false
    // The store had taken it before the page that wrote it could hear so.
    if (record && draft && sameFormula(record.formula, draft.formula)) {
      laid.drop(wanted)
      draft = undefined
    }
    id.value = wanted
    rev = draft?.rev ?? record!.rev
    formula.value = withKeys(draft?.formula ?? record!.formula)
    past.value = draft?.past ?? []
    future.value = []
    lastKey = null
    dirty = draft !== undefined
    elsewhere.value = null
    state.value = 'saved'
    problem.value = null
    refused.value = null
    if (draft) {
      laid.drop(wanted)
      state.value = draft.state === 'gone' && !record ? 'gone' : 'saving'
      laid.safekeep(wanted, { ...draft, rev })
      await save()
    } else if (rev === 0) {
      dirty = true
      await save()
    }
    return true
  }

  function change(next: Formula, key: string | null) {
    const current = formula.value
    if (!current || next === current) return
    const whole = withKeys(next, true)
    refused.value = formulaFault(whole)
    if (refused.value !== null) return
    if (key === null || key !== lastKey) past.value = [...past.value, { formula: current, key }]
    lastKey = key
    future.value = []
    formula.value = whole
    dirty = true
    void save()
  }

  /** One edit as one undoable step; edits of one `key` in a row are one step together. */
  const apply = (edit: Edit, key: string | null = null) => {
    if (!formula.value) return
    const full = edit.type === 'add-line' ? 'line' : edit.type === 'add-phase' ? 'phase' : null
    const why = full && fullReason(formula.value, full)
    if (why) refused.value = fullText(why)
    else change(applyEdit(formula.value, edit), key)
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
      if (!dirty) {
        state.value = 'saved'
        laid.release(record.id)
      }
      library.note(record)
      problem.value = null
      announce({ type: 'formula', id: record.id })
    } catch (error) {
      dirty = true
      laid.safekeep(id.value, { formula: sent, rev, state: 'failed' })
      if (error instanceof ConflictError) {
        elsewhere.value = error.current
        state.value = 'conflict'
      } else if (error instanceof GoneError) {
        state.value = 'gone'
      } else {
        state.value = 'failed'
        problem.value = explainStorage(error)
        later()
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

  /** Room may have come back: stores what waits. */
  const tryAgain = async () => {
    if (state.value === 'failed') await save()
  }

  function adopt(record: FormulaRecord) {
    if (formula.value) past.value = [...past.value, { formula: formula.value, key: null }]
    future.value = []
    lastKey = null
    rev = record.rev
    formula.value = withKeys(record.formula)
    dirty = false
    elsewhere.value = null
    state.value = 'saved'
    laid.release(record.id)
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
    const made = await library.create(duplicate(mine, name))
    if (made.stored && elsewhere.value) adopt(elsewhere.value)
    return made.stored ? made.id : null
  }

  /** Stores a formula again that another tab deleted. */
  async function storeAgain() {
    rev = 0
    state.value = 'saving'
    dirty = true
    await save()
  }

  listen(async (message) => {
    if (message.type !== 'all' && !(message.type === 'formula' && message.id === id.value)) return
    const open = id.value
    if (!open || saving || state.value === 'conflict') return
    const record = await getFormula(open).catch(() => null)
    if (record === null || id.value !== open) return
    if (!record) {
      if (rev > 0) state.value = 'gone'
    } else if (state.value === 'gone' && !dirty) adopt(record)
    else if (record.rev > rev && !dirty) adopt(record)
  })

  useEventListener(window, 'pagehide', () => void save())
  const { later } = useUnstored(() => dirty || saving !== null, tryAgain)

  return {
    id,
    formula,
    assessment,
    findings,
    derived,
    state,
    problem,
    refused,
    opening,
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
    tryAgain,
    takeOther,
    keepAsCopy,
    storeAgain,
  }
})
