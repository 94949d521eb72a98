import type { LabelList } from './list.ts'

/** One name in two lists of a product; places count from 1. */
export interface LabelChange {
  key: string
  text: string
  before: number | null
  after: number | null
  what: 'new' | 'gone' | 'up' | 'down' | 'same'
  /** What the label declares, where it changed. */
  declared: { before: number | null; after: number | null } | null
}

/** Indexes of a longest rising run: what stayed in order. */
function longestRising(values: readonly number[]): Set<number> {
  const length = values.map(() => 1)
  const from = values.map(() => -1)
  let end = -1
  values.forEach((v, i) => {
    for (let j = 0; j < i; j++)
      if (values[j]! < v && length[j]! + 1 > length[i]!) {
        length[i] = length[j]! + 1
        from[i] = j
      }
    if (end < 0 || length[i]! > length[end]!) end = i
  })
  const kept = new Set<number>()
  for (let i = end; i >= 0; i = from[i]!) kept.add(i)
  return kept
}

/** What changed from one list of a product to another: new, gone, and the fewest names that moved, in the new order. */
export function compareLabels(before: LabelList, after: LabelList): LabelChange[] {
  const place = (list: LabelList) => new Map(list.names.map((n, i) => [n.key, i]))
  const [was, now] = [place(before), place(after)]
  const both = after.names.filter((n) => was.has(n.key))
  const kept = longestRising(both.map((n) => was.get(n.key)!))
  const still = new Set(both.filter((_, i) => kept.has(i)).map((n) => n.key))
  const declaredBefore = new Map(before.names.map((n) => [n.key, n.declaredPercent]))
  const rows = after.names.map((n, i): LabelChange => {
    const at = was.get(n.key) ?? null
    const told = declaredBefore.get(n.key) ?? null
    const changed = at !== null && told !== n.declaredPercent
    return {
      key: n.key,
      text: n.text,
      before: at === null ? null : at + 1,
      after: i + 1,
      what: at === null ? 'new' : still.has(n.key) ? 'same' : i < at ? 'up' : 'down',
      declared: changed ? { before: told, after: n.declaredPercent } : null,
    }
  })
  const gone = before.names.flatMap((n, i): LabelChange[] =>
    now.has(n.key)
      ? []
      : [{ key: n.key, text: n.text, before: i + 1, after: null, what: 'gone', declared: null }],
  )
  return [...rows, ...gone]
}
