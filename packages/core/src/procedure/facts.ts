import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { hasTrait, type Material, type MaterialKind } from '../shapes/material.ts'
import { kindHas } from '../shapes/kinds.ts'

const kindIn = (...kinds: MaterialKind[]) => {
  const set = new Set<string>(kinds)
  return (m: Material | null) => m !== null && set.has(m.kind)
}

/** Swells or thickens and lumps where it meets water unprepared. */
export const isGum = (m: Material | null) => m !== null && kindHas(m.kind, 'gum')
export const staysPowder = (m: Material | null): boolean =>
  (m !== null && m.form !== 'liquid' && kindHas(m.kind, 'stays-powder')) ||
  (m?.form === 'powder' &&
    m.solubility[0] === 'dispersible' &&
    !isGum(m) &&
    m.kind !== 'hyaluronate' &&
    m.emulsifier === undefined)
/** Colours by dissolving, so strongly that it goes in as a weighed solution. */
export const isDye = ({ material, isSolution }: AssessedLine) =>
  material?.kind === 'colourant' && material.solubility[0] === 'water' && !isSolution
export const isLiquid = (m: Material | null) => m !== null && m.form !== 'powder'
/** A powder that is to disappear in a liquid. */
export const dissolves = (m: Material | null) =>
  m?.form === 'powder' && !isGum(m) && m.kind !== 'hyaluronate' && !staysPowder(m)
export const lives = (m: Material | null, where: Material['solubility'][number]) =>
  m?.solubility.includes(where) ?? false
/** Belongs to the oils and not to the water. */
export const isOily = (m: Material | null) =>
  m !== null && (m.solubility[0] === 'oil' || m.phase === 'oil') && !lives(m, 'water')
/** Wets a gum without letting it swell. */
export const isWetting = ({ material: m, strengthPercent }: AssessedLine) =>
  m !== null &&
  (m.kind === 'humectant' || m.kind === 'solvent') &&
  isLiquid(m) &&
  (strengthPercent ?? 100) >= 95 &&
  !hasTrait(m, 'flammable')
export const isWater = kindIn('water')
export const preserves = (l: AssessedLine) => l.material?.cover !== undefined

/** Swells for so long that it decides when a product is finished, hours. */
export const SWELLS_HOURS = 2
export const swellsLong = (m: Material | null) => (m?.hydrationHours?.max ?? 0) >= SWELLS_HOURS

/** Lowest melting point that asks for heat: what melts below runs on a warm day. */
const LEAST_MELT = 30
/** What kinds of it commonly melt at, where nothing is known of one, °C (common practice). */
const USUAL_MELT = { wax: 65, 'fatty-alcohol': 52, butter: 36, 'fatty-acid': 60 } as Record<string, number>
/** Where something has to be melted, the temperature at which it is liquid; null for what pours. */
export function meltsAt(m: Material | null): number | null {
  if (!m || m.form === 'liquid') return null
  const at = m.meltsC ?? (m !== null && kindHas(m.kind, 'solid-fat') ? USUAL_MELT[m.kind]! : null)
  return at !== null && at >= LEAST_MELT ? at : null
}

/** An acid that makes or breaks the body of what it is stirred into. */
export const isStrongAcid = (l: AssessedLine) =>
  l.material !== null && l.material.kind === 'acid' && l.percent >= 1
/** A base that thickens what needs neutralising; a chelator does it in passing. */
export const neutralises = (m: Material | null) =>
  m !== null && hasTrait(m, 'neutralises') && m.kind !== 'chelator'
/** Above this strength a lye burns, percent (common practice). */
const CAUSTIC_FROM = 1
/** Lye among these lines, solid or as a solution that burns. */
export const isCaustic = (lines: readonly AssessedLine[]) =>
  lines.some(
    ({ material, strengthPercent }) =>
      material !== null && hasTrait(material, 'lye') && (strengthPercent ?? 100) > CAUSTIC_FROM,
  )
/** Dissolves in a glycol and hardly in water, so that it has to be warm. */
export const wantsGlycol = (m: Material | null) => m !== null && dissolves(m) && m.solubility[0] === 'glycol'

/** Could stay in a cold share of the water: a watery thing of a heated water phase of an emulsion that swells not. */
export const couldStayCold = (a: Assessment, l: AssessedLine) =>
  a.emulsion?.type === 'oil-in-water' &&
  l.phaseSource.role === 'water' &&
  (l.phaseSource.heatToC ?? 0) > (l.material?.heatMaxC ?? Infinity) &&
  lives(l.material, 'water') &&
  !isGum(l.material)
/** Stays there, as the maker has chosen. */
export const staysCold = (a: Assessment, l: AssessedLine) =>
  a.formula.method?.choices?.cooling === 'cold-share' && couldStayCold(a, l)

/** What a step needs that cools in cold water. */
export const COLD_BATH = 'cold-bath'
