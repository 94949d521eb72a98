import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { ReadError, withKeys, type Formula } from '@omblet/core'
import { zipSync, strToU8 } from 'fflate'
import { beforeEach, describe, expect, it } from 'vitest'
import { isArchive, readArchive, textOf, writeArchive } from '../src/storage/archive'
import { batchFile, saveBackup, takeFile } from '../src/storage/files'
import { appendEvent, photosOf, savePhoto } from '../src/storage/batches'
import { closeStore } from '../src/storage/db'
import { listFormulas, saveFormula } from '../src/storage/formulas'
import { getFile, saveFile, saveLot } from '../src/storage/shelf'
import { headOfFile, catalogue, type BatchEvent } from '@omblet/core'

const AT = '2026-11-26T08:00:00.000Z'
const formula: Formula = withKeys({
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Quay water',
  product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 100,
  phases: [{ name: 'Water', role: 'water', lines: [{ material: 'aqua', fill: true }] }],
})
const elsewhere = async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
}
beforeEach(elsewhere)
const bytes = (n: number) => Uint8Array.from({ length: n }, (_, i) => (i * 131) % 251)
const picture = (n: number) => new Blob([bytes(n)], { type: 'image/jpeg' })

async function life() {
  await saveFormula('f1', formula, 0, AT)
  const batch = { id: 'b1', code: 'QW-1', name: 'Quay water', formulaId: 'f1', who: 'Ina' }
  const start: BatchEvent = { n: 0, at: AT, step: null, type: 'start', formula, version: null }
  await appendEvent(headOfFile({ batch, events: [start] }, catalogue), start, null)
  await savePhoto({ id: 'p/1 ü', batch: 'b1', blob: picture(70_001) })
  await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 5 })
  await saveFile({
    lot: 'l1',
    name: 'certificate ü.pdf',
    blob: new Blob([bytes(9)], { type: 'application/pdf' }),
  })
}

describe('a backup with pictures', () => {
  it('comes back on another machine with every byte', async () => {
    await life()
    const told: number[] = []
    const saved = await saveBackup(AT, { pictures: true }, (done) => told.push(done))
    expect(saved).toMatchObject({ unsound: [], pictures: 1, papers: 1 })
    expect(told.at(-1)).toBe(1)
    await elsewhere()
    const taken = await takeFile(saved.blob)
    expect(taken).toMatchObject({
      kind: 'backup',
      restored: { added: { formulas: 1, lots: 1, batches: 1, pictures: 1, papers: 1 }, refused: [] },
    })
    const [photo] = await photosOf('b1')
    expect(photo!.id).toBe('p/1 ü')
    expect(new Uint8Array(await photo!.blob.arrayBuffer())).toEqual(bytes(70_001))
    expect((await getFile('l1'))!.name).toBe('certificate ü.pdf')
    // Once more, nothing is new.
    expect(await takeFile(saved.blob)).toMatchObject({ restored: { added: {}, same: 3 } })
  })
  it('without pictures is plain text that restores', async () => {
    await life()
    const { blob } = await saveBackup(AT)
    await elsewhere()
    expect(await takeFile(blob)).toMatchObject({ restored: { added: { formulas: 1, lots: 1, batches: 1 } } })
  })
  it('that is cut off, foreign or no archive is refused whole, with a sentence', async () => {
    await life()
    const { blob } = await saveBackup(AT, { pictures: true })
    await elsewhere()
    const foreign = new Blob([zipSync({ 'shopping.txt': strToU8('salt') }) as BlobPart])
    for (const file of [
      blob.slice(0, Math.floor(blob.size / 3)),
      foreign,
      new Blob(['PK\u0003\u0004nonsense']),
      new Blob(['']),
    ]) {
      const taken = await takeFile(file)
      expect(taken.kind).toBe('error')
      expect((taken as { error: string }).error).toMatch(/[.]$/)
    }
    expect(await listFormulas()).toEqual([])
  })
  it('is told from text by its first bytes', async () => {
    expect(await isArchive(new Blob(['{"format":1}']))).toBe(false)
    const blob = await writeArchive('{}', {})
    expect(await isArchive(blob)).toBe(true)
    expect((await readArchive(blob)).text).toBe('{}')
    await expect(readArchive(new Blob(['PK\u0003\u0004']))).rejects.toBeInstanceOf(ReadError)
  })
})

describe('files', () => {
  it('a batch goes out with its photographs and comes in with them', async () => {
    await life()
    const blob = (await batchFile('b1'))!
    expect(await batchFile('nowhere')).toBeNull()
    await elsewhere()
    expect(await takeFile(blob)).toEqual({ kind: 'batch', id: 'b1', code: 'QW-1', what: 'new' })
    expect(new Uint8Array(await (await photosOf('b1'))[0]!.blob.arrayBuffer())).toEqual(bytes(70_001))
    expect(await takeFile(blob)).toMatchObject({ what: 'nothing' })
  })
  it('a text is read in pieces without breaking a letter', async () => {
    const text = 'Öl, ½ 🌊 '.repeat(50_000)
    expect(await textOf(new Blob([text]))).toBe(text)
  })
  it('a formula is read and not stored: it may need another name', async () => {
    const taken = await takeFile(new Blob([JSON.stringify(formula)]))
    expect(taken).toMatchObject({ kind: 'formula', formula: { name: 'Quay water' } })
    expect(await listFormulas()).toEqual([])
  })
})
