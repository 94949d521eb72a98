import type { Assessment, AssessedLine } from '../assess/types.ts'
import { formatCelsius, formatGrams, formatRange, listWords } from '../text/format.ts'
import { aimPh } from './aim.ts'
import type { MethodChoices } from './choices.ts'
import { coolingMinutes, ROOM_C, temperatureAfter } from './cooling.ts'
import { isWater, preserves, swellsLong } from './facts.ts'
import { labelsOf, Maker, round5, WaterStore } from './maker.ts'
import { ahead, dissolveIn, heat, prepare, sprinkles, type Making, undissolved } from './prepare.ts'
import { COOL, routed, type Part } from './route.ts'
import { schoolsOf } from './schools.ts'
import type { Step } from './steps.ts'

/** Rounds of blending while it cools, and minutes between them for 200 g, by how fast the emulsifier sets. */
const CYCLES = { fast: [2, 3], medium: [3, 6], slow: [4, 8] } as const
/** From this mass on a rinse-off is blended again until it is cold. */
const LARGE_GRAMS = 400

/**
 * The procedure that a formula asks for, in order: vessels, what goes in by weight, what is poured where and at what
 * temperature, from its phases, what is known of its materials, and the maker's choices where there are two schools.
 * Minutes are estimates of common practice. Everything else that tells how a product is made is a view of this.
 */
export function procedureOf(a: Assessment, chosen: MethodChoices = {}): Step[] {
  const choices = schoolsOf(a, chosen)
  const parts = routed(a)
  const res = a.amounts.resolutionGrams
  const m = new Maker(['prepare'])
  m.loose({
    key: 'prepare',
    kind: 'wash',
    title: 'Wash, dry and spray tools and bench',
    detail:
      'Spray with 70 % isopropyl alcohol and let it dry; no flame nearby. Gloves on. Write down the weight of each empty vessel.',
    hands: 10,
    equipment: ['gloves', '70 % isopropyl alcohol', `scale to ${res} g`],
  })
  const waterLine =
    a.lines.find((l) => l.fill && isWater(l.material)) ?? a.lines.filter((l) => isWater(l.material)).sort((x, y) => y.grams - x.grams)[0] ?? null // prettier-ignore
  const making: Making = {
    a,
    m,
    choices,
    water: new WaterStore(waterLine, res),
    apart: new Set(),
    stocks: new Set(),
  }
  ahead(making, parts, 'prepare')
  const base = makeBase(making, parts)
  if (base) {
    addLate(making, parts, base)
    finish(making, parts, base)
  }
  end(making, base?.letter ?? '')
  return m.steps
}

/** Prepares everything that makes the beginning, heats it and joins it. Gives the part in whose vessel the batch stands. */
function makeBase(making: Making, parts: readonly Part[]): Part | null {
  const { a, m, choices } = making
  const joined = parts.filter((p) => p.route.to === 'join')
  const inverse = a.emulsion?.type === 'water-in-oil'
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
    stirIn(making, p, into.filter((x) => x.route.when === 'hot'))
  } // prettier-ignore
  joined.forEach(make)
  const others = joined.filter((p) => p !== base && m.holds(p.letter).length > 0)
  const emulsion = a.emulsion !== null && oils.length > 0 && waters.length > 0
  const celsius = Math.max(0, ...joined.map((p) => m.celsius(p.letter) ?? 0)) || null
  if (others.length > 0) {
    const first = intoOil ? waters : oils
    const order = [...others.filter((p) => p.oily === base.oily), ...others.filter((p) => p.oily !== base.oily)]
    const same = order.filter((p) => !first.includes(p))
    if (emulsion && same.length > 0) pourTogether(making, same, base, celsius, 'combine-same')
    pourTogether(making, emulsion ? order.filter((p) => first.includes(p)) : order, base, celsius, 'combine', emulsion, intoOil)
  } // prettier-ignore
  if (a.emulsion !== null && celsius === null && !emulsion && joined.length === 1) blendCold(making, base)
  else if (a.emulsion !== null) blend(making, base, celsius)
  return base
}

function stirIn(making: Making, p: Part, into: readonly Part[]) {
  const { m } = making
  for (const x of into) {
    if (m.holds(x.letter).length === 0) continue
    const dry = sprinkles(undissolved(making, x.letter), x.lines)
    m.pour([x.letter], p.letter, {
      key: `pour-${x.id}`,
      kind: 'add',
      title: `Stir ${x.letter} into ${p.letter}`,
      detail: m.celsius(x.letter) !== null && m.celsius(p.letter) === null ? 'In a thin stream, stirring all along.' : 'Slowly, stirring all along.', // prettier-ignore
      look: 'even',
      ...dry,
      hands: 3,
      letter: p.letter,
      celsius: m.celsius(p.letter),
      equipment: ['stirrer'],
    })
  }
}

/** A fifth of the water stays cold and is added after joining. */
const COLD_SHARE = 0.2
function holdBack({ a, m, water }: Making, p: Part) {
  const share = water.take((water.line?.grams ?? 0) * COLD_SHARE)
  if (!share) return
  m.with(`${p.letter}7`, {
    key: `cold-${p.id}`,
    kind: 'weigh',
    title: `Weigh a cold share of the water of ${p.letter}`,
    detail: `${formatGrams(share.grams!, a.amounts.resolutionGrams)} of it stay cold and cool the emulsion later.`,
    hands: 2,
    letter: p.letter,
    weighs: [share],
    equipment: ['small beaker'],
  })
}

const settingOf = (a: Assessment) =>
  a.lines.filter((l) => l.material?.emulsifier && l.material.setting).sort((x, y) => y.percent - x.percent)[0]?.material?.setting ?? 'medium' // prettier-ignore

function pourTogether(making: Making, from: readonly Part[], base: Part, celsius: number | null, key: string, emulsion = false, intoOil = false) {
  if (from.length === 0) return
  const { m, a } = making
  const dry = from.flatMap((p) => undissolved(making, p.letter))
  const inverse = a.emulsion?.type === 'water-in-oil'
  const what = listWords(from.map((p) => p.letter))
  const hot = celsius !== null
  m.pour(
    from.map((p) => p.letter),
    base.letter,
    {
      key,
      kind: 'join',
      title: emulsion ? `Pour ${what} into ${base.letter}, blending` : `Pour ${what} into ${base.letter}`,
      detail: !emulsion
        ? 'Stir until it is even.'
        : inverse
          ? 'In a thin stream and slowly, blending all the time: water in oil forgives no hurry.'
          : intoOil
            ? `${hot ? 'Both at the same temperature. ' : ''}It goes through a thick stage and turns over: finer drops with nonionic waxes.`
            : `${hot ? 'Both at the same temperature, to about 5 °C. ' : ''}Short bursts of half a minute.`,
      look: emulsion ? 'one even colour, no oil at the edge' : 'even',
      ...(emulsion ? null : sprinkles(dry, from.flatMap((p) => p.lines))),
      hands: inverse ? 8 : emulsion ? 5 : 3,
      celsius,
      letter: null,
      equipment: emulsion ? ['stick blender', 'spatula'] : ['stirrer'],
    },
  )
} // prettier-ignore

function blend({ m, a }: Making, base: Part, celsius: number | null) {
  const setting = settingOf(a)
  const [rounds, gap] = CYCLES[setting]
  const grams = a.amounts.batchGrams
  const minutes = celsius === null ? 1 : Math.max(2, Math.round(gap * Math.cbrt(Math.max(50, grams) / 200)))
  const large = grams >= LARGE_GRAMS && a.formula.product.rinse === 'rinse-off' && celsius !== null
  const wait = rounds * minutes
  m.with(base.letter, {
    key: 'blend',
    kind: 'blend',
    title: celsius === null ? `Blend ${rounds} times, a minute apart` : `Blend ${rounds} times more while it cools, every ${minutes} minutes`, // prettier-ignore
    detail:
      (setting === 'fast'
        ? 'It sets fast: short bursts below the surface, then by hand, or it keeps air and lumps.'
        : setting === 'slow'
          ? 'It sets slowly: several short rounds, then stir by hand.'
          : 'Short bursts below the surface, so that no air goes in.') +
      (large ? ' A mass of this size is blended again every 30 to 45 minutes until it is cold.' : ''),
    look: 'smooth and glossy',
    hands: rounds + (large ? 4 : 0),
    wait,
    celsius: celsius === null ? null : Math.round(temperatureAfter(celsius, rounds + wait, grams, false)),
    equipment: ['stick blender'],
  })
  const shares = m.others(base.letter).filter((v) => v.endsWith('7'))
  if (shares.length > 0)
    m.pour(shares, base.letter, {
      key: 'cold-share',
      kind: 'add',
      title: 'Stir in the cold share of the water',
      detail: 'In a thin stream, stirring: it cools the emulsion at once.',
      look: 'even',
      hands: 3,
      celsius: celsius === null ? null : Math.round(temperatureAfter(celsius, rounds + wait, grams, false) * (1 - COLD_SHARE * 0.8) + ROOM_C * COLD_SHARE * 0.8), // prettier-ignore
      equipment: ['stirrer'],
    })
}

function blendCold({ m }: Making, base: Part) {
  m.with(base.letter, {
    key: 'blend',
    kind: 'blend',
    title: `Blend ${base.letter} until it is one`,
    detail: 'Short bursts below the surface, a minute apart.',
    look: 'one even colour, no oil on top',
    hands: 4,
    wait: 2,
    equipment: ['stick blender'],
  })
}

/** Adds what comes late, what stands most heat first. */
function addLate(making: Making, parts: readonly Part[], base: Part) {
  const { a, m, choices, apart } = making
  const lates = parts
    .filter((p) => p.route.to === 'batch' && p !== base)
    .sort((x, y) => limitOf(y) - limitOf(x))
  const separate = choices.ending === 'adjust-first' && a.waterPercent >= 5
  for (const p of lates) {
    const into = parts.filter((x) => x.route.to === 'part' && x.route.into === p.id)
    into.forEach((x) => makeSmall(making, parts, x))
    // What is added after the pH was set stands in a vessel of its own.
    const open = p.lines.filter((l) => !apart.has(l))
    const waits = separate ? open.filter(preserves) : []
    const own = open.filter((l) => !waits.includes(l))
    const split = waits.length > 0 && own.length > 0
    prepare(making, p, p.letter, split ? own : undefined)
    stirIn(making, p, into)
    dissolveIn(making, p, p.letter, split ? own : undefined)
    if (split) {
      prepare(making, p, `${p.letter}2`, waits)
      dissolveIn(making, p, `${p.letter}2`, waits)
    }
    const limit = limitOf(p)
    if (m.holds(p.letter).length > 0 || split) coolTo(making, base, limit, `cool-${p.id}`)
    if (own.length === 0 || m.holds(p.letter).length === 0) continue
    const warm = m.celsius(p.letter)
    if (warm !== null && warm > limit) coolPart(making, p, limit)
    const acid = p.role === 'premix'
    const dry = sprinkles(undissolved(making, p.letter), own)
    m.pour([p.letter], base.letter, {
      key: `add-${p.id}`,
      kind: 'add',
      title: `Add ${own.length > 4 || p.role === 'premix' ? `${p.letter}, ${p.name || 'unnamed'}` : listWords(labelsOf(own))}`,
      detail: acid
        ? 'In a thin stream and in small parts, stirring after each; then blend shortly again.'
        : own.length > 1
          ? 'Stir it together first, then in small parts into the batch.'
          : 'Stir it in.',
      look: 'even',
      ...dry,
      hands: own.length + 2,
      letter: p.letter,
      celsius: m.celsius(base.letter),
      equipment: ['spatula'],
    })
  }
  const swollen = m.others(base.letter).filter((v) => making.stocks.has(v))
  if (swollen.length > 0) {
    coolTo(making, base, COOL, 'cool-ahead')
    m.pour(swollen, base.letter, {
      key: 'add-ahead',
      kind: 'add',
      title: 'Stir in what was made ahead',
      detail: 'In a thin stream, stirring all along.',
      look: 'even, no lumps',
      hands: 3,
      celsius: m.celsius(base.letter),
      equipment: ['stirrer'],
    })
  }
}

/** A part that is poured into a late one, with what is poured into it in turn. */
function makeSmall(making: Making, parts: readonly Part[], p: Part) {
  const into = parts.filter((x) => x.route.to === 'part' && x.route.into === p.id)
  into.forEach((x) => makeSmall(making, parts, x))
  prepare(making, p)
  stirIn(making, p, into)
  dissolveIn(making, p)
}

const limitOf = (p: Part) =>
  Math.min(p.belowC ?? COOL, ...p.lines.flatMap((l) => (l.material?.heatMaxC === undefined ? [] : [l.material.heatMaxC]))) // prettier-ignore

function coolTo({ a, m, choices }: Making, base: Part, limit: number, key: string) {
  const at = m.celsius(base.letter)
  if (at === null || at <= limit) return
  const bath = choices.cooling === 'bath'
  const minutes = coolingMinutes(at, Math.max(limit, ROOM_C + 3), a.amounts.batchGrams, bath)
  if (minutes === null || !Number.isFinite(minutes)) return
  m.with(base.letter, {
    key,
    kind: 'cool',
    title: `Cool below ${formatCelsius(limit)}`,
    detail: bath
      ? 'In cold water, stirring all along; it thickens from the wall inwards.'
      : 'Stir every few minutes. An estimate for a beaker in still air: two temperatures tell better.',
    hands: Math.min(10, Math.ceil(minutes / 10)),
    wait: round5(minutes),
    celsius: limit,
    equipment: ['thermometer', ...(bath ? ['cold water bath'] : [])],
  })
}

function coolPart({ m }: Making, p: Part, limit: number) {
  const minutes = coolingMinutes(m.celsius(p.letter)!, Math.max(limit, ROOM_C + 3), p.grams, false)
  m.with(p.letter, {
    key: `cool-part-${p.id}`,
    kind: 'cool',
    title: `Let ${p.letter} cool below ${formatCelsius(limit)}`,
    detail: 'What is poured hot into something cool and thick makes lumps.',
    look: 'still clear; if crystals come, warm it again and add it warmer',
    hands: 1,
    wait: round5(Number.isFinite(minutes ?? Infinity) ? minutes! : 20),
    celsius: limit,
    letter: p.letter,
    equipment: ['thermometer'],
  })
}

/** Water that left, pH, the preservative that waits for it, and the adjusters. */
function finish(making: Making, parts: readonly Part[], base: Part) {
  const { a, m, choices } = making
  const watery = a.waterPercent >= 5
  const inverse = a.emulsion?.type === 'water-in-oil'
  const hot = m.steps.some((s) => s.kind === 'heat' && parts.some((p) => p.letter === s.vessel && !p.oily))
  if (watery) coolTo(making, base, COOL, 'cool-batch')
  if (watery && hot && !inverse)
    m.with(base.letter, {
      key: 'make-up',
      kind: 'water',
      title: 'Make up the water that left',
      detail: `Weigh the batch: it should be ${formatGrams(a.amounts.batchGrams, a.amounts.resolutionGrams)} with what is still to come. Put back the difference as distilled water and stir.`,
      hands: 3,
      equipment: ['distilled water'],
    })
  const measurable = watery && !inverse
  const aim = aimPh(a)
  const adjusts = parts.filter((p) => p.route.to === 'ph')
  const adjusters = adjusts.flatMap((p) => p.lines)
  const waiting = m.others(base.letter)
  const late = waiting.flatMap((v) => m.holds(v)).flatMap((r) => a.lines.filter((l) => l.phase === r.phase && l.line === r.line)) // prettier-ignore
  const preserve = () => {
    if (waiting.length === 0) return
    m.pour(waiting, base.letter, {
      key: 'preserve',
      kind: 'add',
      title: `Add ${listWords(labelsOf([...new Set(late)]))}`,
      detail: late.some(preserves)
        ? 'The preservative, at the pH where it works; stir well.'
        : 'Stir it in well.',
      look: 'even',
      hands: 3,
      equipment: ['spatula'],
      celsius: null,
    })
  }
  if (!measurable) {
    if (adjusters.length > 0) weighAdjusters(making, base, adjusters)
    preserve()
    return
  }
  m.with(base.letter, {
    key: 'ph',
    kind: 'ph',
    title: `Measure the pH${aim ? ` and bring it to ${formatRange(aim)}` : ''}`,
    detail: `On a small portion. A few drops of a dilute adjuster, mix, wait a minute, read again. Count what goes in.${adjusters.length > 0 ? ` The formula plans ${listWords(adjusters.map((l) => `${formatGrams(l.grams, a.amounts.resolutionGrams)} ${l.label}`))}.` : ''}`,
    look: 'the same reading twice',
    hands: 10,
    wait: 3,
    celsius: null,
    weighs: adjusters.map(({ phase, line }) => ({ phase, line })),
    equipment: ['pH meter or strips', 'pipette', ...labelsOf(adjusters)],
  })
  preserve()
  m.with(base.letter, {
    key: 'ph-check',
    kind: 'ph',
    title: 'Read the pH once more',
    detail: 'After the last addition; write it down.',
    hands: 3,
    celsius: null,
    equipment: ['pH meter or strips'],
  })
  const slow = Math.max(0, ...a.lines.map((l) => (swellsLong(l.material) && !making.apart.has(l) && l.percent > 0 ? l.material!.hydrationHours!.max : 0))) // prettier-ignore
  if (slow > 0 && choices.swelling === 'shear')
    m.with(base.letter, {
      key: 'swell',
      kind: 'rest',
      title: 'Let it swell, then stir and read the pH again',
      detail: 'Covered. What looks thin or lumpy now has its body then.',
      look: 'even, without lumps',
      hands: 2,
      wait: Math.round(slow * 60),
      celsius: null,
      equipment: ['lid or film'],
    })
}

function weighAdjusters({ m }: Making, base: Part, lines: readonly AssessedLine[]) {
  m.with(base.letter, {
    key: 'adjust',
    kind: 'add',
    title: `Add ${listWords(labelsOf(lines))}`,
    detail: 'Stir it in well. There is too little water, or it lies inside the oil, so no pH can be read.',
    hands: 3,
    weighs: lines.map(({ phase, line }) => ({ phase, line })),
    celsius: null,
    equipment: ['spatula'],
  })
}

/** Whipping, filling, labelling and the look a day later. */
function end({ a, m, choices }: Making, vessel: string) {
  const watery = a.waterPercent >= 5
  const inverse = a.emulsion?.type === 'water-in-oil'
  const firm = !watery && m.celsius(vessel) !== null
  if (choices.body === 'whip' && !watery && vessel) {
    m.with(vessel, {
      key: 'chill',
      kind: 'cool',
      title: 'Chill until the edge sets',
      detail: 'In the fridge or on ice; scrape the edge in now and then.',
      look: 'opaque at the wall, soft in the middle',
      hands: 3,
      wait: 25,
      celsius: 15,
      equipment: ['ice or fridge'],
    })
    m.with(vessel, {
      key: 'whip',
      kind: 'whip',
      title: 'Whip, chill ten minutes, and whip again',
      detail:
        'Weigh a cup of it before and after: (before ÷ after − 1) × 100 is the air in percent. It doubles at most.',
      look: 'soft peaks that stand',
      hands: 12,
      wait: 10,
      celsius: null,
      equipment: ['whisk', 'measuring cup'],
    })
  }
  m.with(vessel, {
    key: 'fill',
    kind: 'fill',
    title: choices.body === 'whip' && !watery ? 'Pipe it into clean jars' : 'Fill a clean container',
    detail: firm && choices.body !== 'whip' ? 'While it still flows.' : 'A pump or tube keeps fingers out.',
    hands: 8,
    celsius: null,
    equipment: ['container', choices.body === 'whip' && !watery ? 'piping bag' : 'funnel or spatula'],
  })
  m.loose({
    key: 'label',
    kind: 'label',
    title: 'Label it',
    detail: 'Name, key active and its percent, date, batch code, use-by date.',
    hands: 3,
    after: ['fill'],
    equipment: ['label'],
  })
  m.loose({
    key: 'look',
    kind: 'look',
    title: 'Look again tomorrow',
    detail: `${watery && !inverse ? 'pH, ' : ''}body, smell, colour, drops or crystals. Patch test before the first use.`,
    hands: 5,
    after: ['label'],
    later: true,
  })
}
