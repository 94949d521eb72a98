/** Several formulas as a file that is made and not saved yet, and how much goes along. */
export interface MadeExport {
  blob: Blob
  formulas: number
  versions: number
  materials: number
  changes: number
}
