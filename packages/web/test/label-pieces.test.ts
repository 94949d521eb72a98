// @vitest-environment happy-dom
// The drawn label and its sheet of stickers: what they show, and how they are worked with keys alone.
import { layLabel, sheetOf, SHEETS, type Measure } from '@omblet/core'
import { describe, expect, it } from 'vitest'
import LabelFace from '../src/features/formula/label/LabelFace.vue'
import SheetDrawing from '../src/features/formula/label/SheetDrawing.vue'
import { BANDS, MARK_PATHS } from '../src/features/formula/label/marks'
import { mounted } from './mounted'

const measure: Measure = { width: (text, size) => text.length * size * 0.5, xHeight: 0.5, capHeight: 0.7 }
const last = <T>(list: T[][] | undefined) => list?.at(-1)?.[0]

describe('the sheet of stickers', () => {
  const sheet = sheetOf({ sheet: 'a4-8' })
  const drawing = (first: number, count = 3) => mounted(SheetDrawing, { sheet, count, first })
  it('shows which fields are used, which get a label, and which stay free', () => {
    const words = drawing(2)
      .findAll('button')
      .map((b) => b.attributes('aria-label')!.replace(/^Field \d+, |: start here$/g, ''))
    expect(words).toEqual([
      'used',
      'used',
      'gets a label',
      'gets a label',
      'gets a label',
      'stays blank',
      'stays blank',
      'stays blank',
    ])
  })
  it('says how many go on to further sheets', () => {
    expect(drawing(6, 5).text()).toContain('3 more on further sheets')
    expect(drawing(0, 8).text()).not.toContain('further sheets')
  })
  it('begins at the field that is pressed, or that the arrows reach, and never off the sheet', async () => {
    const d = drawing(2)
    await d.findAll('button')[5]!.trigger('click')
    expect(last(d.emitted('update:first'))).toBe(5)
    const key = async (name: string, from: number) => {
      const at = drawing(from)
      await at.findAll('button')[from]!.trigger('keydown', { key: name })
      return last(at.emitted('update:first'))
    }
    expect(await key('ArrowRight', 2)).toBe(3)
    expect(await key('ArrowDown', 2)).toBe(4)
    expect(await key('ArrowUp', 2)).toBe(0)
    expect(await key('ArrowUp', 1)).toBeUndefined()
    expect(await key('ArrowRight', 7)).toBeUndefined()
  })
  it('is one stop of the tab key', () => {
    const stops = drawing(4)
      .findAll('button')
      .map((b) => b.attributes('tabindex'))
    expect(stops.filter((t) => t === '0')).toHaveLength(1)
    expect(stops[4]).toBe('0')
  })
})

describe('a drawn label', () => {
  const text = {
    name: 'Neap toner',
    line: 'Toner',
    paragraphs: [{ text: 'Aqua, Glycerin', what: 'ingredients' as const }],
    foot: ['100 ml'],
  }
  const face = (id: string, more: object = {}) => {
    const sheet = SHEETS.find((s) => s.id === id)!
    const layout = layLabel(text, { ...sheet, code: 10, mark: 6 }, measure, { letters: 0.9, figures: 2 })
    return mounted(LabelFace, { layout, sheet, kind: 'toner', label: 'Label of Neap toner', ...more })
  }
  it('has its true size in millimetres, its words, and a name for who cannot see it', () => {
    const svg = face('a4-8').get('svg')
    expect(svg.attributes()).toMatchObject({
      width: '99.1mm',
      height: '67.7mm',
      viewBox: '0 0 99.1 67.7',
      'aria-label': 'Label of Neap toner',
    })
    expect(svg.findAll('text').map((t) => t.text())).toEqual([
      'Neap toner',
      'Toner',
      'Aqua, Glycerin',
      '100 ml',
    ])
  })
  it('has the band of its kind, and its mark and code where they were chosen', () => {
    const plain = face('a4-8')
    expect(plain.findAll('path')).toHaveLength(0)
    expect(plain.html()).toContain(BANDS.toner)
    const all = face('a4-8', { mark: 'gull', code: 'NT-1126/2' })
    expect(all.findAll('path')).toHaveLength(2)
    expect(all.html()).toContain(MARK_PATHS.gull)
  })
  it('on a round sticker is round', () => {
    const round = face('a4-round-24')
    expect(round.findAll('circle').length).toBeGreaterThan(0)
    expect(round.find('rect').exists()).toBe(false)
  })
})
