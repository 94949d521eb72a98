import { findingText } from '../src/words/index.ts'
// Flawed products, each with what must be found in it; the table is data, so that a reader can add a row.
import { describe, expect, it } from 'vitest'
import { findingsOf } from './helpers.ts'
import { flawedRows, formulaOf } from './rows.ts'

const listed = (text: string | undefined) => (text ?? '').split(', ').filter(Boolean)

describe('flawed products', () => {
  const rows = flawedRows()
  it.each(rows.map((row) => [row.name, row] as const))('%s', (_, row) => {
    const found = findingsOf(formulaOf(row))
    const codes = found.map((x) => `${x.code} ${x.severity}`)
    for (const wanted of listed(row.find)) expect(codes, row.name).toContain(wanted)
    for (const unwanted of listed(row.not))
      expect(codes.filter((c) => c === unwanted || c.startsWith(`${unwanted} `))).toEqual([])
  })
  it('are many', () => {
    expect(rows.length).toBeGreaterThanOrEqual(200)
    expect(new Set(rows.map((row) => row.name)).size).toBe(rows.length)
  })
  it('are told in whole sentences, with a source, and nothing is said twice', () => {
    for (const row of rows) {
      const found = findingsOf(formulaOf(row))
      for (const x of found) {
        expect(findingText(x).message, row.name).toMatch(/[.]$/)
        // pH keeps its small p, also where it begins a sentence
        expect(findingText(x).message).toMatch(/^(pH\b|[^a-z])/)
        expect(findingText(x).source.length).toBeGreaterThan(3)
      }
      const said = found.map((x) => `${x.code} ${findingText(x).message}`)
      expect(new Set(said).size, row.name).toBe(said.length)
    }
  })
})
