// Recipes from elsewhere: what is read from texts and tables, and what becomes of it.
import { questionText, remarkText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  buildRecipe,
  catalogue,
  findAll,
  Formula,
  readRecipe,
  readRecipeCells,
} from '../src/index.ts'
import { type Answers } from '../src/recipes/recipe.ts'
import { readNumber } from '../src/text/units.ts'
import { RECIPE_TEXTS } from './recipe-texts.ts'

const build = (text: string, answers: Answers = {}) =>
  buildRecipe(readRecipe(text, catalogue), answers, catalogue)

/** Percent to as many places as a reader would check. */
const said = (percent: number) => String(Number(percent.toFixed(percent < 1 ? 2 : 1)))

function readingOf(text: string): string[] {
  const recipe = readRecipe(text, catalogue)
  const { lines, formula } = buildRecipe(recipe, {}, catalogue)
  const strengths = formula.phases.flatMap((p) => p.lines)
  return lines
    .map((l) => {
      const source = recipe.lines[l.line]!
      const name = source.kind === 'ingredient' ? source.ingredient.name : ''
      const id = l.material?.id ?? name
      const strength = strengths.find((s) => s.material === id)?.strengthPercent
      const amount = l.fill ? 'fill' : l.percent === null ? '?' : said(l.percent)
      return `${id} ${amount}${strength ? ` @${strength}` : ''}`
    })
    .sort()
}

describe('recipe texts', () => {
  it.each(RECIPE_TEXTS.map((r) => [r.style, r] as const))('%s', (_style, r) => {
    const recipe = readRecipe(r.text, catalogue)
    const { formula } = buildRecipe(recipe, {}, catalogue)
    expect(readingOf(r.text)).toEqual(
      r.reads
        .split(', ')
        .map((entry) => entry.replace(/ ([\d.]+)(?= |$)/, (_, n: string) => ` ${said(Number(n))}`))
        .sort(),
    )
    if (r.batch) expect(formula.batchGrams).toBeCloseTo(r.batch, 0)
    if (r.phases) expect(formula.phases.map((p) => p.name)).toEqual(r.phases)
    if (r.ph) expect([formula.targetPh!.min, formula.targetPh!.max]).toEqual(r.ph)
    expect(recipe.lines.flatMap((l) => (l.kind === 'unread' ? [l.text] : []))).toEqual(r.unread ?? [])
    // Nothing is dropped: every line that holds a word or a figure is there as something.
    const rows = new Set(recipe.lines.map((l) => l.row))
    r.text.split(/\r?\n/).forEach((line, i) => {
      if (/[\p{L}\p{N}½¼¾]/u.test(line)) expect(rows).toContain(i + 1)
    })
    expect(Formula.safeParse(formula).success).toBe(true)
  })
  it('are sixty or more', () => expect(RECIPE_TEXTS.length).toBeGreaterThanOrEqual(60))
})

describe('what a recipe becomes', () => {
  it('asks for what is missing and for nothing else', () => {
    expect(build('Water to 100%\nGlycerin 5%').questions).toEqual([])
    const { questions } = build('Water to 100%\nMoonwort pulp 2%\nPhenoxyethanol')
    expect(questions.map((q) => [q.said.code, q.line])).toEqual([
      ['material', 1],
      ['amount', 2],
    ])
    expect(build('Water q.s.\nGlycerin 5 g\nUrea 2%').questions.map((q) => q.said.code)).toEqual(['batch'])
  })
  it('asks what a word for a whole kind of materials means', () => {
    const { questions } = build('Water to 100%\nPreservative')
    expect(questions.map(questionText)).toEqual(['What is “Preservative”?', 'How much Preservative?'])
    const line = readRecipe('Water to 100%\nPreservative', catalogue).lines[1]!
    if (line.kind !== 'ingredient') throw new Error('should be an ingredient')
    expect(line.ingredient.others.map((m) => m.cover?.role)).toEqual(Array(6).fill('broad'))
  })
  it('tells the gap to 100 and lets water take it', () => {
    const text = 'Glycerin 5%\nUrea 3%\nWater 90%'
    expect(build(text).gapPercent).toBe(2)
    expect(questionText(build(text).questions[0]!)).toContain('2 % is missing')
    const filled = build(text, { fillWithWater: true })
    expect(filled.questions).toEqual([])
    expect(assess(filled.formula).amounts.balanced).toBe(true)
    expect(questionText(build('Glycerin 60%\nUrea 50%').questions[0]!)).toContain('10 % too much')
  })
  it('takes answers: a material, an amount, a line left out, another fill', () => {
    const text = 'Water 90%\nMoonwort pulp 4%\nSecret powder 1%\nGlycerin'
    const done = build(text, {
      lines: {
        0: { percent: 'fill' },
        1: { material: 'panthenol' },
        2: { leaveOut: true },
        3: { percent: 5 },
      },
    })
    expect(done.questions).toEqual([])
    expect(done.formula.phases[0]!.lines).toEqual([
      { material: 'aqua', fill: true },
      { material: 'panthenol', percent: 4, note: 'In the recipe: Moonwort pulp' },
      { material: 'glycerin', percent: 5 },
    ])
  })
  it('keeps percent and grams that disagree as a finding to settle', () => {
    const { formula } = build('Batch: 100 g\nGlycerin 5% 9 g\nWater 91% 91 g')
    expect(findAll(assess(formula)).map((f) => f.code)).toContain('amount.mismatch')
  })
  it('says how each rough measure came about', () => {
    const built = build('Distilled water 95 g\n1 tsp glycerin\n10 drops lavender oil')
    const words = built.lines.flatMap((l) => l.remarks.map(remarkText)).join(' ')
    expect(words).toContain('A spoon is not a measure')
    expect(words).toContain('Weigh 20 drops')
    // 5 mL at 1.26 g/mL, the density of glycerin (CRC Handbook: 1.2613 at 20 °C).
    expect(words).toContain('5 mL is 6.3 g at 1.26 g/mL')
  })
  it('keeps notes and what it could not read in the words of the recipe', () => {
    const { formula } = build('Water 95%\nGlycerin 5%\nMoonwort pulp\n\nMethod\nStir at dusk.')
    expect(formula.note).toBe('Moonwort pulp\nStir at dusk.')
  })
  it('reads temperatures in headings', () => {
    const { formula } = build('Water phase (75 °C)\nWater 90%\nCool down, below 40 °C\nPanthenol 10%')
    expect(formula.phases.map((p) => [p.role, p.heatToC, p.belowC])).toEqual([
      ['water', 75, undefined],
      ['cool-down', undefined, 40],
    ])
  })
  it('reads the cells of a spreadsheet, numbers and all', () => {
    const recipe = readRecipeCells(
      [
        ['Phase', 'INCI', '% w/w', 'Comment'],
        ['A', 'Aqua', 90.25, null],
        ['A', 'Glycerin', 5, 'vegetable'],
        ['B', 'Panthenol', 4.75, undefined],
        [null, 'Total', 100, null],
      ],
      catalogue,
    )
    const { formula, questions } = buildRecipe(recipe, {}, catalogue)
    expect(questions).toEqual([])
    expect(formula.phases.map((p) => p.lines)).toEqual([
      [
        { material: 'aqua', percent: 90.25 },
        { material: 'glycerin', percent: 5, note: 'vegetable' },
      ],
      [{ material: 'panthenol', percent: 4.75 }],
    ])
  })
  it('has nothing to say about nothing', () => {
    expect(build('').formula.phases).toEqual([{ name: 'All', role: 'other', lines: [] }])
    expect(readRecipe('\n\n---\n', catalogue).lines).toEqual([])
  })
})

describe('any text', () => {
  const names = catalogue.materials.filter((m) => catalogue.find(m.name) === m).map((m) => m.name)
  const templates = [
    (n: string, p: number) => `${n} ${p}%`,
    (n: string, p: number) => `${p} % ${n}`,
    (n: string, p: number) => `- ${n}: ${String(p).replace('.', ',')} %`,
    (n: string, p: number) => `${n} | ${p} %`,
    (n: string, p: number) => `${n}\t${p}%`,
    (n: string, p: number) => `${n} (${p}%)`,
  ]
  it('gives back the amounts that were written, whatever the style', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...names.filter((n) => !/[\d(%,:|]/.test(n))), {
          minLength: 1,
          maxLength: 12,
        }),
        fc.array(fc.integer({ min: 1, max: 9000 }), { minLength: 12, maxLength: 12 }),
        fc.constantFrom(...templates),
        (chosen, hundredths, write) => {
          const text = chosen.map((n, i) => write(n, hundredths[i]! / 100)).join('\n')
          const { lines } = build(text)
          expect(lines.map((l) => [l.material?.name, l.percent])).toEqual(
            chosen.map((n, i) => [n, hundredths[i]! / 100]),
          )
        },
      ),
      { numRuns: 150 },
    )
  })
  it('never falls over, and makes a formula that can be stored', () => {
    const bits = fc.constantFrom(
      'Water',
      'glycerin',
      '5',
      '%',
      ' g',
      '\t',
      '|',
      '½',
      'to 100',
      'q.s.',
      '\n',
      '-',
      'Phase A',
      ':',
      '1,5',
      'pH 5',
      '(',
      ')',
      'drops',
      '…',
      '\0',
      '🫙',
    )
    const text = fc.oneof(
      fc.string({ unit: 'grapheme', maxLength: 200 }),
      fc.array(bits, { maxLength: 40 }).map((x) => x.join(' ')),
    )
    fc.assert(
      fc.property(text, (t) => {
        const { formula } = build(t)
        expect(Formula.safeParse(formula).success).toBe(true)
      }),
      { numRuns: 400 },
    )
  })
  it('reads numbers as people write them', () => {
    expect(['2,5', '2.5', '½', '1 ½', '1/2', '1 1/2', '1,000.5', '1.000,5', '.5'].map(readNumber)).toEqual([
      2.5, 2.5, 0.5, 1.5, 0.5, 1.5, 1000.5, 1000.5, 0.5,
    ])
    expect(readNumber('two')).toBeNaN()
  })
})

describe('heat that is told in words', () => {
  const heats = (text: string) => build(text).formula.phases.map((p) => [p.name, p.heatToC ?? null])
  const list =
    'Water phase\nwater to 100\nglycerin 3%\nOil phase\n6 % emulsifying wax\n12 % sunflower oil\nCool down\n1% phenoxyethanol'
  it.each([
    ['melt in a double boiler', `${list}\nMethod\nMelt the oil phase in a double boiler.`, [null, 70, null]],
    [
      'both to a temperature',
      `${list}\nMethod\nHeat the water and the oil phase to 75 °C and blend.`,
      [75, 75, null],
    ],
    ['a warning', `${list}\nMethod\nDo not heat the oil phase; it is heat-sensitive.`, [null, null, null]],
    ['nothing is heated', `${list}\nMethod\nStir it all together.`, [null, null, null]],
    [
      'by letters',
      'Phase A\nwater to 100\nPhase B\n6 % emulsifying wax\n10 % sunflower oil\nPhase C\nphenoxyethanol 1%\nMethod\nHeat A and phases A and B to 72 C.',
      [72, 72, null],
    ],
  ] as const)('%s', (_name, text, expected) => expect(heats(text).map(([, c]) => c)).toEqual(expected))
  it('asks for a spoon to be weighed, and takes a guess until then', () => {
    const built = build('1 tsp xanthan gum\n95 g water')
    expect(built.questions.map((q) => q.said.code)).toContain('spoon')
    const answered = build('1 tsp xanthan gum\n95 g water', { lines: { 0: { percent: 2 } } })
    expect(answered.questions.map((q) => q.said.code)).not.toContain('spoon')
  })
})
