import type { Assessment } from '../assess/types.ts'
import { carriersOf, saltPercent } from '../assess/carriers.ts'
import { linesOf, linesWhere } from '../assess/lines.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import { finding, type Rule } from './types.ts'
import { kindHas, type Kind } from '../shapes/kinds.ts'

const WETTING = ['humectant', 'solvent', 'oil', 'ester', 'alkane', 'silicone']

const names = (a: Assessment, indexes: number[]) => indexes.map((i) => a.lines[i]!.label)

const salty = (m: Material) => m.saltShare !== undefined
/** thickener.electrolyte: salt against a gel that is held by charge. */
export const electrolyte: Rule = (a) => {
  const gels = linesOf(a, (m) => m.saltStoodPercent !== undefined)
  if (gels.length === 0) return []
  const salts = carriersOf(a, salty)
  const sum = saltPercent(a)
  const stands = Math.min(...gels.map((i) => a.lines[i]!.material!.saltStoodPercent!))
  if (sum <= stands) return []
  return [
    finding(a, {
      code: 'thickener.electrolyte',
      severity: 'check',
      indexes: [...new Set([...gels, ...salts.flatMap((s) => s.lines)])],
      facts: { names: names(a, gels), saltPercent: sum, tolerancePercent: stands },
    }),
  ]
}

/** thickener.needs-neutralising: an acid polymer without a base stays thin. */
export const neutralising: Rule = (a) => {
  const gels = linesOf(a, (m) => hasTrait(m, 'needs-neutralising'))
  const base = a.lines.some((l) => !l.given && l.material && hasTrait(l.material, 'neutralises'))
  if (gels.length === 0 || base || carriersOf(a, (m) => hasTrait(m, 'neutralises')).length > 0) return []
  return [
    finding(a, {
      code: 'thickener.needs-neutralising',
      // Whoever aims for a pH in its range means to bring it there with alkali.
      severity: (a.formula.targetPh?.min ?? 0) >= 5 ? 'note' : 'check',
      indexes: gels,
      facts: { names: names(a, gels) },
    }),
  ]
}

/** thickener.no-slurry: a powder that lumps, and nothing to wet it with. */
export const slurry: Rule = (a) => {
  const gums = linesWhere(
    a,
    (l) => l.percent > 0 && l.material?.slurry !== undefined && l.source.grade !== 'easy-dispersing',
  )
  const wet = a.lines.some((l) => l.percent > 0 && l.material && WETTING.includes(l.material.kind))
  if (gums.length === 0 || wet) return []
  return [
    finding(a, {
      code: 'thickener.no-slurry',
      severity: 'note',
      indexes: gums,
      facts: { names: names(a, gums), ...a.lines[gums[0]!]!.material!.slurry! },
    }),
  ]
}

/** Under this many hours nobody has to plan for it. */
const PLANNED_HOURS = 1

/** process.hydration-time: gums and polymers take minutes to hours; all in one. */
export const hydration: Rule = (a) => {
  const gels = linesOf(a, (m) => m.hydrationHours !== undefined)
  if (gels.length === 0) return []
  const hoursOf = (i: number) => a.lines[i]!.material!.hydrationHours!
  const long = gels.filter((i) => hoursOf(i).max > PLANNED_HOURS)
  const short = gels.filter((i) => !long.includes(i))
  return [
    finding(a, {
      code: 'process.hydration-time',
      severity: 'note',
      indexes: gels,
      facts: {
        long: long.map((i) => ({ name: a.lines[i]!.label, hours: hoursOf(i) })),
        short: names(a, short),
      },
    }),
  ]
}

/** Share of water that a covered 200 g beaker loses in a hot half hour, percent; a small one has more surface to its mass. */
const LOSS = { min: 2, max: 4, ofGrams: 200 }
/** A phase that is watery at least so far loses water. */
const WATERY_FROM = 20

/** process.make-up-water: a heated watery phase loses water. */
export const makeUpWater: Rule = (a) => {
  const hot = a.phases.flatMap((p, i) => {
    if ((a.formula.phases[i]!.heatToC ?? 0) < 60 || p.lines === 0) return []
    const water = a.lines.reduce(
      (s, l) =>
        l.phase === i && l.material && kindHas(l.material.kind, 'watery') ? s + Math.max(0, l.percent) : s,
      0,
    )
    return p.role === 'water' || (p.percent > 0 && water >= (p.percent * WATERY_FROM) / 100) ? [p] : []
  })
  if (hot.length === 0) return []
  const grams = Math.min(...hot.map((p) => p.grams))
  const more = grams > 0 ? Math.cbrt(LOSS.ofGrams / grams) : 1
  const [min, max] = [LOSS.min, LOSS.max].map((x) => Math.min(20, Math.max(1, Math.round(x * more)))) as [
    number,
    number,
  ]
  return [
    finding(a, {
      code: 'process.make-up-water',
      severity: 'note',
      facts: { phases: hot.map((p) => p.letter), min, max, small: more > 1.3 },
    }),
  ]
}

const OUTSIDE = [
  { code: 'thickener.outside-ph', kinds: ['gum', 'polymer', 'clay'], emulsifiers: false },
  { code: 'emulsion.emulsifier-outside-ph', kinds: [], emulsifiers: true },
] as const satisfies readonly { code: string; kinds: readonly Kind[]; emulsifiers: boolean }[]

/** thickener.outside-ph and emulsion.emulsifier-outside-ph: the reading, or all of the target, is outside what holds them. */
export const outsidePh: Rule = (a) => {
  const range = a.reading ? { min: a.reading.ph, max: a.reading.ph } : a.formula.targetPh
  if (!range || a.emulsion?.type === 'water-in-oil') return []
  return OUTSIDE.flatMap((kind) => {
    const indexes = a.lines.flatMap((line, i) => {
      const m = line.material
      if (!m?.ph || m.ph.grade !== 'holds' || line.percent <= 0) return []
      const isEmulsifier =
        m.emulsifier !== undefined && m.emulsifier.role !== 'solubiliser' && m.emulsifier.role !== 'polymeric'
      if (
        kind.emulsifiers ? !isEmulsifier : isEmulsifier || !(kind.kinds as readonly Kind[]).includes(m.kind)
      )
        return []
      return range.max < m.ph.min - 0.049 || range.min > m.ph.max + 0.049 ? [i] : []
    })
    if (indexes.length === 0) return []
    return [
      finding(a, {
        code: kind.code,
        severity: 'check',
        indexes,
        facts: {
          needs: indexes.map((i) => ({ name: a.lines[i]!.label, range: a.lines[i]!.material!.ph! })),
          at: a.reading ? { is: 'measured', ph: a.reading.ph } : { is: 'target', range },
        },
      }),
    ]
  })
}
