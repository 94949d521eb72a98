import type { PlannedTrial } from '@omblet/core'
import { toBin } from './bin'
import { openStore, whole } from './db'
import { putVersion, type NewVersion } from './formulas'

export const listTrials = async (): Promise<PlannedTrial[]> => (await openStore()).getAll('trials')
export const getTrial = async (id: string): Promise<PlannedTrial | undefined> =>
  (await openStore()).get('trials', id)
export async function addTrial(trial: PlannedTrial) {
  await (await openStore()).add('trials', trial)
}

/** The trial is not here any more. */
export class TrialGone extends Error {}

/**
 * Changes a trial as it stands in the store, read and written in one transaction, so that what two phones or tabs answer
 * adds up. `change` gives null where there is nothing to change; then what stands is given back. Throws `TrialGone`.
 */
export async function changeTrial(
  id: string,
  change: (trial: PlannedTrial) => PlannedTrial | null,
): Promise<PlannedTrial> {
  const db = await openStore()
  const tx = db.transaction('trials', 'readwrite')
  return whole(tx, async (put) => {
    const here = await tx.store.get(id)
    if (!here) throw new TrialGone()
    const next = change(here)
    if (next) put(tx.store.put(next))
    return next ?? here
  })
}

/** Somebody decided it already, in another tab. */
export class Decided extends Error {}

/**
 * Decides a trial: the decision and the version that it goes into the formula as are stored as one, and once. Throws
 * `TrialGone`, or `Decided` where it was decided meanwhile.
 */
export async function decideTrial(
  id: string,
  decide: (here: PlannedTrial, version: number | undefined) => PlannedTrial,
  version: NewVersion | null,
): Promise<PlannedTrial> {
  const db = await openStore()
  const tx = db.transaction(['trials', 'formulas', 'versions'], 'readwrite')
  return whole(tx, async (put) => {
    const here = await tx.objectStore('trials').get(id)
    if (!here) throw new TrialGone()
    if (here.plan.decision) throw new Decided()
    const made = version && (await putVersion(tx, version, put))
    const next = decide(here, made?.number)
    put(tx.objectStore('trials').put(next))
    return next
  })
}

/** Moves a trial to the bin and gives back where it lies there; null where it was gone. */
export async function deleteTrial(
  id: string,
  now: string,
  makeId: () => string,
  forGood = false,
): Promise<string | null> {
  const db = await openStore()
  const tx = db.transaction(['trials', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const trial = await tx.objectStore('trials').get(id)
    if (!trial) return null
    const bin = toBin({ kind: 'trial', trial }, trial.name, now, makeId)
    if (!forGood) put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('trials').delete(id))
    return bin.id
  })
}
