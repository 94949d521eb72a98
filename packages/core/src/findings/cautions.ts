import { withGuesses } from '../assess/guesses.ts'
import { linesOf } from '../assess/lines.ts'
import type { Assessment } from '../assess/types.ts'
import { adjusterKey } from '../dosing/fit.ts'
import { adjusterAsWeighed } from '../dosing/log.ts'
import type { WeighedName } from '../lines/weighed.ts'
import { adjusterOf, type Adjuster } from '../ph/adjusters.ts'
import { hasTrait, type Trait } from '../shapes/material.ts'
import { formatCelsius, listWords } from '../text/format.ts'
import { LYE_CARE, LYE_ORDER } from '../text/lye.ts'
import { isFresh } from './preservative.ts'
import { finding, type Finding, type Rule, type Severity } from './types.ts'

const SAFETY = 'general safety practice, from memory; the safety data sheet of your lot comes first'

interface Caution {
  code: string
  trait: Trait
  /** Least percent, summed over the lines, from which it is shown. */
  from?: number
  severity?: Severity
  message: string
  why: string
  when?: (a: Assessment) => boolean
  /** Adjusters of this kind that were logged count as well. */
  hazard?: Adjuster['hazard']
}

const leaveOn = (a: Assessment) => a.formula.product.rinse === 'leave-on'

/** Each caution stands where its material is; nothing is put into one long notice. */
const CAUTIONS: Caution[] = [
  {
    code: 'safety.sun',
    trait: 'sun',
    from: 0.5,
    when: (a) => a.formula.product.site !== 'hair',
    message: 'Skin burns more easily in the sun.',
    why: 'Use sunscreen by day, during use and for a week after. Start every second or third evening.',
  },
  {
    code: 'safety.sun',
    trait: 'retinoid',
    message: 'Skin burns more easily in the sun.',
    why: 'Evening use only, sunscreen by day, start twice a week.',
  },
  {
    code: 'safety.salicylate',
    trait: 'salicylate',
    message: 'Contains a salicylate.',
    why: 'Not for aspirin allergy, not for children under 3, not over large areas.',
  },
  {
    code: 'safety.pregnancy',
    trait: 'pregnancy',
    message: 'Ask a doctor or midwife first in pregnancy or when breastfeeding.',
    why: 'Retinoids are left out altogether then.',
  },
  {
    code: 'safety.lye',
    trait: 'lye',
    hazard: 'lye',
    message: 'Lye burns.',
    why: `${LYE_CARE} Long sleeves. ${LYE_ORDER} On skin or eyes: running water for 20 minutes, then medical help.`,
  },
  {
    code: 'safety.acid',
    trait: 'strong-acid',
    hazard: 'acid',
    from: 0.5,
    message: 'The concentrated acid burns.',
    why: 'Goggles and gloves; acid into water; good air.',
  },
  {
    code: 'safety.fragrance',
    trait: 'fragrance',
    when: leaveOn,
    message: 'Scent can cause allergy.',
    why: 'Keep it low, not near the eyes, not for babies. Patch test.',
  },
  {
    code: 'safety.dust',
    trait: 'dust',
    message: 'Fine dust.',
    why: 'Wear a close mask, pour slowly, wet it at once, wipe up wet.',
  },
  {
    code: 'safety.flammable',
    trait: 'flammable',
    from: 5,
    message: 'Burns easily.',
    why: 'No flame, ring or hot plate near; good air; warm only in a water bath off the flame.',
  },
]

const linesWith = (a: Assessment, trait: Trait) => linesOf(withGuesses(a), (m) => hasTrait(m, trait))

const names = (a: Assessment, indexes: number[]) =>
  listWords([...new Set(indexes.map((i) => a.lines[i]!.label))])

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
    const who = [...(enough ? [names(a, indexes)] : []), ...new Set(added)]
    return [
      finding(a, {
        code: caution.code,
        severity: caution.severity ?? 'note',
        indexes: enough ? indexes : [],
        message: `${listWords(who)}: ${caution.message.charAt(0).toLowerCase()}${caution.message.slice(1)}`,
        why: caution.why,
        source: SAFETY,
      }),
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
          message: `For the eye area, with ${names(a, indexes)}.`,
          why: 'Nothing that stings or smells belongs near the eye: no fragrance, no exfoliating acids, no retinoids on the lid.',
          source: SAFETY,
        })
      : finding(a, {
          code: 'safety.eye',
          severity: 'note',
          message: 'For the eye area: keep it out of the eye itself.',
          why: 'pH 6.5 to 7.5 is gentlest. Infection can harm sight, so preserve well and use a pump or tube. Rinse with much water if it gets in.',
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
          message: 'Fresh and unpreserved: fridge, and use it up within 7 days.',
          why: 'Make one week’s worth at most, take it out with a clean spatula, label it with day and hour. Not for eyes, broken skin, children or anyone unwell. Do not give it away.',
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
      message: `Hot oil and wax at ${formatCelsius(Math.max(...phases.map((p) => p.heatToC!)))} stick and burn.`,
      why: 'Water bath, never direct or unattended; dry glass; cool burns under running water for 20 minutes.',
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
        message: 'Selling falls under cosmetic law.',
        why: 'Usually a safety assessment, a challenge test, stability tests, a product file, notification, good manufacturing practice and a lawful label. Your local rules decide.',
        source: 'Regulation (EC) 1223/2009; US Modernization of Cosmetics Regulation Act 2022; from memory',
      }),
    ]
  if (product.for === 'gift' || says(/\b(gifts?|give away)\b/))
    return [
      finding(a, {
        code: 'safety.sale',
        severity: 'note',
        message: 'A gift wants a label.',
        why: 'Ingredients, date, how long it keeps and your name, so that someone with an allergy can tell. Giving away in some places falls under cosmetic law too: your local rules decide.',
      }),
    ]
  return []
}

export const cautions: Rule = (a) => [...eye(a), ...unpreserved(a), ...byTrait(a), ...hotWork(a), ...sale(a)]
