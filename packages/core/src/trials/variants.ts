import { dequal } from 'dequal'
import { formulaToMake } from '../bench/start.ts'
import { emulsifierCandidates, thickenerCandidates, type ChoiceReason } from '../choose/emulsifiers.ts'
import { substitutesFor, type SubstituteNote } from '../choose/substitutes.ts'
import { derivedOf } from '../derived/derived.ts'
import { computeAmounts } from '../formula/amounts.ts'
import { applyEdit, type Edit } from '../formula/edit.ts'
import { difference, type LineChange } from '../formula/versions.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import type { Formula } from '../shapes/formula.ts'
import type { MethodChoices, ProcessOptions } from '../shapes/method.ts'
import type { Varies } from '../shapes/trial.ts'
import { questionsOf, type ProcessOptionValue } from '../procedure/questions.ts'
import { processOptionsOf } from '../procedure/process-options.ts'
import { capitalise, sayPercent } from '../text/format.ts'
import type { Plain, Said } from '../text/said.ts'

/** Why an option is worth a try, or what it changes. */
export type OptionNote =
  | { of: 'choice'; reason: ChoiceReason }
  | { of: 'substitute'; note: SubstituteNote }
  | { of: 'school'; option: ProcessOptionValue }

/** Something that can be put in the place of what a formula has. */
export interface Option {
  key: string
  label: string
  /** Percent of the product, where it is an amount. */
  percent: number | null
  /** As it is now. */
  current: boolean
  formula: Formula
  stops: number
  checks: number
  note: OptionNote | null
}

const choiceNote = (reason: ChoiceReason | undefined): OptionNote | null =>
  reason ? { of: 'choice', reason } : null
const substituteNote = (note: SubstituteNote | undefined): OptionNote | null =>
  note ? { of: 'substitute', note } : null

/** Without what was read and added at the sheet before: a trial makes it anew. */
const clean = (formula: Formula) => formulaToMake(formula, computeAmounts(formula).batchGrams)

/** Emulsifiers, thickeners, or what stands in for the material of a line: each at the amount that it wants. */
export function materialOptions(
  formula: Formula,
  catalogue: Catalogue,
  varies: 'emulsifier' | 'thickener' | 'material',
  index = 0,
): Option[] {
  const base = clean(formula)
  const a = derivedOf(base, catalogue).assessment
  const after = (edit: Edit) => applyEdit(base, edit)
  if (varies !== 'material') {
    const list =
      varies === 'emulsifier' ? emulsifierCandidates(a, catalogue) : thickenerCandidates(a, catalogue)
    return list.map((c) => ({
      key: c.material.id,
      label: capitalise(c.material.name),
      percent: c.percent,
      current: c.current,
      formula: c.current ? base : after(c.edit),
      stops: c.stops,
      checks: c.checks,
      note: choiceNote([...c.reasonsAgainst, ...c.reasonsFor][0]),
    }))
  }
  const line = a.lines[index]
  if (!line) return []
  const own: Option = {
    key: line.id,
    label: capitalise(line.label),
    percent: line.percent,
    current: true,
    formula: base,
    stops: 0,
    checks: 0,
    note: null,
  }
  const others = substitutesFor(a, index, catalogue).map((s): Option => ({
    key: s.material.id,
    label: capitalise(s.material.name),
    percent: s.percent,
    current: false,
    formula: after(s.edit),
    stops: s.brings.filter((f) => f.severity === 'stop').length,
    checks: s.brings.filter((f) => f.severity === 'check').length,
    note: substituteNote(s.differs[0] ?? s.alike[0]),
  }))
  return [own, ...others]
}

/** One line at these levels, percent of the product; the q.s. line gives way. Levels that leave it nothing are left out. */
export function levelOptions(formula: Formula, index: number, percents: readonly number[]): Option[] {
  const base = clean(formula)
  const line = computeAmounts(base).lines[index]
  if (!line || line.fill) return []
  return percents.flatMap((percent): Option[] => {
    const changed = applyEdit(base, { type: 'set-percent', at: line, percent })
    const fill = computeAmounts(changed).lines.find((l) => l.fill)
    if (fill && fill.percent < 0) return []
    return [
      {
        key: String(percent),
        label: sayPercent(percent),
        percent,
        current: Math.abs(percent - line.percent) < 1e-9,
        formula: changed,
        stops: 0,
        checks: 0,
        note: null,
      },
    ]
  })
}

/** The schools of one question of the method. */
export function processOptionVariants(
  formula: Formula,
  catalogue: Catalogue,
  key: keyof MethodChoices,
): Option[] {
  const base = clean(formula)
  const a = derivedOf(base, catalogue).assessment
  const school = questionsOf(a).find((q) => q.key === key)
  const chosen = processOptionsOf(a, base.method?.choices)[key as keyof ProcessOptions]
  return (school?.options ?? []).map((o) => ({
    key: o.value,
    label: o.value,
    percent: null,
    current: o.value === chosen,
    formula: { ...base, method: { ...base.method, choices: { ...base.method?.choices, [key]: o.value } } },
    stops: 0,
    checks: 0,
    note: { of: 'school', option: o },
  }))
}

/** What is asked of a formula: what is varied, and where that needs it which line, at what levels, or which question. */
export interface VariantWish {
  formula: Formula
  varies: Varies
  /** Place of the line among all lines. */
  line?: number
  percents?: readonly number[]
  school?: keyof MethodChoices
}

/** Everything that can be put into a trial of this kind, the formula as it is among it. */
export function variantOptions(wish: VariantWish, catalogue: Catalogue): Option[] {
  const { formula, varies, line = 0 } = wish
  switch (varies) {
    case 'emulsifier':
    case 'thickener':
    case 'material':
      return materialOptions(formula, catalogue, varies, line)
    case 'level':
      return levelOptions(formula, line, wish.percents ?? [])
    case 'school':
      return wish.school ? processOptionVariants(formula, catalogue, wish.school) : []
    default:
      return []
  }
}

/** What differs beside what is varied, by code. */
export interface AlsoFacts {
  moved: { name: string }
  differ: { names: string[] }
  method: Plain
  temperatures: Plain
  'target-ph': Plain
  product: Plain
}

/** What differs between samples. */
export interface Differs {
  /** Whether an answer is about the thing that was varied, and nothing else. */
  oneThing: boolean
  /** Lines that were varied, by material. */
  varied: string[]
  /** Materials whose amount only gives way, as the q.s. line does. */
  gives: string[]
  /** Whatever else differs. */
  also: Said<AlsoFacts>[]
}

const fillOf = (formula: Formula) => {
  const line = computeAmounts(formula).lines.find((l) => l.fill)
  return line ? formula.phases[line.phase]!.lines[line.line]!.material : null
}
const changedLines = (a: Formula, b: Formula): LineChange[] => {
  const fill = fillOf(a)
  return difference(a, b).filter((c) => !(c.kind === 'amount' && c.material === fill && fillOf(b) === fill))
}

/**
 * What differs between variants of a formula: what was chosen to, the q.s. line that gives way, and whatever else does.
 * `nameOf` tells the name of a material.
 */
export function whatDiffers(
  formulas: readonly Formula[],
  varies: Varies,
  nameOf: (id: string) => string,
): Differs {
  const [first, ...rest] = formulas
  const found: Said<AlsoFacts>[] = []
  const also = (x: Said<AlsoFacts>) => {
    if (!found.some((y) => dequal(x, y))) found.push(x)
  }
  const varied = new Set<string>()
  let gives = false
  if (first) {
    for (const other of rest) {
      const changes = changedLines(first, other)
      if (difference(first, other).length > changes.length) gives = true
      const swapped = { added: new Set<string>(), removed: new Set<string>() }
      for (const c of changes) {
        if (c.kind === 'added' || c.kind === 'removed') swapped[c.kind].add(c.material)
        varied.add(c.material)
        if (c.kind === 'moved') also({ code: 'moved', name: nameOf(c.material) })
      }
      const things =
        Math.max(swapped.added.size, swapped.removed.size) +
        new Set(changes.filter((c) => c.kind === 'amount').map((c) => c.material)).size
      if (things > 1 || (things > 0 && varies === 'school'))
        also({ code: 'differ', names: [...new Set(changes.map((c) => nameOf(c.material)))] })
      if (varies !== 'school' && methodKey(first) !== methodKey(other)) also({ code: 'method' })
      if (heatKey(first) !== heatKey(other)) also({ code: 'temperatures' })
      if (JSON.stringify(first.targetPh) !== JSON.stringify(other.targetPh)) also({ code: 'target-ph' })
      if (JSON.stringify(first.product) !== JSON.stringify(other.product)) also({ code: 'product' })
    }
  }
  const fill = first ? fillOf(first) : null
  return {
    oneThing: found.length === 0,
    varied: [...varied].map(nameOf),
    gives: gives && fill ? [nameOf(fill)] : [],
    also: found,
  }
}
const methodKey = (f: Formula) => JSON.stringify(f.method?.choices ?? {})
const heatKey = (f: Formula) =>
  f.phases
    .filter((p) => p.lines.length > 0)
    .map((p) => p.heatToC ?? '')
    .join()
