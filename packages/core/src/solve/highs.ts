import type { Highs, Model, ModelData } from 'highs'
import type { End, Program, Solution, Solver } from './lp.ts'

const OPTIMAL = 7
const INFEASIBLE = 8

function modelData({ variables, rows }: Program, infinity: number): ModelData {
  const bound = (value: number) => (Number.isFinite(value) ? value : value > 0 ? infinity : -infinity)
  const starts = [0]
  const indices: number[] = []
  const values: number[] = []
  for (const row of rows) {
    // A variable that is named twice in a row counts with the sum of its coefficients.
    const sums = new Map<number, number>()
    for (const [variable, coefficient] of row.terms)
      sums.set(variable, (sums.get(variable) ?? 0) + coefficient)
    for (const [variable, coefficient] of sums) {
      if (coefficient === 0) continue
      indices.push(variable)
      values.push(coefficient)
    }
    starts.push(indices.length)
  }
  return {
    numCols: variables.length,
    numRows: rows.length,
    colCost: variables.map((v) => v.cost),
    colLower: variables.map((v) => bound(v.lower)),
    colUpper: variables.map((v) => bound(v.upper)),
    rowLower: rows.map((r) => bound(r.lower)),
    rowUpper: rows.map((r) => bound(r.upper)),
    matrix: { format: 'csr', numRows: rows.length, numCols: variables.length, starts, indices, values },
  }
}

function withModel<T>(highs: Highs, program: Program, work: (model: Model) => T): T {
  const model = highs.createModel(modelData(program, highs.infinity))
  try {
    model.options.set({ output_flag: false })
    return work(model)
  } finally {
    model.dispose()
  }
}

function solveOnce(highs: Highs, program: Program): Solution {
  if (program.variables.some((v) => v.lower > v.upper)) return { status: 'infeasible' }
  return withModel(highs, program, (model) => {
    const status = model.run().modelStatus
    if (status === OPTIMAL)
      return {
        status: 'optimal',
        values: [...model.getSolution().colValue],
        objective: model.getObjectiveValue(),
      }
    return { status: status === INFEASIBLE ? 'infeasible' : 'unbounded' }
  })
}

function extremesOf(highs: Highs, program: Program, ends: readonly End[]): number[] | null {
  if (program.variables.some((v) => v.lower > v.upper)) return null
  const costless = { ...program, variables: program.variables.map((v) => ({ ...v, cost: 0 })) }
  return withModel(highs, costless, (model) => {
    if (model.run().modelStatus !== OPTIMAL) return null
    // Each further run starts from the last corner, which a change of one cost leaves feasible.
    model.options.set({ presolve: 'off', solver: 'simplex', simplex_strategy: 4 })
    return ends.map(({ variable, most }) => {
      const sign = most ? -1 : 1
      model.changeColCost(variable, sign)
      const status = model.run().modelStatus
      const value = status === OPTIMAL ? model.getSolution().colValue[variable]! : -sign * Infinity
      model.changeColCost(variable, 0)
      return value
    })
  })
}

/**
 * The HiGHS solver as WebAssembly, loaded when first asked for. `locate` gives the address of its file where the
 * usual one, beside the script, is not kept.
 */
export async function openHighs(locate?: (file: string) => string): Promise<Solver> {
  const { default: load } = await import('highs')
  const highs = await load(locate ? { locateFile: locate } : {})
  return {
    solve: (program) => solveOnce(highs, program),
    extremes: (program, ends) => extremesOf(highs, program, ends),
  }
}
