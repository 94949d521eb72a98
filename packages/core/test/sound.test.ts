import { findingText } from '../src/words/index.ts'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { assess, KINDS, readFormula, type Formula } from '../src/index.ts'
import { findingsOf } from './helpers.ts'
import { formulaOf, soundRows } from './rows.ts'

const serious = (f: Formula) => findingsOf(f).filter((x) => x.severity !== 'note')
const stops = (f: Formula) =>
  findingsOf(f)
    .filter((x) => x.severity === 'stop')
    .map((x) => x.code)

describe('sound formulas draw no alarm', () => {
  const rows = soundRows()
  it.each(rows.map((row) => [row.name, row] as const))('%s', (_, row) => {
    const f = formulaOf(row)
    const found = serious(f).map((x) => `${x.severity} ${x.code}: ${findingText(x).message}`)
    expect(found.filter((x) => x.startsWith('stop'))).toEqual([])
    expect(found.slice(1)).toEqual([])
    // a name that slips would be judged by nothing
    expect(
      assess(f)
        .lines.filter((l) => !l.material)
        .map((l) => l.label),
    ).toEqual([])
  })
  it('are many, and of each kind of product', () => {
    expect(rows.length).toBeGreaterThanOrEqual(120)
    expect(new Set(rows.map((row) => row.name)).size).toBe(rows.length)
    expect(new Set(rows.map((row) => formulaOf(row).product.kind))).toEqual(new Set(KINDS))
  })

  const folder = new URL('../../../demo/', import.meta.url)
  const demo = readdirSync(folder)
    .sort()
    .map((name) => readFormula(readFileSync(new URL(name, folder), 'utf8')))
  it('six of the eight examples are clean, two are instructive', () => {
    const trouble = demo.filter((f) => stops(f).length > 0 || serious(f).length > 2).map((f) => f.name)
    expect(demo).toHaveLength(8)
    expect(trouble).toEqual(['Gull Wing body lotion', 'Storm Warning serum'])
    expect(new Set(demo.map((f) => f.product.kind))).toEqual(
      new Set(['toner', 'serum', 'gel', 'lotion', 'cream', 'butter', 'leave-in']),
    )
  })
})
