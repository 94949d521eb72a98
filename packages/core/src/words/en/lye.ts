/** Protection that handling lye asks for, solid or in solution (common practice). */
export const LYE_CARE = 'Goggles and gloves.'
/** How lye meets water; said wherever someone is about to weigh it (common practice). */
export const LYE_ORDER = 'Lye into cold water, slowly, never water onto lye.'
/** First aid, the same wherever lye is handled (common practice). */
export const LYE_SPLASHES =
  'If it gets on skin or in eyes, rinse with running water for 20 minutes and get medical help.'
