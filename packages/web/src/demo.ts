import { Container, Lot, toFormula, type Formula } from '@omblet/core'

const files = import.meta.glob<unknown>('../../../demo/*.omblet.json', { eager: true, import: 'default' })

/** The invented formulas of a small harbour town, in the order of their file names. */
export const demoFormulas = (): Formula[] =>
  Object.keys(files)
    .sort()
    .map((name) => toFormula(files[name]))

const shelf = import.meta.glob<{ lots: unknown[]; containers: unknown[] }>('../../../demo/shelf.json', {
  eager: true,
  import: 'default',
})

/** Lots and containers of the same harbour town, with their prices. */
export function demoShelf(): { lots: Lot[]; containers: Container[] } {
  const [{ lots, containers }] = Object.values(shelf) as [{ lots: unknown[]; containers: unknown[] }]
  return { lots: lots.map((l) => Lot.parse(l)), containers: containers.map((c) => Container.parse(c)) }
}
