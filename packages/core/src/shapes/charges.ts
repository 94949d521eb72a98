/** Charge of a material in water. */
export const CHARGES = ['none', 'nonionic', 'anionic', 'cationic', 'amphoteric'] as const
