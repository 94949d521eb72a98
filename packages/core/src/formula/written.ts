import data from '../../data/written.json' with { type: 'json' }

/**
 * What Omblet writes into a formula by itself and calls its parts: names of phases, of a step, of a recipe without a title,
 * notes beside lines, and what stands behind the name of a solution. Once stored, it is the maker’s own text.
 */
export const WRITTEN = data
export const PHASE_NAMES = data.phases
