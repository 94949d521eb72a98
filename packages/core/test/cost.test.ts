// What a batch costs, and what it is filled into. Sums are made by hand.
import { doesNotFitText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  Container,
  containerRows,
  costByPrices,
  costDrivers,
  costFromShelf,
  costOfBatch,
  costReport,
  costRows,
  densityOf,
  doesNotFit,
  fillFrom,
  gramsToFill,
  Lot,
  lossOf,
  priceAtMargin,
  priceHistory,
  readContainers,
  readPrices,
  shoppingList,
  suits,
  swapCost,
} from '../src/index.ts'
import { Making } from './bench-helpers.ts'
import { anyFormula, cream, formula, phase, PRESERVED, simple } from './helpers.ts'

const TODAY = '2026-11-27'
const oil = formula(
  [
    phase('Oil', 'oil', [
      ['squalane', 60],
      ['jojoba oil', 40],
    ]),
  ],
  { batchGrams: 200 },
)
const lot = (id: string, material: string, rest: Partial<Lot> = {}) =>
  Lot.parse({ id, material, leftGrams: 1000, packGrams: 100, price: 10, ...rest })
const table = (rows: string) => readPrices(`material,price,pack_grams\n${rows}`, catalogue)
const priceOf = (rows: string) => {
  const read = table(rows)
  if ('error' in read) throw new Error(read.error)
  return read.priceOf
}

describe('prices from a table', () => {
  it('are found by INCI, common name or id, in any column order and with a comma', () => {
    const p = priceOf('Squalane,12,100\n"simmondsia chinensis seed oil",8,200')
    expect(p('squalane')).toBeCloseTo(0.12, 9)
    expect(p('simmondsia-chinensis-seed-oil')).toBeCloseTo(0.04, 9)
    expect(p('glycerin')).toBeNull()
    const other = readPrices('pack_grams;material;price\n250;glycerin;2,50', catalogue)
    expect('priceOf' in other && other.priceOf('glycerin')).toBeCloseTo(0.01, 9)
  })
  it.each([
    ['glycerin,x,100', 'price in row 2'],
    ['glycerin,4,0', 'pack_grams in row 2'],
    ['glycerin,4,', 'pack_grams in row 2'],
    ['squalane,3,50\n,4,100', 'material in row 3'],
    ['glycerin,-4,100', 'price in row 2'],
    ['squalane,12,100\nSqualane,20,100', 'has a price in row 2 and in row 3'],
    ['glycerin,"1,000",100', 'price in row 2'],
    ['glycerin,4,"1,000"', 'can be read in two ways'],
  ])('that cannot be read, %j, are told by row and column', (rows, says) => {
    const read = table(rows)
    expect('error' in read && read.error).toContain(says)
  })
  it('need their three columns', () => {
    const read = readPrices('name,price\nx,1', catalogue)
    expect('error' in read && read.error).toContain('material, pack_grams')
  })
})

describe('what a formula costs', () => {
  it('is grams times price, per batch and per 100 g', () => {
    const r = costReport(costByPrices(assess(oil), priceOf('squalane,12,100\njojoba oil,9,100')))
    expect(r).toEqual({
      batch: 21.6,
      per100Grams: 10.8,
      lines: [
        { material: 'squalane', grams: 120, cost: 14.4 },
        { material: 'simmondsia-chinensis-seed-oil', grams: 80, cost: 7.2 },
      ],
      unpriced: [],
    })
  })
  it('names what has no price and never counts it as nothing', () => {
    const c = costByPrices(assess(oil), priceOf('squalane,12,100'))
    expect(c.unpriced).toEqual(['simmondsia-chinensis-seed-oil'])
    expect(c.unpricedPercent).toBeCloseTo(40, 9)
    expect(c.lines[1]!.cost).toBeNull()
    expect(costByPrices(assess(oil), () => null).materials).toBeNull()
  })
  it('adds containers and hours, and a margin is of the price', () => {
    const c = costByPrices(assess(oil), priceOf('squalane,12,100\njojoba oil,9,100'), {
      perContainer: 1.1,
      containers: 4,
      hours: 2,
      rate: 5,
    })
    expect(c.whole).toBeCloseTo(21.6 + 4.4 + 10, 9)
    expect(c.perContainer).toBeCloseTo(9, 9)
    expect(priceAtMargin(9, 40)).toBeCloseTo(15, 9)
    expect(priceAtMargin(9, 100)).toBeNull()
  })
  it('takes the lot that ends first, none that is past, and buys the rest at the newest price', () => {
    const lots = [
      lot('late', 'squalane', { leftGrams: 500, expires: '2028-01-01', price: 20 }),
      lot('soon', 'squalane', { leftGrams: 50, expires: '2027-01-01', price: 10 }),
      lot('past', 'squalane', { leftGrams: 500, expires: '2026-01-01', price: 1 }),
      lot('jojoba', 'simmondsia-chinensis-seed-oil', {
        leftGrams: 30,
        price: 8,
        postage: 2,
        bought: '2026-05-01',
      }),
    ]
    const c = costFromShelf(assess(oil), lots, TODAY)
    // 50 g at 0.10 and 70 g at 0.20; 30 g from the lot and 50 g bought again, all at (8 + 2)/100
    expect(c.lines[0]).toMatchObject({ cost: 19, lots: ['soon', 'late'] })
    expect(c.lines[1]!.cost).toBeCloseTo(8, 9)
  })
  it('uses a lot up once, over all lines that want it', () => {
    const two = formula(
      [phase('Oil', 'oil', [['squalane', 50]]), phase('Late', 'cool-down', [['squalane', 50]])],
      { batchGrams: 200 },
    )
    const lots = [
      lot('a', 'squalane', { leftGrams: 120, expires: '2027-01-01', price: 10 }),
      lot('b', 'squalane', { price: 30, expires: '2028-01-01' }),
    ]
    const c = costFromShelf(assess(two), lots, TODAY)
    expect(c.materials).toBeCloseTo(120 * 0.1 + 80 * 0.3, 9)
  })
  it('by phase and by material sums to the whole, whatever has a price', () => {
    fc.assert(
      fc.property(anyFormula, fc.nat(), (f, seed) => {
        const price = (id: string) => ((id.length * 7 + seed) % 3 === 0 ? null : 0.01 * (1 + (id.length % 9)))
        const c = costByPrices(assess(f), price)
        const sum = (values: (number | null)[]) => values.reduce<number>((t, v) => t + (v ?? 0), 0)
        expect(sum(c.phases.map((p) => p.cost))).toBeCloseTo(c.materials ?? 0, 6)
        expect(sum(costDrivers(c).map((d) => d.line.cost))).toBeCloseTo(c.materials ?? 0, 6)
        expect(c.unpricedPercent).toBeGreaterThanOrEqual(0)
        expect(c.unpricedPercent).toBeLessThanOrEqual(100 + 1e-9)
        expect(costRows(assess(f), c)).toHaveLength(c.lines.length + 2)
      }),
    )
  })
})

describe('what would change it', () => {
  it('is the other material at its dose against what the line costs', () => {
    const a = assess(oil)
    const prices = priceOf('squalane,12,100\njojoba oil,9,100')
    // 120 g at 0.12 against 60 % of 200 g at 0.09
    const change = swapCost(
      a,
      { id: 'squalane', grams: 120 },
      { id: 'simmondsia-chinensis-seed-oil', percent: 60 },
      prices,
    )
    expect(change).toBeCloseTo(120 * 0.09 - 120 * 0.12, 9)
    expect(swapCost(a, { id: 'squalane', grams: 120 }, { id: 'glycerin', percent: 60 }, prices)).toBeNull()
  })
  it('a price has a history over the lots that tell one, with their postage', () => {
    const lots = [
      lot('new', 'squalane', { price: 12, postage: 2, bought: '2026-05-01' }),
      lot('old', 'squalane', { price: 9, bought: '2025-02-01' }),
      lot('free', 'squalane', { packGrams: 0, bought: '2026-01-01' }),
      lot('undated', 'squalane', { price: 1 }),
    ]
    const told = priceHistory(lots, 'squalane')
    expect(told.map((h) => h.day)).toEqual(['2025-02-01', '2026-05-01'])
    expect(told[0]!.per100).toBeCloseTo(9, 9)
    expect(told[1]!.per100).toBeCloseTo(14, 9)
  })
  it('a shopping list says what lacks would cost, and not what has no price', () => {
    const list = shoppingList(assess(oil), [lot('a', 'squalane', { leftGrams: 20, price: 12 })], TODAY)
    expect(
      list.map((n) => [n.material, n.lackGrams, n.cost === null ? null : Number(n.cost.toFixed(6))]),
    ).toEqual([
      ['squalane', 100, 12],
      ['simmondsia-chinensis-seed-oil', 80, null],
    ])
  })
})

describe('what a batch cost', () => {
  it('is the lots that were taken, as they were weighed', () => {
    const m = new Making(oil).upTo('weigh')
    const lots = [
      lot('mine', 'squalane', { price: 12 }),
      lot('other', 'squalane', { price: 50, bought: '2026-10-01' }),
    ]
    m.do({ type: 'weigh', line: m.line('squalane'), grams: 125, lot: 'mine' })
    m.do({ type: 'weigh', line: 1, grams: 80 })
    const c = costOfBatch(m.state, lots)
    expect(c.lines[0]).toMatchObject({ grams: 125, lots: ['mine'] })
    expect(c.lines[0]!.cost).toBeCloseTo(15, 9)
    // 15 for the 205 g that were made
    expect(c.per100Grams).toBeCloseTo(1500 / 205, 6)
    expect(c.unpriced).toEqual(['simmondsia-chinensis-seed-oil'])
  })
  it('leaves out what was taken back, and counts an adjuster beside the lines', () => {
    const m = new Making(cream({}, { batchGrams: 200 })).upTo('weigh')
    m.do({ type: 'weigh', line: m.line('glycerin'), grams: 8 })
    m.do({ type: 'undo', of: m.events.length - 1 })
    m.do({ type: 'dose', material: 'sodium-hydroxide', strengthPercent: 10, grams: 1 })
    const c = costOfBatch(m.state, [])
    expect(c.lines.map((l) => l.material)).toEqual(['sodium-hydroxide'])
    expect(c.materials).toBeNull()
  })
})

const jar = Container.parse({ id: 'j', name: 'Amber jar', kind: 'jar', nominalMl: 60, brimMl: 66, left: 4 })
const of = (kind: Container['kind'], rest: Partial<Container> = {}) => ({ ...jar, kind, ...rest })
const balm = formula(
  [
    phase('Oil', 'oil', [
      ['shea butter', 'fill'],
      ['beeswax', 20],
    ]),
  ],
  { product: { kind: 'butter' }, batchGrams: 300 },
)
const toner = simple([['glycerin', 3], PRESERVED], { product: { kind: 'toner' }, batchGrams: 200 })

describe('containers', () => {
  it.each<[string, ReturnType<typeof formula>, Partial<Container> & { kind: Container['kind'] }, boolean]>([
    ['a toner in a mist bottle', toner, { kind: 'spray' }, true],
    ['a toner in a jar', toner, { kind: 'jar' }, false],
    ['a cream in a jar', cream(), { kind: 'jar' }, true],
    ['a cream in an airless pump', cream(), { kind: 'airless' }, true],
    ['a cream as a mist', cream(), { kind: 'spray' }, false],
    ['a cream in a tin', cream(), { kind: 'tin' }, false],
    ['a balm in a tin', balm, { kind: 'tin' }, true],
    ['a balm in a pump', balm, { kind: 'pump' }, false],
    [
      'alcohol in acrylic',
      simple([['alcohol', 40]], { product: { kind: 'toner' } }),
      { kind: 'spray', wall: 'acrylic' },
      false,
    ],
    [
      'alcohol in glass',
      simple([['alcohol', 40]], { product: { kind: 'toner' } }),
      { kind: 'spray', wall: 'glass' },
      true,
    ],
    [
      'acid in bare aluminium',
      simple([['lactic acid', 5], PRESERVED], { product: { kind: 'toner' } }),
      { kind: 'spray', wall: 'aluminium' },
      false,
    ],
  ])('%s', (_, f, c, good) => {
    const verdict = suits(assess(f), c)
    expect(verdict.suits).toBe(good)
    if (!good) expect(verdict.reasons.length).toBeGreaterThan(0)
  })
  it('know the density of what they hold within what it is told to', () => {
    // Handbook figures: oils 0.91 to 0.93 g/mL, a glycerin solution of 20 % about 1.05.
    const d = densityOf(assess(formula([phase('Oil', 'oil', [['sunflower oil', 'fill']])])))
    expect(d.low).toBeLessThan(0.92)
    expect(d.high).toBeGreaterThan(0.92)
    expect(densityOf(assess(simple([['glycerin', 20]]))).value).toBeCloseTo(1.05, 1)
    const whipped = { ...balm, method: { choices: { body: 'whip' as const } } }
    expect(densityOf(assess(whipped))).toMatchObject({ low: 0.5, high: 0.8 })
  })
  it('are filled from a batch after what stays behind, and as many want as much again', () => {
    const a = assess(cream({}, { batchGrams: 500 }))
    const fill = fillFrom(a, jar, 500)
    expect(fill.low).toBeLessThanOrEqual(fill.count)
    expect(fill.count).toBeLessThanOrEqual(fill.high)
    expect(fillFrom(a, jar, gramsToFill(a, jar, fill.count)).count).toBe(fill.count)
    expect(fillFrom(a, jar, gramsToFill(a, jar, fill.count) - 1).count).toBe(fill.count - 1)
    expect(lossOf(assess(cream({}, { batchGrams: 60 }))).high).toBe(12)
  })
  it('do not hold more than their brim', () => {
    const a = assess(cream())
    expect(doesNotFitText(doesNotFit(a, of('jar', { nominalMl: 118, brimMl: 118 }), 200)!)).toContain(
      '200 g do not fit 118 mL',
    )
    expect(doesNotFit(a, of('jar', { nominalMl: 118, brimMl: 118 }), 110)).toBeNull()
  })
  it('travel as a table and come back', () => {
    const jars = [
      jar,
      Container.parse({
        id: 'b',
        name: 'Bottle',
        kind: 'pump',
        wall: 'pet',
        nominalMl: 100,
        left: 0,
        price: 0.8,
      }),
    ]
    const rows = containerRows(jars).map((row) => row.map((cell) => (cell === undefined ? '' : String(cell))))
    expect(readContainers(rows, [], () => 'new')).toEqual({
      rows: jars.map((next) => ({ was: null, next })),
      refused: [],
    })
  })
  it('in a table change those of the same name, and what cannot be read is told by its row', () => {
    const read = readContainers(
      [
        ['Container', 'type', 'volume', 'count'],
        ['Amber jar', 'jar', '60', '12'],
        ['Odd', 'amphora', '60', '1'],
        ['Void', 'jar', 'x', '1'],
      ],
      [jar],
      () => 'new',
    )
    expect(read.rows).toEqual([{ was: jar, next: { ...jar, left: 12 } }])
    expect(read.refused[0]).toContain('Row 3: kind must be one of')
    expect(read.refused[1]).toContain('Row 4')
    expect(readContainers([['size'], ['4']], [], () => 'x').refused).toEqual([
      'The table has no column “name”.',
    ])
  })
})
