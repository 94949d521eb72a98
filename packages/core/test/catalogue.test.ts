import { describe, expect, it } from 'vitest'
import { catalogue, KINDS, makeSearch, Material, slug } from '../src/index.ts'
import { CATALOGUE_DATA } from '../src/materials/catalogue.ts'
import { LimitData, limits } from '../src/materials/legal.ts'
import data from '../data/limits.json' with { type: 'json' }

const NO_RANGE = new Set(['hydroquinone', 'silver-citrate'])
describe('the catalogue', () => {
  it.each(CATALOGUE_DATA.map((m) => [m.id, m] as const))('%s has the shape of a material', (_, material) => {
    const parsed = Material.safeParse(material)
    expect(parsed.error?.issues).toBeUndefined()
  })

  it('is broad and names each thing once', () => {
    const ids = CATALOGUE_DATA.map((m) => m.id)
    expect(ids.length).toBeGreaterThanOrEqual(90)
    expect(new Set(ids).size).toBe(ids.length)
  })

  it('gives every material a range, and ranges that make sense', () => {
    for (const m of CATALOGUE_DATA) {
      const { usage, ph, parts } = m
      // What is banned has no usual range; what only comes inside a blend has none of its own.
      if (NO_RANGE.has(m.id)) continue
      expect(usage, m.id).toBeDefined()
      expect(usage!.min <= usage!.typical && usage!.typical <= usage!.max, m.id).toBe(true)
      if (ph) expect(ph.min < ph.max && ph.min >= 0 && ph.max <= 14, m.id).toBe(true)
      if (m.inci.length > 1) expect(parts, `${m.id} is a blend and must say of what`).toBeDefined()
      if (parts && m.inci.length > 1) {
        expect(
          parts.reduce((s, p) => s + p.percent, 0),
          m.id,
        ).toBeCloseTo(100, 5)
        for (const name of m.inci)
          expect(
            parts.map((p) => p.inci),
            m.id,
          ).toContain(name)
      }
    }
  })

  it('grades pH windows by what the material is for', () => {
    for (const m of CATALOGUE_DATA) {
      if (m.cover && m.ph && m.kind === 'preservative') expect(m.ph.grade, m.id).toBe('works')
      if (['polymer', 'gum', 'clay'].includes(m.kind) && m.ph) expect(m.ph.grade, m.id).toBe('holds')
    }
    expect(catalogue.find('panthenol')!.ph!.grade).toBe('prefers')
    expect(catalogue.find('niacinamide')!.ph!.grade).toBe('works')
  })

  it('has what each kind of product needs', () => {
    const has = (test: (m: Material) => boolean) => CATALOGUE_DATA.filter(test).length
    expect(KINDS.length).toBe(10)
    expect(has((m) => m.cover?.role === 'broad')).toBeGreaterThanOrEqual(8)
    expect(has((m) => m.emulsifier?.role === 'oil-in-water')).toBeGreaterThanOrEqual(10)
    expect(has((m) => m.emulsifier?.role === 'water-in-oil')).toBeGreaterThanOrEqual(4)
    expect(has((m) => m.emulsifier?.role === 'cationic')).toBeGreaterThanOrEqual(4)
    expect(has((m) => m.emulsifier?.role === 'solubiliser')).toBeGreaterThanOrEqual(4)
    expect(has((m) => m.kind === 'gum' || m.kind === 'polymer')).toBeGreaterThanOrEqual(15)
    expect(has((m) => m.traits?.includes('chelator') ?? false)).toBeGreaterThanOrEqual(4)
  })

  it('finds by id, INCI name, blend in any order, common name and alias, whatever the letters', () => {
    for (const name of ['aqua', 'Aqua', 'WATER', 'distilled water', 'purified water'])
      expect(catalogue.find(name)?.id, name).toBe('aqua')
    for (const name of [
      'Phenoxyethanol, Ethylhexylglycerin',
      'ethylhexylglycerin (and) phenoxyethanol',
      'phenoxyethanol-ethylhexylglycerin',
    ]) {
      expect(catalogue.find(name)?.id, name).toBe('phenoxyethanol-ethylhexylglycerin')
    }
    expect(catalogue.find('1,2-Hexanediol')?.inci).toEqual(['1,2-Hexanediol'])
    expect(catalogue.find('vitamin b3')?.id).toBe('niacinamide')
    expect(catalogue.find('sorbitol')?.id).toBe('sorbitol')
    expect(catalogue.find('moon dust')).toBeNull()
    expect(catalogue.find('')).toBeNull()
  })

  it('is found again by each of its own INCI names', () => {
    for (const m of CATALOGUE_DATA) {
      const found = catalogue.find(m.inci.join(', '))
      expect(found && slug(found.inci.join(', ')), m.id).toBe(slug(m.inci.join(', ')))
    }
  })
})

describe('the finder', () => {
  const search = makeSearch(CATALOGUE_DATA)
  it.each([
    ['glycerin', 'glycerin'],
    ['glycrin', 'glycerin'],
    ['niacinimide', 'niacinamide'],
    ['xantan', 'xanthan-gum'],
    ['shea', 'butyrospermum-parkii-butter'],
    ['sheabutter', 'butyrospermum-parkii-butter'],
    ['Butyrospermum', 'butyrospermum-parkii-butter'],
    ['vitamin e', 'tocopherol'],
    ['alantoin', 'allantoin'],
    ['salicilic acid', 'salicylic-acid'],
    ['water', 'aqua'],
    ['lye', 'sodium-hydroxide'],
  ])('%s leads to %s', (words, id) => {
    expect(
      search(words)
        .slice(0, 3)
        .map((m) => m.id),
    ).toContain(id)
  })
  it('finds by what a material does', () => {
    const found = search('preservative', 12)
    expect(
      found.filter((m) => m.cover || m.functions.includes('preservative')).length,
    ).toBeGreaterThanOrEqual(9)
  })
  it('stands any text', () => {
    expect(search('<script>')).toBeInstanceOf(Array)
    expect(search('x'.repeat(5000))).toBeInstanceOf(Array)
  })
})

describe('the limits', () => {
  it('have their shape, a source and a subject that exists', () => {
    expect(LimitData.safeParse(data).error?.issues).toBeUndefined()
    expect(limits.length).toBeGreaterThan(150)
    for (const limit of limits) {
      expect(limit.source.length, limit.subject).toBeGreaterThan(8)
      expect(limit.subject).toBe(slug(limit.subject))
    }
  })
})
