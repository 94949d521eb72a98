// @vitest-environment happy-dom
// Terms of the trade are explained where they stand, and on a page of their own.
import { mount } from '@vue/test-utils'
import fc from 'fast-check'
import { afterEach, describe, expect, it } from 'vitest'
import Term from '../src/components/Term.vue'
import TermText from '../src/components/TermText.vue'
import { findTerms, termsIn } from '../src/composables/terms'
import { glossary, type Entry } from '../src/words/en/glossary'

const entries = Object.values(glossary) as Entry[]
const joined = (text: string) =>
  termsIn(text)
    .map((p) => p.text)
    .join('')

describe('the glossary', () => {
  it('explains each term in two sentences at most', () => {
    for (const { term, says } of entries) {
      const sentences = says
        .replace(/\(such as [^)]*\)/g, '')
        .split(/[.?!](?:\s|$)/)
        .filter(Boolean)
      expect(sentences.length, `${term}: ${says}`).toBeLessThanOrEqual(2)
      expect(says.endsWith('.') || says.endsWith('”.'), term).toBe(true)
    }
  })
  it('names no two terms alike', () => {
    const names = entries.flatMap(({ term, also = [] }) => [...new Set([term, ...also])])
    expect(names.filter((n, i) => names.findIndex((x) => x.toLowerCase() === n.toLowerCase()) < i)).toEqual(
      [],
    )
  })
  it('is searched by term and by meaning, in alphabetical order', () => {
    expect(findTerms('hlb').map((t) => t.entry.term)).toEqual(['HLB', 'Required HLB'])
    expect(findTerms('goggles').map((t) => t.id)).toEqual(['lye'])
    expect(findTerms('no such term')).toEqual([])
    const all = findTerms('').map((t) => t.entry.term)
    expect(all).toHaveLength(entries.length)
    expect(all).toEqual([...all].sort((x, y) => x.localeCompare(y, 'en', { sensitivity: 'base' })))
  })
})

describe('terms in a text', () => {
  it('are marked once each, where they first stand', () => {
    const marked = termsIn(
      'Preservatives below their usage rate: the preservatives cover only mould.',
    ).filter((p) => p.term)
    expect(marked.map((p) => [p.text, p.term])).toEqual([
      ['Preservatives', 'preservative'],
      ['usage rate', 'usage-rate'],
    ])
  })
  it('are words of their own, the longest first', () => {
    expect(termsIn('Required HLB 11').find((p) => p.term)?.term).toBe('required-hlb')
    expect(termsIn('polymeric, guminess and PAOs').some((p) => p.term)).toBe(false)
  })
  it('leave the text as it is', () => {
    const words = fc.constantFrom(
      'HLB',
      'emulsifier',
      'q.s.',
      'O/W',
      ' ',
      ', ',
      '(',
      ')',
      'α',
      'free acid',
      '5 %',
    )
    fc.assert(fc.property(fc.array(words), (list) => joined(list.join('')) === list.join('')))
    fc.assert(fc.property(fc.string(), (text) => joined(text) === text))
  })
})

describe('a term', () => {
  const note = () => document.querySelector('[role="tooltip"]')
  const shown = (props: { id: 'hlb' }) => mount(Term, { props, attachTo: document.body })
  afterEach(() => document.body.replaceChildren())

  it('is explained on a tap, names its explanation, and Escape closes it', async () => {
    const term = shown({ id: 'hlb' })
    expect(term.text()).toBe('HLB')
    await term.get('button').trigger('click')
    expect(note()?.textContent).toContain('lipophile')
    expect(term.get('button').attributes('aria-describedby')).toBe(note()?.id)
    await term.get('button').trigger('keydown', { key: 'Escape' })
    expect(note()).toBeNull()
    term.unmount()
  })
  it('is explained while the mouse rests on it, and closes when the focus goes on', async () => {
    const term = shown({ id: 'hlb' })
    await term.get('button').trigger('pointerenter', { pointerType: 'mouse' })
    expect(note()).not.toBeNull()
    await term.get('button').trigger('blur')
    expect(note()).toBeNull()
    term.unmount()
  })
  it('stands in a sentence without changing it', () => {
    const text = 'HLB 10 is far from the required HLB 12: needs a second emulsifier'
    const shownText = mount(TermText, { props: { text }, attachTo: document.body })
    expect(shownText.element.parentElement?.textContent).toBe(text)
    expect(shownText.findAll('button').map((b) => b.text())).toEqual(['HLB', 'required HLB', 'emulsifier'])
    shownText.unmount()
  })
})
