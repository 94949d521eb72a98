import { stepText, eventTable } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  assess,
  benchPlan,
  catalogue,
  procedureReport,
  recordRows,
  weighOut,
  type Assessment,
  type Formula,
} from '../src/index.ts'
import { acidBaseOf } from '../src/ph/acid-base.ts'
import { hasTrait } from '../src/shapes/material.ts'
import { Making } from './bench-helpers.ts'
import { formula, phase } from './helpers.ts'

const spaced = (text: string) => text.replaceAll('\u202f', ' ')

/** Acids, bases and salts of which one constant set is all that a line of them brings. */
const IONISABLE = catalogue.materials.filter(
  (m) =>
    !m.parts &&
    m.inci.length === 1 &&
    acidBaseOf(m.id) &&
    m.solubility[0] === 'water' &&
    !m.reconstitutesTo &&
    m.kind !== 'gum' &&
    m.kind !== 'polymer',
)

const anyAcidLine = fc.record({
  material: fc.constantFrom(...IONISABLE.map((m) => m.id)),
  percent: fc.integer({ min: 5, max: 300 }).map((n) => n / 100),
  strengthPercent: fc.option(fc.integer({ min: 1, max: 100 }), { nil: undefined }),
})

const anyFormula = fc
  .record({
    water: fc.array(anyAcidLine, { maxLength: 3 }),
    cool: fc.array(anyAcidLine, { maxLength: 3 }),
    adjust: fc.array(anyAcidLine, { maxLength: 2 }),
    heat: fc.boolean(),
    grams: fc.constantFrom(50, 250, 1000),
  })
  .map(({ water, cool, adjust, heat, grams }): Formula => {
    const lines = (list: typeof water) =>
      list.map(({ strengthPercent, ...l }) => ({ ...l, ...(strengthPercent ? { strengthPercent } : {}) }))
    const whole: Formula = formula(
      [
        phase(
          'Water',
          'water',
          [
            ['aqua', 'fill'],
            ['glycerin', 3],
          ],
          heat ? { heatToC: 70 } : {},
        ),
        phase('Cool-down', 'cool-down', [['propanediol', 2]], { belowC: 40 }),
        phase('pH', 'adjust', []),
      ],
      { batchGrams: grams, scaleResolutionGrams: 0.0001 },
    )
    whole.phases[0]!.lines.push(...lines(water))
    whole.phases[1]!.lines.push(...lines(cool))
    whole.phases[2]!.lines.push(...lines(adjust))
    return whole
  })

/** Percent of active in a name as a person reads it; 100 where it says none. */
const strengthIn = (name: string) => Number(/, ([\d.]+) % /.exec(spaced(name))?.[1] ?? 100)

/** Grams of each ionisable substance that somebody weighs who follows names and amounts to the letter. */
function followed(a: Assessment, rows: readonly { name: string; line: number; grams: number }[]) {
  const sums = new Map<string, number>()
  for (const { name, line, grams } of rows) {
    const { material, source, id } = a.lines[line]!
    if (!acidBaseOf(id)) continue
    // crystal water is in the name of a salt
    const crystal =
      source.strengthPercent === undefined && material?.form === 'powder' && !hasTrait(material, 'lye')
    const active = crystal ? (material.strengthPercent ?? 100) : strengthIn(name)
    sums.set(id, (sums.get(id) ?? 0) + (grams * active) / 100)
  }
  return sums
}

/** The same as the pH was computed with: from the families and the strong charge of the solver's own system. */
function expectComputedWith(a: Assessment, grams: ReadonlyMap<string, number>) {
  const { system, waterPercent } = a.waterPhase!
  const waterKg = (waterPercent * a.amounts.batchGrams) / 100_000
  let strong = 0
  for (const [id, g] of grams) {
    const constants = acidBaseOf(id)!
    const moles = g / constants.molarMass
    strong += (constants.counterIonCharge * moles) / waterKg
    if (constants.pKa.length === 0) continue
    const family = system.families.filter((f) => f.key === constants.key).reduce((s, f) => s + f.percent, 0)
    expect(Math.abs((family * a.amounts.batchGrams) / 100 - g)).toBeLessThan(0.0005 + g * 1e-3)
  }
  expect(Math.abs(system.strongCharge - strong)).toBeLessThan(2e-4 + Math.abs(strong) * 2e-3)
}

const stepRows = (a: Assessment) => {
  const steps = procedureReport(a).steps
  return steps.flatMap((s) =>
    s.lines.map((l) => ({
      name: l.name as string,
      grams: l.grams,
      line: a.lines.findIndex((x) => x.phase === l.phase && x.line === l.line),
    })),
  )
}

describe('what is told to be weighed is what the pH was computed with', () => {
  it('over all steps of the method', () => {
    fc.assert(
      fc.property(anyFormula, (f) => {
        const a = assess(f)
        fc.pre(a.waterPhase !== null && a.amounts.balanced)
        expectComputedWith(a, followed(a, stepRows(a)))
      }),
      { numRuns: 2000 },
    )
  })

  it('on the weigh-out sheet, with what its pH step says', () => {
    fc.assert(
      fc.property(anyFormula, (f) => {
        const a = assess(f)
        fc.pre(a.waterPhase !== null && a.amounts.balanced)
        const sheet = weighOut(a)
        const rows = sheet.blocks.flatMap((b) =>
          b.rows.map((r) => ({
            name: r.label as string,
            grams: r.grams,
            line: a.lines.findIndex((l) => l.weighedAs === r.label),
          })),
        )
        const said = [...sheet.before, ...sheet.blocks.flatMap((b) => b.steps)]
          .map((s) => spaced(stepText(s).detail))
          .join(' ')
        for (const [line, l] of a.lines.entries()) {
          if (l.phaseSource.role !== 'adjust' || l.grams <= 0) continue
          expect(said).toContain(spaced(`${l.grams.toFixed(4)} g ${l.weighedAs}`))
          rows.push({ name: l.weighedAs, grams: l.grams, line })
        }
        expectComputedWith(a, followed(a, rows))
      }),
      { numRuns: 400 },
    )
  })

  it('in the record of a batch and in its table', () => {
    fc.assert(
      fc.property(anyFormula, (f) => {
        const made = new Making({ ...f, scaleResolutionGrams: 0.0001 })
        const { a } = made.plan
        fc.pre(a.waterPhase !== null && a.amounts.balanced)
        for (const step of made.plan.steps)
          for (const { line, grams } of step.lines) {
            const own = grams ?? made.state.lines[line]!.target - made.state.lines[line]!.weighed
            if (own > 0) made.do({ type: 'weigh', line, grams: Number(own.toFixed(4)) }, step.key)
          }
        const rows = recordRows(made.state).map((r, line) => ({
          name: r.label as string,
          grams: r.weighed,
          line,
        }))
        expectComputedWith(a, followed(a, rows))
        for (const r of eventTable(made.state).filter((row) => row[3] === 'Weighed'))
          expect(a.lines.some((l) => l.weighedAs === r[4])).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})

describe('a solution', () => {
  const lye = (strengthPercent?: number) =>
    assess(
      formula(
        [
          phase('Water', 'water', [
            ['aqua', 'fill'],
            ['mandelic acid', 5],
          ]),
          phase('Late', 'cool-down', [['sodium hydroxide', 3, strengthPercent ? { strengthPercent } : {}]], {
            belowC: 40,
          }),
        ],
        { batchGrams: 100 },
      ),
    )
  const told = (a: Assessment) =>
    procedureReport(a)
      .steps.map((s) => spaced(`${s.title}. ${s.detail}`))
      .join(' ')

  it('is never dissolved again, and takes up none of the water', () => {
    const text = told(lye(10))
    expect(text).toContain('sodium hydroxide, 10 % solution')
    expect(text).not.toMatch(/Dissolve[^.]*sodium hydroxide|to take it up|into cold water/)
  })
  it('is a solid where it is pure, and dissolves in stated water', () => {
    const text = told(lye())
    expect(text).toContain('sodium hydroxide, solid')
    expect(text).toMatch(/and \d+\.\d\d g of the water to dissolve it in/)
    expect(text).toMatch(/Goggles and gloves\. Lye into cold water/)
  })
  it('asks for goggles where it burns', () => expect(told(lye(10))).toContain('Goggles and gloves.'))

  it.each([
    ['sodium lactate', undefined, 'sodium lactate, 60 % solution', 60],
    ['sodium lactate', 30, 'sodium lactate, 30 % solution', 30],
    ['sodium lactate', 100, 'sodium lactate', null],
    ['potassium hydroxide', undefined, 'potassium hydroxide, 88 % pure', 88],
    ['potassium hydroxide', 20, 'potassium hydroxide, 20 % solution', 20],
    ['citric acid', 20, 'citric acid, 20 % solution', 20],
    ['citric acid', undefined, 'citric acid', null],
    ['amodimethicone', undefined, 'amodimethicone, 33 % emulsion', 33],
    ['sodium hyaluronate', 1, 'sodium hyaluronate, high weight, 1 % solution', 1],
    ['behentrimonium chloride', undefined, 'behentrimonium chloride, 80 % active', 80],
    ['sorbitol 70 % solution', undefined, 'sorbitol, 70 % solution', 70],
    ['phenoxyethanol, ethylhexylglycerin', 50, 'phenoxyethanol with ethylhexylglycerin, 50 % solution', 50],
  ] as const)('%s at %s is called %s', (material, strengthPercent, name, strength) => {
    const a = assess(
      formula([
        phase('Water', 'water', [
          ['aqua', 'fill'],
          [material, 2, strengthPercent ? { strengthPercent } : {}],
        ]),
      ]),
    )
    expect(spaced(a.lines[1]!.weighedAs)).toBe(name)
    expect(a.lines[1]!.strengthPercent).toBe(strength)
  })

  it('of a mixture brings so much less of each part', () => {
    const at = (strengthPercent: number) =>
      assess(
        formula([
          phase('Water', 'water', [
            ['aqua', 'fill'],
            ['phenoxyethanol, ethylhexylglycerin', 1, { strengthPercent }],
          ]),
        ]),
      )
    expect(at(50).substances.get('phenoxyethanol')!.percent).toBeCloseTo(0.45, 6)
    expect(at(50).lines[1]!.dosePercent).toBeCloseTo(0.5, 6)
  })

  it('of hyaluronate hydrates no more, and makes no dust', () => {
    const a = assess(
      formula([
        phase('Water', 'water', [
          ['aqua', 'fill'],
          ['sodium hyaluronate', 5, { strengthPercent: 1 }],
        ]),
      ]),
    )
    expect(told(a)).not.toMatch(/high shear|swell/i)
  })
})

describe('a planned adjuster', () => {
  const planned = (batchGrams: number) =>
    formula(
      [
        phase('Water', 'water', [
          ['aqua', 'fill'],
          ['mandelic acid', 5],
        ]),
        phase('pH', 'adjust', [['sodium hydroxide', 3, { strengthPercent: 10 }]]),
      ],
      { batchGrams, targetPh: { min: 3.8, max: 4.2 } },
    )
  it('is told in grams of its solution, for this batch', () => {
    const say = (grams: number) =>
      spaced(stepText(benchPlan(planned(grams)).steps.find((s) => s.key === 'ph')!).detail)
    expect(say(100)).toContain('The formula plans 3.00 g sodium hydroxide, 10 % solution.')
    expect(say(250)).toContain('The formula plans 7.50 g sodium hydroxide, 10 % solution.')
  })
  it('grows with a batch that is made larger at the table', () => {
    const made = new Making(planned(100))
    made.do({ type: 'scale', factor: 1.5, lines: [0, 1, 2], all: true })
    expect(spaced(stepText(made.state.plan.steps.find((s) => s.key === 'ph')!).detail)).toContain(
      'plans 4.50 g sodium hydroxide',
    )
  })
  it('is made up first where the formula has it as a solid', () => {
    const f = planned(100)
    f.phases[1]!.lines = [{ material: 'sodium hydroxide', percent: 0.3 }]
    const said = spaced(stepText(benchPlan(f).steps.find((s) => s.key === 'ph')!).detail)
    expect(said).toContain(
      'stir 0.30 g sodium hydroxide, solid into 2.70 g cold distilled water. Use 3.00 g of it. Goggles and gloves.',
    )
  })
})
