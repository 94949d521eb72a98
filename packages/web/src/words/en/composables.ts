import type { Shown } from '../shown'

/** table-cells.ts. */
export const tableCells = {
  partOfOmbletCouldNot: 'Part of Omblet could not be loaded.',
  couldNotBeReadSave: (name: Shown) => `${name} could not be read. Save it again as .csv or .xlsx.`,
}
