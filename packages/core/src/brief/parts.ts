import { thickenerCandidates } from '../choose/emulsifiers.ts'
import { PICKS } from '../materials/picks.ts'
import type { Material } from '../shapes/material.ts'
import { HELPS } from './brief.ts'
import { rankIn, roleFor, type Palette, type BriefDraft } from './draft.ts'
import { reasons, usable } from './emulsion.ts'

export function addThickener(palette: Palette, draft: BriefDraft, turn: number) {
  const a = palette.assess(draft.formula())
  const emulsion = a.emulsion !== null
  const has = a.lines.some((l) => l.material?.emulsifier?.role === 'polymeric')
  if (has || palette.brief.product.kind === 'toner' || (emulsion && palette.brief.richness === 'butter'))
    return
  const list = thickenerCandidates(a, palette.catalogue).filter((c) => usable(palette, c) && !c.current)
  const pick = list[Math.min(turn, list.length - 1)]
  if (!pick) {
    draft.misses.push({ code: 'no-thickener' })
    return
  }
  const m = pick.material
  const percent = Number((pick.percent * (emulsion ? 0.5 : 1)).toFixed(2))
  const dose = Math.max(m.usage!.min, percent)
  const slurry = m.slurry !== undefined
  draft.add(slurry ? 'premix' : 'water', m, dose)
  draft.say(
    'thickener',
    m,
    dose,
    { code: 'thickener', reasons: reasons(pick) },
    list.filter((c) => c !== pick).map((c) => c.material),
  )
}

export function addHumectants(palette: Palette, draft: BriefDraft, turn: number) {
  const { brief } = palette
  const light = brief.absorption === 'fast' || brief.feel === 'dry'
  const order = light ? PICKS.humectants.light : PICKS.humectants.usual
  const list = palette.find(order).filter((m) => !draft.has(m.id))
  const m = list[turn % Math.max(1, Math.min(2, list.length))]
  if (!m) {
    draft.misses.push({ code: 'no-humectant' })
    return
  }
  const percent = brief.product.kind === 'toner' ? 3 : (m.usage?.typical ?? 3)
  const slurry = (draft.lines.get('premix')?.length ?? 0) > 0
  draft.add(slurry ? 'premix' : 'water', m, percent)
  draft.say(
    'humectant',
    m,
    percent,
    { code: 'humectant', light: m.feel?.includes('light') ?? false, wetsGum: slurry },
    list.filter((x) => x !== m),
  )
}

export function addHelp(palette: Palette, draft: BriefDraft, turn: number) {
  const { need } = palette.brief
  if (need === 'none') return
  const list = palette
    .find(HELPS[need])
    .filter((m) => !draft.has(m.id) && !palette.brief.actives.some((x) => x.material === m.id))
  const ranked = rankIn(
    palette,
    draft,
    list,
    (m) => ({ role: roleFor(m, draft.hot), percent: m.usage?.typical ?? 1 }),
    (m) => 3 - HELPS[need].indexOf(m.id),
  ).filter((r) => r.burden < 30)
  const take = palette.wants('low-budget') ? 1 : 2
  const chosen = ranked.slice(turn % 2, (turn % 2) + take)
  for (const r of chosen.length > 0 ? chosen : ranked.slice(0, take)) {
    draft.add(r.role, r.material, r.percent)
    draft.say(
      'need',
      r.material,
      r.percent,
      { code: 'need', need },
      ranked.map((x) => x.material).filter((m) => !draft.has(m.id)),
    )
  }
  if (ranked.length === 0) draft.misses.push({ code: 'nothing-for-need', need })
}

export function addChelator(palette: Palette, draft: BriefDraft) {
  const list = palette.find(PICKS.chelators)
  const best = rankIn(palette, draft, list, (m) => ({ role: 'water', percent: m.usage?.typical ?? 0.2 }))[0]
  if (!best) return
  draft.add('water', best.material, best.percent)
  draft.say(
    'chelator',
    best.material,
    best.percent,
    { code: 'chelator' },
    list.filter((m) => m !== best.material),
  )
}

export function addAntioxidant(palette: Palette, draft: BriefDraft) {
  const a = palette.assess(draft.formula())
  if (!a.lines.some((l) => l.material?.oxidation !== undefined && l.material.oxidation !== 'slow')) return
  const list = palette.find(PICKS.antioxidants)
  const m = list.find((x) => !draft.has(x.id))
  if (!m) return
  const percent = m.id === PICKS.antioxidants[0] ? PICKS.antioxidantPercent : (m.usage?.typical ?? 0.1)
  draft.add('cool-down', m, percent)
  draft.say(
    'antioxidant',
    m,
    percent,
    { code: 'antioxidant' },
    list.filter((x) => x !== m),
  )
}

/** A pH that can be hit at home has at least this much room. */
const ROOM = 0.5
function roomWith(palette: Palette, draft: BriefDraft, m: Material): number {
  const { shared } = palette.assess(draft.with('cool-down', m, m.usage!.typical).formula()).ph
  return shared ? shared.max - shared.min : 1
}

export function addPreservative(palette: Palette, draft: BriefDraft, turn: number): boolean {
  const list = palette.allowed.filter((m) => m.cover?.role === 'broad' && m.usage)
  const ranked = rankIn(
    palette,
    draft,
    list,
    (m) => ({ role: 'cool-down', percent: m.usage!.typical }),
    (m) =>
      (m.traits?.includes('formaldehyde-releaser') ? -20 : 0) +
      (m.origin === 'derived' ? 2 : 0) -
      (roomWith(palette, draft, m) < ROOM ? 40 : 0),
  )
  const good = ranked.filter(
    (r) => r.burden <= ranked[0]!.burden + 6 && roomWith(palette, draft, r.material) >= ROOM,
  )
  const best = good[turn % Math.max(1, Math.min(good.length, 3))] ?? ranked[0]
  if (!best) return false
  const window = best.material.ph
  draft.add('cool-down', best.material, best.percent)
  draft.say(
    'preservative',
    best.material,
    best.percent,
    { code: 'preservative', range: window ?? null },
    ranked.map((r) => r.material).filter((m) => m !== best.material),
  )
  return true
}
