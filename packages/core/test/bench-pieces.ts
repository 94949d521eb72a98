import { cream } from './helpers.ts'

export const OIL = 'caprylic-capric-triglyceride'
export const SMALL = cream({}, { batchGrams: 200, scaleResolutionGrams: 0.01 })
export const sum = (values: readonly number[]) => values.reduce((total, v) => total + v, 0)
