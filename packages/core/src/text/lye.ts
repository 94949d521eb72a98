/** How lye meets water; said wherever someone is about to weigh it (common practice). */
export const LYE_ORDER = 'Lye into cold water, slowly, never water onto lye.'
