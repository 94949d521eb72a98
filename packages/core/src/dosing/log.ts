import type { Edit } from '../formula/edit.ts'
import type { Addition, Formula, Reading } from '../shapes/formula.ts'
import { capitalise } from '../text/format.ts'
import { adjusterOf } from '../ph/adjusters.ts'
import { catalogue as known, type Catalogue } from '../materials/catalogue.ts'
import { weighedName, type WeighedName } from '../lines/weighed.ts'
import { adjusterKey } from './fit.ts'

/** One line of the log: what was read or added, in the order in which it happened. */
export type LogEntry =
  { kind: 'read'; index: number; reading: Reading } | { kind: 'added'; index: number; addition: Addition }

/** Readings and additions in the order in which they were made. */
export function phLog(formula: Formula): LogEntry[] {
  const readings = formula.readings ?? []
  const additions = (formula.additions ?? []).map((addition, index) => ({ addition, index }))
  const entries: LogEntry[] = []
  for (let r = 0; r <= readings.length; r++) {
    for (const { addition, index } of additions) {
      const at = Math.min(addition.afterReading, readings.length)
      if (at === r) entries.push({ kind: 'added', index, addition })
    }
    if (r < readings.length) entries.push({ kind: 'read', index: r, reading: readings[r]! })
  }
  return entries
}

const orNone = <T>(list: T[]): T[] | undefined => (list.length > 0 ? list : undefined)

/** A reading at the end of the log. */
export const recordReading = (formula: Formula, reading: Reading): Edit => ({
  type: 'patch',
  patch: { readings: [...(formula.readings ?? []), reading] },
})

/** An addition at the end of the log. */
export const recordAddition = (formula: Formula, addition: Omit<Addition, 'afterReading'>): Edit => ({
  type: 'patch',
  patch: {
    additions: [
      ...(formula.additions ?? []),
      { ...addition, afterReading: formula.readings?.length ?? 0 } as Addition,
    ],
  },
})

/** Takes a line out of the log; additions after a reading that goes keep their order. */
export function removeEntry(formula: Formula, entry: LogEntry): Edit {
  if (entry.kind === 'added')
    return {
      type: 'patch',
      patch: { additions: orNone((formula.additions ?? []).filter((_, i) => i !== entry.index)) },
    }
  return {
    type: 'patch',
    patch: {
      readings: orNone((formula.readings ?? []).filter((_, i) => i !== entry.index)),
      additions: orNone(
        (formula.additions ?? []).map((x) =>
          x.afterReading > entry.index ? { ...x, afterReading: x.afterReading - 1 } : x,
        ),
      ),
    },
  }
}

/**
 * Takes what was added into the formula as fixed amounts: one line an adjuster and strength, in its adjust phase, with
 * the q.s. line kept. The log keeps the additions, marked. Null where nothing is open.
 */
export function takeInAdditions(formula: Formula): Edit | null {
  const open = (formula.additions ?? []).filter((x) => !x.inFormula)
  if (open.length === 0) return null
  const sums = new Map<string, { material: string; strengthPercent: number; percent: number }>()
  for (const x of open) {
    const material = adjusterKey(x.material) ?? x.material
    const key = `${material} ${x.strengthPercent}`
    const sum = sums.get(key) ?? { material, strengthPercent: x.strengthPercent, percent: 0 }
    sum.percent += (100 * x.grams) / x.ofGrams
    sums.set(key, sum)
  }
  const edits: Edit[] = []
  let phase = formula.phases.findIndex((p) => p.role === 'adjust')
  if (phase < 0) {
    phase = formula.phases.length
    edits.push({ type: 'add-phase', phase: { name: ADJUST_PHASE, role: 'adjust', belowC: 40, lines: [] } })
  }
  const there = formula.phases[phase]?.lines ?? []
  for (const sum of sums.values()) {
    const line = there.findIndex(
      (l) =>
        (adjusterKey(l.material) ?? l.material) === sum.material &&
        (l.strengthPercent ?? 100) === sum.strengthPercent &&
        l.percent !== undefined,
    )
    if (line >= 0)
      edits.push({
        type: 'set-percent',
        at: { phase, line },
        percent: tidy(there[line]!.percent! + sum.percent),
      })
    else
      edits.push({
        type: 'add-line',
        phase,
        line: { material: sum.material, strengthPercent: sum.strengthPercent, percent: tidy(sum.percent) },
      })
  }
  const name = formula.phases[phase]?.name ?? ADJUST_PHASE
  edits.push({
    type: 'patch',
    patch: {
      additions: (formula.additions ?? []).map((x) => ({ ...x, inFormula: true })),
      ...readAfter(formula, open, name),
    },
  })
  return { type: 'sequence', edits }
}
const ADJUST_PHASE = 'Adjust pH'

/** A last reading that came after everything that was added was taken after the phase that holds it now. */
function readAfter(formula: Formula, open: readonly Addition[], phase: string): { readings?: Reading[] } {
  const readings = formula.readings ?? []
  const last = readings.at(-1)
  if (!last?.afterPhase || open.some((x) => x.afterReading >= readings.length)) return {}
  return { readings: [...readings.slice(0, -1), { ...last, afterPhase: phase }] }
}
const tidy = (percent: number) => Number(percent.toFixed(5))

/** What an addition brought, as a sentence's parts: grams of the dry adjuster and of water. */
export function partsOfAddition(x: Pick<Addition, 'grams' | 'strengthPercent'>) {
  const dry = (x.grams * x.strengthPercent) / 100
  return { dryGrams: dry, waterGrams: x.grams - dry }
}

export const adjusterName = (material: string) => {
  const key = adjusterKey(material)
  return capitalise((key && adjusterOf(key)?.name) || material)
}

/** An adjuster as it goes in: `sodium hydroxide, 10 % solution`. */
export function adjusterAsWeighed(
  { material, strengthPercent }: Pick<Addition, 'material' | 'strengthPercent'>,
  catalogue: Catalogue = known,
): WeighedName {
  const found = catalogue.find(material)
  const name = found?.name ?? adjusterOf(adjusterKey(material) ?? material)?.name ?? material
  return weighedName(name, strengthPercent < 100 ? strengthPercent : null, found)
}

export interface PortionScale {
  /** Of the solution for the batch, grams. */
  batchGrams: number
  /** Of the product left when the portion is thrown away. */
  restGrams: number
  dropsInBatch: number | null
}

/** What a small portion took, scaled to the batch that is left without it. */
export function scalePortion(
  addedGrams: number,
  portionGrams: number,
  batchGrams: number,
  dropGrams: number | null,
): PortionScale {
  const restGrams = Math.max(0, batchGrams - portionGrams)
  const grams = (addedGrams / portionGrams) * restGrams
  return { batchGrams: grams, restGrams, dropsInBatch: dropGrams ? grams / dropGrams : null }
}
