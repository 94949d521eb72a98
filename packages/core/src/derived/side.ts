import type { WeighedName } from '../lines/weighed.ts'
import { missingFrom } from '../choose/emulsifiers.ts'
import type { PriceOf } from '../cost/prices.ts'
import type { Finding } from '../findings/types.ts'
import { isCaution } from '../findings/index.ts'
import type { AssessedLine } from '../lines/types.ts'
import { formatRange } from '../text/format.ts'
import type { Derived } from './derived.ts'
import { forecastOf, forecastWords } from './forecast.ts'

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
  /** pH, windows, body, cost and the like, in words. */
  facts: { what: string; left: string; right: string; changed: boolean }[]
  /** Findings that the other has and this has not, and the reverse. */
  came: Finding[]
  went: Finding[]
  /** Steps of the method that are only in the one or in the other. */
  steps: { left: string[]; right: string[] }
}

/** Two formulas beside each other, line by line in the order of the right one, with what follows from each. */
export function sideBySide(left: Derived, right: Derived, priceOf: PriceOf): Sides {
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
    facts: factsOf(left, right, priceOf),
    came: plain(right).filter(missingFrom(plain(left))),
    went: plain(left).filter(missingFrom(plain(right))),
    steps: stepsOf(left, right),
  }
}

function factsOf(left: Derived, right: Derived, priceOf: PriceOf): Sides['facts'] {
  const words = (d: Derived) => {
    const { targetPh } = d.assessment.formula
    const f = forecastOf(d, priceOf)
    return new Map([
      ['pH aimed at', targetPh ? formatRange(targetPh) : 'none'],
      ['pH where all works', windowWords(d)],
      ...forecastWords(f).map((x): [string, string] => [
        x.what === 'pH' ? 'pH as predicted' : x.what,
        x.words,
      ]),
      ['Checks', `${f.stops + f.checks === 0 ? 'none' : `${f.stops} stop, ${f.checks} to check`}`],
    ])
  }
  const [l, r] = [words(left), words(right)]
  return [...new Set([...l.keys(), ...r.keys()])].map((what) => {
    const [x, y] = [l.get(what) ?? '–', r.get(what) ?? '–']
    return { what, left: x, right: y, changed: x !== y }
  })
}

function stepsOf(left: Derived, right: Derived): Sides['steps'] {
  const told = (d: Derived) => d.method.steps.map((s) => s.title)
  const [l, r] = [told(left), told(right)]
  return { left: l.filter((t) => !r.includes(t)), right: r.filter((t) => !l.includes(t)) }
}

function windowWords({ assessment: { ph } }: Derived): string {
  if (ph.shared) return formatRange(ph.shared)
  return ph.clashes.length > 0 ? 'nowhere: needs clash' : 'nothing asks'
}
