import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { folder, write, run, toner } from './run.ts'

const demo = fileURLToPath(new URL('../../../demo/', import.meta.url))

afterEach(() => vi.restoreAllMocks())

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
      strengthPercent: null,
      percent: 3,
      grams: 6,
      fill: false,
    })
    expect(report.lines).toContainEqual({
      phase: 'Water',
      material: 'my herb infusion',
      strengthPercent: null,
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
    [['--to', '0x5'], /pH between 0 and 14/],
    [['--to', '4', '--to', '5'], /--to stands there twice/],
    [['--with', '--to', '4'], /--with needs a value behind it/],
    [['--to', '4', '--strength', '1,000'], /can be 1000 or 1[.]000/],
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
  it.each([['-h'], ['--help'], ['help'], ['check', '--help'], ['ph', '-h']])(
    '%s %s tells how it is used',
    async (...args) => {
      const { code, out } = await run(...args.filter(Boolean))
      expect(code).toBe(0)
      expect(out).toMatch(/^Usage:/)
    },
  )
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
    spawnSync(
      'bash',
      [
        '-c',
        `"${process.execPath}" "${fileURLToPath(new URL('../bin/omblet.mjs', import.meta.url))}" ${args}`,
      ],
      { input, encoding: 'utf8', cwd: folder, env: { ...process.env, INIT_CWD: folder } },
    )
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
