// Containers on the shelf: stored, counted down, deleted and back again, taken in from a table, and told to other tabs.
import { sayMoney } from '@omblet/core/words'
import 'fake-indexeddb/auto'
import { useWorkersHere } from './workers' // before what it stands in for
import { Container, type BatchHead } from '@omblet/core'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { takeInContainers } from '../src/features/ingredients/containers'
import { appendEvent } from '../src/storage/batches'
import { deleteContainer, listContainers, saveContainer } from '../src/storage/shelf'
import { openStore } from '../src/storage/db'
import { takeFromBin } from '../src/storage/bin'
import { tellAll } from '../src/storage/channel'
import { useMaterials } from '../src/stores/materials'
import { useContainers } from '../src/stores/containers'

const jar = Container.parse({
  id: 'j',
  name: 'Amber jar',
  kind: 'jar',
  nominalMl: 60,
  left: 4,
  note: 'lids apart',
})
beforeEach(async () => {
  setActivePinia(createPinia())
  const db = await openStore()
  await Promise.all([db.clear('containers'), db.clear('bin')])
})

describe('containers', () => {
  it('are counted down with the entry that fills them, never below none, and not without it', async () => {
    await saveContainer(jar)
    const fill = (id: string, containers: number) =>
      appendEvent(
        { id } as BatchHead,
        {
          n: 0,
          at: '2026-11-27T08:00:00.000Z',
          step: null,
          type: 'finish',
          outcome: 'kept',
          containers,
          container: 'j',
        },
        null,
      )
    await Promise.all([fill('b1', 1), fill('b2', 2)])
    expect((await listContainers())[0]!.left).toBe(1)
    await expect(fill('b1', 1)).rejects.toThrow()
    expect((await listContainers())[0]!.left).toBe(1)
    await fill('b3', 5)
    expect((await listContainers())[0]!.left).toBe(0)
  })
  it('come back from the bin whole, beside another that took their place', async () => {
    await saveContainer(jar)
    const bin = await deleteContainer(jar, '2026-11-27T08:00:00.000Z')
    expect(await listContainers()).toEqual([])
    await saveContainer({ ...jar, name: 'Another jar' })
    expect(await takeFromBin(bin)).toMatchObject({ kind: 'container', beside: true })
    expect((await listContainers()).map((c) => c.name).sort()).toEqual(['Amber jar', 'Another jar'])
    expect((await listContainers()).find((c) => c.name === 'Amber jar')!.note).toBe('lids apart')
  })
  it('are sorted by name, found by id, and undone after they were deleted', async () => {
    const store = useContainers()
    await store.put(jar)
    await store.put({ ...jar, id: 'a', name: 'Airless' })
    expect(store.containers.map((c) => c.name)).toEqual(['Airless', 'Amber jar'])
    expect(store.find('j')!.left).toBe(4)
    await store.put({ ...jar, left: 1 })
    const undo = await store.remove(jar)
    expect(store.find('j')).toBeNull()
    await undo!()
    expect(store.find('j')!.left).toBe(1)
    expect(store.find(undefined)).toBeNull()
  })
  it('are read again when everything was', async () => {
    const store = useContainers()
    await saveContainer(jar)
    await tellAll({ type: 'all' })
    expect(store.containers).toEqual([jar])
  })
  it('are taken in from a table row by row, and what is not sound is told', async () => {
    const store = useContainers()
    const file = new File(['name;kind;holds_ml;left\nTin;tin;30;5\nOdd;amphora;30;5\n'], 'jars.csv')
    useWorkersHere()
    const read = await takeInContainers(file, store.containers, useMaterials().takeIn)
    if ('error' in read) throw new Error(read.error)
    expect([read.taken, read.refused.length]).toEqual([1, 1])
    expect(store.containers[0]).toMatchObject({ name: 'Tin', kind: 'tin', nominalMl: 30, left: 5 })
    await read.undo()
    expect(store.containers).toEqual([])
  })
})

describe('money', () => {
  it.each([
    [null, 'not known'],
    [0, '0.00'],
    [3.456, '3.46'],
    [0.0042, '0.0042'],
    [1234.5, '1234.50'],
  ])('%s is said as %s', (value, says) => expect(sayMoney(value)).toBe(says))
})
