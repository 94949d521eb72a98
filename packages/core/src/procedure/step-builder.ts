import type { AssessedLine } from '../lines/types.ts'
import type { LineRef } from '../shapes/formula.ts'
import { stepOf, type Step, type StepLine } from './steps.ts'

export type Told = Partial<Step> & Pick<Step, 'key' | 'kind' | 'said'>

export const refsOf = (lines: readonly LineRef[]): LineRef[] =>
  lines.map(({ phase, line }) => ({ phase, line }))
/** A minute a line and one for the vessel. */
export const weighMinutes = (lines: readonly unknown[]) => 1 + lines.length
export const round5 = (minutes: number) => Math.max(5, Math.round(minutes / 5) * 5)
/** Names of lines as they are weighed. */
export const labelsOf = (lines: readonly AssessedLine[]) => lines.map((l) => l.weighedAs)

/** What stands in a vessel: lines, how hot it is, and the steps that have to be over before something is done with it. */
interface Vessel {
  lines: LineRef[]
  celsius: number | null
  last: string[]
}

/**
 * Writes steps one after the other and knows at each moment what is in which vessel, so that nothing is poured before it
 * was weighed, nothing twice, and nothing out of an empty vessel.
 */
export class StepBuilder {
  readonly steps: Step[] = []
  private readonly vessels = new Map<string, Vessel>()
  private readonly used = new Set<string>()

  constructor(private readonly start: readonly string[] = []) {}

  private at(name: string): Vessel {
    let v = this.vessels.get(name)
    if (!v) this.vessels.set(name, (v = { lines: [], celsius: null, last: [...this.start] }))
    return v
  }
  /** A step that touches no vessel. */
  loose(told: Told): string {
    this.steps.push(stepOf({ ...told, ...(told.after ? { after: [...new Set(told.after)] } : {}) }))
    return told.key
  }
  /** Something done with a vessel. */
  with(vessel: string, told: Told): string {
    const v = this.at(vessel)
    const weighs = told.weighs ?? []
    const step = stepOf({
      ...told,
      vessel,
      after: [...new Set([...v.last, ...(told.after ?? [])])],
      celsius: told.celsius === undefined ? v.celsius : told.celsius,
      holds: refsOf(v.lines),
    })
    this.steps.push(step)
    v.lines.push(...refsOf(weighs))
    v.celsius = step.celsius
    v.last = [step.key]
    return step.key
  }
  /** Empties vessels into another one. */
  pour(from: readonly string[], into: string, told: Told): string {
    const full = from.filter((name) => name !== into && (this.vessels.get(name)?.lines.length ?? 0) > 0)
    const v = this.at(into)
    const brings = full.flatMap((name) => this.at(name).lines)
    const after = full.flatMap((name) => this.at(name).last)
    this.with(into, {
      ...told,
      from: full,
      into,
      brings: refsOf(brings),
      after: [...after, ...(told.after ?? [])],
    })
    v.lines.push(...brings)
    for (const name of full) this.vessels.delete(name)
    return told.key
  }
  /** A vessel that was not used yet, beside the one of a letter. */
  free(letter: string): string {
    let n = 1
    while (this.used.has(`${letter}${n}`)) n++
    this.used.add(`${letter}${n}`)
    return `${letter}${n}`
  }
  holds(name: string): readonly LineRef[] {
    return this.vessels.get(name)?.lines ?? []
  }
  celsius(name: string): number | null {
    return this.vessels.get(name)?.celsius ?? null
  }
  /** Vessels that hold something, apart from one. */
  others(than: string): string[] {
    return [...this.vessels].flatMap(([name, v]) => (name !== than && v.lines.length > 0 ? [name] : []))
  }
}

/** Water of the formula that is still to be weighed: what one step takes no other can. */
export class WaterStore {
  private taken = 0
  constructor(
    readonly line: AssessedLine | null,
    private readonly resolution: number,
  ) {}
  /** Takes so many grams, at most a third of it in all; null where there is none, or too little to be worth it. */
  take(grams: number): StepLine | null {
    if (!this.line) return null
    const most = this.line.grams / 3 - this.taken
    const wanted = Math.round(Math.min(grams, most) / this.resolution) * this.resolution
    const exact = Number(wanted.toPrecision(12))
    if (exact < Math.max(this.resolution, grams / 3)) return null
    this.taken += exact
    return { phase: this.line.phase, line: this.line.line, grams: exact }
  }
}
