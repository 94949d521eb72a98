import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseAmount, parseNumber, parsePrice, readDayText } from '../src/index.ts'
import { unitOf, UNITS } from '../src/text/units.ts'

describe('amounts as people type them', () => {
  it.each([
    ['2', { kind: 'bare', value: 2 }],
    ['2,5', { kind: 'bare', value: 2.5 }],
    ['2.50', { kind: 'bare', value: 2.5 }],
    [' 2 % ', { kind: 'percent', value: 2 }],
    ['2%', { kind: 'percent', value: 2 }],
    ['3,25 g', { kind: 'grams', value: 3.25 }],
    ['.5', { kind: 'bare', value: 0.5 }],
    ['5.', { kind: 'bare', value: 5 }],
    ['1 000', { kind: 'bare', value: 1000 }],
    ['q.s.', { kind: 'fill' }],
    ['to 100', { kind: 'fill' }],
    ['', { kind: 'empty' }],
    ['0', { kind: 'bare', value: 0 }],
  ])('%j', (text, expected) => {
    expect(parseAmount(text)).toEqual(expected)
  })

  it.each(['-2', '−2', '1e9', '99999999', 'two', '2.5.1', '<b>2</b>', '2 % 3', 'NaN', 'Infinity', '%'])(
    'refuses %j with a sentence',
    (text) => {
      const parsed = parseAmount(text)
      expect(parsed.kind).toBe('error')
      expect((parsed as { message: string }).message).toMatch(/\.$/)
    },
  )

  it('keeps numbers inside their limits', () => {
    const limits = { min: 0, max: 14, what: 'the pH' }
    expect(parseNumber('5,5', limits)).toEqual({ value: 5.5 })
    expect(parseNumber('', limits)).toEqual({ value: null })
    expect(parseNumber('15', limits)).toEqual({ error: 'The pH must be between 0 and 14.' })
    expect(parseNumber('72 °C', { min: 0, max: 200, what: 'the temperature', unit: '°C' })).toEqual({
      value: 72,
    })
  })
})

describe('units as people type them', () => {
  const glycerin = { density: 1.26, dropGrams: null }
  it.each<[string, object, number]>([
    ['1 kg', {}, 1000],
    ['250mg', {}, 0.25],
    ['5 oz', {}, 141.747615],
    ['1 lb', {}, 453.59237],
    ['50 ml', {}, 50],
    ['50 mL', glycerin, 63],
    ['0.5 L', {}, 500],
    ['2 fl oz', {}, 59.147],
    ['1 tsp', glycerin, 6.3],
    ['1/2 tsp', glycerin, 3.15],
    ['1 ½ tbsp', {}, 22.5],
    ['1 cup', {}, 240],
    ['20 drops', {}, 1],
    ['20 drops', { dropGrams: 0.04 }, 0.8],
    ['2,5 kg', {}, 2500],
  ])('%s is grams', (text, of, grams) => {
    const read = parseAmount(text, of)
    expect(read).toMatchObject({ kind: 'grams' })
    expect((read as { value: number }).value).toBeCloseTo(grams, 3)
    expect((read as { said?: string }).said).toContain(' = ')
  })
  it.each(['20 d', '1 ts', '5 o', '2 fl', '3 k'])('“%s” is the beginning of a unit', (text) => {
    expect(parseAmount(text)).toEqual({ kind: 'begun' })
  })
  it.each(['20 blobs', '3 parts', '1,000 g', '5 € ', '2 g g'])('“%s” is refused with a sentence', (text) => {
    const read = parseAmount(text)
    expect(read.kind).toBe('error')
    expect((read as { message: string }).message).toMatch(/\.$/)
  })
  it.each<[string, Parameters<typeof parseNumber>[1], object]>([
    ['160 °F', { min: 0, max: 200, what: 'the temperature', unit: '°C' }, { value: 71.1 }],
    ['72', { min: 0, max: 200, what: 'the temperature', unit: '°C' }, { value: 72 }],
    ['-5 °C', { min: -30, max: 200, what: 'the temperature', unit: '°C' }, { value: -5 }],
    [
      '20 g',
      { min: 0, max: 200, what: 'the temperature', unit: '°C' },
      { error: 'Type the temperature in °C or °F, such as 72 or 160 °F.' },
    ],
    ['1 h 30', { min: 0, max: 1440, what: 'the time', unit: 'min' }, { value: 90 }],
    ['20 min', { min: 0, max: 1440, what: 'the time', unit: 'min' }, { value: 20 }],
    ['2 fl oz', { min: 0, max: 1000, what: 'the volume', unit: 'mL' }, { value: 59.147 }],
    [
      '50 g',
      { min: 0, max: 1000, what: 'the volume', unit: 'mL' },
      { error: expect.stringContaining('is not known') as string },
    ],
    [
      '20 %',
      { min: 0, max: 1000, what: 'the batch', unit: 'g' },
      { error: expect.stringContaining('in a unit of weight or volume') as string },
    ],
    ['5 oz', { min: 0, max: 1000, what: 'the batch', unit: 'g' }, { value: 141.747615 }],
    ['10 %', { min: 0, max: 100, what: 'the strength', unit: '%' }, { value: 10 }],
    [
      '10 g',
      { min: 0, max: 100, what: 'the strength', unit: '%' },
      { error: 'Type the strength in percent.' },
    ],
    ['5 g', { min: 0, max: 14, what: 'the pH' }, { error: 'Type the pH as a number.' }],
  ])('%s in its field', (text, limits, wanted) => {
    expect(parseNumber(text, limits)).toMatchObject(wanted)
  })
  it('never reads a number without its unit: whatever stands behind a figure converts or is refused', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.oneof(
          fc.constantFrom(...UNITS.map((u) => u.name)),
          fc.stringMatching(/^[a-z]{1,8}$/),
          fc.string({ unit: 'grapheme', minLength: 1, maxLength: 6 }),
        ),
        (value, unit) => {
          const text = `${value} ${unit}`
          const read = parseAmount(text)
          if (read.kind === 'bare')
            expect(text.replace(/\D/g, '')).toBe(String(read.value).replace(/\D/g, ''))
          if (read.kind !== 'grams' && read.kind !== 'percent') return
          const rule = unitOf(unit.trim())!
          expect(read.value).toBeCloseTo(value * rule.size, 3)
          const batch = parseNumber(text, { min: 0, max: 1e12, what: 'the batch', unit: 'g' })
          if (read.kind === 'percent') expect(batch).toHaveProperty('error')
          else expect(batch).toMatchObject({ value: read.value })
        },
      ),
    )
  })
  it('reads back what it says of grams, to its own places', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99_999 }),
        fc.constantFrom('kg', 'mg', 'oz', 'lb', 'mL', 'tsp', 'drops'),
        (n, unit) => {
          const read = parseAmount(`${n / 100} ${unit}`)
          if (read.kind !== 'grams' || !read.said) return
          const said = / = ([\d.]+)/.exec(read.said)![1]!
          expect(Math.abs(Number(said) - read.value)).toBeLessThanOrEqual(read.value < 1 ? 5e-5 : 5e-3)
        },
      ),
    )
  })
})

describe('prices', () => {
  it.each([
    ['12.50', 12.5],
    ['12,50', 12.5],
    ['€ 12,50', 12.5],
    ['12.50 €', 12.5],
    ['$1,234.56', 1234.56],
    ['1.234,56 EUR', 1234.56],
    ['£7', 7],
  ])('%s', (text, value) => expect(parsePrice(text)).toEqual({ value }))
  it.each(['1,000', '$ 1,000', 'ten', '-3'])('%s is asked again', (text) => {
    expect(parsePrice(text)).toHaveProperty('error')
  })
})

describe('days as people write them', () => {
  it.each([
    ['2029-01-05', true, '2029-01-05'],
    ['2029-01', true, '2029-01-31'],
    ['2029-01', false, '2029-01-01'],
    ['01/2029', true, '2029-01-31'],
    ['02/2028', true, '2028-02-29'],
    ['5 Jan 2029', true, '2029-01-05'],
    ['January 5, 2029', true, '2029-01-05'],
    ['Jan 2029', true, '2029-01-31'],
    ['5.1.2029', true, '2029-01-05'],
    ['31/12/2029', true, '2029-12-31'],
  ])('%s', (text, ends, day) => expect(readDayText(text, ends)).toMatchObject({ day }))
  it.each([
    ['03/04/2029', 'two-days'],
    ['12/31/2029', 'month-first'],
    ['2029-02-30', 'not-real'],
    ['13/2029', 'not-real'],
    ['soon', 'no-day'],
    ['1/29', 'no-day'],
  ])('%s is asked again', (text, error) => expect(readDayText(text)).toEqual({ error }))
})
