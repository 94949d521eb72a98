import type { Assessment } from '../assess/types.ts'
import type { Reading } from '../shapes/formula.ts'
import { dosesOf, firstReading, phModelOf, READING_SD } from './fit.ts'
import { diluted, phOfModel, toldModel, withDoses, type PhModel } from './model.ts'

/**
 * What may have made a reading and a prediction differ, with the share of each: both are right, the meter is wrong, or
 * the formula is (a line left out, another strength, another lot).
 */
export interface Stories {
  right: number
  meter: number
  formula: number
  /** The recipe as it is written, for where the meter is wrong. */
  asWritten: PhModel
  /** The recipe with the strong charge that meets the last reading, for where the formula is wrong. */
  asRead: PhModel
  /** What was read first, and what the recipe gives at that moment. */
  read: number
  predicted: number
}

/** Shares before anything is compared, and spreads of the errors, pH (estimates). */
const BEFORE = { right: 0.75, meter: 0.1, formula: 0.15 }
const METER_DUE = 0.25
const CONFIRMED = 0.02
const METER_SPREAD = 1.5
const FORMULA_SPREAD = 1
/** Two ways of reading that agree to within this are no accident of one meter, pH. */
const AGREE = 0.3
/** A predicted change is known to this part of it. */
const CHANGE_PART = 0.1

const normal = (x: number, sd: number) => Math.exp(-0.5 * (x / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI))

/** The assessment with its last reading alone: what was added before it counts as before. */
function withLastReading(a: Assessment): Assessment {
  const { portion: _portion, ...formula } = a.formula
  const readings = formula.readings ?? []
  const last = readings.at(-1)
  return {
    ...a,
    formula: {
      ...formula,
      readings: last ? [last] : [],
      additions: (formula.additions ?? []).map((x) => ({
        ...x,
        afterReading: x.afterReading < readings.length ? 0 : 1,
      })),
    },
  }
}

/**
 * The stories of a formula's readings: by how far the first lies from the prediction, and by how the changes after known
 * additions went; a meter with a fixed error still shows the right change. `doubt` above 1 tells of a meter that is due
 * for its buffers. Null where nothing was read or no pH can be computed.
 */
export function storiesOf(a: Assessment, doubt = 1): Stories | null {
  const { formula } = a
  const first = firstReading(formula)
  const readings = (formula.readings ?? []).slice(first)
  const asWritten = toldModel(a)
  const asRead = phModelOf(withLastReading(a), doubt)
  const start = readings[0]
  if (!start || !asWritten || !asRead || !a.predictedPh) return null
  const sdOf = (r: Reading) => READING_SD[r.method] * (r.method === 'strip' ? 1 : doubt)
  /** What a model gives where a reading was taken. */
  const at = (model: PhModel, index: number) => {
    const dosed = withDoses(model, dosesOf(formula, first + index + 1))
    return phOfModel(readings[index]!.method === 'meter-10pct' ? diluted(dosed) : dosed).ph
  }
  const predicted = at(asWritten, 0)
  const off = start.ph - predicted
  const band = a.predictedAtReading ?? a.predictedPh
  const sigma = (band.high - band.low) / 4
  const confirmed = readings.some(
    (r) =>
      r.method !== start.method &&
      doseCount(a, readings.indexOf(r) + first) === doseCount(a, first) &&
      Math.abs(r.ph - start.ph) <= AGREE,
  )
  const meter = confirmed ? CONFIRMED : doubt > 1 ? METER_DUE : BEFORE.meter
  const weights = {
    right: BEFORE.right * normal(off, Math.hypot(sdOf(start), sigma)),
    meter: meter * normal(off, METER_SPREAD),
    formula: BEFORE.formula * normal(off, FORMULA_SPREAD),
  }
  readings.slice(1).forEach((r, i) => {
    const index = i + 1
    if (doseCount(a, first + index) === doseCount(a, first + i)) return
    const rose = r.ph - readings[i]!.ph
    const likely = (model: PhModel) => {
      const change = at(model, index) - at(model, i)
      return normal(rose - change, Math.hypot(sdOf(r), sdOf(readings[i]!), 0.05, CHANGE_PART * change))
    }
    const [written, read] = [likely(asWritten), likely(asRead)]
    weights.right *= written
    weights.meter *= written
    weights.formula *= read
  })
  const sum = weights.right + weights.meter + weights.formula
  const share = (weight: number, otherwise: number) => (sum > 0 ? weight / sum : otherwise)
  return {
    right: share(weights.right, 0),
    meter: share(weights.meter, 0.5),
    formula: share(weights.formula, 0.5),
    asWritten,
    asRead,
    read: start.ph,
    predicted,
  }
}

const doseCount = (a: Assessment, reading: number) => dosesOf(a.formula, reading + 1).length
