import { containerTable as texts } from '#words/files'
import { Container } from '../fill/containers.ts'
import { slug } from '../text/names.ts'
import { firstIssue } from './json.ts'
import { parseNumber, parsePrice } from '../words/typed.ts'

type Reads = 'mL' | 'g' | 'price' | 'number'
const read = (text: string, what: string, reads: Reads) =>
  reads === 'price'
    ? parsePrice(text)
    : parseNumber(text, { min: 0, max: 1e6, what, unit: reads === 'number' ? undefined : reads })

/** Columns of a table of containers, with other headings that mean the same. */
const COLUMNS: { name: string; key: keyof Container & string; also: string[]; reads?: Reads }[] = [
  { name: 'name', key: 'name', also: ['container'] },
  { name: 'kind', key: 'kind', also: ['type'] },
  { name: 'made_of', key: 'wall', also: ['wall', 'material'] },
  { name: 'holds_ml', key: 'nominalMl', also: ['nominal-ml', 'volume', 'ml'], reads: 'mL' },
  { name: 'brim_ml', key: 'brimMl', also: ['brimful-ml'], reads: 'mL' },
  { name: 'empty_grams', key: 'emptyGrams', also: ['empty', 'weight'], reads: 'g' },
  { name: 'price', key: 'price', also: ['cost'], reads: 'price' },
  { name: 'left', key: 'left', also: ['count', 'stock'], reads: 'number' },
  { name: 'note', key: 'note', also: [] },
  { name: 'id', key: 'id', also: [] },
]

/** Containers as rows under a row of headings. */
export const containerRows = (containers: readonly Container[]): (string | number | undefined)[][] => [
  COLUMNS.map((c) => c.name),
  ...containers.map((c) => COLUMNS.map(({ key }) => c[key] as string | number | undefined)),
]

/**
 * Containers from rows of a table. One of the same id, or of the same name where it has none, is changed; facts that the
 * table has no column for stay. Rows that cannot be read are told by their number.
 */
export function readContainers(
  cells: readonly (readonly string[])[],
  here: readonly Container[],
  makeId: () => string,
): { rows: { was: Container | null; next: Container }[]; refused: string[] } {
  const [head = [], ...rest] = cells
  const columns = head.map(
    (h) => COLUMNS.find((c) => slug(c.name) === slug(h) || c.also.includes(slug(h))) ?? null,
  )
  if (!columns.some((c) => c?.key === 'name')) return { rows: [], refused: [texts.theTableHasNoColumn] }
  const refused: string[] = []
  const rows = rest.flatMap((row, i): { was: Container | null; next: Container }[] => {
    const draft: Record<string, unknown> = {}
    for (const [at, column] of columns.entries()) {
      const text = (row[at] ?? '').trim()
      if (!column || text === '') continue
      const number = column.reads ? read(text, column.name, column.reads) : null
      if (number && 'error' in number) {
        refused.push(texts.row(i + 2, number.error))
        return []
      }
      draft[column.key] = number ? number.value : text
    }
    const old = here.find((c) =>
      draft['id'] === undefined ? c.name === draft['name'] : c.id === draft['id'],
    )
    const checked = Container.safeParse({ left: 0, ...old, ...draft, id: draft['id'] ?? old?.id ?? makeId() })
    if (checked.success) return [{ was: old ?? null, next: checked.data }]
    refused.push(texts.row2(i + 2, firstIssue(checked.error).message))
    return []
  })
  return { rows, refused }
}
