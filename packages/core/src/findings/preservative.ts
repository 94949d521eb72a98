import type { Assessment } from '../assess/types.ts'
import { PICKS } from '../materials/picks.ts'
import {
  coverAt,
  GROUP_NAMES,
  isAdequate,
  leftInWater,
  weakGroups,
  type CoverLevels,
} from '../preservation/preservation.ts'
import { capitalise, formatCelsius, listWords, sayPercent } from '../text/format.ts'
import { COMMON_PRACTICE, finding, type Finding, type Remedy, type Rule } from './types.ts'

/** The claim by which a maker declares an unpreserved product that is kept cold and used up at once. */
export const FRESH_CLAIM = 'fresh'
export const isFresh = (a: Assessment) =>
  (a.formula.product.claims ?? []).some((claim) => claim.trim().toLowerCase() === FRESH_CLAIM)

const declareFresh = (a: Assessment): Remedy => ({
  label: 'Declare it fresh: fridge, days only',
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
      label: `Add ${sayPercent(PICKS.preservative.percent)} ${a.catalogue.find(PICKS.preservative.material)?.name ?? ''}`,
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
        message: p.unidentified.every((i) => a.lines[i]!.material?.unknownShares)
          ? `How much of each part ${listWords(p.unidentified.map((i) => a.lines[i]!.label))} holds is not known.`
          : `What ${listWords(p.unidentified.map((i) => a.lines[i]!.label))} is made of is not known.`,
        why: 'Whether it covers bacteria, yeast and mould cannot be judged. Enter its parts from the specification.',
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
        message:
          helpers.length > 0
            ? `${listWords(helpers.map((use) => use.material.name))} ${helpers.length > 1 ? 'do' : 'does'} not preserve by ${helpers.length > 1 ? 'themselves' : 'itself'}.`
            : 'There is water and no preservative.',
        why:
          helpers.length > 0
            ? `${weakly(coverAt(p.uses, null), helpers)} Add a preservative that covers bacteria, yeast and mould, or declare it fresh.`
            : 'Microbes grow unseen within days. Preserve it, or declare it fresh: fridge, and used up within a week.',
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
      message: `${listWords(partners.map((use) => use.material.name))} leaves ${listWords(weak.map((g) => GROUP_NAMES[g]))} weakly covered.`,
      why: 'A broad system covers bacteria of both kinds, yeast and mould. Add a partner for what is missing.',
      source: `${COMMON_PRACTICE}; only a challenge test (ISO 11930) shows it`,
    }),
  ]
}

const claimsToPreserve = (m: Assessment['preservation']['uses'][number]['material']) =>
  m.functions.some((f) => /preserv|antimicrob/i.test(f))
/** What a helper alone leaves open. */
const weakly = (levels: CoverLevels, helpers: readonly unknown[]) =>
  `What ${helpers.length > 1 ? 'they bring' : 'it brings'} slows some microbes and leaves ${listWords(weakGroups(levels).map((g) => GROUP_NAMES[g]))} to grow.`

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
        message: `${sayPercent(dosePercent)} ${material.name} is under its usual ${sayPercent(material.usage.min)} to ${sayPercent(material.usage.max)}.`,
        why: 'Below its range a preservative may fail without a sign.',
        remedies: only
          ? [
              {
                label: `Set to ${sayPercent(material.usage.typical)}`,
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
      message: `${capitalise(listWords(weak.map((g) => GROUP_NAMES[g])))} may grow: of the ${listWords(by.map((use) => `${use.material.name} about ${sayPercent(Number((100 * leftInWater(use, p.medium)).toPrecision(1)))}`))} stays in the water.`,
      why: `The rest sits in ${p.medium.micelles > p.medium.oil / 5 ? 'the micelles of the surfactants' : 'the oils'}, where nothing grows. Add a preservative that stays in the water, such as phenoxyethanol or an acid at its pH.`,
      source: `${COMMON_PRACTICE}; partition after Garrett and Woods 1953`,
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
          message: `${line.label} goes into a phase heated to ${formatCelsius(to)}; it stands ${formatCelsius(stands)}.`,
          why: 'Heat drives it off or breaks it down. Add it below that temperature.',
          source: `${line.material.source}, from memory`,
          remedies:
            coolDown >= 0
              ? [
                  {
                    label: `Move to ${a.formula.phases[coolDown]!.name || 'the cool-down phase'}`,
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
