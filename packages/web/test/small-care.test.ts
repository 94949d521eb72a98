// @vitest-environment happy-dom
// Small things that took work away or stood in its way.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { catalogue, observationsToday, makeSearch, ownMaterial, SimBench, withOwn } from '@omblet/core'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Router } from 'vue-router'
import { ref } from 'vue'
import { usePhoto } from '../src/features/stability/use-photo'
import { photosOf } from '../src/storage/batches'
import { chunkLoadError, watchParts } from '../src/app/update'
import { closeStore } from '../src/storage/db'
import { saveBackup, takeFile } from '../src/storage/files'
import { listFormulas, saveFormula } from '../src/storage/formulas'
import { useMaterials } from '../src/stores/materials'
import { useLibrary } from '../src/stores/library'
import { toner } from './toner'

/** How a picture is made small, which takes as long as it takes. */
const slowly = vi.hoisted(() => ({ picture: (file: Blob): Promise<Blob> => Promise.resolve(file) }))
vi.mock('../src/browser/picture', () => ({ smallPicture: (file: Blob) => slowly.picture(file) }))

const AT = '2026-11-26T08:00:00.000Z'
const elsewhere = async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
}
beforeEach(elsewhere)

describe('the examples', () => {
  it('are not doubled by a restore on a new machine, and one that was changed takes its place', async () => {
    await useLibrary().start()
    const [first] = await listFormulas()
    await saveFormula(first!.id, { ...first!.formula, batchGrams: 777 }, first!.rev, AT)
    const names = (await listFormulas()).map((r) => r.formula.name).sort()
    const { blob } = await saveBackup(AT)
    await elsewhere()
    await useLibrary().start()
    const taken = await takeFile(blob)
    expect(taken).toMatchObject({
      kind: 'backup',
      restored: { added: { formulas: 1 }, copies: [], kept: [] },
    })
    const after = await listFormulas()
    expect(after.map((r) => r.formula.name).sort()).toEqual(names)
    expect(after.find((r) => r.id === first!.id)!.formula.batchGrams).toBe(777)
    // brought once more, they overwrite nothing
    await useLibrary().loadDemo()
    expect((await listFormulas()).find((r) => r.id === first!.id)!.formula.batchGrams).toBe(777)
    expect(await listFormulas()).toHaveLength(names.length)
  })
})

describe('a photograph', () => {
  it('belongs to the question that was open when it was chosen, however long it takes', async () => {
    let drawn: (picture: Blob) => void = () => undefined
    slowly.picture = () => new Promise((resolve) => (drawn = resolve))
    const question = ref('smell')
    const { photo, photoError, taking, takePhoto } = usePhoto(
      () => 'b',
      () => question.value,
    )
    const first = takePhoto(new File(['x'], 'jar.jpg'))
    expect(taking.value).toBe(true)
    question.value = 'colour'
    drawn(new Blob(['small']))
    await first
    expect([photo.value, taking.value]).toEqual([null, false])
    expect(photoError.value).toMatch(/belonged to the previous question/)
    expect(await photosOf('b')).toEqual([])
    const second = takePhoto(new File(['x'], 'jar.jpg'))
    drawn(new Blob(['small']))
    await second
    expect((await photosOf('b')).map((p) => p.id)).toEqual([photo.value])
  })
})

describe('a note of a material', () => {
  it('keeps what stood there first when a trial adds to it, also where two trials do at once', async () => {
    const materials = useMaterials()
    const own = await materials.add({
      name: 'Kelp tea',
      inci: 'Aqua',
      functions: ['humectant'],
      solubility: 'water',
      phase: 'any',
    })
    await materials.put({ ...own, note: 'Mine: strain it twice.' }, own)
    await materials.learnOf(own.id, `Sticky at 3 %. ${'Long. '.repeat(300)}`)
    expect(materials.own[0]!.note).toMatch(/^Mine: strain it twice[.] Sticky at 3 %/)
    expect(materials.own[0]!.note!.length).toBeLessThanOrEqual(1000)
    await Promise.all([materials.learnOf('glycerin', 'Tacky.'), materials.learnOf('glycerin', 'Cool.')])
    expect(materials.changeOf('glycerin')!.note).toMatch(/Tacky[.].*Cool[.]$/)
  })
})

describe('the looks of a day', () => {
  const look = (on: string) => ({ sample: 'room', day: 1, on, properties: [] })
  const now = new Date(2026, 5, 10, 23)
  it.each([
    [['2026-06-09', '2026-06-20'], ['2026-06-09']],
    // the list was made where it was the 11th already
    [['2026-06-11', '2026-06-20'], ['2026-06-11']],
    [['2026-06-12'], []],
    [[], []],
  ])('of %j are %j, wherever the list of them was made', (open, asked) => {
    expect(observationsToday(open.map(look), now).map((l) => l.on)).toEqual(asked)
  })
})

describe('a name', () => {
  it('by which a maker calls a material of their own finds that first', () => {
    const own = ownMaterial(
      { name: 'Shea', inci: 'Aqua', functions: ['emollient'], solubility: 'water', phase: 'any' },
      catalogue,
    )
    const known = withOwn(catalogue, { own: [own], lots: [] })
    expect(makeSearch(known.materials)('shea')[0]!.id).toBe(own.id)
    expect(known.find('Shea')!.id).toBe(own.id)
  })
})

describe('the simulated bench', () => {
  it('holds so many vessels and no more', () => {
    const bench = new SimBench(toner('Quay water'), {})
    const said = Array.from({ length: 40 }, (_, i) => bench.hand({ do: 'place', vessel: `v${i}` }))
    expect(said.filter((s) => s === null).length).toBeGreaterThan(9)
    expect(said.at(-1)).toMatchObject({ code: 'too-many-vessels' })
    expect(bench.hand({ do: 'place', vessel: 'v0' })).toBeNull()
    expect(bench.truth().vessels.length).toBeLessThan(30)
  })
})

describe('a part that is spoilt in the cache', () => {
  const router = (push: () => Promise<void>) => {
    const told: ((error: unknown, to: { fullPath: string }) => void)[] = []
    watchParts({
      beforeEach: () => undefined,
      afterEach: () => undefined,
      onError: (t: (typeof told)[0]) => told.push(t),
      push,
    } as unknown as Router)
    return () => told[0]!(new Error('spoilt'), { fullPath: '/ingredients' })
  }
  it.each([
    [true, ['precache']],
    [false, []],
  ])('is asked for again, and then fetched anew where the server answers: %s', async (answers, gone) => {
    const dropped: string[] = []
    vi.stubGlobal('caches', {
      keys: async () => ['precache'],
      delete: async (name: string) => dropped.push(name),
    })
    vi.stubGlobal('fetch', () =>
      answers ? Promise.resolve({ ok: true }) : Promise.reject(new TypeError('offline')),
    )
    const assign = vi.spyOn(location, 'assign').mockImplementation(() => undefined)
    let pushed = 0
    const fail = router(async () => void pushed++)
    fail()
    chunkLoadError.value!.again()
    await vi.waitFor(() => expect(pushed).toBe(1))
    expect(dropped).toEqual([])
    fail()
    chunkLoadError.value!.again()
    await vi.waitFor(() => expect(assign).toHaveBeenCalledWith('/ingredients'))
    expect(dropped).toEqual(gone)
    vi.unstubAllGlobals()
    assign.mockRestore()
  })
})
