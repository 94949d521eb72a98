import { trials as texts } from '#words/stores'
import { withAnswer, type JudgeAnswer, type PlannedTrial } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { plain } from '../browser/plain'
import { announce, listen, makeId } from '../storage/channel'
import { explainStorage } from '../storage/db'
import { addTrial, changeTrial, deleteTrial, getTrial, listTrials, TrialGone } from '../storage/trials'
import { useBin } from './bin'

export const TRIAL_GONE = texts.thisTrialWasDeletedIn

/** Trials, as they stand in the store; every change is made to what stands there, so that two tabs add up. */
export const useTrials = defineStore('trials', () => {
  const trials = shallowRef<PlannedTrial[]>([])
  const ready = shallowRef(false)
  const problem = shallowRef<string | null>(null)
  const newest = (list: PlannedTrial[]) =>
    list.sort((x, y) => y.plan.createdAt.localeCompare(x.plan.createdAt))
  const find = (id: string) => trials.value.find((t) => t.plan.id === id) ?? null
  /** Of one formula. */
  const ofFormula = (id: string) => trials.value.filter((t) => t.plan.of?.id === id)
  const running = computed(() => trials.value.filter((t) => !t.plan.decision))

  async function load() {
    try {
      trials.value = newest(await listTrials())
      problem.value = null
    } catch (error) {
      problem.value = explainStorage(error)
    }
    ready.value = true
  }
  const note = (id: string, trial: PlannedTrial | undefined) => {
    trials.value = newest([...trials.value.filter((t) => t.plan.id !== id), ...(trial ? [trial] : [])])
  }
  async function reread(id: string) {
    const trial = await getTrial(id).catch(() => null)
    if (trial !== null) note(id, trial)
  }

  /** Stores a new trial. Rejects with the store's error. */
  async function add(trial: PlannedTrial) {
    await addTrial(plain(trial))
    note(trial.plan.id, trial)
    announce({ type: 'trial', id: trial.plan.id })
  }
  /** Makes a change; false where it could not be stored, and then `problem` says why. */
  async function change(id: string, make: (trial: PlannedTrial) => PlannedTrial | null): Promise<boolean> {
    try {
      note(id, await changeTrial(id, (here) => plain(make(here))))
      problem.value = null
      announce({ type: 'trial', id })
      return true
    } catch (error) {
      if (error instanceof TrialGone) note(id, undefined)
      problem.value = error instanceof TrialGone ? TRIAL_GONE : explainStorage(error)
      return false
    }
  }
  /** Stores an answer of a judge; false where it could not be, or is no answer. */
  async function answer(id: string, person: string, round: number, key: string, given: JudgeAnswer) {
    let taken = false
    const stored = await change(id, (here) => {
      const next = withAnswer(here, person, round, key, given)
      taken = next !== null
      return next
    })
    return stored && taken
  }
  /** Moves a trial to the bin; gives back how to undo it. */
  async function remove(id: string): Promise<(() => Promise<void>) | null> {
    const name = find(id)?.name ?? texts.theTrial
    const bin = await useBin().deleting(name, (forGood) =>
      deleteTrial(id, new Date().toISOString(), makeId, forGood),
    )
    await reread(id)
    if (bin === null) return null
    announce({ type: 'trial', id })
    return useBin().undoOf([bin])
  }

  listen((message) => {
    if (message.type === 'trial') return reread(message.id)
    if (message.type === 'all') return load()
  })
  return { trials, ready, problem, running, find, ofFormula, load, reread, add, change, answer, remove }
})
