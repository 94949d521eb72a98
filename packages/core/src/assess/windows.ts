import { WRITTEN } from '../formula/written.ts'
import type { AssessedLine } from '../lines/types.ts'
import type { Product } from '../shapes/formula.ts'
import { soapOf } from '../emulsion/emulsion.ts'
import { tolerablePh, type Bears } from '../ph/skin.ts'
import type { PhGrade } from '../shapes/material.ts'
import type { Preservation } from '../preservation/preservation.ts'

export interface WindowItem {
  id: string
  label: string
  /** `skin` is a reference band that never narrows anything. */
  grade: PhGrade | 'skin'
  min: number
  max: number
  /** Outside it something is lost slowly: never more than a check. */
  soft?: boolean
  /** An acid that works as well or better below its usual range: only its upper end narrows what can be. */
  worksBelow?: boolean
  /** What happens outside. */
  why?: string
  materials: string[]
  lines: number[]
}

export interface PhRange {
  min: number
  max: number
}

export interface PhWindows {
  items: WindowItem[]
  /** Where everything that works or holds agrees; null when nothing asks or nothing agrees. */
  shared: { min: number; max: number } | null
  /** What skin, scalp or the eye area bears of this use. */
  site: Bears
  /**
   * Where everything that works or holds agrees and the site bears it: what may be proposed as a target, at least
   * `LEAST_WIDTH` wide; null where nothing asks or nothing fits.
   */
  fits: { min: number; max: number } | null
  /** Pairs whose windows do not meet, the widest gap first. */
  clashes: { a: WindowItem; b: WindowItem; gap: number }[]
}

/** Comfortable pH of what stays on (common practice); the eye area is gentlest near neutral. */
const SKIN = { min: 4, max: 7 }
/** A soap made in place falls back to fatty acid below. */
const SOAP = { min: 7, max: 9 }
const EYE = { min: 6.5, max: 7.5 }
const HAIR = { min: 3.5, max: 6 }

/** A target narrower than this cannot be met with strips or by drops, pH (common practice). */
export const LEAST_WIDTH = 0.3

/** Where two ranges agree, at least `LEAST_WIDTH` wide; null elsewhere. */
export function meet(x: PhRange, y: PhRange): PhRange | null {
  const [min, max] = [Math.max(x.min, y.min), Math.min(x.max, y.max)]
  return max - min >= LEAST_WIDTH - 1e-9 ? { min, max } : null
}

const lowest = (item: WindowItem) => (item.worksBelow ? 0 : item.min)
const narrows = (item: WindowItem) => item.grade === 'works' || item.grade === 'holds'

type Doses = ReadonlyMap<string, { percent: number; lines: number[] }>

/** Windows of single materials, without preservatives, which count together. */
function materialWindows(lines: readonly AssessedLine[], doses: Doses): WindowItem[] {
  return [...doses].flatMap(([id, dose]): WindowItem[] => {
    const { name, ph, cover } = lines[dose.lines[0]!]!.material!
    if (!ph || cover || (ph.fromPercent !== undefined && dose.percent < ph.fromPercent - 1e-9)) return []
    return [
      {
        id,
        label: name,
        grade: ph.grade,
        min: ph.min,
        max: ph.max,
        ...(ph.soft ? { soft: true } : {}),
        ...(ph.why ? { why: ph.why } : {}),
        materials: [id],
        lines: dose.lines,
      },
    ]
  })
}

function preservationWindow({ window, uses, worksBelow }: Preservation): WindowItem[] {
  if (!window) return []
  const bearing = uses.filter((use) => use.cover.role === 'broad' || use.cover.role === 'partner')
  return [
    {
      id: 'preservation',
      label: bearing.length === 1 ? bearing[0]!.material.name : WRITTEN.names.preservatives,
      grade: 'works',
      ...window,
      ...(worksBelow ? { worksBelow: true } : {}),
      materials: bearing.map((use) => use.material.id),
      lines: bearing.flatMap((use) => use.lines),
    },
  ]
}

/** A soap holds an emulsion in its own window, unless an emulsifier for oil in water does. */
function soapWindow(lines: readonly AssessedLine[]): WindowItem[] {
  const soap = soapOf(lines)
  if (soap.percent <= 0) return []
  if (lines.some((l) => l.percent >= 1 && l.material?.emulsifier?.role === 'oil-in-water')) return []
  const materials = soap.lines.map((i) => lines[i]!.id)
  return [{ id: 'soap', label: WRITTEN.names.soap, grade: 'holds', ...SOAP, materials, lines: soap.lines }]
}

const SITES: Partial<Record<Product['site'], [string, PhRange]>> = {
  eye: [WRITTEN.names.eye, EYE],
  hair: [WRITTEN.names.hair, HAIR],
}

/** Comfortable pH of the place that a product is for. */
function siteWindow({ site }: Product): WindowItem {
  const [label, range] = SITES[site] ?? [WRITTEN.names.skin, SKIN]
  return { id: 'skin', label, grade: 'skin', ...range, materials: [], lines: [] }
}

/**
 * pH windows of the materials and where they agree. Graded: what *works* only inside (actives, preservatives taken
 * together), what *holds* its body inside (emulsifiers, thickeners), and what only *prefers* a range, which never
 * narrows the shared window.
 */
export function phWindows(input: {
  lines: readonly AssessedLine[]
  doses: Doses
  preservation: Preservation
  product: Product
}): PhWindows {
  const { lines, doses, preservation, product } = input
  const items = [...materialWindows(lines, doses), ...preservationWindow(preservation), ...soapWindow(lines)]
  const bounded = items.filter(narrows)
  const fixed = bounded.filter((item) => !item.worksBelow)
  const min = Math.max(...(fixed.length > 0 ? fixed : bounded).map((item) => item.min))
  const max = Math.min(...bounded.map((item) => item.max))
  const clashes = bounded
    .flatMap((a, i) =>
      bounded
        .slice(i + 1)
        .map((b) => ({ a, b, gap: Math.max(lowest(a), lowest(b)) - Math.min(a.max, b.max) })),
    )
    .filter(({ gap }) => gap > 1e-9)
    .sort((x, y) => y.gap - x.gap)
  items.push(siteWindow(product))
  const shared = bounded.length > 0 && min <= max + 1e-9 ? { min, max } : null
  const site = tolerablePh(product)
  return { items, shared, site, fits: shared && meet(shared, site), clashes }
}
