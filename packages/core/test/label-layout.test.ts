// How a label lies on its sticker and a sticker on its sheet; sizes in millimetres. Paper sizes: ISO 216 and ANSI A.
import { labelText, sheetFaultText, sheetText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  bestBefore,
  fieldsOf,
  keptMonths,
  labelOf,
  layLabel,
  leastOf,
  namesInOrder,
  PAPERS,
  placeStickers,
  sheetFault,
  sheetOf,
  SHEETS,
  type Measure,
} from '../src/index.ts'
import { cream } from './helpers.ts'

/** A type whose letters are all half as wide as it is high. */
const measure: Measure = { width: (text, size) => text.length * size * 0.5, xHeight: 0.5, capHeight: 0.7 }
const words = (ingredients: string, foot = ['50 g', 'QT-1126', 'best before 26 May 2027']) => ({
  name: 'Quay trial',
  line: 'Face cream',
  paragraphs: [
    { head: 'Ingredients:', text: ingredients, what: 'ingredients' as const },
    { text: 'Keep cool.', what: 'keeping' as const },
  ],
  foot,
})
const space = (width: number, height: number, more = {}) => ({
  width,
  height,
  shape: 'rectangle' as const,
  code: 0,
  mark: 0,
  ...more,
})
const least = { letters: 0.9, figures: 2 }
const LIST =
  'Aqua, Glycerin, Squalane, Cetearyl Olivate, Sorbitan Olivate, Panthenol, Phenoxyethanol, Xanthan Gum'
const rightOf = (run: { x: number; text: string; size: number; bold: boolean }) =>
  run.x + measure.width(run.text, run.size, run.bold)

describe('a label', () => {
  it('holds every word, in order, inside its edges', () => {
    const l = layLabel(words(LIST), space(99.1, 67.7), measure, least)
    expect(l.fits).toBe(true)
    const body = l.runs
      .filter((r) => !r.foot)
      .map((r) => r.text)
      .join(' ')
    expect(body).toBe(`Quay trial Face cream Ingredients: ${LIST} Keep cool.`)
    for (const run of l.runs) {
      expect(run.x).toBeGreaterThanOrEqual(l.inner.left - 0.01)
      expect(rightOf(run)).toBeLessThanOrEqual(l.inner.right + 0.01)
      expect(run.y).toBeLessThanOrEqual(l.inner.bottom + 0.01)
    }
  })
  it('grows its letters with the room, up to where they read well', () => {
    const small = layLabel(words(LIST), space(48, 30), measure, least)
    const large = layLabel(words(LIST), space(99.1, 67.7), measure, least)
    expect(large.letters).toBeGreaterThan(small.letters)
    expect(small.letters).toBeGreaterThanOrEqual(least.letters - 1e-9)
  })
  it('never goes below the smallest letters, and names what finds no room instead of drawing it over the rest', () => {
    const l = layLabel(words(Array(12).fill(LIST).join(', ')), space(38.1, 21.2), measure, least)
    expect(l.fits).toBe(false)
    expect(l.lacking).toContain('ingredients')
    expect(l.letters).toBeCloseTo(least.letters, 9)
    const foot = Math.min(...l.runs.filter((r) => r.foot).map((r) => r.y - r.size))
    for (const run of l.runs.filter((r) => !r.foot)) expect(run.y).toBeLessThanOrEqual(foot + 0.01)
  })
  it('sets the figures of the content as high as the law asks', () => {
    const l = layLabel(words(LIST), space(99.1, 67.7), measure, { letters: 0.9, figures: 3 })
    for (const run of l.runs.filter((r) => r.foot))
      expect(run.size * measure.capHeight).toBeGreaterThanOrEqual(3 - 1e-9)
  })
  it('keeps text off the code and the mark', () => {
    const l = layLabel(words(LIST), space(70, 40, { code: 11, mark: 7 }), measure, least)
    for (const run of l.runs) {
      if (run.y > l.code!.y) expect(rightOf(run)).toBeLessThanOrEqual(l.code!.x)
      if (run.y - run.size < l.mark!.y + l.mark!.side) expect(rightOf(run)).toBeLessThanOrEqual(l.mark!.x)
    }
  })
  it('says so of a name too long for it', () => {
    const l = layLabel({ ...words(LIST), name: 'x'.repeat(200) }, space(38.1, 21.2), measure, least)
    expect(l.lacking).toContain('name')
  })
  it('stays inside whatever it is given', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z]{1,14}$/), { minLength: 1, maxLength: 60 }),
        fc.double({ min: 20, max: 120, noNaN: true }),
        fc.double({ min: 15, max: 90, noNaN: true }),
        fc.boolean(),
        (list, width, height, round) => {
          const s = { ...space(width, height), shape: round ? ('round' as const) : ('rectangle' as const) }
          const l = layLabel(words(list.join(', ')), s, measure, least)
          const drawn = l.runs.filter((r) => !r.foot)
          for (const run of drawn) expect(rightOf(run)).toBeLessThanOrEqual(l.inner.right + 0.01)
          if (l.fits) expect(drawn.map((r) => r.text).join(' ')).toContain(list.join(', '))
        },
      ),
    )
  })
})

describe('a sheet of stickers', () => {
  it.each(SHEETS.map((s) => [sheetText(s), s] as const))('%s lies on its paper', (_, s) => {
    expect(sheetFault(s)).toBeNull()
    for (const f of placeStickers(s, fieldsOf(s))) {
      expect(f.page).toBe(0)
      expect(f.x + s.width).toBeLessThanOrEqual(PAPERS[s.paper].width + 0.5)
      expect(f.y + s.height).toBeLessThanOrEqual(PAPERS[s.paper].height + 0.5)
    }
  })
  it('begins at any field and goes on to further sheets', () => {
    const s = sheetOf({ sheet: 'a4-8' })
    const places = placeStickers(s, 10, 6)
    expect(places.map((p) => p.page)).toEqual([0, 0, 1, 1, 1, 1, 1, 1, 1, 1])
    expect(places[0]).toMatchObject({ x: s.left, y: s.top + 3 * s.down })
    expect(places[2]).toMatchObject({ x: s.left, y: s.top })
  })
  it('of one’s own is told where its fields overlap or leave the paper', () => {
    const own = { ...sheetOf({}), id: 'own' }
    expect(sheetFault({ ...own, across: 50 })).toEqual({ code: 'across' })
    expect(sheetFault({ ...own, down: 20 })).toEqual({ code: 'down' })
    expect(sheetFaultText(sheetFault({ ...own, left: 30 })!)).toContain('beyond the right edge')
    expect(sheetFaultText(sheetFault({ ...own, rows: 8 })!)).toContain('beyond the lower edge')
    expect(sheetOf({ sheet: 'own', own })).toEqual(own)
    expect(sheetOf({ sheet: 'own' })).toEqual(SHEETS[0])
    expect(sheetOf({ sheet: 'gone' })).toEqual(SHEETS[0])
  })
})

describe('the words of a label', () => {
  const label = (region: 'EU' | 'US' = 'EU') => labelOf(assess(cream()), { region })
  const made = { code: 'QT-1126', day: '2026-11-26' }
  it('say best before from the day it was made, and draft where it was not', () => {
    expect(labelText(label(), {}, made).front.foot).toEqual(['QT-1126', 'best before 26 May 2027'])
    expect(labelText(label(), {}, null).front.foot).toEqual(['draft'])
  })
  it.each([
    ['2026-11-26', 6, '2027-05-26'],
    ['2026-08-31', 6, '2027-02-28'],
    ['2026-11-26', 0.25, '2026-12-03'],
    ['2026-11-26', 0.1, '2026-11-29'],
  ])('made on %s and good for %s months: until %s', (day, months, until) =>
    expect(bestBefore(day, months)).toBe(until),
  )
  it.each([
    ['EU', { amount: 50, unit: 'g' }, '50 g ℮'],
    // 50 g / 28.3495 = 1.763 oz, 100 ml / 29.5735 = 3.381 fl oz: rounded down, for neither may overstate
    ['US', { amount: 50, unit: 'g' }, '1.76 oz (50 g)'],
    ['US', { amount: 100, unit: 'ml' }, '3.38 fl oz (100 ml)'],
  ] as const)('%s writes the content as %j: %s', (region, content, says) =>
    expect(labelText(label(region), { content }, made).front.foot[0]).toBe(says),
  )
  it('stand on a front and a back where two were chosen, each word once', () => {
    const { front, back } = labelText(label(), { faces: 'two', content: { amount: 50, unit: 'g' } }, made)
    expect(front.paragraphs).toEqual([])
    expect(front.foot).toEqual(['50 g ℮'])
    expect(back!.paragraphs.map((p) => p.what)).toEqual(['ingredients', 'directions', 'cautions', 'keeping'])
    expect(back!.foot).toEqual(['QT-1126', 'best before 26 May 2027'])
  })
  it('keep a time of the maker’s own, and opened never outlasts closed', () => {
    const keep = { closedMonths: 4, openedMonths: 9, reason: 'watched' }
    expect(keptMonths({ keep }, label().useWithin)).toEqual({ closed: 4, opened: 4 })
    expect(keptMonths({}, label().useWithin)).toEqual({ closed: 6, opened: 3 })
  })
  it('order names below 1 % as was chosen, and those above never', () => {
    const l = label()
    const from = l.list.belowOneFrom!
    const falling = l.list.entries.map((e) => e.name)
    const chosen = namesInOrder(l, [...falling].reverse())
    expect(chosen.slice(0, from)).toEqual(falling.slice(0, from))
    expect(chosen.slice(from)).toEqual(falling.slice(from).reverse())
    expect(namesInOrder(l, ['a name that is gone'])).toEqual(falling)
  })
  it('are as high as the region asks', () => {
    // Regulation (EC) 1223/2009 by Directive 76/211/EEC: 2 mm to 50 g, 3 mm to 200, 4 mm above; 21 CFR 701.3(b), 701.13
    const content = (amount: number) => ({ content: { amount, unit: 'g' as const } })
    expect([50, 51, 200, 201].map((n) => leastOf(content(n), 'EU', 3000).figures)).toEqual([2, 3, 3, 4])
    expect(leastOf(content(50), 'US', 2000).letters).toBeCloseTo(25.4 / 32, 6)
    expect(leastOf(content(50), 'US', 9000).letters).toBeCloseTo(25.4 / 16, 6)
  })
})
