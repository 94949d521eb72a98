import {
  catalogue,
  decided,
  ended,
  judgeSteps,
  planTrial,
  sayPercent,
  sittingsOf,
  usualAttributes,
  variantOptions,
  withAnswer,
  withFound,
  type PlannedTrial,
} from '@omblet/core'
import { demoFormulas } from './demo'

const DAY = 86_400_000

/** What a sample of a demo trial feels like, by attribute: its middle, before a person and a day are off by a little. */
type Feels = Record<string, readonly number[]>
/** Off by so much, the same each time it is asked. */
const off = (person: number, round: number, sample: number) =>
  Math.sin(person * 3.1 + round * 1.7 + sample * 2.3)

function judged(trial: PlannedTrial, feels: Feels, sittings: number): PlannedTrial {
  let t = trial
  for (const sitting of sittingsOf(trial).slice(0, sittings)) {
    const person = trial.plan.people.findIndex((p) => p.id === sitting.person)
    for (const step of judgeSteps(trial, sitting)) {
      if (step.kind === 'pair')
        t = withAnswer(t, sitting.person, sitting.round, step.key, { chosen: step.codes[0]! }) ?? t
      if (step.kind !== 'score') continue
      const sample = trial.samples.findIndex(
        (s) => s.id === sitting.served.find((x) => x.code === step.code)!.sample,
      )
      const middle = feels[step.attribute.id]?.[sample] ?? 5
      const wide = step.attribute.ask === 'seconds' ? 9 : 1
      const [low, high] = step.attribute.scale ?? [0, 10]
      const value = Math.min(
        high,
        Math.max(low, Math.round(middle + wide * off(person, sitting.round, sample))),
      )
      t = withAnswer(t, sitting.person, sitting.round, step.key, { value }) ?? t
    }
  }
  return t
}

type IdOf = (name: string) => string | null

/** Two trials of the harbour town: four emulsifiers in the lotion, judged and decided, and levels of glycerin, under way. */
export function demoTrials(now: number, idOf: IdOf): PlannedTrial[] {
  const at = (days: number) => new Date(now - days * DAY).toISOString()
  return [waxTrial(at, idOf), glycolTrial(at, idOf)]
}

/** Four emulsifiers in the lotion, judged and decided. */
function waxTrial(at: (days: number) => string, idOf: IdOf): PlannedTrial {
  const lotion = demoFormulas().find((f) => f.name.startsWith('Gull Wing'))!
  const waxes = variantOptions({ formula: lotion, varies: 'emulsifier' }, catalogue)
  const current = waxes.find((o) => o.current)!
  const others = waxes.filter((o) => !o.current && o.stops <= current.stops).slice(0, 3)
  const first = planTrial({
    id: 'demo-trial-waxes',
    name: 'Which wax for Gull Wing?',
    now: at(24),
    seed: 1907,
    of: { id: idOf(lotion.name), name: lotion.name },
    product: { kind: 'lotion', hair: false },
    varies: 'emulsifier',
    what: 'the emulsifier',
    batchGrams: 60,
    samples: [current, ...others].map((o) => ({
      name: `${o.label}, ${sayPercent(o.percent!)}`,
      formula: o.formula,
    })),
    reference: 0,
    attributes: usualAttributes('lotion').slice(0, 5),
    decides: 'spread',
    people: ['Ina', 'Bo', 'Una'],
    rounds: 2,
    choosing: [],
  })
  const feels: Feels = {
    spread: [3, 4.6, 8.4, 6],
    whiteness: [1.6, 8, 5, 3.6],
    absorption: [52, 58, 44, 50],
    tack: [3, 3.4, 2.8, 3.2],
    greasiness: [4, 5, 4.2, 4.4],
  }
  let done = ended(judged(first, feels, 6), at(20))
  for (const [sample, body] of [
    ['a', 'cream'],
    ['b', 'lotion'],
    ['c', 'cream'],
    ['d', 'lotion'],
  ] as const)
    done = withFound(done, { sample, what: 'body', choice: body })
  for (const [sample, frost] of [
    ['a', 'held'],
    ['b', 'split'],
    ['c', 'held'],
    ['d', 'softer'],
  ] as const)
    done = withFound(done, { sample, what: 'frost', choice: frost })
  done = withFound(done, { sample: 'a', what: 'ph', value: 4.1 })
  done = decided(done, {
    keep: 'c',
    because: 'It glides further and holds the frost.',
    next: 'Half the cetyl alcohol, for less white.',
    at: at(19),
  })
  return done
}

/** Levels of the humectant in the gel, under way. */
function glycolTrial(at: (days: number) => string, idOf: IdOf): PlannedTrial {
  const gel = demoFormulas().find((f) => f.name.startsWith('Salt Breeze'))!
  const humectant = variantOptions(
    {
      formula: gel,
      varies: 'level',
      line: gel.phases[0]!.lines.findIndex((l) => l.fill === undefined),
      percents: [2, 4, 8],
    },
    catalogue,
  )
  const second = planTrial({
    id: 'demo-trial-glycol',
    name: 'How sticky may Salt Breeze be?',
    now: at(2),
    seed: 811,
    of: { id: idOf(gel.name), name: gel.name },
    product: { kind: 'gel', hair: false },
    varies: 'level',
    what: 'the amount of one humectant',
    batchGrams: 60,
    samples: humectant.map((o) => ({ name: o.label, formula: o.formula })),
    reference: null,
    attributes: usualAttributes('gel'),
    decides: 'tack',
    people: ['Ina', 'Ole'],
    rounds: 1,
    choosing: [{ kind: 'pair', a: 0, b: 2 }],
  })
  return judged(second, { tack: [2, 4, 7] }, 1)
}
