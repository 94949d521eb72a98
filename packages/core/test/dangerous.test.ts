import { findingText, stepText, eventTable } from '../src/words/index.ts'
// Entries that could hurt somebody who follows them to the letter: one expectation a row, across everything that is told.
import { describe, expect, it } from 'vitest'
import {
  assess,
  costByPrices,
  parseAmount,
  procedureReport,
  recordRows,
  report,
  weighOut,
  type Formula,
} from '../src/index.ts'
import { directionsOf } from '../src/label/statements.ts'
import { useWithin } from '../src/label/use-within.ts'
import { Making } from './bench-helpers.ts'
import { findingsOf, formula, phase, PRESERVED, simple } from './helpers.ts'

const spaced = (text: string) => text.replaceAll('\u202f', ' ')

describe('a strength is told with every amount: method, weigh-out sheet, card, Bench, record, cost and check', () => {
  const rows: [material: string, strength: number, name: string][] = [
    ...[1, 2, 10, 20, 30, 50].map((s): [string, number, string] => [
      'sodium hydroxide',
      s,
      `sodium hydroxide, ${s} % solution`,
    ]),
    ...[5, 10, 25, 45].map((s): [string, number, string] => [
      'potassium hydroxide',
      s,
      `potassium hydroxide, ${s} % solution`,
    ]),
    ...[5, 20, 50].map((s): [string, number, string] => ['citric acid', s, `citric acid, ${s} % solution`]),
    ...[20, 80, 88, 90].map((s): [string, number, string] => [
      'lactic acid',
      s,
      `lactic acid, ${s} % solution`,
    ]),
    ...[30, 70].map((s): [string, number, string] => ['glycolic acid', s, `glycolic acid, ${s} % solution`]),
    ...[10, 20].map((s): [string, number, string] => ['malic acid', s, `malic acid, ${s} % solution`]),
    ...[5, 25].map((s): [string, number, string] => ['phytic acid', s, `phytic acid, ${s} % solution`]),
    ...[10, 20, 85].map((s): [string, number, string] => [
      'triethanolamine',
      s,
      `triethanolamine, ${s} % solution`,
    ]),
    ['tartaric acid', 20, 'tartaric acid, 20 % solution'],
    ['mandelic acid', 10, 'mandelic acid, 10 % solution'],
    ['salicylic acid', 2, 'salicylic acid, 2 % solution'],
    ['azelaic acid', 5, 'azelaic acid, 5 % solution'],
    ['urea', 40, 'urea, 40 % solution'],
    ['arginine', 10, 'arginine, 10 % solution'],
    ['sodium bicarbonate', 5, 'sodium bicarbonate, 5 % solution'],
    ['sodium citrate', 20, 'sodium citrate, 20 % solution'],
    ['sodium lactate', 30, 'sodium lactate, 30 % solution'],
    ['tromethamine', 10, 'tromethamine, 10 % solution'],
    ['sodium benzoate', 20, 'sodium benzoate, 20 % solution'],
    ['niacinamide', 10, 'niacinamide, 10 % solution'],
    ['caffeine', 1, 'caffeine, 1 % solution'],
    ['xanthan gum', 1, 'xanthan gum, 1 % solution'],
  ]
  const of = (material: string, strengthPercent: number, role: 'water' | 'cool-down' | 'adjust') =>
    formula(
      [
        phase(
          'Water',
          'water',
          [
            ['aqua', 'fill'],
            ['glycerin', 4],
          ],
          { heatToC: 70 },
        ),
        phase('More', role, [[material, undefined, { grams: 1.5, strengthPercent }]]),
      ],
      { batchGrams: 100 },
    )
  it.each(rows)('%s at %d %%', (material, strength, name) => {
    for (const role of ['water', 'cool-down', 'adjust'] as const) {
      const f = of(material, strength, role)
      const a = assess(f)
      const index = a.lines.length - 1
      const steps = procedureReport(a).steps
      const weighed = steps.flatMap((s) => s.lines).filter((l) => l.phase === 1)
      expect(weighed.map((l) => [spaced(l.name), l.strengthPercent])).toEqual([[name, strength]])
      const step = steps.find((s) => s.lines.some((l) => l.phase === 1))!
      expect(spaced(`${step.title}. ${step.detail}`)).toContain(name)
      const sheet = weighOut(a)
      const paper = [
        ...sheet.blocks.flatMap((b) => b.rows.map((r) => r.label)),
        ...sheet.blocks.flatMap((b) => b.steps.map((s) => stepText(s).detail)),
      ].map(spaced)
      expect(paper.some((text) => text.includes(name))).toBe(true)
      expect(spaced(a.lines[index]!.weighedAs)).toBe(name)
      const made = new Making(f)
      const at = made.plan.steps.find((s) => s.lines.some((l) => l.line === index))!
      made.do({ type: 'weigh', line: index, grams: 1.5 }, at.key)
      expect(spaced(recordRows(made.state)[index]!.label)).toBe(name)
      expect(eventTable(made.state).map((r) => spaced(String(r[4])))).toContain(name)
      expect(costByPrices(a, () => 1).lines.map((l) => spaced(l.label))).toContain(name)
      expect(report(f).lines[index]!.strengthPercent).toBe(strength)
    }
  })
})

describe('what is typed into an amount', () => {
  const water = {}
  const oil = { density: 0.92 }
  it.each<[string, { density?: number; solid?: boolean }, number | 'percent' | 'refused']>([
    ['20 drops', water, 1],
    ['20 drops', oil, 0.92],
    ['1 drop', water, 0.05],
    ['1 tsp', water, 5],
    ['1 tsp', oil, 4.6],
    ['2 tbsp', water, 30],
    ['5 oz', water, 141.748],
    ['1 lb', water, 453.592],
    ['1 cup', water, 240],
    ['50 ml', water, 50],
    ['0,5 l', water, 500],
    ['2 fl oz', oil, 54.415],
    ['500 mg', water, 0.5],
    ['1 kg', water, 1000],
    ['3 g', water, 3],
    ['3 %', water, 'percent'],
    ['20 drops', { density: 0.6, solid: true }, 'refused'],
    ['20 blobs', water, 'refused'],
    ['1,000 g', water, 'refused'],
    ['2 parts', water, 'refused'],
    ['-3 g', water, 'refused'],
    ['a pinch', water, 'refused'],
    ['3 °C', water, 'refused'],
  ])('%s', (text, of, wanted) => {
    const read = parseAmount(text, of)
    if (wanted === 'refused')
      expect(read).toMatchObject({ kind: 'error', message: expect.stringMatching(/\.$/) as string })
    else if (wanted === 'percent') expect(read.kind).toBe('percent')
    else {
      expect(read.kind).toBe('grams')
      expect((read as { value: number }).value).toBeCloseTo(wanted, 2)
    }
  })
})

const unsafe = (f: Formula) =>
  findingsOf(f)
    .filter((x) => x.code === 'ph.unsafe')
    .map((x) => x.severity)
type Site = NonNullable<Formula['product']>['site']

describe('a pH that a site should not meet, as aimed for', () => {
  const neutral: Parameters<typeof simple>[0] = [['glycerin', 4], ['sodium lactate', 2], PRESERVED]
  it.each<[Site, number, number, ('stop' | 'check')[]]>([
    ['face', 1.5, 2, ['stop']],
    ['face', 2.4, 2.7, ['stop']],
    ['face', 4, 5, []],
    ['face', 5, 6, []],
    ['face', 8.3, 8.8, ['check']],
    ['face', 9.8, 10.5, ['stop']],
    ['eye', 3.4, 3.8, ['stop']],
    ['eye', 4.1, 4.3, ['check']],
    ['eye', 6.5, 7.5, []],
    ['eye', 9.2, 9.6, ['stop']],
    ['lips', 2, 2.5, ['stop']],
    ['body', 1.5, 2.1, ['stop']],
    ['body', 4, 5, []],
    ['hands', 10.2, 11, ['stop']],
    ['feet', 9, 9.6, ['check']],
    ['scalp', 2, 2.6, ['stop']],
    ['hair', 3.6, 4.5, []],
    ['hair', 9.8, 10.2, ['stop']],
  ])('%s at %d to %d', (site, min, max, wanted) => {
    expect(unsafe(simple(neutral, { product: { site }, targetPh: { min, max } }))).toEqual(wanted)
  })
})

describe('a pH that a site should not meet, as it is written or measured', () => {
  const read = (ph: number) => ({ readings: [{ ph, method: 'meter-direct' as const }] })
  it.each<[string, Formula, ('stop' | 'check')[]]>([
    [
      'lye without an acid, aimed at 4–4.5',
      simple([['sodium hydroxide', 0.5], PRESERVED], { targetPh: { min: 4, max: 4.5 } }),
      ['stop'],
    ],
    ['lye without an acid and without a target', simple([['sodium hydroxide', 0.5], PRESERVED]), ['stop']],
    [
      'ten times the lye of a solution',
      simple([['mandelic acid', 5], ['sodium hydroxide', 3], PRESERVED], { targetPh: { min: 3.6, max: 4 } }),
      ['stop'],
    ],
    [
      'the same as a solution',
      simple([['mandelic acid', 5], ['sodium hydroxide', 7, { strengthPercent: 10 }], PRESERVED], {
        targetPh: { min: 3.6, max: 4.2 },
      }),
      [],
    ],
    [
      'glycolic acid that nobody brought up',
      simple([['glycolic acid', 8], PRESERVED], { targetPh: { min: 3.8, max: 4 } }),
      ['stop'],
    ],
    [
      'lactic acid of 88 %, not brought up',
      simple([['lactic acid', 5, { strengthPercent: 88 }], PRESERVED]),
      ['stop'],
    ],
    ['washing soda', simple([['sodium carbonate', 2], PRESERVED]), ['stop']],
    ['measured 2.4', simple([['glycolic acid', 8], PRESERVED], read(2.4)), ['stop']],
    ['measured 3.2 with free acid', simple([['lactic acid', 6], PRESERVED], read(3.2)), ['check']],
    ['measured 10', simple([['sodium hydroxide', 0.3], PRESERVED], read(10)), ['stop']],
    [
      'logged lye',
      {
        ...simple([['glycerin', 4], PRESERVED], { batchGrams: 100 }),
        additions: [
          { material: 'sodium hydroxide', strengthPercent: 10, grams: 2, ofGrams: 100, afterReading: 0 },
        ],
      },
      ['stop'],
    ],
    [
      'niacinamide in acid of 2.8 to 3',
      simple([['niacinamide', 2], ['glycolic acid', 8], PRESERVED], { targetPh: { min: 3.6, max: 4 } }),
      ['stop'],
    ],
  ])('%s', (_name, f, wanted) => expect(unsafe(f)).toEqual(wanted))

  it('is told to the hands: logged lye and acid bring their cautions', () => {
    const with_ = (material: string) => ({
      ...simple([['glycerin', 4], PRESERVED], { batchGrams: 100 }),
      additions: [{ material, strengthPercent: 10, grams: 0.3, ofGrams: 100, afterReading: 0 }],
    })
    expect(findingsOf(with_('sodium hydroxide')).map((x) => x.code)).toContain('safety.lye')
    expect(findingsOf(with_('citric acid')).map((x) => x.code)).toContain('safety.acid')
  })
})

describe('an organic acid as preservative, by what of it is active', () => {
  const at = (lines: Parameters<typeof simple>[0], ph: number | null, target = false) =>
    simple(
      [['glycerin', 4], ...lines],
      ph === null
        ? {}
        : target
          ? { targetPh: { min: ph - 0.1, max: ph + 0.1 } }
          : { readings: [{ ph, method: 'meter-direct' }] },
    )
  const benzoate: Parameters<typeof simple>[0] = [['sodium benzoate', 0.5]]
  const both: Parameters<typeof simple>[0] = [
    ['sodium benzoate', 0.4],
    ['potassium sorbate', 0.3],
  ]
  it.each<[string, Formula, 'stop' | 'check' | 'note' | null]>([
    ['benzoate read at 4', at(benzoate, 4), null],
    ['benzoate read at 5', at(benzoate, 5), null],
    ['benzoate read at 5.3', at(benzoate, 5.3), 'note'],
    ['benzoate read at 5.6', at(benzoate, 5.6), 'check'],
    ['benzoate read at 6.5', at(benzoate, 6.5), 'stop'],
    ['benzoate aimed at 6.5', at(benzoate, 6.5, true), 'stop'],
    ['benzoate as predicted, near 7', at(benzoate, null), 'check'],
    ['benzoate below its range', at(benzoate, 2.9), null],
    ['benzoate with sorbate at 4.8', at(both, 4.8), null],
    ['benzoate with sorbate at 6', at(both, 6), 'stop'],
    ['beside one that covers all', at([...benzoate, PRESERVED], 6.5), null],
    ['gluconolactone with benzoate at 6', at([['gluconolactone, sodium benzoate', 1.5]], 6), 'stop'],
  ])('%s', (_name, f, wanted) => {
    const found = findingsOf(f).filter((x) => x.code === 'preservative.ineffective')
    expect(found.map((x) => x.severity)).toEqual(wanted === null ? [] : [wanted])
    const days = useWithin(assess(f)).reasons.some((r) => r.said.code === 'weak')
    expect(days).toBe(wanted === 'stop' || wanted === 'check')
  })
})

describe('names and kinds that nobody knows, and small prints', () => {
  it.each([
    'mango fragrance oil',
    'sea breeze perfume',
    'vanilla scent',
    'strawberry flavouring',
    'lavender aroma',
  ])('%s counts as scent', (name) => {
    const f = simple([[name, 3], PRESERVED], { product: { site: 'face' } })
    expect(findingsOf(f).find((x) => x.code === 'usage.scent-total')).toMatchObject({ severity: 'stop' })
    expect(findingsOf(f).map((x) => x.code)).toContain('safety.fragrance')
  })
  it.each(['fragrance-free base', 'aromatic water', 'scentless lotion base'])('%s does not', (name) => {
    expect(findingsOf(simple([[name, 3], PRESERVED])).map((x) => x.code)).not.toContain('usage.scent-total')
  })
  it('soap in acid never still does its work', () => {
    const f = simple([['potassium cocoate', 8], ['citric acid', 1], PRESERVED], {
      targetPh: { min: 5, max: 5.5 },
    })
    const found = findingsOf(f)
    expect(found.find((x) => x.code === 'emulsion.soap-in-acid')).toMatchObject({ severity: 'check' })
    expect(found.map((x) => findingText(x).why).join(' ')).not.toMatch(/still does its work/)
  })
  it.each<[Partial<NonNullable<Formula['product']>>, RegExp, RegExp]>([
    [{ kind: 'mask', site: 'hair', rinse: 'rinse-off' }, /damp hair.*rinse off/, /skin/],
    [{ kind: 'mask', site: 'face', rinse: 'leave-on' }, /leave on/, /rinse/],
    [{ kind: 'serum', site: 'scalp', rinse: 'leave-on' }, /scalp/, /skin/],
    [{ kind: 'butter', site: 'lips', rinse: 'leave-on' }, /lips/, /dry skin/],
  ])('directions of %o', (product, says, never) => {
    const first = directionsOf(assess(simple([['glycerin', 4], PRESERVED], { product })))[0]!
    expect(first).toMatch(says)
    expect(first).not.toMatch(never)
  })
  it('a butter too thick for a pump is filled into a jar', () => {
    const thick = formula([
      phase('Water', 'water', [['aqua', 'fill']], { heatToC: 75 }),
      phase(
        'Oil',
        'oil',
        [
          ['shea butter', 40],
          ['beeswax', 8],
          ['cetyl alcohol', 6],
          ['olivate emulsifier', 6],
        ],
        { heatToC: 75 },
      ),
      phase('Cool', 'cool-down', [PRESERVED], { belowC: 40 }),
    ])
    const fill = procedureReport(assess(thick)).steps.find((s) => s.kind === 'fill')!
    expect(fill.detail).not.toMatch(/pump keeps|pump or tube keeps/)
  })
  it('additions that became lines leave the reading the last', async () => {
    const { takeInAdditions } = await import('../src/dosing/log.ts')
    const { applyEdit } = await import('../src/index.ts')
    const f: Formula = {
      ...formula([phase('Water', 'water', [['aqua', 'fill'], ['lactic acid', 2], PRESERVED])], {
        batchGrams: 100,
      }),
      readings: [
        { ph: 2.4, method: 'meter-direct' },
        { ph: 3.8, method: 'meter-direct', afterPhase: 'Water' },
      ],
      additions: [
        { material: 'sodium hydroxide', strengthPercent: 10, grams: 4.2, ofGrams: 100, afterReading: 1 },
      ],
    }
    expect(findingsOf(applyEdit(f, takeInAdditions(f)!)).map((x) => x.code)).not.toContain('ph.not-final')
  })
})
