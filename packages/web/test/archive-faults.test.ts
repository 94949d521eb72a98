// Archives that were damaged, packed anew, or hold what looks like an archive: what is read is whole, or it is said.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { strToU8, unzipSync, zipSync } from 'fflate'
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { catalogue, headOfFile, type BatchEvent } from '@omblet/core'
import { readArchive, writeArchive } from '../src/storage/archive'
import { appendEvent, photosOf, savePhoto } from '../src/storage/batches'
import { closeStore } from '../src/storage/db'
import { saveBackup, takeFile } from '../src/storage/files'
import { listFormulas, saveFormula } from '../src/storage/formulas'
import { getFile, saveFile, saveLot } from '../src/storage/shelf'
import { toner } from './toner'

const AT = '2026-11-26T08:00:00.000Z'
const elsewhere = async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
}
beforeEach(elsewhere)
const bytes = (n: number, seed = 131) => Uint8Array.from({ length: n }, (_, i) => (i * seed) % 251)
/** A document that is itself an archive, as those of word processors are. */
const docx = zipSync({
  'word/document.xml': strToU8('<w:p>certificate</w:p>'),
  'omblet-backup.json': strToU8('{}'),
})

async function life(pictures = 2) {
  await saveFormula('f1', toner('Quay water'), 0, AT)
  const batch = { id: 'b1', code: 'QW-1', name: 'Quay water', formulaId: 'f1', who: 'Ina' }
  const start: BatchEvent = {
    n: 0,
    at: AT,
    step: null,
    type: 'start',
    formula: toner('Quay water'),
    version: null,
  }
  await appendEvent(headOfFile({ batch, events: [start] }, catalogue), start, null)
  for (let i = 0; i < pictures; i++)
    await savePhoto({
      id: `p${i}`,
      batch: 'b1',
      blob: new Blob([bytes(5000 + i, 100 + i)], { type: 'image/jpeg' }),
    })
  await saveLot({ id: 'l1', material: 'glycerin', leftGrams: 5 })
  await saveFile({
    lot: 'l1',
    name: 'certificate.docx',
    blob: new Blob([docx as BlobPart], { type: 'application/zip' }),
  })
  return new Uint8Array(await (await saveBackup(AT, { pictures: true })).blob.arrayBuffer())
}
const archive = (content: Uint8Array) => new Blob([content as BlobPart], { type: 'application/zip' })
/** Where bytes begin in others. */
const indexOf = (whole: Uint8Array, part: Uint8Array) => Buffer.from(whole).indexOf(Buffer.from(part))

describe('an archive', () => {
  it('with a document inside that is an archive too is read by its own directory', async () => {
    const saved = await life()
    await elsewhere()
    expect(await takeFile(archive(saved))).toMatchObject({
      kind: 'backup',
      restored: { added: { formulas: 1, pictures: 2, papers: 1 }, refused: [] },
    })
    expect(new Uint8Array(await (await getFile('l1'))!.blob.arrayBuffer())).toEqual(docx)
  })
  it('whose picture was damaged names it, stores nothing, and gives the rest when that is wanted', async () => {
    const saved = await life()
    const at = indexOf(saved, bytes(5000, 100))
    saved[at + 2000]! ^= 1
    await elsewhere()
    expect(await takeFile(archive(saved))).toEqual({
      kind: 'damaged',
      lost: [{ what: 'A photo of batch QW-1', why: 'it is damaged in the archive.' }],
    })
    expect(await listFormulas()).toEqual([])
    const taken = await takeFile(archive(saved), undefined, { rest: true })
    expect(taken).toMatchObject({
      kind: 'backup',
      restored: { added: { pictures: 1, papers: 1 }, refused: [{ what: 'A photo of batch QW-1' }] },
    })
    expect(await photosOf('b1')).toHaveLength(1)
  })
  it('whose backup was damaged is refused: no figure of it can be trusted', async () => {
    const saved = await life()
    // the text is packed: its last bytes lie before the first picture
    saved[indexOf(saved, bytes(5000, 100)) - 120]! ^= 4
    await elsewhere()
    expect(await takeFile(archive(saved), undefined, { rest: true })).toMatchObject({
      kind: 'error',
      error: expect.stringMatching(/damaged[.] Use another copy/) as string,
    })
    expect(await listFormulas()).toEqual([])
  })
  it('that lacks a listed picture, or its list, says so; packed anew by another tool it is read', async () => {
    const files = unzipSync(await life())
    const { 'pictures/0001': _gone, ...lacking } = files
    const { 'pictures.json': _list, ...unlisted } = files
    await elsewhere()
    expect(await takeFile(archive(zipSync(lacking)))).toMatchObject({
      kind: 'damaged',
      lost: [{ why: 'it is not in the archive.' }],
    })
    expect(await takeFile(archive(zipSync(unlisted)))).toMatchObject({
      kind: 'damaged',
      lost: [{ what: 'Photos', why: 'the list that says where 3 files belong is missing.' }],
    })
    expect(await takeFile(archive(zipSync(files, { level: 9 })))).toMatchObject({
      restored: { added: { pictures: 2, papers: 1 }, refused: [] },
    })
  })
  it('property: whatever byte is changed, what is read is what was written, or it is said', async () => {
    const text = JSON.stringify({ grams: 95, name: 'Quay water' })
    const photo = bytes(400)
    const whole = new Uint8Array(
      await (
        await writeArchive(text, {
          pictures: [{ batch: 'b', id: 'p', blob: new Blob([photo], { type: 'image/png' }) }],
        })
      ).arrayBuffer(),
    )
    await fc.assert(
      fc.asyncProperty(fc.nat(whole.length - 1), fc.integer({ min: 1, max: 255 }), async (at, change) => {
        const spoilt = whole.slice()
        spoilt[at]! ^= change
        const read = await readArchive(archive(spoilt)).catch((error: unknown) => {
          expect((error as Error).message).toMatch(/[.]$/)
          return null
        })
        if (!read) return
        expect(read.text).toBe(text)
        if (read.lost.length === 0) {
          expect(read.pictures).toHaveLength(1)
          expect(new Uint8Array(await read.pictures[0]!.blob.arrayBuffer())).toEqual(photo)
        }
      }),
      { numRuns: 400 },
    )
  }, 300_000)
  it('is never too large to be read again where it could be written: only the text has a limit, and both keep it', async () => {
    // 40 pictures that tell of 40 MB each would be 1.6 GB: what binds is the text alone
    const blob = await writeArchive('{}', {
      pictures: [{ batch: 'b', id: 'p', blob: new Blob([bytes(2_000_000)], { type: 'image/png' }) }],
    })
    const read = await readArchive(blob)
    expect(read.pictures[0]!.blob.size).toBe(2_000_000)
    const huge = {
      size: 560_000_000,
      slice: () => new Blob(['{']),
      stream: () => new Blob(['{']).stream(),
    } as unknown as Blob
    expect(await takeFile(huge)).toEqual({
      kind: 'error',
      error: 'The file is 560 MB of text; 500 MB can be read. Check that it is the right one.',
    })
  })
})
