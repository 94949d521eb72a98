import { withKeys, type Formula } from '@omblet/core'

/** A small formula to store: water, and glycerin as its line 1. */
export const toner = (name: string): Formula =>
  withKeys({
    format: 'omblet-formula',
    formatVersion: 1,
    name,
    product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
    batchGrams: 100,
    phases: [
      {
        name: 'Water',
        role: 'water',
        lines: [
          { material: 'aqua', fill: true },
          { material: 'glycerin', percent: 5 },
        ],
      },
    ],
  })
