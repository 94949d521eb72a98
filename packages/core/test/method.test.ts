import { stepText, stepTitle, equipmentText } from '../src/words/index.ts'
// The method of a formula, the maker's changes to it, and the plan for one pair of hands.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  type Formula,
  type MethodEdits,
  addOwnStep,
  applyEdit,
  assess,
  changeStep,
  methodOf,
  moveStep,
  putBackStep,
  readFormula,
  resetStep,
  schedule,
  takeOutStep,
  tidyEdits,
  writeFormula,
} from '../src/index.ts'
import { type Task } from '../src/procedure/schedule.ts'
import { coolingMinutes, temperatureAfter } from '../src/procedure/cooling.ts'
import { openChoices } from '../src/procedure/process-options.ts'
import { cream, formula, phase, PRESERVED, simple } from './helpers.ts'

const keysOf = (f: Formula, edits?: MethodEdits) => methodOf(assess(f), edits).steps.map((s) => s.key)
const titles = (f: Formula, edits?: MethodEdits) => methodOf(assess(f), edits).steps.map((s) => stepTitle(s))
const hot = cream({}, { batchGrams: 200 })
const at = (list: string[], start: string) => list.findIndex((t) => t.startsWith(start))

describe('the method of a formula', () => {
  it('goes from clean tools to a look the next day', () => {
    const list = titles(hot)
    expect(list[0]).toContain('Clean')
    expect(list.at(-1)).toBe('Observe again tomorrow')
    const order = [
      'Weigh A',
      'Heat A',
      'Heat B',
      'Pour B into A',
      'Blend',
      'Cool below',
      'Make up',
      'Measure the pH',
      'Add phenoxyethanol',
      'Measure the pH again',
      'Fill',
      'Label',
    ]
    const places = order.map((start) => at(list, start))
    expect(places).not.toContain(-1)
    expect([...places].sort((x, y) => x - y)).toEqual(places)
  })
  it('follows the school that is chosen', () => {
    expect(titles(hot, { choices: { pouring: 'water-into-oil' } })).toContain('Pour A into B, blending')
    const pours = (edits?: MethodEdits) => methodOf(assess(hot), edits).steps.find((s) => s.kind === 'join')
    expect(pours()).toMatchObject({ from: ['B'], into: 'A' })
    expect(pours({ choices: { pouring: 'water-into-oil' } })).toMatchObject({ from: ['A'], into: 'B' })
    expect(titles(hot, { choices: { heating: 'melt' } })).toContain('Heat A to 72\u202f°C')
    const bath = methodOf(assess(hot), { choices: { cooling: 'bath' } }).steps.find((s) => s.kind === 'cool')!
    const air = methodOf(assess(hot)).steps.find((s) => s.kind === 'cool')!
    expect(bath.wait).toBeLessThan(air.wait / 3)
    const preserved = titles(hot, { choices: { ending: 'preserve-first' } })
    expect(at(preserved, 'Add phenoxyethanol')).toBeLessThan(at(preserved, 'Measure the pH'))
  })
  it('always pours water into oil for water in oil, and measures no pH there', () => {
    const f = formula([
      phase(
        'Water',
        'water',
        [
          ['aqua', 'fill'],
          ['magnesium sulfate', 0.7],
        ],
        { heatToC: 70 },
      ),
      phase(
        'Oil',
        'oil',
        [
          ['squalane', 20],
          ['polyglyceryl-3 diisostearate', 4],
        ],
        { heatToC: 70 },
      ),
      phase('Cool-down', 'cool-down', [PRESERVED], { belowC: 40 }),
    ])
    const list = titles(f)
    expect(at(list, 'Pour A into B')).toBeGreaterThan(0)
    expect(at(list, 'Measure the pH')).toBe(-1)
  })
  it('lets swell what takes hours, under shear and then at the end, or overnight with the preservative in it', () => {
    const f = cream({ water: [['sodium hyaluronate', 0.2]], cool: [PRESERVED, ['ascorbyl glucoside', 2]] })
    const shear = methodOf(assess(f)).steps
    expect(shear.find((s) => s.kind === 'rest')!.wait).toBeGreaterThan(60)
    const night = methodOf(assess(f), { choices: { swelling: 'overnight' } })
    expect(night.dayBefore.map((s) => s.key)).toEqual(['ahead-sodium-hyaluronate'])
    expect(night.steps.findIndex((s) => s.ahead !== null)).toBe(1)
    expect(stepText(night.steps[1]!).detail).toContain('phenoxyethanol')
    expect(night.steps.some((s) => s.kind === 'rest')).toBe(false)
  })
  it('weighs a gum with the liquid that wets it, apart from the water', () => {
    const steps = methodOf(assess(cream({ water: [['xanthan gum', 0.2]] }, { batchGrams: 200 }))).steps
    const lines = (key: string) => steps.find((s) => s.key.startsWith(key))!.weighs.map((l) => l.line)
    expect(lines('weigh-water')).toEqual([0])
    expect(lines('gum-water')).toEqual([2, 1])
    expect(steps.find((s) => s.key.startsWith('slurry-water'))).toMatchObject({ from: ['A1'], into: 'A' })
    expect(stepText(steps.find((s) => s.key.startsWith('gum-water'))!).detail).toContain(
      'xanthan gum and glycerin',
    )
  })
  it('asks only for choices that make a difference', () => {
    expect(openChoices(assess(hot))).toEqual([
      'pouring',
      'heating',
      'evaporation',
      'cooling',
      'ending',
      'body',
    ])
    expect(openChoices(assess(simple([['glycerin', 4]])))).toEqual([])
  })
  it('wets a gum before it meets the water, and lets it rest as one likes', () => {
    const f = cream({ water: [['xanthan gum', 0.3]] })
    const gum = (gumSchool: 'rest' | 'at-once' | 'overnight') =>
      methodOf(assess(f), { choices: { gum: gumSchool } }).steps.find((s) => s.key.startsWith('gum-'))!
    expect(gum('rest').wait).toBe(25)
    expect(stepTitle(gum('rest'))).toBe('Wet xanthan gum with glycerin')
    expect(gum('at-once').wait).toBe(0)
    expect(gum('overnight').ahead).not.toBeNull()
    expect(openChoices(assess(f))).toContain('gum')
  })
  it('heats and cools nothing that is made cold', () => {
    const kinds = methodOf(assess(simple([['glycerin', 4], ['xanthan gum', 0.4], PRESERVED]))).steps.map(
      (s) => s.kind,
    )
    expect(kinds).not.toContain('heat')
    expect(kinds).not.toContain('cool')
    expect(kinds).not.toContain('water')
  })
  it('weighs every phase once and names what is needed', () => {
    const { steps, equipment: needed } = methodOf(assess(hot))
    const equipment = equipmentText(needed)
    expect(steps.filter((s) => s.kind === 'weigh').map((s) => s.letter)).toEqual(['A', 'B', 'C'])
    expect(equipment).toEqual(expect.arrayContaining(['stick blender', 'thermometer', 'gloves']))
    expect(new Set(equipment).size).toBe(equipment.length)
  })
  it('says something for a formula without a line', () => {
    expect(titles(formula([])).length).toBeGreaterThan(1)
  })
})

describe('changes of the maker', () => {
  const edits: MethodEdits = {
    changes: {
      fill: { title: 'Fill the blue jars', hands: 20, note: 'the ones by the window' },
      label: { hidden: true },
    },
    own: [{ key: 'own-1', title: 'Open the window', hands: 1, wait: 4 }],
    order: ['prepare', 'own-1'],
  }
  it('lie over the method, and stay when the formula changes', () => {
    const check = (f: Formula) => {
      const { steps, hidden } = methodOf(assess(f), edits)
      expect(steps.find((s) => s.key === 'fill')).toMatchObject({
        ownTitle: 'Fill the blue jars',
        hands: 20,
        note: 'the ones by the window',
      })
      expect(steps.map((s) => s.key).slice(0, 2)).toEqual(['prepare', 'own-1'])
      expect(hidden.map((s) => s.key)).toEqual(['label'])
      // What waited for the label waits for what the label waited for.
      expect(steps.find((s) => s.key === 'look')!.after).toEqual(['fill'])
    }
    check(hot)
    check(applyEdit(hot, { type: 'add-line', phase: 1, line: { material: 'jojoba oil', percent: 3 } }))
    check(applyEdit(hot, { type: 'remove-phase', phase: 2 }))
  })
  it('let a step that was moved up no longer wait for what comes after it', () => {
    const order = ['prepare', 'fill', ...keysOf(hot).filter((k) => k !== 'prepare' && k !== 'fill')]
    const { steps } = methodOf(assess(hot), { order })
    expect(steps[1]!.key).toBe('fill')
    expect(steps[1]!.after).toEqual([])
  })
  it('travel with the file', () => {
    const f = { ...hot, method: edits }
    expect(readFormula(writeFormula(f)).method).toEqual(edits)
  })
})

describe('cooling, Newton', () => {
  it('meets the closed form', () => {
    // t = ln((T0 − Tr)/(T1 − Tr)) / k, with k 0.02 a minute for 100 g and the cube root of the mass: arithmetic.
    expect(coolingMinutes(75, 40, 100, false)).toBeCloseTo(Math.log(54 / 19) / 0.02, 6)
    expect(coolingMinutes(75, 40, 800, false)! / coolingMinutes(75, 40, 100, false)!).toBeCloseTo(2, 6)
    expect(coolingMinutes(35, 40, 100, false)).toBeNull()
    expect(coolingMinutes(75, 15, 100, false)).toBe(Infinity)
    expect(temperatureAfter(75, coolingMinutes(75, 40, 250, false)!, 250, false)).toBeCloseTo(40, 9)
  })
})

describe('the plan', () => {
  const tasks = fc
    .array(
      fc.tuple(
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 0, max: 60 }),
        fc.array(fc.nat(), { maxLength: 3 }),
      ),
      { minLength: 1, maxLength: 14 },
    )
    .map((list) =>
      list.map(([hands, wait, links], i): Task => ({
        key: `t${i}`,
        hands,
        wait,
        after: i === 0 ? [] : [...new Set(links.map((n) => `t${n % i}`))],
      })),
    )
  it('lets hands do one thing at a time, and nothing before what it waits for', () => {
    fc.assert(
      fc.property(tasks, (list) => {
        const plan = schedule(list)
        const slot = new Map(plan.slots.map((s) => [s.key, s]))
        for (const t of list) {
          const s = slot.get(t.key)!
          expect(s.handsEnd - s.start).toBe(t.hands)
          expect(s.end - s.handsEnd).toBe(t.wait)
          for (const k of t.after) expect(slot.get(k)!.end).toBeLessThanOrEqual(s.start)
        }
        const busy = plan.slots.filter((s) => s.handsEnd > s.start).sort((x, y) => x.start - y.start)
        busy.slice(1).forEach((s, i) => expect(s.start).toBeGreaterThanOrEqual(busy[i]!.handsEnd))
      }),
    )
  })
  it('takes no longer than one after the other, and no less than the longest chain or all hands', () => {
    fc.assert(
      fc.property(tasks, (list) => {
        const plan = schedule(list)
        const byKey = new Map(list.map((t) => [t.key, t]))
        const chain = (t: Task): number =>
          t.hands + t.wait + Math.max(0, ...t.after.map((k) => chain(byKey.get(k)!)))
        const longest = Math.max(...list.map(chain))
        const hands = list.reduce((s, t) => s + t.hands, 0)
        expect(plan.totalMinutes).toBeGreaterThanOrEqual(Math.max(longest, hands))
        expect(plan.totalMinutes).toBeLessThanOrEqual(list.reduce((s, t) => s + t.hands + t.wait, 0))
        expect(plan.slots.some((s) => s.critical)).toBe(true)
      }),
    )
  })
  it('lets a gum swell while the oils melt', () => {
    const plan = schedule([
      { key: 'gum', hands: 4, wait: 25, after: [] },
      { key: 'weigh oil', hands: 5, wait: 0, after: [] },
      { key: 'melt', hands: 2, wait: 20, after: ['weigh oil'] },
      { key: 'combine', hands: 5, wait: 0, after: ['gum', 'melt'] },
    ])
    expect(plan.totalMinutes).toBe(4 + 5 + 2 + 20 + 5)
    expect(plan.slots.find((s) => s.key === 'melt')!.start).toBeLessThan(29)
  })
  it('does not hang on a circle', () => {
    const plan = schedule([
      { key: 'a', hands: 1, wait: 0, after: ['b'] },
      { key: 'b', hands: 1, wait: 0, after: ['a'] },
    ])
    expect(plan.slots).toHaveLength(2)
  })
})

describe('what a maker changes of a method', () => {
  const a = assess(hot)
  const steps = (edits: MethodEdits) => methodOf(a, edits).steps
  const first = steps({})[1]!
  it('leaves nothing behind when it is taken back', () => {
    const changed = changeStep({}, first, { title: 'Weigh it by the window', hands: 9 })
    expect(steps(changed).find((s) => s.key === first.key)).toMatchObject({
      ownTitle: 'Weigh it by the window',
      hands: 9,
      changed: true,
    })
    expect(tidyEdits(resetStep(changed, first.key))).toBeUndefined()
    const gone = takeOutStep(changed, first)
    expect(steps(gone).some((s) => s.key === first.key)).toBe(false)
    // put back, it is as it was changed before
    expect(putBackStep(gone, first.key)).toEqual(changed)
    expect(tidyEdits(putBackStep(takeOutStep({}, first), first.key))).toBeUndefined()
  })
  it('moves a step by one, and not past the ends', () => {
    const before = steps({}).map((s) => s.key)
    const moved = moveStep({}, steps({}), 1, 1)!
    expect(steps(moved).map((s) => s.key)).toEqual([before[0], before[2], before[1], ...before.slice(3)])
    expect(moveStep({}, steps({}), 0, -1)).toBeNull()
    expect(moveStep({}, steps({}), before.length - 1, 1)).toBeNull()
  })
  it('adds a step of one’s own at the end, changes it in place with its note beside it, and drops it for good', () => {
    const added = addOwnStep({}, steps({}), 'own-1')
    const own = steps(added).at(-1)!
    expect(own).toMatchObject({ kind: 'own', said: { code: 'own', title: 'New step' }, hands: 5 })
    const told = changeStep(added, own, { title: 'Ring the bell', note: 'twice', hands: 1, wait: 0 })
    expect(steps(told).at(-1)).toMatchObject({
      said: { code: 'own', title: 'Ring the bell' },
      note: 'twice',
      hands: 1,
    })
    expect(told.own).toEqual([{ key: 'own-1', title: 'Ring the bell', hands: 1, wait: 0 }])
    expect(steps(takeOutStep(told, own)).some((s) => s.kind === 'own')).toBe(false)
  })
})
