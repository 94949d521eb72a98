import data from '../../data/grades.json' with { type: 'json' }
import type { Line } from '../shapes/formula.ts'
import type { Material } from '../shapes/material.ts'

export interface GradeOption {
  label: string
  /** What it changes in the product. */
  difference: string
  /** Another material of the catalogue; else a strength, else only a word on the line. */
  material?: string
  strengthPercent?: number
  grade?: string
}

export interface GradeQuestion {
  id: string
  /** Materials that a bare name leads to. */
  materials: readonly string[]
  name: string
  question: string
  /** What is taken for granted until it is answered. */
  assumed: string
  options: readonly GradeOption[]
  /** Asked when the material is chosen, but no finding in a formula from elsewhere: feel rather than figures. */
  quiet?: boolean
}

export const gradeQuestions: readonly GradeQuestion[] = data
const byMaterial = new Map(gradeQuestions.flatMap((q) => q.materials.map((id) => [id, q] as const)))

/** What to ask where one name covers different things; null where the name says it all. */
export const gradeQuestionOf = (material: Material): GradeQuestion | null =>
  material.own ? null : (byMaterial.get(material.id) ?? null)

/** What an answer writes into a line. `material` is the id the line then has. */
export function gradeAnswer(
  option: GradeOption,
  material: string,
): Pick<Line, 'material' | 'strengthPercent' | 'grade'> {
  return {
    material: option.material ?? material,
    ...(option.strengthPercent !== undefined ? { strengthPercent: option.strengthPercent } : {}),
    grade: option.grade ?? option.label,
  }
}

/** The question that a line leaves open; null when it is answered by a grade, a strength or facts of its own. */
export const openQuestion = (line: Line, material: Material | null): GradeQuestion | null =>
  !material || line.custom || line.strengthPercent !== undefined || line.grade !== undefined
    ? null
    : gradeQuestionOf(material)
