import { stepTitle } from '../src/words/index.ts'
import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  benchPlan,
  besideBatch,
  copyId,
  brings,
  catalogue,
  duplicate,
  findAll,
  foldBatch,
  methodOf,
  ownMaterial,
  resolveImport,
  readFile,
  readFormula,
  ReadError,
  same,
  sameFormula,
  tidyInfo,
  writeBackup,
  writeBatch,
  writeFormula,
  type Backup,
  type BatchFile,
  type Formula,
} from '../src/index.ts'
import { inciList } from '../src/label/ingredients.ts'
import { isTooDeep, MOST_FORMULA_CHARACTERS } from '../src/files/json.ts'
import { anyBackup, anyBatch, anyWholeFormula } from './any-record.ts'
import { Making } from './bench-helpers.ts'
import { formula, phase } from './helpers.ts'

const failure = (text: string): string => {
  try {
    readFile(text)
  } catch (error) {
    if (error instanceof ReadError) return error.message
    throw error
  }
  return 'read'
}
/** What a maker sees of a formula: its findings, its method, its label. */
const seen = (f: Formula) => {
  const a = assess(f)
  return { findings: findAll(a), method: methodOf(a, f.method), inci: inciList(a) }
}
const RUNS = 1000

describe('through a file', () => {
  it(`a formula comes back equal and behaves the same: ${RUNS} formulas`, () => {
    fc.assert(
      fc.property(anyWholeFormula, (f) => {
        const again = readFormula(writeFormula(f))
        expect(sameFormula(again, f)).toBe(true)
        expect(seen(again)).toEqual(seen(f))
      }),
      { numRuns: RUNS },
    )
  }, 120_000)
  it(`a copy behaves like what it was made of: ${RUNS} formulas`, () => {
    fc.assert(
      fc.property(anyWholeFormula, (f) => {
        const copy = readFormula(writeFormula(duplicate(f, 'Copy')))
        expect(methodOf(assess(copy), copy.method)).toEqual(methodOf(assess(f), f.method))
        expect(sameFormula(copy, f, true)).toBe(true)
      }),
      { numRuns: RUNS / 4 },
    )
  }, 120_000)
  it(`a batch comes back equal and in the same state: ${RUNS} batches`, () => {
    const state = (file: BatchFile) => {
      const start = file.events[0]!
      const {
        plan: _p,
        elapsed: _e,
        events: _v,
        start: _s,
        ...rest
      } = foldBatch(benchPlan((start as { formula: Formula }).formula), file.events)
      return rest
    }
    fc.assert(
      fc.property(anyBatch, (file) => {
        const read = readFile(writeBatch(file))
        if (read.kind !== 'batch') throw new Error(read.kind)
        expect(same(read.batch, file)).toBe(true)
        expect(brings(file.events, read.batch.events)).toBe('nothing')
        expect(state(read.batch)).toEqual(state(file))
      }),
      { numRuns: RUNS },
    )
  }, 120_000)
  it(`a backup comes back equal, and nothing in it is refused: ${RUNS} backups`, () => {
    fc.assert(
      fc.property(anyBackup, (backup) => {
        const read = readFile(writeBackup(backup))
        if (read.kind !== 'backup') throw new Error(read.kind)
        expect(read.refused).toEqual([])
        expect(same(read.backup, backup)).toBe(true)
      }),
      { numRuns: RUNS },
    )
  }, 120_000)
  it('the order of keys makes no difference', () => {
    const turned = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(turned)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([k, v]) => [k, turned(v)]),
            )
          : value
    fc.assert(
      fc.property(anyWholeFormula, (f) => void expect(sameFormula(turned(f) as Formula, f)).toBe(true)),
      { numRuns: 100 },
    )
    expect(same({ a: 1, b: undefined }, { a: 1 })).toBe(true)
    expect(same({ a: [1, 2] }, { a: [2, 1] })).toBe(false)
  })
})

describe('files of every released version', () => {
  const folder = new URL('./kept/', import.meta.url)
  it.each(readdirSync(folder))('%s is read', (name) => {
    const read = readFile(readFileSync(new URL(name, folder), 'utf8'))
    if (read.kind === 'formula') {
      const f = read.formula
      expect(f.phases.every((p) => p.id && p.lines.every((l) => l.id))).toBe(true)
      if (name === 'formula-1.omblet.json') {
        expect(f['shelfMark']).toBe('kept as it is')
        const { steps, hidden } = seen(f).method
        expect(steps.map((s) => stepTitle(s))).toContain('Fill the cobalt jars')
        expect(stepTitle(steps[1]!)).toBe('Light a candle')
        expect(hidden.map((s) => s.key)).toEqual(['label'])
      }
    } else if (read.kind === 'batch') {
      const start = read.batch.events[0] as { formula: Formula } & BatchFile['events'][number]
      const state = foldBatch(benchPlan(start.formula), read.batch.events)
      expect(state.finished?.filledGrams).toBe(97.5)
      expect(state.readings.map((r) => r.ph)).toEqual([6.1, 5.4])
      expect(read.batch.photos).toHaveLength(1)
    } else if (read.kind === 'backup') {
      expect(read.refused).toEqual([])
      const { formulas, materials, lots, changes, batches } = read.backup
      expect([formulas, materials, lots, changes, batches].map((l) => l.length)).toEqual([1, 1, 1, 1, 1])
    }
  })
})

const AT = '2026-01-01T00:00:00Z'
const one = { id: 'f1', createdAt: AT, updatedAt: AT, formula: formula([]), versions: [] }
const backup = (more: Partial<Backup> = {}): Backup => ({
  savedAt: AT,
  settings: {},
  formulas: [one],
  materials: [],
  lots: [],
  containers: [],
  stock: [],
  changes: [],
  batches: [],
  trials: [],
  ...more,
})
const readBackup = (text: string) => {
  const read = readFile(text)
  if (read.kind !== 'backup') throw new Error(read.kind)
  return read
}

describe('a backup with something unsound in it', () => {
  it('gives what is sound, and names the rest', () => {
    const bad = { ...one, id: 'f2', formula: { ...one.formula, name: 'Torn Sail', batchGrams: -1 } }
    const old = {
      id: 'v1',
      number: 3,
      name: '',
      savedAt: AT,
      formula: { ...one.formula, phases: 7 } as never,
    }
    const text = writeBackup(
      backup({
        formulas: [{ ...one, versions: [old] }, bad],
        lots: [
          { id: 'l1', material: 'glycerin', leftGrams: -4 },
          { id: 'l2', material: 'glycerin', leftGrams: 4, expires: '2026-02-30' },
        ],
        batches: [
          { batch: { id: 'b', code: 'TS-1', name: 'x', formulaId: null, who: '' }, events: [], photos: [] },
        ],
      }),
    )
    const { backup: sound, refused } = readBackup(text)
    expect(sound.formulas.map((f) => f.id)).toEqual(['f1'])
    expect(sound.lots).toEqual([
      { id: 'l2', material: 'glycerin', leftGrams: 4, note: 'expires: 2026-02-30, which is no day' },
    ])
    expect(refused.map((r) => r.what)).toEqual([
      'Version 3 of “Quay trial”',
      'Formula “Torn Sail”',
      'Lot of “glycerin”',
      'Batch “TS-1”',
    ])
    expect(refused[1]!.why).toMatch(/^batchGrams must be more than 0/)
  })
  it('shortens a name that is too long rather than losing the formula', () => {
    const long = { ...one, formula: { ...one.formula, name: 'x'.repeat(300) } }
    const { backup: sound, refused } = readBackup(writeBackup(backup({ formulas: [long] })))
    expect(refused).toEqual([])
    expect(sound.formulas[0]!.formula.name).toHaveLength(200)
  })
  it('names mixtures that go round in a circle', () => {
    const own = (name: string, of: string) =>
      ownMaterial(
        {
          name,
          inci: 'x',
          functions: [],
          solubility: 'water',
          phase: 'any',
          parts: [{ material: of, percent: 50 }],
        },
        catalogue,
      )
    const materials = [
      own('Ebb base', 'Flood base'),
      own('Flood base', 'Ebb base'),
      own('Slack base', 'aqua'),
    ]
    const { backup: sound, refused } = readBackup(writeBackup(backup({ materials })))
    expect(sound.materials.map((m) => m.name)).toEqual(['Slack base'])
    expect(refused.map((r) => r.what)).toEqual(['Material “Ebb base”', 'Material “Flood base”'])
  })
  it('is refused where nothing in it is sound, or a newer Omblet wrote it', () => {
    const broken = { ...one, formula: { ...one.formula, batchGrams: -1 } }
    expect(failure(writeBackup(backup({ formulas: [broken] })))).toMatch(
      /^Nothing in this backup.*batchGrams/,
    )
    expect(failure('{"format":"omblet-backup","formatVersion":2}')).toMatch(/newer Omblet/)
  })
})

describe('sizes', () => {
  it('a backup of 900 formulas and a batch with 24 photographs are read, a formula of that size is not', () => {
    const formulas = Array.from({ length: 900 }, (_, i) => ({
      ...one,
      id: `f${i}`,
      formula: {
        ...one.formula,
        note: 'x'.repeat(4000),
        readings: Array.from({ length: 40 }, () => ({ ph: 5, method: 'strip' as const })),
      },
    }))
    const text = writeBackup(backup({ formulas }))
    expect(text.length).toBeGreaterThan(MOST_FORMULA_CHARACTERS)
    expect(readBackup(text).backup.formulas).toHaveLength(900)
    const m = new Making(formula([phase('Water', 'water', [['aqua', 'fill']])]))
    const photos = Array.from({ length: 24 }, (_, i) => ({
      id: `p${i}`,
      type: 'image/jpeg' as const,
      data: 'A'.repeat(400_000),
    }))
    const file = writeBatch({
      batch: { id: 'b', code: 'x', name: '', formulaId: null, who: '' },
      events: m.events,
      photos,
    })
    expect(file.length).toBeGreaterThan(MOST_FORMULA_CHARACTERS)
    const read = readFile(file)
    expect(read.kind === 'batch' && read.batch.photos).toHaveLength(24)
    expect(failure(JSON.stringify({ ...formula([]), note: 'x'.repeat(6_000_000) }))).toMatch(
      /more than any formula needs/,
    )
  })
  it('what lies deeper than a store can hold is refused in a file and named in a backup', () => {
    const deep = (n: number) => '['.repeat(n) + ']'.repeat(n)
    const text = (n: number) =>
      `{"format":"omblet-formula","formatVersion":1,"name":"Deep","phases":[],"odd":${deep(n)}}`
    expect(failure(text(30))).toBe('read')
    for (const n of [60, 100_000]) expect(failure(text(n))).toMatch(/levels deep/)
    const { backup: sound, refused } = readBackup(
      `{"format":"omblet-backup","formatVersion":1,"savedAt":"x","formulas":[${JSON.stringify(one)},{"id":"f2","createdAt":"x","updatedAt":"x","formula":${text(100_000)}}]}`,
    )
    expect(sound.formulas).toHaveLength(1)
    expect(refused[0]!.what).toBe('Formula “Deep”')
    expect(isTooDeep(JSON.parse(deep(50_000)))).toBe(true)
  })
})

describe('what a file of a batch brings', () => {
  const course = (grams: number, more = false) => {
    const m = new Making(
      formula([
        phase('Water', 'water', [
          ['aqua', 'fill'],
          ['glycerin', 5],
        ]),
      ]),
    )
    m.weigh('glycerin', grams)
    if (more) m.do({ type: 'note', text: 'clear' })
    return m.events
  }
  it('nothing, more, or another course: the same moments with other weights are another', () => {
    expect(brings(course(5), course(5))).toBe('nothing')
    expect(brings(course(5), course(5, true))).toBe('more')
    expect(brings(course(5, true), course(5))).toBe('nothing')
    expect(brings(course(5), course(50))).toBe('another')
    expect(brings([], course(5))).toBe('more')
  })
  it('finds the same place however often it is taken in', async () => {
    const store = new Map<string, number>([['b', 1]])
    const take = async (value: number) => {
      const place = await resolveImport(
        'b',
        async (id) => store.get(id),
        (here) => (here === value ? 'nothing' : 'another'),
      )
      store.set(place.id, value)
      return `${place.what} ${place.id}`
    }
    expect(await take(1)).toBe('nothing b')
    expect(await take(2)).toBe('beside b+2')
    expect(await take(2)).toBe('nothing b+2')
    expect(await take(3)).toBe('beside b+3')
    expect(await take(2)).toBe('nothing b+2')
  })
  it('a copy and a long code stay readable', () => {
    const info = {
      id: 'x'.repeat(100),
      code: 'C'.repeat(60),
      name: 'n'.repeat(260),
      formulaId: null,
      who: 'w'.repeat(140),
    }
    const file = besideBatch({ batch: tidyInfo(info), events: course(5), photos: [] }, copyId(info.id, 12))
    expect(failure(writeBatch(file))).toBe('read')
    expect(file.batch.code.endsWith('-copy')).toBe(true)
  })
})
