import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { main } from '../src/main.ts'

const folder = mkdtempSync(join(tmpdir(), 'omblet-'))
const demo = fileURLToPath(new URL('../../../demo/', import.meta.url))
const write = (name: string, text: string) => {
  writeFileSync(join(folder, name), text)
  return name
}

async function run(...args: string[]) {
  const printed = { out: '', err: '' }
  vi.spyOn(process.stdout, 'write').mockImplementation((text) => ((printed.out += String(text)), true))
  vi.spyOn(process.stderr, 'write').mockImplementation((text) => ((printed.err += String(text)), true))
  const code = await main(args, folder)
  vi.restoreAllMocks()
  return { code, ...printed }
}
afterEach(() => vi.restoreAllMocks())

const toner = JSON.stringify({
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Sluice toner',
  product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 200,
  phases: [
    {
      name: 'Premix',
      role: 'premix',
      lines: [
        { material: 'Propanediol', percent: 4 },
        { material: 'phenoxyethanol, ethylhexylglycerin', percent: 1 },
      ],
    },
    {
      name: 'Water',
      role: 'water',
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', grams: 6 },
        {
          material: 'my herb infusion',
          percent: 2,
          custom: { inci: ['aqua', 'avena sativa kernel extract'], functions: ['skin conditioning'] },
        },
      ],
    },
  ],
})

describe('omblet check', () => {
  it('prints one evaluation of the documented shape', async () => {
    const { code, out } = await run('check', write('toner.json', toner))
    expect(code).toBe(0)
    const report = JSON.parse(out)
    expect(Object.keys(report)).toEqual(['total', 'lines', 'ph', 'emulsion', 'findings', 'inci'])
    expect(report.total).toEqual({ percent: 100, grams: 200, balanced: true })
    expect(report.lines).toContainEqual({
      phase: 'Water',
      material: 'glycerin',
      percent: 3,
      grams: 6,
      fill: false,
    })
    expect(report.lines).toContainEqual({
      phase: 'Water',
      material: 'my herb infusion',
      percent: 2,
      grams: 4,
      fill: false,
    })
    expect(report.lines[0].material).toBe('propanediol')
    expect(report.ph.window).toEqual({ min: 3, max: 10 })
    expect(report.ph.predicted.low).toBeLessThan(report.ph.predicted.value)
    expect(report.ph.predicted.high).toBeGreaterThan(report.ph.predicted.value)
    expect(report.emulsion).toBeNull()
    expect(report.inci.slice(0, 3)).toEqual(['Aqua', 'Propanediol', 'Glycerin'])
  })

  it('evaluates a bad formula and still leaves with 0', async () => {
    const { code, out } = await run('check', join(demo, '08-storm-warning-serum.omblet.json'))
    expect(code).toBe(0)
    const { findings } = JSON.parse(out)
    expect(findings.map((f: { code: string }) => f.code)).toEqual(
      expect.arrayContaining(['ph.no-shared-window', 'legal.above-cap']),
    )
    for (const f of findings)
      expect(Object.keys(f).sort()).toEqual(['code', 'materials', 'message', 'severity', 'source', 'why'])
  })

  it('describes an emulsion', async () => {
    const { out } = await run('check', join(demo, '01-harbour-fog-cream.omblet.json'))
    expect(JSON.parse(out).emulsion).toMatchObject({
      type: 'oil-in-water',
      oilPhasePercent: 21.5,
      oilsPercent: 15.5,
      emulsifierPercent: 4.5,
      richness: 'cream',
    })
  })

  it('prints a line for each of several files, faults in their place', async () => {
    const { code, out } = await run(
      'check',
      write('a.json', toner),
      write('b.json', '{"format":'),
      write('c.json', toner),
    )
    const lines = out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line))
    expect(code).toBe(2)
    expect(lines.map((l) => l.file)).toEqual(['a.json', 'b.json', 'c.json'])
    expect(lines[1]).toEqual({ file: 'b.json', error: expect.stringMatching(/cut off/) })
    expect(lines[2].total.balanced).toBe(true)
  })

  it.each([
    ['a missing file', 'nowhere.json', /does not exist/],
    ['a folder', '.', /folder/],
  ])('%s: one line on standard error and code 2', async (_, file, says) => {
    const { code, out, err } = await run('check', file)
    expect([code, out]).toEqual([2, ''])
    expect(err).toMatch(says)
    expect(err.trim().split('\n')).toHaveLength(1)
  })

  it('names the field that is wrong', async () => {
    const { code, err } = await run('check', write('neg.json', toner.replace('"percent":4', '"percent":-4')))
    expect(code).toBe(2)
    expect(err).toBe('phases[0].lines[0].percent must not be negative.\n')
  })
})

describe('omblet ph', () => {
  const acid = JSON.stringify({
    format: 'omblet-formula',
    formatVersion: 1,
    name: 'Groyne serum',
    batchGrams: 100,
    phases: [
      {
        name: 'W',
        role: 'water',
        lines: [
          { material: 'aqua', fill: true },
          { material: 'mandelic acid', percent: 5 },
        ],
      },
    ],
  })
  it('predicts, and says what of the acid is free', async () => {
    const { code, out } = await run('ph', write('acid.json', acid))
    expect(code).toBe(0)
    const result = JSON.parse(out)
    expect(result.predicted.value).toBeCloseTo(1.94, 1)
    expect(Object.keys(result.freeAcid)).toEqual(['mandelic-acid'])
    expect(result).not.toHaveProperty('adjust')
  })
  it('doses an adjuster to a pH', async () => {
    const { out } = await run(
      'ph',
      write('acid.json', acid),
      '--to',
      '3.5',
      '--with',
      'sodium hydroxide',
      '--strength',
      '10',
    )
    const { adjust, freeAcid } = JSON.parse(out)
    expect(adjust).toMatchObject({ material: 'sodium-hydroxide', strengthPercent: 10 })
    expect(adjust.grams).toBeCloseTo(8.18, 1)
    expect(adjust.drops).toBeGreaterThan(100)
    expect(freeAcid['mandelic-acid']).toBeCloseTo(44.8, 0)
  })
  it.each([
    [['--to', '19'], /pH between 0 and 14/],
    [['--with', 'moonlight'], /no acid or base constants/],
    [['--speed', '3'], /no option/],
  ])('refuses %j', async (options, says) => {
    const { code, err } = await run('ph', write('acid.json', acid), ...options)
    expect(code).toBe(2)
    expect(err).toMatch(says)
  })
})

describe('omblet catalogue', () => {
  it('finds by words and forgives typing', async () => {
    const { code, out } = await run('catalogue', 'niacinimide')
    expect(code).toBe(0)
    expect(out.split('\n')[0]).toMatch(/^niacinamide\t/)
  })
  it('lists everything without words', async () => {
    expect((await run('catalogue')).out.trim().split('\n').length).toBeGreaterThan(400)
  })
  it('refuses a command it does not have', async () => {
    expect((await run('brew')).code).toBe(2)
  })
})

describe('parse', () => {
  it('prints a recipe as a formula file and lists what it could not read', async () => {
    const file = write(
      'fog.txt',
      'Fog Horn gel\n\nWater to 100 %\nGlycerine 4,5 %\nXanthan gum 0.3 %\nMoonwort pulp\n',
    )
    const { code, out } = await run('parse', file)
    expect(code).toBe(0)
    const { unread, ...formula } = JSON.parse(out) as Record<string, unknown>
    expect(unread).toEqual(['Moonwort pulp'])
    expect(formula).toMatchObject({
      format: 'omblet-formula',
      name: 'Fog Horn gel',
      phases: [
        {
          lines: [
            { material: 'aqua', fill: true },
            { material: 'glycerin', percent: 4.5 },
            { material: 'xanthan-gum', percent: 0.3 },
          ],
        },
      ],
    })
    // What it prints can be checked in turn.
    const check = await run('check', write('fog.omblet.json', out))
    expect((JSON.parse(check.out) as { total: object }).total).toMatchObject({ percent: 100, balanced: true })
  })
  it('says when there is nothing to read', async () => {
    expect(await run('parse', write('poem.txt', 'The tide goes out, and nobody weighs it.'))).toMatchObject({
      code: 2,
      err: expect.stringContaining('no line with an ingredient'),
    })
    expect((await run('parse', 'nowhere.txt')).code).toBe(2)
    expect((await run('parse')).code).toBe(2)
  })
})

describe('the command line itself', () => {
  it.each([['-h'], ['--help'], ['help'], ['check', '--help'], ['ph', '-h']])('%s %s tells how it is used', async (...args) => {
    const { code, out } = await run(...args.filter(Boolean))
    expect(code).toBe(0)
    expect(out).toMatch(/^Usage:/)
  }) // prettier-ignore
  it('tells its version', async () => {
    const { code, out } = await run('--version')
    expect([code, /^\d+\.\d+\.\d+\n$/.test(out)]).toEqual([0, true])
  })
  it('takes what stands behind -- for files, and refuses options it does not have', async () => {
    write('--odd.json', toner)
    expect((await run('check', '--', '--odd.json')).code).toBe(0)
    expect((await run('ph', '--to', '5', '--', '--odd.json')).code).toBe(0)
    const refused = await run('check', '--odd.json')
    expect([refused.code, refused.err]).toEqual([2, expect.stringContaining('goes behind --')])
  })
  it('refuses an empty pH', async () => {
    for (const value of ['', '  ']) {
      const { code, err } = await run('ph', write('acid.json', toner), '--to', value)
      expect([code, err]).toEqual([2, expect.stringMatching(/--to must be a pH/)])
    }
  })
  it('sends a formula file that is parsed to check', async () => {
    const { code, err } = await run('parse', write('toner.json', toner))
    expect([code, err]).toEqual([2, expect.stringMatching(/no recipe.*omblet check toner\.json/)])
  })

  const omblet = (args: string, input = '') =>
    spawnSync('bash', ['-c', `"${process.execPath}" "${fileURLToPath(new URL('../bin/omblet.mjs', import.meta.url))}" ${args}`], { input, encoding: 'utf8', cwd: folder, env: { ...process.env, INIT_CWD: folder } }) // prettier-ignore
  it('reads standard input, and what parse writes check reads', () => {
    const parsed = omblet('parse -', 'Neap gel\nWater to 100 %\nGlycerin 4 %\n')
    expect(parsed.status).toBe(0)
    const checked = omblet('check -', parsed.stdout)
    expect(checked.status).toBe(0)
    expect((JSON.parse(checked.stdout) as { total: { balanced: boolean } }).total.balanced).toBe(true)
  }, 60_000)
  it('says in one line that a disk is full', () => {
    write('toner.json', toner)
    const { status, stderr } = omblet('check toner.json > /dev/full')
    expect(stderr.trim()).toBe('omblet: what was printed could not be written: the disk is full.')
    expect(status).toBe(2)
  }, 60_000)
})

describe('omblet label', () => {
  it('prints the documented shape, names what is missing, and follows the region', async () => {
    const file = write('toner.json', toner)
    const { code, out } = await run('label', file, '--region', 'us', '--millilitres', '50')
    expect(code).toBe(0)
    const l = JSON.parse(out) as { ingredients: { name: string; percent: number | null }[]; missing: string[]; useWithin: object } // prettier-ignore
    expect(l.ingredients[0]!.name).toBe('Water')
    expect(l.ingredients.find((i) => i.name.startsWith('Avena Sativa'))!.percent).toBeNull()
    expect(l.missing).toEqual(['name and address', 'make-up of my herb infusion'])
    expect(l.useWithin).toMatchObject({ closedMonths: 6, openedMonths: 3 })
    const eu = JSON.parse((await run('label', file)).out) as { ingredients: { name: string }[]; missing: string[] } // prettier-ignore
    expect(eu.ingredients[0]!.name).toBe('Aqua')
    expect(eu.missing).toContain('content')
  })
  it('takes several files and prints a line each', async () => {
    const file = write('toner.json', toner)
    const { code, out } = await run('label', file, 'nowhere.json', '--grams', '50')
    expect(code).toBe(2)
    const lines = out.trim().split('\n').map((l) => JSON.parse(l) as { file: string; error?: string }) // prettier-ignore
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
    const c = JSON.parse(out) as { batch: number; per100Grams: number; lines: { material: string; grams: number; cost: number | null }[]; unpriced: string[] } // prettier-ignore
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
    expect(Object.keys(t)).toEqual(['n', 'intercept', 'slopePerDay', 'slopeStandardError', 'slopeLow', 'slopeHigh', 'residualSd', 'p', 'crossesOnDay']) // prettier-ignore
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
    const told = JSON.parse(out) as { attributes: { means: object; friedman: { q: number } }[]; triangle: null; pairs: [] } // prettier-ignore
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
