import type { WeighedName } from '../lines/weighed.ts'
import { missingFrom } from '../choose/emulsifiers.ts'
import type { Finding } from '../findings/types.ts'
import { isCaution } from '../findings/index.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { Derived } from './derived.ts'

/** One material in two formulas. */
export interface SideRow {
  material: string
  label: WeighedName
  /** Percent and phase in the one and in the other; null where it is not in it, or has no amount. */
  left: { percent: number | null; phase: string; fill: boolean } | null
  right: { percent: number | null; phase: string; fill: boolean } | null
  changed: boolean
}
export interface Sides {
  rows: SideRow[]
  /** Findings that the other has and this has not, and the reverse. */
  came: Finding[]
  went: Finding[]
}

/** Two formulas beside each other, line by line in the order of the right one. */
export function sideBySide(left: Derived, right: Derived): Sides {
  const cell = (d: Derived, l: AssessedLine | undefined) =>
    l
      ? { percent: l.given ? l.percent : null, phase: d.assessment.phases[l.phase]!.name, fill: l.fill }
      : null
  const rest = [...left.assessment.lines]
  const takeTwin = (l: AssessedLine) => {
    const phase = right.assessment.phases[l.phase]!.name
    const same = rest.filter((x) => x.id === l.id)
    const twin = same.find((x) => left.assessment.phases[x.phase]!.name === phase) ?? same[0]
    if (twin) rest.splice(rest.indexOf(twin), 1)
    return twin
  }
  const row = (l: SideRow['left'], r: SideRow['right'], material: string, label: WeighedName): SideRow => ({
    material,
    label,
    left: l,
    right: r,
    changed: !l || !r || l.phase !== r.phase || Math.abs((l.percent ?? -1) - (r.percent ?? -1)) > 1e-6,
  })
  const rows = right.assessment.lines.map((l) =>
    row(cell(left, takeTwin(l)), cell(right, l), l.id, l.weighedAs),
  )
  for (const l of rest) rows.push(row(cell(left, l), null, l.id, l.weighedAs))
  const plain = (d: Derived) => d.findings.filter((f) => !isCaution(f))
  return {
    rows,
    came: plain(right).filter(missingFrom(plain(left))),
    went: plain(left).filter(missingFrom(plain(right))),
  }
}
