import { slug } from '../text/names.ts'
import type { Formula, Line, Phase } from '../shapes/formula.ts'

const MOST = 60

/** A, B … Z, then AA: the letter that stands for a phase. */
export const phaseLetter = (index: number): string =>
  index < 26
    ? String.fromCharCode(65 + index)
    : `${phaseLetter(Math.floor(index / 26) - 1)}${phaseLetter(index % 26)}`

/** The first of `name`, `name-2`, `name-3` … that is not taken; it is taken then. */
function claim(taken: Set<string>, name: string, shunned: (key: string) => boolean): string {
  let key = name
  for (let n = 2; taken.has(key) || shunned(key); n++) key = `${name}-${n}`
  taken.add(key)
  return key
}

/**
 * A formula whose phases and lines all have a key of their own, by which a method, a file and a copy know them for good.
 * A key that is there stays; the second of two equal ones and what has none gets one from its role and letter or its
 * material. With `fresh`, something new does not get a key that the method still speaks of, so that what was said of a
 * phase that is gone is never said of another. The same formula is given back where nothing is to be done.
 */
export function withKeys(formula: Formula, fresh = false): Formula {
  const said = fresh && formula.method ? JSON.stringify(formula.method) : ''
  const shunned = (key: string) => said !== '' && said.includes(key)
  const first = <T extends { id?: string | undefined }>(items: readonly T[]) => {
    const seen = new Set<string>()
    return { seen, keeps: items.map(({ id }) => !!id && !seen.has(id) && !!seen.add(id)) }
  }
  const phases = first(formula.phases)
  const allLines = formula.phases.flatMap((p) => p.lines)
  const lines = first(allLines)
  if (phases.keeps.every(Boolean) && lines.keeps.every(Boolean)) return formula
  let at = 0
  const keyed = (line: Line): Line =>
    lines.keeps[at++]
      ? line
      : { ...line, id: claim(lines.seen, slug(line.material).slice(0, MOST) || 'line', shunned) }
  return {
    ...formula,
    phases: formula.phases.map((phase, i): Phase => {
      const id = phases.keeps[i] ? phase.id : claim(phases.seen, `${phase.role}-${phaseLetter(i)}`, shunned)
      return { ...phase, id, lines: phase.lines.map(keyed) }
    }),
  }
}
