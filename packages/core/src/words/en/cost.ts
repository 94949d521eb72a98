/** Headings of a table of costs. */
export const COST_COLUMNS = ['Phase', 'Material', 'Grams', 'Cost', 'Not priced, grams', 'Lots'] as const
/** What stands before the sum of them. */
export const COST_TOTAL = 'Materials'
