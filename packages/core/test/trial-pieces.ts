import { readdirSync, readFileSync } from 'node:fs'
import { catalogue, readFormula } from '../src/index.ts'
import { usualAttributes } from '../src/trials/data.ts'
import type { TrialWish } from '../src/trials/plan.ts'
import { materialOptions } from '../src/trials/variants.ts'

export const demo = new URL('../../../demo/', import.meta.url)
export const demos = readdirSync(demo).map((name) => readFormula(readFileSync(new URL(name, demo), 'utf8')))
export const lotion = demos.find((f) => f.name.startsWith('Gull Wing'))!
export const wish = (patch: Partial<TrialWish> = {}): TrialWish => ({
  id: 't1',
  name: 'Which wax',
  now: '2026-03-01T10:00:00.000Z',
  seed: 7,
  of: { id: 'f1', name: lotion.name },
  product: { kind: 'lotion', hair: false },
  varies: 'emulsifier',
  what: 'the emulsifier',
  batchGrams: 60,
  samples: materialOptions(lotion, catalogue, 'emulsifier')
    .slice(0, 4)
    .map((o) => ({ name: o.label, formula: o.formula })),
  reference: 0,
  attributes: usualAttributes('lotion'),
  decides: 'spread',
  people: ['Ina', 'Bo', 'Una'],
  rounds: 2,
  choosing: [],
  ...patch,
})
