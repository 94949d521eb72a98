import { withGuesses } from '../assess/guesses.ts'
import type { Assessment } from '../assess/types.ts'
import { ahead } from './ahead.ts'
import { makeBase } from './base.ts'
import type { MethodChoices } from '../shapes/method.ts'
import { isWater } from './facts.ts'
import { end, finish } from './finish.ts'
import { addLate, beat } from './late.ts'
import { StepBuilder, WaterStore } from './step-builder.ts'
import type { Making } from './making.ts'
import { routed } from './route.ts'
import { processOptionsOf } from './process-options.ts'
import type { Step } from './steps.ts'

/**
 * The procedure that a formula asks for, in order: vessels, what goes in by weight, what is poured where and at what
 * temperature, from its phases, what is known of its materials, and the maker's choices where there are two schools.
 * Minutes are estimates of common practice. Everything else that tells how a product is made is a view of this.
 */
export function procedureOf(assessment: Assessment, chosen: MethodChoices = {}): Step[] {
  const a = withGuesses(assessment)
  const choices = processOptionsOf(a, chosen)
  const parts = routed(a)
  const res = a.amounts.resolutionGrams
  const m = new StepBuilder(['prepare'])
  m.loose({
    key: 'prepare',
    kind: 'wash',
    said: { code: 'prepare' },
    hands: 10,
    equipment: ['gloves', 'disinfectant', { scaleToGrams: res }],
  })
  const waterLine =
    a.lines.find((l) => l.fill && isWater(l.material)) ??
    a.lines.filter((l) => isWater(l.material)).sort((x, y) => y.grams - x.grams)[0] ??
    null
  const making: Making = {
    a,
    m,
    choices,
    water: new WaterStore(waterLine, res),
    apart: new Set(),
    stocks: new Set(),
    cold: new Set(),
    dyes: new Set(),
    folded: [],
  }
  ahead(making, parts, 'prepare')
  const base = makeBase(making, parts)
  if (base) {
    beat(making, base)
    addLate(making, parts, base)
    finish(making, parts, base)
  }
  end(making, base?.letter ?? '')
  return m.steps
}
