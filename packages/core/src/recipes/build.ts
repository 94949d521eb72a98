import type { Catalogue } from '../materials/catalogue.ts'
import type { Formula } from '../shapes/formula.ts'
import { LIMITS } from '../shapes/formula.ts'
import { shorten } from '../text/format.ts'
import { WRITTEN } from '../formula/written.ts'
import type { Remark } from './said.ts'
import type { Answers, BuiltRecipe, Question, ReadLine } from './recipe.ts'
import { addWater, phasesOf, type Working } from './arrange.ts'
import type { Recipe } from './recipe.ts'
import { bareUnitOf, massOf, tidy, isWater, batchFromPairs, hasStrength } from './masses.ts'

/**
 * Turns a recipe that was read into a formula, with the maker's answers: volumes by density, grams and parts to
 * percents, the rest to the fill line. Says what is still missing; asks for nothing else. Lines that could not be
 * read stay in the formula's note.
 */
export function buildRecipe(recipe: Recipe, answers: Answers, catalogue: Catalogue): BuiltRecipe {
  const remarks: Remark[] = []
  const work = workOf(recipe, answers, catalogue, remarks)
  const kept = work.filter((w) => !w.answer.leaveOut)
  settleFill(kept)

  const { batchGrams, batchKnown } = batchOf(recipe, answers, kept, remarks)
  const partsSum = kept.reduce((s, w) => s + (w.mass?.unit === 'parts' ? w.mass.value : 0), 0)
  const partsOnly = partsSum > 0 && kept.every((w) => !w.mass || w.mass.unit === 'parts')
  if (partsOnly) remarks.push({ code: 'parts', sum: partsSum })
  const percentOf = (w: Working): number | null => {
    if (typeof w.answer.percent === 'number') return w.answer.percent
    if (!w.mass) return null
    if (w.mass.unit === 'percent') return tidy(w.mass.value)
    if (w.mass.unit === 'grams') return tidy((w.mass.value / batchGrams) * 100)
    return partsOnly ? tidy((w.mass.value / partsSum) * 100) : null
  }
  judgePairs(kept, batchGrams)

  const lines = work.map((w): ReadLine => {
    const leftOut = w.answer.leaveOut === true
    const fill = !leftOut && (w.answer.percent === 'fill' || (w.fill && w.answer.percent === undefined))
    const percent = fill || leftOut ? null : percentOf(w)
    if (w.mass?.unit === 'grams' && !fill && w.answer.percent === undefined && percent !== null && !leftOut)
      w.remarks.push({ code: 'grams-of-batch', grams: w.mass.value, batchGrams, percent })
    return { line: w.line, material: w.material, percent, fill, leftOut, remarks: w.remarks }
  })
  oneFill(lines, work)

  const known = lines.filter((l) => !l.leftOut)
  const knownPercent = tidy(known.reduce((s, l) => s + (l.percent ?? 0), 0))
  const hasFill = known.some((l) => l.fill)
  const gap = hasFill ? null : tidy(100 - knownPercent)
  const phases = phasesOf(recipe, work, lines, remarks)
  if (gap !== null && gap > 0.05 && answers.fillWithWater) addWater(phases)

  const formula: Formula = {
    format: 'omblet-formula',
    formatVersion: 1,
    name: (answers.name ?? recipe.title ?? WRITTEN.recipe).slice(0, LIMITS.name),
    product: answers.product ?? { kind: 'other', site: 'body', rinse: 'leave-on', region: 'other' },
    batchGrams: Number(batchGrams.toPrecision(12)),
    scaleResolutionGrams: 0.01,
    ...(recipe.targetPh ? { targetPh: recipe.targetPh } : {}),
    phases,
    ...noteOf(recipe),
  }
  return {
    formula,
    lines,
    questions: questionsOf({ recipe, work, lines, gap, answers, batchKnown }),
    knownPercent,
    gapPercent: answers.fillWithWater && gap !== null && gap > 0.05 ? null : gap,
    remarks,
  }
}

/** Each ingredient with its material and mass, as far as recipe and answers tell them. */
function workOf(recipe: Recipe, answers: Answers, catalogue: Catalogue, remarks: Remark[]): Working[] {
  const list = recipe.lines.flatMap((l, line) =>
    l.kind === 'ingredient' ? [{ line, ingredient: l.ingredient, phase: l.phase }] : [],
  )
  const bare = bareUnitOf(recipe, list, remarks)
  return list.map(({ line, ingredient, phase }): Working => {
    const answer = answers.lines?.[line] ?? {}
    const material = answer.material
      ? catalogue.find(answer.material)
      : ingredient.match && ingredient.match.confidence !== 'perhaps'
        ? ingredient.match.material
        : null
    const own = [...ingredient.warnings]
    const mass = ingredient.amount ? massOf(ingredient.amount, material, bare, own) : null
    const beside = ingredient.beside ? massOf(ingredient.beside, material, 'grams', []) : null
    return {
      line,
      ingredient,
      phase,
      answer,
      material,
      mass,
      besideGrams: beside?.unit === 'grams' ? beside.value : null,
      fill: ingredient.amount?.kind === 'fill',
      strength: ingredient.strengthPercent,
      remarks: own,
    }
  })
}

/** “Water q.s.” is the fill; so is a water line without an amount when nothing else is. */
function settleFill(kept: readonly Working[]) {
  if (kept.some((w) => w.fill || w.answer.percent === 'fill')) return
  const needed = kept.find((w) => isWater(w.material) && w.ingredient.amount?.kind === 'as-needed')
  const bare = kept.find((w) => w.material?.kind === 'water' && w.ingredient.amount === null)
  const water = needed ?? bare
  if (!water || water.answer.percent !== undefined) return
  water.fill = true
  if (!needed) water.remarks.push({ code: 'water-fills' })
}

/** Only one line can take the rest; others that say so wait for an amount. */
function oneFill(lines: readonly ReadLine[], work: readonly Working[]) {
  const fills = lines.filter((l) => l.fill)
  const chosen =
    fills.find((l) => work.find((w) => w.line === l.line)!.answer.percent === 'fill') ??
    fills.find((l) => isWater(l.material)) ??
    fills[0]
  for (const l of fills) {
    if (l === chosen) continue
    l.fill = false
    l.remarks.push({ code: 'fills-already' })
  }
}

function batchOf(recipe: Recipe, answers: Answers, kept: readonly Working[], remarks: Remark[]) {
  if (answers.batchGrams) return { batchGrams: answers.batchGrams, batchKnown: true }
  if (recipe.batchGrams) return { batchGrams: recipe.batchGrams, batchKnown: true }
  const pairs = batchFromPairs(kept)
  if (pairs) return { batchGrams: pairs, batchKnown: true }
  const size = kept.map((w) => w.ingredient.amount).find((x) => x?.kind === 'fill' && x.ofGrams !== undefined)
  if (size?.kind === 'fill' && size.ofGrams) return { batchGrams: size.ofGrams, batchKnown: true }
  const grams = kept.reduce((s, w) => s + (w.mass?.unit === 'grams' ? w.mass.value : 0), 0)
  const percents = kept.reduce((s, w) => s + (w.mass?.unit === 'percent' ? w.mass.value : 0), 0)
  const fill = kept.some((w) => w.fill || w.answer.percent === 'fill')
  const open = kept.some((w) => !w.mass && !w.fill)
  if (grams === 0) return { batchGrams: 100, batchKnown: true }
  if (percents === 0 && !fill) {
    remarks.push({ code: 'masses', grams, open })
    return { batchGrams: Number(grams.toPrecision(12)), batchKnown: true }
  }
  if (percents > 0 && percents < 100 && !fill) {
    const batch = grams / (1 - percents / 100)
    remarks.push({ code: 'mixed', grams, restPercent: 100 - percents, batchGrams: batch })
    return { batchGrams: Number(batch.toPrecision(12)), batchKnown: true }
  }
  return { batchGrams: Math.max(100, Math.ceil(grams / 100) * 100), batchKnown: false }
}

/** A percent beside grams says the same, or is a strength, or contradicts them. */
function judgePairs(kept: readonly Working[], batchGrams: number) {
  for (const w of kept) {
    if (w.besideGrams === null || w.mass?.unit !== 'percent') continue
    const meant = (w.mass.value * batchGrams) / 100
    if (Math.abs(meant - w.besideGrams) <= Math.max(0.01, meant * 0.02)) {
      w.besideGrams = null
      continue
    }
    if (hasStrength(w.material) && w.strength === null && w.mass.value >= 20) {
      w.remarks.push({ code: 'as-strength', percent: w.mass.value })
      w.strength = w.mass.value
      w.mass = { unit: 'grams', value: w.besideGrams }
      w.besideGrams = null
      continue
    }
    w.remarks.push({ code: 'disagree', percent: w.mass.value, grams: w.besideGrams, batchGrams })
  }
}

/** Notes, and what could not be read, in the words of the recipe. */
function noteOf(recipe: Recipe): { note?: string } {
  const text = recipe.lines
    .filter((l) => l.kind === 'note' || l.kind === 'unread' || l.kind === 'ph')
    .map((l) => l.text)
    .join('\n')
  return text === '' ? {} : { note: text.slice(0, LIMITS.note) }
}

function questionsOf(q: {
  recipe: Recipe
  work: readonly Working[]
  lines: readonly ReadLine[]
  gap: number | null
  answers: Answers
  batchKnown: boolean
}): Question[] {
  const questions: Question[] = []
  if (!q.batchKnown) questions.push({ line: null, said: { code: 'batch' } })
  q.lines.forEach((l, i) => {
    if (l.leftOut) return
    const { name } = q.work[i]!.ingredient
    const called = l.material?.name ?? shorten(name, 60)
    if (!l.material) questions.push({ line: l.line, said: { code: 'material', name: shorten(name, 60) } })
    const told = q.work[i]!.ingredient.amount
    if (
      told?.kind === 'quantity' &&
      told.spoon &&
      q.answers.lines?.[l.line]?.percent === undefined &&
      l.percent !== null
    )
      questions.push({ line: l.line, said: { code: 'spoon', name: called, percent: l.percent } })
    if (l.percent === null && !l.fill)
      questions.push({ line: l.line, said: { code: 'amount', name: called } })
  })
  if (q.gap !== null && Math.abs(q.gap) > 0.05 && !q.answers.fillWithWater)
    questions.push({ line: null, said: { code: 'gap', percent: q.gap } })
  return questions
}
