// @vitest-environment happy-dom
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { assess, countFindings, findAll, isCaution } from '@omblet/core'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { closeStore } from '../src/storage/db'
import { saveFormula } from '../src/storage/formulas'
import { useBin } from '../src/stores/bin'
import { useCards } from '../src/stores/cards'
import { useLibrary } from '../src/stores/library'
import { useMaterials } from '../src/stores/materials'
import { eventually } from './patience'
import { toner } from './toner'

const AT = '2026-11-27T08:00:00.000Z'

beforeEach(async () => {
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
  setActivePinia(createPinia())
  for (const name of ['Ebb', 'Lee shore']) await saveFormula(name, toner(name), 0, AT)
  await useLibrary().refresh()
})

it('says how each formula is judged, a little later, as the rules do', async () => {
  const cards = useCards()
  const [record] = useLibrary().records
  expect(cards.countsOf(record!)).toBeNull()
  await eventually(() => expect(cards.isJudged(record!)).toBe(true))
  const findings = findAll(assess(record!.formula, useMaterials().catalogue))
  expect(cards.countsOf(record!)).toEqual(
    countFindings(findings.filter((f) => !isCaution(f) || f.severity !== 'note')),
  )
  expect(cards.judged).toBe(1)
  cards.judgeAll()
  await eventually(() => expect(cards.judged).toBe(2))
})

it('finds by name and written material at once, and by every name when the catalogue is here', async () => {
  const cards = useCards()
  const [record] = useLibrary().records
  expect(cards.wordsOf(record!)).toContain(record!.formula.name.toLowerCase())
  expect(cards.wordsOf(record!)).toContain('glycerin')
  const before = cards.wordsOf(record!)
  await cards.exportText(record!.formula)
  expect(cards.wordsOf(record!).length).toBeGreaterThan(before.length)
})

it('is judged again when a fact of the catalogue is changed', async () => {
  const cards = useCards()
  const [record] = useLibrary().records
  cards.countsOf(record!)
  await eventually(() => expect(cards.isJudged(record!)).toBe(true))
  const before = cards.countsOf(record!)!
  await useMaterials().change({ id: 'glycerin', usage: { min: 0, max: 0.1 } })
  await eventually(() => expect(cards.countsOf(record!)).not.toBeNull())
  expect(cards.countsOf(record!)!).not.toEqual(before)
})

it('what was deleted comes back to the list when it is undone', async () => {
  const library = useLibrary()
  const undo = await library.remove(['Ebb', 'Lee shore'])
  expect(library.records).toEqual([])
  expect(useBin().size).toBe(2)
  await undo!()
  expect(library.records.map((r) => r.id).sort()).toEqual(['Ebb', 'Lee shore'])
  expect(useBin().size).toBe(0)
})
