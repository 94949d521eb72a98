import { gradeAnswer, openQuestion } from '../materials/grades.ts'
import { finding, type Rule } from './types.ts'

/** material.which-grade: a name that covers different things, and nothing that tells which. */
export const whichGrade: Rule = (a) =>
  a.lines.flatMap((line, index) => {
    const question = line.percent > 0 ? openQuestion(line.source, line.material) : null
    if (!question || question.quiet) return []
    return [
      finding(a, {
        code: 'material.which-grade',
        severity: 'note',
        indexes: [index],
        facts: {
          name: question.name,
          question: question.question,
          assumed: question.assumed,
          options: question.options.map(({ label, difference }) => ({ label, difference })),
        },
        remedies: question.options.map((option) => ({
          code: 'choose-grade',
          facts: { label: option.label },
          edit: { type: 'patch-line', at: line, patch: gradeAnswer(option, line.source.material) },
        })),
      }),
    ]
  })
