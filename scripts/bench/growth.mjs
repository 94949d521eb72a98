// How reading grows: the time of twice the length over that of the length.
import { catalogue, readRecipe } from '../../packages/core/src/index.ts'
import { say } from './told.mjs'

const HOSTILE = [
  ['short names between commas', (n) => Array.from({ length: n }, (_, i) => `a${i}b`).join(', ')],
  ['unknown names', (n) => Array.from({ length: n }, (_, i) => `Zorbl quax${i} vimtree 3 %`).join('\n')],
  ['q.s. to', (n) => 'q.s. to '.repeat(n)],
  ['brackets', (n) => `${'('.repeat(n * 3)}water 3 %`],
  ['digits', (n) => `${'1'.repeat(n * 3)} %`],
  ['strokes', (n) => `water ${'- '.repeat(n)}3 %`],
]
const timeOf = (text) => {
  const times = [0, 1, 2].map(() => {
    const began = performance.now()
    readRecipe(text, catalogue)
    return performance.now() - began
  })
  return Math.min(...times)
}

export function growth() {
  for (const [what, make] of HOSTILE) {
    const [once, twice] = [timeOf(make(500)), timeOf(make(1000))]
    say(
      `recipe of 1,000 times ${what}`,
      `${twice.toFixed(0)} ms, × ${(twice / Math.max(5, once)).toFixed(1)} of half`,
    )
  }
}
