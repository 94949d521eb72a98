import { PICKS } from '../materials/picks.ts'
import { emulsifierCandidates, type Candidate } from '../choose/emulsifiers.ts'
import { spreadOf, type Spread } from '../feel/profile.ts'
import type { Role } from '../shapes/formula.ts'
import type { Material } from '../shapes/material.ts'
import type { EmulsifierFamily } from './facts.ts'
import { BUTTERED, CASCADE, FATTY_OF, OIL_PHASE_OF } from './brief.ts'
import { round1, type Palette, type BriefDraft } from './draft.ts'
import { HOT_C } from '../formula/templates.ts'
import { kindHas } from '../shapes/kinds.ts'

export const familyOf = (m: Material): EmulsifierFamily => {
  if (m.emulsifier?.role === 'polymeric') return 'polymer'
  if (m.charge === 'cationic') return 'cationic'
  if (m.charge === 'anionic') return 'anionic'
  return m.emulsifier?.hlbSound === 'yes' || m.origin === 'synthetic' ? 'hlb' : 'layers'
}

/** Emollients of one spread, the best first: those that keep, feel as wished and have a required HLB. */
function emollients(
  palette: Palette,
  draft: BriefDraft,
  spread: Spread,
  solid: boolean,
  percent: number,
): Material[] {
  const { feel } = palette.brief
  const taste = {
    dry: ['dry', 'powdery'],
    silky: ['silky', 'slip', 'soft'],
    rich: ['rich', 'soft', 'melting'],
  }[feel]
  const score = (m: Material) =>
    (m.oxidation === 'fast' ? -6 : m.oxidation === 'medium' ? -1 : 0) +
    (m.feel ?? []).filter((f) => taste.includes(f)).length * 2 +
    (m.requiredHlb ? 2 : 0) -
    (m.feel?.includes('evaporates') ? 4 : 0) -
    (m.feel?.includes('sticky') ? 4 : 0) -
    (m.feel?.includes('greasy') ? 6 : 0) -
    (m.usage && m.usage.max < 20 ? 2 : 0) -
    palette.cheap(m)
  return palette.allowed
    .filter((m) => kindHas(m.kind, 'emollient') && spreadOf(m) === spread && !m.traits?.includes('fragrance'))
    .filter((m) => (m.kind === 'butter') === solid && m.solubility[0] === 'oil')
    .filter((m) => (m.usage?.max ?? 100) >= percent && !(draft.hot && (m.heatMaxC ?? 100) < HOT_C))
    .map((m) => ({ m, s: score(m) }))
    .sort((x, y) => y.s - x.s || x.m.name.localeCompare(y.m.name))
    .map((x) => x.m)
}

/** Puts the oils in by spread; `turn` picks another one of each for each proposal. */
function addOils(palette: Palette, draft: BriefDraft, oils: number, turn: number): boolean {
  const { brief } = palette
  const shares = CASCADE[brief.absorption]
  const left: { spread: Spread; percent: number }[] = (['fast', 'medium', 'slow'] as const).map((spread) => ({
    spread,
    percent: oils * shares[spread],
  }))
  let added = 0
  for (const { spread, percent } of left) {
    if (percent < 0.3) continue
    const buttered = spread === 'slow' && BUTTERED[brief.richness] && !palette.wants('cold-process')
    const solids = buttered ? emollients(palette, draft, spread, true, percent) : []
    const liquids = emollients(palette, draft, spread, false, percent)
    const list = solids.length > 0 ? solids : liquids
    const m = list[turn % Math.max(1, Math.min(list.length, 4))]
    if (!m) continue
    const dose = Number(percent.toFixed(1))
    draft.add('oil', m, dose)
    draft.say(
      'emollient',
      m,
      dose,
      { code: 'emollient', spread, keeps: m.oxidation === 'slow' },
      list.filter((x) => x !== m),
    )
    added += dose
  }
  if (added === 0) return false
  // What has no taker goes to the first oil.
  const missing = Number((oils - added).toFixed(1))
  const first = draft.lines
    .get('oil')!
    .find((l) => l.percent !== undefined && draft.choices.some((c) => c.material.id === l.material))
  if (missing > 0.05 && first) {
    const lines = draft.lines.get('oil')!
    draft.lines.set(
      'oil',
      lines.map((l) => (l === first ? { ...l, percent: round1(l.percent! + missing) } : l)),
    )
    const choice = draft.choices.find((c) => c.material.id === first.material)!
    choice.percent = round1(choice.percent + missing)
  }
  return true
}

/** Brings no stop of its own; what is missing still, such as a preservative, is no fault of it. */
export const fits = (c: Candidate) => !c.brings.some((f) => f.severity === 'stop')
export const usable = (palette: Palette, c: Candidate) => fits(c) && palette.allowed.includes(c.material)
export const reasons = (c: Candidate) => [...c.reasonsFor, ...c.handling].slice(0, 3)

/** The emulsifiers that this oil phase could have, one of each family first. */
export function emulsifiersFor(palette: Palette, draft: BriefDraft, oils: number): Candidate[] {
  const stand = draft.copy()
  addOils(palette, stand, oils, 0)
  const all = emulsifierCandidates(palette.assess(stand.formula()), palette.catalogue).filter(
    (c) => usable(palette, c) && !c.current,
  )
  const leaveIn = palette.brief.product.kind === 'leave-in'
  const suits = (c: Candidate) =>
    leaveIn ? familyOf(c.material) === 'cationic' : familyOf(c.material) !== 'cationic'
  const list = all.filter(suits)
  const taken = new Set<EmulsifierFamily>()
  const firsts = list.filter((c) => {
    const family = familyOf(c.material)
    if (taken.has(family)) return false
    taken.add(family)
    return true
  })
  return [...firsts, ...list.filter((c) => !firsts.includes(c))]
}

export function addEmulsion(
  palette: Palette,
  draft: BriefDraft,
  emulsifier: Candidate,
  others: readonly Candidate[],
  turn: number,
): boolean {
  const { brief } = palette
  const target = OIL_PHASE_OF[brief.richness]
  const m = emulsifier.material
  const fatties = palette.find(PICKS.fattyAlcohols)
  const fatty = familyOf(m) === 'polymer' || palette.wants('cold-process') ? 0 : FATTY_OF[brief.richness]
  const alcohol = fatty > 0 ? fatties[turn % Math.max(1, fatties.length)] : undefined
  const most = m.emulsifier?.maxOilPercent ?? (familyOf(m) === 'polymer' ? 20 : 100)
  const own = m.emulsifier?.role === 'polymeric' ? 0 : emulsifier.percent
  const oils = Math.min(most, target - own - (alcohol ? fatty : 0))
  if (oils < target - own - fatty - 0.5)
    draft.misses.push({ code: 'less-oil', name: m.name, mostPercent: most })
  if (!addOils(palette, draft, Number(oils.toFixed(1)), turn)) return false
  const role: Role = m.phase === 'oil' ? 'oil' : 'water'
  draft.add(role, m, emulsifier.percent)
  draft.say(
    'emulsifier',
    m,
    emulsifier.percent,
    { code: 'emulsifier', family: familyOf(m), reasons: reasons(emulsifier) },
    others.filter((c) => c.material !== m && fits(c)).map((c) => c.material),
  )
  if (alcohol) {
    draft.add('oil', alcohol, fatty)
    draft.say(
      'consistency',
      alcohol,
      fatty,
      { code: 'consistency', richness: brief.richness },
      fatties.filter((x) => x !== alcohol),
    )
  }
  return true
}
