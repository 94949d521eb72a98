import type { Assessment } from '../assess/types.ts'
import { acidBaseOf } from '../ph/acid-base.ts'
import { aimPh } from '../dosing/aim.ts'
import { driftingOf, freeAcidPercent } from '../dosing/effects.ts'
import { bearsOf } from '../ph/skin.ts'
import type { WindowItem } from '../assess/windows.ts'
import { capitalise, formatRange, listWords, sayNumber } from '../text/format.ts'
import { COMMON_PRACTICE, finding, type Finding, type Rule } from './types.ts'

const needs = (item: WindowItem) =>
  item.grade === 'works' ? `works at pH ${formatRange(item)}` : `holds at pH ${formatRange(item)}`

const sentenceFor = (items: readonly WindowItem[]) => items.flatMap((item) => item.why ?? []).join(' ')

/** ph.no-shared-window: needs that no pH meets. Two that must work are a stop, body that would be lost is a check. */
export const noSharedWindow: Rule = (a) => {
  if (a.emulsion?.type === 'water-in-oil') return []
  const worst = a.ph.clashes[0]
  if (!worst) return []
  const hard = a.ph.clashes.find(({ a: x, b: y }) => x.grade === 'works' && y.grade === 'works' && !x.soft && !y.soft) // prettier-ignore
  const pair = hard ?? worst
  const others = a.ph.clashes.filter((clash) => clash !== pair).length
  return [
    finding(a, {
      code: 'ph.no-shared-window',
      severity: hard ? 'stop' : 'check',
      indexes: [...new Set([...pair.a.lines, ...pair.b.lines])],
      materials: [...pair.a.materials, ...pair.b.materials],
      message: `No pH suits both: ${pair.a.label} ${needs(pair.a)}, ${pair.b.label} ${needs(pair.b)}.`,
      why: [
        sentenceFor([pair.a, pair.b]) ||
          (hard
            ? 'One of them would be wasted or spoilt.'
            : 'The product would thin or split until the pH is raised.'),
        others > 0 ? `${others} more ${others === 1 ? 'pair does' : 'pairs do'} not meet.` : '',
      ]
        .filter(Boolean)
        .join(' '),
      remedies: removals(a, pair),
    }),
  ]
}

function removals(a: Assessment, pair: { a: WindowItem; b: WindowItem }): Finding['remedies'] {
  return [pair.a, pair.b].flatMap((item) => {
    if (item.lines.length !== 1 || item.id === 'preservation') return []
    const line = a.lines[item.lines[0]!]!
    return [{ label: `Take out ${item.label}`, edit: { type: 'remove-line' as const, at: line } }]
  })
}

/** How far beyond a window a value counts as outside, in pH. */
const SLACK = 0.049

/** ph.outside-window: the reading, or the target, is outside what the materials share. */
export const outsideWindow: Rule = (a) => {
  const { shared } = a.ph
  if (!shared || a.emulsion?.type === 'water-in-oil') return []
  const found: Finding[] = []
  const blockers = (ph: number) =>
    a.ph.items.filter(
      (item) =>
        (item.grade === 'works' || item.grade === 'holds') &&
        (ph < item.min - SLACK || ph > item.max + SLACK),
    )
  const { targetPh } = a.formula
  const targetOff =
    targetPh !== undefined && (targetPh.min > shared.max + SLACK || targetPh.max < shared.min - SLACK)
  const retarget = targetOff
    ? [
        {
          label: `Aim for pH ${formatRange(shared)}`,
          edit: { type: 'patch' as const, patch: { targetPh: shared } },
        },
      ]
    : []
  if (a.reading && (a.reading.ph < shared.min - SLACK || a.reading.ph > shared.max + SLACK)) {
    const who = blockers(a.reading.ph)
    found.push(
      finding(a, {
        code: 'ph.outside-window',
        severity: 'check',
        indexes: who.flatMap((item) => item.lines),
        message: `The pH read, ${sayNumber(a.reading.ph, 2)}, ${targetOff ? `and the target, ${formatRange(targetPh)}, are` : 'is'} outside ${formatRange(shared)}, where everything works.`,
        why: `${capitalise(listWords(who.map((item) => `${item.label} ${needs(item)}`)))}.`,
        remedies: retarget,
      }),
    )
    if (targetOff) return found
  }
  if (targetOff) {
    const who = [...new Set([...blockers(targetPh.min), ...blockers(targetPh.max)])]
    found.push(
      finding(a, {
        code: 'ph.outside-window',
        severity: 'check',
        indexes: who.flatMap((item) => item.lines),
        message: `The target, pH ${formatRange(targetPh)}, is outside ${formatRange(shared)}, where everything works.`,
        why: `${capitalise(listWords(who.map((item) => `${item.label} ${needs(item)}`)))}.`,
        remedies: retarget,
      }),
    )
  } else if (targetPh && (targetPh.min < shared.min - SLACK || targetPh.max > shared.max + SLACK)) {
    const narrowed = { min: Math.max(shared.min, targetPh.min), max: Math.min(shared.max, targetPh.max) }
    found.push(
      finding(a, {
        code: 'ph.outside-window',
        severity: 'note',
        indexes: [...new Set([...blockers(targetPh.min), ...blockers(targetPh.max)])].flatMap(
          (item) => item.lines,
        ),
        message: `Part of the target, pH ${formatRange(targetPh)}, is outside ${formatRange(shared)}, where everything works.`,
        why: 'Aim for the part that fits.',
        remedies: [
          {
            label: `Aim for pH ${formatRange(narrowed)}`,
            edit: { type: 'patch', patch: { targetPh: narrowed } },
          },
        ],
      }),
    )
  }
  return found
}

/** A wish of a material that the shared window, target or reading leaves aside: a note at most. */
export const preferences: Rule = (a) => {
  const range = a.reading ? { min: a.reading.ph, max: a.reading.ph } : (a.formula.targetPh ?? null)
  if (!range || a.emulsion?.type === 'water-in-oil') return []
  const missed = a.ph.items.filter(
    (item) => item.grade === 'prefers' && (range.max < item.min - 0.3 || range.min > item.max + 0.3),
  )
  if (missed.length === 0) return []
  return [
    finding(a, {
      code: 'ph.outside-window',
      severity: 'note',
      indexes: missed.flatMap((item) => item.lines),
      message: `${capitalise(listWords(missed.map((item) => `${item.label} prefers pH ${formatRange(item)}`)))}.`,
      why: 'It keeps less well outside, and still does its work.',
      source: COMMON_PRACTICE,
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
          message: 'This is water in oil: its pH cannot be measured.',
          why: 'The drops of water are shut in oil, so a strip or probe reads nothing. Set the pH of the water phase before it goes in.',
        }),
      ]
    : []

/** Room between the predicted band and a reading before the meter is doubted, in pH: a strip is read roughly. */
const DOUBT = { strip: 1.5, 'meter-direct': 1, 'meter-10pct': 1 }

/** ph.outside-window by prediction: nothing was read, and the whole predicted band lies outside. */
export const predicted: Rule = (a) => {
  const p = a.predictedPh
  const aim = a.formula.targetPh ?? a.ph.shared
  if (!p || a.reading || !aim || (p.high >= aim.min - SLACK && p.low <= aim.max + SLACK)) return []
  const needsAlkali = p.high < aim.min
  const aimed = a.formula.targetPh !== undefined
  return [
    finding(a, {
      code: 'ph.outside-window',
      severity: aimed ? 'note' : 'check',
      message: `As written it should come out near pH ${sayNumber(p.value, 1)} (${formatRange({ min: p.low, max: p.high })}); ${aimed ? `you aim for ${formatRange(aim)}` : `everything works at ${formatRange(aim)}`}.`,
      why: `${needsAlkali ? 'Alkali' : 'Acid'} is needed, a little at a time, with a reading after each. Count what goes in.`,
      source: 'electroneutrality with Davies activity coefficients; constants from memory',
    }),
  ]
}

/** A reading so much further outside is no matter of strengths any more, pH. */
const FAR = 0.5

/** ph.reading-implausible: a reading far outside the predicted band. */
export const implausible: Rule = (a) => {
  const p = a.predictedPh
  const r = a.reading
  if (!p || !r) return []
  const off = Math.max(p.low - r.ph, r.ph - p.high)
  if (off <= DOUBT[r.method]) return []
  const far = off > DOUBT[r.method] + FAR
  const lactone = driftingOf(a).some((x) => acidBaseOf(x.key)?.hydrolysesTo)
  return [
    finding(a, {
      code: 'ph.reading-implausible',
      severity: far ? 'check' : 'note',
      message: `The pH read, ${sayNumber(r.ph, 2)}, is ${far ? 'far' : 'somewhat'} from what the formula should give: ${formatRange({ min: p.low, max: p.high })}.`,
      why: lactone
        ? 'A lactone frees its acid for hours: read again after a day. Otherwise check the meter, and whether everything that went in is written down.'
        : far
          ? 'Check the meter in a buffer, and whether everything that went in is written down.'
          : 'Strengths and a meter that was not set are the usual reasons.',
      source: 'electroneutrality with Davies activity coefficients; constants from memory',
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
      message: `${capitalise(listWords(indexes.map((i) => a.lines[i]!.label)))} will move the pH.`,
      why: slow[0]!.drift.why!,
    }),
  ]
}

/** ph.strip-resolution: a strip cannot tell whether a narrow target is met. */
export const strip: Rule = (a) => {
  const target = a.formula.targetPh ?? a.ph.shared
  if (a.reading?.method !== 'strip' || !target) return []
  const uncertain = a.reading.ph - 0.5 < target.min || a.reading.ph + 0.5 > target.max
  const plainlyOut = a.reading.ph + 0.5 < target.min || a.reading.ph - 0.5 > target.max
  if (!uncertain || plainlyOut) return []
  return [
    finding(a, {
      code: 'ph.strip-resolution',
      severity: 'note',
      message: `A strip reads to half a unit: ${sayNumber(a.reading.ph, 1)} does not show whether ${formatRange(target)} is met.`,
      why: 'A meter does, on the product or on 10 % in distilled water.',
    }),
  ]
}

/** Free acid from which a pH under what skin bears stings, percent of the product. */
const STINGS = 0.2

/** ph.unsafe: a pH read, aimed for, or predicted in all of its band, that this site and use should not meet. */
export const unsafe: Rule = (a) => {
  if (a.emulsion?.type === 'water-in-oil') return []
  const bears = bearsOf(a.formula.product)
  const { targetPh } = a.formula
  const p = a.predictedPh
  // a band lies outside only where all of it does
  const range = a.reading
    ? { min: a.reading.ph, max: a.reading.ph, says: `The pH read, ${sayNumber(a.reading.ph, 2)},` }
    : targetPh
      ? { ...targetPh, says: `The target, pH ${formatRange(targetPh)},` }
      : p
        ? { min: p.low, max: p.high, says: `The pH that it likely has, ${formatRange({ min: p.low, max: p.high })},` }
        : null
  if (!range) return []
  const sour = range.max < bears.min - SLACK
  const sharp = range.min > bears.max + SLACK
  if (!sour && !sharp) return []
  // between what is always too sour and what stings with free acid, the acid decides
  const always = bears.min - 0.5
  const free = freeAcidPercent(a, range.max)
  if (sour && range.max >= always && free < STINGS) return []
  const stop = sour ? range.max < bears.stopMin : range.min > bears.stopMax
  const { site, rinse } = a.formula.product
  const where = `a product that is ${rinse} for ${site === 'eye' ? 'the eye area' : site}`
  const aim = aimPh({ ...a, formula: { ...a.formula, targetPh: undefined } })
  return [
    finding(a, {
      code: 'ph.unsafe',
      severity: stop ? 'stop' : 'check',
      materials: [],
      message: `${range.says} is ${sour ? 'too sour' : 'too alkaline'} for ${where}, which bears ${formatRange(bears)}.`,
      why: `${stop ? 'It burns.' : 'It may sting and redden.'} ${sour ? 'Raise it; the lower the pH, the more acid is free.' : 'Lower it; alkali swells the horny layer and dries it.'}`,
      remedies: targetPh && !a.reading && aim ? [{ label: `Aim for pH ${formatRange(aim)}`, edit: { type: 'patch', patch: { targetPh: aim } } }] : [],
    }),
  ]
} // prettier-ignore
