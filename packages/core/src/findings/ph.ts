import type { Assessment } from '../assess/types.ts'
import { acidBaseOf } from '../ph/acid-base.ts'
import { driftingOf } from '../dosing/effects.ts'
import { meet, type PhRange, type WindowItem } from '../assess/windows.ts'
import { beyondPrediction } from './doubt.ts'
import { SOAP_FROM, soapLines } from './soap.ts'
import { aimFor, isUnsafeAsWritten, needOf, nothingFits } from './unsafe-ph.ts'
import { finding, type Finding, type Rule } from './types.ts'

/** ph.no-shared-window: needs that no pH meets. Two that must work are a stop, body that would be lost is a check. */
export const noSharedWindow: Rule = (a) => {
  if (a.emulsion?.type === 'water-in-oil') return []
  const worst = a.ph.clashes[0]
  if (!worst) return []
  const hard = a.ph.clashes.find(
    ({ a: x, b: y }) => x.grade === 'works' && y.grade === 'works' && !x.soft && !y.soft,
  )
  const pair = hard ?? worst
  const others = a.ph.clashes.filter((clash) => clash !== pair).length
  return [
    finding(a, {
      code: 'ph.no-shared-window',
      severity: hard ? 'stop' : 'check',
      indexes: [...new Set([...pair.a.lines, ...pair.b.lines])],
      materials: [...pair.a.materials, ...pair.b.materials],
      facts: { pair: [needOf(pair.a), needOf(pair.b)], hard: hard !== undefined, others },
      remedies: removals(a, pair),
    }),
  ]
}

function removals(a: Assessment, pair: { a: WindowItem; b: WindowItem }): Finding['remedies'] {
  return [pair.a, pair.b].flatMap((item) => {
    if (item.lines.length !== 1 || item.id === 'preservation') return []
    const line = a.lines[item.lines[0]!]!
    return [
      {
        code: 'remove' as const,
        facts: { name: item.label },
        edit: { type: 'remove-line' as const, at: line },
      },
    ]
  })
}

/** How far beyond a window a value counts as outside, in pH. */
const SLACK = 0.049

/** ph.outside-window: the reading, or the target, is outside what the materials share. */
export const outsideWindow: Rule = (a) => {
  const { shared } = a.ph
  if (!shared || a.emulsion?.type === 'water-in-oil') return []
  const { targetPh } = a.formula
  const targetOff =
    targetPh !== undefined && (targetPh.min > shared.max + SLACK || targetPh.max < shared.min - SLACK)
  const read = readingOutside(a, shared, targetOff)
  return read.length > 0 && targetOff ? read : [...read, ...targetOutside(a, shared, targetOff)]
}

/** Windows that a pH is outside of. */
const blockersAt = (a: Assessment, ph: number) =>
  a.ph.items.filter(
    (item) =>
      (item.grade === 'works' || item.grade === 'holds') &&
      ((ph < item.min - SLACK && !item.worksBelow) || ph > item.max + SLACK),
  )

function readingOutside(a: Assessment, shared: PhRange, targetOff: boolean): Finding[] {
  const { reading } = a
  const who = reading ? blockersAt(a, reading.ph) : []
  if (!reading || who.length === 0) return []
  return [
    finding(a, {
      code: 'ph.outside-window',
      severity: 'check',
      indexes: who.flatMap((item) => item.lines),
      facts: {
        case: 'measured',
        ph: reading.ph,
        target: targetOff ? a.formula.targetPh! : null,
        shared,
        needs: who.map(needOf),
      },
      remedies: targetOff && a.ph.fits ? [aimFor(a.ph.fits)] : [],
    }),
  ]
}

function targetOutside(a: Assessment, shared: PhRange, targetOff: boolean): Finding[] {
  const { targetPh } = a.formula
  const { fits } = a.ph
  if (!targetPh) return []
  const who = [...new Set([...blockersAt(a, targetPh.min), ...blockersAt(a, targetPh.max)])]
  if (who.length === 0) return []
  const indexes = who.flatMap((item) => item.lines)
  if (targetOff)
    return [
      finding(a, {
        code: 'ph.outside-window',
        severity: 'check',
        indexes,
        facts: {
          case: 'target',
          target: targetPh,
          shared,
          needs: who.map(needOf),
          stuck: fits ? null : nothingFits(a),
        },
        remedies: fits ? [aimFor(fits)] : [],
      }),
    ]
  if (targetPh.min >= shared.min - SLACK && targetPh.max <= shared.max + SLACK) return []
  const narrowed = fits && meet(fits, targetPh)
  return [
    finding(a, {
      code: 'ph.outside-window',
      severity: 'note',
      indexes,
      facts: {
        case: 'part',
        target: targetPh,
        shared,
        aim: narrowed ? 'narrowed' : fits ? 'fits' : nothingFits(a),
      },
      remedies: narrowed ? [aimFor(narrowed)] : fits ? [aimFor(fits)] : [],
    }),
  ]
}

/** A wish of a material that the shared window, target or reading leaves aside: a note at most. */
export const preferences: Rule = (a) => {
  const range = a.reading ? { min: a.reading.ph, max: a.reading.ph } : (a.formula.targetPh ?? null)
  if (!range || a.emulsion?.type === 'water-in-oil') return []
  const soaps = soapLines(a)
  const missed = a.ph.items.filter(
    (item) =>
      item.grade === 'prefers' &&
      // soap in acid is no matter of preference
      !(range.max < SOAP_FROM && item.lines.some((i) => soaps.includes(i))) &&
      (range.max < item.min - 0.3 || range.min > item.max + 0.3),
  )
  if (missed.length === 0) return []
  return [
    finding(a, {
      code: 'ph.outside-window',
      severity: 'note',
      indexes: missed.flatMap((item) => item.lines),
      facts: { case: 'preferred', needs: missed.map(needOf) },
    }),
  ]
}

/** ph.not-measurable: in a water-in-oil product the water is shut in. */
export const notMeasurable: Rule = (a) =>
  a.emulsion?.type === 'water-in-oil'
    ? [
        finding(a, {
          code: 'ph.not-measurable',
          severity: 'note',
          materials: [],
          facts: {},
        }),
      ]
    : []

/** ph.outside-window by prediction: nothing was read, and the whole predicted band lies outside. */
export const predicted: Rule = (a) => {
  const p = a.predictedPh
  const aim = a.formula.targetPh ?? a.ph.shared
  if (
    !p ||
    a.reading ||
    !aim ||
    isUnsafeAsWritten(a) ||
    (p.high >= aim.min - SLACK && p.low <= aim.max + SLACK)
  )
    return []
  const needsAlkali = p.high < aim.min
  const aimed = a.formula.targetPh !== undefined
  return [
    finding(a, {
      code: 'ph.outside-window',
      severity: aimed ? 'note' : 'check',
      facts: {
        case: 'predicted',
        ph: p.value,
        band: { min: p.low, max: p.high },
        aim,
        aimed,
        needs: needsAlkali ? 'alkali' : 'acid',
      },
      source: 'electroneutrality',
    }),
  ]
}

/** A reading so much further outside is no matter of strengths any more, pH. */
const FAR = 0.5

/** ph.reading-implausible: a reading far outside the predicted band. */
export const implausible: Rule = (a) => {
  const p = a.predictedAtReading
  const r = a.reading
  const beyond = beyondPrediction(a)
  if (!p || !r || beyond === 0) return []
  const far = beyond > FAR
  const lactone = driftingOf(a).some((x) => acidBaseOf(x.key)?.hydrolysesTo !== undefined)
  return [
    finding(a, {
      code: 'ph.reading-implausible',
      severity: far ? 'check' : 'note',
      facts: { ph: r.ph, band: { min: p.low, max: p.high }, far, lactone },
      source: 'electroneutrality',
    }),
  ]
}

/** ph.drift-expected: something goes on changing the pH after the reading. */
export const drift: Rule = (a) => {
  const slow = driftingOf(a).filter(({ key, drift: d }) => d.why && a.substances.has(key))
  if (slow.length === 0) return []
  const indexes = [...new Set(slow.flatMap(({ key }) => a.substances.get(key)!.lines))].sort((x, y) => x - y)
  return [
    finding(a, {
      code: 'ph.drift-expected',
      severity: 'note',
      indexes,
      facts: { names: indexes.map((i) => a.lines[i]!.label), why: slow[0]!.drift.why! },
    }),
  ]
}

/** ph.strip-resolution: a strip cannot tell whether a narrow target is met. */
export const strip: Rule = (a) => {
  const target = a.formula.targetPh ?? a.ph.fits
  if (a.reading?.method !== 'strip' || !target) return []
  const uncertain = a.reading.ph - 0.5 < target.min || a.reading.ph + 0.5 > target.max
  const plainlyOut = a.reading.ph + 0.5 < target.min || a.reading.ph - 0.5 > target.max
  if (!uncertain || plainlyOut) return []
  return [
    finding(a, {
      code: 'ph.strip-resolution',
      severity: 'note',
      facts: { ph: a.reading.ph, target },
    }),
  ]
}
