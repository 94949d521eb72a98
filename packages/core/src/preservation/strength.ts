/** Shares of the product, 0 to 1, between which a preservative spreads. */
export interface Medium {
  water: number
  /** Oils that dissolve it: esters, butters and vegetable oils; not silicones and alkanes. */
  oil: number
  /** Solubilisers and surfactants beyond what covers the drops. */
  micelles: number
}

/**
 * How much less a vegetable oil takes than octanol, in log units: benzoic acid 5.3, methylparaben about 7 and
 * propylparaben about 80 to one of water (Martin's Physical Pharmacy; Hibbott & Monks 1961; from memory).
 */
const OIL_SHIFT = 1.15
/** Micelles of ethoxylated surfactants, of octanol's share (Patel & Kostenbauder 1958, parabens in polysorbate 80; from memory). */
const MICELLE_FACTOR = 0.6

/** Parts that an oil holds to one that water holds. */
export const oilToWater = (logKow: number) => 10 ** (logKow - OIL_SHIFT)
/** Parts that micelles hold to one that water holds, by weight. */
export const micelleToWater = (logKow: number) => MICELLE_FACTOR * 10 ** logKow

/**
 * Concentration of the uncharged form in the water, to one of it in the product as a whole: mass balance over water,
 * oil and micelles (Garrett & Woods 1953). `ionised`: parts of salt to one of free acid, 0 for what has no charge.
 */
export const shareInWater = (logKow: number, { water, oil, micelles }: Medium, ionised = 0) =>
  1 / (water * (1 + ionised) + oil * oilToWater(logKow) + micelles * micelleToWater(logKow))
