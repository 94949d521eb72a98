import { findingText } from '../src/words/index.ts'
// The log of readings and additions, and a reading as it is typed.
import { describe, expect, it } from 'vitest'
import {
  applyEdit,
  assess,
  computeAmounts,
  phLog,
  phModelOf,
  readFormula,
  parseReading,
  recordAddition,
  recordReading,
  removeEntry,
  scalePortion,
  takeInAdditions,
  type Formula,
} from '../src/index.ts'
import { codes, only, simple } from './helpers.ts'

const lye = (grams: number, strengthPercent = 10) => ({
  material: 'sodium-hydroxide',
  strengthPercent,
  grams,
  ofGrams: 200,
})
const serum = simple(
  [
    ['glycolic acid', 8],
    ['phenoxyethanol, ethylhexylglycerin', 1],
  ],
  { batchGrams: 200 },
)
const written = () => {
  let f = applyEdit(serum, recordReading(serum, { ph: 2.1, method: 'meter-direct' }))
  f = applyEdit(f, recordAddition(f, lye(4)))
  f = applyEdit(f, recordReading(f, { ph: 2.9, method: 'meter-direct' }))
  f = applyEdit(f, recordAddition(f, lye(2)))
  return applyEdit(f, recordAddition(f, lye(0.5, 1)))
}

describe('the log', () => {
  const words = (f: Formula) =>
    phLog(f).map((e) => (e.kind === 'read' ? `read ${e.reading.ph}` : `added ${e.addition.grams}`))
  it('keeps the order in which things were done, through a file and back', () => {
    const order = ['read 2.1', 'added 4', 'read 2.9', 'added 2', 'added 0.5']
    expect(words(written())).toEqual(order)
    expect(words(readFormula(JSON.stringify(written())))).toEqual(order)
  })
  it('loses a line without mixing up the rest', () => {
    const f = written()
    expect(words(applyEdit(f, removeEntry(f, phLog(f)[0]!)))).toEqual([
      'added 4',
      'read 2.9',
      'added 2',
      'added 0.5',
    ])
    expect(words(applyEdit(f, removeEntry(f, phLog(f)[3]!)))).toEqual([
      'read 2.1',
      'added 4',
      'read 2.9',
      'added 0.5',
    ])
    let g = f
    while (phLog(g).length > 0) g = applyEdit(g, removeEntry(g, phLog(g)[0]!))
    expect(g).not.toHaveProperty('readings')
    expect(g).not.toHaveProperty('additions')
  })
  it('says that a reading before the last addition is not final', () => {
    expect(findingText(only(written(), 'ph.not-final')[0]!).message).toContain('sodium hydroxide')
    const f = written()
    const again = applyEdit(f, recordReading(f, { ph: 3.4, method: 'meter-direct' }))
    expect(codes(again)).not.toContain('ph.not-final')
  })
  it('goes into the formula as fixed amounts with q.s. kept, once', () => {
    const f = written()
    const next = applyEdit(f, takeInAdditions(f)!)
    const adjust = next.phases.find((p) => p.role === 'adjust')!
    expect(adjust.lines.map((l) => [l.material, l.strengthPercent, l.percent])).toEqual([
      ['sodium-hydroxide', 10, 3],
      ['sodium-hydroxide', 1, 0.25],
    ])
    const amounts = computeAmounts(next)
    expect(amounts.totalPercent).toBeCloseTo(100, 9)
    expect(amounts.lines[0]!.percent).toBeCloseTo(computeAmounts(f).lines[0]!.percent - 3.25, 9)
    expect(takeInAdditions(next)).toBeNull()
    expect(words(next)).toEqual(words(f))
    // More of the same joins the line.
    let later = applyEdit(next, recordReading(next, { ph: 3.4, method: 'meter-direct' }))
    later = applyEdit(later, recordAddition(later, lye(1)))
    later = applyEdit(later, takeInAdditions(later)!)
    expect(later.phases.find((p) => p.role === 'adjust')!.lines[0]!.percent).toBeCloseTo(3.5, 9)
  })
  it('leads to the same pH before and after it is taken in', () => {
    const f = written()
    const g = applyEdit(f, recordReading(f, { ph: 3.4, method: 'meter-direct' }))
    const next = applyEdit(g, takeInAdditions(g)!)
    const at = (x: Formula) => phModelOf(assess(x))!
    expect(at(next).fitted).toBe(true)
    expect(at(next).hidden.pivot).toBe(3.4)
  })
  it('scales a portion to the batch that is left', () => {
    expect(scalePortion(0.12, 20, 250, 0.05)).toEqual({
      batchGrams: (0.12 / 20) * 230,
      restGrams: 230,
      dropsInBatch: ((0.12 / 20) * 230) / 0.05,
    })
  })
})

describe('a reading as it is typed', () => {
  it.each([
    ['5-6', 5.5],
    ['5,5 to 6', 5.75],
    ['between 5 and 6', 5.5],
    ['5.5–6.0', 5.75],
  ])('%s lies between two colours of a strip', (text, ph) =>
    expect(parseReading(text, 'meter-direct')).toEqual({ ph, method: 'strip' }),
  )
  it('a figure keeps how it was read, and nothing typed is nothing', () => {
    expect(parseReading('5,4', 'meter-10pct')).toEqual({ ph: 5.4, method: 'meter-10pct' })
    expect(parseReading(' ', 'strip')).toBeNull()
  })
  it.each(['6-5', '1-9', '55', '5-66', 'blue'])('%s is asked back', (text) =>
    expect(parseReading(text, 'strip')).toHaveProperty('error'),
  )
})
