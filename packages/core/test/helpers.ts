import { doseFaultText, noPhText } from '../src/words/index.ts'
import fc from 'fast-check'
import {
  adjustTo,
  assess,
  type Adjustment,
  findAll,
  type Finding,
  type Formula,
  type Line,
  type Phase,
  type Product,
  type Reading,
} from '../src/index.ts'

type LineSpec = [material: string, amount?: number | 'fill', extra?: Partial<Line>]

export const line = ([material, amount, extra]: LineSpec): Line => ({
  material,
  ...(amount === 'fill' ? { fill: true } : amount === undefined ? {} : { percent: amount }),
  ...extra,
})

export const phase = (
  name: string,
  role: Phase['role'],
  lines: LineSpec[],
  extra: Partial<Phase> = {},
): Phase => ({
  name,
  role,
  ...extra,
  lines: lines.map(line),
})

export function formula(
  phases: Phase[],
  extra: Partial<Omit<Formula, 'product'>> & { product?: Partial<Product> } = {},
): Formula {
  const { product, ...rest } = extra
  return {
    format: 'omblet-formula',
    formatVersion: 1,
    name: 'Quay trial',
    product: { kind: 'other', site: 'face', rinse: 'leave-on', region: 'EU', ...product },
    batchGrams: 1000,
    scaleResolutionGrams: 0.01,
    phases,
    ...rest,
  }
}

/** Water to 100 and these lines in one watery phase, preserved. */
export const simple = (lines: LineSpec[], extra: Parameters<typeof formula>[1] = {}) =>
  formula([phase('Water', 'water', [['aqua', 'fill'], ...lines])], extra)

export const findingsOf = (f: Formula): Finding[] => findAll(assess(f))
export const codes = (f: Formula) => findingsOf(f).map((x) => x.code)
export const only = (f: Formula, code: string) => findingsOf(f).filter((x) => x.code === code)

export const PRESERVED: LineSpec = ['phenoxyethanol, ethylhexylglycerin', 1]

/** A plain cream of three phases, with other lines where they are given. */
export const cream = (
  changes: Partial<Record<'water' | 'oil' | 'cool', Parameters<typeof phase>[2]>> = {},
  extra: Parameters<typeof formula>[1] = {},
) =>
  formula(
    [
      phase('Water', 'water', [['aqua', 'fill'], ['glycerin', 4], ...(changes.water ?? [])], { heatToC: 72 }),
      phase(
        'Oil',
        'oil',
        changes.oil ?? [
          ['caprylic/capric triglyceride', 8],
          ['squalane', 6],
          ['olivate emulsifier', 4],
          ['cetyl alcohol', 2],
        ],
        { heatToC: 72 },
      ),
      phase('Cool-down', 'cool-down', changes.cool ?? [PRESERVED], { belowC: 40 }),
    ],
    extra,
  )

/** Any watery formula of acids, salts, bases and what has neither. */
export const anyFormula = fc
  .array(
    fc.tuple(
      fc.constantFrom(
        'citric acid',
        'sodium citrate',
        'lactic acid',
        'sodium lactate',
        'glycolic acid',
        'salicylic acid',
        'ascorbic acid',
        'sodium benzoate',
        'potassium sorbate',
        'arginine',
        'niacinamide',
        'tetrasodium edta',
        'sodium hyaluronate',
        'urea',
        'triethanolamine',
        'propanediol',
        'aloe juice',
      ),
      fc.double({ min: 0.01, max: 6, noNaN: true }),
    ),
    { minLength: 1, maxLength: 7 },
  )
  .map((lines) => simple(lines))

export const read = (ph: number, method: Reading['method'] = 'meter-direct'): Reading => ({ ph, method })

/** The dose to a pH, where there has to be one. */
export function doseTo(...asked: Parameters<typeof adjustTo>): Adjustment {
  const dose = adjustTo(...asked)
  if ('why' in dose) throw new Error(doseFaultText(dose.why))
  if ('noPh' in dose) throw new Error(noPhText(dose.noPh))
  return dose
}
