import { shorten } from '../text/format.ts'
import { finding, type Rule } from './types.ts'

const aOf = (kind: string) => `${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind.replaceAll('-', ' ')}`

/** material.unknown: a name that is in no catalogue and carries no facts of its own. */
export const material: Rule = (a) =>
  a.lines.flatMap((line, index) =>
    line.material
      ? []
      : [
          finding(a, {
            code: 'material.unknown',
            severity: 'check',
            indexes: [index],
            message: `“${shorten(line.label)}” is not in the catalogue.`,
            why: `${line.guess ? `By its name ${aOf(line.guess.kind)}; nothing else about it can be checked.` : 'Nothing about it can be checked.'} Choose a material, or describe it as one of your own.`,
            source: 'catalogue',
          }),
        ],
  )
