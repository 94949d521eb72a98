import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { Material } from '../shapes/material.ts'
import { materialOfSubstance } from '../assess/carriers.ts'
import { emulsifierRange, isEmulsifier } from '../emulsion/emulsion.ts'
import { memoizeByAssessment } from '../assess/memo.ts'
import type { FindingFacts, Source } from './facts.ts'
import { finding, type Finding, type Remedy, type Rule, type Severity } from './types.ts'
import { kindHas } from '../shapes/kinds.ts'

interface Dose {
  material: Material
  percent: number
  /** Every line that contains it. */
  lines: number[]
  /** Lines that name it itself. */
  direct: number[]
}

const sourceOf = ({ own, source, confidence }: Material): Source =>
  own ? { cite: 'data', source } : { cite: 'material', of: [{ source, confidence }] }

/** Doses of each material with what its blends bring along. */
const doses = memoizeByAssessment(sumOfDoses)

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
export const isScent = (m: Material) => m.kind === 'essential-oil' || m.kind === 'fragrance'

/** Its usual range in this formula: what an emulsifier has to hold widens it. */
const rangeOf = (a: Assessment, m: Material) =>
  isEmulsifier(m) && a.emulsion ? emulsifierRange(m, a.emulsion.oilsPercent) : m.usage

type Effect = FindingFacts['usage.above-max']['effect']

const GRAVITY: Record<Effect, Severity> = {
  spent: 'note',
  mild: 'note',
  far: 'stop',
  usual: 'check',
}

/** What a dose above its range does. */
function beyondOf(a: Assessment, { material, percent }: Dose, most: number): Effect {
  // How much alkali is right depends on the acid it meets: the pH that comes out tells, not the percent.
  if (material.kind === 'base' && (a.predictedPh?.value ?? 14) < 8.5) return 'spent'
  // where there is no water nothing is emulsified, and it only has to rinse off
  const idle = a.emulsion === null && a.waterPercent < 5 && isEmulsifier(material)
  const softens = material.functions.includes('keratolytic')
  if (idle || (kindHas(material.kind, 'bulk') && !softens)) return 'mild'
  return isScent(material) && percent >= most * FAR_BEYOND ? 'far' : 'usual'
}

/** Sets the only line of a material to a dose, percent of the pure material. */
function setTo(line: AssessedLine, most: number): Remedy[] {
  if (line.fill || line.dosePercent <= 0) return []
  const percent = Number(((line.percent * most) / line.dosePercent).toFixed(4))
  return [{ code: 'set-to', facts: { percent: most }, edit: { type: 'set-percent', at: line, percent } }]
}

function aboveMax(a: Assessment, dose: Dose): Finding | null {
  const usage = rangeOf(a, dose.material)
  if (!usage || usage.max >= 100 || dose.percent <= usage.max * (1 + 1e-6)) return null
  if (dose.material.kind === 'water') return null
  // A blend over its own range is said once, by its own name.
  if (dose.direct.length === 0 && dose.lines.length === 1) return null
  const only = dose.lines.length === 1 ? a.lines[dose.lines[0]!]! : null
  const beyond = beyondOf(a, dose, usage.max)
  return finding(a, {
    code: 'usage.above-max',
    severity: GRAVITY[beyond],
    indexes: dose.lines,
    materials: [dose.material.id],
    facts: {
      name: dose.material.name,
      percent: dose.percent,
      min: usage.min,
      max: usage.max,
      effect: beyond,
      over: dose.lines.map((i) => a.lines[i]!.label),
    },
    source: sourceOf(dose.material),
    remedies: only ? setTo(only, usage.max) : [],
  })
}

function belowMin(a: Assessment, dose: Dose): Finding | null {
  const { usage } = dose.material
  if (!usage || dose.direct.length === 0 || kindHas(dose.material.kind, 'no-minimum') || dose.material.cover)
    return null
  const given = dose.direct.every((i) => a.lines[i]!.given && !a.lines[i]!.fill)
  if (!given || dose.percent >= usage.min * (1 - 1e-6)) return null
  const only = dose.direct.length === 1 && dose.percent > 0 ? a.lines[dose.direct[0]!]! : null
  return finding(a, {
    code: 'usage.below-min',
    severity: 'note',
    indexes: dose.direct,
    facts: { name: dose.material.name, percent: dose.percent, min: usage.min, max: usage.max },
    source: sourceOf(dose.material),
    remedies: only
      ? [
          {
            code: 'set-to',
            facts: { percent: usage.min },
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
      facts: {
        doses: upper.map(({ material: m, percent }) => ({
          name: m.name,
          percent,
          commonPercent: commonTo(m),
          ...(m.common?.says ? { above: m.common.says } : {}),
        })),
      },
    }),
  ]
}
