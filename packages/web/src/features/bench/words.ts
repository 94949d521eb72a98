import type { BatchStatus, InstrumentKind } from '@omblet/core'

export const STATUS_WORDS: Record<BatchStatus, string> = {
  running: 'in progress',
  paused: 'paused',
  finished: 'kept',
  discarded: 'discarded',
}
export const INSTRUMENT_WORDS: Record<InstrumentKind, string> = {
  scale: 'Scale',
  thermometer: 'Thermometer',
  ph: 'pH probe',
}
