import { mixtureFaultText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  buildRecipe,
  Catalogue,
  catalogue,
  customOf,
  formulaFault,
  freshnessOf,
  mixtureFault,
  ownMaterial,
  parseCsv,
  readFile,
  ReadError,
  readRecipe,
  writeCsv,
  type Cell,
  type Lot,
  type Material,
} from '../src/index.ts'
import { compositionOf } from '../src/materials/resolve.ts'
import { readWholeTable } from '../src/files/tables.ts'

/** How often a reading asks the catalogue: the work that once grew with the square of the length. */
class Counting extends Catalogue {
  asked = 0
  override find(name: string) {
    this.asked++
    return super.find(name)
  }
}
const asked = (text: string) => {
  const counting = new Counting(catalogue.materials)
  readRecipe(text, counting)
  return counting.asked
}

describe('reading a recipe', () => {
  const HOSTILE: [string, (n: number) => string][] = [
    ['short names between commas', (n) => Array.from({ length: n }, (_, i) => `a${i}b`).join(', ')],
    ['short names with amounts', (n) => Array.from({ length: n }, (_, i) => `zo${i}l x 1 %`).join(', ')],
    ['unknown names', (n) => Array.from({ length: n }, (_, i) => `Zorbl quax${i} vimtree 3 %`).join('\n')],
    ['q.s. to', (n) => 'q.s. to '.repeat(n)],
    ['blanks', (n) => `a${' '.repeat(n * 10)}b 3 %`],
    ['dots', (n) => `water${'.'.repeat(n * 10)} 3 %`],
    ['brackets', (n) => `${'('.repeat(n * 5)}water 3 %`],
    ['numbers', (n) => '1 2 3 '.repeat(n)],
    ['digits', (n) => `${'1'.repeat(n * 10)} %`],
    ['figures between commas', (n) => `${'1,'.repeat(n * 5)} %`],
    ['words of a heading', (n) => `ph ${'final '.repeat(n)}`],
    ['strokes', (n) => `water ${'- '.repeat(n * 5)}3 %`],
  ]
  // A text that hung for seconds runs into the time that any test has.
  it.each(HOSTILE)('does no more than twice the work for twice the length: %s', (_what, make) => {
    const [once, twice] = [asked(make(100)), asked(make(200))]
    expect(twice).toBeLessThan(2.5 * Math.max(40, once))
  })
  it('keeps a line that is no ingredient as it is, however long', () => {
    const line = 'water 3 %, '.repeat(600)
    const { lines } = readRecipe(line, catalogue)
    expect(lines).toEqual([{ kind: 'unread', row: 1, text: line.trim() }])
  })
  it('makes nothing that could not be read again: 300 texts', () => {
    const piece = fc.oneof(
      fc.string({ maxLength: 400 }),
      fc.constantFrom(
        'Water to 100 %',
        'Glycerin 4 %',
        'Phase A',
        `${'x'.repeat(500)} 3 %`,
        '1e9 g water',
        '0 % glycerin',
        'pH 3-9',
        'Lactic acid 90 % 2 %',
      ),
    )
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 12 }), (lines) => {
        const recipe = readRecipe(lines.join('\n'), catalogue)
        expect(formulaFault(buildRecipe(recipe, {}, catalogue).formula)).toBeNull()
      }),
      { numRuns: 300 },
    )
  }, 60_000)
})

describe('files that nobody wrote', () => {
  const FORMATS = ['omblet-formula', 'omblet-backup', 'omblet-batch']
  const RUNS = 3000
  it(`get a sentence, and never anything else: ${RUNS} files`, () => {
    const value = fc.letrec<{ any: unknown }>((tie) => ({
      any: fc.oneof(
        { depthSize: 'small' },
        fc.jsonValue({ maxDepth: 1 }),
        fc.array(tie('any'), { maxLength: 4 }),
        fc.dictionary(
          fc.constantFrom(
            'phases',
            'lines',
            'material',
            'percent',
            'events',
            'type',
            'formula',
            'formulas',
            'batch',
            'id',
            'n',
            'at',
            'lots',
            'materials',
            '__proto__',
          ),
          tie('any'),
          { maxKeys: 4 },
        ),
      ),
    })).any
    fc.assert(
      fc.property(fc.constantFrom(...FORMATS), fc.nat(3), value, (format, formatVersion, body) => {
        const text = JSON.stringify({
          ...(typeof body === 'object' && body !== null && !Array.isArray(body) ? body : { phases: body }),
          format,
          formatVersion,
        })
        try {
          readFile(text)
        } catch (error) {
          expect(error).toBeInstanceOf(ReadError)
          expect((error as Error).message).toMatch(/[.!?]$/)
        }
        expect(Object.prototype).not.toHaveProperty('phases')
      }),
      { numRuns: RUNS },
    )
  }, 60_000)
})

const own = (name: string, parts: [string, number][]): Material =>
  ownMaterial(
    {
      name,
      inci: 'Aqua',
      functions: [],
      solubility: 'water',
      phase: 'any',
      parts: parts.map(([material, percent]) => ({ material, percent })),
    },
    catalogue,
  )

describe('mixtures in mixtures', () => {
  it('that fan out, and those that go round, are taken apart in bounded work', () => {
    const wide = Array.from({ length: 8 }, (_, level) =>
      own(
        `Level ${level}`,
        Array.from({ length: 50 }, () => [level === 0 ? 'aqua' : `Level ${level - 1}`, 2]),
      ),
    )
    const round = [0, 1, 2].map((i) =>
      own(
        `Ring ${i}`,
        Array.from({ length: 50 }, () => [`Ring ${(i + 1) % 3}`, 2]),
      ),
    )
    const all = catalogue.with([...wide, ...round])
    expect(compositionOf(all.find('Level 7')!, all).map((s) => [s.key, Math.round(s.share)])).toEqual([
      ['aqua', 100],
    ])
    expect(compositionOf(all.find('Ring 0')!, all).length).toBeLessThan(4)
    expect(customOf(all.find('Level 7')!, all).parts).toEqual([{ material: 'aqua', percent: 100 }])
    expect(customOf(all.find('Ring 0')!, all).parts!.length).toBeLessThan(4)
    expect(mixtureFaultText(mixtureFault('Ring 2', [{ material: 'Ring 0', percent: 50 }], all)!)).toMatch(
      /Ring 0 contains Ring 2/,
    )
  })
  it('that lie too deep in each other are refused by name', () => {
    const deep = Array.from({ length: 14 }, (_, i) =>
      own(`Deep ${i}`, [[i === 0 ? 'aqua' : `Deep ${i - 1}`, 100]]),
    )
    const all = catalogue.with(deep)
    expect(mixtureFault('New', [{ material: 'Deep 3', percent: 10 }], all)).toBeNull()
    expect(mixtureFaultText(mixtureFault('New', [{ material: 'Deep 13', percent: 10 }], all)!)).toMatch(
      /^Deep 13 contains mixtures nested/,
    )
  })
})

describe('tables', () => {
  const table = (...rows: Cell[][]) =>
    readWholeTable(rows, { catalogue, lots: [], own: [], makeId: () => 'id' })
  const lots = (column: string, value: string) =>
    table(['material', 'left_grams', column], ['glycerin', '5', value])
  it.each([
    ['99.01.2026', /does not exist/],
    ['30.02.2026', /does not exist/],
    ['2026-02-30', /does not exist/],
    ['01.13.2026', /does not exist/],
    ['12/31/2026', /month first/],
    ['05/06/2026', /two dates/],
    ['next spring', /is not a date/],
  ])('ask about %s instead of storing it', (day, why) => {
    const { rows, refused } = lots('expires', day)
    expect(rows).toEqual([])
    expect(refused[0]!.why).toMatch(why)
  })
  it.each([
    ['31.12.2026', '2026-12-31'],
    ['31/12/2026', '2026-12-31'],
    ['7/7/2026', '2026-07-07'],
    ['2028-02-29', '2028-02-29'],
  ])('take %s for %s', (text, day) => {
    expect(lots('expires', text).rows[0]!.item).toMatchObject({ expires: day })
  })
  it.each([
    ['1,000', /can be 1000 or 1\.000/],
    ['12,500', /12500 or 12\.500/],
    ['5 oz', /not in grams/],
    ['250 ml', /not in grams/],
    ['40 %', /not in grams/],
  ])('ask about %s grams', (text, why) => {
    const { rows, refused } = table(['material', 'left_grams'], ['glycerin', text])
    expect(rows).toEqual([])
    expect(refused[0]!.why).toMatch(why)
  })
  it.each([
    ['1000', 1000],
    ['2,5', 2.5],
    ['0,125', 0.125],
    ['12.5 g', 12.5],
    ['3 grams', 3],
  ])('take %s for %d g', (text, grams) => {
    expect(table(['material', 'left_grams'], ['glycerin', text]).rows[0]!.item).toMatchObject({
      leftGrams: grams,
    })
  })
  it('a lot whose day is none is never good', () => {
    expect(
      freshnessOf(
        { id: 'l', material: 'glycerin', leftGrams: 1, expires: '2026-02-31' } as Lot,
        '2026-11-27',
      ),
    ).toBe('unknown')
  })
  it('write no cell that a spreadsheet runs, and read back what was written', () => {
    const signs = ['=1+1', '\n=1+1', '\r\n@x', ' =1', "'=1", '\t+1', '＝1', '-2', 'a=1', "''x", '  text']
    for (const cell of signs) {
      const written = writeCsv([[cell, 'x']])
      const [raw] = parseCsv(written)[0]!
      expect(/^\s*[=+\-@＝]/.test(raw!), JSON.stringify(cell)).toBe(false)
    }
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.constantFrom(...signs)), (note) => {
        const rows = parseCsv(
          writeCsv([
            ['material', 'left_grams', 'note'],
            ['glycerin', 5, note],
          ]),
        )
        const { item } = table(...rows).rows[0]! as { item: Lot }
        expect(item.note ?? '').toBe(note.trim() === '' ? '' : note.replace(/\r\n|\r|\n/g, (m) => m))
      }),
    )
  })
})
