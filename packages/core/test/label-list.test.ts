// Ingredient lists from labels: the amounts that can be, and whether the true ones of known formulas are among them.
import { DRAFT_NOTE } from '../src/words/index.ts'
import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import {
  assess,
  catalogue,
  compareLabels,
  findAll,
  Formula,
  labelFormula,
  labelRanges,
  readFormula,
  readLabel,
  type Product,
  type Solver,
} from '../src/index.ts'
import { inciList } from '../src/label/ingredients.ts'
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
    [
      'Ingredients: Aqua (Water), Glycerin, 1,2-Hexanediol, Sodium Hyaluronate.',
      ['aqua', 'glycerin', '1-2-hexanediol', 'sodium-hyaluronate'],
    ],
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
    const text =
      'Aqua, Caprylic/Capric Triglyceride, Glycerin, Cetearyl Olivate, Sorbitan Olivate, Cetyl Alcohol, Phenoxyethanol, Ethylhexylglycerin'
    const result = rangesOf(text, { kind: 'cream' })!
    for (const r of result.ranges) {
      expect(r.draft).toBeGreaterThanOrEqual(r.least - 0.01)
      expect(r.draft).toBeLessThanOrEqual(r.greatest + 0.01)
    }
    const f = labelFormula(result, {
      catalogue,
      product: { ...product, kind: 'cream' },
      name: 'Guess',
      note: DRAFT_NOTE,
    })
    expect(Formula.safeParse(f).success).toBe(true)
    expect(f.note).toContain('never the original')
    const a = assess(f)
    expect(a.amounts.balanced).toBe(true)
    expect(a.lines.map((l) => l.id)).toContain('cetearyl-olivate-sorbitan-olivate')
    expect(findAll(a).map((x) => x.code)).not.toContain('material.unknown')
  })
})

describe('a draft that could be made', () => {
  const draftOf = (
    text: string,
    p: Partial<Product>,
    more: { ph?: number; texture?: 'milk' | 'butter'; spf?: number } = {},
  ) => {
    const context = { catalogue, product: { ...product, ...p }, ...more }
    return labelFormula(labelRanges(readLabel(text, catalogue), context, solver)!, {
      ...context,
      name: 'Guess',
      note: DRAFT_NOTE,
    })
  }
  const serious = (f: Formula) =>
    findAll(assess(f))
      .filter((x) => x.severity !== 'note' && x.code !== 'material.unknown')
      .map((x) => x.code)
  it.each([
    [
      'cream',
      'Aqua, Glycerin, Caprylic/Capric Triglyceride, Cetearyl Alcohol, Butyrospermum Parkii Butter, Ceteareth-20, Squalane, Phenoxyethanol, Tocopherol, Xanthan Gum, Ethylhexylglycerin, Citric Acid',
      ['cetearyl-alcohol-ceteareth-20', 'phenoxyethanol-ethylhexylglycerin'],
    ],
    [
      'lotion',
      'Aqua, Helianthus Annuus Seed Oil, Glycerin, Glyceryl Stearate, PEG-100 Stearate, Cetyl Alcohol, Benzyl Alcohol, Dehydroacetic Acid, Parfum',
      ['glyceryl-stearate-peg-100-stearate', 'benzyl-alcohol-dehydroacetic-acid'],
    ],
    [
      'serum',
      'Aqua, Niacinamide, Seafig Fruit Extract, Propanediol, Xanthan Gum, Sodium Benzoate, Potassium Sorbate, Lactic Acid',
      ['sodium-benzoate-potassium-sorbate'],
    ],
  ] as const)(
    'a %s by the blends that makers buy, preserved, held together and without an alarm',
    (kind, text, blends) => {
      const f = draftOf(text, { kind })
      const materials = f.phases.flatMap((p) => p.lines.map((l) => l.material))
      for (const blend of blends) expect(materials).toContain(blend)
      expect(serious(f)).toEqual([])
      expect(
        f.phases.flatMap((p) => p.lines).find((l) => /Fruit Extract/.test(l.material))?.percent ?? 0,
      ).toBeLessThanOrEqual(5)
    },
  )
  it('heats what has to melt, and aims for the pH that is told', () => {
    const text =
      'Aqua, Squalane, Glyceryl Stearate, PEG-100 Stearate, Cetyl Alcohol, Phenoxyethanol, Ethylhexylglycerin'
    const f = draftOf(text, { kind: 'cream' }, { ph: 5.2 })
    expect(f.phases.find((p) => p.role === 'oil')!.heatToC).toBeGreaterThanOrEqual(65)
    expect(f.phases.find((p) => p.role === 'water')!.heatToC).toBe(
      f.phases.find((p) => p.role === 'oil')!.heatToC,
    )
    expect(f.targetPh).toEqual({ min: expect.closeTo(4.9, 5), max: expect.closeTo(5.5, 5) })
  })
  it('is narrowed by a texture and by the figure that is claimed', () => {
    const text =
      'Aqua, Caprylic/Capric Triglyceride, Zinc Oxide, Glycerin, Cetearyl Olivate, Sorbitan Olivate, Phenoxyethanol'
    const most = (more: { texture?: 'milk' | 'butter' }) =>
      labelRanges(
        readLabel(text, catalogue),
        { catalogue, product: { ...product, kind: 'cream' }, ...more },
        solver,
      )!
    const oil = (r: ReturnType<typeof most>) =>
      r.ranges.find((x) => x.name.key === 'caprylic-capric-triglyceride')!
    expect(oil(most({ texture: 'milk' })).greatest).toBeLessThan(oil(most({})).greatest)
    const zinc = labelRanges(
      readLabel(text, catalogue),
      { catalogue, product: { ...product, kind: 'cream' }, spf: 30 },
      solver,
    )!.ranges.find((x) => x.name.key === 'zinc-oxide')!
    expect(zinc.least).toBeGreaterThanOrEqual(6 - 1e-6)
  })
})

describe('two lists of one product', () => {
  const change = (before: string, after: string) =>
    Object.fromEntries(
      compareLabels(readLabel(before, catalogue), readLabel(after, catalogue)).map((c) => [c.key, c.what]),
    )
  it('tell what is new, gone and moved, by the fewest moves', () => {
    expect(change('Aqua, Glycerin, Panthenol, Urea', 'Aqua, Panthenol, Glycerin, Squalane')).toEqual({
      aqua: 'same',
      panthenol: expect.stringMatching(/up|same/),
      glycerin: expect.stringMatching(/down|same/),
      squalane: 'new',
      urea: 'gone',
    })
    expect(change('Aqua, Glycerin, Urea', 'Aqua, Glycerin, Urea')).toEqual({
      aqua: 'same',
      glycerin: 'same',
      urea: 'same',
    })
  })
  it('tell a percent that is declared otherwise', () => {
    const [, niacinamide] = compareLabels(
      readLabel('Aqua, Niacinamide 10 %', catalogue),
      readLabel('Aqua, Niacinamide 5 %', catalogue),
    )
    expect(niacinamide).toMatchObject({ what: 'same', declared: { before: 10, after: 5 } })
  })
  it('moves as few names as can be', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(['Glycerin', 'Urea', 'Squalane', 'Panthenol', 'Betaine', 'Allantoin'], {
          minLength: 6,
        }),
        (names) => {
          const moved = compareLabels(
            readLabel('Glycerin, Urea, Squalane, Panthenol, Betaine, Allantoin', catalogue),
            readLabel(names.join(', '), catalogue),
          ).filter((c) => c.what !== 'same')
          // taking out what moved leaves both lists in one order
          const still = names.filter((n) => !moved.some((m) => m.text === n))
          const first = ['Glycerin', 'Urea', 'Squalane', 'Panthenol', 'Betaine', 'Allantoin'].filter((n) =>
            still.includes(n),
          )
          expect(still).toEqual(first)
        },
      ),
    )
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
