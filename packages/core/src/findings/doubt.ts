import type { Assessment } from '../assess/types.ts'
import { balanceAt, toldModel } from '../dosing/model.ts'

/** Room between the predicted band and a reading before the meter is doubted, pH: a strip is read roughly. */
const DOUBT = { strip: 1.5, 'meter-direct': 1, 'meter-10pct': 1 }
/** Where so little is buffered that a trace moves the pH, a reading has more room: mol per kg and pH; pH. */
const HARDLY_BUFFERED = 0.005
const ROOM_UNBUFFERED = 1.5

/** How far a reading lies outside what was predicted for its own moment, less the room of its method, pH; 0 inside. */
export function beyondPrediction(a: Assessment): number {
  const { reading, predictedAtReading: p } = a
  if (!reading || !p) return 0
  const off = Math.max(p.low - reading.ph, reading.ph - p.high)
  if (off <= DOUBT[reading.method]) return 0
  const model = toldModel(a)
  const buffered = model === null || balanceAt(model, reading.ph).capacity >= HARDLY_BUFFERED
  return Math.max(0, off - (buffered ? DOUBT[reading.method] : ROOM_UNBUFFERED))
}
