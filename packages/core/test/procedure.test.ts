import { findingText, processOptionValueText, stepText, stepTitle } from '../src/words/index.ts'
import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  aimPh,
  assess,
  benchPlan,
  duplicate,
  findAll,
  methodOf,
  procedureReport,
  questionsOf,
  readFormula,
  weighOut,
  withKeys,
  writeFormula,
  type MethodChoices,
} from '../src/index.ts'
import { anyWholeFormula } from './any-record.ts'
import { formula, phase } from './helpers.ts'
import { broken } from './procedure-helpers.ts'
import { PRODUCTS } from './products.ts'

const anyChoices: fc.Arbitrary<MethodChoices> = fc.record(
  {
    pouring: fc.constantFrom('oil-into-water' as const, 'water-into-oil' as const),
    heating: fc.constantFrom('hold' as const, 'melt' as const),
    cooling: fc.constantFrom('air' as const, 'bath' as const, 'cold-share' as const),
    ending: fc.constantFrom('adjust-first' as const, 'preserve-first' as const),
    gum: fc.constantFrom('rest' as const, 'at-once' as const, 'overnight' as const),
    swelling: fc.constantFrom('shear' as const, 'overnight' as const, 'stock' as const),
    body: fc.constantFrom('as-it-is' as const, 'whip' as const, 'beat' as const),
  },
  { requiredKeys: [] },
)
const RUNS = 1500

describe('a procedure', () => {
  it(`weighs everything once and leaves nothing out, whatever the formula and the choices: ${RUNS} formulas`, () => {
    fc.assert(
      fc.property(anyWholeFormula, anyChoices, (f, choices) => {
        const a = assess(f)
        expect(broken(a, methodOf(a, { choices }).steps)).toBeNull()
      }),
      { numRuns: RUNS },
    )
  }, 120_000)
  const demo = new URL('../../../demo/', import.meta.url)
  it.each(readdirSync(demo))('of %s is whole, and the same by way of a file and a copy', (name) => {
    const f = readFormula(readFileSync(new URL(name, demo), 'utf8'))
    const a = assess(f)
    const { steps } = methodOf(a, f.method)
    expect(broken(a, steps)).toBeNull()
    const again = readFormula(writeFormula(duplicate(f, 'Copy')))
    expect(methodOf(assess(again), again.method).steps).toEqual(steps)
  })
  it.each(PRODUCTS)(
    'of a %s is whole, and the same by way of a file, a copy, a version and a frozen batch',
    (_name, f) => {
      const a = assess(f)
      const { steps } = methodOf(a, f.method)
      expect(broken(a, steps)).toBeNull()
      const again = readFormula(writeFormula(duplicate(f, 'Copy')))
      expect(methodOf(assess(again), again.method).steps).toEqual(steps)
      expect(benchPlan(again).steps.map((s) => s.key)).toEqual(
        steps.filter((s) => !s.later).map((s) => s.key),
      )
      const { steps: told } = procedureReport(a)
      for (const [i, l] of a.lines.entries()) {
        const sum = told
          .flatMap((s) => s.lines)
          .reduce((n, x) => n + (x.phase === l.phase && x.line === l.line ? x.grams : 0), 0)
        expect(sum, String(i)).toBeCloseTo(l.grams, 9)
      }
      // The paper tells the same steps as the screen.
      const sheet = weighOut(a)
      const paper = [...sheet.before, ...sheet.blocks.flatMap((b) => b.steps)].map((s) => s.key)
      const rest = steps.filter((s) => !s.later && !(s.kind === 'weigh')).map((s) => s.key)
      expect(paper).toEqual(rest)
    },
  )

  const of = (name: string) => {
    const f = PRODUCTS.find(([n]) => n === name)![1]
    return methodOf(assess(f), f.method).steps
  }
  const places = (name: string, ...starts: string[]) => {
    const titles = of(name).map((s) => stepTitle(s))
    const at = starts.map((s) => titles.findIndex((t) => t.startsWith(s)))
    expect(at, titles.join(' | ')).not.toContain(-1)
    expect(at).toEqual(at.toSorted((x, y) => x - y))
  }
  it('dissolves an acid until it is clear, lets it cool, and adds it when the emulsion stands', () => {
    places(
      'three-part cream with an acid premix',
      'Pour C into B',
      'Blend',
      'Dissolve salicylic acid in A',
      'Let A cool',
      'Add A, Acid',
      'Measure the pH',
    )
    const dissolve = of('three-part cream with an acid premix').find((s) => s.kind === 'dissolve')!
    expect([stepText(dissolve).look, dissolve.celsius]).toEqual(['clear, no sediment', 55])
    places(
      'cold gel with a warm acid',
      'Stir the slurry',
      'Dissolve azelaic acid in B',
      'Let B cool below 40',
      'Add B, Acid',
    )
  })
  it('joins only what is hot together, melts waxes that have no temperature, and says why', () => {
    const heats = (name: string) => of(name).filter((s) => s.kind === 'heat')
    expect(heats('phases at 50 and 70').map((s) => s.celsius)).toEqual([70, 70])
    expect(heats('waxes without a temperature').map((s) => s.celsius)).toEqual([70, 70])
    expect(stepText(heats('waxes without a temperature')[1]!).detail).toMatch(/melts at about/)
    expect(heats('all in one phase')).toHaveLength(1)
  })
  it('keeps what stands no heat out of it, and takes powders up in a little of the water', () => {
    places(
      'actives never heated, in a second water',
      'Pour B into A',
      'Dissolve niacinamide and ascorbyl glucoside in C',
      'Cool below 40',
      'Add rose hydrosol',
    )
    expect(
      of('powders in the cool-down without a liquid').find((s) => stepTitle(s).startsWith('Weigh C'))!
        .weighs[0]!.grams,
    ).toBeGreaterThan(20)
    places(
      'preservative in a glycol premix, water heated',
      'Dissolve allantoin in B',
      'Cool below 40',
      'Measure the pH',
      'Add propanediol and phenoxyethanol',
    )
  })
  it('sprinkles a powder into the batch where the water for a premix is not there', () => {
    const f = formula([
      phase('Water', 'water', [
        ['aqua', 'fill'],
        ['glycerin', 90],
      ]),
      phase('Last', 'cool-down', [['urea', 5]]),
    ])
    const { steps } = methodOf(assess(f))
    expect(steps.filter((s) => s.kind === 'dissolve')).toEqual([])
    const add = steps.find((s) => s.kind === 'add')!
    expect(stepText(add).detail).toBe('Sprinkle in urea a little at a time, stirring until fully dissolved.')
    expect(stepText(add).look).toBe('no visible particles')
  })

  it('mixes a concentrate of one’s own and makes it up: two steps, none of them lost', () => {
    const f = formula([
      phase('Ahead', 'premix', [['aloe-concentrate-10x', 0.5]]),
      phase('Water', 'water', [['aqua', 'fill']]),
    ])
    f.phases[0]!.lines[0]!.custom = { parts: [{ material: 'aqua', percent: 99 }] }
    const a = assess(f)
    const { steps } = methodOf(a)
    expect(broken(a, steps)).toBeNull()
    expect(steps.filter((s) => /^Make (up )?aloe/.test(stepTitle(s)))).toHaveLength(2)
  })

  it('says how lye meets water in the words of the caution', () => {
    const a = assess(
      formula([
        phase('Water', 'water', [['aqua', 'fill']]),
        phase('Acid', 'cool-down', [
          ['mandelic acid', 5],
          ['sodium hydroxide', 0.5],
        ]),
      ]),
    )
    const order = /Lye into cold water.*?onto lye\./
    const said = stepText(methodOf(a).steps.find((s) => s.kind === 'dissolve')!).detail.match(order)
    expect(said).not.toBeNull()
    expect(findingText(findAll(a).find((x) => x.code === 'safety.lye')!).why).toContain(said![0])
  })

  it('puts back the water of water-in-oil before it is in the oil, and reads no pH there', () => {
    const steps = of('water-in-oil mineral cream with milling')
    expect(steps.some((s) => s.kind === 'ph' || s.kind === 'water')).toBe(false)
    expect(stepText(steps.find((s) => stepTitle(s).startsWith('Heat C'))!).detail).toMatch(
      /replace the water loss now/,
    )
  })
  it('adds a preservative that moves the pH before the pH is set', () => {
    places(
      'benzoate and sorbate, which move the pH',
      'Dissolve sodium benzoate',
      'Add sodium benzoate',
      'Measure the pH',
    )
    places('plain toner', 'Measure the pH', 'Add phenoxyethanol', 'Measure the pH again')
  })
  it('chills and whips what is to be whipped, and measures its air', () => {
    places(
      'whipped butter',
      'Cool below 40',
      'Add tocopherol',
      'Chill until the edge sets',
      'Whip',
      'Pipe into',
    )
    expect(stepText(of('whipped butter').find((s) => s.kind === 'whip')!).detail).toMatch(/before ÷ after/)
  })
  it('folds powders into what was whipped, so that the air stays', () => {
    places(
      'body butter with starch folded in',
      'Weigh B',
      'Chill until',
      'Whip',
      'Fold in tapioca starch',
      'Pipe into',
    )
  })
  it('takes powders of the cool-down up with a spoon of a thick batch, and sprinkles them into a thin one', () => {
    places('cream with clay in the cool-down', 'Cool below 40', 'Disperse kaolin', 'Add kaolin')
    const spoon = of('cream with clay in the cool-down').find((s) =>
      stepTitle(s).startsWith('Disperse kaolin'),
    )!
    expect(stepText(spoon).detail).toContain('about 40 g of the batch into C')
    expect(stepText(spoon).look).toBe('no lumps between the fingers')
  })
  it('lets a jelly set unstirred, then beats it, before anything else goes in', () => {
    places('jelly that becomes cream', 'Blend once more', 'Let set', 'Whisk until smooth', 'Measure the pH')
    expect(of('jelly that becomes cream').some((s) => stepTitle(s).startsWith('Cool below'))).toBe(false)
  })
  it('weighs a dye as a solution, as a part of a larger one where the scale is too coarse, and drips it in last', () => {
    places('toner with a dye', 'Make a solution of', 'Add the dye drop by drop', 'Measure the pH')
    const tiny = of('toner with a dye').find((s) => stepTitle(s).startsWith('Make a solution'))!
    // 0.002 g for 200 g: no kitchen scale weighs it.
    expect(stepText(tiny).detail).toMatch(
      /Too little .*. Stir 0\.50.g into 49\.50.g distilled water\. 0\.20.g of it \(about 4 drops\)/,
    )
    const weighable = of('gel with enough of a dye to weigh').find((s) =>
      stepTitle(s).startsWith('Make a solution'),
    )!
    expect(weighable.weighs.map((w) => w.grams)).toEqual([39.6, undefined])
    expect(stepText(weighable).look).toBe('clear, no specks')
  })
  it('makes a stock of one percent from the water of the formula, preserved', () => {
    const stock = of('serum from a stock of hyaluronate').find((s) =>
      stepTitle(s).startsWith('Make a stock solution of sodium hyaluronate'),
    )!
    // 0.4 g in 39.6 g is one percent.
    expect(stock.weighs[0]!.grams).toBeCloseTo(39.6, 6)
    expect(stepText(stock).detail).toContain('The preservative protects it')
    // Of 2 g of preservative, so much as 39.6 g of 185 g of water need; the rest goes in at its place.
    expect(stock.weighs[2]!.grams).toBeCloseTo(0.43, 6)
    expect(stock.ahead).toBe('preserved-stock')
  })
  it('leaves no bare water to stand overnight', () => {
    const gum = of('gum sprinkled on bare water, left overnight').find((s) =>
      stepTitle(s).startsWith('Sprinkle'),
    )!
    expect([gum.wait, gum.ahead]).toEqual([60, null])
  })
  it('gives each answer of a question with two schools its reason, and says how far the preservative moves the pH', () => {
    const why = (name: string, key: string) => {
      const a = assess(PRODUCTS.find(([n]) => n === name)![1])
      return questionsOf(a)
        .find((q) => q.key === key)!
        .options.map((o) => processOptionValueText(o).why)
    }
    for (const [, f] of PRODUCTS)
      for (const q of questionsOf(assess(f)))
        for (const o of q.options)
          expect(processOptionValueText(o).why.length, `${f.name} ${q.key}`).toBeGreaterThan(20)
    expect(why('benzoate and sorbate, which move the pH', 'ending')[0]).toMatch(
      /Without the preservative the pH would be about \d\.\d lower/,
    )
    expect(why('plain toner', 'ending')[0]).toMatch(/so it can be added after adjusting/)
  })
  it('goes where the maker says, keeps it in the file, and never in a circle', () => {
    const f = withKeys(PRODUCTS.find(([n]) => n === 'three-part cream with an acid premix')![1])
    const [acid, water] = [f.phases[0]!, f.phases[1]!]
    const chosen = {
      ...f,
      phases: f.phases.map((p) =>
        p === acid ? { ...p, goes: { into: water.id!, when: 'hot' as const } } : p,
      ),
    }
    const again = readFormula(writeFormula(chosen))
    const steps = methodOf(assess(again)).steps
    expect(steps.find((s) => s.from.includes('A'))).toMatchObject({ into: 'B', kind: 'add' })
    expect(broken(assess(again), steps)).toBeNull()
    const round = {
      ...chosen,
      phases: chosen.phases.map((p) => (p === water ? { ...p, goes: { into: acid.id! } } : p)),
    }
    expect(broken(assess(round), methodOf(assess(round)).steps)).toBeNull()
  })
  it('never aims at a pH that skin does not bear', () => {
    for (const [, f] of PRODUCTS) {
      const aim = aimPh(assess(f))
      if (aim) expect([aim.min >= 3, aim.max <= 8.5]).toEqual([true, true])
    }
  })
})
