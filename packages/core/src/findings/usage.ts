import type { Product } from '../shapes/formula.ts'
import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { Material, MaterialKind } from '../shapes/material.ts'
import { hasTrait } from '../shapes/material.ts'
import { materialOfSubstance } from '../assess/carriers.ts'
import { linesOf } from '../assess/lines.ts'
import { emulsifierRange, isEmulsifier } from '../emulsion/emulsion.ts'
import { oncePer } from '../assess/memo.ts'
import { withGuesses } from '../assess/guesses.ts'
import { freeShare } from '../ph/families.ts'
import { acidOf, asAcid } from '../ph/families.ts'
import { capitalise, listWords, sayNumber, sayPercent } from '../text/format.ts'
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
const doses = oncePer(sumOfDoses)

function sumOfDoses(a: Assessment): Dose[] {
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
    const material = found.get(substance.key)?.material ?? materialOfSubstance(a, substance.key)
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

/** Its usual range in this formula: what an emulsifier has to hold widens it. */
const rangeOf = (a: Assessment, m: Material) =>
  isEmulsifier(m) && a.emulsion ? emulsifierRange(m, a.emulsion.oilsPercent) : m.usage

function aboveMax(a: Assessment, dose: Dose): Finding | null {
  const usage = rangeOf(a, dose.material)
  if (!usage || usage.max >= 100 || dose.percent <= usage.max * (1 + 1e-6)) return null
  if (dose.material.kind === 'water') return null
  // A blend over its own range is said once, by its own name.
  if (dose.direct.length === 0 && dose.lines.length === 1) return null
  const only = dose.lines.length === 1 ? a.lines[dose.lines[0]!]! : null
  // How much alkali is right depends on the acid it meets: the pH that comes out tells, not the percent.
  const spent = dose.material.kind === 'base' && (a.predictedPh?.value ?? 14) < 8.5
  // where there is no water nothing is emulsified, and it only has to rinse off
  const idle = a.emulsion === null && a.waterPercent < 5 && isEmulsifier(dose.material)
  const softens = dose.material.functions.includes('keratolytic')
  const mild = spent || idle || (BULK.has(dose.material.kind) && !softens)
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

/** Essential oils are commonly used up to this share of the top of their range (common practice). */
const COMMON_SCENT = 0.5
const commonTo = ({ common, usage, kind }: Material) =>
  common?.to ?? (kind === 'essential-oil' && usage ? usage.max * COMMON_SCENT : Infinity)

/** usage.upper-part: within the range and above its common part, all in one. */
export const upperRange: Rule = (a) => {
  const upper = doses(a).filter(({ material, percent, direct }) => {
    const { usage } = material
    if (direct.length === 0 || !usage) return false
    return percent > commonTo(material) * (1 + 1e-6) && percent <= usage.max * (1 + 1e-6)
  })
  if (upper.length === 0) return []
  return [
    finding(a, {
      code: 'usage.upper-part',
      severity: 'note',
      indexes: upper.flatMap((d) => d.direct),
      materials: upper.map((d) => d.material.id),
      message: `${listWords(upper.map((d) => `${sayPercent(d.percent)} ${d.material.name}`))} ${upper.length > 1 ? 'are' : 'is'} within ${upper.length > 1 ? 'their ranges' : 'its range'} and more than most products hold.`,
      why: upper
        .map(
          (d) =>
            `${capitalise(d.material.name)}: ${sayPercent(commonTo(d.material))} is common; above, ${d.material.common?.says ?? 'its smell and its irritants tell'}.`,
        )
        .join(' '),
    }),
  ]
}

/** Exfoliants add up to a check from so much, or from so much of free acid at the pH, percent. */
const EXFOLIANT_SUM = 10
const EXFOLIANT_FREE = 4
/** Below so much an acid only sets the pH. */
const EXFOLIANT_FROM = 0.5

/** usage.exfoliant-total: two or more exfoliants act together; acids, retinoids and enzymes count. */
export const exfoliants: Rule = (a) => {
  if (a.formula.product.rinse === 'rinse-off') return []
  const all = [...a.doses.entries()].flatMap(([id, { percent, lines }]) => {
    const material = a.lines[lines[0]!]!.material!
    const acid = material.kind === 'acid'
    const peels = hasTrait(material, 'exfoliant') && percent >= (acid ? EXFOLIANT_FROM : 0.01)
    return peels || (hasTrait(material, 'retinoid') && percent > 0)
      ? [{ id, material, percent, lines, acid }]
      : []
  })
  if (all.length < 2) return []
  const acids = all.filter((x) => x.acid)
  const sum = acids.reduce((s, d) => s + d.percent, 0)
  const ph = a.workingPh
  const free = acids.reduce((s, d) => {
    const acid = acidOf(d.id)
    return acid && ph !== null ? s + (asAcid(d.id, d.percent, acid) * freeShare(acid.pKa, ph)) / 100 : s
  }, 0)
  const much = acids.length > 1 && sum > EXFOLIANT_SUM
  const sharp = acids.length > 1 && free > EXFOLIANT_FREE
  return [
    finding(a, {
      code: 'usage.exfoliant-total',
      severity: much || sharp ? 'check' : 'note',
      indexes: all.flatMap((d) => d.lines),
      message:
        acids.length > 1
          ? `Exfoliating acids add up to ${sayPercent(sum)}${ph !== null && free > 0 ? `, about ${sayPercent(Number(free.toPrecision(2)))} of it free acid at pH ${sayNumber(ph, 1)}` : ''}.`
          : `${listWords(all.map((d) => d.material.name))} peel together.`,
      why: 'They act together on the skin: begin with one evening in three. 10 % in all, at pH 3.5 or above, is the usual ceiling for home use.',
      source: 'CIR alpha hydroxy acids 1998, opinion; from memory',
    }),
  ]
}

/** The claim by which a maker says that microbes were tried on it and died. */
export const CHALLENGE_CLAIM = 'challenge-tested'
const isTested = (a: Assessment) =>
  (a.formula.product.claims ?? []).some((c) => /\bchallenge[- ]test(ed)?\b/i.test(c))
/** So many raw plant powders, or botanicals, are said; of powders so many are a stop. */
const MANY_RAW = 6
const MANY_BOTANICALS = 4

/** usage.extract-load: raw plant powders from the first, and botanicals from the fourth. */
export const extracts: Rule = (original) => {
  const a = withGuesses(original)
  const raw = linesOf(a, (m) => hasTrait(m, 'raw-plant'))
  const all = linesOf(a, (m) => hasTrait(m, 'raw-plant') || m.kind === 'extract')
  const percentOf = (indexes: number[]) => indexes.reduce((s, i) => s + a.lines[i]!.percent, 0)
  const sum = percentOf(all)
  const names = (indexes: number[]) => listWords(indexes.map((i) => a.lines[i]!.label))
  if (raw.length > 0 && a.preservation.needed && !isTested(a)) {
    const stop = raw.length >= MANY_RAW
    return [
      finding(a, {
        code: 'usage.extract-load',
        severity: stop ? 'stop' : 'check',
        indexes: all,
        message: `${names(raw)} ${raw.length > 1 ? 'bring' : 'brings'} microbes into the jar.`,
        why: `Raw plant powders carry spores and starch, and starch feeds what grows. ${stop ? 'No usual preservation is known to hold so many: leave most out, or have a challenge test done and say so.' : 'Keep the powder under 1 %, take an extract instead, or have a challenge test done.'}${all.length >= MANY_BOTANICALS ? ` ${all.length} botanicals in all.` : ''}`,
        remedies: stop
          ? [
              {
                label: 'It passed a challenge test: say so',
                edit: {
                  type: 'patch-product',
                  patch: { claims: [...(a.formula.product.claims ?? []), CHALLENGE_CLAIM] },
                },
              },
            ]
          : [],
      }),
    ]
  }
  if (all.length < MANY_BOTANICALS && sum <= 10) return []
  return [
    finding(a, {
      code: 'usage.extract-load',
      severity: 'note',
      indexes: all,
      message: `${all.length} botanicals make ${sayPercent(sum)}.`,
      why: 'Extracts feed microbes, colour and cloud a product, and bring acids and salts that move its pH and that nobody weighs.',
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
  const indexes = linesOf(a, isScent)
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
