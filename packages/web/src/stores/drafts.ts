import { Formula as FormulaShape, withKeys, type Formula } from '@omblet/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import * as z from 'zod'
import { useUnstored } from '../browser/unstored'
import { announce } from '../storage/channel'
import { ConflictError, GoneError, saveFormula } from '../storage/formulas'
import { forget, keep, kept, keptNames } from '../storage/session-stash'
import { useLibrary } from './library'

/** A formula before an edit. */
export interface Step {
  formula: Formula
  /** Steps with the same key, one after the other, are one step: the letters of one word. */
  key: string | null
}

/** A formula whose last changes could not be stored, left for another page. */
export interface Draft {
  formula: Formula
  rev: number
  past: readonly Step[]
  state: 'failed' | 'conflict' | 'gone'
}
const NAME = 'formula:'
const KeptDraft = z.object({
  formula: FormulaShape,
  rev: z.number(),
  state: z.enum(['failed', 'conflict', 'gone']),
})

/** Changes that are not stored, apart from those of the open formula: named, kept over a reload, and tried again. */
export const useDrafts = defineStore('drafts', () => {
  const library = useLibrary()
  const drafts = shallowRef<ReadonlyMap<string, Draft>>(new Map())

  /** Keeps what stands in the open formula over a reload, without calling it laid aside. */
  const safekeep = (id: string, draft: Omit<Draft, 'past'>) =>
    keep(NAME + id, { formula: draft.formula, rev: draft.rev, state: draft.state })
  const release = (id: string) => forget(NAME + id)

  /** What an earlier page of this tab could not store. */
  const found = keptNames(NAME).flatMap((name): [string, Draft][] => {
    const draft = kept(NAME + name, (value) => KeptDraft.safeParse(value).data ?? null)
    return draft ? [[name, { ...draft, formula: withKeys(draft.formula), past: [] }]] : []
  })
  if (found.length > 0) drafts.value = new Map(found)

  const { later } = useUnstored(() => drafts.value.size > 0, tryAgain)
  later()

  function layAside(id: string, draft: Draft) {
    drafts.value = new Map(drafts.value).set(id, draft)
    safekeep(id, draft)
    later()
  }
  /** Takes a draft out; whoever takes it looks after it. */
  function drop(id: string) {
    const next = new Map(drafts.value)
    next.delete(id)
    release(id)
    drafts.value = next
  }

  /** Room may have come back: stores what only lacked room. What is in conflict waits for a choice. */
  async function tryAgain() {
    for (const [id, draft] of drafts.value) {
      if (draft.state !== 'failed') continue
      try {
        library.note(await saveFormula(id, draft.formula, draft.rev, new Date().toISOString()))
        announce({ type: 'formula', id })
        drop(id)
      } catch (error) {
        if (error instanceof ConflictError) layAside(id, { ...draft, state: 'conflict' })
        else if (error instanceof GoneError) layAside(id, { ...draft, state: 'gone' })
        else return later()
      }
    }
  }

  return { drafts, layAside, drop, safekeep, release, tryAgain }
})
