// The sentences of what is decided: one and many, and every code has its own.
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { FindingFacts } from '../src/findings/facts.ts'
import { finding, findingKey, type FindingCode } from '../src/findings/types.ts'
import { assess, findAll, rescue, SYMPTOMS } from '../src/index.ts'
import { en } from '../src/words/en/index.ts'
import { causeText, findingText, remedyText, symptomText } from '../src/words/index.ts'
import { Making } from './bench-helpers.ts'
import { simple } from './helpers.ts'
import { PRODUCTS } from './products.ts'

const documents = readFileSync(new URL('../../../docs/formats.md', import.meta.url), 'utf8')
const empty = assess(simple([['glycerin', 3]]))
const said = <C extends FindingCode>(code: C, facts: FindingFacts[C]) =>
  findingText(finding(empty, { code, severity: 'note', facts })).message

describe('findings in words', () => {
  it('have a sentence for every code that is documented, and no other', () => {
    const rows = documents.slice(documents.indexOf('| code ')).split('\n\n')[0]!
    const told = rows
      .split('\n')
      .filter((row) => row.startsWith('|'))
      .flatMap((row) => [...row.split('|')[1]!.matchAll(/`([a-z]+\.[a-z0-9-]+)`/g)].map(([, code]) => code!))
    expect([...new Set(told)].sort()).toEqual(Object.keys(en.findings).sort())
  })
  it('agree with one and with many', () => {
    expect(said('amount.missing', { names: ['glycerin'] })).toBe('Glycerin has no amount yet.')
    expect(said('amount.missing', { names: ['glycerin', 'urea', 'aqua'] })).toBe(
      'Glycerin, urea and aqua have no amount yet.',
    )
    expect(said('record.adjuster-not-counted', { names: ['lactic acid'] })).toBe(
      'Lactic acid was added and is not in the formula.',
    )
    expect(said('record.adjuster-not-counted', { names: ['lactic acid', 'lye'] })).toBe(
      'Lactic acid and lye were added and are not in the formula.',
    )
    expect(said('safety.dust', { who: ['kaolin', 'mica'] })).toBe('Kaolin and mica: fine dust.')
  })
  it('keep the small p of pH at the beginning', () => {
    expect(said('ph.not-measured', {})).toMatch(/^pH /)
  })
  it('are told apart by what they are about, in every product', () => {
    for (const [name, formula] of PRODUCTS) {
      const found = findAll(assess(formula))
      expect(new Set(found.map(findingKey)).size, name).toBe(found.length)
      for (const f of found) {
        const { message, why, source } = findingText(f)
        for (const text of [message, why]) expect(text, name).not.toMatch(/undefined|null|NaN|\[object| {2}/)
        expect(source, name).not.toMatch(/from memory/)
        for (const remedy of f.remedies) expect(remedyText(remedy), name).toMatch(/^[A-Z0-9]/)
      }
    }
  })
})

describe('causes in words', () => {
  it('say what to do for every symptom that a batch can have', () => {
    const { state } = new Making(PRODUCTS[0]![1]).upTo(null)
    for (const { id } of SYMPTOMS) {
      expect(symptomText(id)).toMatch(/^(pH|[A-Z])/)
      for (const cause of rescue(id, state).causes) {
        const { title, because, test, moves } = causeText(cause)
        for (const text of [title, because, test, ...moves])
          expect(text, cause.code).not.toMatch(/undefined|null|NaN|\[object| {2}|\.\./)
      }
    }
  })
  it('offer to dilute only as far as a batch can grow', () => {
    const facts = { code: 'above-solubility' as const, weight: 9, solids: [], acid: false }
    const [small] = causeText({ ...facts, ratio: 2, dilutable: true }).moves
    const [large] = causeText({ ...facts, ratio: 8, dilutable: false }).moves
    expect([small, large]).toEqual([
      'Warm gently and dilute: a batch 2 times as large with the same amount of that ingredient.',
      'Diluting would take 8 times the batch. Use more of its solvent, or less of the ingredient next time.',
    ])
  })
})
