import { PHASE_NAMES } from '../formula/written.ts'
import { assess } from '../assess/assess.ts'
import type { Assessment } from '../assess/types.ts'
import { relevantFindings } from '../choose/emulsifiers.ts'
import { countFindings } from '../findings/index.ts'
import type { Formula, Line, Phase, Role } from '../shapes/formula.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { HOT_C } from '../formula/templates.ts'
import { usualRole, type Material } from '../shapes/material.ts'
import type { Miss } from './facts.ts'
import { ruledOut, type Brief, type BriefContext, type Choice } from './brief.ts'

/** What is known of a maker's wishes, and what may be used. */
export class Palette {
  readonly allowed: readonly Material[]
  constructor(
    readonly brief: Brief,
    readonly catalogue: Catalogue,
    readonly context: BriefContext,
  ) {
    this.allowed = catalogue.materials.filter((m) => ruledOut(m, brief, context) === null)
  }
  wants = (c: Brief['constraints'][number]) => this.brief.constraints.includes(c)
  find = (ids: readonly string[]) => ids.flatMap((id) => this.allowed.find((m) => m.id === id) ?? [])
  assess = (f: Formula) => assess(f, this.catalogue)
  /** Cheaper first where a low price is wished for and prices are known. */
  cheap = (m: Material) => (this.wants('low-budget') ? (this.context.priceOf(m.id) ?? 0.08) * 20 : 0)
}

/** A formula that is being put together. */
export class BriefDraft {
  readonly lines = new Map<Role, Line[]>()
  readonly choices: Choice[] = []
  readonly misses: Miss[] = []
  targetPh: Formula['targetPh']

  constructor(
    private readonly brief: Brief,
    readonly hot: boolean,
  ) {}

  copy(): BriefDraft {
    const next = new BriefDraft(this.brief, this.hot)
    this.lines.forEach((lines, role) => next.lines.set(role, [...lines]))
    next.choices.push(...this.choices)
    next.misses.push(...this.misses)
    next.targetPh = this.targetPh
    return next
  }

  add(role: Role, material: Material, percent: number): this {
    const lines = this.lines.get(role) ?? []
    this.lines.set(role, [...lines, { material: material.id, percent: Number(percent.toFixed(3)) }])
    return this
  }

  with(role: Role, material: Material, percent: number): BriefDraft {
    return this.copy().add(role, material, percent)
  }

  say(
    part: Choice['part'],
    material: Material,
    percent: number,
    why: Choice['why'],
    alternatives: readonly Material[] = [],
  ) {
    this.choices.push({ part, material, percent, why, alternatives: alternatives.slice(0, 4) })
  }

  has = (id: string) => [...this.lines.values()].some((lines) => lines.some((l) => l.material === id))

  formula(): Formula {
    const names: [Role, string, Partial<Phase>][] = [
      ['premix', PHASE_NAMES['gum-slurry'], {}],
      ['water', PHASE_NAMES.water, this.hot ? { heatToC: HOT_C, holdMinutes: 20 } : {}],
      ['oil', PHASE_NAMES.oil, this.hot ? { heatToC: HOT_C } : {}],
      ['cool-down', this.hot ? PHASE_NAMES['cool-down'] : PHASE_NAMES.last, { belowC: this.hot ? 40 : 30 }],
    ]
    return {
      format: 'omblet-formula',
      formatVersion: 1,
      name: this.brief.name,
      product: this.brief.product,
      batchGrams: this.brief.batchGrams,
      scaleResolutionGrams: 0.01,
      ...(this.targetPh ? { targetPh: this.targetPh } : {}),
      phases: names.flatMap(([role, name, extra]): Phase[] => {
        const own = this.lines.get(role) ?? []
        const lines: Line[] = role === 'water' ? [{ material: 'aqua', fill: true }, ...own] : own
        return lines.length === 0 ? [] : [{ name, role, ...extra, lines }]
      }),
    }
  }
}

const burden = (a: Assessment) => {
  const counts = countFindings(relevantFindings(a))
  return 1000 * counts.stop + 30 * counts.check + 3 * counts.note
}

/** Puts each material in, judges the whole again, and ranks what brings the least trouble. */
export function rankIn(
  palette: Palette,
  draft: BriefDraft,
  materials: readonly Material[],
  place: (m: Material) => { role: Role; percent: number },
  likes: (m: Material) => number = () => 0,
): { material: Material; percent: number; role: Role; burden: number }[] {
  const before = burden(palette.assess(draft.formula()))
  return materials
    .map((material) => {
      const { role, percent } = place(material)
      const after = burden(palette.assess(draft.with(role, material, percent).formula()))
      return {
        material,
        role,
        percent,
        burden: after - before,
        score: after - likes(material) + palette.cheap(material),
      }
    })
    .sort((x, y) => x.score - y.score)
    .map(({ score: _score, ...rest }) => rest)
}

/** Where an active goes: what the heat would spoil comes last. */
export function roleFor(m: Material, hot: boolean): Role {
  if (hot && m.heatMaxC !== undefined && m.heatMaxC < HOT_C) return 'cool-down'
  return usualRole(m)
}

/** Comfortable middle for what has no wish of its own. */
export const USUAL_PH = { min: 5, max: 5.8 }

/** A band of at most 0.8 within what is shared, as near to the skin's own as can be. */
export function targetIn(shared: { min: number; max: number } | null): { min: number; max: number } {
  if (!shared) return USUAL_PH
  const low = Math.max(shared.min, USUAL_PH.min)
  const high = Math.min(shared.max, USUAL_PH.max)
  if (high - low >= 0.3) return { min: round1(low), max: round1(high) }
  const near = shared.max < USUAL_PH.min ? shared.max : Math.max(shared.min, USUAL_PH.min)
  const min = near === shared.max ? Math.max(shared.min, shared.max - 0.8) : near
  return { min: round1(min), max: round1(Math.min(shared.max, min + 0.8)) }
}
export const round1 = (value: number) => Number(value.toFixed(1))
