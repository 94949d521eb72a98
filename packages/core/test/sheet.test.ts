import { factsOf, limitRowsOf } from '../src/words/index.ts'
import { stepTitle } from '../src/words/index.ts'
import { describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  clashesOf,
  formatNumber,
  formatPercent,
  listWords,
  report,
  sayNumber,
  weighOut,
  type MethodStep,
} from '../src/index.ts'
import { capOf } from '../src/findings/legal.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { shorten } from '../src/text/format.ts'
import { cream, formula, phase, PRESERVED, simple } from './helpers.ts'

describe('the weigh-out sheet', () => {
  const sheet = weighOut(
    assess(cream({ water: [['xanthan gum', 0.2, { note: 'in the glycerin' }]] }, { batchGrams: 250 })),
  )
  const words = (b: { steps: MethodStep[] }) => b.steps.map(stepTitle).join(' | ')
  it('lists each weighing with running totals on a tared scale', () => {
    for (const b of sheet.blocks) {
      let sum = 0
      for (const row of b.rows) {
        sum = Number((sum + row.grams).toFixed(6))
        expect(row.runningGrams).toBeCloseTo(sum, 6)
      }
      expect(b.grams).toBeCloseTo(sum, 6)
    }
    expect(sheet.blocks.reduce((s, b) => s + b.grams, 0)).toBeCloseTo(250, 6)
  })
  it('tells the procedure, in its order and with its choices', () => {
    expect(sheet.blocks.map((b) => b.vessel)).toEqual(['A', 'A1', 'B', 'C'])
    expect(words(sheet.blocks[1]!)).toMatch(/Wet xanthan gum.*Stir the slurry.*Heat A to 72/)
    expect(words(sheet.blocks[2]!)).toMatch(/Heat B.*Pour B into A.*Blend/)
    expect(words(sheet.blocks[3]!)).toMatch(/Cool below 40.*Make up.*pH.*Fill/)
    expect(sheet.blocks[1]!.rows.find((r) => r.label === 'xanthan gum')!.note).toBe('in the glycerin')
    const a = assess(cream({}, { method: { choices: { pouring: 'water-into-oil' } } }))
    const told = [...weighOut(a).before, ...weighOut(a).blocks.flatMap((b) => b.steps)].map((s) =>
      stepTitle(s),
    )
    expect(told.join()).toContain('Pour A into B')
  })
  it('pours water into oil when the emulsion is that way round, and reads no pH', () => {
    const inverse = weighOut(
      assess(
        formula([
          phase(
            'Oil',
            'oil',
            [
              ['squalane', 20],
              ['polyglyceryl-3 diisostearate', 4],
            ],
            { heatToC: 70 },
          ),
          phase('Water', 'water', [['aqua', 'fill'], ['magnesium sulfate', 0.7], PRESERVED]),
        ]),
      ),
    )
    const told = inverse.blocks.map(words).join(' | ')
    expect(told).toMatch(/Pour B into A, blending/)
    expect(told).not.toMatch(/pH/)
  })
  it('leaves empty phases out', () => {
    expect(
      weighOut(assess(formula([phase('A', 'water', [['aqua', 'fill']]), phase('B', 'oil', [])]))).blocks,
    ).toHaveLength(1)
  })
})

describe('the red tick of a dose rail', () => {
  it('stands where the law does, for the material as weighed', () => {
    const a = assess(simple([['phenoxyethanol, ethylhexylglycerin', 1]]))
    expect(capOf(a, 1)!.maxPercent).toBeCloseTo(1 / 0.9, 3)
  })
  it('moves in when another line uses part of the cap', () => {
    const a = assess(
      simple([
        ['phenoxyethanol, ethylhexylglycerin', 0.5],
        ['phenoxyethanol', 0.3],
      ]),
    )
    expect(capOf(a, 2)!.maxPercent).toBeCloseTo(1 - 0.45, 3)
  })
  it('is not there where no law names the material', () => {
    expect(capOf(assess(simple([['glycerin', 5], PRESERVED])), 1)).toBeNull()
  })
  it('differs by site', () => {
    const on = (site: 'face' | 'body') =>
      capOf(assess(simple([['alpha-arbutin', 1]], { product: { site } })), 1)!.maxPercent
    expect([on('face'), on('body')]).toEqual([2, 0.5])
  })
})

describe('what is told of a material', () => {
  it('has a source for every fact', () => {
    for (const m of CATALOGUE_DATA)
      for (const f of factsOf(m)) expect(f.source.length, `${m.id} ${f.what}`).toBeGreaterThan(4)
  })
  it('shows the caps of its parts, law and opinion apart', () => {
    const rows = limitRowsOf(catalogue.find('phenoxyethanol, ethylhexylglycerin')!)
    expect(rows.some((r) => r.kind === 'law' && r.cap.startsWith('1'))).toBe(true)
    expect(limitRowsOf(catalogue.find('glycolic acid')!).map((r) => r.authority)).toEqual(
      expect.arrayContaining(['CIR opinion', 'SCCS opinion']),
    )
  })
  it('names what it does not go with, from both sides', () => {
    expect(clashesOf(catalogue.find('ascorbic acid')!).map((c) => c.with.name)).toContain('benzoates')
    expect(clashesOf(catalogue.find('sodium benzoate')!).map((c) => c.with.name)).toContain('vitamin C')
  })
})

describe('figures in sentences', () => {
  it('carry a real minus, enough places and no more', () => {
    expect(formatNumber(-2.5)).toBe('−2.50')
    expect(formatPercent(0.0125)).toBe('0.0125\u202f%')
    expect(formatNumber(3, 2, 5)).toBe('3.00')
    expect(sayNumber(2.5)).toBe('2.5')
    expect(formatNumber(NaN)).toBe('–')
  })
  it('list words and cut long ones', () => {
    expect(listWords(['a', 'b', 'c'])).toBe('a, b and c')
    expect(shorten('x'.repeat(100)).length).toBe(60)
  })
})

describe('the report', () => {
  it('adds grams up to the batch for every demo-like formula', () => {
    const r = report(cream({}, { batchGrams: 333.3, scaleResolutionGrams: 0.1 }))
    expect(r.lines.reduce((s, l) => s + l.grams, 0)).toBeCloseTo(333.3, 6)
    expect(r.total.grams).toBe(333.3)
  })
})
