import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { isEmulsifier, isOil, type Emulsion } from '../emulsion/emulsion.ts'
import { PICKS } from '../materials/picks.ts'
import { hasTrait } from '../shapes/material.ts'
import { saltPercent } from '../assess/carriers.ts'
import { linesOf, linesWhere } from '../assess/lines.ts'
import { finding, type Finding, type Rule } from './types.ts'

/** emulsion.no-emulsifier and emulsion.too-little-emulsifier: oils in water with nothing, or little, to hold them. */
export const emulsifier: Rule = (a) => {
  const e = a.emulsion
  if (!e || e.oilsPercent < 0.5) return []
  // An emulsifier without an amount is there, and how much it holds is not to be told yet.
  if (a.lines.some((l) => !l.given && l.material && (isEmulsifier(l.material) || l.material.emulsifier)))
    return []
  const solubilised = e.solubiliserPercent >= e.oilsPercent * 2
  const none = e.emulsifierPercent === 0 && e.polymericPercent === 0 && e.soapPercent === 0 && !solubilised
  const perhaps = perhapsEmulsifiers(a)
  if (none) return [perhaps.length > 0 ? unknownEmulsifier(a, e, perhaps) : noEmulsifier(a, e)]
  const helpers = linesOf(a, (m) => m.emulsifier?.role === 'co-emulsifier')
  const alone = helpers.length > 0 && perhaps.length === 0 && e.soapPercent === 0 && !solubilised
  if (alone && !a.lines.some(carriesEmulsion)) return [onlyHelpers(a, e, helpers)]
  const holdsOtherwise = e.polymericPercent > 0 || e.soapPercent > 0 || solubilised
  return holdsOtherwise || e.emulsifierPercent === 0 ? [] : tooLittle(a, e)
}

/** Lines of which nothing is known but a function: they may be emulsifiers. */
const perhapsEmulsifiers = (a: Assessment) =>
  linesWhere(
    a,
    (l) =>
      l.percent > 0 &&
      !l.material?.emulsifier &&
      (l.material ?? l.guess)?.functions.includes('emulsifying') === true,
  )

const CARRYING = new Set(['oil-in-water', 'water-in-oil', 'cationic', 'polymeric'])
function carriesEmulsion({ percent, material }: AssessedLine): boolean {
  if (percent <= 0 || !material) return false
  const { emulsifier: e } = material
  if (e === undefined) return material.own === true
  return CARRYING.has(e.role) || (e.role === 'solubiliser' && e.hlbSound === 'yes')
}

const unknownEmulsifier = (a: Assessment, e: Emulsion, perhaps: readonly number[]): Finding =>
  finding(a, {
    code: 'emulsion.no-emulsifier',
    severity: 'check',
    indexes: perhaps,
    facts: {
      case: 'unknown',
      names: perhaps.map((i) => a.lines[i]!.label),
      oilsPercent: e.oilsPercent,
    },
  })

const noEmulsifier = (a: Assessment, e: Emulsion): Finding =>
  finding(a, {
    code: 'emulsion.no-emulsifier',
    severity: 'stop',
    indexes: linesOf(a, isOil),
    facts: {
      case: 'none',
      oilsPercent: e.oilsPercent,
      waterPercent: a.waterPercent,
      solubiliser: e.solubiliserPercent > 0,
    },
  })

function onlyHelpers(a: Assessment, e: Emulsion, helpers: readonly number[]): Finding {
  // some, such as lecithin, hold a little oil by themselves
  const holdsSome = helpers.some(
    (i) => (a.lines[i]!.material!.emulsifier!.maxOilPercent ?? 0) >= e.oilsPercent,
  )
  return finding(a, {
    code: 'emulsion.no-emulsifier',
    severity: holdsSome ? 'check' : 'stop',
    indexes: helpers,
    facts: { case: 'helpers', names: helpers.map((i) => a.lines[i]!.label), holdsSome },
  })
}

function tooLittle(a: Assessment, e: Emulsion): Finding[] {
  const wanted = a.lines.flatMap((line) =>
    line.material?.emulsifier?.shareOfOils && isEmulsifier(line.material)
      ? [line.material.emulsifier.shareOfOils.min]
      : [],
  )
  // The oils alone are the basis: the least that any of the emulsifiers wants, and 10 % where none says.
  const least = wanted.length > 0 ? Math.min(...wanted) : 10
  const share = (e.emulsifierPercent / (e.oilsPercent + e.fattyAlcoholPercent + e.emulsifierPercent)) * 100
  if (share >= least * 0.8 || e.emulsifierPercent >= 4) return []
  return [
    finding(a, {
      code: 'emulsion.too-little-emulsifier',
      severity: 'check',
      indexes: linesOf(a, isEmulsifier),
      facts: { emulsifierPercent: e.emulsifierPercent, sharePercent: share, leastPercent: least },
    }),
  ]
}

/** Shares of the oils in oils and water, and of the water, at which an emulsion gets hard or turns over (common practice). */
const HARD = 65
const TURNS = 74
const MOST_WATER = 80
/** Salt that keeps the drops of water in oil from bleeding, percent. */
const LEAST_SALT = 0.3

/** emulsion.oil-load and stability.bleeding: phases whose volumes or salt the type does not bear. */
export const volumes: Rule = (a) => {
  const e = a.emulsion
  if (!e || a.waterPercent <= 0) return []
  const oil = (100 * e.oilsPercent) / (e.oilsPercent + a.waterPercent)
  const oils = linesOf(a, isOil)
  if (e.type === 'oil-in-water') {
    if (oil <= HARD || e.oilsPercent === 0) return []
    const over = oil > TURNS
    return [
      finding(a, {
        code: 'emulsion.oil-load',
        severity: over ? 'check' : 'note',
        indexes: oils,
        facts: { case: 'oil-in-water', oilPercent: oil, turnsFromPercent: TURNS, turns: over },
      }),
    ]
  }
  const found = []
  const water = (100 * a.waterPercent) / (e.oilsPercent + a.waterPercent)
  if (water > MOST_WATER)
    found.push(
      finding(a, {
        code: 'emulsion.oil-load',
        severity: 'check',
        indexes: oils,
        facts: { case: 'water-in-oil', waterPercent: water, mostPercent: MOST_WATER },
      }),
    )
  if (saltPercent(a) < LEAST_SALT)
    found.push(
      finding(a, {
        code: 'stability.bleeding',
        severity: 'note',
        indexes: [],
        materials: [],
        facts: {},
      }),
    )
  return found
}

/** emulsion.oil-load: more oil than this emulsifier usually holds. */
export const oilLoad: Rule = (a) => {
  const e = a.emulsion
  if (!e || e.type === 'water-in-oil') return []
  const main = a.lines
    .map((line, i) => ({ line, i }))
    .filter(({ line }) => line.material?.emulsifier?.maxOilPercent !== undefined && line.percent > 0)
  const capacity = a.lines.some(
    (l) =>
      l.material &&
      isEmulsifier(l.material) &&
      l.material.emulsifier?.role !== 'co-emulsifier' &&
      l.material.emulsifier?.maxOilPercent === undefined,
  )
  const most = Math.max(0, ...main.map(({ line }) => line.material!.emulsifier!.maxOilPercent!))
  if (main.length === 0 || capacity || e.oilsPercent <= most) return []
  return [
    finding(a, {
      code: 'emulsion.oil-load',
      severity: 'check',
      indexes: main.map(({ i }) => i),
      facts: {
        case: 'emulsifier',
        names: main.map(({ line }) => line.label),
        oilsPercent: e.oilsPercent,
        mostPercent: most,
      },
    }),
  ]
}

/** charge.clash: a cationic emulsifier or polymer with an anionic one. */
export const charge: Rule = (a) => {
  const strong = new Set([
    'emulsifier',
    'cationic',
    'polymer',
    'gum',
    'surfactant',
    'clay',
    'hyaluronate',
    'film-former',
  ])
  const cationic = linesOf(a, (m) => m.charge === 'cationic' && strong.has(m.kind))
  const anionic = linesOf(
    a,
    (m) => m.charge === 'anionic' && (strong.has(m.kind) || m.emulsifier !== undefined),
  )
  if (cationic.length === 0 || anionic.length === 0) return []
  const names = (indexes: number[]) => indexes.map((i) => a.lines[i]!.label)
  const emulsifiers =
    anionic.some((i) => isEmulsifier(a.lines[i]!.material!)) &&
    cationic.some((i) => isEmulsifier(a.lines[i]!.material!))
  return [
    finding(a, {
      code: 'charge.clash',
      severity: emulsifiers ? 'stop' : 'check',
      indexes: [...cationic, ...anionic],
      facts: { cationic: names(cationic), anionic: names(anionic) },
    }),
  ]
}

/** oxidation.no-antioxidant: seed oils that turn rancid and nothing to slow it. */
export const antioxidant: Rule = (a) => {
  const oils = linesOf(a, (m) => m.oxidation === 'fast' || m.oxidation === 'medium')
  const sum = oils.reduce((s, i) => s + a.lines[i]!.percent, 0)
  const fast = oils.some((i) => a.lines[i]!.material!.oxidation === 'fast' && a.lines[i]!.percent >= 1)
  if (sum < 2 && !fast) return []
  if (a.lines.some((line) => line.percent > 0 && line.material?.traits?.includes('oil-antioxidant')))
    return []
  const coolDown = a.formula.phases.findIndex((p) => p.role === 'cool-down')
  const phase = coolDown >= 0 ? coolDown : a.formula.phases.findIndex((p) => p.role === 'oil')
  return [
    finding(a, {
      code: 'oxidation.no-antioxidant',
      severity: 'note',
      indexes: oils,
      facts: { oilsPercent: sum },
      remedies:
        phase >= 0 && a.amounts.fillIndex !== null
          ? [
              {
                code: 'add-material',
                facts: { percent: PICKS.antioxidantPercent, name: PICKS.antioxidants[0]! },
                edit: {
                  type: 'add-line',
                  phase,
                  line: { material: PICKS.antioxidants[0]!, percent: PICKS.antioxidantPercent },
                },
              },
            ]
          : [],
    }),
  ]
}

/** What brings metals, and how much of it counts, percent. */
const BRINGS_METALS = new Set(['hydrosol', 'aloe', 'clay'])
const METALS_FROM = 15

/** stability.no-chelator: extracts, clays or easily oxidised actives in water without one. */
export const chelator: Rule = (a) => {
  if (
    a.waterPercent < 30 ||
    a.lines.some((line) => line.percent > 0 && line.material?.traits?.includes('chelator'))
  )
    return []
  const browned = linesOf(a, (m) => hasTrait(m, 'browned-by-metals') || m.kind === 'extract')
  const bringing = linesOf(a, (m) => BRINGS_METALS.has(m.kind))
  const much = bringing.reduce((s, i) => s + a.lines[i]!.percent, 0) >= METALS_FROM
  const reasons = [...browned, ...(much ? bringing : linesOf(a, (m) => m.kind === 'clay'))].sort(
    (x, y) => x - y,
  )
  if (reasons.length === 0) return []
  return [
    finding(a, {
      code: 'stability.no-chelator',
      severity: 'note',
      indexes: reasons,
      facts: { names: reasons.map((i) => a.lines[i]!.label) },
    }),
  ]
}
