/** How lye meets water; said wherever someone is about to weigh it (common practice). */
/** Protection that handling lye asks for, solid or in solution (common practice). */
export const LYE_CARE = 'Goggles and gloves.'
export const LYE_ORDER = 'Lye into cold water, slowly, never water onto lye.'
