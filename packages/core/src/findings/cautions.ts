import { withGuesses } from '../assess/guesses.ts'
import { linesOf } from '../assess/lines.ts'
import type { Assessment } from '../assess/types.ts'
import { adjusterKey } from '../dosing/fit.ts'
import { adjusterAsWeighed } from '../dosing/log.ts'
import type { WeighedName } from '../lines/weighed.ts'
import { adjusterOf, type Adjuster } from '../ph/adjusters.ts'
import { hasTrait, type Trait } from '../shapes/material.ts'
import { isFresh } from './preservative.ts'
import type { FindingFacts } from './facts.ts'
import { finding, type Finding, type Rule } from './types.ts'

const SAFETY = 'safety-practice'

/** Cautions that name who they are about and nothing else. */
type CautionCode = {
  [C in keyof FindingFacts]: FindingFacts[C] extends { who: string[] } ? C : never
}[keyof FindingFacts]

interface Caution {
  code: CautionCode
  trait: Trait
  /** Least percent, summed over the lines, from which it is shown. */
  from?: number
  when?: (a: Assessment) => boolean
  /** Adjusters of this kind that were logged count as well. */
  hazard?: Adjuster['hazard']
}

const leaveOn = (a: Assessment) => a.formula.product.rinse === 'leave-on'

/** Each caution stands where its material is; nothing is put into one long notice. */
const CAUTIONS: Caution[] = [
  { code: 'safety.sun', trait: 'sun', from: 0.5, when: (a) => a.formula.product.site !== 'hair' },
  { code: 'safety.sun', trait: 'retinoid' },
  { code: 'safety.salicylate', trait: 'salicylate' },
  { code: 'safety.pregnancy', trait: 'pregnancy' },
  { code: 'safety.lye', trait: 'lye', hazard: 'lye' },
  { code: 'safety.acid', trait: 'strong-acid', hazard: 'acid', from: 0.5 },
  { code: 'safety.fragrance', trait: 'fragrance', when: leaveOn },
  { code: 'safety.dust', trait: 'dust' },
  { code: 'safety.flammable', trait: 'flammable', from: 5 },
]

const linesWith = (a: Assessment, trait: Trait) => linesOf(withGuesses(a), (m) => hasTrait(m, trait))

const names = (a: Assessment, indexes: number[]) => [...new Set(indexes.map((i) => a.lines[i]!.label))]

/** What its solution does to hands is told of above this strength, percent (common practice). */
const BURNS_FROM = 1
/** Adjusters that were logged, or tried on a portion, by what they do to hands and eyes. */
function logged(a: Assessment, hazard: Adjuster['hazard']): WeighedName[] {
  const { additions = [], portion } = a.formula
  const used = [...additions, ...(portion && portion.steps.length > 0 ? [portion] : [])]
  return used
    .filter(
      (x) => x.strengthPercent > BURNS_FROM && adjusterOf(adjusterKey(x.material) ?? '')?.hazard === hazard,
    )
    .map((x) => adjusterAsWeighed(x, a.catalogue))
}

/** Lines by trait, gathered in one pass. */
function traitLines(a: Assessment): Map<Trait, number[]> {
  const found = new Map<Trait, number[]>()
  a.lines.forEach((line, i) => {
    if (line.percent <= 0) return
    for (const trait of line.material?.traits ?? []) {
      if (trait === 'lye' && (line.strengthPercent ?? 100) <= BURNS_FROM) continue
      const held = found.get(trait)
      if (held) held.push(i)
      else found.set(trait, [i])
    }
  })
  return found
}

const byTrait: Rule = (a) => {
  const seen = new Set<string>()
  const traits = traitLines(withGuesses(a))
  return CAUTIONS.flatMap((caution): Finding[] => {
    if (seen.has(caution.code) || (caution.when && !caution.when(a))) return []
    const indexes = traits.get(caution.trait) ?? []
    const sum = indexes.reduce((s, i) => s + a.lines[i]!.percent, 0)
    const enough = indexes.length > 0 && sum >= (caution.from ?? 0)
    const added = caution.hazard ? logged(a, caution.hazard) : []
    if (!enough && added.length === 0) return []
    seen.add(caution.code)
    const who = [...(enough ? names(a, indexes) : []), ...new Set(added)]
    const common = { severity: 'note', indexes: enough ? indexes : [], source: SAFETY } as const
    return [
      caution.code === 'safety.sun'
        ? finding(a, {
            ...common,
            code: caution.code,
            facts: { who, by: caution.trait === 'retinoid' ? 'retinoid' : 'acid' },
          })
        : finding(a, { ...common, code: caution.code, facts: { who } }),
    ]
  })
}

const eye: Rule = (a) => {
  if (a.formula.product.site !== 'eye') return []
  const indexes = [...new Set([...linesWith(a, 'eye-irritant'), ...linesWith(a, 'fragrance')])]
  return [
    indexes.length > 0
      ? finding(a, {
          code: 'safety.eye',
          severity: 'check',
          indexes,
          facts: { names: names(a, indexes) },
          source: SAFETY,
        })
      : finding(a, {
          code: 'safety.eye',
          severity: 'note',
          facts: { names: [] },
          source: SAFETY,
        }),
  ]
}

const unpreserved: Rule = (a) =>
  a.preservation.needed && isFresh(a) && !a.preservation.adequate
    ? [
        finding(a, {
          code: 'safety.unpreserved',
          severity: 'check',
          facts: {},
          source: SAFETY,
        }),
      ]
    : []

const hotWork: Rule = (a) => {
  const phases = a.formula.phases.filter((phase) => (phase.heatToC ?? 0) >= 60 && phase.role === 'oil')
  if (phases.length === 0) return []
  return [
    finding(a, {
      code: 'safety.hot',
      severity: 'note',
      facts: { celsius: Math.max(...phases.map((p) => p.heatToC!)) },
      source: SAFETY,
    }),
  ]
}

/** Something made for others: sale asks for what the law asks, a gift for a label. */
const sale: Rule = (a) => {
  const { product } = a.formula
  const claimed = (product.claims ?? []).map((claim) => claim.toLowerCase())
  const says = (words: RegExp) => claimed.some((claim) => words.test(claim))
  if (product.for === 'sale' || says(/\b(for sale|sell|sold|market)\b/))
    return [
      finding(a, {
        code: 'safety.sale',
        severity: 'note',
        facts: { for: 'sale' },
        source: 'sale-law',
      }),
    ]
  if (product.for === 'gift' || says(/\b(gifts?|give away)\b/))
    return [
      finding(a, {
        code: 'safety.sale',
        severity: 'note',
        facts: { for: 'gift' },
      }),
    ]
  return []
}

export const cautions: Rule = (a) => [...eye(a), ...unpreserved(a), ...byTrait(a), ...hotWork(a), ...sale(a)]
