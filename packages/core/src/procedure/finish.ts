import type { AssessedLine } from '../lines/types.ts'
import type { Assessment } from '../assess/types.ts'
import { containerName, shutContainers } from '../feel/dispensing.ts'
import { aimPh } from '../dosing/aim.ts'
import { DOSE_WAIT, DOSE_WAIT_MINUTES } from '../dosing/dosing.ts'
import { adjusterKey } from '../dosing/fit.ts'
import { adjusterOf } from '../ph/adjusters.ts'
import { formatGrams, formatRange, listWords, sayPercent } from '../text/format.ts'
import { LYE_CARE, LYE_ORDER } from '../text/lye.ts'
import { dissolves, preserves, swellsLong } from './facts.ts'
import { coolTo } from './late.ts'
import { labelsOf } from './maker.ts'
import { isInverse, isWatery, whips, type Making } from './making.ts'
import { COOL, type Part } from './route.ts'

/** Water that left, pH, the preservative that waits for it, and the adjusters. */
export function finish(making: Making, parts: readonly Part[], base: Part) {
  const { a, m } = making
  const watery = isWatery(a)
  const inverse = isInverse(a)
  const hot = m.steps.some((s) => s.kind === 'heat' && parts.some((p) => p.letter === s.vessel && !p.oily))
  if (watery) coolTo(making, base, COOL, 'cool-batch')
  if (watery && hot && !inverse)
    m.with(base.letter, {
      key: 'make-up',
      kind: 'water',
      title: 'Make up the water loss',
      detail: `Weigh the batch: ${shouldWeigh(making, parts, base)} Add the difference back as distilled water and stir.`,
      hands: 3,
      equipment: ['distilled water'],
    })
  const measurable = watery && !inverse
  const aim = aimPh(a)
  const adjusts = parts.filter((p) => p.route.to === 'ph')
  const adjusters = adjusts.flatMap((p) => p.lines)
  const waiting = m.others(base.letter).filter((v) => !making.folded.some((p) => p.letter === v))
  const late = waiting
    .flatMap((v) => m.holds(v))
    .flatMap((r) => a.lines.filter((l) => l.phase === r.phase && l.line === r.line))
  const preserve = () => {
    if (waiting.length === 0) return
    m.pour(waiting, base.letter, {
      key: 'preserve',
      kind: 'add',
      title: `Add ${listWords(labelsOf([...new Set(late)]))}`,
      detail:
        measurable && late.some(preserves)
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
    detail: `On a small portion. A few drops of a dilute adjuster. ${DOSE_WAIT} Count what goes in.${plannedAdjusters(making, adjusters)}`,
    look: 'the same reading twice',
    hands: 10,
    wait: DOSE_WAIT_MINUTES,
    celsius: null,
    weighs: adjusters.map(({ phase, line }) => ({ phase, line })),
    equipment: ['pH meter or strips', 'pipette', ...labelsOf(adjusters)],
  })
  preserve()
  m.with(base.letter, {
    key: 'ph-check',
    kind: 'ph',
    title: 'Measure the pH again',
    detail: 'After the last addition; write it down.',
    hands: 3,
    celsius: null,
    equipment: ['pH meter or strips'],
  })
  hydrateLong(making, base)
}

/** What hydrates for hours does so now, and the pH is read again afterwards. */
function hydrateLong(making: Making, base: Part) {
  const { a, m, choices } = making
  const slow = Math.max(
    0,
    ...a.lines.map((l) =>
      swellsLong(l.material) && !making.apart.has(l) && l.percent > 0 ? l.material!.hydrationHours!.max : 0,
    ),
  )
  if (slow > 0 && choices.swelling === 'shear')
    m.with(base.letter, {
      key: 'swell',
      kind: 'rest',
      title: 'Let it hydrate, then stir and measure the pH again',
      detail: 'Covered. What looks thin or lumpy now has its body then.',
      look: 'even, without lumps',
      hands: 2,
      wait: Math.round(slow * 60),
      celsius: null,
      equipment: ['lid or film'],
    })
}

/** What the formula plans to adjust with in this batch; a solid as the solution that is made of it. */
function plannedAdjusters({ a }: Making, adjusters: readonly AssessedLine[]): string {
  const dosed = adjusters.filter((l) => l.grams > 0)
  if (dosed.length === 0) return ''
  const say = (grams: number) => formatGrams(grams, a.amounts.resolutionGrams)
  const solutions = dosed.flatMap((l) => {
    const adjuster = adjusterOf(adjusterKey(l.source.material) ?? '')
    if (!adjuster || !dissolves(l.material) || adjuster.mostPercent === 100) return []
    const whole = (l.grams * (l.strengthPercent ?? 100)) / adjuster.usualPercent
    const caution = adjuster.hazard === 'lye' ? ` ${LYE_CARE} ${LYE_ORDER}` : ''
    return [
      ` Make a ${sayPercent(adjuster.usualPercent)} solution first: stir ${say(l.grams)} ${l.weighedAs} into ${say(whole - l.grams)} cold distilled water. Use ${say(whole)} of it.${caution}`,
    ]
  })
  return ` The formula plans ${listWords(dosed.map((l) => `${say(l.grams)} ${l.weighedAs}`))}.${solutions.join('')}`
}

/** What the batch should weigh here, without what goes in later. */
function shouldWeigh({ a, m }: Making, parts: readonly Part[], base: Part) {
  const later = [
    ...m.others(base.letter).flatMap((v) => m.holds(v)),
    ...parts.filter((p) => p.route.to === 'ph').flatMap((p) => p.lines),
  ]
  const grams = a.lines.reduce(
    (sum, l) => sum + (later.some((r) => r.phase === l.phase && r.line === l.line) ? l.grams : 0),
    0,
  )
  const say = (g: number) => formatGrams(g, a.amounts.resolutionGrams)
  return grams > 0
    ? `it should be ${say(a.amounts.batchGrams - grams)} now, for ${say(grams)} are still to come.`
    : `it should be ${say(a.amounts.batchGrams)}.`
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

/** Names of containers that a step proposes. */
const PROPOSED = 2
/** What keeps fingers out of the product, where it comes out of it. */
function containerWords(a: Assessment): string {
  const shut = shutContainers(a).slice(0, PROPOSED).map(containerName)
  return shut.length > 0
    ? `A ${listWords(shut, 'or')} keeps fingers out.`
    : 'A wide jar: too thick for a pump or tube. Take it out with a clean spatula.'
}

/** Whipping, folding, filling, labelling and the look a day later. */
export function end(making: Making, vessel: string) {
  const { a, m, choices } = making
  const watery = isWatery(a)
  const inverse = isInverse(a)
  const firm = !watery && m.celsius(vessel) !== null
  const whipped = whips(a, choices)
  if (whipped && vessel) {
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
    for (const p of making.folded)
      m.pour([p.letter], vessel, {
        key: `add-${p.id}`,
        kind: 'add',
        title: `Fold in ${listWords(labelsOf(p.lines))}`,
        detail:
          'Sift a third of it over, lift it under with a spatula, and so on: stirred hard it loses its air.',
        look: 'even, and still standing in peaks',
        hands: 4,
        letter: p.letter,
        celsius: null,
        equipment: ['sieve', 'spatula'],
      })
  }
  m.with(vessel, {
    key: 'fill',
    kind: 'fill',
    title: whipped ? 'Pipe it into clean jars' : 'Fill a clean container',
    detail: firm && !whipped ? 'While it still flows.' : containerWords(a),
    hands: 8,
    celsius: null,
    equipment: ['container', whipped ? 'piping bag' : 'funnel or spatula'],
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
    title: 'Observe again tomorrow',
    detail: `${watery && !inverse ? 'pH, ' : ''}body, smell, colour, drops or crystals. Patch test before the first use.`,
    hands: 5,
    after: ['label'],
    later: true,
  })
}
