// @vitest-environment happy-dom
// The leaves of a formula as they are used: what they say, and what of it is stored.
import 'fake-indexeddb/auto'
import { useWorkersHere } from './workers' // before what it stands in for
import { standingOf } from '@omblet/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import BalanceBody from '../src/features/formula/balance/BalanceBody.vue'
import CostBody from '../src/features/formula/cost/CostBody.vue'
import ChooserCard from '../src/features/formula/emulsion/ChooserCard.vue'
import MethodBody from '../src/features/formula/method/MethodBody.vue'
import { takeInDemoShelf } from '../src/stores/demo-shelf'
import { useEditor } from '../src/stores/editor'
import { useMaterials } from '../src/stores/materials'
import { demo, freshBrowser, inRoom, storedFormula } from './formula-room'
import { mounted } from './mounted'
import { buttons, part, press, send, settled, shows, text, type, until } from './screen'

vi.mock('highs/runtime?url', async () => ({
  default: (await import('node:module')).createRequire(import.meta.url).resolve('highs/runtime'),
}))

let page: ReturnType<typeof mounted> | null = null
const open = async (name: string, leaf: Component) => {
  await inRoom(demo(name))
  page = mounted(leaf)
  await settled()
}
beforeEach(async () => {
  useWorkersHere()
  await freshBrowser()
})
afterEach(async () => {
  await useEditor().flush()
  page?.unmount()
  page = null
  document.body.replaceChildren()
})

describe('balance', () => {
  it('moves the oil phase to what is asked, keeps what was chosen for its work, and is undone in one', async () => {
    await open('Harbour Fog', BalanceBody)
    const before = structuredClone((await storedFormula()).phases)
    await type('Oil phase, percent', '30')
    await until(() => buttons('Apply changes').length === 1)
    await press('Apply changes')
    const editor = useEditor()
    expect(
      standingOf(editor.assessment!, { catalogue: useMaterials().catalogue, priceOf: () => null })
        .oilPhasePercent,
    ).toBeCloseTo(30, 1)
    const of = (phases: typeof before, id: string) =>
      phases.flatMap((p) => p.lines).find((l) => l.material === id)?.percent
    for (const kept of ['niacinamide', 'panthenol'])
      expect(of(editor.formula!.phases, kept)).toBe(of(before, kept))
    editor.undo()
    expect((await storedFormula()).phases).toEqual(before)
  })
  it('holds a line that is locked', async () => {
    await open('Harbour Fog', BalanceBody)
    const butter = () =>
      useEditor()
        .formula!.phases.flatMap((p) => p.lines)
        .find((l) => l.material === 'butyrospermum-parkii-butter')!.percent
    const was = butter()
    part('li', 'shea butter').querySelector<HTMLInputElement>('input[type="checkbox"]')!.click()
    await type('Oil phase, percent', '30')
    await until(() => buttons('Apply changes').length === 1)
    await press('Apply changes')
    expect(butter()).toBe(was)
  })
  it('says what cannot be read and asks nothing of anybody meanwhile', async () => {
    await open('Harbour Fog', BalanceBody)
    await type('Oil phase, percent', 'much')
    expect(part('[role="alert"]', /./).textContent).toMatch(/number/)
    expect(buttons('Apply changes')).toEqual([])
  })
  it('names the wishes that cannot be met together', async () => {
    await open('Harbour Fog', BalanceBody)
    await type('Oil phase, percent', '2')
    await shows(/cannot|no way/i)
    expect(buttons('Apply changes')).toEqual([])
  })
})

describe('the chooser of emulsifiers', () => {
  it('says for and against, and what taking one brings; taking it keeps the phase and is undone', async () => {
    await open('Harbour Fog', ChooserCard)
    const was = (await storedFormula()).phases
    await press(/^(?!Olivate).*\d+ %|^(?!Olivate)\S.*\d %$/)
    expect(document.querySelectorAll('.detail')).toHaveLength(1)
    await press(/^Use, /)
    const now = useEditor().formula!
    expect(now.phases.flatMap((p) => p.lines.map((l) => l.material))).not.toContain('olivate-emulsifier')
    expect(now.phases.map((p) => p.lines.length)).toEqual(was.map((p) => p.lines.length))
    useEditor().undo()
    expect((await storedFormula()).phases).toEqual(was)
  })
})

describe('the method', () => {
  it('takes words, minutes and a note for a step, marks it as changed, and lets it be as it was', async () => {
    await open('Harbour Fog', MethodBody)
    const name = (document.querySelector('ol li strong')!.textContent ?? '').trim()
    await press(`Change ${name}`)
    await type('Hands-on time, minutes', 'a while')
    await send('Hands-on time, minutes')
    expect((await storedFormula()).method).toBeUndefined()
    await type('Step', 'Wash with sea soap')
    await type('Hands-on time, minutes', '7')
    await type('Note', 'the blue bowl')
    await send('Hands-on time, minutes')
    await shows('the blue bowl')
    expect(JSON.stringify((await storedFormula()).method)).toContain('Wash with sea soap')
    await press('Change Wash with sea soap')
    await press('Reset')
    expect(text()).not.toContain('the blue bowl')
    expect((await storedFormula()).method?.steps ?? []).toEqual([])
  })
  it('moves a step, takes one out and puts it back', async () => {
    await open('Harbour Fog', MethodBody)
    const names = () =>
      [...document.querySelectorAll('section.steps ol > li strong')].map((e) => e.textContent!.trim())
    const [first, second, third] = names()
    await press(`Move ${first!} down`)
    expect(names().slice(0, 2)).toEqual([second, first])
    await press(`Change ${third!}`)
    await press('Remove')
    await shows(`Removed: ${third!}`)
    expect(names()).not.toContain(third)
    await press('Restore')
    expect(names()).toContain(third)
    await press('Reset method')
    expect(names().slice(0, 3)).toEqual([first, second, third])
    expect((await storedFormula()).method).toBeUndefined()
  })
  it('adds a step of one’s own, which opens to be written', async () => {
    await open('Harbour Fog', MethodBody)
    await press('Add step')
    await type('Step', 'Ring the bell')
    await send('Step')
    await shows('your own')
    expect(JSON.stringify((await storedFormula()).method)).toContain('Ring the bell')
  })
})

describe('cost', () => {
  it('has no figure for what has no price, says so, and offers a shelf to try', async () => {
    await open('Harbour Fog', CostBody)
    expect(buttons('Load example stock')).toHaveLength(1)
    expect(text()).not.toContain('NaN')
  })
  it('counts what one types beside the materials into a container, and keeps it with the formula', async () => {
    await open('Harbour Fog', CostBody)
    await takeInDemoShelf()
    await settled()
    await shows('By phase')
    const each = () => part('dl > div', 'A container').querySelector('dd.mono')!.textContent!
    await type('Containers', '5')
    await type('One label', '0')
    const bare = each()
    await type('One label', '0.50')
    expect(each()).not.toBe(bare)
    expect(Number.parseFloat(each()) - Number.parseFloat(bare)).toBeCloseTo(0.5, 1)
    expect((await storedFormula()).costing).toMatchObject({ containers: 5, labelPrice: 0.5 })
    await type('Margin', '120')
    expect(part('[role="alert"]', /./).textContent).toMatch(/between 0 and 99/)
    expect((await storedFormula()).costing).not.toHaveProperty('marginPercent')
  })
})
