import { computeAmounts } from './amounts.ts'
import type { Formula } from '../shapes/formula.ts'

export interface LineChange {
  kind: 'added' | 'removed' | 'amount' | 'moved'
  material: string
  before: number | null
  after: number | null
  /** Names of the phases, for a move. */
  from?: string
  to?: string
}

const rows = (formula: Formula) =>
  computeAmounts(formula).lines.map((amount) => {
    const phase = formula.phases[amount.phase]!
    return {
      material: phase.lines[amount.line]!.material,
      phase: phase.name,
      percent: amount.given ? amount.percent : null,
    }
  })

/** What changed from one version of a formula to another, line by line, in the order of the newer one. */
export function difference(before: Formula, after: Formula): LineChange[] {
  const old = rows(before)
  const used = new Set<number>()
  const changes: LineChange[] = []
  for (const row of rows(after)) {
    const candidates = old.flatMap((o, i) => (!used.has(i) && o.material === row.material ? [i] : []))
    const match = candidates.find((i) => old[i]!.phase === row.phase) ?? candidates[0]
    if (match === undefined) {
      changes.push({ kind: 'added', material: row.material, before: null, after: row.percent })
      continue
    }
    used.add(match)
    const was = old[match]!
    if (was.phase !== row.phase) {
      changes.push({
        kind: 'moved',
        material: row.material,
        before: was.percent,
        after: row.percent,
        from: was.phase,
        to: row.phase,
      })
    }
    if (Math.abs((was.percent ?? -1) - (row.percent ?? -1)) > 1e-6) {
      changes.push({ kind: 'amount', material: row.material, before: was.percent, after: row.percent })
    }
  }
  old.forEach((was, i) => {
    if (!used.has(i))
      changes.push({ kind: 'removed', material: was.material, before: was.percent, after: null })
  })
  return changes
}

interface InTree {
  id: string
  number: number
  from?: string | undefined
}
/**
 * Where each version came from: the one that was told, else the one before it by number. `depth` counts how often the way
 * to it left the line of the first children: 0 for the trunk.
 */
export function versionTree<V extends InTree>(
  versions: readonly V[],
): { version: V; parent: V | null; depth: number }[] {
  const byNumber = [...versions].sort((x, y) => x.number - y.number)
  const placed = new Map<string, { version: V; parent: V | null; depth: number }>()
  const children = new Map<string, number>()
  for (const [i, version] of byNumber.entries()) {
    const told = byNumber.slice(0, i).find((v) => v.id === version.from)
    const parent = told ?? byNumber[i - 1] ?? null
    const nth = parent ? (children.get(parent.id) ?? 0) : 0
    if (parent) children.set(parent.id, nth + 1)
    placed.set(version.id, {
      version,
      parent,
      depth: (parent ? placed.get(parent.id)!.depth : 0) + (nth > 0 ? 1 : 0),
    })
  }
  return byNumber.map((v) => placed.get(v.id)!)
}
