import type { AssessedLine } from '../lines/types.ts'
import { stirIn } from './base.ts'
import { coolingMinutes, ROOM_C } from './cooling.ts'
import { COLD_BATH, isStrongAcid, preserves, staysPowder, wantsGlycol } from './facts.ts'
import { labelsOf, round5 } from './step-builder.ts'
import { isThick, isWatery, whips, type Making } from './making.ts'
import { dissolveIn, spoonUp, sprinkled, undissolved } from './dissolve.ts'
import { prepare } from './prepare.ts'
import { COOL, type Part } from './route.ts'

/** A jelly is left alone until it has set, then beaten to a cream. */
export function beat({ a, m, choices }: Making, base: Part) {
  const from = m.celsius(base.letter)
  if (choices.body !== 'beat' || a.emulsion === null || from === null) return
  m.with(base.letter, {
    key: 'set',
    kind: 'rest',
    said: { code: 'set' },
    hands: 1,
    wait: round5(coolingMinutes(from, ROOM_C + 3, a.amounts.batchGrams, false) ?? 60),
    celsius: null,
    equipment: ['lid'],
  })
  m.with(base.letter, {
    key: 'beat',
    kind: 'whip',
    said: { code: 'whisk' },
    hands: 4,
    celsius: null,
    equipment: ['whisk'],
  })
}

/** Weighs and dissolves a late part; what waits for the pH stands in a vessel of its own. */
function prepareLate(
  making: Making,
  p: Part,
  into: readonly Part[],
  split: { own: readonly AssessedLine[]; waits: readonly AssessedLine[] } | null,
) {
  const kept = split ? { lines: split.own, waits: false } : undefined
  prepare(making, p, p.letter, kept)
  stirIn(making, p, into)
  dissolveIn(making, p, p.letter, kept)
  if (!split) return
  const [name, later] = [making.m.free(p.letter), { lines: split.waits, waits: true }]
  prepare(making, p, name, later)
  dissolveIn(making, p, name, later)
}

/** Adds a late part to the batch; an acid premix in a thin stream, dry powders with a spoon of the batch where it is thick. */
function addTo(making: Making, p: Part, base: Part, own: readonly AssessedLine[]) {
  const { a, m } = making
  const acid = p.role === 'premix'
  const dry = undissolved(making, p.letter)
  const spoon = dry.length > 0 && isThick(a)
  if (spoon) spoonUp(making, p, dry)
  const asPart = own.length > 4 || acid
  m.pour([p.letter], base.letter, {
    key: `add-${p.id}`,
    kind: 'add',
    said: {
      code: 'add-late',
      phase: asPart ? { letter: p.letter, name: p.name } : null,
      names: labelsOf(own),
      how: spoon
        ? 'spooned'
        : dry.length > 0
          ? 'sprinkled'
          : acid
            ? 'acid'
            : own.length > 1
              ? 'several'
              : 'one',
      sprinkled: spoon ? null : sprinkled(dry, own),
    },
    hands: own.length + 2,
    letter: p.letter,
    celsius: m.celsius(base.letter),
    equipment: ['spatula'],
  })
}

/** Adds what comes late, what stands most heat first. */
export function addLate(making: Making, parts: readonly Part[], base: Part) {
  const { a, m, choices, apart } = making
  const lates = parts
    .filter((p) => p.route.to === 'batch' && p !== base)
    .sort((x, y) => limitOf(y) - limitOf(x))
  const separate = choices.ending === 'adjust-first' && isWatery(a)
  for (const p of lates) {
    const into = parts.filter((x) => x.route.to === 'part' && x.route.into === p.id)
    into.forEach((x) => makeSmall(making, parts, x))
    // What is added after the pH was set stands in a vessel of its own.
    const open = p.lines.filter((l) => !apart.has(l))
    const waits = separate ? waiting(p, open) : []
    const own = open.filter((l) => !waits.includes(l))
    const split = waits.length > 0 && own.length > 0
    prepareLate(making, p, into, split ? { own, waits } : null)
    const folds = own.length > 0 && into.length === 0 && own.every((l) => staysPowder(l.material))
    if (folds && whips(a, choices)) {
      making.folded.push(p)
      continue
    }
    const limit = limitOf(p)
    if (m.holds(p.letter).length > 0 || split) coolTo(making, base, limit, `cool-${p.id}`)
    if (own.length === 0 || m.holds(p.letter).length === 0) continue
    const warm = m.celsius(p.letter)
    if (warm !== null && warm > limit) coolPart(making, p, limit)
    addTo(making, p, base, own)
  }
  addAhead(making, base)
  dripDyes(making, base)
}

function addAhead(making: Making, base: Part) {
  const { m } = making
  const swollen = m.others(base.letter).filter((v) => making.stocks.has(v))
  if (swollen.length > 0) {
    coolTo(making, base, COOL, 'cool-ahead')
    m.pour(swollen, base.letter, {
      key: 'add-ahead',
      kind: 'add',
      said: { code: 'add-ahead' },
      hands: 3,
      celsius: m.celsius(base.letter),
      equipment: ['stirrer'],
    })
  }
}

function dripDyes({ m, dyes }: Making, base: Part) {
  const solutions = m.others(base.letter).filter((v) => dyes.has(v))
  if (solutions.length === 0) return
  m.pour(solutions, base.letter, {
    key: 'add-dyes',
    kind: 'add',
    said: { code: 'add-dyes' },
    hands: 4,
    celsius: m.celsius(base.letter),
    equipment: ['pipette', 'spatula'],
  })
}

/** What of a part waits for the pH: what preserves, or the whole premix that it was laid out in. */
function waiting(p: Part, open: readonly AssessedLine[]) {
  const kept = open.filter(preserves)
  if (p.role !== 'premix' || kept.length === 0) return kept
  return open.some((l) => isStrongAcid(l) || wantsGlycol(l.material)) ? [] : open
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
  Math.min(
    p.belowC ?? COOL,
    ...p.lines.flatMap((l) => (l.material?.heatMaxC === undefined ? [] : [l.material.heatMaxC])),
  )

export function coolTo({ a, m, choices }: Making, base: Part, limit: number, key: string) {
  const at = m.celsius(base.letter)
  if (at === null || at <= limit) return
  const bath = choices.cooling === 'bath'
  const minutes = coolingMinutes(at, Math.max(limit, ROOM_C + 3), a.amounts.batchGrams, bath)
  if (minutes === null || !Number.isFinite(minutes)) return
  m.with(base.letter, {
    key,
    kind: 'cool',
    said: { code: 'cool', celsius: limit, bath },
    hands: Math.min(10, Math.ceil(minutes / 10)),
    wait: round5(minutes),
    celsius: limit,
    equipment: ['thermometer', ...(bath ? ([COLD_BATH] as const) : [])],
  })
}

function coolPart({ m }: Making, p: Part, limit: number) {
  const minutes = coolingMinutes(m.celsius(p.letter)!, Math.max(limit, ROOM_C + 3), p.grams, false)
  m.with(p.letter, {
    key: `cool-part-${p.id}`,
    kind: 'cool',
    said: { code: 'cool-part', phase: p.letter, celsius: limit },
    hands: 1,
    wait: round5(Number.isFinite(minutes ?? Infinity) ? minutes! : 20),
    celsius: limit,
    letter: p.letter,
    equipment: ['thermometer'],
  })
}
