import {
  causeText,
  discardText,
  harmlessText,
  deviationText,
  eventRow,
  eventTable,
} from '../src/words/index.ts'
// What is kept of a batch: its record, its file, what it teaches the formula, and what to do when something looks wrong.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  actualFormula,
  assess,
  batchCode,
  deviations,
  gramsForContainers,
  headOf,
  looksAt,
  provedChanges,
  readFile,
  ReadError,
  rescue,
  SYMPTOMS,
  withProved,
  writeBatch,
  yieldPercent,
  type BatchFile,
} from '../src/index.ts'
import { statusOf } from '../src/stability/head.ts'
import { Making } from './bench-helpers.ts'
import { cream, phase, PRESERVED, simple } from './helpers.ts'

const SMALL = cream({}, { batchGrams: 200, targetPh: { min: 5, max: 5.6 } })
const INFO = { id: 'b1', code: 'QT-1126', name: 'Quay trial', formulaId: 'f1', who: 'Ina' }
const fileOf = (m: Making): BatchFile => ({ batch: INFO, events: m.events, photos: [] })
const say = (m: Making) => deviations(m.state).map((d) => deviationText(d.said))

describe('the record', () => {
  it('has a code that tells formula and day, and counts on', () => {
    expect(batchCode('Harbour Fog face cream', '2026-11-26', [])).toBe('HF-1126')
    expect(batchCode('Harbour Fog', '2026-11-26', ['HF-1126', 'hf-1126-2'])).toBe('HF-1126-3')
    expect(batchCode('…', '2026-11-26', [])).toBe('B-1126')
  })
  it('makes enough for the containers and what stays behind', () => {
    // 4 jars of 50 mL at 0.95 g/mL with 5 % left on tools: 190 g / 0.95 = 200 g.
    expect(gramsForContainers({ count: 4, ml: 50, density: 0.95, lossPercent: 5 })).toBeCloseTo(200, 9)
  })
  it('says what went otherwise', () => {
    const m = new Making(SMALL).upTo('weigh')
    m.weigh('glycerin', 9.6).do({ type: 'accept', line: 1 }).upTo('ph')
    m.do({ type: 'dose', material: 'sodium-hydroxide', strengthPercent: 10, grams: 0.3 })
    m.do({ type: 'step', how: 'skip', reason: 'meter broken' })
    expect(say(m).map((t) => t.replaceAll('\u202f', ' '))).toEqual([
      'Glycerin: 9.60 g instead of 8.00 g (+20 %), accepted.',
      '0.30 g sodium hydroxide, 10 % solution added; not in the formula.',
      'Skipped: Measure the pH and adjust to 5–5.6 (meter broken).',
    ])
  })
  it('counts yield as filled over made', () => {
    const m = new Making(SMALL).upTo(null)
    m.do({ type: 'finish', outcome: 'kept', filledGrams: 188, containers: 4 })
    expect(yieldPercent(m.state)).toBeCloseTo(94, 6)
    expect(statusOf(m.state)).toBe('finished')
    expect(headOf(INFO, m.state)).toMatchObject({
      status: 'finished',
      filledGrams: 188,
      events: m.events.length,
    })
  })
  it('has a row for everything that happened', () => {
    const m = new Making(SMALL).upTo(null)
    const table = eventTable(m.state)
    expect(table).toHaveLength(m.events.length + 1)
    const weighing = m.events.find((e) => e.type === 'weigh' && e.line === 1)!
    expect(eventRow(m.state, weighing)).toMatchObject({
      material: 'glycerin',
      value: 8,
      unit: 'g',
      what: 'Weighed',
    })
  })
})

describe('a batch file', () => {
  it('comes back as it was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        fc.string({ maxLength: 40 }),
        (grams, text) => {
          const m = new Making(SMALL).upTo('weigh')
          m.weigh('glycerin', grams).do({ type: 'note', text })
          const read = readFile(writeBatch(fileOf(m)))
          expect(read.kind === 'batch' && read.batch.events).toMatchObject(
            JSON.parse(JSON.stringify(m.events)),
          )
        },
      ),
      { numRuns: 30 },
    )
  })
  it.each([
    ['a newer version', (f: object) => ({ ...f, formatVersion: 2 }), /newer Omblet/],
    ['no start', (f: { events?: unknown[] }) => ({ ...f, events: f.events!.slice(1) }), /start/],
    ['a gap', (f: { events?: unknown[] }) => ({ ...f, events: [f.events![0], f.events![2]] }), /must be 1/],
    [
      'an amount that is none',
      (f: object) => JSON.parse(JSON.stringify(f).replace('"grams":8', '"grams":-8')) as object,
      /events\[/,
    ],
  ])('with %s is refused whole, with a sentence', (_what, spoil, words) => {
    const good = JSON.parse(writeBatch(fileOf(new Making(SMALL).upTo('combine')))) as object
    expect(() => readFile(JSON.stringify(spoil(good)))).toThrow(ReadError)
    expect(() => readFile(JSON.stringify(spoil(good)))).toThrow(words)
  })
})

describe('what a batch teaches', () => {
  const made = () => {
    const m = new Making(SMALL).upTo('weigh')
    m.weigh('glycerin', 9.6).do({ type: 'accept', line: 1 }).upTo('ph')
    m.do({ type: 'dose', material: 'sodium-hydroxide', strengthPercent: 10, grams: 0.3 })
    return m.upTo(null)
  }
  it('is offered line by line, without the noise of weighing', () => {
    const changes = provedChanges(made().state)
    expect(changes.map((c) => [c.kind, c.material])).toEqual([
      ['amount', 'glycerin'],
      ['added', 'sodium-hydroxide'],
    ])
  })
  it('becomes the next version, with the q.s. line making room', () => {
    const m = made()
    const all = new Set(provedChanges(m.state).map((c) => c.id))
    const a = assess(withProved(SMALL, m.state, all))
    expect(a.amounts.balanced).toBe(true)
    expect(a.lines.find((l) => l.id === 'glycerin')!.percent).toBeCloseTo(4.79, 2)
    const lye = a.lines.find((l) => l.id === 'sodium-hydroxide')!
    expect(lye.percent).toBeCloseTo(0.15, 2)
    expect(lye.source.strengthPercent).toBe(10)
    expect(withProved(SMALL, m.state, new Set())).toEqual(SMALL)
  })
  it('is nothing where it was made as designed', () => {
    expect(provedChanges(new Making(SMALL).upTo(null).state)).toEqual([])
  })
})

describe('something looks wrong', () => {
  const acid = cream(
    {
      water: [
        ['carbomer', 0.3],
        ['lactic acid', 2, { strengthPercent: 90 }],
      ],
    },
    { batchGrams: 200, targetPh: { min: 5, max: 5.6 } },
  )
  it('has causes, tests, moves and a word on discarding for every look', () => {
    const { state } = new Making(SMALL).upTo('ph')
    for (const { id } of SYMPTOMS) {
      const found = rescue(id, state)
      expect(found.causes.length, id).toBeGreaterThan(0)
      expect(discardText(id)).not.toBe('')
      for (const c of found.causes) {
        expect(causeText(c).test.length, id).toBeGreaterThan(5)
        expect(causeText(c).moves.length, id).toBeGreaterThan(0)
      }
      expect(found.causes.map((c) => c.weight)).toEqual(
        found.causes.map((c) => c.weight).sort((x, y) => y - x),
      )
    }
  })
  it('offers what can be seen by now, and folds the rest', () => {
    const now = (m: Making) => looksAt(m.state).now.map((x) => x.id)
    const begun = new Making(SMALL)
    expect(now(begun)).toEqual([])
    const { now: seen, later } = looksAt(new Making(SMALL).upTo('ph').state)
    expect(seen.map((x) => x.id)).toEqual(expect.arrayContaining(['crystals', 'grainy', 'split', 'thin']))
    expect(later.map((x) => x.id)).toEqual(expect.arrayContaining(['oil-later', 'ph-over']))
    expect([...seen, ...later].map((x) => x.id).sort()).toEqual(SYMPTOMS.map((x) => x.id).sort())
    const dosed = new Making(SMALL)
      .upTo('ph')
      .do({ type: 'dose', material: 'lactic-acid', strengthPercent: 80, grams: 0.5 })
    expect(now(dosed)).toContain('ph-over')
    expect(now(new Making(SMALL).upTo(null))).toContain('stings')
  })
  it('names the pH first where the acid thinned it, and says how it comes back', () => {
    // Common practice: carbomer has its body above pH 5 and comes back with alkali and stirring.
    const m = new Making(acid).upTo('ph').do({ type: 'ph', ph: 3.4, method: 'meter-10pct' })
    const [first] = rescue('thin-after-acid', m.state).causes
    expect(causeText(first!).because).toContain('3.4')
    expect(causeText(first!).because).toMatch(/carbomer/i)
    expect(causeText(first!).moves.join(' ')).toMatch(/pH to 5–5\.6/)
  })
  it('calls thin harmless while it is hot, and no longer when it is cold', () => {
    const m = new Making(SMALL).upTo('cool').do({ type: 'temperature', celsius: 62 })
    expect(harmlessText(rescue('thin', m.state).harmless!)).toMatch(/hot/)
    m.do({ type: 'temperature', celsius: 24 })
    expect(rescue('thin', m.state).harmless).toBeNull()
  })
  it('calls clumps of hyaluronate harmless', () => {
    // Common practice: it swells by itself within hours.
    const m = new Making(cream({ water: [['sodium hyaluronate', 0.3]] }, { batchGrams: 200 })).upTo('heat')
    expect(harmlessText(rescue('lumps', m.state).harmless!)).toMatch(/hyaluronate/i)
  })
  it('calls lumps harmless neither beside another gum nor after acid in the heat', () => {
    const both = new Making(
      cream(
        {
          water: [
            ['sodium hyaluronate', 0.3],
            ['xanthan gum', 0.3],
          ],
        },
        { batchGrams: 200 },
      ),
    ).upTo('heat')
    expect(rescue('lumps', both.state).harmless).toBeNull()
    expect(causeText(rescue('lumps', both.state).causes[0]!).title).toMatch(/gum/i)
  })
  it('asks how hot it was when the acid went in', () => {
    const at = (celsius: number) => {
      const m = new Making(cream({ water: [['xanthan gum', 0.3]] }, { batchGrams: 200 })).upTo('cool')
      m.do({ type: 'temperature', celsius }).do({
        type: 'dose',
        material: 'lactic-acid',
        strengthPercent: 80,
        grams: 0.5,
      })
      return rescue('lumps', m.do({ type: 'temperature', celsius: 24 }).state)
    }
    expect(causeText(at(62).causes[0]!).because).toMatch(/62/)
    expect(
      at(25)
        .causes.map((c) => causeText(c).title)
        .join(),
    ).not.toMatch(/while it was hot/)
  })
  it('dilutes crystals only where three times the batch does', () => {
    // Salicylic acid: 1.7 g/kg free in water at 25 °C (CRC Handbook); at pH 2 half a percent is three times that.
    const moves = (percent: number) => {
      const f = simple([['salicylic acid', percent], ['glycerin', 3], PRESERVED], {
        batchGrams: 200,
        targetPh: { min: 2.4, max: 2.6 },
      })
      return causeText(rescue('crystals', new Making(f).upTo('ph').state).causes[0]!).moves.join(' ')
    }
    expect(moves(0.4)).toMatch(/times as large/)
    expect(moves(2)).toMatch(/would take \d+ times/)
  })
  it('looks at what stings: the pH read first', () => {
    const m = new Making(acid).upTo('ph').do({ type: 'ph', ph: 2.9, method: 'meter-10pct' })
    const found = rescue('stings', m.state)
    expect(causeText(found.causes[0]!).because).toContain('2.9')
    expect(discardText('stings')).toMatch(/doctor/)
  })
  it('looks at the weights of the batch for a split', () => {
    const m = new Making(SMALL).upTo('weigh').done()
    const emulsifier = m.plan.a.lines.findIndex((l) => l.material?.emulsifier)
    m.do({ type: 'weigh', line: emulsifier, grams: 5 }).do({ type: 'accept', line: emulsifier })
    m.upTo('cool')
    const [first] = rescue('split', m.state).causes
    expect(causeText(first!).because).toMatch(/38 % under/)
  })
  it('finds opposite charges for curds', () => {
    const clash = cream({
      water: [['carbomer', 0.3]],
      oil: [
        ['squalane', 10],
        ['behentrimonium methosulfate, cetearyl alcohol', 5],
      ],
      cool: [PRESERVED],
    })
    expect(causeText(rescue('lumps', new Making(clash).upTo('cool').state).causes[0]!).because).toMatch(
      /cationic/,
    )
  })
})

it('keeps adjusters of the formula in their own phase', () => {
  const f = {
    ...SMALL,
    phases: [...SMALL.phases, phase('Adjust', 'adjust', [['lactic acid', 0.2, { strengthPercent: 80 }]])],
  }
  const m = new Making(f).upTo('ph')
  m.do({ type: 'dose', material: 'lactic-acid', strengthPercent: 80, grams: 0.5 }).upTo(null)
  const phases = actualFormula(m.state)!.phases
  expect(phases.at(-1)!.lines).toEqual([expect.objectContaining({ material: 'lactic acid', grams: 0.5 })])
})
