/** Stored with a maker’s own materials since the first version, so it stays as it is. */
export const BY_MAKER = 'entered by the maker'
/** Where the facts of a material come from, where no publication tells them. */
export const DERIVED_SOURCES = ['by-name', 'by-parts', 'name-alone', 'own-entry', BY_MAKER] as const
export type DerivedSource = (typeof DERIVED_SOURCES)[number]
