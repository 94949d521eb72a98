import { BY_MAKER, DERIVED_SOURCES, type DerivedSource } from '../../materials/sources.ts'

const NAMED: Record<DerivedSource, string> = {
  'by-name': 'inferred from its name',
  'by-parts': 'told from the names of its parts',
  'name-alone': 'told by its name alone',
  'own-entry': 'your own entry',
  [BY_MAKER]: 'entered by the maker',
}
const isDerived = (source: string): source is DerivedSource =>
  (DERIVED_SOURCES as readonly string[]).includes(source)

/** Where the facts of a material come from: a publication, or how they were derived. */
export const materialSource = (source: string): string => (isDerived(source) ? NAMED[source] : source)
