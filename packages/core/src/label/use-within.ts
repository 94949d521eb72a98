import { DAYS_PER_MONTH } from '../shapes/conventions.ts'
import * as z from 'zod'
import data from '../../data/keeping.json' with { type: 'json' }
import type { Assessment } from '../assess/types.ts'
import { acidEffectAt, holds, holdsAt } from '../preservation/effect.ts'
import type { ContainerKind } from '../shapes/containers.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import type { Said } from '../text/said.ts'
import type { KeepingReasonFacts } from './said.ts'

const span = z.tuple([z.number(), z.number()])
const Class = z.strictObject({ closed: span, opened: span })
const CLASSES = [
  'fresh',
  'freshest',
  'weak',
  'eye',
  'jar',
  'shut',
  'proven',
  'tested',
  'alcohol',
  'fast',
  'medium',
  'slow',
  'dry',
] as const
type ClassName = (typeof CLASSES)[number]
const table = z
  .strictObject({
    source: z.string(),
    classes: z.record(z.enum(CLASSES), Class),
    /** The fastest oil above this share of the oils decides, percent. */
    decides: z.strictObject({ sharePercent: z.number() }),
  })
  .parse(data)

/** What lets air and fingers in, and what does not. */
const SHUT: readonly ContainerKind[] = ['pump', 'airless', 'tube', 'spray', 'flip-top']

/** What is known beside the formula. */
export interface KeepingFacts {
  container?: ContainerKind
  /** Months until the first of its lots is past its date, with the name of that lot's material. */
  firstLot?: { months: number; label: string }
  /** Months that kept samples of it stayed sound. */
  soundMonths?: number
  /** Months after which an earlier batch had to be thrown away. */
  failedMonths?: number
  /** The maker states a stability test and a challenge test. */
  tested?: boolean
}

/** One reason for a time: months from making, and from opening; at least and at most. */
export interface KeepingReason {
  closed: readonly [number, number]
  opened: readonly [number, number]
  said: Said<KeepingReasonFacts>
}

export interface UseWithin {
  closedMonths: number
  openedMonths: number
  /** The shortest first. */
  reasons: KeepingReason[]
}

const PLAIN_FRESH = new Set<Material['kind']>(['hydrosol', 'aloe'])
const classed = (code: ClassName, said: Said<KeepingReasonFacts>): KeepingReason => ({
  closed: table.classes[code].closed,
  opened: table.classes[code].opened,
  said,
})

/** A class that needs nothing said beside it. */
const plain = (code: Exclude<ClassName, 'weak' | 'jar' | 'fast' | 'medium' | 'slow'>) =>
  classed(code, { code })

/** Water: by what preserves it, where the pH lets it work, and who reaches in. */
function byWater(a: Assessment, facts: KeepingFacts): KeepingReason[] {
  const { preservation: p, formula, workingPh } = a
  if (!p.needed && !p.selfPreserving) return []
  if (p.selfPreserving) return [plain('alcohol')]
  const works = p.adequate && holdsAt(p, workingPh) && holdsAsWritten(a)
  if (!works) {
    if (p.uses.length > 0) return [classed('weak', { code: 'weak', outside: outsidePh(a) })]
    const plants = a.lines.some(
      (l) =>
        l.percent > 0 &&
        l.material &&
        (PLAIN_FRESH.has(l.material.kind) || hasTrait(l.material, 'raw-plant')),
    )
    return [plain(plants || isInfused(a) ? 'freshest' : 'fresh')]
  }
  if (facts.tested) return [plain('tested')]
  if (formula.product.site === 'eye') return [plain('eye')]
  if (!facts.container || !SHUT.includes(facts.container))
    return [classed('jar', { code: 'jar', assumed: !facts.container })]
  return [plain((facts.soundMonths ?? 0) >= 12 ? 'proven' : 'shut')]
}

/** A line of one’s own that holds water and a plant is an infusion. */
const isInfused = (a: Assessment) =>
  a.lines.some(
    (l) =>
      l.percent > 0 &&
      l.source.custom !== undefined &&
      l.substances.some((s) => s.key === 'aqua') &&
      l.substances.some((s) => s.key.endsWith('-extract')),
  )

/** Where nothing was read, what is written has to hold as well: a target alone preserves nothing. */
function holdsAsWritten(a: Assessment): boolean {
  if (a.reading || !a.predictedPh) return true
  const effect = acidEffectAt(a.preservation, a.predictedPh.value)
  return effect === null || holds(effect)
}

/** The pH at which the preservation falls short, and the one that it needs; null where the pH is not what fails. */
function outsidePh(a: Assessment): KeepingReasonFacts['weak']['outside'] {
  const { window, worksBelow } = a.preservation
  const ph = holdsAsWritten(a) ? a.workingPh : a.predictedPh!.value
  if (!window || ph === null) return null
  const acid = acidEffectAt(a.preservation, ph)
  const off = ph > window.max || (ph < window.min && !worksBelow)
  return off || (acid && !holds(acid)) ? { ph, needs: { min: window.min, max: window.max } } : null
}

const SPEEDS = ['fast', 'medium', 'slow'] as const
/** Oils: the fastest that is more than a little of them; an antioxidant brings the upper figure, not more. */
function byOils(a: Assessment): KeepingReason[] {
  const oils = a.lines.filter((l) => l.percent > 0 && l.material?.oxidation !== undefined)
  const sum = oils.reduce((t, l) => t + l.percent, 0)
  if (sum <= 0) return a.preservation.needed || a.preservation.selfPreserving ? [] : [plain('dry')]
  const guarded = a.lines.some((l) => l.percent > 0 && l.material && hasTrait(l.material, 'oil-antioxidant'))
  for (const speed of SPEEDS) {
    const those = oils.filter((l) => l.material!.oxidation === speed)
    const share = (100 * those.reduce((t, l) => t + l.percent, 0)) / sum
    if (share <= table.decides.sharePercent && speed !== 'slow') continue
    if (those.length === 0) continue
    const [low, high] = table.classes[speed].closed
    return [
      {
        ...classed(speed, {
          code: 'oils',
          speed,
          oils: those.slice(0, 3).map((l) => l.label),
          guarded,
        }),
        closed: guarded ? [high, high] : [low, high],
      },
    ]
  }
  return []
}

/** Below this a material is there for another reason than to work, percent. */
const TRACE = 0.01
function byMaterials(a: Assessment): KeepingReason[] {
  const dry = a.waterPercent < 1
  const seen = new Set<string>()
  const found: KeepingReason[] = []
  const take = (m: Material | null, label: string) => {
    if (!m?.lasts || seen.has(m.id)) return
    seen.add(m.id)
    const { min, max, opened, says } = m.lasts
    const [low, high] = dry && m.lasts.dry ? [m.lasts.dry.min, m.lasts.dry.max] : [min, max]
    found.push({
      closed: [low, high],
      opened: opened === undefined ? [low, high] : [opened, opened],
      said: { code: 'material', name: label, text: says },
    })
  }
  for (const line of a.lines) {
    if (line.percent <= TRACE) continue
    take(line.material, line.label)
    for (const s of line.substances)
      if ((line.percent * s.high) / 100 > TRACE) take(a.catalogue.find(s.key), s.inci.toLowerCase())
  }
  return found
}

/** Days of a part of a month, rounded down: a quarter of one is a week. */
export const daysOf = (months: number) => Math.floor(months * DAYS_PER_MONTH)
/**
 * How long a product may be kept, months from making and from opening: the shortest of what its water, oils, materials
 * and lots allow, at the lower end of each. Common practice; preservation is never reckoned longer for warm samples.
 */
export function useWithin(a: Assessment, facts: KeepingFacts = {}): UseWithin {
  const lot: KeepingReason[] = facts.firstLot
    ? [
        {
          closed: [Math.max(0, facts.firstLot.months), Math.max(0, facts.firstLot.months)],
          opened: [Math.max(0, facts.firstLot.months), Math.max(0, facts.firstLot.months)],
          said: { code: 'lot', name: facts.firstLot.label },
        },
      ]
    : []
  const watched: KeepingReason[] =
    facts.failedMonths === undefined
      ? []
      : [
          {
            closed: [facts.failedMonths, facts.failedMonths],
            opened: [facts.failedMonths, facts.failedMonths],
            said: { code: 'failed', months: facts.failedMonths },
          },
        ]
  const reasons = [...byWater(a, facts), ...byOils(a), ...byMaterials(a), ...lot, ...watched].sort(
    (x, y) => x.closed[0] - y.closed[0] || x.opened[0] - y.opened[0],
  )
  const closedMonths = Math.min(...reasons.map((r) => r.closed[0]))
  const openedMonths = Math.min(closedMonths, ...reasons.map((r) => r.opened[0]))
  return { closedMonths, openedMonths, reasons }
}
