import type { Assessment } from '../assess/types.ts'
import { LEAST_WIDTH, meet, type PhRange } from '../assess/windows.ts'
import { acidEffectAt, enoughUpTo, type AcidEffect, type AcidVerdict } from '../preservation/effect.ts'
import { coverAt, inWindow, isAdequate, restsOnAcid, weakGroups } from '../preservation/preservation.ts'
import { bringTo } from './bring-to.ts'
import { isFresh } from './preservative.ts'
import { aimFor, countingPrediction } from './unsafe-ph.ts'
import type { PhPoint } from './facts.ts'
import { finding, type Finding, type Remedy, type Rule, type Severity } from './types.ts'

const GRAVE: Record<AcidVerdict, Severity | null> = {
  none: 'stop',
  'under-half': 'check',
  short: 'note',
  enough: null,
}
const RANK: Record<Severity, number> = { stop: 3, check: 2, note: 1 }
const atMost = (severity: Severity, most: Severity): Severity =>
  RANK[severity] > RANK[most] ? most : severity

interface Judged {
  effect: AcidEffect
  severity: Severity
  at: PhPoint
  remedies: Remedy[]
}

/** At the reading, else at the target and at what the formula comes out at. */
function judged(a: Assessment): Judged[] {
  const enough = enoughUpTo(a.preservation)
  const works = enough === null ? null : meet(a.ph.fits ?? a.ph.site, { min: 0, max: enough })
  const found = a.reading ? atReading(a, a.reading.ph) : atTarget(a, works)
  return a.reading || found.length > 0 ? found : atPrediction(a, works)
}

const graveAt = (effect: AcidEffect | null) => (effect ? GRAVE[effect.verdict] : null)
const told = (
  effect: AcidEffect | null,
  severity: Severity | null,
  at: PhPoint,
  remedies: Remedy[],
): Judged[] => (effect && severity ? [{ effect, severity, at, remedies }] : [])

function atReading(a: Assessment, ph: number): Judged[] {
  const effect = acidEffectAt(a.preservation, ph)
  return told(effect, graveAt(effect), { is: 'measured', ph }, [])
}

/** A target is judged by its middle; where only its end is too high, that is a note. */
function atTarget(a: Assessment, works: PhRange | null): Judged[] {
  const { targetPh } = a.formula
  if (!targetPh) return []
  const middle = acidEffectAt(a.preservation, (targetPh.min + targetPh.max) / 2)
  const end = acidEffectAt(a.preservation, targetPh.max)
  const grave = graveAt(middle) ?? (graveAt(end) ? ('note' as const) : null)
  const effect = graveAt(middle) ? middle : end
  return told(effect, grave, { is: 'target', range: targetPh }, works ? [aimFor(works)] : [])
}

function atPrediction(a: Assessment, works: PhRange | null): Judged[] {
  const band = countingPrediction(a)
  if (!band || !a.predictedPh) return []
  const { targetPh } = a.formula
  const effect = acidEffectAt(a.preservation, a.predictedPh.value)
  const best = acidEffectAt(a.preservation, band.min)
  const grave = graveAt(effect)
  // a stop needs all of the band; where a pH is aimed for it is an order to come there
  const most: Severity = targetPh || !best || best.verdict !== 'none' ? 'check' : 'stop'
  const severity = grave && atMost(grave, most)
  if (targetPh && severity === 'note') return []
  const aim = targetPh ?? works
  const at: PhPoint = { is: 'predicted', ph: a.predictedPh.value }
  return told(effect, severity, at, aim ? bringTo(a, aim) : [])
}

/** preservative.ineffective: organic acids of which too little is in its active form at the pH read, aimed for or predicted. */
export const ineffective: Rule = (a) => {
  const { preservation: p } = a
  if (!p.needed || p.selfPreserving || isFresh(a)) return []
  const uses = p.uses.filter(restsOnAcid)
  if (uses.length === 0) return []
  const names = [...new Set(uses.map((use) => use.material.name))]
  return judged(a).map(({ effect, severity, at, remedies }): Finding => {
    const enough = enoughUpTo(p)
    const reach = enough !== null && enough - LEAST_WIDTH >= a.ph.site.min
    return finding(a, {
      code: 'preservative.ineffective',
      severity,
      indexes: [...new Set(uses.flatMap((use) => use.lines))],
      materials: uses.map((use) => use.material.id),
      facts: {
        names,
        at,
        weakOnly: severity === 'note',
        verdict: effect.verdict,
        acids: effect.acids.map(({ inci, share }) => ({ inci, sharePercent: share })),
        ofNeed: effect.ofNeed,
        short: effect.short,
        enoughUpTo: reach ? enough : null,
      },
      source: 'free-acid',
      remedies,
    })
  })
}

/** Preservatives with a window of their own that one of these pH is outside of. */
const usesOutside = (a: Assessment, points: readonly number[]) =>
  a.preservation.uses.filter(
    (use) =>
      use.material.ph &&
      use.cover.role !== 'help' &&
      !restsOnAcid(use) &&
      points.some((ph) => !inWindow(use.material, ph)),
  )

/** preservative.outside-ph: a window that is no matter of free acid, and the target or the reading, do not fit. */
export const outsidePh: Rule = (a) => {
  const { targetPh } = a.formula
  const at = a.reading?.ph ?? null
  if (!a.preservation.needed || isFresh(a) || (at === null && !targetPh)) return []
  // A reading is one point; a target is outside when none of it fits, and only partly outside otherwise.
  const points = at !== null ? [at] : [targetPh!.min, targetPh!.max]
  const outside = usesOutside(a, points)
  return outside.length > 0 ? [outsideFinding(a, outside, points)] : []
}

function outsideFinding(
  a: Assessment,
  outside: ReturnType<typeof usesOutside>,
  points: readonly number[],
): Finding {
  const { targetPh } = a.formula
  const at = a.reading?.ph ?? null
  const partly = at === null && outside.every((use) => meetsTarget(use.material.ph!, targetPh!))
  const covers = points.map((ph) => coverAt(a.preservation.uses, ph, a.preservation))
  // a stop where nothing holds bacteria any more; before that it thins out
  const bare = covers.some((c) => Math.max(c.gramPositive, c.gramNegative) === 0)
  const state = covers.every(isAdequate) ? 'covered' : partly ? 'partly' : bare ? 'bare' : 'thin'
  const stops = at !== null && a.preservation.adequate && state === 'bare'
  return finding(a, {
    code: 'preservative.outside-ph',
    severity: stops ? 'stop' : OUTSIDE_GRAVITY[state],
    indexes: [...new Set(outside.flatMap((use) => use.lines))],
    materials: outside.map((use) => use.material.id),
    facts: {
      needs: outside.map((use) => ({ name: use.material.name, range: use.material.ph! })),
      at: at === null ? { is: 'target', range: targetPh! } : { is: 'measured', ph: at },
      state,
      weak: [...new Set(covers.flatMap(weakGroups))],
    },
    remedies: at === null && a.ph.fits ? [aimFor(a.ph.fits)] : [],
  })
}

const OUTSIDE_GRAVITY = { covered: 'note', partly: 'note', bare: 'check', thin: 'check' } as const

const meetsTarget = (window: { min: number; max: number }, target: { min: number; max: number }) =>
  target.max >= window.min && target.min <= window.max
