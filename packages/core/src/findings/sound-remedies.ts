import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { applyEdit } from '../formula/edit.ts'
import { findAll } from './index.ts'
import type { Finding, Remedy } from './types.ts'

const RANK = { stop: 2, check: 1, note: 0 } as const

/** What follows from a declaration that a maker makes knowingly is no fault of it. */
const DECLARED = new Set(['safety.unpreserved'])

/** Whether a finding was there before, as grave, of the same materials. */
const wasThere = (found: Finding, before: readonly Finding[]) =>
  before.some(
    (x) =>
      x.code === found.code &&
      RANK[x.severity] >= RANK[found.severity] &&
      (found.materials.length === 0 ||
        x.materials.length === 0 ||
        found.materials.some((m) => x.materials.includes(m))),
  )

/**
 * Whether a remedy may be offered: applied to a copy and judged again, it raises no stop and no check that was not there.
 * `before` are the findings of the formula as it stands.
 */
export function isSoundRemedy(a: Assessment, remedy: Remedy, before: readonly Finding[]): boolean {
  const after = findAll(assess(applyEdit(a.formula, remedy.edit), a.catalogue))
  return !after.some((f) => f.severity !== 'note' && !DECLARED.has(f.code) && !wasThere(f, before))
}
