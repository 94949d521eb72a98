import type { Assessment } from '../assess/types.ts'
import type { Formula, Reading } from '../shapes/formula.ts'
import { CONVENTIONS } from '../shapes/conventions.ts'
import { catalogue } from '../materials/catalogue.ts'
import { slug } from '../text/names.ts'
import { acidBaseOf } from '../ph/acid-base.ts'
import { balanceAt, diluted, phOfModel, toldModel, withDoses, type Dose, type PhModel } from './model.ts'

/** Standard error of a reading by how it was taken, pH. */
export const READING_SD: Readonly<Record<Reading['method'], number>> = CONVENTIONS.readingSd
/** Earlier readings tell of another pH, where the model errs differently. */
const ELSEWHERE_SD = 0.3
/** How much of a strong charge or of a buffer may hide, mol per kg (and pH): wide, so that readings decide. */
const WIDE = 0.05
/** A recipe may be off by this share of its acids and bases: weighing, assay, an ester that is not yet free. */
const SCALE_SD = 0.05

/** Constants of an adjuster by its name or id; null when there are none. */
export function adjusterKey(material: string): string | null {
  const key = catalogue.find(material)?.id ?? slug(material)
  return acidBaseOf(key) ? key : null
}

/** What was added and is not yet in the formula, as doses; those from `from` up to before reading `until`. */
export function dosesOf(formula: Formula, until = Infinity): Dose[] {
  return (formula.additions ?? []).flatMap((x) => {
    const key = adjusterKey(x.material)
    return key && !x.inFormula && x.afterReading < until
      ? [{ key, strengthPercent: x.strengthPercent, percent: (100 * x.grams) / x.ofGrams }]
      : []
  })
}

/** Index of the first reading that tells of the formula as it is written now. */
export const firstReading = (formula: Formula) =>
  Math.max(0, ...(formula.additions ?? []).filter((x) => x.inFormula).map((x) => x.afterReading))

/** Standard errors at which a reading's doubt is worked out. */
const NODES = [-3, -2.5, -2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2, 2.5, 3]

interface Observation {
  model: PhModel
  /** How much was added before it: readings with the same tell of the same product. */
  state: string
  ph: number
  sd: number
}

function observations(formula: Formula, told: PhModel, doubt: number): Observation[] {
  const readings = formula.readings ?? []
  const first = firstReading(formula)
  const seen = readings.slice(first).map((reading, i): Observation => {
    const at = first + i
    const model = withDoses(told, dosesOf(formula, at + 1).slice())
    return {
      model: reading.method === 'meter-10pct' ? diluted(model) : model,
      state: String(dosesOf(formula, at + 1).length),
      ph: reading.ph,
      sd: sdOf(reading.method, doubt),
    }
  })
  const { portion } = formula
  const key = portion ? adjusterKey(portion.material) : null
  const tried =
    portion && key
      ? portion.steps.map((step): Observation => {
          const percent = (100 * step.grams) / portion.grams
          const model = withDoses(told, [{ key, strengthPercent: portion.strengthPercent, percent }])
          return {
            model: step.method === 'meter-10pct' ? diluted(model) : model,
            state: `portion ${percent}`,
            ph: step.ph,
            sd: sdOf(step.method, doubt),
          }
        })
      : []
  return [...tried, ...seen]
}

const sdOf = (method: Reading['method'], doubt: number) =>
  method === 'strip' ? READING_SD.strip : READING_SD[method] * doubt

/** Solves `matrix` x = `right` for a positive definite 3 × 3 matrix, and gives its inverse's Cholesky factor. */
function solve3(m: number[][], right: number[]) {
  const inverse = invert3(m)
  const x = inverse.map((row) => row[0]! * right[0]! + row[1]! * right[1]! + row[2]! * right[2]!)
  return { x, inverse }
}
function invert3(m: number[][]): number[][] {
  const [[a, b, c], [, e, f], [, , i]] = m as [number[], number[], number[]] as [
    [number, number, number],
    [number, number, number],
    [number, number, number],
  ]
  const A = e * i - f * f
  const B = c * f - b * i
  const C = b * f - c * e
  const D = a * i - c * c
  const E = b * c - a * f
  const F = a * e - b * b
  const det = a * A + b * B + c * C
  return [
    [A / det, B / det, C / det],
    [B / det, D / det, E / det],
    [C / det, E / det, F / det],
  ]
}

/** Lower Cholesky factor of a symmetric 3 × 3 matrix: l11, l21, l22, l31, l32, l33. */
function cholesky3(m: number[][]): PhModel['spread'] {
  const root = (v: number) => Math.sqrt(Math.max(0, v))
  const over = (v: number, by: number) => (by > 0 ? v / by : 0)
  const l11 = root(m[0]![0]!)
  const l21 = over(m[1]![0]!, l11)
  const l22 = root(m[1]![1]! - l21 * l21)
  const l31 = over(m[2]![0]!, l11)
  const l32 = over(m[2]![1]! - l31 * l21, l22)
  const l33 = root(m[2]![2]! - l31 * l31 - l32 * l32)
  return [l11, l21, l22, l31, l32, l33]
}

/**
 * The model of a formula with what its readings tell: a strong charge, a buffer of unknown make-up (never below
 * none) and the share by which the recipe's acids and bases are off, by weighted least squares with wide priors. At a
 * pH that was read all three enter the charge balance linearly, so nothing is searched for. One reading fixes the
 * charge, the last and best one exactly; a buffer shows only in readings on both sides of a known addition. `doubt` widens the error of a meter that
 * is due for its buffers. Null where no pH can be computed.
 */
export function phModelOf(a: Assessment, doubt = 1): PhModel | null {
  const told = toldModel(a)
  if (!told) return null
  const seen = observations(a.formula, told, doubt)
  const last = seen.at(-1)
  if (!last) return told
  const pivot = last.ph
  const unknown = Math.max(1e-4, a.waterPhase!.unknownCharge)
  const amount = told.system.families.reduce((sum, f) => sum + f.total, 0)
  const prior = [
    1 / (10 * unknown + 0.1 * amount + WIDE) ** 2,
    1 / (10 * unknown + 0.1 * amount + WIDE) ** 2,
    1 / SCALE_SD ** 2,
  ]
  const fit = (withBuffer: boolean) => {
    const m = [
      [prior[0]!, 0, 0],
      [0, prior[1]! * (withBuffer ? 1 : 1e12), 0],
      [0, 0, prior[2]!],
    ]
    const right = [0, 0, 0]
    seen.forEach((o, i) => {
      const balance = balanceAt(o.model, o.ph)
      const sd =
        i === seen.length - 1
          ? o.sd
          : Math.sqrt(o.sd ** 2 + ELSEWHERE_SD ** 2 * Math.min(1, Math.abs(o.ph - pivot)))
      const weight = 1 / Math.max(1e-14, (sd * balance.capacity) ** 2)
      const row = [1, -(o.ph - pivot), balance.weak]
      for (let r = 0; r < 3; r++) {
        right[r]! += weight * row[r]! * -balance.told
        for (let c = 0; c < 3; c++) m[r]![c]! += weight * row[r]! * row[c]!
      }
    })
    return solve3(m, right)
  }
  let best = fit(true)
  if (best.x[1]! <= 0) best = fit(false)
  const buffer = Math.max(0, best.x[1]!)
  const scale = Math.max(-0.5, best.x[2]!)
  // What was read last is where the product stands: the charge makes up for what the fit left there.
  const pin = seen.filter((o) => o.state === last.state).reduce((x, o) => (o.sd <= x.sd ? o : x))
  let charge = 0
  const needed = (ph: number) => {
    // The hidden charge counts in the ionic strength as well.
    const at = balanceAt({ ...pin.model, hidden: { charge, buffer, scale, pivot } }, ph)
    return { charge: -at.told + buffer * (ph - pivot), weak: at.weak }
  }
  for (let round = 0; round < 30; round++) {
    const next = needed(pin.ph).charge
    const settled = Math.abs(next - charge) < 1e-10
    charge = next
    if (settled) break
  }
  const rungs = NODES.map((z) => ({ z, at: pin.ph + z * pin.sd, ...needed(pin.ph + z * pin.sd) }))
  return {
    ...told,
    hidden: { charge, buffer, scale, pivot },
    spread: cholesky3(best.inverse),
    pin: {
      ph: pin.ph,
      z: rungs.map((r) => r.z),
      at: rungs.map((r) => r.at),
      charge: rungs.map((r) => r.charge - charge),
      weak: rungs.map((r) => r.weak),
    },
    fitted: true,
  }
}

export interface PhNow {
  value: number
  low: number
  high: number
  /** What it rests on. */
  from: 'prediction' | 'reading' | 'reading-and-additions'
  /** The last reading, put right for its dilution; null without one. */
  read: { ph: number; method: Reading['method']; dilution: number } | null
}

/** pH of the product as it stands, additions included, with a band of two standard errors. */
export function phNow(a: Assessment, model: PhModel): PhNow {
  const { formula } = a
  const readings = formula.readings ?? []
  const last = readings.at(-1) ?? null
  const now = withDoses(model, dosesOf(formula))
  const value = clamp(phOfModel(now).ph)
  const since = (formula.additions ?? []).some((x) => !x.inFormula && x.afterReading >= readings.length)
  if (!model.fitted) return { ...a.predictedPh!, from: 'prediction', read: null }
  const read = last && {
    ph: last.ph,
    method: last.method,
    dilution: last.method === 'meter-10pct' ? phOfModel(diluted(now)).ph - value : 0,
  }
  return { value, ...bandOf(now, value), from: since ? 'reading-and-additions' : 'reading', read }
}

const clamp = (ph: number) => Math.max(0, Math.min(14, ph))

/**
 * Two standard errors on either side of a pH: by what the pinning reading, or the recipe, leaves open; by buffer and
 * scale away from that reading; and by the model's own error.
 */
function bandOf(model: PhModel, ph: number): { low: number; high: number } {
  const { weak, capacity } = balanceAt(model, ph)
  const { pin, hidden, spread } = model
  const moved = (charge: number) =>
    phOfModel({ ...model, hidden: { ...hidden, charge: hidden.charge + charge } }).ph
  const open = (z: number) => (pin ? pin.charge[pin.z.indexOf(z)]! : z * spread[0])
  const bufferRow = pin ? -(ph - pin.ph) : 0
  const scaleRow = pin ? weak - pin.weak[pin.z.indexOf(0)]! : weak
  const [, l21, l22, l31, l32, l33] = spread
  const charge = pin
    ? Math.hypot(bufferRow * l21 + scaleRow * l31, bufferRow * l22 + scaleRow * l32, scaleRow * l33)
    : Math.abs(scaleRow) * l33
  const rest = 2 * Math.hypot(charge / capacity, modelSdAt(model, ph), 0.01)
  const side = (z: number) => Math.hypot(moved(open(z)) - ph, rest)
  return { low: clamp(ph - side(-2)), high: clamp(ph + side(2)) }
}

/** The model's own error at a pH: none where a reading pins it, in full one unit away. */
export const modelSdAt = (model: PhModel, ph: number) =>
  model.fitted ? model.modelSd * (1 - Math.exp(-Math.abs(ph - model.hidden.pivot))) : model.modelSd
