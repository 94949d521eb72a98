import {
  catalogue,
  judgeSteps,
  planTrial,
  sittingsOf,
  usualAttributes,
  variantOptions,
  withAnswer,
  type PlannedTrial,
} from '@omblet/core'
import { effectScope } from 'vue'
import { demoFormulas } from '../src/demo'

export const AT = '2026-03-01T10:00:00.000Z'
export const lotion = demoFormulas().find((f) => f.name.startsWith('Gull Wing'))!
export const waxes = variantOptions({ formula: lotion, varies: 'emulsifier' }, catalogue).slice(0, 3)
export const trialOf = (patch: Partial<Parameters<typeof planTrial>[0]> = {}): PlannedTrial =>
  planTrial({
    id: 't1',
    name: 'Which wax',
    now: AT,
    seed: 5,
    of: { id: 'f1', name: lotion.name },
    product: { kind: 'lotion', hair: false },
    varies: 'emulsifier',
    what: 'the emulsifier',
    batchGrams: 60,
    samples: waxes.map((o) => ({ name: o.label, formula: o.formula })),
    reference: 0,
    attributes: usualAttributes('lotion').slice(0, 3),
    decides: 'spread',
    people: ['Ina', 'Bo'],
    rounds: 1,
    choosing: [],
    ...patch,
  })
export const inScope = <T>(work: () => T): T => effectScope(true).run(work)!
/** Everybody answers everything; `of` tells what is scored for a sample. */
export function judgeAll(
  trial: PlannedTrial,
  of: (sample: string, attribute: string) => number,
): PlannedTrial {
  let t = trial
  for (const sitting of sittingsOf(trial))
    for (const step of judgeSteps(trial, sitting))
      if (step.kind === 'score')
        t = withAnswer(t, sitting.person, sitting.round, step.key, {
          value: of(sitting.served.find((s) => s.code === step.code)!.sample, step.attribute.id),
        })!
  return t
}
