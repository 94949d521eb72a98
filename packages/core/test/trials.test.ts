import { Refusal } from '../src/text/said.ts'
import { trialFaultText, trialWarningText, forecastRows, foundText, sidesText } from '../src/words/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { catalogue, derivedOf, readTrial, withKeys, writeTrial } from '../src/index.ts'
import { sideBySide } from '../src/derived/side.ts'
import { forecastOf } from '../src/derived/forecast.ts'
import { FEEL, attributesFor, usualAttributes } from '../src/trials/data.ts'
import { asVersionOf, rejectedVariants } from '../src/trials/lesson.ts'
import { forecastAndFound, foundInBatch } from '../src/trials/found.ts'
import { randomOf } from '../src/stats/random.ts'
import { balancedOrders, codes, williams } from '../src/trials/order.ts'
import { ended, planTrial, scoreRows, trialFault, trialWarnings, withFound } from '../src/trials/plan.ts'
import {
  isAnswered,
  judgeSteps,
  nextStep,
  sittingsOf,
  standOfSittings,
  withAnswer,
} from '../src/trials/sittings.ts'
import { materialOptions } from '../src/trials/variants.ts'
import { lotion, wish } from './trial-pieces.ts'

const noPrice = () => null

describe('the order of a trial', () => {
  it.each([2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])(
    'is balanced for place and for what came before, %i samples',
    (k) => {
      const rows = williams(k)
      expect(rows).toHaveLength(k % 2 === 0 ? k : 2 * k)
      const each = rows.length / k
      for (let place = 0; place < k; place++)
        for (let sample = 0; sample < k; sample++)
          expect(rows.filter((r) => r[place] === sample)).toHaveLength(each)
      for (let x = 0; x < k; x++)
        for (let y = 0; y < k; y++) {
          if (x === y) continue
          const follows = rows.filter((r) => r.some((v, i) => v === x && r[i + 1] === y)).length
          expect(follows).toBe(each)
        }
    },
  )
  it('is the square of Williams (1949) for three, four and six', () => {
    const letters = (k: number) => williams(k).map((r) => r.map((i) => 'ABCDEF'[i]).join(''))
    expect(letters(4)).toEqual(['ABDC', 'BCAD', 'CDBA', 'DACB'])
    expect(letters(6)).toEqual(['ABFCED', 'BCADFE', 'CDBEAF', 'DECFBA', 'EFDACB', 'FAEBDC'])
    expect(letters(3).sort()).toEqual(['ABC', 'ACB', 'BAC', 'BCA', 'CAB', 'CBA'])
  })
  it('gives whole squares to as many people as there are, the same for the same seed', () => {
    const rows = balancedOrders(4, 8, randomOf(3))
    for (let place = 0; place < 4; place++)
      for (let s = 0; s < 4; s++) expect(rows.filter((r) => r[place] === s)).toHaveLength(2)
    expect(balancedOrders(4, 8, randomOf(3))).toEqual(rows)
    expect(balancedOrders(4, 8, randomOf(4))).not.toEqual(rows)
  })
  it('gives codes of three digits that say nothing, none twice', () => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 1, max: 800 }), (seed, n) => {
        const list = codes(n, randomOf(seed))
        expect(new Set(list).size).toBe(n)
        for (const c of list) expect(c).toMatch(/^(?!(\d)\1\1$)(?!123$)[1-9]\d\d$/)
      }),
    )
  })
})

describe('a sitting', () => {
  const trial = planTrial(
    wish({
      choosing: [
        { kind: 'triangle', a: 0, b: 1 },
        { kind: 'pair', a: 1, b: 2 },
      ],
      attributes: [...usualAttributes('lotion'), attributesFor(false).find((a) => a.ask === 'rank')!],
    }),
  )
  it('is the same however often it is asked, and by way of a file', () => {
    expect(sittingsOf(readTrial(writeTrial(trial)) as typeof trial)).toEqual(sittingsOf(trial))
    expect(sittingsOf(trial)).toHaveLength(6)
  })
  it('shows a judge codes and nothing by which a sample could be known', () => {
    for (const sitting of sittingsOf(trial)) {
      const told = JSON.stringify(judgeSteps(trial, sitting))
      for (const s of trial.samples) {
        expect(told).not.toContain(s.name)
        expect(told).not.toContain(`"${s.id}"`)
      }
      expect(told).not.toContain('odd')
    }
  })
  it('asks in the order of the moments, what stays for later of all samples together', () => {
    const steps = judgeSteps(trial, sittingsOf(trial)[0]!)
    const asked = steps.flatMap((s) => (s.kind === 'score' ? [s] : []))
    const at = (id: string) => FEEL.moments.findIndex((m) => m.id === id)
    for (const code of new Set(asked.map((s) => s.code))) {
      const places = asked.filter((s) => s.code === code).map((s) => at(s.moment.id))
      expect(places).toEqual(places.toSorted((x, y) => x - y))
    }
    const later = asked.findIndex((s) => s.moment.id === '20-min')
    expect(asked.slice(later).every((s) => !s.moment.each)).toBe(true)
    expect(steps.at(-1)!.kind).toBe('rank')
  })
  it('gives each order of a triangle and of a pair equally often', () => {
    const big = planTrial(
      wish({
        people: Array.from({ length: 12 }, (_, i) => `P${i}`),
        rounds: 1,
        choosing: [
          { kind: 'triangle', a: 0, b: 1 },
          { kind: 'pair', a: 1, b: 2 },
        ],
      }),
    )
    const all = sittingsOf(big)
    const trios = all.map((s) => s.trios[0]!)
    for (const odd of [0, 1, 2]) expect(trios.filter((t) => t.odd === odd)).toHaveLength(4)
    for (const t of trios) {
      const count = t.samples.filter((x) => x === t.samples[t.odd]).length
      expect(count).toBe(1)
    }
    expect(all.filter((s) => s.duos[0]!.samples[0] === 'b')).toHaveLength(6)
  })
  it('takes answers by code, one in the place of another, and none that cannot be', () => {
    const [sitting] = sittingsOf(trial)
    const { person, round } = sitting!
    const steps = judgeSteps(trial, sitting!)
    const score = steps.find((s) => s.kind === 'score')!
    expect(withAnswer(trial, person, round, score.key, { value: 11 })).toBeNull()
    expect(withAnswer(trial, person, round, score.key, { value: NaN })).toBeNull()
    expect(withAnswer(trial, person, round, 'nothing', { value: 1 })).toBeNull()
    const once = withAnswer(trial, person, round, score.key, { value: 4 })!
    const twice = withAnswer(once, person, round, score.key, { value: 6 })!
    expect(twice.scores).toHaveLength(1)
    expect(twice.scores[0]!.value).toBe(6)
    expect(twice.scores[0]!.sample).toBe(sitting!.served[0]!.sample)
    expect(withAnswer(ended(twice, 'now'), person, round, score.key, { value: 1 })).toBeNull()
    const trio = sitting!.trios[0]!
    expect(withAnswer(trial, person, round, 'trio 0', { chosen: trio.codes[trio.odd]! })!.triangles).toEqual([
      { by: person, round, right: true, a: 'a', b: 'b' },
    ])
    expect(withAnswer(trial, person, round, 'trio 0', { chosen: '000' })).toBeNull()
    const order = sitting!.served.map((s) => s.code)
    const ranked = withAnswer(trial, person, round, 'rank liking', { order })!
    expect(ranked.scores.map((s) => s.value)).toEqual([1, 2, 3, 4])
    expect(withAnswer(trial, person, round, 'rank liking', { order: order.slice(1) })).toBeNull()
  })
  it('goes on where it was left, and is over when every question has its answer', () => {
    let t = trial
    const [sitting] = sittingsOf(t)
    const { person, round } = sitting!
    const served = new Set<string>()
    for (let n = 0; n < 500; n++) {
      const step = nextStep(judgeSteps(t, sitting!), served)
      if (!step) break
      if (step.kind === 'serve') served.add(step.code)
      else if (step.kind === 'rank') t = withAnswer(t, person, round, step.key, { order: step.codes })!
      else if (step.kind === 'score') t = withAnswer(t, person, round, step.key, { value: 5 })!
      else t = withAnswer(t, person, round, step.key, { chosen: step.codes[0]! })!
    }
    expect(judgeSteps(t, sitting!).every(isAnswered)).toBe(true)
    const stands = standOfSittings(t)
    expect(stands[0]!.done).toBe(stands[0]!.of)
    expect(stands.slice(1).every((s) => s.done === 0)).toBe(true)
    expect(readTrial(writeTrial(t))).toEqual(t)
  })
})

describe('a trial', () => {
  it('says what is missing', () => {
    expect(trialFault(wish())).toBeNull()
    expect(trialFaultText(trialFault(wish({ samples: [] }))!)).toMatch(/two samples/)
    expect(trialFaultText(trialFault(wish({ people: [] }))!)).toMatch(/one assessor/)
    expect(trialFaultText(trialFault(wish({ people: ['Ina', 'ina '] }))!)).toMatch(/same name/)
    expect(trialFaultText(trialFault(wish({ attributes: [] }))!)).toMatch(/one attribute/)
    expect(() => planTrial(wish({ rounds: 0 }))).toThrow(Refusal)
  })
  it('warns of what unblinds and of too few', () => {
    const red = {
      ...lotion,
      phases: lotion.phases.map((p, i) =>
        i === 0
          ? {
              ...p,
              lines: [
                ...p.lines,
                { material: 'Acid Red 27', percent: 0.01, custom: { facts: { kind: 'colourant' as const } } },
              ],
            }
          : p,
      ),
    }
    const told = trialWarnings(
      wish({
        samples: [
          { name: 'plain', formula: lotion },
          { name: 'red', formula: red },
        ],
        people: ['Ina'],
        decides: null,
      }),
      catalogue,
    )
      .map(trialWarningText)
      .join(' ')
    expect(told).toMatch(/differ in colour/)
    expect(told).toMatch(/With one assessor, plan at least 6 replicates/)
    expect(told).toMatch(/Choose one deciding attribute/)
    expect(trialWarnings(wish({ people: ['A', 'B', 'C', 'D', 'E'] }), catalogue)).toEqual([])
  })
  it('comes back from its file as it was, and as a table', () => {
    const t = withFound(planTrial(wish()), { sample: 'a', what: 'spread', value: 61 })
    t.scores.push({ by: 'p1', round: 1, sample: 'a', attribute: 'spread', value: 4 })
    expect(readTrial(writeTrial(t))).toEqual(t)
    const rows = scoreRows(t)
    expect(rows[1]).toEqual(['score', 'Ina', 1, 'spread', t.samples[0]!.name, '', 4])
    expect(rows.at(-1)).toEqual(['found', '', '', 'spread', t.samples[0]!.name, '', 61])
    expect(withFound(t, { sample: 'a', what: 'spread' }).plan.measured).toEqual([])
  })
  it('gives the winner back at the size of its sheet, grams and all, and names what the others had', () => {
    const grams = {
      ...lotion,
      phases: lotion.phases.map((p) => ({
        ...p,
        lines: p.lines.map((l) =>
          l.material === 'glycerin' ? { id: l.id!, material: 'glycerin', grams: 16 } : l,
        ),
      })),
    }
    const t = planTrial(
      wish({
        samples: [
          { name: 'a', formula: grams },
          { name: 'b', formula: materialOptions(grams, catalogue, 'emulsifier')[0]!.formula },
        ],
      }),
    )
    const { readings: _r, ...bare } = withKeys(grams)
    expect(asVersionOf(grams, t.samples[0]!.formula!)).toEqual(bare)
    expect(rejectedVariants(t, 'b', catalogue).map((x) => x.material)).toEqual([
      'glyceryl-stearate-peg-100-stearate',
    ])
    expect(rejectedVariants(t, null, catalogue)).toEqual([])
  })
  it('shows where the forecast was wrong', () => {
    const f = forecastOf(derivedOf(lotion, catalogue), noPrice)
    expect(forecastRows(f).map((x) => x.what)).toEqual(['pH', 'Consistency', 'Freeze–thaw', '100 g'])
    const body = f.body!
    const rows = forecastAndFound(f, [
      { sample: 'a', what: 'body', choice: 'butter' },
      { sample: 'a', what: 'ph', value: f.ph!.likely },
      { sample: 'a', what: 'frost', choice: f.frost === 'splits' ? 'held' : 'split' },
    ])
    expect(rows.map((r) => [r.what, r.fits])).toEqual([
      ['ph', true],
      ['body', body.high === 'butter'],
      ['frost', f.frost === 'doubtful'],
    ])
    expect(foundText(rows[1]!).says).toBe('Prediction too low')
    expect(forecastAndFound(null, [{ sample: 'a', what: 'ph', value: 5 }])[0]!.fits).toBeNull()
  })
  it('gives a reading the room of how it was read: a strip tells less than a meter, and so does what nobody said', () => {
    const f = forecastOf(derivedOf(lotion, catalogue), noPrice)
    const at = f.ph!.high + 0.4
    const fits = (way?: 'strip' | 'meter-direct') =>
      forecastAndFound(f, [{ sample: 'a', what: 'ph', value: at, ...(way ? { way } : {}) }])[0]!.fits
    expect([fits('strip'), fits('meter-direct'), fits()]).toEqual([true, false, true])
    const found = (way?: 'meter-10pct') =>
      foundText(
        forecastAndFound(null, [{ sample: 'a', what: 'ph', value: 5.4, ...(way ? { way } : {}) }])[0]!,
      ).found
    expect([found('meter-10pct'), found()]).toEqual(['5.40 (meter, 10 %)', '5.40'])
  })
  it('takes the pH of a jar from its batch: of all of it, and before anything was set right', () => {
    const batch = (parts: Partial<Parameters<typeof foundInBatch>[1]>) =>
      foundInBatch('a', { readings: [], doses: [], events: [], ...parts })
    const read = (n: number, ph: number, method: 'strip' | 'meter-direct' = 'strip') => ({
      n,
      at: '',
      ph,
      method,
    })
    const weigh = (n: number) => ({ n, at: '', step: null, type: 'weigh' as const, line: 0, grams: 1 })
    const dose = (n: number) => ({ n }) as Parameters<typeof foundInBatch>[1]['doses'][number]
    expect(batch({ readings: [read(3, 5.1)] })).toEqual([
      { sample: 'a', what: 'ph', value: 5.1, way: 'strip' },
    ])
    expect(batch({ readings: [read(3, 5.1)], doses: [dose(2)] })).toEqual([])
    // the preservative went in after the first reading: the second is of all that was forecast
    expect(
      batch({ readings: [read(3, 5.1), read(6, 4.8, 'meter-direct')], events: [weigh(1), weigh(5)] }),
    ).toEqual([{ sample: 'a', what: 'ph', value: 4.8, way: 'meter-direct' }])
    expect(
      batch({ readings: [read(3, 5.1), read(9, 4.8)], events: [weigh(1), weigh(5)], doses: [dose(7)] })[0]!
        .value,
    ).toBe(5.1)
  })
  it('lays two formulas side by side, with what came and what went', () => {
    const [other] = materialOptions(lotion, catalogue, 'emulsifier').filter((o) => !o.current)
    const sides = sideBySide(derivedOf(lotion, catalogue), derivedOf(other!.formula, catalogue))
    const changed = sides.rows.filter((r) => r.changed)
    expect(
      changed.map((r) => [r.left?.percent ?? null, r.right?.percent ?? null]).filter((p) => p.includes(null)),
    ).toHaveLength(2)
    expect(sides.rows).toHaveLength(lotion.phases.flatMap((p) => p.lines).length + 1)
    const same = sideBySide(derivedOf(lotion, catalogue), derivedOf(lotion, catalogue))
    const told = sidesText(derivedOf(lotion, catalogue), derivedOf(lotion, catalogue), noPrice)
    expect(same.rows.some((r) => r.changed) || told.facts.some((f) => f.changed)).toBe(false)
    expect([same.came, same.went, told.steps.left, told.steps.right]).toEqual([[], [], [], []])
  })
})
