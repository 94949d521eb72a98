/** An acid–base family in solution: `total` in mol per kg of water, forms from the fully protonated one down. */
export interface PhFamily {
  total: number
  pKa: readonly number[]
  chargeTop: number
  /** Most of the uncharged form that stays dissolved, mol per kg of water; the rest is solid and takes no part. */
  neutralLimit?: number
}

export interface PhSystem {
  families: readonly PhFamily[]
  /** Charge of the strong ions, mol per kg of water: sodium counts up, chloride down. */
  strongCharge: number
  /** Sum of z² m over the strong ions, for the ionic strength. */
  strongSquares: number
  /** A buffer of unknown make-up: it gives up `capacity` mol of charge per kg of water and pH, none at `pivot`. */
  buffer?: { capacity: number; pivot: number }
}

export interface PhConstants {
  pKw: number
  /** Debye–Hückel constant. */
  A: number
}
/** Water at 25 °C: pKw 13.995 (Harned & Owen), A 0.509. */
export const AT_25: PhConstants = { pKw: 13.995, A: 0.509 }

export interface PhSolution {
  ph: number
  ionicStrength: number
  /** Share of each family that is the uncharged form, in the order of the families. */
  neutralShare: number[]
  /** Dissolved part of each family's total, mol per kg of water. */
  dissolved: number[]
}

/** log10 of the activity coefficient of a charge ±1 (Davies 1938, 1962); the bracket is frozen above I = 0.5. */
export function daviesLogGamma(ionicStrength: number, A = AT_25.A): number {
  const root = Math.sqrt(Math.min(ionicStrength, 0.5))
  return -A * (root / (1 + root) - 0.3 * Math.min(ionicStrength, 0.5))
}

export interface Forms {
  charge: number
  squares: number
  neutral: number
  dissolved: number
}

const LN10 = Math.LN10
const forms: Forms = { charge: 0, squares: 0, neutral: 0, dissolved: 0 }

/** What one family adds at a pH and log10 of the activity coefficient of a single charge; mol per kg of water. */
export const formsAt = (family: PhFamily, ph: number, logG1: number): Readonly<Forms> => ({
  ...formsOf(family, ph, logG1),
})

/** Charge, squares and uncharged share of one family. Writes into one shared object: this is the innermost loop. */
function formsOf(family: PhFamily, ph: number, logG1: number): Forms {
  const { pKa, chargeTop } = family
  // log10 of each form relative to the fully protonated one; the largest is found first, so nothing overflows
  let log = 0
  let top = 0
  for (let i = 0; i < pKa.length; i++) {
    // (z + 1)² − z² for the step from charge z + 1 to z
    log += ph - pKa[i]! + logG1 * (2 * (chargeTop - i) - 1)
    if (log > top) top = log
  }
  log = 0
  let part = Math.exp(-top * LN10)
  let sum = part
  let charge = chargeTop * part
  let squares = chargeTop * chargeTop * part
  let neutral = chargeTop === 0 ? part : 0
  for (let i = 0; i < pKa.length; i++) {
    const z = chargeTop - i - 1
    log += ph - pKa[i]! + logG1 * (2 * (chargeTop - i) - 1)
    part = Math.exp((log - top) * LN10)
    sum += part
    charge += z * part
    squares += z * z * part
    if (z === 0) neutral = part
  }
  forms.neutral = neutral / sum
  forms.dissolved = family.total
  if (family.neutralLimit !== undefined && forms.neutral * family.total > family.neutralLimit) {
    forms.dissolved = family.neutralLimit / forms.neutral
  }
  forms.charge = (charge / sum) * forms.dissolved
  forms.squares = (squares / sum) * forms.dissolved
  return forms
}

/** Slope of the net charge with pH as of the last call of `chargeAt`: minus ln 10 times the buffer capacity. */
let slope = 0

/** Net charge, mol per kg of water, at a pH and log10 of the activity coefficient of a single charge. */
function chargeAt(system: PhSystem, constants: PhConstants, ph: number, logG1: number): number {
  const g = Math.exp(-logG1 * LN10)
  const hydrogen = Math.exp(-ph * LN10) * g
  const hydroxide = Math.exp((ph - constants.pKw) * LN10) * g
  let sum = system.strongCharge + hydrogen - hydroxide
  let capacity = hydrogen + hydroxide
  if (system.buffer) {
    sum -= system.buffer.capacity * (ph - system.buffer.pivot)
    capacity += system.buffer.capacity / LN10
  }
  for (const family of system.families) {
    const f = formsOf(family, ph, logG1)
    sum += f.charge
    if (f.dissolved > 0) capacity += f.squares - (f.charge * f.charge) / f.dissolved
  }
  slope = -LN10 * capacity
  return sum
}

/** Exactness of a root while the ionic strength is still rough, pH. */
const ROUGH = 1e-4

/**
 * The pH of zero charge: Newton's steps inside a bracket that only shrinks, halved where a step would leave it. The
 * charge falls steadily with pH, so there is one root, and it is always found.
 */
function root(
  system: PhSystem,
  constants: PhConstants,
  logG1: number,
  guess: number,
  exactness = 1e-11,
): number {
  let low = -4
  let high = 18
  let ph = guess
  for (let i = 0; i < 200 && high - low > exactness; i++) {
    const value = chargeAt(system, constants, ph, logG1)
    if (value === 0) return ph
    if (value > 0) low = ph
    else high = ph
    const step = -value / slope
    if (Math.abs(step) < exactness) return ph + step
    const next = ph + Math.max(-1, Math.min(1, step))
    // Far from the root, and where a solid makes the slope jump, halving is surer.
    ph = next > low && next < high && i < 60 ? next : (low + high) / 2
  }
  return ph
}

/**
 * pH of an aqueous solution by electroneutrality: mass balances, thermodynamic constants with Davies activity
 * coefficients, water's own ionisation, acids limited by the solubility of their uncharged form. The charge falls
 * steadily with pH, so a bracketed search finds the one root of any input. Concentrations per kg of water.
 * Good to about 0.05 below an ionic strength of 0.1 and to 0.3 above 0.5 or for ions of charge 3.
 */
export function solvePh(system: PhSystem, constants: PhConstants = AT_25): PhSolution {
  let ionicStrength = 0
  let ph = root(system, constants, 0, 7, ROUGH)
  let before = { at: 0, off: 0 }
  for (let round = 0; round < 60; round++) {
    const logG1 = daviesLogGamma(ionicStrength, constants.A)
    ph = root(system, constants, logG1, ph, round < 2 ? ROUGH : 1e-9)
    let squares =
      system.strongSquares +
      (Math.exp(-ph * LN10) + Math.exp((ph - constants.pKw) * LN10)) * Math.exp(-logG1 * LN10)
    for (const family of system.families) squares += formsOf(family, ph, logG1).squares
    const off = squares / 2 - ionicStrength
    if (Math.abs(off) < 1e-8) break
    // A secant step on the ionic strength; where it misbehaves, plain repetition, damped late.
    const slopeOff = (off - before.off) / (ionicStrength - before.at)
    const secant = ionicStrength - off / slopeOff
    const plain = ionicStrength + (round < 20 ? off : off / 2)
    before = { at: ionicStrength, off }
    ionicStrength =
      round > 0 && round < 20 && slopeOff < -0.3 && secant >= 0 && Number.isFinite(secant) ? secant : plain
  }
  const logG1 = daviesLogGamma(ionicStrength, constants.A)
  ph = root(system, constants, logG1, ph)
  const neutralShare: number[] = []
  const dissolved: number[] = []
  for (const family of system.families) {
    const f = formsOf(family, ph, logG1)
    neutralShare.push(f.neutral)
    dissolved.push(f.dissolved)
  }
  return { ph, ionicStrength, neutralShare, dissolved }
}

/** The same system with `charge` mol of strong ions more per kg of water: positive for a strong base. */
export const withCharge = (system: PhSystem, charge: number): PhSystem => ({
  ...system,
  strongCharge: system.strongCharge + charge,
  strongSquares: system.strongSquares + Math.abs(charge),
})
