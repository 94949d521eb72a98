/** One row of a linear program: `lower ≤ Σ coefficient · x ≤ upper`. */
export interface Row {
  terms: readonly (readonly [variable: number, coefficient: number])[]
  lower: number
  upper: number
}

export interface Variable {
  lower: number
  upper: number
  /** What one unit of it costs in the sum that is made as small as possible. */
  cost: number
}

export interface Program {
  variables: readonly Variable[]
  rows: readonly Row[]
}

export type Solution =
  | { status: 'optimal'; values: number[]; objective: number }
  | { status: 'infeasible' }
  | { status: 'unbounded' }

/** Solves linear programs exactly; see `openHighs`. */
export interface Solver {
  /** The smallest sum of costs. */
  solve(program: Program): Solution
  /** Least or greatest value of each of these variables, whatever the costs; null where the rows contradict. */
  extremes(program: Program, ends: readonly End[]): number[] | null
}

export interface End {
  variable: number
  most: boolean
}
