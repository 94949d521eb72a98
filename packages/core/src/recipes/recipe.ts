import type { Said } from '../text/said.ts'
import type { QuestionFacts, Remark } from './said.ts'
import type { Formula, Product } from '../shapes/formula.ts'
import type { Material } from '../shapes/material.ts'
import type { Heading } from './headings.ts'
import type { Ingredient } from './lines.ts'

export type RecipeLine =
  | { kind: 'ingredient'; row: number; text: string; phase: number; ingredient: Ingredient }
  | { kind: 'heading' | 'title' | 'batch' | 'ph' | 'total' | 'note' | 'unread'; row: number; text: string }

export interface RecipePhase {
  heading: Heading | null
  /** Told in the words round it: a temperature, or that it is melted. */
  heatToC?: number
  melts?: boolean
}

/** A recipe as it was understood: every line that is not blank, in order, and nothing left out. */
export interface Recipe {
  title: string | null
  batchGrams: number | null
  targetPh: { min: number; max: number } | null
  /** Unit of numbers without one, where a heading or a column tells it. */
  bareUnit: 'percent' | 'grams' | null
  phases: RecipePhase[]
  lines: RecipeLine[]
}

/** What the maker says to a line, or puts right in it. */
export interface LineAnswer {
  /** Id of a material; the words of the recipe are kept as a note. */
  material?: string
  percent?: number | 'fill'
  leaveOut?: boolean
}

export interface Answers {
  name?: string
  product?: Product
  batchGrams?: number
  /** By the place of the ingredient in `recipe.lines`. */
  lines?: Readonly<Record<number, LineAnswer>>
  /** Whether water takes what is missing to 100. */
  fillWithWater?: boolean
}

/** What is missing before the recipe is a formula. */
export interface Question {
  said: Said<QuestionFacts>
  /** Index into `recipe.lines`; null for what concerns the whole. */
  line: number | null
}

/** One ingredient as it goes into the formula. */
export interface ReadLine {
  /** Index into `recipe.lines`. */
  line: number
  material: Material | null
  percent: number | null
  fill: boolean
  leftOut: boolean
  /** How the amount came about, and what is doubtful. */
  remarks: Remark[]
}

export interface BuiltRecipe {
  formula: Formula
  lines: ReadLine[]
  questions: Question[]
  /** Sum of the percents that are known, the fill line left out. */
  knownPercent: number
  /** What is missing to 100, or over it when negative; null where a fill line takes it. */
  gapPercent: number | null
  /** About the whole. */
  remarks: Remark[]
}
