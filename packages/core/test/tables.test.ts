import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  Catalogue,
  findAll,
  Lot,
  lotRows,
  Material,
  materialRows,
  ownMaterial,
  parseCsv,
  readTable,
  TableError,
  writeCsv,
} from '../src/index.ts'
import { inciList } from '../src/label/ingredients.ts'
import { analysisOf, withAnalyses } from '../src/materials/lots.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { cellText, fromHarmless, harmless } from '../src/text/cells.ts'
import { readWholeTable } from '../src/files/tables.ts'
import { formula, phase } from './helpers.ts'

let made = 0
const context = (extra: Partial<Parameters<typeof readTable>[1]> = {}) => ({
  catalogue,
  lots: [],
  own: [],
  makeId: () => `made-${++made}`,
  ...extra,
})
const read = (csv: string, extra = {}) => readWholeTable(parseCsv(csv), context(extra))
const lotsOf = (csv: string, extra = {}) => {
  const result = read(csv, extra)
  if (result.kind !== 'lots') throw new Error('not lots')
  return result
}
const materialsOf = (csv: string, extra = {}) => {
  const result = read(csv, extra)
  if (result.kind !== 'materials') throw new Error('not materials')
  return result
}

const text = fc.string({ minLength: 1, maxLength: 40 }).filter((s) => s.trim() !== '' && !s.includes('\r'))
const day = fc
  .date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10))
const amount = fc.double({ min: 0, max: 1e6, noNaN: true }).map((n) => n + 0)
const share = fc.double({ min: 0.0001, max: 100, noNaN: true })
const third = fc.double({ min: 0.0001, max: 33, noNaN: true })
const id = fc.stringMatching(/^[a-z0-9]{4,12}$/)
const anyLot = fc.record(
  {
    id,
    material: fc.constantFrom(...CATALOGUE_DATA.slice(0, 60).map((m) => m.id)),
    leftGrams: amount,
    packGrams: amount,
    price: amount,
    supplier: text,
    batch: text,
    bought: day,
    opened: day,
    expires: day,
    note: text,
    analysis: fc.array(
      fc.record({ inci: fc.constantFrom('Linalool', 'A;B', 'x\\y', 'N 3'), percent: share }),
      {
        minLength: 1,
        maxLength: 3,
      },
    ),
    extra: fc.record({ shelf: text }),
  },
  { requiredKeys: ['id', 'material', 'leftGrams'] },
)
const anyMaterial = fc
  .record({
    name: text,
    functions: fc.array(
      text.filter((s) => s.trim() === s),
      { minLength: 1, maxLength: 3 },
    ),
    solubility: fc.constantFrom('water' as const, 'oil' as const, 'dispersible' as const),
    phase: fc.constantFrom('water' as const, 'oil' as const, 'cool-down' as const, 'any' as const),
    usage: fc.option(fc.tuple(share, share), { nil: undefined }),
    ph: fc.option(
      fc.tuple(fc.double({ min: 0, max: 14, noNaN: true }), fc.double({ min: 0, max: 14, noNaN: true })),
      {
        nil: undefined,
      },
    ),
    parts: fc.option(
      fc.array(fc.record({ material: fc.constantFrom('aqua', 'glycerin', 'my; thing'), percent: third }), {
        minLength: 1,
        maxLength: 3,
      }),
      { nil: undefined },
    ),
  })
  .map(({ usage, ph, parts, ...rest }) => ({
    ...ownMaterial(
      {
        ...rest,
        inci: '',
        ...(usage ? { usage: { min: Math.min(...usage), max: Math.max(...usage) } } : {}),
        ...(ph ? { ph: { min: Math.min(...ph), max: Math.max(...ph) } } : {}),
        ...(parts ? { parts } : {}),
      },
      catalogue,
    ),
    inci: ['Aqua', 'Crithmum Maritimum Extract', '1,2-Hexanediol'],
  }))

describe('tables of lots and materials', () => {
  it('come back as they were: lots', () => {
    fc.assert(
      fc.property(fc.uniqueArray(anyLot, { selector: (l) => l.id, maxLength: 8 }), (lots) => {
        const parsed = lots.map((l) => Lot.parse(l))
        if (parsed.length === 0) return
        const result = lotsOf(writeCsv(lotRows(parsed)), { lots: parsed })
        expect(result.refused).toEqual([])
        expect(result.rows.map((r) => r.item)).toEqual(parsed)
        expect(result.rows.every((r) => r.status === 'same')).toBe(true)
      }),
      { numRuns: 300 },
    )
  })

  it('come back as they were: own materials', () => {
    fc.assert(
      fc.property(fc.uniqueArray(anyMaterial, { selector: (m) => m.id, maxLength: 6 }), (materials) => {
        if (materials.length === 0) return
        const result = materialsOf(writeCsv(materialRows(materials)), {
          own: materials,
          catalogue: catalogue.with(materials),
        })
        expect(result.refused).toEqual([])
        expect(result.rows.map((r) => r.item)).toEqual(materials.map((m) => Material.parse(m)))
        expect(result.rows.every((r) => r.status === 'same')).toBe(true)
      }),
      { numRuns: 300 },
    )
  })

  it('hold no cell that a spreadsheet would run', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), (cell) => {
        expect(harmless(cell)).not.toMatch(/^[=+\-@\t\r]/)
        expect(fromHarmless(harmless(cell))).toBe(cell)
      }),
    )
    const csv = writeCsv(lotRows([{ id: 'a', material: 'glycerin', leftGrams: 5, note: '=HYPERLINK("x")' }]))
    expect(csv).toContain(`'=HYPERLINK`)
    expect(csv).not.toMatch(/(^|,)"?=/m)
    expect(lotsOf(csv).rows[0]!.item.note).toBe('=HYPERLINK("x")')
  })

  it('read what a spreadsheet at home holds: other headings, semicolons, commas, days the local way', () => {
    const result = lotsOf('Ingredient;Left (g);Best before;Cost\nGlycerin;1 250,5;31.12.2026;7,90\n')
    expect(result.refused).toEqual([])
    expect(result.rows[0]!.item).toMatchObject({
      material: 'glycerin',
      leftGrams: 1250.5,
      expires: '2026-12-31',
      price: 7.9,
    })
    expect(cellText(new Date(Date.UTC(2026, 0, 5)))).toBe('2026-01-05')
  })

  it('refuse a row with a reason and keep the others', () => {
    const result = lotsOf(
      [
        'material,left_grams,expires,analysis,shade',
        'glycerin,10,2026-01-01,,blue',
        'moon dust,10,,,',
        'urea,ten,,,',
        'urea,-4,,,',
        'urea,,,,',
        ',5,,,',
        'urea,5,soon,,',
        'lavender oil,5,,Linalool lots,',
      ].join('\n'),
    )
    expect(result.rows.map((r) => r.row)).toEqual([2])
    expect(result.refused.map((r) => r.row)).toEqual([3, 4, 5, 6, 7, 8, 9])
    for (const { why } of result.refused) expect(why).toMatch(/[.]$/)
    expect(result.refused[0]!.why).toContain('There is no ingredient “moon dust”')
    expect(result.ignored).toEqual(['shade'])
  })

  it('refuse a material that would hide one of the catalogue, or makes no sense', () => {
    const result = materialsOf(
      [
        'name,inci,functions,phase,usage_min,usage_max,ph_min,ph_max,id',
        'Samphire tea,Aqua; Crithmum Maritimum Extract,humectant,water,1,5,4,6,',
        'Fake,Aqua,,,,,,,glycerin',
        'Upside,Aqua,,,5,1,,,',
        'Half,Aqua,,,,,4,,',
        'Sour,Aqua,,,,,4,19,',
        'Attic,Aqua,,attic,,,,,',
      ].join('\n'),
    )
    expect(result.rows.map((r) => r.item.name)).toEqual(['Samphire tea'])
    expect(result.rows[0]!.item).toMatchObject({
      id: 'samphire-tea',
      inci: ['Aqua', 'Crithmum Maritimum Extract'],
      usage: { min: 1, typical: 1, max: 5 },
      own: true,
    })
    expect(result.refused.map((r) => r.what)).toEqual(['Fake', 'Upside', 'Half', 'Sour', 'Attic'])
  })

  it('refuse a stock that contains itself, directly or through another row', () => {
    const result = materialsOf(
      [
        'name,parts',
        'Kelp base,Aqua 90; Glycerin 10',
        'Kelp stock,Kelp base 50; Kelp blend 50',
        'Kelp blend,Kelp stock 20; Aqua 80',
        'Kelp knot,Kelp knot 1',
        'Kelp flood,Aqua 80; Glycerin 30',
      ].join('\n'),
    )
    expect(result.rows.map((r) => r.item.name)).toEqual(['Kelp base', 'Kelp stock'])
    expect(result.refused.map((r) => [r.what, r.why])).toEqual([
      ['Kelp blend', 'It contains itself via its parts.'],
      ['Kelp knot', 'Kelp knot contains Kelp knot, so it cannot be one of its parts.'],
      ['Kelp flood', 'The parts add up to 110 %, more than 100 %.'],
    ])
  })

  it.each([
    ['', 'empty'],
    ['colour,shape\nblue,round\n', 'No known column'],
    ['left_grams\n5\n', 'needs a column “material”'],
  ])('say what is wrong with a whole file: %j', (csv, sentence) => {
    expect(() => read(csv)).toThrow(TableError)
    expect(() => read(csv)).toThrow(sentence)
  })

  it('never throw anything but that sentence, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (csv) => {
        try {
          read(`material,left_grams,more\n${csv}`)
          read(csv)
        } catch (error) {
          expect(error).toBeInstanceOf(TableError)
        }
      }),
    )
  })

  it('show how far they are, and can be left in the middle', () => {
    const rows = ['material,left_grams', ...Array.from({ length: 10_000 }, (_, i) => `glycerin,${i}`)]
    const steps = readTable(parseCsv(rows.join('\n')), context())
    const seen: number[] = []
    for (let step = steps.next(); !step.done && seen.length < 5; step = steps.next()) seen.push(step.value)
    expect(seen).toEqual([250, 500, 750, 1000, 1250])
    expect(lotsOf(rows.join('\n')).rows.length).toBe(10_000)
  })
})

describe('the analysis of a lot', () => {
  const lavender: Lot = {
    id: 'a',
    material: 'lavandula-angustifolia-oil',
    leftGrams: 8,
    opened: '2026-03-01',
    analysis: [{ inci: 'Linalool', percent: 34 }],
  }
  it('is that of the lot opened last, as long as some is left', () => {
    const older: Lot = {
      ...lavender,
      id: 'b',
      opened: '2025-01-01',
      analysis: [{ inci: 'Linalool', percent: 22 }],
    }
    expect(analysisOf([older, lavender], lavender.material)![0]!.percent).toBe(34)
    expect(analysisOf([older, { ...lavender, leftGrams: 0 }], lavender.material)![0]!.percent).toBe(22)
    expect(analysisOf([], lavender.material)).toBeNull()
  })
  it('puts the allergen on the label', () => {
    const mine = new Catalogue(withAnalyses(CATALOGUE_DATA, [lavender]))
    const f = formula([
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['lavender essential oil', 0.1],
      ]),
    ])
    expect(inciList(assess(f, mine)).at(-1)).toBe('Linalool')
    expect(findAll(assess(f, mine)).map((x) => x.code)).toContain('label.name-allergens')
  })
})
