// @vitest-environment happy-dom
// A cream at the table: heated, cooled, weighed for the water that left, and looked at when something is wrong.
import 'fake-indexeddb/auto'
import { withKeys, type Formula } from '@omblet/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useBatch } from '../src/stores/batch'
import { freshBrowser } from './formula-room'
import { button, buttons, field, part, press, send, settled, shows, text, type, until } from './screen'
import { begunBatch, events, last, leaveTable, stood, title } from './table'

const CREAM: Formula = withKeys({
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Slack cream',
  product: { kind: 'cream', site: 'hands', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  scaleResolutionGrams: 0.01,
  method: { choices: { evaporation: 'weigh', heating: 'melt', cooling: 'bath' } },
  phases: [
    {
      name: 'Water',
      role: 'water',
      heatToC: 72,
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', percent: 4 },
      ],
    },
    {
      name: 'Oil',
      role: 'oil',
      heatToC: 72,
      lines: [
        { material: 'caprylic-capric-triglyceride', percent: 10 },
        { material: 'olivate-emulsifier', percent: 4 },
      ],
    },
    {
      name: 'Cool-down',
      role: 'cool-down',
      belowC: 40,
      lines: [{ material: 'phenoxyethanol-ethylhexylglycerin', percent: 1 }],
    },
  ],
})

beforeEach(async () => {
  await freshBrowser()
  vi.useRealTimers()
})
afterEach(leaveTable)
const begun = (step: RegExp) => begunBatch(CREAM, step)
const thermometer = async (celsius: string) => {
  await type('The thermometer shows', celsius)
  await send('The thermometer shows')
}

describe('heating', () => {
  it('says when it is hot enough, and takes no temperature that cannot be', async () => {
    const { id } = await begun(/^Heat A/)
    await until(() => field('The thermometer shows'))
    await thermometer('900')
    expect(part('[role="alert"]', /./).textContent).toMatch(/between|temperature/)
    await thermometer('55')
    expect(await last(id)).toMatchObject({ type: 'temperature', celsius: 55 })
    expect(text()).not.toContain('Temperature reached.')
    await thermometer('72,5')
    await shows('Temperature reached.')
  })
})

describe('cooling', () => {
  it('tells from its own readings when it is cool, within a band, and that it is', async () => {
    const { id } = await begun(/^Cool below/)
    await until(() => field('The thermometer shows'))
    const start = Date.now()
    vi.useFakeTimers({ toFake: ['Date'], now: start })
    try {
      for (const [minutes, celsius] of [
        [0, '68'],
        [8, '58'],
        [16, '50'],
      ] as const) {
        vi.setSystemTime(start + minutes * 60_000)
        await thermometer(celsius)
        await until(() => useBatch().pending.length === 0)
      }
      await until(() => document.querySelector('[data-testid="cool-left"]') !== null)
      const band = /likely ([\d.]+)(?: \w+)? to ([\d.]+)/.exec(text().slice(text().indexOf('Check again')))!
      const left = Number.parseFloat(document.querySelector('[data-testid="cool-left"]')!.textContent!)
      expect(Number(band[1])).toBeLessThanOrEqual(left)
      expect(Number(band[2])).toBeGreaterThanOrEqual(left)
      await press('Set timer')
      expect(await last(id)).toMatchObject({ type: 'timer', title: expect.stringContaining('40') })
      vi.setSystemTime(start + 40 * 60_000)
      await thermometer('38')
      await shows('continue.')
      expect(buttons('Set timer')).toEqual([])
    } finally {
      vi.useRealTimers()
    }
  })
  it('keeps how it stands and how warm it is around', async () => {
    const { id } = await begun(/^Cool below/)
    // the method of this cream cools in cold water
    await until(() => field('Water temperature'))
    await press('In air')
    expect(await last(id)).toMatchObject({ type: 'cooling', way: 'air' })
    await type('Room', '24')
    field('Room').dispatchEvent(new FocusEvent('focusout', { bubbles: true }))
    expect(await last(id)).toMatchObject({ type: 'room', celsius: 24 })
  })
})

describe('the water that left', () => {
  it('is told by the scale, put back as far as it is wanted, and counted in the batch', async () => {
    const { id } = await begun(/^Make up|water that left/)
    await until(() => document.querySelector('[data-testid="expected"]') !== null)
    await type('Tare weight', '80')
    await type('The batch with its beaker', '176')
    await send('The batch with its beaker')
    await shows(/lost to evaporation/)
    const before = await stood(id)
    const wanted = Number.parseFloat(document.querySelector('[data-testid="put-back"]')!.textContent!)
    expect(wanted).toBeCloseTo(before.totalTarget - 1 - 96, 0)
    await type('Water added back', String(wanted))
    await send('Water added back')
    expect(await last(id)).toMatchObject({ type: 'water', grams: wanted })
    expect((await stood(id)).lines[0]!.weighed).toBe(before.lines[0]!.weighed)
  })
})

describe('something looks wrong', () => {
  it('offers what can be seen by now, with causes of this batch, and is written down', async () => {
    const { id } = await begun(/^Cool below/)
    await press('Something looks wrong')
    await until(() => document.querySelectorAll('.looks button').length > 0)
    const grains = buttons(/[Gg]rain/)[0]!
    grains.click()
    await settled()
    await shows('How to check:')
    expect(text()).toContain('When to discard:')
    await press('Add to record')
    expect(await last(id)).toMatchObject({ type: 'note' })
    expect(button('Added to record').disabled).toBe(true)
  })
  it('has nothing to offer before anything was weighed', async () => {
    await begun(/Clean/)
    await press('Something looks wrong')
    await shows('The vessel is still empty.')
  })
})

describe('a note', () => {
  it('is kept with the step, and an empty one is not', async () => {
    const { id } = await begun(/^Heat A/)
    await press(/^More|^Menu/)
    await press(/^Note/)
    await until(() => field('Note'))
    expect(button('Keep').disabled).toBe(true)
    await type('Note', 'smells of the sea')
    await send('Note')
    const note = await last(id)
    expect(note).toMatchObject({ type: 'note', text: 'smells of the sea' })
    expect(note.step).toBe((await stood(id)).plan.steps[(await stood(id)).at]!.key)
  })
})

describe('a pause', () => {
  it('keeps everything, and goes on where it was', async () => {
    const { id } = await begun(/^Heat A/)
    const was = title()
    useBatch().enter({ type: 'pause', reason: 'the ferry' })
    await shows('the ferry')
    expect(buttons('Done')).toEqual([])
    await press('Resume')
    await until(() => document.querySelector('article h2') !== null)
    expect(title()).toBe(was)
    await last(id)
    expect((await events(id)).slice(-2).map((e) => e.type)).toEqual(['pause', 'resume'])
  })
})
