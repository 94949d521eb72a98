import { findingText } from '@omblet/core/words'
// @vitest-environment happy-dom
// Pieces of the screen: what they say in words, for who sees colours and for who does not.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { derivedOf, catalogue, knownOf, phNotTold, withKeys, type Formula } from '@omblet/core'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import Counts from '../src/components/Counts.vue'
import DoseRail from '../src/components/DoseRail.vue'
import Jar from '../src/components/Jar.vue'
import KnownMark from '../src/components/KnownMark.vue'
import { layersOf, lineCount } from '../src/components/layers'
import FirstBatch from '../src/features/bench/FirstBatch.vue'
import FindingItem from '../src/features/formula/FindingItem.vue'
import ReadingForm from '../src/features/formula/ReadingForm.vue'
import { sheetKey } from '../src/features/formula/sheet'
import FormulaCard from '../src/features/formulas/FormulaCard.vue'
import { closeStore } from '../src/storage/db'
import { getFormula, saveFormula } from '../src/storage/formulas'
import { useEditor } from '../src/stores/editor'
import { useLibrary } from '../src/stores/library'
import { mounted, newPage } from './mounted'
import { eventually } from './patience'
import { toner } from './toner'

const AT = '2026-11-27T08:00:00.000Z'
beforeEach(async () => {
  document.body.innerHTML = ''
  sessionStorage.clear()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
})

describe('counts', () => {
  it.each([
    [{ stop: 0, check: 0, note: 3 }, false, 'no stops or checks'],
    [{ stop: 1, check: 2, note: 0 }, false, '1 stop2 checks'],
    [{ stop: 1, check: 0, note: 0 }, true, 'just started'],
  ])('%o, begun %s, reads %s', (counts, empty, text) =>
    expect(mounted(Counts, { counts, empty }).text()).toBe(text),
  )
})

describe('the dose rail', () => {
  const spoken = (props: Record<string, unknown>) =>
    mounted(DoseRail, props).get('.rail').attributes('aria-label')
  const cap = { maxPercent: 2, source: 'Annex III' }
  it('says the range and the cap in words', () => {
    expect(spoken({ dose: 1, usage: { min: 0.5, max: 2 }, cap })).toMatch(
      /usual range 0\.5.% to 2.%; legal limit 2.%, Annex III/,
    )
    expect(spoken({ dose: 1 })).toBe('usual range unknown')
    expect(spoken({ dose: 1, cap: { ...cap, open: true } })).toContain('may exceed the legal limit')
  })
  it('marks a dose over its cap, and not one whose make-up is open', () => {
    expect(mounted(DoseRail, { dose: 3, cap }).find('.dose.over').exists()).toBe(true)
    expect(mounted(DoseRail, { dose: 2, cap }).find('.dose.over').exists()).toBe(false)
    expect(
      mounted(DoseRail, { dose: 3, cap: { ...cap, open: true } })
        .find('.dose.over')
        .exists(),
    ).toBe(false)
  })
})

describe('what is known of a line', () => {
  const f: Formula = withKeys({
    ...toner('Ebb'),
    phases: [
      {
        name: 'Water',
        role: 'water',
        lines: [
          { material: 'aqua', fill: true },
          { material: 'moon dust', percent: 5 },
          { material: 'glycerin', percent: 5 },
        ],
      },
    ],
  })
  const a = derivedOf(f, catalogue).assessment
  it('is told in words beside its mark', () => {
    expect(mounted(KnownMark, { known: knownOf(a.lines[1]!) }).text()).toMatch(
      /^unknown: Not in the catalogue/,
    )
    expect(mounted(KnownMark, { known: knownOf(a.lines[2]!) }).text()).toBe('')
  })
  it('also of its acid or alkali, where there is enough of it to tell', () => {
    expect(phNotTold(a.lines[1]!, a.waterPercent)).toBe('unknown')
    expect(phNotTold(a.lines[2]!, a.waterPercent)).toBeNull()
    expect(phNotTold({ ...a.lines[1]!, percent: 0.1 }, a.waterPercent)).toBeNull()
  })
})

describe('the jar', () => {
  it('says its layers, and scales what is too much', () => {
    const layers = layersOf(toner('Ebb'))
    expect(layers).toEqual([{ role: 'water', letter: 'A', percent: 100 }])
    expect(lineCount(toner('Ebb'))).toBe(2)
    expect(mounted(Jar, { layers }).get('[role="img"]').attributes('aria-label')).toBe(
      'Jar: A 100.0 percent, water',
    )
    expect(mounted(Jar, { layers: [] }).get('[role="img"]').attributes('aria-label')).toBe('Jar: empty')
  })
})

describe('a finding', () => {
  const [finding] = derivedOf({ ...toner('Ebb'), targetPh: { min: 2, max: 3 } }, catalogue).findings
  it('says how grave it is, what and why, lights its lines, and offers what settles it', async () => {
    const lit: unknown[] = []
    const item = mounted(
      FindingItem,
      { finding, tried: () => true },
      { [sheetKey as symbol]: { highlight: (lines: unknown) => lit.push(lines) } },
    )
    expect(item.text()).toContain({ stop: 'Stop', check: 'Check', note: 'Note' }[finding!.severity])
    expect(item.text()).toContain(findingText(finding!).message)
    expect(item.text()).toContain(findingText(finding!).why)
    await item.trigger('mouseenter')
    await item.trigger('mouseleave')
    expect(lit).toEqual([finding!.lines, []])
    for (const button of item.findAll('button')) await button.trigger('click')
    expect(item.emitted('remedy')?.map(([r]) => r) ?? []).toEqual(finding!.remedies)
  })
})

describe('a reading', () => {
  const form = async () => {
    await saveFormula('a', toner('Ebb'), 0, AT)
    await useEditor().open('a')
    return mounted(ReadingForm, { id: 'ph', label: 'Measure the pH' })
  }
  it('between two colours of a strip is stored as a strip read there', async () => {
    const f = await form()
    await f.get('input').setValue('5-6')
    await f.trigger('submit')
    await useEditor().flush()
    expect((await getFormula('a'))!.formula.readings).toMatchObject([
      { ph: 5.5, method: 'strip', afterPhase: 'Water' },
    ])
    expect(f.get('input').element.value).toBe('')
  })
  it('that is none is asked back, and stays', async () => {
    const f = await form()
    await f.get('input').setValue('54')
    await f.trigger('submit')
    expect(f.get('[role="alert"]').text()).toContain('Did you mean 5.4?')
    expect(f.get('input').element.value).toBe('54')
    expect(useEditor().formula!.readings ?? []).toEqual([])
  })
})

describe('the first batch', () => {
  it('offers what one could make, and the way there', async () => {
    await saveFormula('a', toner('Ebb'), 0, AT)
    await useLibrary().refresh()
    const page = mounted(FirstBatch)
    expect(page.text()).toContain('Ebb')
    expect(page.get('a').attributes('href')).toBe('/bench/start?formula=a')
  })
  it('sends to the formulas where there is none', () => {
    expect(mounted(FirstBatch).text()).toContain('Go to your formulas')
  })
})

describe('a card', () => {
  it('tells what it is, is chosen, and is judged a little later', async () => {
    await saveFormula('a', toner('Ebb'), 0, AT)
    await useLibrary().refresh()
    const card = mounted(FormulaCard, { record: useLibrary().records[0], chosen: false })
    expect(card.text()).toContain('Toner · face')
    expect(card.text()).toContain('2 lines')
    expect(card.find('.counts').exists()).toBe(false)
    await eventually(() => expect(card.find('.counts').exists()).toBe(true))
    await card.get('input[type="checkbox"]').setValue(true)
    expect(card.emitted('choose')).toEqual([[true]])
    await flushPromises()
  })
})
