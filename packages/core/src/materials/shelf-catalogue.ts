import { catalogue as base, Catalogue } from './catalogue.ts'
import { withChanges, type FactChange } from './changes.ts'
import { withAnalyses, type Lot } from './lots.ts'
import type { Material } from '../shapes/material.ts'

/** What a maker added to the catalogue. */
export interface OwnKnowledge {
  own: readonly Material[]
  changes: readonly FactChange[]
  /** Lots whose papers tell what is in them; others are of no account here. */
  lots: readonly Lot[]
}

/** The catalogue with the maker's changes of its facts and the analyses of lots, without own materials. */
export function knownCatalogue({ changes, lots }: Omit<OwnKnowledge, 'own'>): Catalogue {
  const told = lots.filter((l) => l.analysis?.length)
  if (told.length === 0 && changes.length === 0) return base
  return new Catalogue(withAnalyses(withChanges(base.materials, changes), told))
}

/** A catalogue with materials of one's own, which come first; analyses of their lots count too. */
export function withOwn(known: Catalogue, { own, lots }: Omit<OwnKnowledge, 'changes'>): Catalogue {
  const told = lots.filter((l) => l.analysis?.length)
  return known.with(told.length > 0 ? withAnalyses(own, told) : own)
}
