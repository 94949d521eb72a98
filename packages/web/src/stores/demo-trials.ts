import { bringsTrial } from '@omblet/core'
import { addTrial, changeTrial, getTrial } from '../storage/trials'
import { tellAll } from '../storage/channel'
import { useLibrary } from './library'
import { useTrials } from './trials'

/** Puts the trials of the examples beside one's own; what is there already stays. */
export async function takeInDemoTrials() {
  const { demoTrials } = await import('../demo-trials')
  const library = useLibrary()
  const idOf = (name: string) => library.records.find((r) => r.formula.name === name)?.id ?? null
  for (const trial of demoTrials(Date.now(), idOf)) {
    const here = await getTrial(trial.plan.id)
    if (!here) await addTrial(trial)
    else if (bringsTrial(here, trial) === 'more') await changeTrial(trial.plan.id, () => trial)
  }
  await tellAll({ type: 'all' })
  await useTrials().load()
}
