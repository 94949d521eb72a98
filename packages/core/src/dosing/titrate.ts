import { randomOf } from '../stats/random.ts'
import { acidBaseOf, type AcidBase } from '../ph/acid-base.ts'
import { adjusterOf, directionOf } from '../ph/adjusters.ts'
import { modelSdAt } from './fit.ts'
import {
  hiddenAt,
  inWater,
  LEAST_WATER_RATIO,
  molesOfDose,
  phOfModel,
  waterOfDose,
  type PhModel,
} from './model.ts'
import { AT_25, daviesLogGamma } from '../ph/solver.ts'
import { CARBONIC } from '../ph/predict.ts'

const LN10 = Math.LN10
/** Most of a product that an adjuster's solution may be, percent. */
export const MOST_PERCENT = 50

/** An adjuster's solution as the balance sees it. */
export interface Titrant {
  constants: AcidBase
  direction: 'up' | 'down'
  strengthPercent: number
  /** mol per kg of the formula's own water and percent of product. */
  moles: number
  /** Water per percent, relative to the formula's own. */
  stretch: number
  most: number
}

/** An adjuster at a strength (percent of its solution) for a model; null for a key without constants. */
export function titrantOf(model: PhModel, key: string, strengthPercent: number): Titrant | null {
  const constants = acidBaseOf(key)
  if (!constants) return null
  const stretch = waterOfDose(model.fill, strengthPercent) / model.waterPercent
  return {
    constants,
    direction: adjusterOf(key)?.direction ?? directionOf(constants, phOfModel(model).ph),
    strengthPercent,
    moles: molesOfDose(constants, strengthPercent, model.waterPercent),
    stretch,
    most: stretch < 0 ? Math.min(MOST_PERCENT, (0.9 * model.waterRatio) / -stretch) : MOST_PERCENT,
  }
}

/** What a dose is worth at a pH: the terms of the balance, settled in ionic strength and water. */
interface Point {
  percent: number
  /** Charge of one percent of the dose. */
  worth: number
  /** Weak charge of the formula. */
  weak: number
  carbonic: number
  logG1: number
}

/** Steps of a titrant's own acid or base, of a lactone those of its acid; null for a strong one. */
function familyOf(constants: Titrant['constants']) {
  const acid = constants.hydrolysesTo ? (acidBaseOf(constants.hydrolysesTo) ?? constants) : constants
  if (acid.pKa.length === 0) return null
  return { total: constants.acidUnits ?? 1, pKa: acid.pKa, chargeTop: acid.chargeFullyProtonated }
}

/**
 * Percent of the product that a titrant must be for the pH to be `ph`: the charge balance is linear in the dose, so it
 * is read off rather than searched; only ionic strength and the share of water settle in a few rounds. Null where the
 * titrant has no charge left to give that way, or more than `most` would be needed. A negative dose means that the pH
 * lies on the other side.
 */
export function doseAt(model: PhModel, titrant: Titrant, ph: number, guess = 0): Point | null {
  const { system, hidden } = model
  const { constants, moles, stretch } = titrant
  const family = familyOf(constants)
  const proton = Math.exp(-ph * LN10)
  const hydroxide = Math.exp((ph - AT_25.pKw) * LN10)
  let percent = guess
  let ionic = 0.01
  let point: Point | null = null
  for (let round = 0; round < 60; round++) {
    const logG1 = daviesLogGamma(ionic)
    const ratio = Math.max(LEAST_WATER_RATIO, model.waterRatio + stretch * percent)
    let weak = 0
    let squares = 0
    for (const f of system.families) {
      const part = inWater(f, ph, logG1, ratio, 1 + hidden.scale)
      weak += part.charge
      squares += part.squares
    }
    const own = family ? inWater(family, ph, logG1, 1) : null
    const worth = moles * (constants.counterIonCharge + (own?.charge ?? 0))
    const gamma = Math.exp(logG1 * LN10)
    const water = (proton - hydroxide) / gamma
    const needed = -(system.strongCharge + weak + hiddenAt(model, ph) + model.waterRatio * water)
    const next = needed / (worth + stretch * water)
    const nextIonic =
      0.5 *
      ((system.strongSquares +
        Math.abs(hidden.charge) +
        squares +
        Math.max(0, next) * moles * (Math.abs(constants.counterIonCharge) + (own?.squares ?? 0))) /
        ratio +
        (proton + hydroxide) / gamma)
    if (!Number.isFinite(next) || Math.abs(next) > 1e4) return null
    const settled =
      Math.abs(next - percent) < 1e-9 + 1e-9 * Math.abs(next) && Math.abs(nextIonic - ionic) < 1e-9
    // From here on the middle is taken: what swings comes to rest.
    const damped = round >= 20
    percent = damped ? (percent + next) / 2 : next
    ionic = damped ? (ionic + nextIonic) / 2 : nextIonic
    point = {
      percent,
      worth: worth + stretch * water,
      weak,
      carbonic: inWater({ total: 1, pKa: CARBONIC, chargeTop: 0 }, ph, logG1, 1).charge,
      logG1,
    }
    if (settled) break
  }
  return point && rightWay(titrant, point) && point.percent <= titrant.most ? point : null
}

/** Below this share of its full charge a titrant does no more than a salt: it is spent. */
const SPENT = 0.02

/** A titrant is worth something only while its charge moves the pH its own way. */
function rightWay(titrant: Titrant, point: Point): boolean {
  const share = point.worth / titrant.moles
  return titrant.direction === 'up' ? share > SPENT : share < -SPENT
}

/** Standard normal numbers, the same ones each time, so that the same formula shows the same band. */
function normals(count: number): Float64Array {
  const random = randomOf(BAND_SEED)
  return Float64Array.from({ length: count }, random.normal)
}
const BAND_SEED = 20

/** One way that the unknown may be. */
export interface Draw {
  charge: number
  buffer: number
  scale: number
  /** Standard normal: which way the model errs. */
  model: number
  /** The titrant's true strength over its nominal one. */
  strength: number
}

const WIDTH = 6
/** A solution made in a kitchen is this true to its label, one standard error. */
const STRENGTH_SD = 0.02
let table: { count: number; numbers: Float64Array } | null = null

/** Draws from what the model leaves open; the same ones for the same model. */
export function drawsOf(model: PhModel, count: number): Draw[] {
  if (table?.count !== count) table = { count, numbers: normals(count * WIDTH) }
  const { numbers } = table
  const [l11, l21, l22, l31, l32, l33] = model.spread
  return Array.from({ length: count }, (_, k) => {
    const [z1, z2, z3, z4, z5, z6] = numbers.subarray(k * WIDTH, k * WIDTH + WIDTH) as unknown as [
      number,
      number,
      number,
      number,
      number,
      number,
    ]
    const buffer = Math.max(-model.hidden.buffer, l21 * z1 + l22 * z2)
    const scale = Math.max(-0.5 - model.hidden.scale, l31 * z1 + l32 * z2 + l33 * z3)
    return {
      charge: model.pin ? pinnedCharge(model, model.pin, z4, buffer, scale) : l11 * z1,
      buffer,
      scale,
      model: z5,
      strength: 1 + STRENGTH_SD * Math.max(-3, Math.min(3, z6)),
    }
  })
}

/** The charge of a draw whose reading was off by z standard errors, so that it still passes through that reading. */
function pinnedCharge(
  model: PhModel,
  pin: NonNullable<PhModel['pin']>,
  z: number,
  buffer: number,
  scale: number,
): number {
  const n = pin.z.length
  const place = Math.max(0, Math.min(n - 1, ((z - pin.z[0]!) / (pin.z[n - 1]! - pin.z[0]!)) * (n - 1)))
  const i = Math.min(n - 2, Math.floor(place))
  const between = (list: readonly number[]) => list[i]! + (place - i) * (list[i + 1]! - list[i]!)
  return (
    between(pin.charge) +
    buffer * (between(pin.at) - model.hidden.pivot) -
    (scale * between(pin.weak)) / (1 + model.hidden.scale)
  )
}

/** Dose of one draw at a pH: linear in what is drawn. Alkali nobody knew of has drawn its carbon dioxide from the air. */
export function doseOfDraw(model: PhModel, point: Point, ph: number, draw: Draw): number {
  const open =
    draw.charge * (draw.charge > 0 && !model.fitted ? 1 + point.carbonic : 1) -
    draw.buffer * (ph - model.hidden.pivot) +
    (draw.scale * point.weak) / (1 + model.hidden.scale)
  return (point.percent - open / point.worth) / draw.strength
}

/** The pH at which a draw's dose is taken: the model's own error shifts it. */
export const shiftedPh = (model: PhModel, ph: number, draw: Draw) => ph + draw.model * modelSdAt(model, ph)

/** Furthest pH that a titrant reaches from where the model stands, within `most` percent. */
export function reachOf(model: PhModel, titrant: Titrant): number {
  const start = phOfModel(model).ph
  const up = titrant.direction === 'up'
  let near = start
  let far = up ? 14 : 0
  if (up ? far < near : far > near) return near
  for (let i = 0; i < 40; i++) {
    const middle = (near + far) / 2
    if (doseAt(model, titrant, middle)) near = middle
    else far = middle
  }
  return near
}
