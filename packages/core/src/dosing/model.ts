import type { Assessment } from '../assess/types.ts'
import { acidBaseOf, type AcidBase } from '../ph/acid-base.ts'
import { CARBON_DIOXIDE, CARBONIC, modelErrorOf } from '../ph/predict.ts'
import {
  AT_25,
  daviesLogGamma,
  formsAt,
  solvePh,
  type Forms,
  type PhFamily,
  type PhSolution,
  type PhSystem,
} from '../ph/solver.ts'

/** An adjuster's solution in percent of the product. */
export interface Dose {
  key: string
  strengthPercent: number
  percent: number
}

/**
 * The water phase of a formula as plain data, ready for a worker. Amounts are mol per kg of the water that the
 * formula itself holds; `waterRatio` is how much of it there is after doses.
 */
export interface PhModel {
  system: PhSystem
  waterPercent: number
  /** Doses take their water from the q.s. line. */
  fill: boolean
  waterRatio: number
  batchGrams: number
  resolutionGrams: number
  /** What the recipe does not tell, mol per kg: a strong charge, a buffer, and the share by which acids and bases are off. */
  hidden: { charge: number; buffer: number; scale: number; pivot: number }
  /** Lower triangle of the Cholesky factor of their covariance: charge, buffer, scale. */
  spread: readonly [number, number, number, number, number, number]
  /**
   * What the reading that pins the model leaves open: the charge to add where the pH was in truth so many standard
   * errors higher, with the weak charge there. Null without a reading.
   */
  pin: { ph: number; z: number[]; at: number[]; charge: number[]; weak: number[] } | null
  /** Standard error of the model itself, pH. */
  modelSd: number
  fitted: boolean
}

const LN10 = Math.LN10

const familyOf = (constants: AcidBase, total: number): PhFamily => {
  const acid = constants.hydrolysesTo ? (acidBaseOf(constants.hydrolysesTo) ?? constants) : constants
  return {
    total: total * (constants.acidUnits ?? 1),
    pKa: acid.pKa,
    chargeTop: acid.chargeFullyProtonated,
  }
}

/** Water that one percent of a dose adds, percent of the product: taken from q.s. it is negative. */
export const waterOfDose = (fill: boolean, strengthPercent: number) =>
  fill ? -strengthPercent / 100 : 1 - strengthPercent / 100

/** Moles per kg of the formula's own water that one percent of a dose brings. */
export const molesOfDose = (constants: AcidBase, strengthPercent: number, waterPercent: number) =>
  (10 * strengthPercent) / (constants.molarMass * waterPercent)

/** Share of its own water that a formula keeps, however much is dosed. */
export const LEAST_WATER_RATIO = 0.05

/** The same model with doses in it. */
export function withDoses(model: PhModel, doses: readonly Dose[]): PhModel {
  let { waterRatio } = model
  let { strongCharge, strongSquares } = model.system
  const families = [...model.system.families]
  for (const dose of doses) {
    const constants = acidBaseOf(dose.key)
    if (!constants) continue
    const m = molesOfDose(constants, dose.strengthPercent, model.waterPercent) * dose.percent
    waterRatio += (waterOfDose(model.fill, dose.strengthPercent) * dose.percent) / model.waterPercent
    strongCharge += constants.counterIonCharge * m
    strongSquares += Math.abs(constants.counterIonCharge) * m
    if (constants.pKa.length > 0 || constants.hydrolysesTo) families.push(familyOf(constants, m))
  }
  // More than the q.s. line can give comes on top; some water always stays.
  waterRatio = Math.max(LEAST_WATER_RATIO, waterRatio)
  return { ...model, waterRatio, system: { families, strongCharge, strongSquares } }
}

/** The model as 10 % of product in distilled water, which brings its own carbon dioxide unless it was boiled. */
export function diluted(model: PhModel, carbonDioxide = true): PhModel {
  const added = 900 / model.waterPercent
  return {
    ...model,
    waterRatio: model.waterRatio + added,
    system: {
      ...model.system,
      families: carbonDioxide
        ? [...model.system.families, { total: CARBON_DIOXIDE * added, pKa: CARBONIC, chargeTop: 0 }]
        : model.system.families,
    },
  }
}

/** pH of the model as it stands, what it hides included. */
export function phOfModel(model: PhModel): PhSolution {
  const { system, waterRatio, hidden } = model
  const scale = (1 + hidden.scale) / waterRatio
  return solvePh({
    families: system.families.map((f) => ({ ...f, total: f.total * scale })),
    strongCharge: (system.strongCharge + hidden.charge) / waterRatio,
    strongSquares: (system.strongSquares + Math.abs(hidden.charge)) / waterRatio,
    ...(hidden.buffer > 0 ? { buffer: { capacity: hidden.buffer / waterRatio, pivot: hidden.pivot } } : {}),
  })
}

/** What a model weighs at a pH, by ionic strength settled at that pH. Mol per kg of the formula's own water. */
export interface Balance {
  logG1: number
  /** Charge of the weak families. */
  weak: number
  /** Charge of all that the recipe tells, with water's own ions; without hidden charge and buffer. */
  told: number
  /** Slope of the charge with pH, turned positive: buffer capacity, mol per kg and pH. */
  capacity: number
}

/** Balance of the model's charges at a given pH; no search for a root, the ionic strength settles by itself. */
export function balanceAt(model: PhModel, ph: number): Balance {
  const { system, waterRatio, hidden } = model
  const proton = Math.exp(-ph * LN10)
  const hydroxide = Math.exp((ph - AT_25.pKw) * LN10)
  let ionic = 0
  let logG1 = 0
  let weak = 0
  let capacity = 0
  for (let round = 0; round < 40; round++) {
    logG1 = daviesLogGamma(ionic)
    weak = 0
    capacity = 0
    let squares = 0
    for (const family of system.families) {
      const f = inWater(family, ph, logG1, waterRatio, 1 + hidden.scale)
      weak += f.charge
      squares += f.squares
      if (f.dissolved > 0) capacity += f.squares - (f.charge * f.charge) / f.dissolved
    }
    const next =
      0.5 *
      ((system.strongSquares + Math.abs(hidden.charge) + squares) / waterRatio +
        (proton + hydroxide) / Math.exp(logG1 * LN10))
    if (Math.abs(next - ionic) < 1e-9) break
    ionic = round < 12 ? next : (ionic + next) / 2
  }
  const gamma = Math.exp(logG1 * LN10)
  return {
    logG1,
    weak,
    told: system.strongCharge + weak + (waterRatio * (proton - hydroxide)) / gamma,
    capacity: LN10 * (capacity + (waterRatio * (proton + hydroxide)) / gamma) + hidden.buffer,
  }
}

/** A family whose total is per kg of the formula's water, off by a factor, in water that was stretched by `ratio`. */
export function inWater(
  family: PhFamily,
  ph: number,
  logG1: number,
  ratio: number,
  factor = 1,
): Readonly<Forms> {
  const total = family.total * factor
  return formsAt(
    family.neutralLimit === undefined
      ? { total, pKa: family.pKa, chargeTop: family.chargeTop }
      : { ...family, total, neutralLimit: family.neutralLimit * ratio },
    ph,
    logG1,
  )
}

/** Charge that the model hides at a pH beside the scale of its families, mol per kg of the formula's own water. */
export const hiddenAt = (model: PhModel, ph: number) =>
  model.hidden.charge - model.hidden.buffer * (ph - model.hidden.pivot)

/**
 * The model as the recipe tells it, with or without the carbon dioxide that water takes from the air; null where no pH
 * can be computed.
 */
export function toldModel(a: Assessment, carbonDioxide = true): PhModel | null {
  if (!a.waterPhase || !a.predictedPh) return null
  const { strongCharge, strongSquares } = a.waterPhase.system
  const families = a.waterPhase.system.families.filter((f) => carbonDioxide || f.key !== 'carbon-dioxide')
  return {
    system: {
      families: families.map(({ total, pKa, chargeTop, neutralLimit }) => ({
        total,
        pKa,
        chargeTop,
        ...(neutralLimit === undefined ? {} : { neutralLimit }),
      })),
      strongCharge,
      strongSquares,
    },
    waterPercent: a.waterPhase.waterPercent,
    fill: a.amounts.fillIndex !== null,
    waterRatio: 1,
    batchGrams: a.amounts.batchGrams,
    resolutionGrams: a.amounts.resolutionGrams,
    hidden: { charge: 0, buffer: 0, scale: 0, pivot: a.predictedPh.value },
    // The band of a prediction holds two standard errors; assay tolerance of acids and bases 1 %.
    spread: [a.waterPhase.unknownCharge / 2, 0, 0, 0, 0, 0.01],
    pin: null,
    modelSd: modelErrorOf(a.waterPhase, solvePh(a.waterPhase.system).ionicStrength, a.emulsion) / 2,
    fitted: false,
  }
}
