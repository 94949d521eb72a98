// The shelf with two tabs, few columns, a full disk, and an older store: nothing is overwritten unseen.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { openDB } from 'idb'
import { beforeEach, afterEach, describe, expect, it, vi } from 'vitest'
import { createPinia, setActivePinia } from 'pinia'
import {
  catalogue,
  headOfFile,
  lotRows,
  materialRows,
  ownMaterial,
  readTable,
  type Cell,
  type BatchHead,
  type BatchEvent,
  type Lot,
} from '@omblet/core'
import { appendEvent } from '../src/storage/batches'
import { listBin, takeFromBin } from '../src/storage/bin'
import { closeStore } from '../src/storage/db'
import { takeInBatch } from '../src/storage/take-in'
import { UPGRADES, type OmbletDb } from '../src/storage/schema'
import {
  changeContainer,
  changeLot,
  deleteLot,
  getLot,
  listContainers,
  listLots,
  saveContainer,
  saveLot,
  saveMaterial,
} from '../src/storage/shelf'
import { takeRows } from '../src/storage/shelf-rows'
import { changeSetting, Tools } from '../src/storage/settings'
import { collectBackup } from '../src/storage/backup'
import { saveFormula } from '../src/storage/formulas'
import { useBin } from '../src/stores/bin'
import { useLots } from '../src/stores/lots'
import { toner } from './toner'

const AT = '2026-11-26T08:00:00.000Z'
beforeEach(async () => {
  vi.restoreAllMocks()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
})
afterEach(() => vi.restoreAllMocks())

function readWholeTable(cells: (readonly Cell[])[], context: Parameters<typeof readTable>[1]) {
  const steps = readTable(cells, context)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
const lot: Lot = {
  id: 'l',
  material: 'glycerin',
  leftGrams: 400,
  packGrams: 500,
  price: 12,
  postage: 2,
  supplier: 'Harbour',
  batch: 'G-7',
  bought: '2026-01-02',
  expires: '2027-01-02',
  note: 'opened by Bo',
  madeFrom: ['l0'],
  off: 'smells',
  analysis: [{ inci: 'Linalool', percent: 2 }],
}
const start: BatchEvent = {
  n: 0,
  at: AT,
  step: null,
  type: 'start',
  formula: toner('Quay water'),
  version: null,
}
const weighed = (n: number, grams: number): BatchEvent => ({
  n,
  at: `2026-11-26T08:00:0${n}.000Z`,
  step: null,
  type: 'weigh',
  line: 0,
  grams,
  lot: 'l',
})
const head = (events: BatchEvent[]): BatchHead =>
  headOfFile({ batch: { id: 'b', code: 'QW', name: 'Q', formulaId: null, who: '' }, events }, catalogue)
async function weigh(grams: number, n = 1) {
  if (n === 1) await appendEvent(head([start]), start, null)
  await appendEvent(head([start]), weighed(n, grams), { lot: 'l', grams })
}

describe('a table with few columns', () => {
  const context = { catalogue, lots: [lot], own: [], makeId: () => 'new' }
  it('leaves everything else of a lot as it is, and names each field that it changes', () => {
    const read = readWholeTable(
      [
        ['id', 'material', 'left_grams'],
        ['l', 'glycerin', '380'],
      ],
      context,
    )
    expect(read.rows[0]).toMatchObject({
      status: 'changes',
      changes: [{ field: 'leftGrams', from: 400, to: 380 }],
    })
    expect(read.rows[0]!.item).toEqual({ ...lot, leftGrams: 380 })
    const emptied = readWholeTable(
      [
        ['id', 'material', 'left_grams', 'price'],
        ['l', 'glycerin', '', ''],
      ],
      context,
    )
    expect(emptied.rows[0]!.changes).toEqual([{ field: 'price', from: 12, to: undefined }])
  })
  it('that is whole comes back as it went, column by column', () => {
    const cells = lotRows([lot]).map((row) => row.map((c) => c ?? null))
    expect(readWholeTable(cells, context).rows[0]).toMatchObject({ status: 'same', changes: [] })
    for (const without of cells[0]!.keys()) {
      const fewer = cells.map((row) => row.filter((_, i) => i !== without))
      const name = cells[0]![without]
      // without an id it is another lot; without its material it is no table of lots
      if (name === 'id' || name === 'material' || name === 'left_grams') continue
      expect(readWholeTable(fewer, context).rows[0], String(name)).toMatchObject({ status: 'same' })
    }
  })
  it('leaves INCI, pH, parts and notes of an own material', () => {
    const own = {
      ...ownMaterial(
        { name: 'Kelp tea', inci: 'Aqua', functions: ['humectant'], solubility: 'water', phase: 'water' },
        catalogue,
      ),
      inci: ['Aqua', 'Laminaria Digitata Extract'],
      ph: { min: 4, max: 6, grade: 'prefers' as const },
      parts: [
        { inci: 'Aqua', percent: 98 },
        { inci: 'Glycerin', percent: 2 },
      ],
      note: 'stirs well',
    }
    const here = { ...context, own: [own] }
    const read = readWholeTable(
      [
        ['name', 'usage_max', 'usage_min'],
        ['Kelp tea', '20', '1'],
      ],
      here,
    )
    expect(read.refused).toEqual([])
    expect(read.rows[0]).toMatchObject({ status: 'changes', changes: [{ field: 'usage' }] })
    expect(read.rows[0]!.item).toMatchObject({ inci: own.inci, ph: own.ph, parts: own.parts, note: own.note })
    const cells = materialRows([own]).map((row) => row.map((c) => c ?? null))
    expect(readWholeTable(cells, here).rows[0]).toMatchObject({ status: 'same' })
  })
  it('is taken back whole by one undo, and what was weighed meanwhile stays weighed', async () => {
    await saveLot(lot, AT)
    const next = { ...lot, leftGrams: 300, supplier: 'Pier' }
    await weigh(50)
    const back = await takeRows(
      {
        materials: [],
        containers: [],
        lots: [
          { was: lot, next },
          { was: null, next: { ...lot, id: 'l2' } },
        ],
      },
      AT,
    )
    expect(await getLot('l')).toMatchObject({ leftGrams: 250, supplier: 'Pier', note: 'opened by Bo' })
    await weigh(20, 2)
    await takeRows(back, AT)
    expect(await getLot('l')).toEqual({ ...lot, leftGrams: 330 })
    expect((await listLots()).map((l) => l.id)).toEqual(['l'])
  })
})

describe('a dialog that was opened earlier', () => {
  it('saves its note, and not what was left when it was opened', async () => {
    await saveLot({ ...lot, leftGrams: 100 }, AT)
    const read = (await getLot('l'))!
    await weigh(50)
    expect(await changeLot(read, { ...read, note: 'third shelf' }, AT)).toMatchObject({
      value: { leftGrams: 50, note: 'third shelf' },
    })
    expect(await getLot('l')).toMatchObject({ leftGrams: 50, note: 'third shelf', supplier: 'Harbour' })
  })
  it('tells of a field that another tab changed meanwhile, stores nothing, and puts its own there when it is saved again', async () => {
    await saveLot(lot, AT)
    const read = (await getLot('l'))!
    await changeLot(read, { ...read, supplier: 'Pier' }, AT)
    const saved = await changeLot(read, { ...read, supplier: 'Quay', note: 'mine' }, AT)
    expect(saved).toMatchObject({ clashes: [{ field: 'supplier', from: 'Pier', to: 'Quay' }] })
    expect(await getLot('l')).toMatchObject({ supplier: 'Pier', note: 'opened by Bo' })
    await changeLot({ ...read, supplier: 'Pier' }, { ...read, supplier: 'Quay', note: 'mine' }, AT)
    expect(await getLot('l')).toMatchObject({ supplier: 'Quay', note: 'mine' })
  })
  it('of containers counts from what is there, and of the meter leaves the weight of a drop', async () => {
    const jar = { id: 'j', name: 'Jar', kind: 'jar' as const, nominalMl: 60, left: 10 }
    await saveContainer(jar, AT)
    await appendEvent(
      { id: 'b' } as BatchHead,
      { n: 0, at: AT, step: null, type: 'finish', outcome: 'kept', containers: 4, container: 'j' },
      null,
    )
    await changeContainer(jar, { ...jar, price: 2 }, AT)
    expect(await listContainers()).toEqual([{ ...jar, price: 2, left: 6 }])
    const tools = Tools.parse({ calibration: null, dropGrams: null })
    await changeSetting('tools', () => ({ ...tools, dropGrams: 0.04 }))
    await changeSetting('tools', (here) => ({ ...tools, ...here, currency: '€' }))
    expect(await changeSetting('tools', (here) => here!)).toMatchObject({ dropGrams: 0.04, currency: '€' })
  })
})

describe('what is left', () => {
  it('of an older store is what it was, with what its batches took, so that it can be taken back', async () => {
    const old = await openDB<OmbletDb>('omblet', 8, {
      async upgrade(db, _from, _to, tx) {
        for (const upgrade of UPGRADES.slice(0, 8)) await upgrade(db, tx)
      },
    })
    await old.put('lots', { ...lot, leftGrams: 320 } as never)
    await old.put('containers', { id: 'j', name: 'Jar', kind: 'jar', nominalMl: 60, left: 7 } as never)
    await old.put('batches', head([start]))
    await old.put('events', { batch: 'b', n: 0, event: start })
    await old.put('events', { batch: 'b', n: 1, event: weighed(1, 100), taken: 80 } as never)
    old.close()
    expect(await listLots()).toEqual([{ ...lot, leftGrams: 320 }])
    expect((await listContainers())[0]!.left).toBe(7)
    await appendEvent(
      head([start]),
      { n: 2, at: AT, step: null, type: 'undo', of: 1 },
      { lot: 'l', grams: -100, back: 1 },
    )
    expect((await getLot('l'))!.leftGrams).toBe(400)
  })
  it('is not made more by taking back what another machine weighed', async () => {
    await saveLot(lot, AT)
    await takeInBatch({
      batch: { id: 'b', code: 'QW', name: 'Q', formulaId: null, who: '' },
      events: [start, weighed(1, 90)],
      photos: [],
    })
    await appendEvent(
      head([start]),
      { n: 2, at: AT, step: null, type: 'undo', of: 1 },
      { lot: 'l', grams: -90, back: 1 },
    )
    expect((await getLot('l'))!.leftGrams).toBe(400)
  })
  it('comes back from the bin with what was taken, so that a weighing can still be taken back', async () => {
    await saveLot(lot, AT)
    await weigh(50)
    await takeFromBin(await deleteLot((await getLot('l'))!, 'Lot', AT))
    await appendEvent(
      head([start]),
      { n: 2, at: AT, step: null, type: 'undo', of: 1 },
      { lot: 'l', grams: -50, back: 1 },
    )
    expect((await getLot('l'))!.leftGrams).toBe(400)
  })
})

describe('an export of chosen formulas', () => {
  it('holds only what they are made of, through stocks, and nothing else of the maker', async () => {
    const own = (name: string, parts?: { material: string; percent: number }[]) =>
      ownMaterial(
        {
          name,
          inci: 'Aqua',
          functions: ['humectant'],
          solubility: 'water',
          phase: 'water',
          ...(parts ? { parts } : {}),
        },
        catalogue,
      )
    const [tea, blend, secret] = [
      own('Kelp tea'),
      own('Kelp blend', [{ material: 'Kelp tea', percent: 100 }]),
      own('Secret scent'),
    ]
    for (const m of [tea, blend, secret]) await saveMaterial(m)
    await saveLot(lot, AT)
    const formula = toner('Quay water')
    formula.phases[0]!.lines.push({ material: blend!.id, percent: 3 })
    await saveFormula('f', formula, 0, AT)
    const some = await collectBackup(AT, ['f'])
    expect(some.materials.map((m) => m.name).sort()).toEqual(['Kelp blend', 'Kelp tea'])
    expect([some.lots, some.stock, some.batches, some.trials, some.settings]).toEqual([[], [], [], [], {}])
    expect((await collectBackup(AT)).materials).toHaveLength(3)
  })
})

describe('deleting on a full disk', () => {
  it('says so, keeps the thing, and deletes it for good when that is wanted', async () => {
    await saveLot(lot, AT)
    const [lots, bin] = [useLots(), useBin()]
    await lots.load()
    const put = IDBObjectStore.prototype.put
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (this.name === 'bin') throw new DOMException('no room', 'QuotaExceededError')
      return put.apply(this, args)
    })
    expect(await lots.remove(lot, 'Lot of glycerin')).toBeNull()
    expect(lots.lots.map((l) => l.id)).toEqual(['l'])
    expect(bin.refused).toMatchObject({ name: 'Lot of glycerin', why: 'there is no room for it in the bin.' })
    await bin.refused!.forGood!()
    expect(bin.refused).toBeNull()
    expect(await listLots()).toEqual([])
    expect(await listBin()).toEqual([])
  })
})
