import { words as texts } from '#words/bench'
import type { BatchStatus, InstrumentKind } from '@omblet/core'

export const STATUS_WORDS: Record<BatchStatus, string> = {
  running: texts.inProgress,
  paused: 'paused',
  finished: 'kept',
  discarded: 'discarded',
}
export const INSTRUMENT_WORDS: Record<InstrumentKind, string> = {
  scale: texts.scale,
  thermometer: texts.thermometer,
  ph: texts.phProbe,
}
