import type { Product } from '../formula/schema.ts'
import type { Assessment, AssessedLine } from '../assess/types.ts'
import type { Material, MaterialKind } from '../materials/schema.ts'
import { hasTrait } from '../materials/schema.ts'
import { catalogue } from '../materials/catalogue.ts'
import { listWords, sayPercent } from '../text/format.ts'
import { COMMON_PRACTICE, finding, type Finding, type Rule } from './types.ts'

/** Kinds of which a small amount is a choice rather than a mistake. */
export const NO_MINIMUM: ReadonlySet<MaterialKind> = new Set<MaterialKind>([
  'water',
  'hydrosol',
  'aloe',
  'humectant',
  'oil',
  'butter',
  'ester',
  'alkane',
  'silicone',
  'fatty-alcohol',
  'fatty-acid',
  'wax',
  'acid',
  'base',
  'buffer',
  'salt',
  'colourant',
  'essential-oil',
  'fragrance',
  'solvent',
  'extract',
  'preservative',
  'powder',
  'film-former',
])

/** Kinds whose upper end is a matter of feel and keeping rather than of safety: above it is a note. */
const BULK: ReadonlySet<MaterialKind> = new Set<MaterialKind>([
  'hydrosol',
  'aloe',
  'humectant',
  'oil',
  'butter',
  'ester',
  'alkane',
  'silicone',
  'fatty-alcohol',
  'fatty-acid',
  'wax',
  'clay',
  'powder',
  'colourant',
  'solvent',
])

interface Dose {
  material: Material
  percent: number
  /** Every line that contains it. */
  lines: number[]
  /** Lines that name it itself. */
  direct: number[]
}

const sourceOf = (material: Material) =>
  material.own ? material.source : `${material.source}, from memory (${material.confidence} confidence)`

/** Doses of each material with what its blends bring along. */
function doses(a: Assessment): Dose[] {
  const found = new Map<string, Dose>()
  for (const [id, dose] of a.doses) {
    found.set(id, {
      material: a.lines[dose.lines[0]!]!.material!,
      percent: dose.percent,
      lines: dose.lines,
      direct: dose.lines,
    })
  }
  for (const substance of a.substances.values()) {
    const blends = substance.lines.filter(
      (i) => a.lines[i]!.material?.id !== substance.key && carries(a.lines[i]!, substance.key),
    )
    if (blends.length === 0) continue
    const material = found.get(substance.key)?.material ?? catalogue.find(substance.key)
    if (!material || material.parts || material.id !== substance.key) continue
    const extra = blends.reduce((sum, i) => {
      const line = a.lines[i]!
      // the least that there can be: what is not known is no overdose
      const share = line.substances.find((s) => s.key === substance.key)!.low
      return sum + (Math.max(0, line.percent) * share) / (material.strengthPercent ?? 100)
    }, 0)
    const direct = found.get(substance.key)
    found.set(substance.key, {
      material,
      percent: (direct?.percent ?? 0) + extra,
      lines: [...(direct?.lines ?? []), ...blends],
      direct: direct?.direct ?? [],
    })
  }
  return [...found.values()]
}

const carries = (line: AssessedLine, key: string) =>
  line.substances.length > 1 && line.substances.some((s) => s.key === key && s.key !== 'aqua')

/** An essential oil or a fragrance so many times beyond its range does harm. */
const FAR_BEYOND = 10
const isScent = (m: Material) => m.kind === 'essential-oil' || m.kind === 'fragrance'

function aboveMax(a: Assessment, dose: Dose): Finding | null {
  const { usage } = dose.material
  if (!usage || usage.max >= 100 || dose.percent <= usage.max * (1 + 1e-6)) return null
  if (dose.material.kind === 'water') return null
  // A blend over its own range is said once, by its own name.
  if (dose.direct.length === 0 && dose.lines.length === 1) return null
  const only = dose.lines.length === 1 ? a.lines[dose.lines[0]!]! : null
  // How much alkali is right depends on the acid it meets: the pH that comes out tells, not the percent.
  const spent = dose.material.kind === 'base' && (a.predictedPh?.value ?? 14) < 8.5
  const mild = spent || BULK.has(dose.material.kind)
  const far = isScent(dose.material) && dose.percent >= usage.max * FAR_BEYOND
  return finding(a, {
    code: 'usage.above-max',
    severity: mild ? 'note' : far ? 'stop' : 'check',
    indexes: dose.lines,
    materials: [dose.material.id],
    message: `${sayPercent(dose.percent)} ${dose.material.name} is above its usual range of ${sayPercent(usage.min)} to ${sayPercent(usage.max)}.`,
    why: only
      ? spent
        ? 'The acids here use it up.'
        : mild
          ? 'It changes feel and keeping; look at the whole.'
          : far
            ? 'That far beyond its range it burns or sensitises.'
            : 'More than usual seldom works better and irritates or unbalances sooner.'
      : `Summed over ${listWords(dose.lines.map((i) => a.lines[i]!.label))}.`,
    source: sourceOf(dose.material),
    remedies:
      only && !only.fill && only.dosePercent > 0
        ? [
            {
              label: `Set to ${sayPercent(usage.max)}`,
              edit: {
                type: 'set-percent',
                at: only,
                percent: Number(((only.percent * usage.max) / only.dosePercent).toFixed(4)),
              },
            },
          ]
        : [],
  })
}

function belowMin(a: Assessment, dose: Dose): Finding | null {
  const { usage } = dose.material
  if (!usage || dose.direct.length === 0 || NO_MINIMUM.has(dose.material.kind) || dose.material.cover)
    return null
  const given = dose.direct.every((i) => a.lines[i]!.given && !a.lines[i]!.fill)
  if (!given || dose.percent >= usage.min * (1 - 1e-6)) return null
  const only = dose.direct.length === 1 && dose.percent > 0 ? a.lines[dose.direct[0]!]! : null
  return finding(a, {
    code: 'usage.below-min',
    severity: 'note',
    indexes: dose.direct,
    message: `${sayPercent(dose.percent)} ${dose.material.name} is under its usual range of ${sayPercent(usage.min)} to ${sayPercent(usage.max)}.`,
    why: 'It may do little at this dose.',
    source: sourceOf(dose.material),
    remedies: only
      ? [
          {
            label: `Set to ${sayPercent(usage.min)}`,
            edit: {
              type: 'set-percent',
              at: only,
              percent: Number(((only.percent * usage.min) / Math.max(only.dosePercent, 1e-9)).toFixed(4)),
            },
          },
        ]
      : [],
  })
}

/** usage.above-max and usage.below-min: outside the usual range, summed over every line that contains it. */
export const usage: Rule = (a) =>
  doses(a).flatMap((dose) => [aboveMax(a, dose), belowMin(a, dose)].filter((f) => f !== null))

/** usage.exfoliant-total: several exfoliating acids add up to more than 10 %. */
export const exfoliants: Rule = (a) => {
  if (a.formula.product.rinse === 'rinse-off') return []
  const acids = [...a.doses.values()].filter(({ lines }) =>
    hasTrait(a.lines[lines[0]!]!.material!, 'exfoliant'),
  )
  const real = acids.filter(({ percent }) => percent >= 0.5)
  const sum = real.reduce((s, d) => s + d.percent, 0)
  if (real.length < 2 || sum <= 10) return []
  const indexes = real.flatMap((d) => d.lines)
  return [
    finding(a, {
      code: 'usage.exfoliant-total',
      severity: 'check',
      indexes,
      message: `Exfoliating acids add up to ${sayPercent(sum)}.`,
      why: 'They act together on the skin. 10 % in all, at pH 3.5 or above, is the usual ceiling for home use.',
      source: 'CIR alpha hydroxy acids 1998, opinion; from memory',
    }),
  ]
}

/** usage.extract-load: many plant extracts at once. */
export const extracts: Rule = (a) => {
  const indexes = a.lines.flatMap((line, i) =>
    line.material?.kind === 'extract' && line.percent > 0 ? [i] : [],
  )
  const sum = indexes.reduce((s, i) => s + a.lines[i]!.percent, 0)
  if (indexes.length < 5 && sum <= 10) return []
  return [
    finding(a, {
      code: 'usage.extract-load',
      severity: 'note',
      indexes,
      message: `${indexes.length} extracts make ${sayPercent(sum)}.`,
      why: 'Extracts feed microbes, cloud clear products and bring acids and salts that nobody weighs.',
      source: COMMON_PRACTICE,
    }),
  ]
}

/** Essential oils and fragrance together, percent: what is gentle, and the most, by site of a leave-on (common practice). */
const SCENT: Partial<Record<Product['site'], [number, number]>> = {
  face: [0.5, 1],
  lips: [0.5, 1],
  eye: [0, 0],
}
const SCENT_BODY: [number, number] = [1, 2]
/** From so many scents on their sum is what counts. */
const SEVERAL = 4

/** usage.scent-total: all that scents together, against what the site bears. */
export const scentTotal: Rule = (a) => {
  const indexes = a.lines.flatMap((l, i) => (l.material && l.percent > 0 && isScent(l.material) ? [i] : []))
  if (indexes.length === 0) return []
  const { site, rinse } = a.formula.product
  const wider = rinse === 'rinse-off' ? 2 : 1
  const [gentle, most] = (SCENT[site] ?? SCENT_BODY).map((x) => x * wider) as [number, number]
  const sum = indexes.reduce((s, i) => s + a.lines[i]!.percent, 0)
  if (sum <= gentle + 1e-9) return []
  const severity = sum <= most + 1e-9 ? 'note' : (indexes.length >= SEVERAL || sum > most * 2) && most > 0 ? 'stop' : 'check'
  return [
    finding(a, {
      code: 'usage.scent-total',
      severity,
      indexes,
      message: `${sayPercent(Number(sum.toPrecision(2)))} of scent in all; ${most > 0 ? `${sayPercent(gentle)} to ${sayPercent(most)} is the most` : 'none belongs'} in a product that is ${rinse} for ${site === 'eye' ? 'the eye area' : site}.`,
      why: 'Their allergens and irritants add up, whatever each oil is.',
    }),
  ]
} // prettier-ignore
