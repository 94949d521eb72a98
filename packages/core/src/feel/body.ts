import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { carriersOf, saltPercent } from '../assess/carriers.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import type { Said } from '../text/said.ts'
import type { BodyReasonFacts, FattyReasonFacts, FreezingWhyFacts, WarmthFacts } from './said.ts'

export const BODIES = ['milk', 'lotion', 'cream', 'rich cream', 'butter'] as const
export type Body = (typeof BODIES)[number]

/** How thick an emulsion is expected to be: a class with its neighbours within reach. Rules of thumb. */
export interface ExpectedBody {
  /** When it is filled, and a day later. */
  now: { likely: Body; low: Body; high: Body }
  tomorrow: { likely: Body; low: Body; high: Body }
  /** Rough viscosity a day later, mPa·s at the slow speed of a rotational meter. */
  viscosity: { low: number; high: number }
  /** What makes it so, the strongest first. */
  because: Said<BodyReasonFacts>[]
}

/** Upper ends of the classes, log10 of mPa·s at 10–20 rpm (common practice; from memory). */
const ENDS = [3.5, 4.1, 4.75, 5.15]
/** Such an estimate is good to a factor of two and a bit. */
const DOUBT = 0.35
/** Fatty alcohol that a product of that oil phase usually has; each percent more about doubles a lotion. */
const usualAlcohol = (oilPhase: number) => Math.max(0, Math.min(3, (oilPhase - 8) / 6))
const DOUBLES = Math.log10(2)
/** Thickest that was ever measured for a cream or butter, log10 of mPa·s. */
const THICKEST = 6.3

/** Fatty alcohols and glyceryl stearate, inside blends too, percent. */
const solidAmphiphiles = (a: Assessment) =>
  carriersOf(
    a,
    (m) => m.kind === 'fatty-alcohol' || (m.emulsifier?.role === 'co-emulsifier' && (m.meltsC ?? 0) >= 45),
  ).reduce((s, x) => s + x.percent, 0)

/** Room round a gel's pH window before it lets go, pH. */
const GEL_ROOM = 0.3
/** pH from which an acid polymer counts as neutralised where no base is named. */
const NEUTRALISED = 5

/** Whether a gum or polymer gives its body here: neutralised, in its pH, and not salted out; 0, a half, or 1. */
function gelShare(a: Assessment, { material: m }: Known): number {
  const ph = a.workingPh
  if (
    hasTrait(m, 'needs-neutralising') &&
    (ph ?? 0) < NEUTRALISED &&
    carriersOf(a, (x) => hasTrait(x, 'neutralises')).length === 0
  )
    return 0
  if (m.ph?.grade === 'holds' && ph !== null && (ph < m.ph.min - GEL_ROOM || ph > m.ph.max + GEL_ROOM))
    return 0
  if (m.saltStoodPercent === undefined) return 1
  const salt = saltPercent(a)
  return salt <= m.saltStoodPercent ? 1 : salt <= m.saltStoodPercent * 2 ? 0.5 : 0
}

const bodyAt = (log: number): Body => BODIES[ENDS.findIndex((end) => log < end)] ?? 'butter'
const spanOf = (log: number) => ({ likely: bodyAt(log), low: bodyAt(log - DOUBT), high: bodyAt(log + DOUBT) })

type Known = AssessedLine & { material: Material }
const known = (a: Assessment) => a.lines.filter((l): l is Known => l.material !== null && l.percent > 0)
const isGum = (m: Material) => (m.kind === 'gum' || m.kind === 'polymer') && m.usage !== undefined

/**
 * Expected body of an oil-in-water emulsion from its oil phase, fatty alcohol, solid fats and gums; null for water in
 * oil, whose body depends on how it is stirred. Classes by typical viscosity, and a doubling for each percent of
 * fatty alcohol (common practice, from memory; good to about one class).
 */
export function expectedBody(a: Assessment): ExpectedBody | null {
  const e = a.emulsion
  if (!e || e.type !== 'oil-in-water') return null
  const lines = known(a)
  const phase = e.oilPhasePercent
  const base = phase <= 25 ? 2.75 + 0.078 * phase : 4.7 + 0.045 * (phase - 25)
  const polymer = e.polymericPercent > 0 && e.emulsifierPercent < 1
  // What a wax blend brings along counts too; part of it goes into the layers round the drops.
  const hidden = solidAmphiphiles(a) - e.fattyAlcoholPercent
  const fatty = e.fattyAlcoholPercent + Math.max(0, hidden) / 2
  const alcohol = polymer ? 0 : DOUBLES * (fatty - usualAlcohol(phase))
  const solid = lines
    .filter((l) => l.material.kind === 'butter' || l.material.kind === 'wax')
    .reduce((s, l) => s + l.percent, 0)
  const gums = lines.filter((l) => isGum(l.material))
  const gum = gums.reduce((s, l) => s + (gelShare(a, l) * l.percent) / l.material.usage!.typical, 0)
  const idle = gums.filter((l) => gelShare(a, l) === 0)
  const thickened = gum > 0 ? 0.35 * Math.min(2, gum) - 0.1 : phase < 25 ? -0.15 : 0
  const log = Math.min(THICKEST, base + alcohol + 0.02 * solid + thickened)
  const network = e.fattyAlcoholPercent >= 1 || solid >= 3
  const slow = lines.some((l) => l.material.emulsifier && l.material.setting === 'slow')
  const hydrates = gums.some((l) => (l.material.hydrationHours?.max ?? 0) >= 2)
  const rise = (network ? 0.3 : 0) + (slow ? 0.2 : 0) + (hydrates ? 0.15 : 0)
  const reasons: { weight: number; said: Said<BodyReasonFacts> | null }[] = [
    { weight: 9, said: { code: 'oil-phase', percent: phase } },
    {
      weight: Math.abs(alcohol),
      said:
        alcohol > 0.15
          ? { code: 'more-fatty-alcohol' }
          : alcohol < -0.15
            ? { code: 'little-fatty-alcohol' }
            : null,
    },
    {
      weight: Math.abs(thickened),
      said: gum > 0 ? { code: 'gum' } : thickened < 0 ? { code: 'no-gum' } : null,
    },
    { weight: 0.02 * solid, said: solid >= 3 ? { code: 'setting-fats' } : null },
    {
      weight: 8,
      said: idle.length > 0 ? { code: 'idle-gums', names: idle.map((l) => l.label) } : null,
    },
    { weight: rise, said: rise >= 0.3 ? { code: 'sets-for-a-day' } : null },
  ]
  return {
    now: spanOf(log - rise),
    tomorrow: spanOf(log),
    viscosity: { low: nice(10 ** (log - DOUBT)), high: nice(10 ** (log + DOUBT)) },
    because: reasons.sort((x, y) => y.weight - x.weight).flatMap((r) => (r.said ? [r.said] : [])),
  }
}
/** One digit that tells: a rule of thumb has no more. */
const nice = (value: number) => Number(value.toPrecision(1))

export interface ColdAndWarm {
  freezing: { verdict: 'stands' | 'doubtful' | 'splits'; why: Said<FreezingWhyFacts> }
  warmth: Said<WarmthFacts>
}

/** What a night in the frost and a day in the sun do to it (common practice; a trial decides). */
export function coldAndWarm(a: Assessment): ColdAndWarm | null {
  const e = a.emulsion
  if (!e) return null
  const lines = known(a)
  const sum = (test: (m: Material) => boolean) =>
    lines.reduce((s, l) => s + (test(l.material) ? l.percent : 0), 0)
  const gum = sum((m) => isGum(m) && m.emulsifier?.role !== 'polymeric') > 0.1
  const wetting = sum((m) => m.kind === 'humectant' || m.kind === 'solvent')
  const waxes = sum((m) => m.kind === 'fatty-alcohol' || m.kind === 'wax')
  const melting = lines.filter((l) => l.material.kind === 'butter').map((l) => l.material.meltsC ?? 34)
  const warmth: ColdAndWarm['warmth'] = {
    code: 'warm',
    softC: melting.length > 0 ? Math.min(...melting) : null,
    held: waxes >= 2,
  }
  if (e.type === 'water-in-oil')
    return {
      freezing: { verdict: 'doubtful', why: { code: 'water-in-oil' } },
      warmth,
    }
  const polymer = e.polymericPercent > 0 && e.emulsifierPercent < 1
  const points =
    (gum ? 1 : 0) +
    (wetting >= 4 ? 1 : 0) +
    (waxes >= 1 ? 1 : 0) -
    (e.oilPhasePercent > 30 ? 1 : 0) -
    (polymer ? 1 : 0)
  return {
    freezing: {
      verdict: points >= 2 ? 'stands' : points === 1 ? 'doubtful' : 'splits',
      why: {
        code: 'oil-in-water',
        points,
        gum,
        humectantPercent: wetting >= 4 ? wetting : null,
        fattyAlcohol: waxes >= 1 ? true : polymer ? null : false,
      },
    },
    warmth,
  }
}

/** Fatty alcohol to each part of emulsifier, by system (common practice, from memory). */
const BESIDE: readonly {
  test: (m: Material) => boolean
  min: number
  max: number
  why: 'cationic' | 'network' | 'layers'
}[] = [
  {
    test: (m) => m.charge === 'cationic',
    min: 2,
    max: 4,
    why: 'cationic',
  },
  {
    test: (m) => m.charge === 'nonionic' && m.origin === 'synthetic',
    min: 0.5,
    max: 3,
    why: 'network',
  },
  {
    test: (m) => m.emulsifier?.hlbSound !== 'yes',
    min: 0.25,
    max: 1,
    why: 'layers',
  },
]

export interface FattyBalance {
  /** Parts of fatty alcohol to one part of emulsifier. */
  ratio: number
  min: number
  max: number
  verdict: 'fits' | 'little' | 'much'
  why: Said<FattyReasonFacts>
}

/** Whether the fatty alcohol suits the emulsifier; null for polymers, water in oil and where there is none of either. */
export function fattyBalance(a: Assessment): FattyBalance | null {
  const e = a.emulsion
  if (!e || e.type !== 'oil-in-water' || e.emulsifierPercent <= 0) return null
  const main = known(a)
    .filter(
      (l) =>
        l.material.emulsifier &&
        l.material.emulsifier.role !== 'co-emulsifier' &&
        l.material.emulsifier.role !== 'solubiliser',
    )
    .sort((x, y) => y.percent - x.percent)[0]?.material
  if (!main || main.emulsifier!.role === 'polymeric') return null
  const own = main.emulsifier?.fatty
  const rule = own ?? BESIDE.find((b) => b.test(main))
  if (!rule) return null
  const why = 'why' in rule ? { code: rule.why } : { code: 'own' as const, text: rule.says }
  const ratio = e.fattyAlcoholPercent / e.emulsifierPercent
  return {
    ratio,
    min: rule.min,
    max: rule.max,
    verdict: ratio < rule.min - 0.02 ? 'little' : ratio > rule.max + 0.02 ? 'much' : 'fits',
    why,
  }
}
