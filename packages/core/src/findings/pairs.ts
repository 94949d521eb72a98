import type { Assessment } from '../assess/types.ts'
import type { Substance } from '../lines/types.ts'
import { materialOfSubstance } from '../assess/carriers.ts'
import { groupsOf, PAIRS, type PairSide } from '../materials/pairs.ts'
import { finding, type Rule } from './types.ts'

/** Below this a trace reacts with nothing that anyone sees, percent. */
const REACTS_FROM = 0.005

/** Substances by the groups that they react as, in one pass. */
function reacting(a: Assessment): Map<string, Substance[]> {
  const groups = new Map<string, Substance[]>()
  for (const s of a.substances.values()) {
    if (s.percent <= REACTS_FROM) continue
    for (const group of groupsOf(s.key, materialOfSubstance(a, s.key))) {
      const held = groups.get(group)
      if (held) held.push(s)
      else groups.set(group, [s])
    }
  }
  return groups
}

/** stability.incompatible: pairs of groups that do something to each other in the jar, told in data. */
export const pairs: Rule = (a) => {
  const groups = reacting(a)
  const found = (side: PairSide) => groups.get(side.group)
  return PAIRS.flatMap((pair) => {
    const left = found(pair.a)
    const right = found(pair.b)
    if (!left || !right) return []
    const indexes = [...new Set([...left, ...right].flatMap((s) => s.lines))]
    return [
      finding(a, {
        code: 'stability.incompatible',
        severity: pair.severity,
        indexes,
        facts: {
          left: left.map((s) => s.inci),
          right: right.map((s) => s.inci),
          what: pair.what,
          why: pair.why,
        },
        ...(pair.source ? { source: { cite: 'data', source: pair.source } } : {}),
      }),
    ]
  })
}
