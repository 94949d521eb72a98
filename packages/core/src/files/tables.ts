import { mixtureFaultText } from '../words/plain.ts'
import { fieldFaultText } from '../words/field-fault.ts'
import { tables as texts } from '#words/files'
import type * as z from 'zod'
import { fieldChanges, type FieldChange } from './fields.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { Lot } from '../materials/lots.ts'
import { slug } from '../text/names.ts'
import { mixtureFault, ownMaterial } from '../materials/own.ts'
import { Material } from '../shapes/material.ts'
import { shorten } from '../text/format.ts'
import { cellText, type Cell } from '../text/cells.ts'
import { LOT_COLUMNS, MATERIAL_COLUMNS, type Column, onTopOf, type RowDraft } from './table-columns.ts'
import { faultOf, partsOf, freeId, wholeRange, reaches } from './material-rows.ts'

type Row = (string | number | undefined)[]
const tableOf = <T>(columns: readonly Column<T>[], items: readonly T[]): Row[] => [
  columns.map((c) => c.name),
  ...items.map((item) => columns.map((c) => c.write(item))),
]
/** Lots as rows under a row of headings, for CSV or a spreadsheet. */
export const lotRows = (lots: readonly Lot[]): Row[] => tableOf(LOT_COLUMNS, lots)
/** One's own materials as rows under a row of headings. */
export const materialRows = (materials: readonly Material[]): Row[] => tableOf(MATERIAL_COLUMNS, materials)

export interface ReadRow<T> {
  /** Row of the file, the headings being row 1. */
  row: number
  /** `changes` what is there under the same id, or is the `same` as it. */
  status: 'new' | 'changes' | 'same'
  item: T
  /** How it is here; null where it is new. */
  was: T | null
  /** The fields that the row changes; what the table has no column for stays as it is here. */
  changes: FieldChange[]
}
export interface RefusedRow {
  row: number
  what: string
  why: string
}
interface Read<K extends string, T> {
  kind: K
  rows: ReadRow<T>[]
  refused: RefusedRow[]
  /** Headings that mean nothing here. */
  ignored: string[]
}
export type TableRead = Read<'lots', Lot> | Read<'materials', Material>

export interface TableContext {
  catalogue: Catalogue
  lots: readonly Lot[]
  /** Own materials that are here already. */
  own: readonly Material[]
  makeId: () => string
}

/** Rows between two words on how far it is. */
const SLICE = 250
export const MOST_ROWS = 100_000

function headings<T>(columns: readonly Column<T>[], names: readonly string[]) {
  return names.map(
    (name) => columns.find((c) => slug(c.name) === slug(name) || c.also?.includes(slug(name))) ?? null,
  )
}

/** Why a table cannot be read at all. */
export class TableError extends Error {}

/**
 * Reads a table of lots or of own materials, row by row; yields the rows done so that a long one can show how far it
 * is and be stopped. Nothing is stored: the result is a preview. Throws `TableError` where no table can be found.
 */
export function* readTable(
  cells: readonly (readonly Cell[])[],
  context: TableContext,
): Generator<number, TableRead> {
  const names = (cells[0] ?? []).map((c) => cellText(c).trim())
  if (names.every((n) => n === '')) throw new TableError(texts.theFileIsEmptyIts)
  if (cells.length - 1 > MOST_ROWS) throw new TableError(texts.theFileHasRowsFit(cells.length - 1, MOST_ROWS))
  const asLots = headings(LOT_COLUMNS, names)
  const isLots = asLots.some((c) => c?.name === 'left_grams' || c?.name === 'pack_grams')
  if (isLots) {
    if (!asLots.some((c) => c?.name === 'material')) throw new TableError(texts.aTableOfLotsNeeds)
    return yield* readLots(cells, names, asLots, context)
  }
  const asMaterials = headings(MATERIAL_COLUMNS, names)
  if (!asMaterials.some((c) => c?.name === 'name' || c?.name === 'inci'))
    throw new TableError(texts.noColumnIsKnownHere)
  return yield* readMaterials(cells, names, asMaterials, context)
}

function readCells<T>(columns: readonly (Column<T> | null)[], cells: readonly Cell[]) {
  const draft: RowDraft = {}
  const faults: string[] = []
  // What the column “more” holds only fills gaps, so it is read last.
  const order = columns
    .map((column, i) => ({ column, text: cellText(cells[i]) }))
    .sort((a, b) => Number(a.column?.name === 'more') - Number(b.column?.name === 'more'))
  for (const { column, text } of order) {
    if (!column || text.trim() === '') continue
    const fault = column.read(text, draft)
    if (fault) faults.push(fault)
  }
  return { draft, faults }
}

const issueText = (error: z.ZodError) => {
  const issue = error.issues[0]!
  return `${issue.path.join('.') || texts.theRow}: ${fieldFaultText(issue)}.`
}
/** Why the parts of a row make no mixture; null where they do. */
function mixedUp(name: string, draft: RowDraft, catalogue: Catalogue): string | null {
  const fault = mixtureFault(name, partsOf(draft), catalogue)
  return fault && mixtureFaultText(fault)
}
/** A row as it would be stored, beside what is here under its id. */
function readRow<T extends object>(row: number, item: T, was: T | null): ReadRow<T> {
  const changes = was ? fieldChanges(was, item) : []
  return { row, item, was, changes, status: !was ? 'new' : changes.length === 0 ? 'same' : 'changes' }
}
/** What is here with what a row says in its place; of a column that the table has not, nothing is said. */
function onTop(
  was: object | undefined,
  draft: RowDraft,
  columns: readonly (Pick<Column<never>, 'clear'> | null)[],
): RowDraft {
  if (!was) return draft
  const next = structuredClone(was) as RowDraft
  for (const column of columns) column?.clear(next)
  return onTopOf(next, draft)
}

function* readLots(
  cells: readonly (readonly Cell[])[],
  names: readonly string[],
  columns: readonly (Column<Lot> | null)[],
  context: TableContext,
): Generator<number, Read<'lots', Lot>> {
  const here = new Map(context.lots.map((lot) => [lot.id, lot]))
  const result: Read<'lots', Lot> = { kind: 'lots', rows: [], refused: [], ignored: unread(names, columns) }
  const taken = new Set<string>()
  for (let i = 1; i < cells.length; i++) {
    if (i % SLICE === 0) yield i
    const { draft, faults } = readCells(columns, cells[i]!)
    const name = String(draft['material'] ?? '')
    const refuse = (why: string) => result.refused.push({ row: i + 1, what: shorten(name), why })
    if (name === '') {
      refuse(texts.noMaterialIsNamed)
      continue
    }
    const material = context.catalogue.find(name)
    if (!material) {
      refuse(texts.noMaterialIsCalledMake(shorten(name)))
      continue
    }
    if (faults.length > 0) {
      refuse(faults[0]!)
      continue
    }
    draft['material'] = material.id
    const old = here.get(String(draft['id'] ?? ''))
    // an amount that is not told stays what it is here; of something new it is the pack
    draft['leftGrams'] ??= old?.leftGrams ?? draft['packGrams']
    if (draft['leftGrams'] === undefined) {
      refuse(texts.neitherWhatIsLeftNor)
      continue
    }
    const id = String(draft['id'] ?? '')
    if (id !== '' && taken.has(id)) {
      refuse(texts.theSameIdStandsIn)
      continue
    }
    draft['id'] = id || context.makeId()
    const parsed = Lot.safeParse(onTop(old, draft, columns))
    if (!parsed.success) {
      refuse(issueText(parsed.error))
      continue
    }
    taken.add(parsed.data.id)
    result.rows.push(readRow(i + 1, parsed.data, old ?? null))
  }
  return result
}

/** Its name, or where none is told its INCI names. */
const nameOf = (draft: RowDraft) =>
  String(draft['name'] ?? ((draft['inci'] as string[] | undefined) ?? []).join(', '))
const textOf = (draft: RowDraft, field: string) => String(draft[field] ?? '')

/** A material of one's own as a row tells it, before its figures are laid over it. */
const newMaterial = (name: string, draft: RowDraft, { catalogue }: TableContext) =>
  ownMaterial(
    {
      name,
      inci: '',
      functions: (draft['functions'] as string[] | undefined) ?? [],
      solubility: 'dispersible',
      phase: (draft['phase'] as Material['phase'] | undefined) ?? 'any',
    },
    catalogue,
  )

/** The fields of a row over what is known of the material. */
function asMaterial(
  base: Material,
  old: Material | undefined,
  draft: RowDraft,
  named: { name: string; id: string },
) {
  const { usage, ...rest } = draft
  return {
    ...(old ? needed(old, draft) : base),
    ...(usage ? { usage: wholeRange(usage) } : {}),
    ...rest,
    ...(rest['ph'] ? { ph: { grade: base.ph?.grade ?? 'prefers', ...rest['ph'] } } : {}),
    ...named,
    own: true,
  }
}

function* readMaterials(
  cells: readonly (readonly Cell[])[],
  names: readonly string[],
  columns: readonly (Column<Material> | null)[],
  context: TableContext,
): Generator<number, Read<'materials', Material>> {
  const here = new Map(context.own.map((m) => [m.id, m]))
  /** A table without ids knows its materials by their names. */
  const byName = new Map(context.own.map((m) => [m.name, m]))
  const named = columns.some((c) => c?.name === 'id')
  const stocks = new Map(context.own.map((m) => [slug(m.name), (m.parts ?? []).map((p) => slug(p.inci))]))
  const listed = new Set(context.catalogue.materials.filter((m) => !m.own).map((m) => m.id))
  const result: Read<'materials', Material> = {
    kind: 'materials',
    rows: [],
    refused: [],
    ignored: unread(names, columns),
  }
  const taken = new Set<string>()
  for (let i = 1; i < cells.length; i++) {
    if (i % SLICE === 0) yield i
    const { draft: said, faults } = readCells(columns, cells[i]!)
    const old = here.get(textOf(said, 'id')) ?? (named ? undefined : byName.get(textOf(said, 'name')))
    const draft = onTop(old, old ? { ...said, id: old.id } : said, columns)
    const name = nameOf(draft)
    const refuse = (why: string) => result.refused.push({ row: i + 1, what: shorten(name), why })
    const fault = faults[0] ?? faultOf(draft, name) ?? mixedUp(name, draft, context.catalogue)
    if (fault) {
      refuse(fault)
      continue
    }
    const base = old ?? newMaterial(name, draft, context)
    const id = String(draft['id'] ?? freeId(base.id, taken))
    const clash = listed.has(id) ? texts.itsIdIsThatOf : taken.has(id) && texts.theSameIdStandsIn
    if (clash) {
      refuse(clash)
      continue
    }
    const parsed = Material.safeParse(asMaterial(base, old, draft, { name, id }))
    if (!parsed.success) {
      refuse(issueText(parsed.error))
      continue
    }
    const parts = (parsed.data.parts ?? []).map((p) => slug(p.inci))
    if (reaches(stocks, parts, slug(name))) {
      refuse(texts.itContainsItselfByWay)
      continue
    }
    if (parts.length > 0) stocks.set(slug(name), parts)
    taken.add(id)
    result.rows.push(readRow(i + 1, parsed.data, old ?? null))
  }
  return result
}

/** What a material cannot be without, where a row took it away. */
function needed(old: Material, draft: RowDraft): RowDraft {
  const bare = Material.safeParse(draft)
  const missing = bare.success ? [] : bare.error.issues.map((issue) => String(issue.path[0]))
  return Object.fromEntries(
    missing.flatMap((key) => (key in draft ? [] : [[key, (old as unknown as RowDraft)[key]]])),
  )
}

const unread = (names: readonly string[], columns: readonly unknown[]) =>
  names.filter((name, i) => name !== '' && !columns[i])

/** Runs a reading to its end. For tests and small tables. */
export function readWholeTable(cells: readonly (readonly Cell[])[], context: TableContext): TableRead {
  const steps = readTable(cells, context)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
