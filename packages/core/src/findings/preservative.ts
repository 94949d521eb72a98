import type { Assessment } from '../assess/types.ts'
import { PICKS } from '../materials/picks.ts'
import { coverAt, isAdequate, leftInWater, weakGroups } from '../preservation/preservation.ts'
import { fromHandbook } from './heat.ts'
import { finding, type Finding, type Remedy, type Rule } from './types.ts'

/** The claim by which a maker declares an unpreserved product that is kept cold and used up at once. */
export const FRESH_CLAIM = 'fresh'
export const isFresh = (a: Assessment) =>
  (a.formula.product.claims ?? []).some((claim) => claim.trim().toLowerCase() === FRESH_CLAIM)

const declareFresh = (a: Assessment): Remedy => ({
  code: 'declare-fresh',
  facts: {},
  edit: { type: 'patch-product', patch: { claims: [...(a.formula.product.claims ?? []), FRESH_CLAIM] } },
})

/** Puts a broad preservative into the last cool-down phase, at its usual dose. */
function addPreservative(a: Assessment): Remedy[] {
  const coolDown = a.formula.phases.findLastIndex((phase) => phase.role === 'cool-down')
  const phase =
    coolDown >= 0
      ? coolDown
      : a.formula.phases.findLastIndex((p) => p.heatToC === undefined || p.heatToC <= 60)
  if (phase < 0 || a.amounts.fillIndex === null) return []
  return [
    {
      code: 'add-material',
      facts: {
        percent: PICKS.preservative.percent,
        name: a.catalogue.find(PICKS.preservative.material)?.name ?? '',
      },
      edit: { type: 'add-line', phase, line: PICKS.preservative },
    },
  ]
}

/** preservative.missing and preservative.unidentified: water present without broad cover. */
export const missing: Rule = (a) => {
  const { preservation: p } = a
  if (!p.needed || p.selfPreserving || p.adequate || isFresh(a)) return []
  // One without an amount is there; how much it covers is told when there is one.
  if (a.lines.some((l) => !l.given && l.material?.cover)) return []
  if (p.unidentified.length > 0) {
    return [
      finding(a, {
        code: 'preservative.unidentified',
        severity: 'check',
        indexes: p.unidentified,
        facts: {
          names: p.unidentified.map((i) => a.lines[i]!.label),
          sharesOnly: p.unidentified.every((i) => a.lines[i]!.material?.unknownShares),
        },
      }),
    ]
  }
  const partners = p.uses.filter((use) => use.cover.role === 'broad' || use.cover.role === 'partner')
  if (partners.length === 0) {
    // Nothing preserves; what only helps is said by name, and never that nothing is there.
    const helpers = p.uses.filter((use) => use.cover.role === 'booster' || claimsToPreserve(use.material))
    const several = helpers.length > 1 || helpers.some((use) => use.cover.role === 'help')
    return [
      finding(a, {
        code: 'preservative.missing',
        severity: several ? 'check' : 'stop',
        indexes: [...new Set(helpers.flatMap((use) => use.lines))],
        materials: helpers.map((use) => use.material.id),
        facts:
          helpers.length > 0
            ? {
                case: 'helpers',
                names: helpers.map((use) => use.material.name),
                weak: weakGroups(coverAt(p.uses, null)),
              }
            : { case: 'none' },
        remedies: [...addPreservative(a), declareFresh(a)],
      }),
    ]
  }
  // Too little of a partner is said by `low`; a second finding about the same dose would only repeat it.
  if (
    isAdequate(
      coverAt(
        partners.map((use) => ({ ...use, dosePercent: Infinity })),
        null,
      ),
    )
  )
    return []
  const weak = weakGroups(coverAt(p.uses, null))
  if (weak.length === 0) return []
  return [
    finding(a, {
      code: 'preservative.missing',
      severity: 'check',
      indexes: [...new Set(partners.flatMap((use) => use.lines))],
      materials: partners.map((use) => use.material.id),
      facts: { case: 'gaps', names: partners.map((use) => use.material.name), weak },
      source: 'challenge-test',
    }),
  ]
}

const claimsToPreserve = (m: Assessment['preservation']['uses'][number]['material']) =>
  m.functions.some((f) => /preserv|antimicrob/i.test(f))

/** preservative.low: under its usual range. */
export const low: Rule = (a) =>
  a.preservation.uses.flatMap((use) => {
    const { material, dosePercent } = use
    if (!material.usage || use.cover.role === 'help' || use.cover.role === 'booster') return []
    if (!a.preservation.needed || dosePercent >= material.usage.min * (1 - 1e-6)) return []
    // A second preservative under its dose does no harm when the rest covers everything.
    const rest = a.preservation.uses.filter((other) => other !== use)
    if (isAdequate(coverAt(rest, null))) return []
    const given = use.lines.every((i) => a.lines[i]!.given)
    if (!given) return []
    const only =
      use.lines.length === 1 && a.lines[use.lines[0]!]!.material?.id === material.id
        ? a.lines[use.lines[0]!]!
        : null
    return [
      finding(a, {
        code: 'preservative.low',
        severity: 'check',
        indexes: use.lines,
        materials: [material.id],
        facts: {
          case: 'dose',
          name: material.name,
          percent: dosePercent,
          min: material.usage.min,
          max: material.usage.max,
        },
        remedies: only
          ? [
              {
                code: 'set-to',
                facts: { percent: material.usage.typical },
                edit: { type: 'set-percent', at: only, percent: material.usage.typical },
              },
            ]
          : [],
      }),
    ]
  })

/** preservative.low: what oils and surfactants take of it is missing in the water, where microbes grow. */
export const taken: Rule = (a) => {
  const { preservation: p } = a
  if (!p.needed || p.selfPreserving || isFresh(a) || !isAdequate(coverAt(p.uses, null))) return []
  const others = p.uses.filter((use) => use.material.logKow !== undefined && use.cover.role !== 'help')
  const weak = weakGroups(coverAt(p.uses, null, p))
  const by = others.filter((use) => leftInWater(use, p.medium) < 0.5)
  if (weak.length === 0 || by.length === 0) return []
  return [
    finding(a, {
      code: 'preservative.low',
      severity: 'check',
      indexes: [...new Set(by.flatMap((use) => use.lines))],
      materials: by.map((use) => use.material.id),
      facts: {
        case: 'taken',
        weak,
        left: by.map((use) => ({ name: use.material.name, percent: 100 * leftInWater(use, p.medium) })),
        by: p.medium.micelles > p.medium.oil / 5 ? 'micelles' : 'oils',
      },
      source: 'partition',
    }),
  ]
}

/** preservative.heat: in a phase hotter than it stands. */
export const heat: Rule = (a) =>
  a.preservation.uses.flatMap((use) =>
    use.lines.flatMap((index): Finding[] => {
      const line = a.lines[index]!
      const to = line.phaseSource.heatToC
      const stands = line.material?.heatMaxC
      if (to === undefined || stands === undefined || to <= stands || line.material?.id !== use.material.id)
        return []
      const coolDown = a.formula.phases.findIndex((phase) => phase.role === 'cool-down')
      return [
        finding(a, {
          code: 'preservative.heat',
          severity: 'check',
          indexes: [index],
          facts: { name: line.label, heatToC: to, heatMaxC: stands },
          source: fromHandbook(line.material),
          remedies:
            coolDown >= 0
              ? [
                  {
                    code: 'move-to',
                    facts: {
                      several: false,
                      phase: a.formula.phases[coolDown]!.name || null,
                      role: 'cool-down',
                    },
                    edit: {
                      type: 'move-line',
                      from: line,
                      to: { phase: coolDown, line: a.formula.phases[coolDown]!.lines.length },
                    },
                  },
                ]
              : [],
        }),
      ]
    }),
  )
