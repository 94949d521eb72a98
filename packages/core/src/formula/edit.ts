import { computeAmounts } from './amounts.ts'
import { shorten } from '../text/format.ts'
import { LIMITS, type Formula, type Line, type LineRef, type Phase, type Product } from '../shapes/formula.ts'

/** One change to a formula. Every edit is a pure function of the formula, so each can be undone as one step. */
export type Edit =
  | { type: 'set-percent'; at: LineRef; percent: number }
  | { type: 'set-grams'; at: LineRef; grams: number }
  | { type: 'set-fill'; at: LineRef }
  | { type: 'clear-amount'; at: LineRef }
  | { type: 'switch-unit'; at: LineRef; unit: 'percent' | 'grams' }
  | { type: 'patch-line'; at: LineRef; patch: Partial<Line> }
  | { type: 'replace-material'; at: LineRef; material: string; custom?: Line['custom'] }
  | { type: 'add-line'; phase: number; index?: number; line: Line }
  | { type: 'remove-line'; at: LineRef }
  | { type: 'move-line'; from: LineRef; to: LineRef }
  | { type: 'add-phase'; index?: number; phase: Phase }
  | { type: 'patch-phase'; phase: number; patch: Partial<Phase> }
  | { type: 'remove-phase'; phase: number }
  | { type: 'move-phase'; from: number; to: number }
  | {
      type: 'patch'
      patch: Partial<
        Pick<
          Formula,
          | 'name'
          | 'batchGrams'
          | 'targetPh'
          | 'label'
          | 'costing'
          | 'scaleResolutionGrams'
          | 'scaleRepeatabilityGrams'
          | 'note'
          | 'readings'
          | 'additions'
          | 'portion'
          | 'method'
        >
      >
    }
  | { type: 'patch-product'; patch: Partial<Product> }
  | { type: 'scale-batch'; batchGrams: number }
  /** One after the other; a place is where it is after those before. */
  | { type: 'sequence'; edits: readonly Edit[] }

type Loose = Record<string, unknown>

/** Merges a patch; a key given as `undefined` is taken away rather than kept as an empty value. */
function patched<T extends object>(value: T, patch: Partial<T>): T {
  const next: Loose = { ...value, ...patch }
  for (const key of Object.keys(patch)) if ((patch as Loose)[key] === undefined) delete next[key]
  return next as T
}

const amountless = (line: Line): Line => {
  const { percent: _p, grams: _g, fill: _f, ...rest } = line
  return rest
}

function mapPhase(formula: Formula, index: number, change: (phase: Phase) => Phase): Formula {
  if (!formula.phases[index]) return formula
  return { ...formula, phases: formula.phases.map((phase, i) => (i === index ? change(phase) : phase)) }
}

const mapLine = (formula: Formula, at: LineRef, change: (line: Line) => Line) =>
  mapPhase(formula, at.phase, (phase) => ({
    ...phase,
    lines: phase.lines.map((line, i) => (i === at.line ? change(line) : line)),
  }))

const insert = <T>(list: readonly T[], index: number, item: T): T[] => {
  const at = Math.max(0, Math.min(index, list.length))
  return [...list.slice(0, at), item, ...list.slice(at)]
}
const without = <T>(list: readonly T[], index: number): T[] => list.filter((_, i) => i !== index)

/** What a line weighs and is, worked out: used when a unit changes or a fill line becomes a plain one. */
function amountAt(formula: Formula, at: LineRef) {
  return computeAmounts(formula).lines.find((l) => l.phase === at.phase && l.line === at.line)
}

const tidy = (value: number, places: number) => Number(Math.max(0, value).toFixed(places))

function setFill(formula: Formula, at: LineRef): Formula {
  const amounts = computeAmounts(formula)
  const old = amounts.lines.find((l) => l.fill)
  if (old && old.phase === at.phase && old.line === at.line) return formula
  const freed = old
    ? mapLine(formula, old, (line) => ({ ...amountless(line), percent: tidy(old.percent, 4) }))
    : formula
  return mapLine(freed, at, (line) => ({ ...amountless(line), fill: true }))
}

function switchUnit(formula: Formula, at: LineRef, unit: 'percent' | 'grams'): Formula {
  const amount = amountAt(formula, at)
  if (!amount?.given || amount.fill) return formula
  return mapLine(formula, at, (line) =>
    unit === 'grams'
      ? { ...amountless(line), grams: Math.max(0, amount.grams) }
      : { ...amountless(line), percent: tidy(amount.percent, 6) },
  )
}

/**
 * Scales to another batch: percents stay; lines typed in grams are scaled with it, so that the formula stays
 * the same product.
 */
function scaleBatch(formula: Formula, batchGrams: number): Formula {
  const before = computeAmounts(formula).batchGrams
  const factor = batchGrams / before
  return {
    ...formula,
    batchGrams,
    phases: formula.phases.map((phase) => ({
      ...phase,
      lines: phase.lines.map((line) =>
        line.grams === undefined ? line : { ...line, grams: Number((line.grams * factor).toPrecision(12)) },
      ),
    })),
  }
}

function moveLine(formula: Formula, from: LineRef, to: LineRef): Formula {
  const line = formula.phases[from.phase]?.lines[from.line]
  if (!line || !formula.phases[to.phase]) return formula
  const taken = mapPhase(formula, from.phase, (phase) => ({
    ...phase,
    lines: without(phase.lines, from.line),
  }))
  return mapPhase(taken, to.phase, (phase) => ({ ...phase, lines: insert(phase.lines, to.line, line) }))
}

type Apply<T extends Edit['type']> = (formula: Formula, edit: Extract<Edit, { type: T }>) => Formula

const EDITS: { [T in Edit['type']]: Apply<T> } = {
  sequence: (formula, { edits }) => edits.reduce(applyEdit, formula),
  'set-percent': (formula, { at, percent }) =>
    mapLine(formula, at, (line) => ({ ...amountless(line), percent })),
  'set-grams': (formula, { at, grams }) => mapLine(formula, at, (line) => ({ ...amountless(line), grams })),
  'set-fill': (formula, { at }) =>
    formula.phases[at.phase]?.lines[at.line] ? setFill(formula, at) : formula,
  'clear-amount': (formula, { at }) => mapLine(formula, at, amountless),
  'switch-unit': (formula, { at, unit }) => switchUnit(formula, at, unit),
  'patch-line': (formula, { at, patch }) => mapLine(formula, at, (line) => patched(line, patch)),
  'replace-material': (formula, { at, material, custom }) =>
    mapLine(formula, at, (line) => {
      const { custom: _c, strengthPercent: _s, grade: _g, ...rest } = line
      return { ...rest, material, ...(custom ? { custom } : {}) }
    }),
  'add-line': (formula, { phase, index, line }) =>
    mapPhase(formula, phase, (p) => ({ ...p, lines: insert(p.lines, index ?? p.lines.length, line) })),
  'remove-line': (formula, { at }) =>
    mapPhase(formula, at.phase, (p) => ({ ...p, lines: without(p.lines, at.line) })),
  'move-line': (formula, { from, to }) => moveLine(formula, from, to),
  'add-phase': (formula, { phase, index }) => ({
    ...formula,
    phases: insert(formula.phases, index ?? formula.phases.length, phase),
  }),
  'patch-phase': (formula, { phase, patch }) => mapPhase(formula, phase, (p) => patched(p, patch)),
  'remove-phase': (formula, { phase }) => ({ ...formula, phases: without(formula.phases, phase) }),
  'move-phase'(formula, { from, to }) {
    const phase = formula.phases[from]
    return phase ? { ...formula, phases: insert(without(formula.phases, from), to, phase) } : formula
  },
  patch: (formula, { patch }) => patched(formula, patch as Partial<Formula>),
  'patch-product': (formula, { patch }) => ({ ...formula, product: patched(formula.product, patch) }),
  'scale-batch': (formula, { batchGrams }) => scaleBatch(formula, batchGrams),
}

/** Applies one edit. Places that do not exist leave the formula as it is. */
export function applyEdit(formula: Formula, edit: Edit): Formula {
  const apply = EDITS[edit.type] as (formula: Formula, edit: Edit) => Formula
  return apply(formula, edit)
}

/** The place above or below, crossing into the neighbouring phase at its edge; null at the end of the sheet. */
export function neighbourPlace(formula: Formula, at: LineRef, step: -1 | 1): LineRef | null {
  const phase = formula.phases[at.phase]
  if (!phase) return null
  const next = at.line + step
  if (next >= 0 && next < phase.lines.length) return { phase: at.phase, line: next }
  const target = formula.phases[at.phase + step]
  if (!target) return null
  return { phase: at.phase + step, line: step === 1 ? 0 : target.lines.length }
}

/** A formula that takes no more lines or phases. */
export interface Full {
  of: 'line' | 'phase'
  most: number
}
/** Whether a formula takes no more; null where it does. */
export function fullReason(formula: Formula, of: Full['of']): Full | null {
  const lines = formula.phases.reduce((sum, p) => sum + p.lines.length, 0)
  if (of === 'line' && lines >= LIMITS.lines) return { of, most: LIMITS.lines }
  if (of === 'phase' && formula.phases.length >= LIMITS.phases) return { of, most: LIMITS.phases }
  return null
}

/** A copy under another name. Phases and lines keep their keys, so that what the method says of them goes along. */
export const duplicate = (formula: Formula, name: string): Formula => ({
  ...formula,
  name: shorten(name, LIMITS.name),
})

/** `Low Tide toner 2`: the first free name of that stem, never longer than a name may be. */
export function freeName(wanted: string, taken: readonly string[]): string {
  const used = new Set(taken.map((name) => name.trim().toLowerCase()))
  const whole = shorten(wanted, LIMITS.name)
  if (!used.has(whole.trim().toLowerCase())) return whole
  const stem = whole.replace(/ \d+$/, '')
  for (let n = 2; ; n++) {
    const ending = ` ${n}`
    const name = `${shorten(stem, LIMITS.name - ending.length)}${ending}`
    if (!used.has(name.toLowerCase())) return name
  }
}
