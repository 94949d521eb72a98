import { bringTo } from '../findings/bring-to.ts'
import { isUnsafeAsWritten } from '../findings/unsafe-ph.ts'
import { applyEdit } from '../formula/edit.ts'
import type { Candidate } from '../choose/emulsifiers.ts'
import { findAll, isCaution } from '../findings/index.ts'
import type { Finding } from '../findings/types.ts'
import type { Formula } from '../shapes/formula.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { formatRange, listWords, sayPercent } from '../text/format.ts'
import {
  asksEmulsion,
  FATTY_OF,
  OIL_PHASE_OF,
  ruledOut,
  type Brief,
  type BriefContext,
  type Choice,
} from './brief.ts'
import { Palette, BriefDraft, roleFor, targetIn } from './draft.ts'
import { addEmulsion, emulsifiersFor, FAMILY_WORDS, familyOf } from './emulsion.ts'
import {
  addAntioxidant,
  addChelator,
  addHelp,
  addHumectants,
  addPreservative,
  addThickener,
} from './parts.ts'

export interface Proposal {
  /** What sets it apart, in a few words. */
  title: string
  formula: Formula
  choices: Choice[]
  /** Checks and notes that remain; there is no stop. */
  findings: Finding[]
  /** Wishes that it could not keep. */
  misses: string[]
}

export type Proposals =
  | { status: 'done'; proposals: Proposal[] }
  /** Why there is nothing to propose, and what to change. */
  | { status: 'impossible'; why: string[] }

/** Faults of the wishes themselves, before anything is chosen. */
function faultsOf(palette: Palette, draft: BriefDraft): string[] {
  const { brief, catalogue, context } = palette
  const faults: string[] = []
  for (const { material: id } of brief.actives) {
    const m = catalogue.find(id)
    if (!m) faults.push(`“${id}” is not known: choose it from the materials.`)
    else {
      const why = ruledOut(m, brief, context)
      if (why)
        faults.push(`${m.name} ${why}, which the constraints rule out. Take it off or let the constraint go.`)
    }
  }
  if (faults.length > 0) return faults
  const a = palette.assess(draft.formula())
  const clash = a.ph.clashes[0]
  if (clash && clash.a.grade === 'works' && clash.b.grade === 'works')
    faults.push(
      `${clash.a.label} works at pH ${formatRange(clash.a)}, ${clash.b.label} at ${formatRange(clash.b)}: they need two products.`,
    )
  for (const f of findAll(a).filter(
    (x) => x.severity === 'stop' && /^(legal|charge|claim|stability)/.test(x.code),
  ))
    faults.push(`${f.message} ${f.why}`.trim())
  return faults
}

/** The first draft: water and what the maker asked for. */
function startOf(palette: Palette, emulsion: boolean): BriefDraft {
  const { brief, catalogue } = palette
  const draft = new BriefDraft(brief, emulsion && !palette.wants('cold-process'))
  for (const { material: id, percent } of brief.actives) {
    const m = catalogue.find(id)
    if (m) draft.add(roleFor(m, draft.hot), m, percent)
  }
  return draft
}

function finish(palette: Palette, draft: BriefDraft, title: string): Proposal | null {
  const { brief } = palette
  for (const { material: id, percent } of brief.actives) {
    const m = palette.catalogue.find(id)!
    draft.choices.unshift({ part: 'wished for', material: m, percent, why: 'your wish', alternatives: [] })
  }
  let formula = draft.formula()
  let a = palette.assess(formula)
  // The target is what all of it shares, once everything is in.
  if (a.ph.fits) {
    formula = { ...formula, targetPh: targetIn(a.ph.fits) }
    a = palette.assess(formula)
  }
  // what would burn as it is written gets its acid or alkali at once
  const [adjust] = isUnsafeAsWritten(a) && formula.targetPh ? bringTo(a, formula.targetPh) : []
  if (adjust) {
    formula = applyEdit(formula, adjust.edit)
    a = palette.assess(formula)
  }
  const findings = findAll(a)
  if (findings.some((f) => f.severity === 'stop')) return null
  return {
    title,
    formula,
    choices: draft.choices,
    findings: findings.filter((f) => !isCaution(f)),
    misses: draft.misses,
  }
}

/**
 * Two or three different formulas for a brief, put together from the catalogue: each part is tried in the formula as
 * it stands and the whole is judged again, so none has a stop. They differ in what holds them together, in their
 * oils and in what stands beside. Where it cannot be done, says why and what to change.
 */
export function propose(brief: Brief, catalogue: Catalogue, context: BriefContext): Proposals {
  if (brief.product.kind === 'cleanser')
    return {
      status: 'impossible',
      why: ['A cleanser is built on surfactants, which are not proposed here: start from an empty sheet.'],
    }
  const palette = new Palette(brief, catalogue, context)
  const emulsion = asksEmulsion(brief)
  const start = startOf(palette, emulsion)
  const faults = faultsOf(palette, start)
  if (faults.length > 0) return { status: 'impossible', why: faults }
  start.targetPh = targetIn(palette.assess(start.formula()).ph.fits)

  const proposals: Proposal[] = []
  const why = new Set<string>()
  const build = (
    turn: number,
    emulsifier: Candidate | null,
    others: readonly Candidate[],
  ): Proposal | null => {
    const draft = start.copy()
    if (emulsifier && !addEmulsion(palette, draft, emulsifier, others, turn)) {
      why.add('No oil that suits is allowed: let a constraint go, or add oils to your stock.')
      return null
    }
    addThickener(palette, draft, turn)
    addHumectants(palette, draft, turn)
    addHelp(palette, draft, turn)
    addChelator(palette, draft)
    addAntioxidant(palette, draft)
    if (!addPreservative(palette, draft, turn)) {
      why.add(
        'No preservative that covers bacteria, yeast and mould is allowed: let a constraint go, or add one to your stock.',
      )
      return null
    }
    const words = emulsifier ? FAMILY_WORDS[familyOf(emulsifier.material)] : titleOf(draft)
    const made = finish(palette, draft, words.charAt(0).toUpperCase() + words.slice(1))
    if (!made) {
      const stop = findAll(palette.assess(draft.formula())).find((f) => f.severity === 'stop')
      why.add(stop ? stop.message : 'Every try came to a stop.')
    }
    return made
  }

  if (emulsion) {
    const oils = OIL_PHASE_OF[brief.richness] - FATTY_OF[brief.richness] - 3
    const candidates = emulsifiersFor(palette, start, oils)
    if (candidates.length === 0)
      return {
        status: 'impossible',
        why: [
          'No emulsifier that suits is allowed: let a constraint go, add one to your stock, or choose a gel or serum.',
        ],
      }
    for (const c of candidates) {
      if (proposals.length === 3) break
      const made = build(proposals.length, c, candidates)
      if (made) proposals.push(made)
    }
  } else {
    for (let turn = 0; turn < 5 && proposals.length < 3; turn++) {
      const made = build(turn, null, [])
      if (made && !proposals.some((p) => sameParts(p.formula, made.formula))) proposals.push(made)
    }
  }
  if (proposals.length > 0) return { status: 'done', proposals: named(proposals) }
  return { status: 'impossible', why: why.size > 0 ? [...why] : ['Nothing that suits is allowed.'] }
}

const titleOf = (draft: BriefDraft) => {
  const thickener = draft.choices.find((c) => c.part === 'thickener')
  const humectant = draft.choices.find((c) => c.part === 'humectant')
  const parts = [thickener, humectant].flatMap((c) => (c ? [c.material.name] : []))
  return parts.length > 0 ? `with ${listWords(parts)}` : 'plain and clear'
}

const partsOf = (f: Formula) =>
  f.phases
    .flatMap((p) => p.lines.map((l) => l.material))
    .sort()
    .join('|')
const sameParts = (a: Formula, b: Formula) => partsOf(a) === partsOf(b)

/** Two of the same family are told apart by what holds them. */
function named(proposals: readonly Proposal[]): Proposal[] {
  return proposals.map((p) => {
    if (proposals.filter((q) => q.title === p.title).length === 1) return p
    const holds = p.choices.find((c) => c.part === 'emulsifier' || c.part === 'thickener')
    return holds ? { ...p, title: `${p.title}: ${holds.material.name} ${sayPercent(holds.percent)}` } : p
  })
}
