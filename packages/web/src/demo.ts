import { Container, Lot, toFormula, type Formula } from '@omblet/core'
import shelf from './demo-shelf.json'

const files = import.meta.glob<unknown>('../../../demo/*.omblet.json', { eager: true, import: 'default' })

/** The invented formulas of a small harbour town, in the order of their file names. */
export const demoFormulas = (): Formula[] =>
  Object.keys(files)
    .sort()
    .map((name) => toFormula(files[name]))

/** Lots and containers of the same harbour town, with their prices. */
export function demoShelf(): { lots: Lot[]; containers: Container[] } {
  return {
    lots: shelf.lots.map((l) => Lot.parse(l)),
    containers: shelf.containers.map((c) => Container.parse(c)),
  }
}
