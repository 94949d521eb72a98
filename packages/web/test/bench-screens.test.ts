// @vitest-environment happy-dom
// A batch at the table, typed from the start to the record; what is on the screen against what is stored.
import 'fake-indexeddb/auto'
import type { Formula } from '@omblet/core'

import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import StartPage from '../src/features/bench/StartPage.vue'
import RecordPage from '../src/features/bench/record/RecordPage.vue'

import { saveFormula } from '../src/storage/formulas'
import { useBatch } from '../src/stores/batch'
import { useBatches } from '../src/stores/batches'
import { useLibrary } from '../src/stores/library'
import { useMaterials } from '../src/stores/materials'
import { freshBrowser } from './formula-room'
import { begunBatch, events, last, leaveTable, open, stood, title } from './table'
import { at } from './mounted'
import { buttons, field, key, part, press, send, shows, text, type, until } from './screen'
import { toner } from './toner'

const AT = '2026-11-26T08:00:00.000Z'
const formula: Formula = {
  ...toner('Quay water'),
  scaleResolutionGrams: 0.01,
  targetPh: { min: 5, max: 5.6 },
  phases: [
    ...toner('').phases,
    {
      id: 'last',
      name: 'Last',
      role: 'cool-down',
      lines: [{ id: 'pe', material: 'phenoxyethanol-ethylhexylglycerin', percent: 1 }],
    },
  ],
}
beforeEach(freshBrowser)
afterEach(leaveTable)
const begun = (step: RegExp, grams: readonly number[] = []) => begunBatch(formula, step, grams)

describe('starting a batch', () => {
  it('freezes the formula at the size that is typed, and remembers who made it', async () => {
    await saveFormula('f', formula, 0, AT)
    await Promise.all([useMaterials().load(), useLibrary().start()])
    const page = await open('/bench/start?formula=f', StartPage)
    await until(() => field('Batch').value !== '')
    await type('Batch', '250')
    await type('Made by', 'Bo')
    await press('Start batch')
    await until(() => at(page).startsWith('/bench/') && !at(page).includes('start'))
    const id = at(page).split('/')[2]!
    const [start] = await events(id)
    expect(start).toMatchObject({ type: 'start', formula: { name: 'Quay water', batchGrams: 250 } })
    const { plan } = await stood(id)
    expect(plan.a.lines.reduce((sum, l) => sum + l.grams, 0)).toBeCloseTo(250, 6)
    expect(useBatches().who).toBe('Bo')
  })
  it('does not begin under a code that is taken, and says so', async () => {
    await begun(/Clean/)
    await saveFormula('f', formula, 0, AT)
    await useLibrary().start()
    await open('/bench/start?formula=f', StartPage)
    await until(() => document.querySelector('#batch-code, input[placeholder^="QW-"]') !== null)
    await type('Batch code', 'qw-1')
    await shows('This batch code is already used.')
    await press('Start batch').catch(() => undefined)
    expect(useBatches().heads).toHaveLength(1)
  })
})

describe('weighing', () => {
  it('records what is typed to the line that stands there, and goes on to the next', async () => {
    const { id } = await begun(/^Weigh A/)
    expect(text()).toContain('Distilled water')
    await type('What the scale shows', '94,02')
    await send('What the scale shows')
    expect(await last(id)).toMatchObject({ type: 'weigh', line: 0, grams: 94.02 })
    await shows('Glycerin')
    expect(field('What the scale shows').value).toBe('')
    await type('What the scale shows', '5')
    await send('What the scale shows')
    await shows('All weighed: 99.02 g.')
    expect((await events(id)).filter((e) => e.type === 'weigh')).toHaveLength(2)
  })
  it('takes less as a part and says what is left, and takes an entry back', async () => {
    const { id } = await begun(/^Weigh A/)
    await type('What the scale shows', '50')
    await send('What the scale shows')
    await shows('44.00')
    await press(/^Undo/)
    await until(() => useBatch().state!.lines[0]!.weighed === 0)
    expect((await last(id)).type).toBe('undo')
  })
  it('says no to nothing, and to a weight that is no number', async () => {
    const { id } = await begun(/^Weigh A/)
    const before = (await events(id)).length
    await send('What the scale shows')
    expect(part('[role="status"]', /\w/).textContent).toMatch(/weight|scale|Type/i)
    await type('What the scale shows', 'a lot')
    expect(part('[role="alert"]', /./).textContent).toMatch(/in a unit of weight or volume, such as/)
    expect(await events(id)).toHaveLength(before)
  })
  it('stops at an over-pour with ways out; taking out is an entry of its own', async () => {
    const { id } = await begun(/^Weigh A/)
    await press('Glycerin')
    await type('What the scale shows', '9')
    await send('What the scale shows')
    await shows('4.00 g too much Glycerin')
    expect(buttons(/^(Choose|Remove): /).length).toBeGreaterThan(1)
    await press(/^Remove: /)
    await type('Removed', '3.5')
    await send('Removed')
    expect(await last(id)).toMatchObject({ type: 'take-out', line: 1, grams: 3.5 })
    const state = await stood(id)
    expect(state.lines[1]!.weighed).toBeCloseTo(5.5, 6)
  })
  it('makes the batch larger where that is chosen, so that every percent is as it was', async () => {
    const { id } = await begun(/^Weigh A/)
    await press('Glycerin')
    await type('What the scale shows', '9')
    await send('What the scale shows')
    await press(/^Choose: .*(larger|whole batch|Scale|bigger)/i)
    const state = await stood(id)
    expect(state.lines[0]!.target / state.lines[1]!.target).toBeCloseTo(94 / 5, 1)
    expect(state.lines[1]!.target).toBeCloseTo(9, 1)
  })
})

describe('the steps', () => {
  it('go back with the button and the pedal, and forward only when nothing is left to weigh', async () => {
    const { id } = await begun(/^Weigh A/)
    await key(document.body, 'PageDown')
    expect(title()).toMatch(/^Weigh A/)
    await type('What the scale shows', '94')
    await key(document.body, 'PageDown')
    await until(() => useBatch().state!.lines[0]!.weighed === 94)
    await type('What the scale shows', '5')
    await key(document.body, 'PageDown')
    await until(() => text().includes('All weighed'))
    await key(document.body, 'PageDown')
    await until(() => !/^Weigh A/.test(title()))
    await press('Back')
    await until(() => /^Weigh A/.test(title()))
    expect((await last(id)).type).toBe('step')
  })
  it('are left out with a reason, which stands in what went otherwise', async () => {
    const { id } = await begun(/Clean/)
    await press('Skip')
    await until(() => document.querySelector('[role="dialog"]') !== null)
    await type('Reason', 'done last night')
    await send('Reason')
    await until(() => !/Clean/.test(title()))
    expect(await last(id)).toMatchObject({ type: 'step', how: 'skip', reason: 'done last night' })
  })
})

describe('the pH', () => {
  it('is read, dosed in drops, charged against the water, and said to be there', async () => {
    const { id } = await begun(/pH/)
    await until(() => field('pH'))
    await type('pH', '40')
    await send('pH')
    expect(part('[role="alert"]', /./).textContent).toMatch(/pH|14/)
    await type('pH', '6.4')
    await send('pH')
    expect(await last(id)).toMatchObject({ type: 'ph', ph: 6.4 })
    await shows('Adjust the pH')
    await type('or drops', '3')
    await press(/^Record 0\.\d/)
    await last(id)
    expect((await events(id)).slice(-2).map((e) => e.type)).toEqual(['dose', 'timer'])
    expect(document.querySelector('[data-testid="charged"]')!.textContent).toMatch(
      /charged against distilled water, q.s.: 94.00 → 93.86 %/,
    )
    await type('pH', '5.3')
    await send('pH')
    await shows('On target.')
  })
})

describe('the end', () => {
  it('asks what was filled, and the record shows target and weighed of every line with what went otherwise', async () => {
    const { id, page } = await begun(/Label/, [94.02, 5, 1])
    await press('Done')
    await shows('All steps done')
    await type('Total filled', '120')
    await send('Total filled')
    expect(part('[role="alert"]', /./).textContent).toMatch(/^More than the batch/)
    await type('Total filled', '97')
    await type('Containers', '2')
    await send('Total filled')
    await until(() => at(page) === `/bench/${id}/record`)
    expect(await last(id)).toMatchObject({ type: 'finish', outcome: 'kept', filledGrams: 97, containers: 2 })
    await leaveTable()
    await open(`/bench/${id}/record`, RecordPage, { id })
    await shows('Actual weights')
    const row = part('tr', 'Distilled water').textContent.replace(/\s+/g, ' ')
    expect(row).toContain('94.00')
    expect(row).toContain('94.02')
    expect(buttons('Done')).toEqual([])
  })
  it('keeps a batch that is thrown away with its reason', async () => {
    const { id, page } = await begun(/Label/)
    await press('Done')
    await shows('All steps done')
    await press('Discard')
    await type('Reason', 'a gull was in it')
    await press('Finish batch')
    await until(() => at(page) === `/bench/${id}/record`)
    expect(await last(id)).toMatchObject({ type: 'finish', outcome: 'discarded', reason: 'a gull was in it' })
  })
})
