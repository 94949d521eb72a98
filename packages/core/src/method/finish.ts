import type { Assessment } from '../assess/types.ts'
import { formatCelsius, formatGrams, formatRange, listWords } from '../text/format.ts'
import { coolingMinutes, ROOM_C, temperatureAfter } from './cooling.ts'
import { PRESERVING, refsOf, round5, toWeigh, weighMinutes, type Part, type Writer } from './writer.ts'

export function coolAndAdd(
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
          celsius: limit,
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
      detail: listWords(toWeigh(p).map((l) => l.label)),
      hands: weighMinutes(toWeigh(p)),
      weighs: refsOf(toWeigh(p)),
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
          brings: refsOf(now),
          after: [...last, weighed],
          letter: p.letter,
          equipment: ['spatula'],
        }),
      ]
    else last = [...last, weighed]
  }
  return last
}

export function finish(
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
      brings: refsOf(preservatives),
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
