// Files that anybody can hand over, changed at random: each is read whole or refused with a sentence, and quickly.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { strToU8, zipSync } from 'fflate'
import fc from 'fast-check'
import ICAL from 'ical.js'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  calendarOf,
  catalogue,
  containerRows,
  lotRows,
  parseCsv,
  readContainers,
  readTable,
  TableError,
  writeBackup,
  writeCsv,
  writeTrial,
} from '@omblet/core'
import { closeStore, openStore } from '../src/storage/db'
import { takeFile } from '../src/storage/files'
import { listFormulas } from '../src/storage/formulas'
import { listLots } from '../src/storage/shelf'
import { keep, kept, keptNames } from '../src/storage/session-stash'
import { sheetCells } from '../src/workers/sheet'
import { toner } from './toner'
import { trialOf } from './trial-pieces'

const AT = '2026-11-26T08:00:00.000Z'
beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
})
/** A text with some of it cut out, doubled, or replaced by what is troublesome. */
const spoilt = (text: string) =>
  fc
    .array(
      fc.tuple(
        fc.nat(text.length),
        fc.nat(12),
        fc.constantFrom(
          '',
          '"',
          ';',
          ',',
          '\n',
          '\u0000',
          '{',
          ']',
          '9e999',
          '-1',
          '\ud800',
          'NaN',
          '__proto__',
          '../',
          '=1+1',
          'null',
        ),
      ),
      { minLength: 1, maxLength: 6 },
    )
    .map((edits) => edits.reduce((t, [at, cut, put]) => t.slice(0, at) + put + t.slice(at + cut), text))

describe('tables', () => {
  const lots = [
    {
      id: 'l',
      material: 'glycerin',
      leftGrams: 5,
      price: 3,
      expires: '2027-01-01',
      note: 'a "b"; c',
      analysis: [{ inci: 'Linalool', percent: 1 }],
    },
    { id: 'm', material: 'aqua', leftGrams: 500 },
  ]
  function wholeTable(csv: string) {
    const steps = readTable(parseCsv(csv), { catalogue, lots, own: [], makeId: () => 'new' })
    try {
      for (;;) {
        const step = steps.next()
        if (step.done) return step.value
      }
    } catch (error) {
      expect(error).toBeInstanceOf(TableError)
      return null
    }
  }
  it('property: spoilt, every row is read or refused with a reason, and none is stored under a foreign shape', () => {
    const text = writeCsv(lotRows(lots))
    fc.assert(
      fc.property(spoilt(text), (csv) => {
        const read = wholeTable(csv)
        for (const refused of read?.refused ?? []) expect(refused.why).toMatch(/[.]$/)
        // a figure that is none would not survive being written down
        for (const { item } of read?.rows ?? []) expect(JSON.parse(JSON.stringify(item))).toEqual(item)
      }),
      { numRuns: 1000 },
    )
  })
  it('property: of containers too', () => {
    const jars = [{ id: 'j', name: 'Amber', kind: 'jar' as const, nominalMl: 60, left: 3, note: 'lids' }]
    fc.assert(
      fc.property(spoilt(writeCsv(containerRows(jars))), (csv) => {
        const read = readContainers(parseCsv(csv), jars, () => 'new')
        for (const why of read.refused) expect(why).toMatch(/[.”]$/)
        for (const { next } of read.rows) expect(Number.isInteger(next.left)).toBe(true)
      }),
      { numRuns: 500 },
    )
  })
  const workbook = (sheet: string) =>
    new Blob([
      zipSync({
        '[Content_Types].xml': strToU8(
          '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>',
        ),
        'xl/workbook.xml': strToU8(
          '<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="S" sheetId="1" r:id="rId1"/></sheets></workbook>',
        ),
        'xl/_rels/workbook.xml.rels': strToU8(
          '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
        ),
        'xl/worksheets/sheet1.xml': strToU8(
          `<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>${sheet}</sheetData></worksheet>`,
        ),
      }) as BlobPart,
    ])
  const cell = (at: string, text: string) => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`
  it('a spreadsheet is read, and one with a cell at the far corner is refused before anything is built from it', async () => {
    expect(
      await sheetCells(workbook(`<row r="1">${cell('A1', 'name')}${cell('B1', 'kind')}</row>`), 'jars.xlsx'),
    ).toEqual([['name', 'kind']])
    const far = workbook(
      `<row r="1">${cell('A1', 'name')}</row><row r="1048576">${cell('XFD1048576', 'x')}</row>`,
    )
    expect(far.size).toBeLessThan(3000)
    await expect(sheetCells(far, 'far.xlsx')).rejects.toThrow(/reaches to cell XFD1048576/)
    const bomb = workbook(`<row r="1">${cell('A1', ' '.repeat(90_000_000))}</row>`)
    expect(bomb.size).toBeLessThan(400_000)
    await expect(sheetCells(bomb, 'bomb.xlsx')).rejects.toThrow(/larger than 80 MB/)
    await expect(sheetCells(new Blob(['PK nonsense']), 'odd.xlsx')).rejects.toThrow(
      /not a readable spreadsheet/,
    )
  }, 300_000)
})

describe('trial and backup files', () => {
  it('property: spoilt, they come in whole or are refused with a sentence, and nothing half', async () => {
    const texts = [
      writeTrial(trialOf()),
      writeBackup({
        savedAt: AT,
        settings: {},
        formulas: [{ id: 'f', createdAt: AT, updatedAt: AT, formula: toner('Quay'), versions: [] }],
        materials: [],
        lots: [{ id: 'l', material: 'glycerin', leftGrams: 5 }],
        containers: [],
        stock: [],
        changes: [],
        batches: [],
        trials: [],
      }),
    ]
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...texts).chain(spoilt), async (text) => {
        const taken = await takeFile(new Blob([text]))
        if (taken.kind === 'error') expect(taken.error).toMatch(/[.”]$/)
        if (taken.kind === 'backup') for (const r of taken.restored.refused) expect(r.why).toMatch(/[.”]$/)
        const db = await openStore()
        for (const key of [...(await db.getAllKeys('trials')), ...(await db.getAllKeys('formulas'))])
          expect(key).not.toMatch(/[/?#]/)
        for (const l of await listLots()) expect(l.leftGrams).toBeGreaterThanOrEqual(0)
        await listFormulas()
      }),
      { numRuns: 300 },
    )
  }, 300_000)
})

describe('pictures', () => {
  it('property: an archive takes a picture of any bytes and gives back the same', async () => {
    const { readArchive, writeArchive } = await import('../src/storage/archive')
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.uint8Array({ maxLength: 300 }), { maxLength: 4 }),
        // bytes by which entries of archives begin and end
        fc.constantFrom('PK\u0001\u0002', 'PK\u0003\u0004', 'PK\u0005\u0006', 'PK\u0007\u0008', ''),
        async (all, mark) => {
          const blobs = all.map((b) => new Blob([b as BlobPart, mark, b as BlobPart], { type: 'image/png' }))
          const packed = await writeArchive('{}', {
            pictures: blobs.map((blob, i) => ({ batch: 'b', id: `p${i}`, blob })),
          })
          const read = await readArchive(packed)
          expect(read.lost).toEqual([])
          expect(await Promise.all(read.pictures.map((p) => p.blob.arrayBuffer()))).toEqual(
            await Promise.all(blobs.map((b) => b.arrayBuffer())),
          )
        },
      ),
      { numRuns: 100 },
    )
  }, 300_000)
})

describe('calendars', () => {
  it('property: whatever batches are called, each look is a whole day that ends where the next begins (RFC 5545)', () => {
    const name = fc.string({ unit: 'grapheme', maxLength: 80 })
    const day = fc
      .date({ min: new Date('2020-01-01'), max: new Date('2035-12-31'), noInvalidDate: true })
      .map((d) => d.toISOString().slice(0, 10))
    fc.assert(
      fc.property(name, name, fc.array(day, { minLength: 1, maxLength: 4 }), (product, code, days) => {
        const open = days.map((on, i) => ({
          sample: 'room',
          storage: 'room' as const,
          day: i,
          on,
          properties: ['ph' as const],
        }))
        const text = calendarOf([
          { id: 'b', code, name: product, watch: { open } } as unknown as Parameters<
            typeof calendarOf
          >[0][number],
        ])
        expect(text).not.toMatch(/DURATION/)
        const events = new ICAL.Component(ICAL.parse(text) as unknown[] as never).getAllSubcomponents(
          'vevent',
        )
        expect(events).toHaveLength(days.length)
        for (const e of events) {
          const event = new ICAL.Event(e)
          expect(event.startDate.isDate).toBe(true)
          expect(event.endDate.subtractDate(event.startDate).toSeconds()).toBe(86_400)
        }
      }),
      { numRuns: 200 },
    )
  })
})

describe('what a page kept over a reload', () => {
  it('property: of any kind it is read or left, and never stops the page', () => {
    const store = new Map<string, string>()
    const session = {
      getItem: (k: string) => store.get(k) ?? null,
      setItem: (k: string, v: string) => void store.set(k, v),
      removeItem: (k: string) => void store.delete(k),
    }
    globalThis.sessionStorage = new Proxy(session as unknown as Storage, {
      ownKeys: () => [...store.keys()],
      getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
    })
    fc.assert(
      fc.property(fc.string(), fc.anything(), fc.string(), (name, value, raw) => {
        keep(`batch:${name}`, value)
        store.set(`omblet-unstored:batch:raw${name}`, raw)
        expect(() => keptNames('batch:').map((n) => kept(`batch:${n}`, (x) => x))).not.toThrow()
        store.clear()
      }),
      { numRuns: 300 },
    )
  })
})
