import type { Remark } from './said.ts'
import { PHASE_NAMES, WRITTEN } from '../formula/written.ts'
import { isOil } from '../emulsion/emulsion.ts'
import { LIMITS, type Line, type Phase, type Role } from '../shapes/formula.ts'
import { LEAST_HOT } from '../procedure/route.ts'
import { usualRole, type Material } from '../shapes/material.ts'
import { shorten } from '../text/format.ts'
import type { LineAnswer, ReadLine } from './recipe.ts'
import type { Ingredient } from './lines.ts'
import type { Recipe } from './recipe.ts'

export interface Mass {
  unit: 'percent' | 'grams' | 'parts'
  value: number
}

export interface Working {
  line: number
  ingredient: Ingredient
  phase: number
  answer: LineAnswer
  material: Material | null
  mass: Mass | null
  besideGrams: number | null
  fill: boolean
  strength: number | null
  remarks: Remark[]
}

const ORDER: Role[] = ['premix', 'water', 'oil', 'cool-down', 'adjust', 'other']
const ROLE_NAME: Record<Role, string> = {
  premix: PHASE_NAMES.premix,
  water: PHASE_NAMES.water,
  oil: PHASE_NAMES.oil,
  'cool-down': PHASE_NAMES['cool-down'],
  adjust: PHASE_NAMES.adjust,
  other: PHASE_NAMES.other,
}

function lineOf(w: Working, read: ReadLine): Line {
  const words = shorten(w.ingredient.name, LIMITS.material)
  const said =
    w.answer.material && w.answer.material !== words
      ? WRITTEN.notes['in-the-recipe'].replace('{words}', words)
      : ''
  const note = [
    said,
    w.ingredient.note,
    ...(w.ingredient.amount?.kind === 'as-needed' && !read.fill ? [WRITTEN.notes['as-needed']] : []),
  ]
    .filter((text, i, all) => text && all.indexOf(text) === i)
    .join('; ')
  return {
    // a blend of unknown shares is known by its words
    material: w.material && !(w.material.unknownShares && !w.material.own) ? w.material.id : words,
    ...(read.fill ? { fill: true } : read.percent !== null ? { percent: read.percent } : {}),
    ...(!read.fill && w.besideGrams !== null && read.percent !== null && w.answer.percent === undefined
      ? { grams: Number(w.besideGrams.toFixed(6)) }
      : {}),
    ...(w.strength !== null && w.strength > 0 && w.strength <= 100 ? { strengthPercent: w.strength } : {}),
    ...(note ? { note: shorten(note, LIMITS.note) } : {}),
  }
}

/** What a line is, or is guessed to be: enough to tell where a phase belongs. */
const likely = (w: Working) => w.material ?? w.ingredient.match?.material ?? null

/** The role of a phase that does not tell: of most of what is in it. */
function roleOf(list: readonly { material: Material | null; percent: number | null; fill: boolean }[]): Role {
  const sums = new Map<Role, number>()
  for (const { material, percent, fill } of list) {
    if (!material) continue
    const role = usualRole(material)
    sums.set(role, (sums.get(role) ?? 0) + (fill ? 50 : (percent ?? 0.1)))
  }
  return [...sums].sort((x, y) => y[1] - x[1])[0]?.[0] ?? 'other'
}

export function phasesOf(
  recipe: Recipe,
  work: readonly Working[],
  lines: readonly ReadLine[],
  remarks: Remark[],
): Phase[] {
  const entries = work.flatMap((w, i) => (lines[i]!.leftOut ? [] : [{ w, read: lines[i]! }]))
  const named = recipe.phases.some((p) => p.heading) && entries.some((e) => recipe.phases[e.w.phase]!.heading)
  if (!named) {
    const emulsion = entries.some((e) => e.w.material && isOil(e.w.material))
    if (!emulsion)
      return [
        {
          name: PHASE_NAMES.all,
          role: roleOf(entries.map((e) => ({ ...e.read, material: likely(e.w) }))),
          lines: entries.map((e) => lineOf(e.w, e.read)),
        },
      ]
    remarks.push({ code: 'no-phases' })
    const roles = entries.map((e): Role => (e.w.material ? usualRole(e.w.material) : 'water'))
    return ORDER.flatMap((role): Phase[] => {
      const own = entries.filter((_, i) => roles[i] === role)
      return own.length > 0
        ? [{ name: ROLE_NAME[role], role, lines: own.map((e) => lineOf(e.w, e.read)) }]
        : []
    })
  }
  return recipe.phases.flatMap((p, index): Phase[] => {
    const own = entries.filter((e) => e.w.phase === index)
    if (own.length === 0) return []
    const role = p.heading?.role ?? roleOf(own.map((e) => ({ ...e.read, material: likely(e.w) })))
    const name = p.heading?.name ?? PHASE_NAMES.before
    return [
      {
        name: name.slice(0, LIMITS.name),
        role,
        ...(heatOf(p, role) ? { heatToC: heatOf(p, role)! } : {}),
        ...(p.heading?.belowC ? { belowC: p.heading.belowC } : {}),
        lines: own.map((e) => lineOf(e.w, e.read)),
      },
    ]
  })
}

/** “Melt” and “in a double boiler” mean the least heat of the method. */
const heatOf = (p: Recipe['phases'][number], role: Role): number | null =>
  p.heading?.heatToC ?? p.heatToC ?? (p.melts && role !== 'cool-down' ? LEAST_HOT : null)

export function addWater(phases: Phase[]) {
  const water = phases.find((p) => p.role === 'water') ?? phases[0]
  const line: Line = { material: 'aqua', fill: true }
  if (water) water.lines = [line, ...water.lines]
  else phases.push({ name: PHASE_NAMES.water, role: 'water', lines: [line] })
}
