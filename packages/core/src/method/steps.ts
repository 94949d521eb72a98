import type { Assessment, AssessedLine } from '../assess/types.ts'
import type { Material } from '../materials/schema.ts'
import { formatCelsius, formatGrams, formatRange, listWords, sayNumber } from '../text/format.ts'
import type { MethodChoices } from './choices.ts'

export type StepKind =
  | 'prepare'
  | 'ahead'
  | 'weigh'
  | 'mix'
  | 'heat'
  | 'combine'
  | 'blend'
  | 'cool'
  | 'add'
  | 'water'
  | 'ph'
  | 'fill'
  | 'look'
  | 'own'

export interface Step {
  /** Outlives changes of the formula: made of what the step does and to which phase or material. */
  key: string
  kind: StepKind
  title: string
  detail: string
  /** Hands are needed for so long, then it waits by itself; minutes. */
  hands: number
  wait: number
  /** Keys of steps that must be over. */
  after: string[]
  /** Letter of its phase, where it belongs to one. */
  letter: string | null
  equipment: string[]
  /** Better made the day before, and why. */
  ahead: string | null
  /** After the making: a day later. */
  later: boolean
}

const ROOM_C = 21
/** Newton's k of a covered beaker of 100 g in still air and of one stirred in cold water, per minute (estimates). */
const K_AIR = 0.02
const K_BATH = 0.18

/**
 * Minutes until a batch has cooled, by Newton's law with a k that falls with the cube root of the mass; an estimate
 * good to half as much again. Null where it starts below.
 */
export function coolingMinutes(fromC: number, toC: number, grams: number, bath: boolean): number | null {
  if (toC >= fromC || toC <= ROOM_C) return toC >= fromC ? null : Infinity
  const k = (bath ? K_BATH : K_AIR) * Math.cbrt(100 / Math.max(20, grams))
  return Math.log((fromC - ROOM_C) / (toC - ROOM_C)) / k
}

/** Temperature after some minutes of cooling, °C; the same law and estimate. */
export function temperatureAfter(fromC: number, minutes: number, grams: number, bath: boolean): number {
  const k = (bath ? K_BATH : K_AIR) * Math.cbrt(100 / Math.max(20, grams))
  return ROOM_C + (fromC - ROOM_C) * Math.exp(-k * minutes)
}

/** Minutes to heat so much in a water bath: a quarter of an hour for 200 g (common practice). */
export const heatingMinutes = (grams: number) => Math.round(4 + 1.9 * Math.cbrt(Math.max(10, grams)))

type Draft = Partial<Step> & Pick<Step, 'key' | 'kind' | 'title'>

class Writer {
  readonly steps: Step[] = []
  add(draft: Draft): string {
    this.steps.push({
      detail: '',
      hands: 0,
      wait: 0,
      after: [],
      letter: null,
      equipment: [],
      ahead: null,
      later: false,
      ...draft,
      ...(draft.after ? { after: [...new Set(draft.after)] } : {}),
    })
    return draft.key
  }
}

const round5 = (minutes: number) => Math.max(5, Math.round(minutes / 5) * 5)
const PRESERVING = (l: AssessedLine) => l.material?.cover !== undefined
/** A minute a line and one for the vessel. */
const weighMinutes = (lines: readonly AssessedLine[]) => 1 + lines.length

/** Rounds of blending while it cools, and minutes between them, by how fast the emulsifier sets. */
const CYCLES = { fast: [2, 3], medium: [3, 6], slow: [4, 8] } as const

/** The schools that are taken where a formula says nothing. */
export const DEFAULT_CHOICES = {
  pouring: 'oil-into-water',
  heating: 'hold',
  evaporation: 'cover',
  cooling: 'air',
  ending: 'adjust-first',
  gum: 'rest',
} as const satisfies Required<Omit<MethodChoices, never>>

/** Which of the choices make a difference to a formula. */
export function openChoices(a: Assessment): (keyof typeof DEFAULT_CHOICES)[] {
  const lines = a.lines.filter((l) => l.percent > 0 || !l.given)
  const hot = a.formula.phases.some((p) => p.heatToC !== undefined && p.lines.length > 0)
  const emulsion = a.emulsion?.type === 'oil-in-water' && a.formula.phases.some((p) => p.role === 'oil')
  const late = a.formula.phases.some((p) => p.role === 'cool-down' && p.lines.length > 0)
  const gums = lines.some(
    (l) => isGum(l.material) && (l.phaseSource.role === 'premix' || l.material!.slurry !== undefined),
  )
  const preserved = lines.some((l) => PRESERVING(l) && l.phaseSource.role === 'cool-down')
  return [
    ...(emulsion ? (['pouring'] as const) : []),
    ...(hot ? (['heating'] as const) : []),
    ...(hot && a.waterPercent >= 5 ? (['evaporation'] as const) : []),
    ...(hot && late ? (['cooling'] as const) : []),
    ...(gums ? (['gum'] as const) : []),
    ...(preserved && a.waterPercent >= 5 ? (['ending'] as const) : []),
  ]
}

interface Part {
  index: number
  letter: string
  name: string
  id: string
  role: string
  lines: AssessedLine[]
  grams: number
  heatToC: number | undefined
  belowC: number | undefined
  holdMinutes: number | undefined
}

const partsOf = (a: Assessment): Part[] =>
  a.phases.flatMap((p, index) => {
    const source = a.formula.phases[index]!
    const lines = a.lines.filter((l) => l.phase === index)
    return lines.length === 0
      ? []
      : [
          {
            index,
            letter: p.letter,
            name: p.name,
            id: source.id ?? `${p.role}-${p.letter}`,
            role: p.role,
            lines,
            grams: p.grams,
            heatToC: source.heatToC,
            belowC: source.belowC,
            holdMinutes: source.holdMinutes,
          },
        ]
  })

/**
 * The method that a formula asks for, in order: from its phases, what is known of its materials, and the maker's
 * choices where there are two schools. Minutes are estimates of common practice.
 */
export function writeMethod(a: Assessment, chosen: MethodChoices = {}): Step[] {
  const choices = { ...DEFAULT_CHOICES, ...chosen }
  const w = new Writer()
  const parts = partsOf(a)
  const res = a.amounts.resolutionGrams
  const watery = a.waterPercent >= 5
  const hot = Math.max(0, ...parts.map((p) => p.heatToC ?? 0))
  const wash = w.add({
    key: 'prepare',
    kind: 'prepare',
    title: 'Wash, dry and spray tools and bench',
    detail:
      'Spray with 70 % isopropyl alcohol and let it dry; no flame nearby. Gloves on. Write down the weight of each empty vessel.',
    hands: 10,
    equipment: ['gloves', '70 % isopropyl alcohol', `scale to ${res} g`],
  })
  const first = [wash]
  const ahead = aheadSteps(w, a, first)

  const ready = new Map<number, string>()
  for (const p of parts.filter((x) => x.role === 'premix'))
    ready.set(p.index, premix(w, p, choices, [...first, ...ahead]))
  const mains = parts.filter((p) => p.role === 'water' || p.role === 'oil' || p.role === 'other')
  const premixes = parts.filter((p) => p.role === 'premix').map((p) => ready.get(p.index)!)
  const firstWater = mains.find((p) => p.role === 'water') ?? mains.find((p) => p.role !== 'oil')
  for (const p of mains) {
    const into = p === firstWater ? premixes : []
    ready.set(p.index, mainPhase(w, p, choices, [...first, ...ahead], into))
  }
  let batch: string[] = mains.map((p) => ready.get(p.index)!)
  if (mains.length === 0) batch = premixes
  const waters = mains.filter((p) => p.role === 'water')
  const oils = mains.filter((p) => p.role === 'oil')
  if (a.emulsion && oils.length > 0 && waters.length > 0)
    batch = [combine(w, a, choices, waters, oils, batch)]
  else if (mains.length > 1)
    batch = [
      w.add({
        key: 'combine',
        kind: 'combine',
        title: `Stir ${listWords(mains.map((p) => p.letter))} together`,
        hands: 3,
        after: batch,
        equipment: ['stirrer'],
      }),
    ]
  batch = coolAndAdd(w, a, choices, parts, batch, hot)
  finish(w, a, choices, parts, batch, watery, hot)
  return w.steps
}

/** Stocks, concentrates and what swells for hours come before everything else. */
function aheadSteps(w: Writer, a: Assessment, after: string[]): string[] {
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
          equipment: ['small beaker'],
        }),
      ]
    }
    const hours = m.hydrationHours
    if (hours && hours.max >= 2) {
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
          ahead: `It takes up to ${sayNumber(hours.max)} hours; overnight is easiest.`,
          equipment: ['beaker with a lid'],
        }),
      ]
    }
    return []
  })
}

const isGum = (m: Material | null) => m !== null && (m.kind === 'gum' || m.kind === 'polymer')

/** Minutes that a wetted gum rests, by school. */
const REST = { rest: 25, 'at-once': 0, overnight: 720 } as const
type GumSchool = keyof typeof REST
const restSays = (rest: number) =>
  rest > 0 ? ` Let it rest ${rest >= 60 ? 'overnight' : `${rest} minutes`}.` : ''

function premix(w: Writer, p: Part, choices: { gum: GumSchool }, after: string[]): string {
  const gums = p.lines.filter((l) => isGum(l.material))
  const weighed = w.add({
    key: `weigh-${p.id}`,
    kind: 'weigh',
    title: `Weigh ${p.letter}, ${p.name}`,
    detail: listWords(p.lines.map((l) => l.label)),
    hands: weighMinutes(p.lines),
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

function mainPhase(
  w: Writer,
  p: Part,
  choices: { heating: string; evaporation: string; gum: GumSchool },
  after: string[],
  premixes: string[],
): string {
  const weighed = w.add({
    key: `weigh-${p.id}`,
    kind: 'weigh',
    title: `Weigh ${p.letter}, ${p.name}`,
    detail: listWords(p.lines.map((l) => l.label)),
    hands: weighMinutes(p.lines),
    after,
    letter: p.letter,
    equipment: [p.role === 'oil' ? 'heat-proof beaker' : 'large heat-proof beaker'],
  })
  let last = weighed
  const gums = p.role === 'oil' ? [] : p.lines.filter((l) => isGum(l.material) && l.material!.slurry)
  if (gums.length > 0) {
    const rest = REST[choices.gum]
    const slurry = gums[0]!.material!.slurry!
    last = w.add({
      key: `gum-${p.id}`,
      kind: 'mix',
      title: `Wet ${listWords(gums.map((l) => l.label))} and stir it into ${p.letter}`,
      detail: `Rub it into about ${sayNumber(slurry.parts)} parts of ${slurry.in} first, or sprinkle it under shear: it lumps in bare water.${restSays(rest)}`,
      hands: 5,
      wait: rest,
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
    after: [last],
    letter: p.letter,
    equipment: [
      'water bath',
      'thermometer',
      ...(watery && choices.evaporation === 'cover' ? ['lid or film'] : []),
    ],
  })
}

function combine(
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

function coolAndAdd(
  w: Writer,
  a: Assessment,
  choices: { cooling: string; ending: string },
  parts: readonly Part[],
  batch: string[],
  hot: number,
): string[] {
  let last = batch
  // It cools already while it is blended.
  const blended = w.steps.find((s) => s.key === 'blend')
  let at = blended ? temperatureAfter(hot, blended.hands + blended.wait, a.amounts.batchGrams, false) : hot
  const lates = parts
    .filter((p) => p.role === 'cool-down')
    .sort((x, y) => (y.belowC ?? 40) - (x.belowC ?? 40))
  for (const p of lates) {
    const target = p.belowC ?? 40
    const limit = Math.min(
      target,
      ...p.lines.flatMap((l) => (l.material?.heatMaxC === undefined ? [] : [l.material.heatMaxC])),
    )
    const minutes =
      at > limit
        ? coolingMinutes(at, Math.max(limit, ROOM_C + 3), a.amounts.batchGrams, choices.cooling === 'bath')
        : null
    if (minutes !== null && Number.isFinite(minutes)) {
      last = [
        w.add({
          key: `cool-${p.id}`,
          kind: 'cool',
          title: `Cool below ${formatCelsius(limit)}`,
          detail:
            choices.cooling === 'bath'
              ? 'In cold water, stirring all along; it thickens from the wall inwards.'
              : 'Stir every few minutes. An estimate for a beaker in still air: two temperatures tell better.',
          hands: Math.min(10, Math.ceil(minutes / 10)),
          wait: round5(minutes),
          after: last,
          equipment: ['thermometer', ...(choices.cooling === 'bath' ? ['cold water bath'] : [])],
        }),
      ]
      at = limit
    }
    const now =
      choices.ending === 'adjust-first' && a.waterPercent >= 5
        ? p.lines.filter((l) => !PRESERVING(l))
        : p.lines
    const weighed = w.add({
      key: `weigh-${p.id}`,
      kind: 'weigh',
      title: `Weigh ${p.letter}, ${p.name}`,
      detail: listWords(p.lines.map((l) => l.label)),
      hands: weighMinutes(p.lines),
      after: ['prepare'],
      letter: p.letter,
      equipment: ['small beaker'],
    })
    if (now.length > 0)
      last = [
        w.add({
          key: `add-${p.id}`,
          kind: 'add',
          title: `Add ${listWords(now.map((l) => l.label))}`,
          detail: 'One by one, stirring after each.',
          hands: now.length + 2,
          after: [...last, weighed],
          letter: p.letter,
          equipment: ['spatula'],
        }),
      ]
    else last = [...last, weighed]
  }
  return last
}

function finish(
  w: Writer,
  a: Assessment,
  choices: { ending: string; evaporation: string },
  parts: readonly Part[],
  batch: string[],
  watery: boolean,
  hot: number,
) {
  let last = batch
  if (watery && hot > 0)
    last = [
      w.add({
        key: 'make-up',
        kind: 'water',
        title: 'Make up the water that left',
        detail: `Weigh the batch: it should be ${formatGrams(a.amounts.batchGrams, a.amounts.resolutionGrams)} with what is still to come. Put back the difference as distilled water and stir.`,
        hands: 3,
        after: last,
        equipment: ['distilled water'],
      }),
    ]
  const measurable = watery && a.emulsion?.type !== 'water-in-oil'
  const aim = a.formula.targetPh ?? a.ph.shared
  const preservatives = parts.filter((p) => p.role === 'cool-down').flatMap((p) => p.lines.filter(PRESERVING))
  const preserve = (after: string[]) =>
    w.add({
      key: 'preserve',
      kind: 'add',
      title: `Add ${listWords(preservatives.map((l) => l.label))}`,
      detail: 'The preservative, at the pH where it works; stir well.',
      hands: 3,
      after,
      equipment: ['spatula'],
    })
  const separate = choices.ending === 'adjust-first' && watery && preservatives.length > 0
  const adjusts = parts.filter((p) => p.role === 'adjust')
  if (measurable) {
    last = [
      w.add({
        key: 'ph',
        kind: 'ph',
        title: `Measure the pH${aim ? ` and bring it to ${formatRange(aim)}` : ''}`,
        detail:
          'On a small portion. A few drops of a dilute adjuster, mix, wait a minute, read again. Count what goes in.',
        hands: 10,
        wait: 3,
        after: last,
        equipment: ['pH meter or strips', 'pipette', ...adjusts.flatMap((p) => p.lines.map((l) => l.label))],
      }),
    ]
    if (separate) last = [preserve(last)]
    last = [
      w.add({
        key: 'ph-check',
        kind: 'ph',
        title: 'Read the pH once more',
        detail: 'After the last addition; write it down.',
        hands: 3,
        after: last,
        equipment: ['pH meter or strips'],
      }),
    ]
  } else if (separate) last = [preserve(last)]
  const filled = w.add({
    key: 'fill',
    kind: 'fill',
    title: 'Fill a clean container',
    detail:
      a.formula.product.kind === 'butter' ? 'While it still flows.' : 'A pump or tube keeps fingers out.',
    hands: 8,
    after: last,
    equipment: ['container', 'funnel or spatula'],
  })
  w.add({
    key: 'label',
    kind: 'fill',
    title: 'Label it',
    detail: 'Name, key active and its percent, date, batch code, use-by date.',
    hands: 3,
    after: [filled],
    equipment: ['label'],
  })
  w.add({
    key: 'look',
    kind: 'look',
    title: 'Look again tomorrow',
    detail: `${measurable ? 'pH, ' : ''}body, smell, colour, drops or crystals. Patch test before the first use.`,
    hands: 5,
    after: ['label'],
    later: true,
  })
}
