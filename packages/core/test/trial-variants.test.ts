import { eventFaultText } from '../src/words/field-fault.ts'
import { baseNote, forbidsText } from '../src/words/index.ts'
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import {
  benchPlan,
  catalogue,
  derivedOf,
  foldBatch,
  readFormula,
  refusal,
  type BatchEvent,
  type Formula,
} from '../src/index.ts'
import { formulaToMake } from '../src/bench/start.ts'
import { tasksOf } from '../src/bench/tasks.ts'
import { eventsOfBase } from '../src/trials/base-events.ts'
import { BASE_SPARE, sharedBase } from '../src/trials/shared-base.ts'
import { levelOptions, materialOptions, processOptionVariants, whatDiffers } from '../src/trials/variants.ts'
import { formula, phase } from './helpers.ts'

const demo = new URL('../../../demo/', import.meta.url)
const demos = readdirSync(demo).map((name) => readFormula(readFileSync(new URL(name, demo), 'utf8')))
const lotion = demos.find((f) => f.name.startsWith('Gull Wing'))!
const nameOf = (id: string) => catalogue.find(id)?.name ?? id

describe('variants', () => {
  it('differ in the chosen thing and the q.s. line, or say what else does', () => {
    const waxes = materialOptions(lotion, catalogue, 'emulsifier')
      .slice(0, 4)
      .map((o) => o.formula)
    expect(whatDiffers(waxes, 'emulsifier', nameOf)).toMatchObject({
      oneThing: true,
      gives: ['distilled water'],
      also: [],
    })
    const levels = levelOptions(lotion, 1, [2, 4, 6]).map((o) => o.formula)
    expect(whatDiffers(levels, 'level', nameOf)).toMatchObject({ oneThing: true, varied: ['glycerin'] })
    const two = {
      ...levels[1]!,
      phases: levels[1]!.phases.map((p) => ({
        ...p,
        lines: p.lines.map((l) => (l.material === 'tocopherol' ? { ...l, percent: 1 } : l)),
      })),
    }
    expect(whatDiffers([levels[0]!, two], 'level', nameOf)).toMatchObject({ oneThing: false })
    const pours = processOptionVariants(lotion, catalogue, 'pouring').map((o) => o.formula)
    expect(whatDiffers(pours, 'school', nameOf)).toMatchObject({ oneThing: true, varied: [] })
    expect(
      whatDiffers([lotion, { ...lotion, targetPh: { min: 6, max: 6.2 } }], 'version', nameOf).also,
    ).toEqual([{ code: 'target-ph' }])
  })
  it('leave out a level that leaves nothing for the q.s. line, and levels of that line', () => {
    expect(levelOptions(lotion, 1, [4, 95])).toHaveLength(1)
    expect(levelOptions(lotion, 0, [50])).toEqual([])
  })
  const trials = demos
    .flatMap((f): [string, Formula[]][] => [
      [
        `${f.name}, emulsifiers`,
        materialOptions(f, catalogue, 'emulsifier')
          .slice(0, 4)
          .map((o) => o.formula),
      ],
      [
        `${f.name}, thickeners`,
        materialOptions(f, catalogue, 'thickener')
          .slice(0, 3)
          .map((o) => o.formula),
      ],
      ...f.phases.flatMap((p, i): [string, Formula[]][] => {
        const at = f.phases.slice(0, i).reduce((n, x) => n + x.lines.length, 0)
        return p.lines.length > 0
          ? [
              [
                `${f.name}, a level in ${p.name}`,
                levelOptions(f, at + p.lines.length - 1, [0.5, 1, 1.5]).map((o) => o.formula),
              ],
            ]
          : []
      }),
      [`${f.name}, pouring`, processOptionVariants(f, catalogue, 'pouring').map((o) => o.formula)],
    ])
    .filter(([, list]) => list.length > 1)
  it('are many enough to tell something', () => expect(trials.length).toBeGreaterThan(20))
  it.each(trials)('share a base that with what is their own makes each jar: %s', (_name, list) => {
    const jars = list.map((f) => formulaToMake(f, 60))
    const base = sharedBase(jars, catalogue)
    if (base.kind === 'none') {
      expect(base.forbids.length).toBeGreaterThan(0)
      return
    }
    const each = base.parts.reduce((s, p) => s + p.gramsEach, 0)
    expect(base.grams).toBeCloseTo(each * jars.length * BASE_SPARE, 6)
    jars.forEach((f, i) => {
      const grams = derivedOf(f, catalogue).assessment.lines.reduce((s, l) => s + Math.max(0, l.grams), 0)
      const own = base.own[i]!.reduce((s, l) => s + l.grams, 0)
      // what is too little for the scale is left out, line by line
      expect(Math.abs(each + own - grams)).toBeLessThan(0.2)
    })
    // made at the table, the shares of each line end in the jar, in entries that may be
    const plan = benchPlan(base.formula!)
    const events: BatchEvent[] = [
      {
        n: 0,
        at: '2026-03-01T10:00:00.000Z',
        step: null,
        type: 'start',
        formula: base.formula!,
        version: null,
      },
    ]
    const put = (h: object, step: string) =>
      events.push({ n: events.length, at: '2026-03-01T10:00:00.000Z', step, ...h } as BatchEvent)
    for (const step of plan.steps) {
      for (const t of tasksOf(foldBatch(plan, events), step))
        if (t.left > 0) put({ type: 'weigh', line: t.line, grams: t.left }, step.key)
      put({ type: 'step', how: 'done' }, step.key)
    }
    expect(plan.steps.some((s) => ['ph', 'fill', 'add'].includes(s.kind))).toBe(false)
    const made = foldBatch(plan, events)
    for (const jar of jars) {
      const own = benchPlan(jar)
      const course: BatchEvent[] = [
        { n: 0, at: '2026-03-01T11:00:00.000Z', step: null, type: 'start', formula: jar, version: null },
      ]
      for (const e of eventsOfBase(own, made, base, '2026-03-01T11:00:00.000Z', baseNote)) {
        expect(refusal(foldBatch(own, course), e)).toBeNull()
        expect(eventFaultText(e)).toBeNull()
        course.push(e)
      }
      const state = foldBatch(own, course)
      expect(state.lines.reduce((s, l) => s + l.weighed, 0)).toBeCloseTo(each, 0)
      for (const l of state.lines) expect(l.weighed).toBeLessThan(l.planned * 1.02 + 0.05)
      // somebody goes on at a step that is open
      expect(state.marks.has(own.steps[state.at]!.key)).toBe(false)
    }
  })
  it('tells what of the base a jar cannot count, and counts a material whose facts were put right since', () => {
    const kelp = (material: string, inci = 'Kelp Extract'): Formula => {
      const water = lotion.phases[0]!
      const line = {
        material,
        percent: 5,
        ...(material === 'Kelp' ? { custom: { inci: [inci], functions: ['humectant'] } } : {}),
      }
      return { ...lotion, phases: [{ ...water, lines: [...water.lines, line] }, ...lotion.phases.slice(1)] }
    }
    const jars = [0.2, 0.4]
      .map((percent) => levelOptions(kelp('Kelp'), lotion.phases[0]!.lines.length + 1, [percent])[0]!.formula)
      .map((f) => formulaToMake(f, 60))
    const base = sharedBase(jars, catalogue)
    const plan = benchPlan(base.formula!)
    const events: BatchEvent[] = [
      {
        n: 0,
        at: '2026-03-01T10:00:00.000Z',
        step: null,
        type: 'start',
        formula: base.formula!,
        version: null,
      },
    ]
    for (const step of plan.steps)
      for (const t of tasksOf(foldBatch(plan, events), step))
        events.push({
          n: events.length,
          at: '2026-03-01T10:00:00.000Z',
          step: step.key,
          type: 'weigh',
          line: t.line,
          grams: t.left,
        })
    const made = foldBatch(plan, events)
    const told = (jar: Formula) =>
      eventsOfBase(benchPlan(formulaToMake(jar, 60)), made, base, '2026-03-01T11:00:00.000Z', baseNote)
    const weighed = (jar: Formula) => told(jar).reduce((s, e) => s + (e.type === 'weigh' ? e.grams : 0), 0)
    const note = (jar: Formula) => told(jar).flatMap((e) => (e.type === 'note' ? [e.text] : []))[0]!
    const whole = weighed(kelp('Kelp'))
    expect(note(kelp('Kelp'))).not.toMatch(/not counted/)
    expect(weighed(kelp('Kelp', 'Laminaria Digitata Extract'))).toBeCloseTo(whole, 6)
    expect(note(kelp('panthenol'))).toMatch(
      /It contains 3\.0\sg Kelp, which this sample’s formula does not have there/,
    )
    expect(weighed(kelp('panthenol'))).toBeCloseTo(whole - 3, 1)
  })
  it('share the whole emulsion where only what comes last differs, and phases where the wax does', () => {
    const late = lotion.phases.slice(0, 2).reduce((n, p) => n + p.lines.length, 0)
    const whole = sharedBase(
      levelOptions(lotion, late, [0.2, 0.4]).map((o) => formulaToMake(o.formula, 60)),
      catalogue,
    )
    expect(whole.kind).toBe('whole')
    const waxes = sharedBase(
      materialOptions(lotion, catalogue, 'emulsifier')
        .slice(0, 3)
        .map((o) => formulaToMake(o.formula, 60)),
      catalogue,
    )
    expect(waxes.kind).toBe('phases')
    expect(forbidsText(waxes.forbids[0]!)).toMatch(/“Pour B into A.*” differs between samples/)
  })
  it('forbid what settles, and name it', () => {
    const f = formula([
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['glycerin', 4],
          ['kaolin', 5],
        ],
        { heatToC: 70 },
      ),
      phase(
        'Oil',
        'oil',
        [
          ['helianthus annuus seed oil', 8],
          ['cetearyl alcohol', 2],
          ['polyglyceryl-6 blend', 4],
        ],
        { heatToC: 70 },
      ),
    ])
    const base = sharedBase(
      levelOptions(f, 4, [1, 2]).map((o) => formulaToMake(o.formula, 60)),
      catalogue,
    )
    expect(base.forbids.map(forbidsText).join(' ')).toMatch(/kaolin.* settles/i)
    expect(base.parts.flatMap((p) => p.lines.map((l) => l.weighedAs)).join()).not.toMatch(/kaolin/i)
  })
})
