import data from '../../data/written.json' with { type: 'json' }

/**
 * What Omblet writes into a formula by itself: names of phases, of a step, of a recipe without a title, and notes beside
 * lines. From then on it is the maker’s own text.
 */
export const WRITTEN = data
export const PHASE_NAMES = data.phases
