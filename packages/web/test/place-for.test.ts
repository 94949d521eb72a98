// Where a material goes that is added to a formula: into the phase that suits it, unless one stands in a phase that takes all.
import { catalogue, type Phase } from '@omblet/core'
import { describe, expect, it } from 'vitest'
import { placeFor, range } from '../src/features/formula/place-for'

const phase = (role: Phase['role']): Phase => ({ name: role, role, lines: [] })
const phases = [phase('water'), phase('oil'), phase('cool-down'), phase('premix')]
const material = (id: string) => catalogue.find(id)!

describe('a material that is added', () => {
  it('goes to the phase that suits it, wherever one stands', () => {
    expect(placeFor(material('butyrospermum-parkii-butter'), phases, 0)).toBe(1)
    expect(placeFor(material('phenoxyethanol-ethylhexylglycerin'), phases, 1)).toBe(2)
  })
  it('stays where one stands if that phase takes all, or it goes anywhere', () => {
    expect(placeFor(material('butyrospermum-parkii-butter'), phases, 3)).toBe(3)
    const anywhere = catalogue.materials.find((m) => m.phase === 'any')!
    expect(placeFor(anywhere, phases, 1)).toBe(1)
    expect(placeFor(anywhere, phases, null)).toBe(0)
  })
  it('goes where one stands, else to the first, where no phase suits it', () => {
    const alone = [phase('other'), phase('water')]
    expect(placeFor(material('butyrospermum-parkii-butter'), alone, 1)).toBe(1)
    expect(placeFor(material('butyrospermum-parkii-butter'), [phase('water')], null)).toBe(0)
  })
  it('is shown with its usual range in a few words', () => {
    expect(range(material('glycerin'))).toMatch(/^\d[\d.]*\s% – \d[\d.]*\s%$/)
    expect(range({ ...material('glycerin'), usage: { min: 10, max: 90, typical: 50 } })).toMatch(
      /^from 10\s%$/,
    )
    const { usage: _usage, ...without } = material('glycerin')
    expect(range(without)).toBe('usage rate unknown')
  })
})
