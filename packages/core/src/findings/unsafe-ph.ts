import type { Assessment } from '../assess/types.ts'
import { meet, type WindowItem } from '../assess/windows.ts'
import { freeExfoliantPercent } from '../dosing/effects.ts'
import { hasTrait } from '../shapes/material.ts'
import { bringTo } from './bring-to.ts'
import type { PhNeed, PhPoint } from './facts.ts'
import { finding, type Finding, type Remedy, type Rule, type Severity } from './types.ts'

/** How far beyond a limit a value counts as outside, pH. */
const SLACK = 0.049
/** Free exfoliating acid from which a pH under what skin bears stings, percent of the product (CIR 1998, common practice). */
const STINGS = 0.2
/** Below this pH what breaks down to an irritant in acid does so, and the acid adds to it (common practice). */
const BREAKS_BELOW = 3
/** What is gentle wherever nothing asks for another pH. */
const GENTLE = { min: 4.5, max: 6.5 }

interface Judged {
  severity: Extract<Severity, 'stop' | 'check'>
  side: 'acidic' | 'alkaline'
  /** Lines whose material turns into an irritant there. */
  irritants: number[]
}

/** Lines that an acid turns into an irritant. */
const irritantsOf = (a: Assessment) =>
  a.lines.flatMap((l, i) => (l.percent > 0 && l.material && hasTrait(l.material, 'acid-irritant') ? [i] : []))

/** How grave a range of pH is for the site: all of it has to lie beyond a limit. Null where skin bears some of it. */
export function judgeForSkin(a: Assessment, range: { min: number; max: number }): Judged | null {
  const { site } = a.ph
  if (range.min > site.max + SLACK)
    return { severity: range.min > site.stopMax ? 'stop' : 'check', side: 'alkaline', irritants: [] }
  if (range.max >= site.min - SLACK) return null
  // between what is always too acidic and what stings with free acid, the acid decides
  const free = freeExfoliantPercent(a, range.max)
  if (range.max >= site.min - 0.5 && free < STINGS) return null
  const breaks = a.formula.product.site === 'face' && range.max <= BREAKS_BELOW + SLACK && free >= STINGS
  const irritants = breaks ? irritantsOf(a) : []
  return {
    severity: range.max < site.stopMin || irritants.length > 0 ? 'stop' : 'check',
    side: 'acidic',
    irritants,
  }
}

/** A target is judged whole; one that begins where skin burns is a check all the same. */
function judgeTarget(a: Assessment, target: { min: number; max: number }): Judged | null {
  const whole = judgeForSkin(a, target)
  if (whole) return whole
  if (target.min < a.ph.site.stopMin - SLACK) return { severity: 'check', side: 'acidic', irritants: [] }
  if (target.max > a.ph.site.stopMax + SLACK) return { severity: 'check', side: 'alkaline', irritants: [] }
  return null
}

/** The predicted band, where it counts: as long as nothing was read. */
export const countingPrediction = (a: Assessment) =>
  a.predictedPh && !a.reading ? { min: a.predictedPh.low, max: a.predictedPh.high } : null

/** Whether the formula as it is written comes out where the site does not bear it. */
export const isUnsafeAsWritten = (a: Assessment): boolean => {
  const band = a.emulsion?.type === 'water-in-oil' ? null : countingPrediction(a)
  return band !== null && judgeForSkin(a, band) !== null
}

/** A target that the site bears: the formula's own, else what the materials share there, else what is gentle. */
function safeAim(a: Assessment) {
  const { targetPh } = a.formula
  if (targetPh && judgeTarget(a, targetPh) === null) return targetPh
  return a.ph.fits ?? meet(GENTLE, a.ph.site)
}

/** ph.unsafe: a pH read, aimed for, or predicted in all of its band, that this site and use should not meet. */
export const unsafe: Rule = (a) => {
  if (a.emulsion?.type === 'water-in-oil') return []
  const { targetPh, product } = a.formula
  const judgedAs = (judged: Judged, at: PhPoint, remedies: Remedy[], stuck: PhNeed | 'none' | null = null) =>
    finding(a, {
      code: 'ph.unsafe',
      severity: judged.severity,
      indexes: judged.irritants,
      facts: {
        at,
        side: judged.side,
        burns: judged.severity === 'stop',
        rinse: product.rinse,
        site: product.site,
        bears: { min: a.ph.site.min, max: a.ph.site.max },
        irritants: judged.irritants.map((i) => a.lines[i]!.label),
        stuck,
      },
      remedies,
    })
  const found: Finding[] = []
  const { reading } = a
  const read = reading && judgeForSkin(a, { min: reading.ph, max: reading.ph })
  if (reading && read) found.push(judgedAs(read, { is: 'measured', ph: reading.ph }, []))
  if (targetPh) {
    const judged = judgeTarget(a, targetPh)
    const { fits } = a.ph
    if (judged)
      found.push(
        judgedAs(
          judged,
          { is: 'target', range: targetPh },
          fits ? [aimFor(fits)] : [],
          fits ? null : nothingFits(a),
        ),
      )
  }
  const band = countingPrediction(a)
  const written = band && judgeForSkin(a, band)
  if (band && written) {
    const aim = safeAim(a)
    found.push(judgedAs(written, { is: 'band', range: band }, aim ? bringTo(a, aim) : []))
  }
  return found
}

/** What a finding tells of a window. */
export const needOf = ({ label, grade, min, max, why }: WindowItem): PhNeed => ({
  label,
  grade,
  min,
  max,
  ...(why ? { why } : {}),
})

/** A target as a remedy. */
export const aimFor = (target: { min: number; max: number }): Remedy => ({
  code: 'aim-for',
  facts: { range: target },
  edit: { type: 'patch', patch: { targetPh: target } },
})

/** Which material keeps the site's pH out, where no target fits all: the one whose window lies furthest from it. */
export function nothingFits(a: Assessment): PhNeed | 'none' {
  const middle = (Math.max(a.ph.site.min, GENTLE.min) + Math.min(a.ph.site.max, GENTLE.max)) / 2
  const off = (i: { min: number; max: number }) => Math.max(i.min - middle, middle - i.max)
  const asking = a.ph.items.filter((i) => i.grade === 'works' || i.grade === 'holds')
  const [worst] = [...asking].sort((x, y) => off(y) - off(x))
  return worst ? needOf(worst) : 'none'
}
