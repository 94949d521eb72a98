import type { Assessment, AssessedLine } from '../assess/types.ts'
import { formatCelsius, formatGrams, listWords, sayNumber } from '../text/format.ts'
import { heatingMinutes } from './cooling.ts'
import type { StepLine } from './steps.ts'
import {
  CYCLES,
  isGum,
  refsOf,
  swellsAhead,
  toWeigh,
  weighMinutes,
  type Part,
  type Writer,
} from './writer.ts'

/** Stocks, concentrates and what swells for hours come before everything else. */
export function aheadSteps(w: Writer, a: Assessment, after: string[]): string[] {
  const seen = new Set<string>()
  return a.lines.flatMap((line) => {
    const m = line.material
    if (!m || seen.has(m.id) || line.percent <= 0) return []
    const grams = formatGrams(line.grams, a.amounts.resolutionGrams)
    if (m.own && m.parts) {
      seen.add(m.id)
      return [
        w.add({
          key: `ahead-${m.id}`,
          kind: 'ahead',
          title: `Make ${m.name}`,
          detail: `${grams} of it is needed; ${listWords(m.parts.slice(0, 4).map((p) => `${sayNumber(p.percent)} % ${p.inci}`))}.`,
          hands: 10,
          wait: 20,
          after,
          ahead: 'A stock may stand overnight and is ready when the batch is.',
          equipment: ['small beaker'],
        }),
      ]
    }
    if (m.reconstitutesTo !== undefined) {
      seen.add(m.id)
      return [
        w.add({
          key: `ahead-${m.id}`,
          kind: 'ahead',
          title: `Make up ${m.name}`,
          detail: `Stir ${grams} into ${m.reconstitutesTo - 1} times its weight of the water of the formula until it is even.`,
          hands: 4,
          wait: 10,
          after,
          weighs: [...refsOf([line]), ...partOfWater(a, (m.reconstitutesTo - 1) * line.grams)],
          equipment: ['small beaker'],
        }),
      ]
    }
    const hours = m.hydrationHours
    if (hours && swellsAhead(m)) {
      seen.add(m.id)
      return [
        w.add({
          key: `ahead-${m.id}`,
          kind: 'ahead',
          title: `Let ${m.name} swell`,
          detail: `Sprinkle ${grams} on part of the water${m.slurry ? `, wetted in ${sayNumber(m.slurry.parts)} parts of ${m.slurry.in}` : ''}. Lumps at first are harmless; they go in ${sayNumber(hours.min)} to ${sayNumber(hours.max)} hours.`,
          hands: 5,
          wait: Math.round(hours.max * 60),
          after,
          weighs: [...refsOf([line]), ...partOfWater(a, SWELL_PARTS * line.grams)],
          ahead: `It takes up to ${sayNumber(hours.max)} hours; overnight is easiest.`,
          equipment: ['beaker with a lid'],
        }),
      ]
    }
    return []
  })
}

/** Parts of water that one part of a polymer swells in (common practice: a stock of 1 to 2 %). */
const SWELL_PARTS = 60
/** Water of the formula that something ahead takes: at most half of it. */
function partOfWater(a: Assessment, wanted: number): StepLine[] {
  const water =
    a.lines.find((l) => l.fill && l.material?.kind === 'water') ??
    a.lines.find((l) => l.material?.kind === 'water')
  if (!water) return []
  const d = a.amounts.resolutionGrams
  const grams = Math.round(Math.min(wanted, water.grams / 2) / d) * d
  return grams > 0 ? [{ phase: water.phase, line: water.line, grams: Number(grams.toPrecision(12)) }] : []
}

/** Minutes that a wetted gum rests, by school. */
const REST = { rest: 25, 'at-once': 0, overnight: 720 } as const
type GumSchool = keyof typeof REST
const restSays = (rest: number) =>
  rest > 0 ? ` Let it rest ${rest >= 60 ? 'overnight' : `${rest} minutes`}.` : ''

export function premix(w: Writer, p: Part, choices: { gum: GumSchool }, after: string[]): string {
  const gums = p.lines.filter((l) => isGum(l.material) && !swellsAhead(l.material))
  const weighed = w.add({
    key: `weigh-${p.id}`,
    kind: 'weigh',
    title: `Weigh ${p.letter}, ${p.name}`,
    detail: listWords(toWeigh(p).map((l) => l.label)),
    hands: weighMinutes(toWeigh(p)),
    weighs: refsOf(toWeigh(p)),
    after,
    letter: p.letter,
    equipment: ['small beaker', 'watch glass'],
  })
  const rest = gums.length === 0 ? 0 : REST[choices.gum]
  return w.add({
    key: `mix-${p.id}`,
    kind: 'mix',
    title: gums.length > 0 ? `Wet the gum in ${p.letter}` : `Stir ${p.letter} until it is clear or even`,
    detail:
      gums.length > 0
        ? `Stir without lumps before any water comes to it.${restSays(rest)}`
        : p.heatToC !== undefined
          ? `Warm it to ${formatCelsius(p.heatToC)} and stir until nothing is left undissolved.`
          : '',
    hands: 4,
    wait: rest + (p.heatToC !== undefined ? 8 : 0),
    after: [weighed],
    letter: p.letter,
    ahead: rest >= 240 ? 'The gum rests overnight.' : null,
    equipment: ['stirrer', ...(p.heatToC !== undefined ? ['water bath', 'thermometer'] : [])],
  })
}

/** The liquid of the phase that its gums are rubbed into: enough to wet them, and no water. */
function wettingLine(p: Part, gums: readonly AssessedLine[]): AssessedLine | null {
  const needed = gums.reduce((sum, l) => sum + l.percent * l.material!.slurry!.parts, 0)
  const liquids = p.lines.filter(
    (l) => (l.material?.kind === 'humectant' || l.material?.kind === 'solvent') && WETS.test(l.id),
  )
  return (
    liquids.filter((l) => l.percent >= needed * LEAST_WETTING).sort((x, y) => x.percent - y.percent)[0] ??
    null
  )
}
/** With less than this share of the liquid that a gum wants it cannot be rubbed smooth. */
const LEAST_WETTING = 0.5
const WETS = /glycerin|propanediol|glycol/

export function mainPhase(
  w: Writer,
  p: Part,
  choices: { heating: string; evaporation: string; gum: GumSchool },
  after: string[],
  premixes: string[],
): string {
  const gums =
    p.role === 'oil'
      ? []
      : p.lines.filter((l) => isGum(l.material) && l.material!.slurry && !swellsAhead(l.material))
  const wetting = gums.length > 0 ? wettingLine(p, gums) : null
  const apart = new Set([...gums, ...(wetting ? [wetting] : [])])
  const first = toWeigh(p).filter((l) => !apart.has(l))
  const weighed = w.add({
    key: `weigh-${p.id}`,
    kind: 'weigh',
    title: `Weigh ${p.letter}, ${p.name}`,
    detail: listWords(first.map((l) => l.label)),
    hands: weighMinutes(first),
    weighs: refsOf(first),
    after,
    letter: p.letter,
    equipment: [p.role === 'oil' ? 'heat-proof beaker' : 'large heat-proof beaker'],
  })
  let last = weighed
  if (gums.length > 0) {
    const rest = REST[choices.gum]
    const slurry = gums[0]!.material!.slurry!
    last = w.add({
      key: `gum-${p.id}`,
      kind: 'mix',
      title: `Wet ${listWords(gums.map((l) => l.label))} and stir it into ${p.letter}`,
      detail: wetting
        ? `Weigh ${listWords([...gums, wetting].map((l) => l.label))} into a small beaker and rub it smooth, then stir it into the rest: it lumps in bare water.${restSays(rest)}`
        : `Rub it into about ${sayNumber(slurry.parts)} parts of ${slurry.in} first, or sprinkle it under shear: it lumps in bare water.${restSays(rest)}`,
      hands: 5 + weighMinutes([...apart]),
      wait: rest,
      weighs: refsOf([...apart]),
      after: [weighed],
      letter: p.letter,
      ahead: rest >= 240 ? 'The gum rests overnight.' : null,
      equipment: ['small beaker', 'stirrer'],
    })
  }
  if (premixes.length > 0)
    last = w.add({
      key: `mix-${p.id}`,
      kind: 'mix',
      title: `Stir what was made before into ${p.letter}`,
      detail: 'Slowly, until it is even.',
      hands: 3,
      after: [last, ...premixes],
      letter: p.letter,
      equipment: ['stirrer'],
    })
  if (p.heatToC === undefined) return last
  const hold =
    choices.heating === 'hold' && p.role !== 'oil'
      ? (p.holdMinutes ?? 20)
      : choices.heating === 'hold'
        ? 10
        : 0
  const watery = p.role !== 'oil'
  return w.add({
    key: `heat-${p.id}`,
    kind: 'heat',
    title: `Heat ${p.letter} to ${formatCelsius(p.heatToC)}${hold > 0 ? ` and hold ${hold} minutes` : ''}`,
    detail: watery
      ? choices.evaporation === 'cover'
        ? 'Cover it, so that little water leaves.'
        : 'Weigh it before and after; what is missing is put back as hot water.'
      : `${choices.heating === 'hold' ? 'Hold it, so that waxes melt whole' : 'Until it is just clear'}.`,
    hands: 2,
    wait: heatingMinutes(p.grams) + hold,
    celsius: p.heatToC,
    holdMinutes: hold,
    after: [last],
    letter: p.letter,
    equipment: [
      'water bath',
      'thermometer',
      ...(watery && choices.evaporation === 'cover' ? ['lid or film'] : []),
    ],
  })
}

export function combine(
  w: Writer,
  a: Assessment,
  choices: { pouring: string },
  waters: readonly Part[],
  oils: readonly Part[],
  after: string[],
): string {
  const inverse = a.emulsion!.type === 'water-in-oil'
  const intoOil = inverse || choices.pouring === 'water-into-oil'
  const water = listWords(waters.map((p) => p.letter))
  const oil = listWords(oils.map((p) => p.letter))
  const main = a.lines
    .filter((l) => l.material?.emulsifier && l.material.setting)
    .sort((x, y) => y.percent - x.percent)[0]?.material
  const setting = main?.setting ?? 'medium'
  const combined = w.add({
    key: 'combine',
    kind: 'combine',
    title: intoOil ? `Pour ${water} into ${oil}, blending` : `Pour ${oil} into ${water}, blending`,
    detail: inverse
      ? 'In a thin stream and slowly, blending all the time: water in oil forgives no hurry.'
      : intoOil
        ? 'Both at the same temperature. It goes through a thick stage and turns over: finer drops with nonionic waxes.'
        : 'Both at the same temperature, to about 5 °C. Short bursts of half a minute.',
    hands: inverse ? 8 : 5,
    after,
    pours: intoOil
      ? { from: waters.map((p) => p.letter), into: oils[0]!.letter }
      : { from: oils.map((p) => p.letter), into: waters[0]!.letter },
    equipment: ['stick blender', 'spatula'],
  })
  const [rounds, gap] = CYCLES[setting]
  return w.add({
    key: 'blend',
    kind: 'blend',
    title: `Blend ${rounds} times more while it cools, every ${gap} minutes`,
    detail:
      setting === 'fast'
        ? 'It sets fast: short bursts below the surface, then by hand, or it keeps air and lumps.'
        : setting === 'slow'
          ? 'It sets slowly: several short rounds, then stir by hand.'
          : 'Short bursts below the surface, so that no air goes in.',
    hands: rounds,
    wait: rounds * gap,
    after: [combined],
    equipment: ['stick blender'],
  })
}
