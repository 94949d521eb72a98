import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { findAll } from '../findings/index.ts'
import { capOf, type CapMark } from '../findings/legal.ts'
import type { Finding } from '../findings/types.ts'
import { inciList } from '../label/ingredients.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { methodOf, type Method } from '../procedure/method.ts'
import { routed, type Part } from '../procedure/route.ts'
import type { Formula } from '../shapes/formula.ts'

/** What screens ask of one formula, each worked out when it is first asked for and then kept. */
export class Derived {
  readonly assessment: Assessment
  constructor(formula: Formula, catalogue: Catalogue) {
    this.assessment = assess(formula, catalogue)
  }
  /** What was found, the most urgent first. */
  get findings(): readonly Finding[] {
    return this.once('findings', () => findAll(this.assessment))
  }
  /** How it is made, with what its maker changed. */
  get method(): Method {
    return this.once('method', () => methodOf(this.assessment, this.assessment.formula.method))
  }
  /** Where each phase goes. */
  get parts(): readonly Part[] {
    return this.once('parts', () => routed(this.assessment))
  }
  /** Legal cap of each line, null where there is none. */
  get caps(): readonly (CapMark | null)[] {
    return this.once('caps', () => this.assessment.lines.map((_, i) => capOf(this.assessment, i)))
  }
  /** Ingredients as a label names them. */
  get inci(): string {
    return this.once('inci', () => inciList(this.assessment).join(', '))
  }

  private readonly made = new Map<string, unknown>()
  private once<T>(name: string, make: () => T): T {
    if (!this.made.has(name)) this.made.set(name, make())
    return this.made.get(name) as T
  }
}

/** So many are kept: what is open, what it is compared with, and what was left a moment ago. */
const KEPT = 8
let kept: { formula: Formula; catalogue: Catalogue; derived: Derived }[] = []

/** What follows from a formula: the same value for the same formula and catalogue, whichever screen asks. */
export function derivedOf(formula: Formula, catalogue: Catalogue): Derived {
  const known = kept.find((k) => k.formula === formula && k.catalogue === catalogue)
  if (known) return known.derived
  const derived = new Derived(formula, catalogue)
  kept = [{ formula, catalogue, derived }, ...kept].slice(0, KEPT)
  return derived
}
