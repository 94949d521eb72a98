import type { Assessment } from '../assess/types.ts'
import { acidOf } from '../ph/families.ts'
import { PICKS } from '../materials/picks.ts'
import {
  coverAt,
  freeAcidsAt,
  GROUP_NAMES,
  isAcid,
  isAdequate,
  leftInWater,
  weakGroups,
  type CoverLevels,
} from '../preservation/preservation.ts'
import { capitalise, formatCelsius, formatRange, listWords, sayNumber, sayPercent } from '../text/format.ts'
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

/** Words for a part of what is needed. */
const ofNeed = (ratio: number) => sayPercent(Number(Math.min(99, ratio * 100).toPrecision(1)))

/** preservative.low: organic acids of which too little is free in the water at this pH, summed by what each needs. */
export const fewFree: Rule = (a) => {
  const { preservation: p } = a
  // where it is only predicted, the sourest of its band counts: what may well be enough is no alarm
  const told = a.reading !== null || a.formula.targetPh !== undefined
  const ph = told ? a.workingPh : (a.predictedPh?.low ?? null)
  if (!p.needed || p.selfPreserving || isFresh(a) || ph === null) return []
  const acids = freeAcidsAt(p, ph).filter((x) => p.uses.some((use) => isAcid(use) && usesAcid(use, x.key)))
  if (acids.length === 0 || !isAdequate(coverAt(p.uses, null))) return []
  // outside its window by a reading or a target it is said already
  if (!isAdequate(coverAt(p.uses, ph)) && told) return []
  const weak = weakGroups(coverAt(p.uses, ph, p))
  const enough = freeAcidsAt(p, ph).reduce((sum, x) => sum + x.ofNeed, 0)
  if (weak.length === 0 || enough >= 1) return []
  return [
    finding(a, {
      code: 'preservative.low',
      severity: 'check',
      indexes: [...new Set(p.uses.filter(isAcid).flatMap((use) => use.lines))],
      message: `At pH ${sayNumber(ph, 1)}${told ? '' : ' or above, as is predicted,'} ${listWords(weak.map((g) => GROUP_NAMES[g]))} may grow: only ${listWords(acids.map((x) => `${sayPercent(Number(x.share.toPrecision(2)))} of the ${x.inci.toLowerCase()}`))} is free.`,
      why: `Only the free acid in the water preserves; that is about ${ofNeed(enough)} of what is needed. Lower the pH, raise the dose within its cap, or add a partner that asks for no pH.`,
      source: `${COMMON_PRACTICE}; free share by Henderson and Hasselbalch`,
    }),
  ]
}
const usesAcid = (use: Assessment['preservation']['uses'][number], key: string) =>
  acidOf(use.material.id)?.key === key

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

/** preservative.outside-ph: its window and the target or the reading do not fit. */
export const outsidePh: Rule = (a) => {
  const { targetPh } = a.formula
  const at = a.reading?.ph ?? null
  if (!a.preservation.needed || (at === null && !targetPh)) return []
  // A reading is one point; a target is outside when none of it fits, and only partly outside otherwise.
  const points = at !== null ? [at] : [targetPh!.min, targetPh!.max]
  const misses = (use: (typeof a.preservation.uses)[number], ph: number) =>
    ph < use.material.ph!.min - 1e-9 || ph > use.material.ph!.max + 1e-9
  const judged = a.preservation.uses.filter((use) => use.material.ph && use.cover.role !== 'help')
  const outside = judged.filter((use) => points.some((ph) => misses(use, ph)))
  const partly =
    at === null &&
    outside.every((use) => targetPh!.max >= use.material.ph!.min && targetPh!.min <= use.material.ph!.max)
  if (outside.length === 0) return []
  const covers = points.map((ph) => coverAt(a.preservation.uses, ph, a.preservation))
  const stillCovered = covers.every(isAdequate)
  const weak = [...new Set(covers.flatMap(weakGroups))]
  // a stop where nothing holds bacteria any more; before that it thins out
  const bare = covers.some((c) => Math.max(c.gramPositive, c.gramNegative) === 0)
  const wasCovered = a.preservation.adequate
  const says =
    at !== null ? `the pH read is ${sayNumber(at, 2)}` : `the target is pH ${formatRange(targetPh!)}`
  return [
    finding(a, {
      code: 'preservative.outside-ph',
      severity: stillCovered || partly ? 'note' : at !== null && wasCovered && bare ? 'stop' : 'check',
      indexes: [...new Set(outside.flatMap((use) => use.lines))],
      materials: outside.map((use) => use.material.id),
      message: `${listWords(outside.map((use) => `${use.material.name} works at pH ${formatRange(use.material.ph!)}`))}, and ${says}.`,
      why: stillCovered
        ? 'The other preservatives still cover all groups there.'
        : partly
          ? 'Keep to the part of the target that lies in its window.'
          : bare
            ? 'Outside its window a preservative counts as missing.'
            : `${capitalise(listWords(weak.map((g) => GROUP_NAMES[g])))} may grow there. Bring the pH into the window, or add a partner that works outside it.`,
      remedies:
        at === null && a.ph.shared
          ? [
              {
                label: `Aim for pH ${formatRange(a.ph.shared)}`,
                edit: { type: 'patch', patch: { targetPh: a.ph.shared } },
              },
            ]
          : [],
    }),
  ]
}
