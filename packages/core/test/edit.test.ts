import { fullText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  applyEdit,
  computeAmounts,
  difference,
  duplicate,
  formulaFault,
  freeName,
  fromBrief,
  fullReason,
  KINDS,
  LIMITS,
  neighbourPlace,
  withKeys,
  type Edit,
  type Formula,
} from '../src/index.ts'
import { formula, phase } from './helpers.ts'

const base = () =>
  formula([
    phase('Water', 'water', [
      ['aqua', 'fill'],
      ['glycerin', 4],
    ]),
    phase('Oil', 'oil', [['shea butter', 6]]),
    phase('Cool-down', 'cool-down', [['niacinamide', 3]]),
  ])
const materials = (f: Formula) => f.phases.flatMap((p) => p.lines.map((l) => l.material))

describe('edits', () => {
  it('moves a line into another phase', () => {
    const f = applyEdit(base(), { type: 'move-line', from: { phase: 0, line: 1 }, to: { phase: 2, line: 0 } })
    expect(f.phases[2]!.lines.map((l) => l.material)).toEqual(['glycerin', 'niacinamide'])
    expect(f.phases[0]!.lines).toHaveLength(1)
  })

  it('replaces a material and keeps its amount and note', () => {
    const noted = applyEdit(base(), {
      type: 'patch-line',
      at: { phase: 0, line: 1 },
      patch: { note: 'warm', strengthPercent: 86 },
    })
    const f = applyEdit(noted, {
      type: 'replace-material',
      at: { phase: 0, line: 1 },
      material: 'propanediol',
    })
    expect(f.phases[0]!.lines[1]).toEqual({ material: 'propanediol', percent: 4, note: 'warm' })
  })

  it('hands q.s. over and leaves the old fill line what it had', () => {
    const f = applyEdit(base(), { type: 'set-fill', at: { phase: 1, line: 0 } })
    expect(f.phases[0]!.lines[0]).toEqual({ material: 'aqua', percent: 87 })
    expect(f.phases[1]!.lines[0]).toEqual({ material: 'shea butter', fill: true })
    expect(computeAmounts(f).balanced).toBe(true)
  })

  it('switches the unit without changing the amount', () => {
    const inGrams = applyEdit(base(), { type: 'switch-unit', at: { phase: 0, line: 1 }, unit: 'grams' })
    expect(inGrams.phases[0]!.lines[1]).toEqual({ material: 'glycerin', grams: 40 })
    const back = applyEdit(inGrams, { type: 'switch-unit', at: { phase: 0, line: 1 }, unit: 'percent' })
    expect(back.phases[0]!.lines[1]).toEqual({ material: 'glycerin', percent: 4 })
  })

  it('takes a value away when it is patched with nothing', () => {
    const f = applyEdit(formula([phase('Oil', 'oil', [], { heatToC: 72 })]), {
      type: 'patch-phase',
      phase: 0,
      patch: { heatToC: undefined },
    })
    expect(f.phases[0]).not.toHaveProperty('heatToC')
  })

  it('walks over the edges of phases', () => {
    const f = base()
    expect(neighbourPlace(f, { phase: 0, line: 1 }, 1)).toEqual({ phase: 1, line: 0 })
    expect(neighbourPlace(f, { phase: 1, line: 0 }, -1)).toEqual({ phase: 0, line: 2 })
    expect(neighbourPlace(f, { phase: 0, line: 0 }, -1)).toBeNull()
  })

  it('never changes the formula it was given, nor loses a line by moving', () => {
    const place = fc.record({ phase: fc.integer({ min: 0, max: 3 }), line: fc.integer({ min: 0, max: 3 }) })
    const edit: fc.Arbitrary<Edit> = fc.oneof(
      fc.record({ type: fc.constant('move-line' as const), from: place, to: place }),
      fc.record({
        type: fc.constant('move-phase' as const),
        from: fc.integer({ min: 0, max: 4 }),
        to: fc.integer({ min: 0, max: 4 }),
      }),
      fc.record({ type: fc.constant('set-fill' as const), at: place }),
      fc.record({
        type: fc.constant('switch-unit' as const),
        at: place,
        unit: fc.constantFrom('percent' as const, 'grams' as const),
      }),
    )
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 12 }), (edits) => {
        const start = base()
        const frozen = JSON.stringify(start)
        const end = edits.reduce(applyEdit, start)
        expect(JSON.stringify(start)).toBe(frozen)
        expect(materials(end).sort()).toEqual(materials(start).sort())
        expect(end.phases.flatMap((p) => p.lines).filter((l) => l.fill)).toHaveLength(1)
        expect(computeAmounts(end).totalPercent).toBeCloseTo(100, 2)
      }),
    )
  })
})

describe('names, copies and beginnings', () => {
  it('finds the next free name', () => {
    expect(freeName('Low Tide', [])).toBe('Low Tide')
    expect(freeName('Low Tide', ['low tide ', 'Low Tide 2'])).toBe('Low Tide 3')
  })

  const two = () => ({ ...base(), phases: base().phases.slice(0, 2) })
  it('gives phases and lines keys that stay, in copies too', () => {
    const f = withKeys(two())
    const keys = f.phases.flatMap((p) => [p.id, ...p.lines.map((l) => l.id)])
    expect(keys).toEqual(['water-A', 'aqua', 'glycerin', 'oil-B', 'shea-butter'])
    expect(withKeys(f)).toBe(f)
    const copy = duplicate(f, 'Copy')
    expect(copy).toEqual({ ...f, name: 'Copy' })
  })
  it('gives the second of two equal keys another, and something new none that the method speaks of', () => {
    const twice = { ...two(), phases: [...two().phases, ...two().phases] }
    const phases = withKeys(twice).phases.map((p) => p.id)
    expect(phases).toEqual(['water-A', 'oil-B', 'water-C', 'oil-D'])
    const f = withKeys(two())
    const edited = { ...f, method: { changes: { 'heat-oil-B': { hidden: true } } } }
    const without = applyEdit(edited, { type: 'remove-phase', phase: 1 })
    const again = applyEdit(without, { type: 'add-phase', phase: { name: 'Oils', role: 'oil', lines: [] } })
    expect(withKeys(again, true).phases[1]!.id).toBe('oil-B-2')
    expect(withKeys(again).phases[1]!.id).toBe('oil-B')
  })
  it('never makes a name or a number of lines that could not be read again', () => {
    const long = 'x'.repeat(LIMITS.name)
    const name = freeName(long, [long, long.toUpperCase()])
    expect(name.length).toBeLessThanOrEqual(LIMITS.name)
    expect(name.endsWith(' 2')).toBe(true)
    expect(freeName(name, [name])).toMatch(/ 3$|… 2$/)
    const full = {
      ...base(),
      phases: [
        {
          ...base().phases[0]!,
          lines: Array.from({ length: LIMITS.lines }, () => ({ material: 'aqua', percent: 0 })),
        },
      ],
    }
    expect(fullText(fullReason(full, 'line')!)).toMatch(/400 lines/)
    expect(fullReason(base(), 'line')).toBeNull()
    expect(formulaFault(full)).toBeNull()
    const over = applyEdit(full, { type: 'add-line', phase: 0, line: { material: 'aqua' } })
    expect(formulaFault(over)).toMatch(/400 lines/)
  })

  it.each(KINDS)('%s starts with phases that balance', (kind) => {
    const f = fromBrief({
      name: 'New',
      product: { kind, site: 'face', rinse: 'leave-on', region: 'EU' },
      batchGrams: 100,
    })
    expect(computeAmounts(f).balanced).toBe(true)
    expect(f.phases.length).toBeGreaterThan(1)
  })
})

describe('what changed between versions', () => {
  it('says what was added, taken out, changed and moved', () => {
    let after = applyEdit(base(), { type: 'set-percent', at: { phase: 0, line: 1 }, percent: 5 })
    after = applyEdit(after, { type: 'move-line', from: { phase: 2, line: 0 }, to: { phase: 0, line: 2 } })
    after = applyEdit(after, { type: 'remove-line', at: { phase: 1, line: 0 } })
    after = applyEdit(after, { type: 'add-line', phase: 1, line: { material: 'squalane', percent: 2 } })
    const said = difference(base(), after).map((c) => `${c.kind} ${c.material} ${c.before} ${c.after}`)
    expect(said).toEqual([
      'amount aqua 87 90',
      'amount glycerin 4 5',
      'moved niacinamide 3 3',
      'added squalane null 2',
      'removed shea butter 6 null',
    ])
  })
  it('finds nothing between a formula and itself', () => expect(difference(base(), base())).toEqual([]))
})
