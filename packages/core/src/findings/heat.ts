import { linesWhere } from '../assess/lines.ts'
import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { isEmulsifier, isOil } from '../emulsion/emulsion.ts'
import type { Edit } from '../formula/edit.ts'
import type { Material } from '../shapes/material.ts'
import { couldStayCold, staysCold } from '../procedure/facts.ts'
import type { Source } from './facts.ts'
import { finding, type Finding, type Remedy, type Rule } from './types.ts'

/** Moves lines of one phase to the first of a role. */
function moveTo(
  a: Assessment,
  lines: readonly AssessedLine[],
  role: 'cool-down' | 'oil' | 'water',
): Remedy[] {
  const phase = a.formula.phases.findIndex((p) => p.role === role)
  if (phase < 0 || lines.some((l) => l.phase === phase)) return []
  const target = a.formula.phases[phase]!
  // the last first, so that those before it stay where they are
  const edits = [...lines]
    .sort((x, y) => y.line - x.line)
    .map((from): Edit => ({ type: 'move-line', from, to: { phase, line: target.lines.length } }))
  return [
    {
      code: 'move-to',
      facts: { several: edits.length > 1, phase: target.name || null, role },
      edit: edits.length === 1 ? edits[0]! : { type: 'sequence', edits },
    },
  ]
}

/** So little above what it stands costs little, °C; hydrosols and juices lose scent, not their use (common practice). */
const A_LITTLE = 5
const SCENTED = new Set(['hydrosol', 'aloe'])

/** A share of the water stays cold, with what is delicate in it. */
function keepCold(a: Assessment, lines: readonly AssessedLine[]): Remedy[] {
  if (!lines.every((line) => couldStayCold(a, line))) return []
  const { method } = a.formula
  const choices = { ...method?.choices, cooling: 'cold-share' as const }
  return [
    {
      code: 'keep-cold',
      facts: { several: lines.length > 1 },
      edit: { type: 'patch', patch: { method: { ...method, choices } } },
    },
  ]
}

/** Lines that pass, together with those of the same phase. */
const byPhase = (a: Assessment, test: (line: AssessedLine) => boolean): number[][] =>
  a.phases.map((_, p) => linesWhere(a, (l) => l.phase === p && test(l))).filter((found) => found.length > 0)
/** What a material stands, where heat can harm it in its phase at all. */
function stands(a: Assessment, line: AssessedLine): number {
  const m = line.material
  if (!m?.heatMaxC || m.cover || staysCold(a, line)) return Infinity
  // starch and meal swell in hot water, not in hot oil
  return m.kind === 'powder' && line.phaseSource.role === 'oil' ? Infinity : m.heatMaxC
}
const toldBy = (lines: readonly AssessedLine[]): Source => ({
  cite: 'material',
  of: lines.map(({ material: m }) => ({ source: m!.source, confidence: m!.confidence })),
})
const limits = (lines: readonly AssessedLine[]) =>
  lines.map((l) => ({ name: l.label, heatMaxC: l.material!.heatMaxC! }))

/** heat.sensitive-in-hot-phase: materials in a phase hotter than they stand, those of one phase together. */
export const hot: Rule = (a) => {
  const tooHot = (l: AssessedLine) => (l.phaseSource.heatToC ?? -Infinity) > stands(a, l)
  const little = ({ phaseSource, material: m }: AssessedLine) =>
    phaseSource.heatToC! - m!.heatMaxC! <= A_LITTLE || SCENTED.has(m!.kind)
  const heated = (severity: 'check' | 'note') =>
    byPhase(a, (l) => tooHot(l) && little(l) === (severity === 'note')).map((indexes): Finding => {
      const lines = indexes.map((i) => a.lines[i]!)
      return finding(a, {
        code: 'heat.sensitive-in-hot-phase',
        severity,
        indexes,
        facts: {
          case: 'hot',
          phase: lines[0]!.phaseSource.name || null,
          heatToC: lines[0]!.phaseSource.heatToC!,
          materials: limits(lines),
        },
        source: toldBy(lines),
        remedies: [...moveTo(a, lines, 'cool-down'), ...keepCold(a, lines)],
      })
    })
  const late = byPhase(a, (l) => !tooHot(l) && (l.phaseSource.belowC ?? -Infinity) > stands(a, l) + 2)
  const warm = late.map((indexes): Finding => {
    const lines = indexes.map((i) => a.lines[i]!)
    const least = Math.min(...lines.map((l) => l.material!.heatMaxC!))
    return finding(a, {
      code: 'heat.sensitive-in-hot-phase',
      severity: 'note',
      indexes,
      facts: { case: 'warm', belowC: lines[0]!.phaseSource.belowC!, materials: limits(lines) },
      source: toldBy(lines),
      remedies: [
        {
          code: 'add-phase-below',
          facts: { celsius: least },
          edit: { type: 'patch-phase', phase: lines[0]!.phase, patch: { belowC: least } },
        },
      ],
    })
  })
  return [...heated('check'), ...heated('note'), ...warm]
}

const inWater = (m: Material) => m.solubility.includes('water')
const inOil = (m: Material) => m.solubility.includes('oil')
/** Powders and polymers are wetted where it is easiest, often in oil or glycol. */
const wettedAnywhere = (m: Material) =>
  [
    'gum',
    'polymer',
    'clay',
    'powder',
    'colourant',
    'abrasive',
    'film-former',
    'hyaluronate',
    'emulsifier',
    'cationic',
    'solubiliser',
  ].includes(m.kind) ||
  m.solubility.includes('dispersible') ||
  // a liquid mixes in; a powder would lie in the oil as grit
  (m.form !== 'powder' && (m.solubility.includes('glycol') || m.solubility.includes('alcohol')))

/** phase.wrong-solubility: an oil in a watery phase with nothing to carry it, or a watery material in an oil phase. */
export const wrongPhase: Rule = (a) =>
  a.lines.flatMap((line, index) => {
    const { material } = line
    if (!material || line.percent <= 0) return []
    // a powder in a product without water stays one, and is meant to
    if (a.waterPercent < 1 && material.form === 'powder') return []
    const role = line.phaseSource.role
    if (role === 'oil' && inWater(material) && !inOil(material) && !wettedAnywhere(material))
      return [wateryInOil(a, line, material, index)]
    const watery = role === 'water' || ((role === 'cool-down' || role === 'adjust') && !a.emulsion)
    return watery && isOily(material) ? oilInWater(a, line, material, index) : []
  })

/** Lives in oil alone, and is neither an emulsifier nor a preservative. */
function isOily(material: Material): boolean {
  if (isEmulsifier(material) || material.cover) return false
  return isOil(material) || (inOil(material) && !inWater(material) && material.solubility[0] === 'oil')
}

export const fromHandbook = ({ source }: Material): Source => ({
  cite: 'material',
  of: [{ source, confidence: null }],
})

const wateryInOil = (a: Assessment, line: AssessedLine, material: Material, index: number): Finding =>
  finding(a, {
    code: 'phase.wrong-solubility',
    severity: 'check',
    indexes: [index],
    facts: { case: 'water-in-oil', name: line.label, phase: line.phaseSource.name || null },
    source: fromHandbook(material),
    remedies: moveTo(a, [line], material.phase === 'cool-down' ? 'cool-down' : 'water'),
  })

/** What can carry an oil in a watery phase: solubilisers and polymeric emulsifiers in it, or anywhere beside a late oil. */
const carriersFor = (a: Assessment, line: AssessedLine) =>
  a.lines.filter(({ percent, phase, material }) => {
    const carries = material?.emulsifier?.role
    if (percent <= 0 || (carries !== 'solubiliser' && carries !== 'polymeric')) return false
    return phase === line.phase || line.phaseSource.role !== 'water'
  })

function oilInWater(a: Assessment, line: AssessedLine, material: Material, index: number): Finding[] {
  const carriers = carriersFor(a, line)
  const solubiliser = carriers
    .filter((c) => c.material?.emulsifier?.role === 'solubiliser')
    .reduce((s, c) => s + c.percent, 0)
  const polymeric = carriers.some((c) => c.material?.emulsifier?.role === 'polymeric')
  if (polymeric || solubiliser >= line.percent * 2 || a.waterPercent < 5) return []
  return [
    finding(a, {
      code: 'phase.wrong-solubility',
      severity: 'check',
      indexes: [index],
      facts: {
        case: 'oil-in-water',
        name: line.label,
        percent: line.percent,
        solubiliserPercent: solubiliser,
      },
      source: fromHandbook(material),
      remedies: moveTo(a, [line], 'oil'),
    }),
  ]
}

/** process.order: something that must melt stands in a phase that is never hot. */
export const mustMelt: Rule = (a) =>
  a.lines.flatMap((line, index) => {
    const melts = line.material?.meltsC
    const { belowC, role, heatToC } = line.phaseSource
    if (melts === undefined || line.percent <= 0) return []
    const cold = role === 'cool-down' && belowC !== undefined && melts > belowC + 5 && heatToC === undefined
    const tooCool = heatToC !== undefined && heatToC < melts
    if (!cold && !tooCool) return []
    return [
      finding(a, {
        code: 'process.order',
        severity: 'check',
        indexes: [index],
        facts: {
          case: 'must-melt',
          name: line.label,
          meltsC: melts,
          belowC: cold ? belowC : null,
          heatToC: heatToC ?? null,
        },
        source: 'melting-ranges',
        remedies: cold
          ? moveTo(a, [line], 'oil')
          : [
              {
                code: 'heat-phase',
                facts: { phase: line.phaseSource.name || null, celsius: Math.max(70, melts + 5) },
                edit: { type: 'patch-phase', phase: line.phase, patch: { heatToC: Math.max(70, melts + 5) } },
              },
            ],
      }),
    ]
  })
