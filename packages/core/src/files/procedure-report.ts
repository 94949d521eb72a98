import type { Assessment } from '../assess/types.ts'
import { methodOf } from '../procedure/method.ts'
import { schedule } from '../procedure/schedule.ts'
import { gramsIn } from '../procedure/view.ts'
import { stepText } from '../words/index.ts'

/** What `omblet method` prints: the procedure as plain data, the very one that every screen and print shows. */
export function procedureReport(a: Assessment) {
  const { steps } = methodOf(a, a.formula.method)
  const plan = schedule(steps.filter((s) => !s.later && s.ahead === null))
  return {
    steps: steps.map((s) => ({
      id: s.key,
      kind: s.kind,
      ...stepText(s),
      vessel: s.vessel,
      lines: s.weighs.flatMap((ref) => {
        const grams = gramsIn(a, steps, s, ref)
        const of = a.lines.find((l) => l.phase === ref.phase && l.line === ref.line)
        if (!of || grams <= 0) return []
        return [
          {
            phase: ref.phase,
            line: ref.line,
            name: of.weighedAs,
            strengthPercent: of.strengthPercent,
            grams,
          },
        ]
      }),
      from: s.from,
      into: s.into,
      celsius: s.celsius,
      handsMinutes: s.hands,
      waitMinutes: s.wait,
      after: s.after,
    })),
    handsMinutes: plan.handsMinutes,
    totalMinutes: plan.totalMinutes,
  }
}
