import { withGuesses } from '../assess/guesses.ts'
import { linesOf } from '../assess/lines.ts'
import type { Assessment } from '../assess/types.ts'
import { acidOf, asAcid, freeShare } from '../ph/families.ts'
import type { Product } from '../shapes/formula.ts'
import { hasTrait } from '../shapes/material.ts'
import { capitalise, listSome, listWords, sayNumber, sayPercent, shorten } from '../text/format.ts'
import { COMMON_PRACTICE, finding, type Rule } from './types.ts'
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
  const indexes = linesOf(withGuesses(a), isScent)
  if (indexes.length === 0) return []
  const guessed = indexes.filter((i) => a.lines[i]!.material === null).map((i) => shorten(a.lines[i]!.label))
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
      message: `${sayPercent(Number(sum.toPrecision(2)))} fragrance in total; ${most > 0 ? `${sayPercent(gentle)} to ${sayPercent(most)} is the most` : 'none belongs'} in a product that is ${rinse} for ${site === 'eye' ? 'the eye area' : site}.`,
      why: `Their allergens and irritants add up, whatever each oil is.${guessed.length > 0 ? ` ${capitalise(listSome(guessed))} ${guessed.length > 1 ? 'are' : 'is'} read as fragrance by name.` : ''}`,
    }),
  ]
}
