import type { Catalogue } from '../materials/catalogue.ts'
import type { Ingredient } from './lines.ts'
import type { Confidence } from './match.ts'
import type { Recipe, RecipeLine } from './recipe.ts'

type PackedIngredient = Omit<Ingredient, 'match' | 'others'> & {
  match: { id: string; confidence: Confidence } | null
  others: string[]
}
type PackedLine =
  | Exclude<RecipeLine, { kind: 'ingredient' }>
  | (Omit<Extract<RecipeLine, { kind: 'ingredient' }>, 'ingredient'> & { ingredient: PackedIngredient })
/** A recipe with materials by their ids, as it goes from one thread to another. */
export type PackedRecipe = Omit<Recipe, 'lines'> & { lines: PackedLine[] }

export const packRecipe = (recipe: Recipe): PackedRecipe => ({
  ...recipe,
  lines: recipe.lines.map((line): PackedLine => {
    if (line.kind !== 'ingredient') return line
    const { match, others, ...rest } = line.ingredient
    return {
      ...line,
      ingredient: {
        ...rest,
        match: match && { id: match.material.id, confidence: match.confidence },
        others: others.map((m) => m.id),
      },
    }
  }),
})

/** The recipe again, with the materials of this catalogue; one that is gone since counts as not known. */
export const unpackRecipe = (packed: PackedRecipe, catalogue: Catalogue): Recipe => ({
  ...packed,
  lines: packed.lines.map((line): RecipeLine => {
    if (line.kind !== 'ingredient') return line
    const { match, others, ...rest } = line.ingredient
    const material = match && catalogue.find(match.id)
    return {
      ...line,
      ingredient: {
        ...rest,
        match: material ? { material, confidence: match.confidence } : null,
        others: others.flatMap((id) => catalogue.find(id) ?? []),
      },
    }
  }),
})
