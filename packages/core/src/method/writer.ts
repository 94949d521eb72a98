import type { Assessment, AssessedLine } from '../assess/types.ts'
import type { LineRef } from '../formula/schema.ts'
import type { Material } from '../materials/schema.ts'
import { stepOf, type Step } from './steps.ts'

export type Draft = Partial<Step> & Pick<Step, 'key' | 'kind' | 'title'>

export class Writer {
  readonly steps: Step[] = []
  add(draft: Draft): string {
    this.steps.push(stepOf({ ...draft, ...(draft.after ? { after: [...new Set(draft.after)] } : {}) }))
    return draft.key
  }
}

export const round5 = (minutes: number) => Math.max(5, Math.round(minutes / 5) * 5)
export const PRESERVING = (l: AssessedLine) => l.material?.cover !== undefined
/** A minute a line and one for the vessel. */
export const weighMinutes = (lines: readonly AssessedLine[]) => 1 + lines.length

/** Rounds of blending while it cools, and minutes between them, by how fast the emulsifier sets. */
export const CYCLES = { fast: [2, 3], medium: [3, 6], slow: [4, 8] } as const

/** Swells for so long that it is begun before the rest; hours. */
export const SWELLS_HOURS = 2
export const swellsAhead = (m: Material | null) => (m?.hydrationHours?.max ?? 0) >= SWELLS_HOURS

export const refsOf = (lines: readonly AssessedLine[]): LineRef[] =>
  lines.map(({ phase, line }) => ({ phase, line }))

export const isGum = (m: Material | null) => m !== null && (m.kind === 'gum' || m.kind === 'polymer')

export interface Part {
  index: number
  letter: string
  name: string
  id: string
  role: string
  lines: AssessedLine[]
  grams: number
  heatToC: number | undefined
  belowC: number | undefined
  holdMinutes: number | undefined
}

export const partsOf = (a: Assessment): Part[] =>
  a.phases.flatMap((p, index) => {
    const source = a.formula.phases[index]!
    const lines = a.lines.filter((l) => l.phase === index)
    return lines.length === 0
      ? []
      : [
          {
            index,
            letter: p.letter,
            name: p.name,
            id: source.id ?? `${p.role}-${p.letter}`,
            role: p.role,
            lines,
            grams: p.grams,
            heatToC: source.heatToC,
            belowC: source.belowC,
            holdMinutes: source.holdMinutes,
          },
        ]
  })

/** What was made ahead was weighed then. */
export const toWeigh = (p: Part) =>
  p.lines.filter((l) => !swellsAhead(l.material) && l.material?.reconstitutesTo === undefined)
