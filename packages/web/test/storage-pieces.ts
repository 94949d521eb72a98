import { withKeys, type Formula } from '@omblet/core'

export const formula = (name: string): Formula =>
  withKeys({
    format: 'omblet-formula',
    formatVersion: 1,
    name,
    product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
    batchGrams: 100,
    phases: [{ name: 'Water', role: 'water', lines: [{ material: 'aqua', fill: true }] }],
  })
export const AT = '2026-03-01T10:00:00.000Z'
