// @vitest-environment happy-dom
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { LIMITS, type Formula } from '@omblet/core'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { closeStore } from '../src/storage/db'
import { getFormula, saveFormula } from '../src/storage/formulas'
import { useDrafts } from '../src/stores/drafts'
import { useEditor } from '../src/stores/editor'
import { useLibrary } from '../src/stores/library'
import { toner as formula } from './toner'

const AT = '2026-11-26T08:00:00.000Z'
const GLYCERIN = { phase: 0, line: 1 }
const percent = (f: Formula | null | undefined) => f?.phases[0]!.lines[1]?.percent
const put = IDBObjectStore.prototype.put
const disk = { full: false }
const newPage = () => setActivePinia(createPinia())

beforeEach(async () => {
  vi.restoreAllMocks()
  disk.full = false
  vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
    if (disk.full) throw new DOMException('no room', 'QuotaExceededError')
    return put.apply(this, args)
  })
  sessionStorage.clear()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  newPage()
  for (const id of ['a', 'b']) await saveFormula(id, formula(id), 0, AT)
})

const open = async (id: string) => {
  const editor = useEditor()
  await editor.open(id)
  return editor
}
const edit = (editor: ReturnType<typeof useEditor>, to: number) =>
  editor.apply({ type: 'set-percent', at: GLYCERIN, percent: to })

describe('an edit', () => {
  it('is stored as it is made', async () => {
    const editor = await open('a')
    edit(editor, 7)
    await editor.flush()
    expect(percent((await getFormula('a'))!.formula)).toBe(7)
    expect(editor.state).toBe('saved')
  })

  it('that finds no room stays when another formula is opened, and is stored when there is', async () => {
    const editor = await open('a')
    disk.full = true
    edit(editor, 7)
    await editor.flush()
    expect(editor.state).toBe('failed')
    await editor.open('b')
    expect([...useDrafts().drafts.keys()]).toEqual(['a'])
    await editor.open('a')
    expect(percent(editor.formula)).toBe(7)
    await editor.open('b')
    disk.full = false
    await useDrafts().tryAgain()
    expect(useDrafts().drafts.size).toBe(0)
    expect(percent((await getFormula('a'))!.formula)).toBe(7)
  })

  it('that finds no room stays over a reload', async () => {
    const editor = await open('a')
    disk.full = true
    edit(editor, 7)
    await editor.flush()
    disk.full = false
    newPage()
    const next = await open('a')
    await next.flush()
    expect(percent(next.formula)).toBe(7)
    expect(percent((await getFormula('a'))!.formula)).toBe(7)
    newPage()
    expect(useDrafts().drafts.size).toBe(0)
  })

  it('in conflict stays in conflict, and can be kept as a copy', async () => {
    const editor = await open('a')
    await saveFormula('a', { ...formula('a'), batchGrams: 300 }, 1, AT)
    edit(editor, 7)
    await editor.flush()
    expect(editor.state).toBe('conflict')
    await editor.open('b')
    await editor.open('a')
    expect([editor.state, percent(editor.formula)]).toEqual(['conflict', 7])
    const copy = (await editor.keepAsCopy())!
    expect(percent((await getFormula(copy))!.formula)).toBe(7)
    expect((await getFormula('a'))!.formula.batchGrams).toBe(300)
    expect(editor.formula!.batchGrams).toBe(300)
  })

  it('that would make what cannot be read is not made, and says why', async () => {
    const editor = await open('a')
    const lines = Array.from({ length: LIMITS.lines - 2 }, () => ({ material: 'glycerin', percent: 0 }))
    editor.replace({
      ...editor.formula!,
      phases: [{ ...editor.formula!.phases[0]!, lines: [...editor.formula!.phases[0]!.lines, ...lines] }],
    })
    expect(editor.refused).toBeNull()
    editor.apply({ type: 'add-line', phase: 0, line: { material: 'squalane', percent: 1 } })
    expect(editor.refused).toBe('A formula holds 400 lines at most.')
    editor.apply({ type: 'patch', patch: { name: 'x'.repeat(300) } })
    expect(editor.refused).toMatch(/name must be 200 characters or fewer/)
    expect(editor.formula!.name).toBe('a')
    await editor.flush()
  })

  it('tells a store that will not answer from a formula that is not there', async () => {
    const editor = useEditor()
    expect(await editor.open('nowhere')).toBe(false)
    expect(editor.opening.how).toBe('missing')
    vi.spyOn(IDBFactory.prototype, 'open').mockImplementation(() => {
      throw new DOMException('newer', 'VersionError')
    })
    await closeStore()
    expect(await editor.open('a')).toBe(false)
    expect(editor.opening).toMatchObject({
      how: 'refused',
      why: expect.stringContaining('newer version of Omblet'),
    })
  })
})

describe('the library', () => {
  it('gives a copy of a formula with the longest name one that can be read', async () => {
    const library = useLibrary()
    const long = 'x'.repeat(LIMITS.name)
    for (let i = 0; i < 3; i++) {
      const { name, stored } = await library.create(formula(long))
      expect([name.length <= LIMITS.name, stored]).toEqual([true, true])
    }
    expect(new Set(library.names).size).toBe(library.names.length)
  })
  it('says that it did not store what it could not', async () => {
    const library = useLibrary()
    disk.full = true
    const made = await library.create(formula('Adrift'))
    expect(made.stored).toBe(false)
    expect(library.storageProblem).toMatch(/full/)
    expect(library.trouble).toBe('full')
    expect(library.names).toContain('Adrift')
  })
  it('is ready at the first visit even where the examples cannot be stored', async () => {
    globalThis.indexedDB = new IDBFactory()
    await closeStore()
    disk.full = true
    const library = useLibrary()
    await library.start()
    expect(library.ready).toBe(true)
    expect(library.records.length).toBe(8)
    expect(library.storageProblem).toMatch(/full/)
  })
})
