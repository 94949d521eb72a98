// @vitest-environment happy-dom
// Opening a batch from an address: it is here, it is not, or the store refuses; and what its record shows then.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { flushPromises } from '@vue/test-utils'
import { effectScope, ref } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useOpenBatch } from '../src/composables/open-batch'
import RecordPage from '../src/features/bench/record/RecordPage.vue'
import { closeStore } from '../src/storage/db'
import { useBatch } from '../src/stores/batch'
import { mounted, newPage } from './mounted'
import { eventually } from './patience'
import { toner } from './toner'

beforeEach(async () => {
  vi.restoreAllMocks()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
})
const begin = () =>
  useBatch().begin(
    { code: 'QW-1', name: 'Quay water', formulaId: null, who: 'Ina' },
    { type: 'start', formula: toner('Quay water'), version: null },
  )
const openedBy = (id: () => string, hooks: Parameters<typeof useOpenBatch>[1] = {}) =>
  effectScope(true).run(() => useOpenBatch(id, hooks))!

describe('a batch from its address', () => {
  it('is opened, names the page, and tells what comes next', async () => {
    const id = await begin()
    newPage()
    const order: string[] = []
    const { phase, batch } = openedBy(() => id, {
      before: () => order.push('before'),
      opened: (x) => order.push(x),
    })
    expect(phase.value).toBe('opening')
    await eventually(() => expect(phase.value).toBe('here'))
    expect(order).toEqual(['before', id])
    expect(batch.info!.code).toBe('QW-1')
    expect(document.title).toBe('QW-1 Quay water – Omblet')
  })
  it('follows the address, and says what is not here', async () => {
    const id = await begin()
    const address = ref('nowhere')
    const opened = vi.fn()
    const { phase, refused } = openedBy(() => address.value, { opened })
    await eventually(() => expect(phase.value).toBe('missing'))
    expect([refused.value, opened.mock.calls]).toEqual(['', []])
    address.value = id
    await eventually(() => expect(phase.value).toBe('here'))
  })
  it('says why where the store refuses', async () => {
    await closeStore()
    vi.spyOn(globalThis.indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('no', 'SecurityError')
    })
    const { phase, refused } = openedBy(() => 'x')
    await eventually(() => expect(phase.value).toBe('missing'))
    expect(refused.value).toMatch(/blocks storage/)
  })
})

describe('the record of a batch', () => {
  it('shows what was weighed, offers the table while it is made, and says what is not here', async () => {
    const id = await begin()
    const batch = useBatch()
    await batch.append({ type: 'weigh', line: 1, grams: 5.02 })
    const page = mounted(RecordPage, { id })
    await eventually(() => expect(page.text()).toContain('Actual weights'))
    expect(page.text()).toContain('QW-1')
    expect(page.text()).toMatch(/5\.02/)
    expect(page.findAll('button').map((b) => b.text())).toContain('Resume batch')
    const lost = mounted(RecordPage, { id: 'nowhere' })
    await eventually(() => expect(lost.text()).toContain('This batch is not here'))
    await flushPromises()
  })
})
