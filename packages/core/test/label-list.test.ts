// Ingredient lists from labels: the amounts that can be, and whether the true ones of known formulas are among them.
import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  findAll,
  Formula,
  inciList,
  labelFormula,
  labelRanges,
  readFormula,
  readLabel,
  type Product,
  type Solver,
} from '../src/index.ts'
import { openHighs } from '../src/solve/highs.ts'
import { formula, phase } from './helpers.ts'

let solver: Solver
beforeAll(async () => {
  solver = await openHighs()
})

const product: Product = { kind: 'serum', site: 'face', rinse: 'leave-on', region: 'EU' }
const rangesOf = (text: string, p: Partial<Product> = {}) =>
  labelRanges(readLabel(text, catalogue), { catalogue, product: { ...product, ...p } }, solver)

describe('reading a label', () => {
  const keys = (text: string) => readLabel(text, catalogue).names.map((n) => n.key)
  it.each([
    ['Ingredients: Aqua (Water), Glycerin, 1,2-Hexanediol, Sodium Hyaluronate.', ['aqua', 'glycerin', '1-2-hexanediol', 'sodium-hyaluronate']], // prettier-ignore
    ['AQUA/WATER/EAU, GLYCERIN, PARFUM (FRAGRANCE)', ['aqua', 'glycerin', 'parfum']],
    ['Water • Glycerin • Squalane', ['aqua', 'glycerin', 'squalane']],
    ['Aqua\nGlycerin\nPanthenol', ['aqua', 'glycerin', 'panthenol']],
    [
      'Aqua, Butyrospermum Parkii (Shea) Butter*, Tocopherol',
      ['aqua', 'butyrospermum-parkii-butter', 'tocopherol'],
    ],
    ['Aqua, Moonwort Extract, Glycerin', ['aqua', 'moonwort-extract', 'glycerin']],
  ])('%s', (text, expected) => expect(keys(text)).toEqual(expected))
  it('reads declared percents and what may be missing, and says what it leaves out', () => {
    const list = readLabel(
      'Aqua, Niacinamide 10%, Glycerin, Aqua [+/- Mica, CI 77891], *organic farming',
      catalogue,
    )
    expect(list.names.map((n) => [n.key, n.declaredPercent, n.maybe])).toEqual([
      ['aqua', null, false],
      ['niacinamide', 10, false],
      ['glycerin', null, false],
      ['mica', null, true],
      [expect.any(String), null, true],
    ])
    expect(list.leftOut.map((l) => l.text)).toEqual(['Aqua', 'organic farming'])
  })
})

describe('what can be', () => {
  it('follows from order and sum alone where nothing else is known', () => {
    // Three unknown names in falling order: at most 100, 1/2 and 1/3 (arithmetic), less the trace the others need.
    const { ranges } = rangesOf('Moonwort A1x, Moonwort B2x, Moonwort C3x', { kind: 'other' })!
    expect(ranges.map((r) => r.greatest)).toEqual([
      expect.closeTo(100, 1),
      expect.closeTo(50, 1),
      expect.closeTo(33.33, 1),
    ])
    expect(ranges[0]!.least).toBeCloseTo(33.33, 1)
  })
  it('keeps a cap of law, a declared percent and the 1 % line', () => {
    const { ranges, line } = rangesOf(
      'Aqua, Glycerin, Niacinamide 5%, Propanediol, Phenoxyethanol, Allantoin, Xanthan Gum',
    )!
    const of = (key: string) => ranges.find((r) => r.name.key === key)!
    expect(of('niacinamide')).toMatchObject({ least: 5, greatest: 5, draft: 5 })
    expect(of('glycerin').least).toBeGreaterThanOrEqual(5)
    // Regulation (EC) 1223/2009, Annex V, entry 29: phenoxyethanol 1 %.
    expect(of('phenoxyethanol').greatest).toBeLessThanOrEqual(1)
    expect(of('xanthan-gum').greatest).toBeLessThanOrEqual(1)
    expect(line.fewest).toBe(3)
    expect(of('aqua').least).toBeGreaterThan(50)
  })
  it('lets what may be missing be nothing, or more than its place in the list', () => {
    const { ranges } = rangesOf('Aqua, Glycerin, Xanthan Gum [+/- Mica]', { kind: 'other' })!
    const mica = ranges.find((r) => r.name.key === 'mica')!
    expect(mica.least).toBe(0)
    expect(mica.greatest).toBeGreaterThan(1)
    expect(mica.draft).toBe(0)
  })
  it('says that nothing fits when a label contradicts itself', () => {
    expect(rangesOf('Aqua, Niacinamide 10%, Glycerin 20%')).toBeNull()
    expect(rangesOf('Phenoxyethanol, Xanthan Gum')).toBeNull()
    expect(rangesOf('')).toBeNull()
  })
  it('drafts a formula that adds up, is ordered as the label, and calls itself a guess', () => {
    const text = 'Aqua, Caprylic/Capric Triglyceride, Glycerin, Cetearyl Olivate, Sorbitan Olivate, Cetyl Alcohol, Phenoxyethanol, Ethylhexylglycerin' // prettier-ignore
    const result = rangesOf(text, { kind: 'cream' })!
    for (const r of result.ranges) {
      expect(r.draft).toBeGreaterThanOrEqual(r.least - 0.01)
      expect(r.draft).toBeLessThanOrEqual(r.greatest + 0.01)
    }
    const f = labelFormula(result, { catalogue, product: { ...product, kind: 'cream' }, name: 'Guess' })
    expect(Formula.safeParse(f).success).toBe(true)
    expect(f.note).toContain('never the original')
    const a = assess(f)
    expect(a.amounts.balanced).toBe(true)
    expect(a.lines.map((l) => l.id)).toContain('cetearyl-olivate-sorbitan-olivate')
    expect(findAll(a).map((x) => x.code)).not.toContain('material.unknown')
  })
})

/** The label that a formula would carry, and what is truly in it. */
const truthOf = (f: Formula) => {
  const a = assess(f)
  return { text: inciList(a).join(', '), substances: a.substances }
}
function misses(f: Formula): string[] {
  const { text, substances } = truthOf(f)
  const result = rangesOf(text, f.product)
  if (!result) return ['nothing fits']
  return result.ranges.flatMap((r) => {
    const truth = substances.get(r.name.key)?.percent
    if (truth === undefined || truth < 0.001) return []
    const inside = truth >= r.least - 0.01 && truth <= r.greatest + 0.01
    return inside ? [] : [`${r.name.text}: ${truth} is outside ${r.least} to ${r.greatest}`]
  })
}

describe('recovery from labels of known formulas', () => {
  const folder = new URL('../../../demo/', import.meta.url)
  const demos = readdirSync(folder).map((file) => readFormula(readFileSync(new URL(file, folder), 'utf8')))
  it.each(
    demos
      .filter((f) => !findAll(assess(f)).some((x) => /^(usage\.above|legal)/.test(x.code)))
      .map((f) => [f.name, f] as const),
  )('%s: every true percent lies in its range', (_name, f) => expect(misses(f)).toEqual([]))

  const usual = (kinds: readonly string[]) =>
    catalogue.materials.filter(
      (m) => kinds.includes(m.kind) && m.usage && m.inci.length === 1 && m.usage.max > 0.2,
    )
  const waters = usual(['humectant', 'active', 'gum', 'chelator', 'protein', 'preservative', 'hyaluronate'])
  const oils = usual(['oil', 'butter', 'ester', 'fatty-alcohol'])
  const doses = (from: typeof waters, count: number) =>
    fc
      .uniqueArray(fc.constantFrom(...from), { minLength: 2, maxLength: count })
      .chain((list) =>
        fc.tuple(
          ...list.map((m) =>
            fc
              .double({ min: 0, max: 1, noNaN: true })
              .map((t): [string, number] => [
                m.id,
                Number((Math.min(m.usage!.max, 12) * (0.05 + 0.9 * t)).toFixed(3)),
              ]),
          ),
        ),
      )
  const creams = fc
    .tuple(doses(waters, 10), doses(oils, 5), fc.double({ min: 2, max: 6, noNaN: true }))
    .map(([water, oil, emulsifier]) =>
      formula(
        [
          phase('Water', 'water', [['aqua', 'fill'], ...water]),
          phase('Oil', 'oil', [...oil, ['olivate emulsifier', Number(emulsifier.toFixed(2))]]),
        ],
        { product: { kind: 'other' } },
      ),
    )
    .filter((f) => {
      const a = assess(f)
      return (
        a.lines.find((l) => l.fill)!.percent > 20 &&
        !findAll(a).some((x) => /^(usage\.above|legal)/.test(x.code))
      )
    })
  it('formulas with usual doses, as many as come', () => {
    fc.assert(
      fc.property(creams, (f) => {
        expect(misses(f)).toEqual([])
      }),
      { numRuns: 25 },
    )
  })
})
