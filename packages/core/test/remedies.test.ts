import { findingText, remedyText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  applyEdit,
  assess,
  catalogue,
  findAll,
  isCaution,
  isSoundRemedy,
  type Formula,
} from '../src/index.ts'
import { flawedRows, formulaOf, soundRows } from './rows.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { cream, findingsOf, formula, only, phase, PRESERVED, simple } from './helpers.ts'

describe('remedies', () => {
  const cases: [string, Formula][] = [
    ['total.not-100', formula([phase('A', 'water', [['aqua', 90], ['glycerin', 5], PRESERVED])])],
    [
      'total.not-100',
      formula([
        phase('A', 'water', [
          ['aqua', 'fill'],
          ['glycerin', 60],
          ['urea', 45],
        ]),
      ]),
    ],
    ['amount.missing', simple([['glycerin'], PRESERVED])],
    ['amount.mismatch', simple([['glycerin', 5, { grams: 70 }], PRESERVED])],
    ['usage.above-max', simple([['niacinamide', 12], PRESERVED])],
    ['legal.above-cap', simple([['alpha-arbutin', 4], PRESERVED])],
    ['legal.prohibited', simple([['hydroquinone', 1], PRESERVED])],
    ['preservative.missing', cream({ cool: [['panthenol', 1]] })],
    ['preservative.low', simple([['phenoxyethanol, ethylhexylglycerin', 0.2]])],
    ['preservative.heat', cream({ water: [PRESERVED] })],
    [
      'preservative.ineffective',
      simple([['gluconolactone, sodium benzoate', 1.5]], { targetPh: { min: 5.8, max: 6.2 } }),
    ],
    ['ph.no-shared-window', simple([['sodium ascorbyl phosphate', 2], ['salicylic acid', 1], PRESERVED])],
    ['ph.outside-window', simple([['niacinamide', 4], PRESERVED], { targetPh: { min: 3, max: 3.5 } })],
    [
      'heat.sensitive-in-hot-phase',
      cream({
        oil: [
          ['squalane', 14],
          ['olivate emulsifier', 4],
          ['retinol', 0.2],
        ],
      }),
    ],
    [
      'phase.wrong-solubility',
      cream({
        oil: [
          ['squalane', 14],
          ['olivate emulsifier', 4],
          ['betaine', 2],
        ],
      }),
    ],
    ['process.order', cream({ cool: [PRESERVED, ['beeswax', 2]] })],
    ['weighing.too-small', simple([['allantoin', 0.1], PRESERVED], { batchGrams: 100 })],
    ['oxidation.no-antioxidant', cream({ cool: [PRESERVED, ['rosehip seed oil', 4]] })],
    ['claim.unsupported', cream({}, { product: { claims: ['heals eczema'] } })],
  ]
  it.each(cases)('%s: each remedy settles what it was offered for', (code, f) => {
    const offered = only(f, code).flatMap((x) => x.remedies.map((remedy) => ({ x, remedy })))
    expect(offered.length).toBeGreaterThan(0)
    for (const { x, remedy } of offered) {
      const after = findingsOf(applyEdit(f, remedy.edit))
      expect(
        after.map((y) => `${y.code} ${findingText(y).message}`),
        remedyText(remedy),
      ).not.toContain(`${x.code} ${findingText(x).message}`)
    }
  })
})

describe('a remedy is tried before it is offered', () => {
  const eye = simple([['sodium lactate', 2], PRESERVED], {
    product: { site: 'eye' },
    targetPh: { min: 5, max: 6 },
  })
  const aim = (min: number, max: number) => ({
    code: 'aim-for' as const,
    facts: { range: { min, max } },
    edit: { type: 'patch' as const, patch: { targetPh: { min, max } } },
  })
  it('and falls away where another rule would refuse what it leads to', () => {
    const a = assess(eye)
    const before = findAll(a)
    expect(isSoundRemedy(a, aim(3.5, 3.9), before)).toBe(false)
    expect(isSoundRemedy(a, aim(5.5, 6.2), before)).toBe(true)
  })
  it('never proposes a target of no width, or one that the site does not bear', () => {
    for (const row of [...flawedRows(), ...soundRows()])
      for (const site of ['face', 'eye', 'scalp'] as const) {
        const f = formulaOf(row)
        const a = assess({ ...f, product: { ...f.product, site } })
        for (const { edit } of findAll(a).flatMap((x) => x.remedies)) {
          if (edit.type !== 'patch' || !edit.patch.targetPh) continue
          const { min, max } = edit.patch.targetPh
          expect(max - min).toBeGreaterThan(0.29)
          expect(min).toBeGreaterThanOrEqual(a.ph.site.min - 1e-9)
          expect(max).toBeLessThanOrEqual(a.ph.site.max + 1e-9)
        }
      }
  })
})

describe('materials of one phase that it is too hot for', () => {
  const both = cream({
    oil: [
      ['squalane', 14],
      ['olivate emulsifier', 4],
      ['retinol', 0.2],
      ['bakuchiol', 0.5],
    ],
  })
  it('are told together, and move together', () => {
    const told = only(both, 'heat.sensitive-in-hot-phase')
    expect(told).toHaveLength(1)
    expect(told[0]!.lines).toHaveLength(2)
    const after = applyEdit(both, told[0]!.remedies[0]!.edit)
    expect(only(after, 'heat.sensitive-in-hot-phase')).toEqual([])
    const namesOf = (f: typeof both) => f.phases.flatMap((p) => p.lines.map((l) => l.material)).sort()
    expect(namesOf(after)).toEqual(namesOf(both))
    expect(after.phases.find((p) => p.role === 'cool-down')!.lines.map((l) => l.material)).toEqual(
      expect.arrayContaining(['retinol', 'bakuchiol']),
    )
  })
})

describe('any formula at all', () => {
  const material = fc.constantFrom(...CATALOGUE_DATA.map((m) => m.id), 'moon dust', '')
  const someLine = fc.record({
    material: material.filter((m) => m !== ''),
    percent: fc.double({ min: 0, max: 120, noNaN: true }),
  })
  const someFormula = fc.array(
    fc.tuple(
      fc.constantFrom('water' as const, 'oil' as const, 'cool-down' as const, 'premix' as const),
      fc.array(someLine, { maxLength: 12 }),
    ),
    { maxLength: 5 },
  )
  it('can be judged, and never names a line that is not there', () => {
    fc.assert(
      fc.property(
        someFormula,
        fc.constantFrom('EU' as const, 'US' as const, 'other' as const),
        (phases, region) => {
          const f = formula(
            phases.map(([role, lines]) => ({ name: role, role, lines })),
            { product: { region } },
          )
          const a = assess(f, catalogue)
          for (const x of findAll(a)) {
            expect(findingText(x).message.length).toBeGreaterThan(5)
            expect(findingText(x).message).not.toMatch(/NaN|undefined|Infinity|null/)
            for (const at of x.lines) expect(f.phases[at.phase]!.lines[at.line]).toBeDefined()
            if (isCaution(x)) expect(x.severity).not.toBe('stop')
          }
          const parts = [...a.substances.values()].reduce((s, x) => s + x.percent, 0)
          const lines = a.lines.reduce((s, l) => s + l.percent, 0)
          expect(parts).toBeLessThanOrEqual(lines + 1e-6)
        },
      ),
      { numRuns: 150 },
    )
  })
})
