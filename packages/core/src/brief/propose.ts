import { dequal } from 'dequal'
import { bringTo } from '../findings/bring-to.ts'
import { isUnsafeAsWritten } from '../findings/unsafe-ph.ts'
import { applyEdit } from '../formula/edit.ts'
import type { Candidate } from '../choose/emulsifiers.ts'
import { findAll, isCaution } from '../findings/index.ts'
import { needOf } from '../findings/unsafe-ph.ts'
import type { Finding } from '../findings/types.ts'
import type { Formula } from '../shapes/formula.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import {
  asksEmulsion,
  FATTY_OF,
  OIL_PHASE_OF,
  ruledOut,
  type Brief,
  type BriefContext,
  type Choice,
} from './brief.ts'
import type { Impossible, Miss, ProposalTitle } from './facts.ts'
import { Palette, BriefDraft, roleFor, targetIn } from './draft.ts'
import { addEmulsion, emulsifiersFor, familyOf } from './emulsion.ts'
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
  title: ProposalTitle
  /** What tells it from another proposal of the same title. */
  with?: { name: string; percent: number }
  formula: Formula
  choices: Choice[]
  /** Checks and notes that remain; there is no stop. */
  findings: Finding[]
  /** Wishes that it could not keep. */
  misses: Miss[]
}

export type Proposals =
  | { status: 'done'; proposals: Proposal[] }
  /** Why there is nothing to propose, and what to change. */
  | { status: 'impossible'; why: Impossible[] }

/** Faults of the wishes themselves, before anything is chosen. */
function faultsOf(palette: Palette, draft: BriefDraft): Impossible[] {
  const { brief, catalogue, context } = palette
  const faults: Impossible[] = []
  for (const { material: id } of brief.actives) {
    const m = catalogue.find(id)
    if (!m) faults.push({ code: 'unknown-material', name: id })
    else {
      const by = ruledOut(m, brief, context)
      if (by) faults.push({ code: 'ruled-out', name: m.name, by })
    }
  }
  if (faults.length > 0) return faults
  const a = palette.assess(draft.formula())
  const clash = a.ph.clashes[0]
  if (clash && clash.a.grade === 'works' && clash.b.grade === 'works')
    faults.push({ code: 'ph-clash', pair: [needOf(clash.a), needOf(clash.b)] })
  for (const f of findAll(a).filter(
    (x) => x.severity === 'stop' && /^(legal|charge|claim|stability)/.test(x.code),
  ))
    faults.push({ code: 'finding', finding: f, whole: true })
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

function finish(palette: Palette, draft: BriefDraft, title: ProposalTitle): Proposal | null {
  const { brief } = palette
  for (const { material: id, percent } of brief.actives) {
    const m = palette.catalogue.find(id)!
    draft.choices.unshift({
      part: 'requested',
      material: m,
      percent,
      why: { code: 'requested' },
      alternatives: [],
    })
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
      why: [{ code: 'cleanser' }],
    }
  const palette = new Palette(brief, catalogue, context)
  const emulsion = asksEmulsion(brief)
  const start = startOf(palette, emulsion)
  const faults = faultsOf(palette, start)
  if (faults.length > 0) return { status: 'impossible', why: faults }
  start.targetPh = targetIn(palette.assess(start.formula()).ph.fits)

  const proposals: Proposal[] = []
  const why: Impossible[] = []
  const add = (reason: Impossible) => {
    if (!why.some((x) => dequal(x, reason))) why.push(reason)
  }
  const build = (
    turn: number,
    emulsifier: Candidate | null,
    others: readonly Candidate[],
  ): Proposal | null => {
    const draft = start.copy()
    if (emulsifier && !addEmulsion(palette, draft, emulsifier, others, turn)) {
      add({ code: 'no-oil' })
      return null
    }
    addThickener(palette, draft, turn)
    addHumectants(palette, draft, turn)
    addHelp(palette, draft, turn)
    addChelator(palette, draft)
    addAntioxidant(palette, draft)
    if (!addPreservative(palette, draft, turn)) {
      add({ code: 'no-preservative' })
      return null
    }
    const title: ProposalTitle = emulsifier
      ? { code: 'emulsifier', family: familyOf(emulsifier.material) }
      : titleOf(draft)
    const made = finish(palette, draft, title)
    if (!made) {
      const stop = findAll(palette.assess(draft.formula())).find((f) => f.severity === 'stop')
      add(stop ? { code: 'finding', finding: stop, whole: false } : { code: 'stopped' })
    }
    return made
  }

  if (emulsion) {
    const oils = OIL_PHASE_OF[brief.richness] - FATTY_OF[brief.richness] - 3
    const candidates = emulsifiersFor(palette, start, oils)
    if (candidates.length === 0)
      return {
        status: 'impossible',
        why: [{ code: 'no-emulsifier' }],
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
  return { status: 'impossible', why: why.length > 0 ? why : [{ code: 'stopped' }] }
}

const titleOf = (draft: BriefDraft): ProposalTitle => {
  const thickener = draft.choices.find((c) => c.part === 'thickener')
  const humectant = draft.choices.find((c) => c.part === 'humectant')
  return { code: 'gel', names: [thickener, humectant].flatMap((c) => (c ? [c.material.name] : [])) }
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
    if (proposals.filter((q) => dequal(q.title, p.title)).length === 1) return p
    const holds = p.choices.find((c) => c.part === 'emulsifier' || c.part === 'thickener')
    return holds ? { ...p, with: { name: holds.material.name, percent: holds.percent } } : p
  })
}
