import type { Assessment } from '../assess/types.ts'
import type { Material } from '../materials/schema.ts'
import { acidBaseOf } from '../ph/acid-base.ts'
import { freeShare } from '../ph/adjust.ts'
import { acidSums } from '../ph/effects.ts'
import { PICKS } from '../materials/picks.ts'
import { coverAt, GROUP_NAMES, isAdequate, weakGroups } from '../preservation/preservation.ts'
import { formatCelsius, formatRange, listWords, sayNumber, sayPercent } from '../text/format.ts'
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
    const boosters = p.uses.filter((use) => use.cover.role === 'booster')
    return [
      finding(a, {
        code: 'preservative.missing',
        severity: 'stop',
        materials: boosters.map((use) => use.material.id),
        message:
          boosters.length > 0
            ? `${listWords(boosters.map((use) => use.material.name))} only helps a preservative; there is none.`
            : 'There is water and no preservative.',
        why: 'Microbes grow unseen within days. Preserve it, or declare it fresh: fridge, and used up within a week.',
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

/** preservative.low: organic acids of which too little is free at this pH, summed by what each needs. */
export const fewFree: Rule = (a) => {
  const { preservation: p } = a
  const ph = a.workingPh
  if (!p.needed || p.selfPreserving || isFresh(a) || ph === null) return []
  const acids = [...acidSums(a)].flatMap(([key, acid]) => {
    const from = acidBaseOf(key)?.worksFrom
    return from ? [{ key, inci: acid.inci, free: (acid.percent * freeShare(acid.pKa, ph)) / 100, share: freeShare(acid.pKa, ph), from }] : [] // prettier-ignore
  })
  if (acids.length === 0) return []
  // whatever preserves without a pH carries the product by itself
  const others = p.uses.filter(
    (use) => (use.cover.role === 'broad' || use.cover.role === 'partner') && !isAcid(use),
  )
  if (isAdequate(coverAt(others, ph)) || others.some((use) => use.cover.role === 'broad')) return []
  // outside its window or under its range it is said already
  if (!isAdequate(coverAt(p.uses, ph))) return []
  const enough = acids.reduce((sum, x) => sum + x.free / x.from, 0)
  if (enough >= 1) return []
  const indexes = [...new Set(p.uses.filter(isAcid).flatMap((use) => use.lines))]
  return [
    finding(a, {
      code: 'preservative.low',
      severity: 'check',
      indexes,
      message: `At pH ${sayNumber(ph, 1)} only ${listWords(acids.map((x) => `${sayPercent(Number(x.share.toPrecision(2)))} of the ${x.inci.toLowerCase()}`))} is free, and only what is free preserves.`,
      why: `That is about ${sayPercent(Math.round(enough * 100))} of what is needed. Lower the pH, raise the dose within its cap, or add a partner that asks for no pH.`,
      source: `${COMMON_PRACTICE}; free share by Henderson and Hasselbalch`,
    }),
  ]
}
const isAcid = (use: { material: Material }) => {
  const key = acidBaseOf(use.material.id)
  return key !== undefined && (acidBaseOf(key.saltOf ?? key.key)?.worksFrom ?? 0) > 0
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
  const stillCovered = points.every((ph) => isAdequate(coverAt(a.preservation.uses, ph)))
  const wasCovered = a.preservation.adequate
  const says =
    at !== null ? `the pH read is ${sayNumber(at, 2)}` : `the target is pH ${formatRange(targetPh!)}`
  return [
    finding(a, {
      code: 'preservative.outside-ph',
      severity: stillCovered || partly ? 'note' : at !== null && wasCovered ? 'stop' : 'check',
      indexes: [...new Set(outside.flatMap((use) => use.lines))],
      materials: outside.map((use) => use.material.id),
      message: `${listWords(outside.map((use) => `${use.material.name} works at pH ${formatRange(use.material.ph!)}`))}, and ${says}.`,
      why: stillCovered
        ? 'The other preservatives still cover all groups there.'
        : partly
          ? 'Keep to the part of the target that lies in its window.'
          : 'Outside its window a preservative counts as missing.',
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
