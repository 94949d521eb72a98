import { toFormula, type Formula } from '@omblet/core'

const files = import.meta.glob<unknown>('../../../demo/*.omblet.json', { eager: true, import: 'default' })

/** The invented formulas of a small harbour town, in the order of their file names. */
export const demoFormulas = (): Formula[] =>
  Object.keys(files)
    .sort()
    .map((name) => toFormula(files[name]))
