import { marks as texts } from '#words/formula-label'
import type { Kind, LabelDesign } from '@omblet/core'

type Mark = NonNullable<LabelDesign['mark']>
/** Small drawings in a square of 24, as strokes. */
export const MARK_PATHS: Record<Exclude<Mark, 'none'>, string> = {
  wave: 'M2 15c3 0 3-4 6-4s3 4 6 4 3-4 8-4M2 20c3 0 3-4 6-4s3 4 6 4 3-4 8-4M12 4a3 3 0 1 0 .01 0',
  gull: 'M2 9c4-3 8-1 10 4 2-5 6-7 10-4M12 13v3M5 19h14',
  shell: 'M12 20C4 18 3 10 5 6c4-3 10-3 14 0 2 4 1 12-7 14zM12 20V4M12 20 7 5M12 20 17 5',
  sun: 'M12 8a4 4 0 1 0 .01 0M12 2v3M12 19v3M2 12h3M19 12h3M5 5l2 2M17 17l2 2M19 5l-2 2M7 17l-2 2',
  leaf: 'M5 19C4 9 10 4 20 4c0 10-5 16-15 15zM5 19 15 9',
}
export const MARK_WORDS: Record<Mark, string> = {
  none: texts.noMark,
  wave: texts.wave,
  gull: texts.gull,
  shell: texts.shell,
  sun: texts.sun,
  leaf: texts.leaf,
}

/** The band at the left edge, by what the product is; ink, so not of the theme. */
export const BANDS: Record<Kind, string> = {
  toner: '#2f7fb5',
  serum: '#6f5fa8',
  gel: '#2f8f8a',
  lotion: '#2a5fb0',
  cream: '#193d76',
  butter: '#b97a10',
  'leave-in': '#8a4f7d',
  mask: '#7a6a4f',
  cleanser: '#2f7f5f',
  other: '#5c6875',
}
