import { findingText, stepText, stepTitle } from '../src/words/index.ts'
// What is found about a procedure: in proportion, and nothing about a sound one.
import { describe, expect, it } from 'vitest'
import { applyEdit, assess, findAll, methodOf, withKeys, type Formula } from '../src/index.ts'
import { formula, phase } from './helpers.ts'
import { broken } from './procedure-helpers.ts'
import { PRODUCTS } from './products.ts'

describe('findings about the procedure', () => {
  const found = (f: Formula, code: string) => findAll(assess(f)).filter((x) => x.code === code)
  const product = (name: string) => withKeys(PRODUCTS.find(([n]) => n === name)![1])
  it('say that parts meet too far apart, and set it right with one press', () => {
    const f = product('phases at 50 and 70')
    const [one] = found(f, 'process.temperature-mismatch')
    expect(findingText(one!).message).toMatch(/is set to 50.*combined with a phase at 70/)
    expect(found(applyEdit(f, one!.remedies[0]!.edit), 'process.temperature-mismatch')).toEqual([])
    for (const [, other] of PRODUCTS)
      if (other.name !== f.name) expect(found(other, 'process.temperature-mismatch'), other.name).toEqual([])
  })
  it('say that a phase which is heated says no temperature', () => {
    const f = product('waxes without a temperature')
    const notes = found(f, 'process.order')
    expect(notes.map((n) => n.severity)).toEqual(['note', 'note'])
    const mended = notes.reduce((g, n) => applyEdit(g, n.remedies[0]!.edit), f)
    expect(found(mended, 'process.order')).toEqual([])
  })
  it('say that a line is in no step once its step was taken out, and put it back', () => {
    const f = product('plain toner')
    const { steps } = methodOf(assess(f))
    const key = steps.find((s) => stepTitle(s).startsWith('Weigh B'))!.key
    const without = { ...f, method: { changes: { [key]: { hidden: true } } } }
    const [one] = found(without, 'process.not-joined')
    expect(one!.materials).toEqual(['phenoxyethanol-ethylhexylglycerin'])
    expect(found(applyEdit(without, one!.remedies[0]!.edit), 'process.not-joined')).toEqual([])
    for (const [, other] of PRODUCTS) expect(found(other, 'process.not-joined'), other.name).toEqual([])
  })
  it('say that what is warm would be poured into the cold, and that an acid would be in before the emulsion', () => {
    const gel = product('cold gel with a warm acid')
    const into = (f: Formula, from: number, to: number) => ({
      ...f,
      phases: f.phases.map((p, i) =>
        i === from ? { ...p, goes: { into: f.phases[to]!.id!, when: 'hot' as const } } : p,
      ),
    })
    const [hot] = found(into(gel, 1, 0), 'process.order')
    expect(findingText(hot!).message).toBe('Acid is poured hot into Gel, which is cold.')
    expect(found(applyEdit(into(gel, 1, 0), hot!.remedies[0]!.edit), 'process.order')).toEqual([])
    const cream = product('three-part cream with an acid premix')
    const [early] = found(into(cream, 0, 1), 'process.order')
    expect(findingText(early!).message).toMatch(
      /^Salicylic acid would be added before the emulsion is formed/,
    )
    expect(found(applyEdit(into(cream, 0, 1), early!.remedies[0]!.edit), 'process.order')).toEqual([])
  })
  it('say that a polymer would be neutralised before it is wet, and move the base to the end', () => {
    const f = withKeys(
      formula([
        phase('Gel', 'water', [
          ['aqua', 'fill'],
          ['carbomer', 0.4],
          ['glycerin', 4],
          ['triethanolamine', 0.5],
        ]),
        phase('Last', 'cool-down', [['phenoxyethanol', 0.9]]),
      ]),
    )
    const [one] = found(f, 'process.order')
    expect(findingText(one!).message).toBe(
      'Triethanolamine is in the same phase as carbomer. The method adds it after hydration.',
    )
    const titles = methodOf(assess(f)).steps.map((s) => stepTitle(s))
    const [wet, slurry, base] = ['Wet carbomer', 'Stir the slurry', 'Stir triethanolamine into A'].map((t) =>
      titles.findIndex((x) => x.startsWith(t)),
    )
    expect([wet! > 0, slurry! > wet!, base! > slurry!]).toEqual([true, true, true])
    const mended = applyEdit(f, one!.remedies[0]!.edit)
    expect(found(mended, 'process.order')).toEqual([])
    expect(mended.phases.at(-1)).toMatchObject({ role: 'adjust', lines: [{ material: 'triethanolamine' }] })
    expect(broken(assess(mended), methodOf(assess(mended)).steps)).toBeNull()
  })
  it('offer a cold share of the water for what stands no heat, and are quiet once it is there', () => {
    const f = withKeys(
      formula(
        [
          phase(
            'Water',
            'water',
            [
              ['aqua', 'fill'],
              ['ascorbyl glucoside', 2],
            ],
            { heatToC: 72 },
          ),
          phase(
            'Oil',
            'oil',
            [
              ['squalane', 10],
              ['emulsifying wax', 6],
            ],
            { heatToC: 72 },
          ),
          phase('Last', 'cool-down', [['phenoxyethanol', 0.9]], { belowC: 40 }),
        ],
        { batchGrams: 200 },
      ),
    )
    const [one] = found(f, 'heat.sensitive-in-hot-phase')
    const mend = one!.remedies.find((r) => r.code === 'keep-cold')!
    const mended = applyEdit(f, mend.edit)
    expect(found(mended, 'heat.sensitive-in-hot-phase')).toEqual([])
    const a = assess(mended)
    const { steps } = methodOf(a, mended.method)
    expect(broken(a, steps)).toBeNull()
    const cold = steps.find((s) => stepTitle(s).startsWith('Hold back cold water'))!
    expect(stepText(cold).detail).toMatch(/water and ascorbyl glucoside.* stay cold/)
    expect(steps.find((s) => s.from.includes(cold.vessel))!.key).toBe('cold-share')
    expect(steps.some((s) => s.kind === 'dissolve' && s.vessel === cold.vessel)).toBe(true)
  })
  it('have nothing to say of the order of what is laid out soundly', () => {
    for (const [, f] of PRODUCTS) {
      const said = found(f, 'process.order').filter((x) => x.severity !== 'note')
      expect(
        said.map((x) => findingText(x).message),
        f.name,
      ).toEqual([])
    }
  })
})
