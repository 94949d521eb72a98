import { conclusionText } from '@omblet/core/words'
import { asVersionOf, bringsTrial, decided, trialVerdict, type PlannedTrial } from '@omblet/core'
import { addTrial, changeTrial, getTrial } from '../storage/trials'
import { makeId, tellAll } from '../storage/channel'
import { addVersion, listVersions } from '../storage/formulas'
import { useLibrary } from './library'
import { useTrials } from './trials'

/** Puts the trials of the examples beside one's own; what is there already stays. */
export async function takeInDemoTrials() {
  const { demoTrials } = await import('../demo-trials')
  const library = useLibrary()
  const idOf = (name: string) => library.records.find((r) => r.formula.name === name)?.id ?? null
  for (const trial of demoTrials(Date.now(), idOf)) {
    const here = await getTrial(trial.plan.id)
    if (!here) {
      await addTrial(trial)
      await keepWinner(trial)
    }
    if (here && bringsTrial(here, trial) === 'more') await changeTrial(trial.plan.id, () => trial)
  }
  await tellAll({ type: 'all' })
  await useTrials().load()
}

/** What the decided one kept stands among the versions of its formula, beside the one from before. */
async function keepWinner(trial: PlannedTrial) {
  const { decision, of } = trial.plan
  const winner = trial.samples.find((s) => s.id === decision?.keep)
  const sheet = useLibrary().records.find((r) => r.id === of?.id)
  if (!decision || !winner?.formula || !sheet || (await listVersions(sheet.id)).length > 0) return
  await addVersion(sheet.id, sheet.formula, 'as it was sold at the quay', makeId(), trial.plan.createdAt)
  const { number } = await addVersion(
    sheet.id,
    asVersionOf(sheet.formula, winner.formula),
    `${winner.name}, from a trial`,
    makeId(),
    decision.at,
    {
      reason: decision.because,
      result: trialVerdict(trial).head.map(conclusionText).join(' '),
      rating: 4,
      trialId: trial.plan.id,
    },
  )
  await changeTrial(trial.plan.id, (here) => decided(here, { ...decision, version: number }))
}
