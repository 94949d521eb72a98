import type { Assessment } from '../assess/types.ts'
import { ROOM_C, temperatureAfter } from './cooling.ts'
import { couldStayCold } from './facts.ts'
import { labelsOf, refsOf } from './step-builder.ts'
import { isInverse, type Making } from './making.ts'
import { dissolveIn, heat, sprinkled, undissolved } from './dissolve.ts'
import { prepare } from './prepare.ts'
import type { Part } from './route.ts'

/** Rounds of blending while it cools, and minutes between them for 200 g, by how fast the emulsifier sets. */
const CYCLES = { fast: [2, 3], medium: [3, 6], slow: [4, 8] } as const
/** From this mass on a rinse-off is blended again until it is cold. */
const LARGE_GRAMS = 400

/** Prepares everything that makes the beginning, heats it and joins it. Gives the part in whose vessel the batch stands. */
export function makeBase(making: Making, parts: readonly Part[]): Part | null {
  const { a, m, choices } = making
  const joined = parts.filter((p) => p.route.to === 'join')
  const inverse = isInverse(a)
  const waters = joined.filter((p) => !p.oily)
  const oils = joined.filter((p) => p.oily)
  const intoOil = oils.length > 0 && waters.length > 0 && (inverse || choices.pouring === 'water-into-oil')
  const base = (intoOil ? oils : waters)[0] ?? oils[0]
  if (!base) return null
  // What is poured into a part is made before that part is heated; it may take others up itself.
  const make = (p: Part) => {
    const into = parts.filter((x) => x.route.to === 'part' && x.route.into === p.id)
    into.forEach(make)
    const cold = choices.cooling === 'cold-share' && p === waters[0] && p.heatToC !== null && a.emulsion
    if (cold) holdBack(making, p)
    prepare(making, p)
    const early = into.filter((x) => x.route.when !== 'hot')
    stirIn(making, p, early)
    if (p.route.to === 'part') {
      dissolveIn(making, p)
      if (p.heatToC !== null && p.route.when === 'hot') heat(making, p)
      return
    }
    heat(making, p)
    dissolveIn(making, p, p.letter, undefined, joined.length === 1)
    stirIn(
      making,
      p,
      into.filter((x) => x.route.when === 'hot'),
    )
  }
  joined.forEach(make)
  const others = joined.filter((p) => p !== base && m.holds(p.letter).length > 0)
  const emulsion = a.emulsion !== null && oils.length > 0 && waters.length > 0
  const celsius = Math.max(0, ...joined.map((p) => m.celsius(p.letter) ?? 0)) || null
  if (others.length > 0) {
    const first = intoOil ? waters : oils
    const order = [
      ...others.filter((p) => p.oily === base.oily),
      ...others.filter((p) => p.oily !== base.oily),
    ]
    const same = order.filter((p) => !first.includes(p))
    if (emulsion && same.length > 0) pourTogether(making, same, base, celsius, 'combine-same')
    pourTogether(
      making,
      emulsion ? order.filter((p) => first.includes(p)) : order,
      base,
      celsius,
      'combine',
      emulsion,
      intoOil,
    )
  }
  if (a.emulsion !== null && celsius === null && !emulsion && joined.length === 1) blendCold(making, base)
  else if (a.emulsion !== null) blend(making, base, celsius)
  return base
}

export function stirIn(making: Making, p: Part, into: readonly Part[]) {
  const { m } = making
  for (const x of into) {
    if (m.holds(x.letter).length === 0) continue
    m.pour([x.letter], p.letter, {
      key: `pour-${x.id}`,
      kind: 'add',
      said: {
        code: 'pour-part',
        phase: x.letter,
        into: p.letter,
        warmIntoCold: m.celsius(x.letter) !== null && m.celsius(p.letter) === null,
        sprinkled: sprinkled(undissolved(making, x.letter), x.lines),
      },
      hands: 3,
      letter: p.letter,
      celsius: m.celsius(p.letter),
      equipment: ['stirrer'],
    })
  }
}

/** A fifth of the water stays cold and is added after joining. */
const COLD_SHARE = 0.2
function holdBack(making: Making, p: Part) {
  const { a, m, water, apart } = making
  const share = water.take((water.line?.grams ?? 0) * COLD_SHARE)
  if (!share) return
  const delicate = p.lines.filter((l) => !apart.has(l) && couldStayCold(a, l))
  delicate.forEach((l) => apart.add(l))
  const vessel = m.free(p.letter)
  making.cold.add(vessel)
  m.with(vessel, {
    key: `cold-${p.id}`,
    kind: 'weigh',
    said: {
      code: 'hold-back',
      phase: p.letter,
      waterGrams: share.grams!,
      names: labelsOf(delicate),
      resolutionGrams: a.amounts.resolutionGrams,
    },
    hands: 2 + delicate.length,
    letter: p.letter,
    weighs: [share, ...refsOf(delicate)],
    equipment: ['small-beaker'],
  })
  dissolveIn(making, p, vessel, { lines: delicate, waits: false, key: 'cold' }, false)
}

const settingOf = (a: Assessment) =>
  a.lines.filter((l) => l.material?.emulsifier && l.material.setting).sort((x, y) => y.percent - x.percent)[0]
    ?.material?.setting ?? 'medium'

function pourTogether(
  making: Making,
  from: readonly Part[],
  base: Part,
  celsius: number | null,
  key: string,
  emulsion = false,
  intoOil = false,
) {
  if (from.length === 0) return
  const { m, a } = making
  const dry = from.flatMap((p) => undissolved(making, p.letter))
  const inverse = isInverse(a)
  m.pour(
    from.map((p) => p.letter),
    base.letter,
    {
      key,
      kind: 'join',
      said: {
        code: 'combine',
        phases: from.map((p) => p.letter),
        into: base.letter,
        emulsion: !emulsion ? 'none' : inverse ? 'inverse' : intoOil ? 'into-oil' : 'into-water',
        hot: celsius !== null,
        sprinkled: emulsion
          ? null
          : sprinkled(
              dry,
              from.flatMap((p) => p.lines),
            ),
      },
      hands: inverse ? 8 : emulsion ? 5 : 3,
      celsius,
      letter: null,
      equipment: emulsion ? ['stick-blender', 'spatula'] : ['stirrer'],
    },
  )
}

function blend(making: Making, base: Part, celsius: number | null) {
  const { m, a, choices } = making
  const setting = settingOf(a)
  const [rounds, gap] = choices.body === 'beat' ? [1, 1] : CYCLES[setting]
  const grams = a.amounts.batchGrams
  const minutes = celsius === null ? 1 : Math.max(2, Math.round(gap * Math.cbrt(Math.max(50, grams) / 200)))
  const large = grams >= LARGE_GRAMS && a.formula.product.rinse === 'rinse-off' && celsius !== null
  const wait = rounds * minutes
  m.with(base.letter, {
    key: 'blend',
    kind: 'blend',
    said: {
      code: 'blend',
      rounds,
      everyMinutes: celsius === null ? null : minutes,
      setting,
      large,
    },
    hands: rounds + (large ? 4 : 0),
    wait,
    celsius: celsius === null ? null : Math.round(temperatureAfter(celsius, rounds + wait, grams, false)),
    equipment: ['stick-blender'],
  })
  const shares = m.others(base.letter).filter((v) => making.cold.has(v))
  if (shares.length > 0)
    m.pour(shares, base.letter, {
      key: 'cold-share',
      kind: 'add',
      said: { code: 'cold-share' },
      hands: 3,
      celsius:
        celsius === null
          ? null
          : Math.round(
              temperatureAfter(celsius, rounds + wait, grams, false) * (1 - COLD_SHARE * 0.8) +
                ROOM_C * COLD_SHARE * 0.8,
            ),
      equipment: ['stirrer'],
    })
}

function blendCold({ m }: Making, base: Part) {
  m.with(base.letter, {
    key: 'blend',
    kind: 'blend',
    said: { code: 'blend-cold', vessel: base.letter },
    hands: 4,
    wait: 2,
    equipment: ['stick-blender'],
  })
}
