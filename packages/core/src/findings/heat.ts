import type { Assessment, AssessedLine } from '../assess/types.ts'
import { isEmulsifier, isOil } from '../emulsion/emulsion.ts'
import type { Material } from '../materials/schema.ts'
import { couldStayCold, staysCold } from '../procedure/facts.ts'
import { formatCelsius, sayPercent } from '../text/format.ts'
import { finding, type Remedy, type Rule } from './types.ts'

function moveTo(a: Assessment, line: AssessedLine, role: 'cool-down' | 'oil' | 'water'): Remedy[] {
  const phase = a.formula.phases.findIndex((p) => p.role === role)
  if (phase < 0 || phase === line.phase) return []
  const target = a.formula.phases[phase]!
  return [
    {
      label: `Move to ${target.name || role}`,
      edit: { type: 'move-line', from: line, to: { phase, line: target.lines.length } },
    },
  ]
}

/** So little above what it stands costs little, °C; hydrosols and juices lose scent, not their use (common practice). */
const A_LITTLE = 5
const SCENTED = new Set(['hydrosol', 'aloe'])

/** A share of the water stays cold, with what is delicate in it. */
function keepCold(a: Assessment, line: AssessedLine): Remedy[] {
  if (!couldStayCold(a, line)) return []
  const { method } = a.formula
  const choices = { ...method?.choices, cooling: 'cold-share' as const }
  return [
    {
      label: 'Keep it in a cold share of the water',
      edit: { type: 'patch', patch: { method: { ...method, choices } } },
    },
  ]
}

/** heat.sensitive-in-hot-phase: a material in a phase hotter than it stands. */
export const hot: Rule = (a) =>
  a.lines.flatMap((line, index) => {
    const { material } = line
    if (!material?.heatMaxC || material.cover || staysCold(a, line)) return []
    // starch and meal swell in hot water, not in hot oil
    if (material.kind === 'powder' && line.phaseSource.role === 'oil') return []
    const { heatToC, belowC } = line.phaseSource
    if (heatToC !== undefined && heatToC > material.heatMaxC) {
      return [
        finding(a, {
          code: 'heat.sensitive-in-hot-phase',
          severity: heatToC - material.heatMaxC <= A_LITTLE || SCENTED.has(material.kind) ? 'note' : 'check',
          indexes: [index],
          message: `${line.label} stands ${formatCelsius(material.heatMaxC)}; its phase is heated to ${formatCelsius(heatToC)}.`,
          why: 'It loses strength, scent or its structure. Add it when the batch has cooled.',
          source: `${material.source}, from memory (${material.confidence} confidence)`,
          remedies: [...moveTo(a, line, 'cool-down'), ...keepCold(a, line)],
        }),
      ]
    }
    if (belowC !== undefined && belowC > material.heatMaxC + 2) {
      return [
        finding(a, {
          code: 'heat.sensitive-in-hot-phase',
          severity: 'note',
          indexes: [index],
          message: `${line.label} wants ${formatCelsius(material.heatMaxC)} or less; the phase goes in below ${formatCelsius(belowC)}.`,
          why: 'Let it cool a little further for this one.',
          source: `${material.source}, from memory (${material.confidence} confidence)`,
          remedies: [
            {
              label: `Add the phase below ${formatCelsius(material.heatMaxC)}`,
              edit: { type: 'patch-phase', phase: line.phase, patch: { belowC: material.heatMaxC } },
            },
          ],
        }),
      ]
    }
    return []
  })

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
    const role = line.phaseSource.role
    const solubility = `${material.source}, from memory`
    // a powder in a product without water stays one, and is meant to
    if (a.waterPercent < 1 && material.form === 'powder') return []
    if (role === 'oil' && inWater(material) && !inOil(material) && !wettedAnywhere(material)) {
      return [
        finding(a, {
          code: 'phase.wrong-solubility',
          severity: 'check',
          indexes: [index],
          message: `${line.label} dissolves in water, and it stands in ${line.phaseSource.name || 'the oil phase'}.`,
          why: 'It would lie at the bottom of the oil as drops or crystals.',
          source: solubility,
          remedies: moveTo(a, line, material.phase === 'cool-down' ? 'cool-down' : 'water'),
        }),
      ]
    }
    const oily =
      isOil(material) || (inOil(material) && !inWater(material) && material.solubility[0] === 'oil')
    if (!oily || isEmulsifier(material) || material.cover) return []
    if (role === 'water' || ((role === 'cool-down' || role === 'adjust') && !a.emulsion)) {
      const carriers = a.lines.filter((other) => {
        const e = other.material?.emulsifier
        return (
          other.percent > 0 &&
          e &&
          (other.phase === line.phase || role !== 'water') &&
          (e.role === 'solubiliser' || e.role === 'polymeric')
        )
      })
      const solubiliser = carriers
        .filter((c) => c.material?.emulsifier?.role === 'solubiliser')
        .reduce((s, c) => s + c.percent, 0)
      const carried =
        carriers.some((c) => c.material?.emulsifier?.role === 'polymeric') || solubiliser >= line.percent * 2
      if (carried || a.waterPercent < 5) return []
      return [
        finding(a, {
          code: 'phase.wrong-solubility',
          severity: 'check',
          indexes: [index],
          message: `${line.label} does not dissolve in water, and nothing in its phase carries it.`,
          why:
            solubiliser > 0
              ? `${sayPercent(solubiliser)} solubiliser is little for ${sayPercent(line.percent)}: 3 to 8 parts for one of oil are usual.`
              : 'It would float. Put it in the oil phase, or mix it with a solubiliser first.',
          source: solubility,
          remedies: moveTo(a, line, 'oil'),
        }),
      ]
    }
    return []
  })

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
        message: `${line.label} melts at about ${formatCelsius(melts)}; its phase ${cold ? `goes in below ${formatCelsius(belowC!)}` : `is heated to ${formatCelsius(heatToC!)}`}.`,
        why: 'It would stay in grains. Melt it fully with the oils.',
        source: 'handbook melting range, from memory',
        remedies: cold
          ? moveTo(a, line, 'oil')
          : [
              {
                label: `Heat ${line.phaseSource.name || 'the phase'} to ${formatCelsius(Math.max(70, melts + 5))}`,
                edit: { type: 'patch-phase', phase: line.phase, patch: { heatToC: Math.max(70, melts + 5) } },
              },
            ],
      }),
    ]
  })
