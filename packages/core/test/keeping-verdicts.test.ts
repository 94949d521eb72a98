import { batchVerdictText, causeText, verdictText } from '../src/words/index.ts'
// What looks mean: in proportion, with the likely cause.
import { describe, expect, it } from 'vitest'
import { actualFormula } from '../src/bench/actual.ts'
import { headOf } from '../src/stability/head.ts'
import { verdictOf } from '../src/stability/verdict.ts'
import { assess } from '../src/index.ts'
import { simple, PRESERVED } from './helpers.ts'
import { Kept, toner, lactone, lotion } from './keeping-helpers.ts'

describe('what it means', () => {
  it('is steady where a toner moves less than the meter tells', () => {
    const k = new Kept(toner).ph(1, 5.42).ph(7, 5.4).ph(14, 5.43).ph(28, 5.38).ph(56, 5.41)
    expect(k.verdict).toMatchObject({ grade: 'fine' })
    expect(batchVerdictText(k.verdict).says).toContain('within the meter’s error')
  })
  it('is harmless where a lactone falls and rests, as forecast', () => {
    const k = new Kept(lactone).ph(0.02, 4.3).ph(1, 4.08).ph(7, 4.02).ph(14, 4.01).ph(28, 4.03)
    expect(k.verdict.grade).toBe('fine')
    expect(batchVerdictText(k.verdict).says).toContain('as predicted')
  })
  it('asks to look again, with the day a limit is met, where it drifts for real', () => {
    const urea = simple([['urea', 8], ['sodium lactate', 1], PRESERVED], { targetPh: { min: 5, max: 6 } })
    const k = new Kept(urea).ph(1, 5.3).ph(7, 5.38).ph(14, 5.45).ph(28, 5.62).ph(56, 5.9)
    expect(k.verdict.grade).toBe('again')
    const v = k.verdict.list.find((x) => x.series.property === 'ph')!
    expect(verdictText(v).first).toContain('rose by 0.6')
    expect(verdictText(v).why).toContain('ammonia')
    expect(verdictText(v).why).toMatch(/on day \d+/)
    expect(causeText(v.cause!).title).toBe('An ingredient keeps changing the pH')
  })
  it('condemns what left the window of its preservation, and what moved far without a reason', () => {
    const weak = simple([
      ['glycerin', 4],
      ['sodium benzoate', 0.5],
      ['potassium sorbate', 0.3],
      ['lactic acid', 0.3],
    ])
    const window = assess(weak).preservation.window!
    const fresh = new Kept(weak).ph(1, window.max + 0.8)
    expect(fresh.verdict).toMatchObject({ grade: 'again' })
    expect(verdictText(fresh.verdict.list[0]!).next).toContain('Adjust the pH today')
    const late = new Kept(weak).ph(1, window.max - 0.3).ph(14, window.max + 0.8)
    expect(late.verdict).toMatchObject({ grade: 'discard' })
    expect(
      headOf({ id: 'b', code: 'B', name: 'B', formulaId: null, who: '' }, late.state).watch!.open,
    ).toEqual([])
    expect(late.ph(28, window.max - 0.3).verdict.grade).toBe('discard')
    expect(new Kept(toner).ph(1, 5.4).ph(14, 6.7).verdict.grade).toBe('discard')
  })
  it('warns where it keeps and its materials do not work, and condemns what burns', () => {
    const acid = simple([['mandelic acid', 5], ['sodium hydroxide', 0.5], PRESERVED], {
      targetPh: { min: 3.5, max: 4 },
    })
    const shared = assess(acid).ph.shared!
    const high = new Kept(acid).ph(1, shared.max + 0.5)
    expect(high.verdict).toMatchObject({ grade: 'again' })
    expect(batchVerdictText(high.verdict).says).toContain('where the ingredients are effective and stable')
    expect(new Kept(toner).ph(7, 10.2).verdict.grade).toBe('discard')
  })
  it('does not let a strip tell what it cannot, nor compares it with a meter', () => {
    const k = new Kept(toner).ph(1, 5.5, 'strip').ph(7, 5, 'strip').ph(14, 5.5, 'strip').ph(28, 5.1)
    const v = k.verdict.list.find((x) => x.series.property === 'ph')!
    expect(v.grade).toBe('fine')
    expect(v.series.aside[0]!.why.code).toBe('other-measurement')
  })
  it('takes a split in frost for a warning, and one at room for the end', () => {
    const frost = new Kept(lotion).after(4).saw('frost', 'layer', { choice: 'free' }, 4)
    expect(frost.verdict.grade).toBe('again')
    expect(batchVerdictText(frost.verdict).says).toContain('after cycle 2')
    expect(verdictText(frost.verdict.list[0]!).next).toContain('room temperature decides')
    const room = new Kept(lotion).after(28).saw('room', 'layer', { choice: 'free' }, 28)
    expect(room.verdict.grade).toBe('discard')
  })
  it('condemns the whole batch for anything that grows, wherever it is seen', () => {
    const k = new Kept(lotion).after(14).saw('warm', 'germs', { choice: 'growth' }, 14)
    expect(k.verdict.grade).toBe('discard')
    expect(batchVerdictText(k.verdict).says).toMatch(/^Do not use\./)
    k.after(28).saw('warm', 'germs', { choice: 'none' }, 28)
    expect(k.verdict.grade).toBe('discard')
  })
  it('is the same in the list and on the page: that of what was really made', () => {
    const k = new Kept(lactone).ph(1, 4.1).ph(14, 4)
    const page = verdictOf(k.state, k.history, assess(actualFormula(k.state)!))
    const { watch } = headOf({ id: 'b', code: 'B', name: 'B', formulaId: null, who: '' }, k.state)
    expect(watch!.grade).toBe(page.grade)
    expect(batchVerdictText(page).says.startsWith(batchVerdictText(page).head)).toBe(true)
  })
  it('condemns a batch to which skin reacted', () => {
    const k = new Kept(toner).ph(1, 5.4)
    k.do({ type: 'patch', who: 'IM', consent: true, way: 'once', place: 'left forearm' }, 'x')
    k.do({ type: 'patch-look', of: k.events.length - 1, grade: 2 }, 'x')
    expect(k.verdict.grade).toBe('discard')
    expect(batchVerdictText(k.verdict).says).toBe('Do not use. A patch test reacted.')
    expect(headOf({ id: 'b', code: 'B', name: 'B', formulaId: null, who: '' }, k.state).reacted).toBe(true)
  })
  it('tells a layer by its height', () => {
    const at = (value: number) =>
      new Kept(lotion).after(28).saw('room', 'layer', { value, way: 'ruler' }, 28).verdict
    expect([1.5, 4, 12].map((v) => at(v).grade)).toEqual(['fine', 'again', 'discard'])
    expect(verdictText(at(4).list[0]!).first).toContain('4 % of the height')
  })
  it('never calls anything safe', () => {
    const k = new Kept(toner).ph(1, 5.4).ph(84, 5.4)
    const said = [batchVerdictText(k.verdict), ...k.verdict.list.map(verdictText)]
    expect(JSON.stringify(said)).not.toMatch(/\bsafe\b/i)
    expect(new Kept(toner).verdict).toMatchObject({ grade: null })
  })
  it('tells mass and body with their errors', () => {
    const k = new Kept(lotion).after(7).saw('warm', 'mass', { value: 50, way: 'scale' }, 7)
    k.after(56).saw('warm', 'mass', { value: 49.2, way: 'scale' }, 56)
    expect(k.verdict.list[0]!.grade).toBe('again')
    expect(verdictText(k.verdict.list[0]!).first).toContain('5.3 %')
    const b = new Kept(lotion).after(3).saw('room', 'body', { value: 60, way: 'spread' })
    b.after(28).saw('room', 'body', { value: 61, way: 'spread' })
    expect(b.verdict.grade).toBe('fine')
    b.after(56).saw('room', 'body', { value: 72, way: 'spread' })
    expect(b.verdict.list[0]!.grade).toBe('again')
    expect(verdictText(b.verdict.list[0]!).first).toContain('Thinner')
  })
})
