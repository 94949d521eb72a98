import { linesOf } from '../assess/lines.ts'
import { CLAIM_WORDS } from '../materials/claims.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import type { FindingFacts } from './facts.ts'
import { finding, type Rule, type Severity } from './types.ts'

const SPF =
  /\b(spf\s*\d*|water[- ]resistant|sun ?screen|sun ?block|sun protection|uv protection|broad[- ]spectrum)\b/i

const claimsOf = (a: Parameters<Rule>[0]) =>
  (a.formula.product.claims ?? []).map((c) => c.trim()).filter(Boolean)
const says = (claims: readonly string[], word: string) =>
  claims.some((claim) => claim.toLowerCase().replace(/[\s_]+/g, '-') === word)

/** Whether its claims or its name promise protection from the sun. */
export const claimsSun = (a: Parameters<Rule>[0]) => [...claimsOf(a), a.formula.name].some((c) => SPF.test(c))

/** claim.spf: a UV filter is present, or sun protection is claimed. */
export const spf: Rule = (a) => {
  const filters = linesOf(a, (m) => hasTrait(m, 'uv-filter'))
  const claim = [...claimsOf(a), a.formula.name].find((c) => SPF.test(c))
  if (filters.length === 0 && !claim) return []
  return [
    finding(a, {
      code: 'claim.spf',
      severity: claim ? 'stop' : 'check',
      indexes: filters,
      facts: { claim: claim ?? null },
      source: 'uv-tests',
    }),
  ]
}

/** claim.natural: “natural” with materials that are not. */
export const natural: Rule = (a) => {
  if (!claimsOf(a).some((claim) => /\b(all[- ])?natural\b|\b100 ?% natural\b/i.test(claim))) return []
  const not = linesOf(a, (m) => m.origin === 'synthetic')
  if (not.length === 0) return []
  return [
    finding(a, {
      code: 'claim.natural',
      severity: 'check',
      indexes: not,
      facts: { names: not.map((i) => a.lines[i]!.label) },
      source: 'natural-origin',
    }),
  ]
}

interface Told {
  severity: Severity
  claim: FindingFacts['claim.unsupported']['claims'][number]
  indexes: number[]
}

/**
 * Claims that may stand on a label: those against which nothing was found, in the maker's words. What names a state of
 * the formula and not of the jar (`fresh`) is none.
 */
export function standingClaims(a: Parameters<Rule>[0]): string[] {
  return claimsOf(a).filter((claim) => {
    if (NO_CLAIMS.has(claim.toLowerCase())) return false
    const alone = {
      ...a,
      formula: { ...a.formula, name: '', product: { ...a.formula.product, claims: [claim] } },
    }
    return !SPF.test(claim) && natural(alone).length === 0 && unsupported(alone).length === 0
  })
}
const NO_CLAIMS = new Set(['fresh'])

/** claim.unsupported: words that need a licence, a test or a proof, or that a material contradicts; one for the product. */
export const unsupported: Rule = (a) => {
  const claims = claimsOf(a)
  const texts = [...claims, a.formula.name.trim()].filter(Boolean)
  const told: Told[] = []
  const left = new Set(texts)
  for (const words of CLAIM_WORDS) {
    // a text counts once, by the gravest of its words
    const found = [...left].filter((text) => words.pattern.test(text))
    if (found.length === 0) continue
    for (const text of found) left.delete(text)
    told.push({
      severity: words.severity,
      claim: { case: 'needs', claims: found, is: words.is, needs: words.needs },
      indexes: [],
    })
  }
  const contradicted = (claim: 'vegan' | 'fragrance-free', test: (m: Material) => boolean) => {
    if (!says(claims, claim)) return
    const indexes = linesOf(a, test)
    const names = indexes.map((i) => a.lines[i]!.label)
    if (indexes.length > 0)
      told.push({ severity: 'check', claim: { case: 'contradicted', claim, names }, indexes })
  }
  contradicted('vegan', (m) => m.origin === 'animal')
  contradicted('fragrance-free', (m) => hasTrait(m, 'fragrance'))
  if (told.length === 0) return []
  const out = claims.filter((c) => CLAIM_WORDS.some((w) => w.severity === 'stop' && w.pattern.test(c)))
  return [
    finding(a, {
      code: 'claim.unsupported',
      severity: told.some((t) => t.severity === 'stop') ? 'stop' : 'check',
      indexes: [...new Set(told.flatMap((t) => t.indexes))],
      facts: { claims: told.map((t) => t.claim) },
      source: 'claims-law',
      remedies:
        out.length > 0
          ? [
              {
                code: 'remove-claims',
                facts: { count: out.length },
                edit: { type: 'patch-product', patch: { claims: claims.filter((c) => !out.includes(c)) } },
              },
            ]
          : [],
    }),
  ]
}
