import { withGuesses } from '../assess/guesses.ts'
import { linesOf } from '../assess/lines.ts'
import type { Assessment } from '../assess/types.ts'
import { acidOf, asAcid, freeShare } from '../ph/families.ts'
import type { Product } from '../shapes/formula.ts'
import { hasTrait } from '../shapes/material.ts'
import { finding, type Rule } from './types.ts'
import { isScent } from './usage.ts'

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
      facts:
        acids.length > 1
          ? { case: 'acids', percent: sum, freePercent: free, ph }
          : { case: 'mixed', names: all.map((d) => d.material.name) },
      source: 'aha-opinion',
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
  if (raw.length > 0 && a.preservation.needed && !isTested(a)) {
    const stop = raw.length >= MANY_RAW
    return [
      finding(a, {
        code: 'usage.extract-load',
        severity: stop ? 'stop' : 'check',
        indexes: all,
        facts: {
          case: 'raw',
          names: raw.map((i) => a.lines[i]!.label),
          stop,
          botanicals: all.length >= MANY_BOTANICALS ? all.length : null,
        },
        remedies: stop
          ? [
              {
                code: 'state-challenge-test',
                facts: {},
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
      facts: { case: 'many', count: all.length, percent: sum },
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
  const indexes = linesOf(withGuesses(a), isScent)
  if (indexes.length === 0) return []
  const guessed = indexes.filter((i) => a.lines[i]!.material === null).map((i) => a.lines[i]!.label)
  const { site, rinse } = a.formula.product
  const wider = rinse === 'rinse-off' ? 2 : 1
  const [gentle, most] = (SCENT[site] ?? SCENT_BODY).map((x) => x * wider) as [number, number]
  const sum = indexes.reduce((s, i) => s + a.lines[i]!.percent, 0)
  if (sum <= gentle + 1e-9) return []
  const severity =
    sum <= most + 1e-9 ? 'note' : (indexes.length >= SEVERAL || sum > most * 2) && most > 0 ? 'stop' : 'check'
  return [
    finding(a, {
      code: 'usage.scent-total',
      severity,
      indexes,
      facts: { percent: sum, gentlePercent: gentle, mostPercent: most, rinse, site, guessed },
    }),
  ]
}
