import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { isEmulsifier, isOil, type Emulsion } from '../emulsion/emulsion.ts'
import { PICKS } from '../materials/picks.ts'
import { hasTrait } from '../shapes/material.ts'
import { listWords, sayPercent } from '../text/format.ts'
import { saltPercent } from '../assess/carriers.ts'
import { linesOf, linesWhere } from '../assess/lines.ts'
import { COMMON_PRACTICE, finding, type Finding, type Rule } from './types.ts'

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
    message: `Not enough data to tell whether ${listWords(perhaps.map((i) => a.lines[i]!.label))} can emulsify ${sayPercent(e.oilsPercent)} oils.`,
    why: 'Only the name is known. Choose the INCI name, or describe it as your own ingredient.',
  })

const noEmulsifier = (a: Assessment, e: Emulsion): Finding =>
  finding(a, {
    code: 'emulsion.no-emulsifier',
    severity: 'stop',
    indexes: linesOf(a, isOil),
    message: `${sayPercent(e.oilsPercent)} oils and ${sayPercent(Number(a.waterPercent.toFixed(1)))} water without an emulsifier.`,
    why:
      e.solubiliserPercent > 0
        ? 'The solubiliser is too little for that much oil: it will separate.'
        : 'Oil and water separate within minutes. Add an emulsifier.',
  })

function onlyHelpers(a: Assessment, e: Emulsion, helpers: readonly number[]): Finding {
  // some, such as lecithin, hold a little oil by themselves
  const holdsSome = helpers.some(
    (i) => (a.lines[i]!.material!.emulsifier!.maxOilPercent ?? 0) >= e.oilsPercent,
  )
  const names = listWords(helpers.map((i) => a.lines[i]!.label))
  return finding(a, {
    code: 'emulsion.no-emulsifier',
    severity: holdsSome ? 'check' : 'stop',
    indexes: helpers,
    message: holdsSome
      ? `${names} alone emulsifies little oil, and not for long.`
      : `${names} is only a co-emulsifier, and there is no main emulsifier.`,
    why: 'A co-emulsifier thickens and stabilises, but the droplets coalesce within days. Add an O/W emulsifier.',
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
      message: `${sayPercent(e.emulsifierPercent)} emulsifier is ${sayPercent(Math.round(share))} of the oil phase.`,
      why: `${sayPercent(least)} or more is usual here; with less it may separate in weeks.`,
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
        message: `${sayPercent(Math.round(oil))} of oils and water are oils.`,
        why: over
          ? `Round drops fill at most about ${sayPercent(TURNS)}: beyond that it splits or turns over, unless the emulsifier is made for it.`
          : 'Hard to emulsify, and stiff. Use less oil, or an emulsifier made for high oil content.',
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
        message: `${sayPercent(Math.round(water))} of oils and water are water, in oil.`,
        why: `Above ${sayPercent(MOST_WATER)} only special emulsifiers hold it; more oil, or less water.`,
      }),
    )
  if (saltPercent(a) < LEAST_SALT)
    found.push(
      finding(a, {
        code: 'stability.bleeding',
        severity: 'note',
        indexes: [],
        materials: [],
        message: 'Water in oil without salt.',
        why: 'Many such emulsions bleed water. 0.5 to 1 % magnesium sulfate or sodium chloride in the water keeps the drops.',
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
      message: `${sayPercent(e.oilsPercent)} of oils is more than ${listWords(main.map(({ line }) => line.label))} usually holds (${sayPercent(most)}).`,
      why: 'Lower the oils, or add a second emulsifier.',
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
  const names = (indexes: number[]) => listWords(indexes.map((i) => a.lines[i]!.label))
  const emulsifiers =
    anionic.some((i) => isEmulsifier(a.lines[i]!.material!)) &&
    cationic.some((i) => isEmulsifier(a.lines[i]!.material!))
  return [
    finding(a, {
      code: 'charge.clash',
      severity: emulsifiers ? 'stop' : 'check',
      indexes: [...cationic, ...anionic],
      message: `${names(cationic)} is positively charged, ${names(anionic)} negatively.`,
      why: 'They bind each other and drop out as strings or grains. A nonionic thickener such as hydroxyethylcellulose goes with both.',
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
      message: `No antioxidant with ${sayPercent(sum)} of oils that oxidise.`,
      why: 'Tocopherol at 0.1 to 0.5 % slows rancid smells; start with fresh oil.',
      remedies:
        phase >= 0 && a.amounts.fillIndex !== null
          ? [
              {
                label: `Add ${sayPercent(PICKS.antioxidantPercent)} ${PICKS.antioxidants[0]}`,
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
      message: `${listWords(reasons.map((i) => a.lines[i]!.label))} without a chelator.`,
      why: 'Traces of iron and copper, which plants, juices and clays bring along, brown it and feed microbes. Sodium phytate or a glutamate chelator at 0.1 to 0.3 % binds them.',
      source: COMMON_PRACTICE,
    }),
  ]
}
