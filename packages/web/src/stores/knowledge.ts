import { useContainers } from './containers'
import { useLots } from './lots'
import { useMaterials } from './materials'

let reading: Promise<unknown> | null = null

/** Reads what the maker added to the catalogue, once: every place but the list of formulas waits for it. */
export const readKnowledge = () =>
  (reading ??= Promise.all([useMaterials().load(), useLots().load(), useContainers().load()]))
