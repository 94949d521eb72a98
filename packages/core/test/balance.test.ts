// Changing a formula as little as possible so that wishes hold; the optimum is held against a second solver.
import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { solve, type Constraint } from 'yalps'
import {
  applyEdit,
  assess,
  balance,
  catalogue,
  findAll,
  type Formula,
  type Solver,
  type Wishes,
} from '../src/index.ts'
import { type BalanceContext } from '../src/balance/balance.ts'
import { type Program } from '../src/solve/lp.ts'
import { openHighs } from '../src/solve/highs.ts'
import { cream, formula, phase, simple } from './helpers.ts'

/** The same programs by the simplex tables of the package yalps (MIT), which shares no code with HiGHS. */
const second: Solver = {
  solve: ({ variables, rows }: Program) => {
    const constraints = new Map<string, Constraint>()
    const columns = new Map<string, Map<string, number>>()
    variables.forEach((v, i) => {
      columns.set(
        `x${i}`,
        new Map([
          ['cost', v.cost],
          [`b${i}`, 1],
        ]),
      )
      if (v.lower > 0 || Number.isFinite(v.upper))
        constraints.set(`b${i}`, { min: v.lower, ...(Number.isFinite(v.upper) ? { max: v.upper } : {}) })
    })
    rows.forEach((r, k) => {
      constraints.set(`r${k}`, {
        ...(Number.isFinite(r.lower) ? { min: r.lower } : {}),
        ...(Number.isFinite(r.upper) ? { max: r.upper } : {}),
      })
      for (const [i, c] of r.terms) {
        const column = columns.get(`x${i}`)!
        column.set(`r${k}`, (column.get(`r${k}`) ?? 0) + c)
      }
    })
    const found = solve(
      { direction: 'minimize', objective: 'cost', constraints, variables: columns },
      { precision: 1e-9, includeZeroVariables: true, maxPivots: 20_000 },
    )
    if (found.status !== 'optimal')
      return { status: found.status === 'unbounded' ? 'unbounded' : 'infeasible' }
    const values = new Map(found.variables)
    return {
      status: 'optimal',
      values: variables.map((_, i) => values.get(`x${i}`) ?? 0),
      objective: found.result,
    }
  },
  extremes: () => null,
}

let highs: Solver
beforeAll(async () => {
  highs = await openHighs()
})

const context: BalanceContext = { catalogue, priceOf: () => null }
const run = (f: Formula, wishes: Wishes, solver = highs, c = context) => balance(assess(f), wishes, c, solver)
const after = (f: Formula, wishes: Wishes) => {
  const result = run(f, wishes)
  expect(result.status).toBe('done')
  return assess(applyEdit(f, result.edit))
}

describe('what a balance reaches', () => {
  it('leaves a formula alone that has what is wished for', () => {
    const result = run(cream(), { oilPhasePercent: 20 })
    expect(result).toMatchObject({ status: 'done', changes: [], largestShare: 0 })
  })
  it('grows an oil phase in its own proportions and takes it from the water', () => {
    const a = after(cream(), { oilPhasePercent: 30 })
    expect(a.emulsion!.oilPhasePercent).toBeCloseTo(30, 2)
    const of = (id: string) => a.lines.find((l) => l.id === id)!.percent
    expect(of('caprylic-capric-triglyceride')).toBeCloseTo(12, 2)
    expect(of('squalane')).toBeCloseTo(9, 2)
    expect(of('cetyl-alcohol')).toBeCloseTo(3, 2)
    expect(of('glycerin')).toBe(4)
    expect(a.amounts.totalPercent).toBe(100)
  })
  it('brings a recipe without a fill line to 100 in its own proportions', () => {
    const f = formula([
      phase('All', 'water', [
        ['aqua', 60],
        ['glycerin', 10],
        ['propanediol', 10],
      ]),
    ])
    expect(after(f, {}).lines.map((l) => l.percent)).toEqual([75, 12.5, 12.5])
  })
  it('gives an amount to a line that has none, and says that it had none', () => {
    const f = simple([['glycerin', 4], ['allantoin']])
    const result = run(f, { ranges: true })
    expect(result.changes).toContainEqual(expect.objectContaining({ label: 'allantoin', from: null }))
    expect(findAll(assess(applyEdit(f, result.edit))).map((x) => x.code)).not.toContain('amount.missing')
  })
  it('meets the HLB that the oils want with the emulsifiers that are there', () => {
    const f = formula([
      phase('Water', 'water', [['aqua', 'fill']]),
      phase('Oil', 'oil', [
        ['sunflower oil', 12],
        ['isopropyl myristate', 6],
        ['polysorbate 80', 2],
        ['sorbitan oleate', 3],
      ]),
    ])
    const e = after(f, { hlb: true }).emulsion!
    expect(e.offeredHlb).toBeCloseTo(e.requiredHlb!, 1)
  })
  it('brings doses into their ranges and under the cap of law, whatever stands for them', () => {
    const f = simple([
      ['phenoxyethanol', 1.6],
      ['niacinamide', 14],
      ['glycerin', 4],
    ])
    const a = after(f, { ranges: true })
    const found = findAll(a).map((x) => x.code)
    expect(found).not.toContain('legal.above-cap')
    expect(found).not.toContain('usage.above-max')
    expect(a.lines.find((l) => l.id === 'phenoxyethanol')!.percent).toBe(1)
  })
  it('keeps what is held, and what was chosen for what it does', () => {
    const f = cream({ water: [['niacinamide', 4]] })
    const result = run(f, { oilPhasePercent: 26, keepActives: true, locked: [{ phase: 1, line: 0 }] })
    const touched = result.changes.map((c) => c.label)
    expect(touched).not.toContain('niacinamide')
    expect(touched).not.toContain('caprylic/capric triglyceride')
    expect(result.after.oilPhasePercent).toBeCloseTo(26, 2)
  })
  it('lowers the price and raises the share that is not synthetic', () => {
    const price: Record<string, number> = {
      squalane: 0.1,
      glycerin: 0.01,
      'caprylic-capric-triglyceride': 0.02,
    }
    const priced = { catalogue, priceOf: (id: string) => price[id] ?? null }
    const before = run(cream(), {}, highs, priced).after
    const result = run(cream(), { costMost: before.cost! * 0.7 }, highs, priced)
    expect(result.after.cost).toBeLessThanOrEqual(before.cost! * 0.7 + 0.001)
    expect(result.after.unpriced).toContain('cetyl alcohol')
    const natural = run(cream({ cool: [['phenoxyethanol, ethylhexylglycerin', 3]] }), { naturalLeast: 98.5 })
    expect(natural.after.naturalPercent).toBeGreaterThanOrEqual(98.49)
  })
  it('keeps the unit in which a line was typed', () => {
    const f = formula([
      phase('Water', 'water', [['aqua', 'fill']]),
      phase('Oil', 'oil', [
        ['squalane', undefined, { grams: 100 }],
        ['olivate emulsifier', 4],
      ]),
    ])
    const changed = applyEdit(f, run(f, { oilPhasePercent: 20 }).edit)
    expect(changed.phases[1]!.lines[0]).toMatchObject({ grams: expect.closeTo(142.9, 0) })
    expect(changed.phases[1]!.lines[0]!.percent).toBeUndefined()
  })
})

describe('what cannot be had', () => {
  it('names the fewest wishes that contradict one another, and the nearest', () => {
    const f = cream()
    const locked = [0, 1, 2, 3].map((line) => ({ phase: 1, line }))
    const result = run(f, { oilPhasePercent: 30, keepActives: true, ranges: true, locked })
    if (result.status !== 'impossible') throw new Error('should not be possible')
    expect(result.conflictIds.sort()).toEqual(['locked', 'oil-phase'])
    expect(result.missed).toEqual([
      {
        id: 'oil-phase',
        about: { code: 'oil-phase' },
        wanted: 'exactly',
        bound: 30,
        reached: expect.closeTo(20, 4),
      },
    ])
  })
  it('says how near the only emulsifier comes to an HLB', () => {
    const f = formula([
      phase('Water', 'water', [['aqua', 'fill']]),
      phase('Oil', 'oil', [
        ['isopropyl myristate', 15],
        ['sorbitan oleate', 4],
      ]),
    ])
    const result = run(f, { hlb: true })
    if (result.status !== 'impossible') throw new Error('should not be possible')
    expect(result.conflictIds).toEqual(['hlb'])
    expect(result.missed.find((m) => m.about.code === 'hlb')!.reached).toBeCloseTo(4.3, 1)
  })
  it('asks no HLB of water in oil', () => {
    const f = formula([
      phase('Water', 'water', [['aqua', 'fill']]),
      phase('Oil', 'oil', [
        ['squalane', 20],
        ['sunflower oil', 5],
        ['polyglyceryl-3 diisostearate', 4],
      ]),
    ])
    expect(run(f, { hlb: true })).toMatchObject({ status: 'done', changes: [] })
  })
  it('keeps enough water for an emulsion', () => {
    const result = run(cream(), { oilPhasePercent: 95, keepActives: true })
    expect(result.status).toBe('impossible')
    expect(result.after.oilPhasePercent).toBeGreaterThan(80)
  })
  it('finds the total itself in the way when everything is held', () => {
    const f = formula([
      phase('All', 'water', [
        ['aqua', 60],
        ['glycerin', 10],
      ]),
    ])
    const result = run(f, {
      locked: [
        { phase: 0, line: 0 },
        { phase: 0, line: 1 },
      ],
    })
    if (result.status !== 'impossible') throw new Error('should not be possible')
    expect(result.conflictIds.sort()).toEqual(['locked', 'total'])
  })
})

describe('against a second solver', () => {
  const oils = [
    'squalane',
    'sunflower oil',
    'isopropyl myristate',
    'shea butter',
    'jojoba oil',
    'cetyl alcohol',
  ]
  const waters = ['glycerin', 'propanediol', 'niacinamide', 'panthenol', 'urea', 'xanthan gum', 'allantoin']
  const some = (from: string[], most: number) =>
    fc
      .uniqueArray(fc.constantFrom(...from), { minLength: 2, maxLength: 5 })
      .chain((names) =>
        fc.tuple(...names.map((n) => fc.tuple(fc.constant(n), fc.integer({ min: 1, max: most * 10 })))),
      )
      .map((pairs) => pairs.map(([n, tenths]) => [n, tenths / 10] as [string, number]))
  const random = fc
    .tuple(some(oils, 9), some(waters, 5), fc.integer({ min: 10, max: 50 }), fc.integer({ min: 10, max: 50 }))
    .map(([oil, water, low, high]) =>
      formula([
        phase('Water', 'water', [['aqua', 'fill'], ...water]),
        phase('Oil', 'oil', [...oil, ['polysorbate 60', high / 10], ['sorbitan stearate', low / 10]]),
      ]),
    )
  const wishes = fc.record(
    {
      oilPhasePercent: fc.integer({ min: 4, max: 60 }),
      hlb: fc.boolean(),
      ranges: fc.boolean(),
      keepActives: fc.boolean(),
      naturalLeast: fc.integer({ min: 70, max: 99 }),
    },
    { requiredKeys: [] },
  )
  it('finds the same optimum, or the same lack of one', () => {
    fc.assert(
      fc.property(random, wishes, (f, wanted) => {
        // With an HLB to meet, the oils are held: what they want is one figure then, and the program one program.
        const oils = f.phases[1]!.lines.length - 2
        const locked = wanted.hlb ? Array.from({ length: oils }, (_, line) => ({ phase: 1, line })) : []
        const one = run(f, { ...wanted, locked })
        const other = run(f, { ...wanted, locked }, second)
        expect(one.status).toBe(other.status)
        if (one.status !== 'done') return
        expect(one.largestShare).toBeCloseTo(other.largestShare, 4)
        expect(one.sumOfShares).toBeCloseTo(other.sumOfShares, 3)
      }),
      { numRuns: 60 },
    )
  })
  it('settles the HLB where the least change jumps between two sets of oils', () => {
    const f = formula([
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['allantoin', 0.1],
        ['niacinamide', 0.1],
      ]),
      phase('Oil', 'oil', [
        ['isopropyl myristate', 2.2],
        ['sunflower oil', 2.2],
        ['shea butter', 0.1],
        ['polysorbate 60', 1.5],
        ['sorbitan stearate', 1],
      ]),
    ])
    const result = run(f, { oilPhasePercent: 4, hlb: true, ranges: true })
    expect(result.status).toBe('done')
    expect(Math.abs(result.after.offeredHlb! - result.after.wantedHlb!)).toBeLessThan(0.1)
  })
  it('keeps every wish that it says it keeps', () => {
    fc.assert(
      fc.property(random, wishes, (f, wanted) => {
        const result = run(f, wanted)
        if (result.status !== 'done') return
        const { after: now } = result
        expect(now.totalPercent).toBeCloseTo(100, 1)
        if (wanted.oilPhasePercent !== undefined)
          expect(Math.abs(now.oilPhasePercent! - wanted.oilPhasePercent)).toBeLessThan(0.06)
        // where no oil is left there is nothing to be met
        if (wanted.hlb && now.wantedHlb !== null)
          expect(Math.abs(now.offeredHlb! - now.wantedHlb!)).toBeLessThan(0.1)
        if (wanted.naturalLeast !== undefined)
          expect(now.naturalPercent).toBeGreaterThan(wanted.naturalLeast - 0.06)
      }),
      { numRuns: 60 },
    )
  })
})
