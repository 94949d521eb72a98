import { readdirSync, readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readFile, readFormula, ReadError, writeFormula } from '../src/index.ts'
import { formulaJsonSchema } from '../src/formula/json-schema.ts'
import { formula, phase } from './helpers.ts'

const demoFolder = new URL('../../../demo/', import.meta.url)
const demo = readdirSync(demoFolder).map((name) => readFileSync(new URL(name, demoFolder), 'utf8'))
const good = () =>
  JSON.parse(demo[0]!) as Record<string, unknown> & { phases: { lines: Record<string, unknown>[] }[] }
const failure = (text: string): ReadError => {
  try {
    readFile(text)
  } catch (error) {
    expect(error).toBeInstanceOf(ReadError)
    return error as ReadError
  }
  throw new Error('was accepted')
}
const broken = (change: (f: ReturnType<typeof good>) => void) => {
  const f = good()
  change(f)
  return failure(JSON.stringify(f))
}

describe('formula files', () => {
  it('keeps everything on a round trip, fields it does not know too', () => {
    const text = JSON.stringify({
      ...good(),
      shelf: { row: 3 },
      phases: [
        { name: 'A', role: 'water', tint: 'blue', lines: [{ material: 'aqua', fill: true, lot: 'x1' }] },
      ],
    })
    const again = JSON.parse(writeFormula(readFormula(text)))
    expect(again).toMatchObject(JSON.parse(text))
  })

  it('round-trips any formula that it accepts', () => {
    const amount = fc.oneof(
      fc.constant({}),
      fc.record({ percent: fc.double({ min: 0, max: 100, noNaN: true }) }),
      fc.record({ grams: fc.double({ min: 0, max: 1000, noNaN: true }) }),
    )
    const lines = fc.array(
      fc
        .tuple(fc.string({ minLength: 1, maxLength: 40 }), amount)
        .map(([material, a]) => ({ material, ...a })),
      { maxLength: 8 },
    )
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.array(lines, { maxLength: 5 }), (name, phases) => {
        const f = formula(
          phases.map((ls, i) => ({ ...phase(`P${i}`, 'other', []), lines: ls })),
          { name },
        )
        expect(readFormula(writeFormula(f))).toMatchObject(JSON.parse(JSON.stringify(f)))
      }),
    )
  })

  it('reads what the oldest notation called batch, groups, rows and rest', () => {
    const f = readFormula(
      JSON.stringify({
        format: 'omblet-formula',
        formatVersion: 0,
        name: 'Old',
        batch: 50,
        groups: [{ name: 'A', role: 'water', rows: [{ material: 'aqua', rest: true }] }],
      }),
    )
    expect(f).toMatchObject({
      formatVersion: 1,
      batchGrams: 50,
      phases: [{ name: 'A', lines: [{ material: 'aqua', fill: true }] }],
    })
  })

  it.each(demo.map((text, i) => [i, text]))(
    'demo formula %i fits the published JSON Schema (ajv)',
    (_, text) => {
      const validate = new Ajv({ strict: false }).compile(formulaJsonSchema())
      expect(validate(JSON.parse(text as string)), JSON.stringify(validate.errors)).toBe(true)
    },
  )

  it('publishes the schema that it reads by', () => {
    const published = JSON.parse(
      readFileSync(new URL('../../../docs/formula.schema.json', import.meta.url), 'utf8'),
    )
    expect(published).toEqual(JSON.parse(JSON.stringify(formulaJsonSchema())))
  })
})

describe('files that cannot be read', () => {
  it('an empty file', () => expect(failure('  ').message).toMatch(/empty/))
  it('a truncated file', () => expect(failure(demo[0]!.slice(0, 300)).message).toMatch(/cut off/))
  it('a picture or a text', () => expect(failure('\x89PNG\r\n').message).toMatch(/not JSON/))
  it('a file of another format', () =>
    expect(failure('{"format":"recipe","title":"x"}').message).toMatch(/"recipe"/))
  it('JSON that is no object', () => expect(failure('[1,2]').message).toMatch(/one JSON object/))
  it('a newer version', () => expect(broken((f) => (f['formatVersion'] = 2)).message).toMatch(/newer Omblet/))
  it('a file of 100,000 lines', () => {
    const line = { material: 'glycerin', percent: 1 }
    const f = {
      ...good(),
      phases: [{ name: 'A', role: 'water', lines: Array.from({ length: 100_000 }, () => line) }],
    }
    expect(failure(JSON.stringify(f, null, 1)).message).toMatch(
      /400 lines or fewer|more than any formula needs/,
    )
  })
  it.each<[string, (f: ReturnType<typeof good>) => void, string]>([
    ['a negative percent', (f) => (f.phases[0]!.lines[1]!['percent'] = -1), 'phases[0].lines[1].percent'],
    [
      'a text for a percent',
      (f) => (f.phases[0]!.lines[1]!['percent'] = '2 %'),
      'phases[0].lines[1].percent',
    ],
    ['a huge percent', (f) => (f.phases[0]!.lines[1]!['percent'] = 1e12), 'phases[0].lines[1].percent'],
    [
      'a line without a material',
      (f) => delete f.phases[0]!.lines[1]!['material'],
      'phases[0].lines[1].material',
    ],
    ['an amount on the fill line', (f) => (f.phases[0]!.lines[0]!['percent'] = 3), 'phases[0].lines[0]'],
    [
      'a second fill line',
      (f) => Object.assign(f.phases[1]!.lines[0]!, { fill: true, percent: undefined }),
      'phases[1].lines[0].fill',
    ],
    ['an unknown kind', (f) => (f['product'] = { kind: 'soup' }), 'product.kind'],
    ['a batch of nothing', (f) => (f['batchGrams'] = 0), 'batchGrams'],
    ['a target upside down', (f) => (f['targetPh'] = { min: 7, max: 5 }), 'targetPh'],
    ['a name of 10,000 characters', (f) => (f['name'] = 'x'.repeat(10_000)), 'name'],
    ['no phases', (f) => delete (f as Record<string, unknown>)['phases'], 'phases'],
  ])('%s is named by its field', (_, change, field) => {
    const error = broken(change)
    expect(error.field).toBe(field)
    expect(error.message).toContain(field)
    expect(error.message).toMatch(/\.$/)
  })

  it('never throws anything but a sentence, whatever the bytes', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc
            .jsonValue()
            .map((v) => JSON.stringify({ format: 'omblet-formula', formatVersion: 1, name: 'x', phases: v })),
        ),
        (text) => {
          try {
            readFile(text)
          } catch (error) {
            expect(error).toBeInstanceOf(ReadError)
            expect((error as Error).message.length).toBeGreaterThan(10)
          }
        },
      ),
    )
  })
})
