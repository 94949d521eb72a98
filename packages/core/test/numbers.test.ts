import { describe, expect, it } from 'vitest'
import { parseAmount, parseNumber } from '../src/index.ts'

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
    expect(parseNumber('72 °C', { min: 0, max: 200, what: 'the temperature' })).toEqual({ value: 72 })
  })
})
