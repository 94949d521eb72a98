import { BULLET, MADE, MELTS, UNHEATED } from './patterns.ts'
import type { Recipe, RecipePhase } from './recipe.ts'

/** “Melt”, “in a double boiler”, “heat phases A and B to 70 °C”: heat of the phases that a sentence is about. */
export function warmth(recipe: Recipe, current: number, inMethod: boolean, text: string) {
  if (!MELTS.test(text) || UNHEATED.test(text)) return
  const celsius = /(\d{2,3})\s*(?:°|º|deg(?:rees)?)?\s*C\b/i.exec(text)
  const at = celsius && Number(celsius[1]) >= 50 && Number(celsius[1]) <= 100 ? Number(celsius[1]) : null
  for (const phase of phasesIn(recipe, current, inMethod, text)) {
    if (at !== null) phase.heatToC ??= at
    else phase.melts = true
  }
}

/** Phases that a sentence names by letter or by word; without any, the one it stands in. */
function phasesIn({ phases }: Recipe, current: number, inMethod: boolean, text: string): RecipePhase[] {
  const letters = new Set<string>()
  for (const m of text.matchAll(/\b(?:phases?|parts?)\s+([A-H](?:\s*(?:,|and|&|\+|\/)\s*[A-H]\b)*)/gi))
    for (const l of m[1]!.matchAll(/\b[A-H]\b/gi)) letters.add(l[0].toUpperCase())
  const named = phases.filter((p) => p.heading?.letter && letters.has(p.heading.letter))
  if (named.length > 0) return named
  const of = (...roles: string[]) => phases.filter((p) => p.heading?.role && roles.includes(p.heading.role))
  if (/\bboth phases\b/i.test(text)) return of('water', 'oil')
  const told = phases.filter(
    (p) => p.heading?.role && new RegExp(`\\b${p.heading.role}s?\\b`, 'i').test(text),
  )
  if (told.length > 0) return told
  return inMethod ? of('oil') : [phases[current]!]
}

/** “1 % hyaluronate stock” above a list that is whole without it is what the list makes. */
export function titled(recipe: Recipe): Recipe {
  const first = recipe.lines[0]
  if (recipe.title || first?.kind !== 'ingredient' || !MADE.test(first.text)) return recipe
  const rest = recipe.lines.slice(1).flatMap((l) => (l.kind === 'ingredient' ? [l.ingredient.amount] : []))
  const of = (unit: string) =>
    rest.reduce((s, a) => s + (a?.kind === 'quantity' && a.unit === unit ? (a.min + a.max) / 2 : 0), 0)
  const whole =
    rest.some((a) => a?.kind === 'fill') ||
    Math.abs(of('percent') - 100) < 0.5 ||
    (of('percent') === 0 && of('grams') > 0)
  if (rest.length < 2 || !whole) return recipe
  return {
    ...recipe,
    title: first.text.replace(BULLET, '').slice(0, 200),
    lines: [{ kind: 'title', row: first.row, text: first.text }, ...recipe.lines.slice(1)],
  }
}
