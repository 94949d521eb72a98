// Label, cost, trend and trial from the command line, as the files that people and programs have.
import { afterEach, describe, expect, it, vi } from 'vitest'
import { write, run, toner } from './run.ts'

afterEach(() => vi.restoreAllMocks())

describe('omblet label', () => {
  it('prints the documented shape, names what is missing, and follows the region', async () => {
    const file = write('toner.json', toner)
    const { code, out } = await run('label', file, '--region', 'us', '--millilitres', '50')
    expect(code).toBe(0)
    const l = JSON.parse(out) as {
      ingredients: { name: string; percent: number | null }[]
      missing: string[]
      useWithin: object
    }
    expect(l.ingredients[0]!.name).toBe('Water')
    expect(l.ingredients.find((i) => i.name.startsWith('Avena Sativa'))!.percent).toBeNull()
    expect(l.missing).toEqual(['name and address', 'make-up of my herb infusion'])
    expect(l.useWithin).toMatchObject({ closedMonths: 6, openedMonths: 3 })
    const eu = JSON.parse((await run('label', file)).out) as {
      ingredients: { name: string }[]
      missing: string[]
    }
    expect(eu.ingredients[0]!.name).toBe('Aqua')
    expect(eu.missing).toContain('content')
  })
  it('takes several files and prints a line each', async () => {
    const file = write('toner.json', toner)
    const { code, out } = await run('label', file, 'nowhere.json', '--grams', '50')
    expect(code).toBe(2)
    const lines = out
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { file: string; error?: string })
    expect(lines.map((l) => l.file)).toEqual([file, 'nowhere.json'])
    expect(lines[1]!.error).toContain('does not exist')
  })
  it.each([
    [['--region', 'Mars'], '--region must be one of EU, UK, US, CA or other.'],
    [['--grams', '-3'], '--grams must be a number above 0.'],
    [['--grams', '50', '--millilitres', '50'], 'name the content once'],
    [['--size', '3'], 'there is no option --size'],
    [['--grams'], '--grams needs a value'],
  ])('%j is told in one line', async (args, says) => {
    const { code, err } = await run('label', write('toner.json', toner), ...args)
    expect(code).toBe(2)
    expect(err).toContain(says)
    expect(err.trim().split('\n')).toHaveLength(1)
  })
})

describe('omblet cost', () => {
  it('prices a batch from a table and names what has no price', async () => {
    const prices = write('prices.csv', 'material,price,pack_grams\nglycerin,5,500\npropanediol,16,1000\n')
    const { code, out } = await run('cost', write('toner.json', toner), '--prices', prices)
    expect(code).toBe(0)
    const c = JSON.parse(out) as {
      batch: number
      per100Grams: number
      lines: { material: string; grams: number; cost: number | null }[]
      unpriced: string[]
    }
    // 6 g glycerin at 0.01 and 8 g propanediol at 0.016
    expect(c.batch).toBeCloseTo(0.188, 6)
    expect(c.per100Grams).toBeCloseTo(0.094, 6)
    expect(c.lines.find((l) => l.material === 'glycerin')).toEqual({
      material: 'glycerin',
      grams: 6,
      cost: 0.06,
    })
    expect(c.unpriced).toEqual(expect.arrayContaining(['aqua', 'my herb infusion']))
  })
  it.each([
    [[], 'name a table of prices'],
    [['--prices', 'nowhere.csv'], 'does not exist'],
    [['--prices', 'bad.csv'], 'price in row 2'],
    [['--prices', 'bad.csv', 'another.json'], 'name one formula file'],
  ])('%j is told in one line', async (args, says) => {
    write('bad.csv', 'material,price,pack_grams\nglycerin,much,500\n')
    const { code, err } = await run('cost', write('toner.json', toner), ...args)
    expect(code).toBe(2)
    expect(err).toContain(says)
  })
})

describe('omblet trend', () => {
  const readings = 'day,value\n0,5.80\n3,5.78\n7,5.79\n14,5.72\n28,5.68\n42,5.60\n56,5.55\n84,5.44\n'

  it('prints the drift and the day a limit is met', async () => {
    const { code, out } = await run('trend', write('ph.csv', readings), '--low', '5,2')
    expect(code).toBe(0)
    const t = JSON.parse(out) as Record<string, number>
    expect(Object.keys(t)).toEqual([
      'n',
      'intercept',
      'slopePerDay',
      'slopeStandardError',
      'slopeLow',
      'slopeHigh',
      'residualSd',
      'p',
      'crossesOnDay',
    ])
    expect(t['n']).toBe(8)
    expect(t['crossesOnDay']).toBeCloseTo(128.87, 2)
  })
  it.each([
    ['a cell that is no number', 'day,value\n0,5\n1,high\n', [], 'Row 3'],
    ['an option that is none', readings, ['--least', '4'], '--least'],
    ['a limit that is no number', readings, ['--low', 'five'], '--low'],
    ['limits the wrong way round', readings, ['--low', '6', '--high', '5'], '--low'],
  ])('refuses %s in one line', async (_, text, options, says) => {
    const { code, out, err } = await run('trend', write('bad.csv', text), ...options)
    expect([code, out]).toEqual([2, ''])
    expect(err).toContain(says)
    expect(err.trimEnd().split('\n')).toHaveLength(1)
  })
})

describe('omblet trial', () => {
  const trial = {
    format: 'omblet-trial',
    formatVersion: 1,
    name: 'Which wax',
    samples: [{ id: 'a' }, { id: 'b' }],
    attributes: [{ id: 'spread', low: 'drags', high: 'glides', scale: [0, 10] }],
    scores: [
      ...['p1', 'p2'].flatMap((by) => [
        { by, round: 1, sample: 'a', attribute: 'spread', value: 4 },
        { by, round: 1, sample: 'b', attribute: 'spread', value: 7 },
      ]),
      { by: 'p3', round: 1, sample: 'a', attribute: 'spread', value: 4 },
    ],
  }

  it('prints what the scores tell, and who is left out beside it', async () => {
    const { code, out, err } = await run('trial', write('wax.json', JSON.stringify(trial)))
    expect(code).toBe(0)
    const told = JSON.parse(out) as {
      attributes: { means: object; friedman: { q: number } }[]
      triangle: null
      pairs: []
    }
    expect(told.attributes[0]).toMatchObject({
      id: 'spread',
      means: { a: 4, b: 7 },
      rankSums: { a: 2, b: 4 },
    })
    expect(told.attributes[0]!.friedman.q).toBeCloseTo(2, 9)
    expect([told.triangle, told.pairs]).toEqual([null, []])
    expect(err).toContain('p3')
  })
  it('refuses what it cannot read, naming the field', async () => {
    const bad = { ...trial, attributes: [{ id: 'slip' }] }
    const { code, err } = await run('trial', write('bad.json', JSON.stringify(bad)))
    expect(code).toBe(2)
    expect(err).toContain('scores[0].attribute')
  })
})
