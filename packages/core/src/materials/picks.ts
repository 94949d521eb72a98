import data from '../../data/picks.json' with { type: 'json' }

/** What Omblet proposes where a maker leaves the choice, the usual ones first (common practice). */
export const PICKS = data
