import type { Assessment } from '../assess/types.ts'
import { driftingOf } from '../dosing/effects.ts'
import type { Finding } from '../findings/types.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import {
  PROPERTIES,
  type PlannedLook,
  type Property,
  type Sample,
  type Storage,
} from '../shapes/stability.ts'
import type { PhRange } from '../assess/windows.ts'
import type { Plain, Said } from '../text/said.ts'
import { WATCH } from '../batch/watch-data.ts'
import { kindHas } from '../shapes/kinds.ts'

/** Why a property is observed in a product, by code. Names are line labels, three at most. */
export interface MatterFacts {
  drifts: { says: string[] }
  'preservation-window': { range: PhRange }
  'ph-tells': Plain
  'weak-emulsion': { finding: Finding }
  coalescence: Plain
  'too-much-solid': { names: string[] }
  recrystallises: Plain
  'germs-in-water': Plain
  'gas-early': Plain
  'oxidises-fast': { names: string[] }
  'smell-first': Plain
  graininess: { names: string[] }
  'sets-for-days': { names: string[] }
  browns: { names: string[] }
  'colour-can-change': { names: string[] }
  evaporation: Plain
  'pack-fails': Plain
}

/** A property that matters for this formula, and why; `pressing` where the formula gives a reason of its own. */
export interface Matter {
  property: Property
  why: Said<MatterFacts>
  pressing: boolean
}

export interface WatchPlan {
  samples: Sample[]
  looks: PlannedLook[]
  matters: Matter[]
}

const MOVES = /^emulsion\.|^phase\./

/** Names of lines in the product for which a test holds, three at most. */
function named(a: Assessment, test: (m: Material) => boolean): string[] | null {
  const found = a.lines.filter((l) => l.percent > 0 && l.material && test(l.material))
  return found.length > 0 ? found.slice(0, 3).map((l) => l.label) : null
}

/** pH: wherever there is a water phase to be read. */
function phMatters(a: Assessment): Matter[] {
  if (!a.waterPhase || a.emulsion?.type === 'water-in-oil') return []
  const drifts = driftingOf(a)
  if (drifts.length > 0)
    return [
      { property: 'ph', why: { code: 'drifts', says: drifts.map((d) => d.drift.says) }, pressing: true },
    ]
  const { window } = a.preservation
  const why: Matter['why'] = window ? { code: 'preservation-window', range: window } : { code: 'ph-tells' }
  return [{ property: 'ph', why, pressing: false }]
}

/** Layers: wherever two parts could come apart. */
function layerMatters(a: Assessment, findings: readonly Finding[]): Matter[] {
  if (!a.emulsion) return []
  const weak = findings.find((f) => MOVES.test(f.code) && f.severity !== 'note')
  return [
    {
      property: 'layer',
      why: weak ? { code: 'weak-emulsion', finding: weak } : { code: 'coalescence' },
      pressing: weak !== undefined,
    },
  ]
}

/** Below this share of what stays dissolved in the cold nothing comes back. */
const NEAR = 0.7
function crystalMatters(a: Assessment): Matter[] {
  if (a.solubility.every((s) => Math.max(s.ratio, s.coldRatio) < NEAR)) return []
  const near = a.solubility
    .filter((s) => s.verdict !== 'dissolves')
    .map((s) => s.constants.inci.toLowerCase())
  const why: Matter['why'] =
    near.length > 0 ? { code: 'too-much-solid', names: near } : { code: 'recrystallises' }
  return [{ property: 'crystals', why, pressing: near.length > 0 }]
}

/** What is worth looking at in a product of this formula, in the order of looking, each with its reason. */
export function mattersOf(a: Assessment, findings: readonly Finding[]): Matter[] {
  const wet = a.waterPercent >= 1
  const butters = named(a, (m) => kindHas(m.kind, 'melts'))
  const sets = named(a, (m) => kindHas(m.kind, 'sets'))
  const fades = named(a, (m) => hasTrait(m, 'browned-by-metals') || hasTrait(m, 'retinoid'))
  const rancid = named(a, (m) => m.oxidation === 'fast')
  const coloured = named(a, (m) => kindHas(m.kind, 'coloured'))
  const scented = fades ?? rancid ?? coloured
  const list: (Matter | Matter[] | null)[] = [
    wet
      ? {
          property: 'germs',
          why: { code: 'germs-in-water' },
          pressing: !a.preservation.adequate,
        }
      : null,
    wet ? { property: 'gas', why: { code: 'gas-early' }, pressing: false } : null,
    {
      property: 'smell',
      why: rancid ? { code: 'oxidises-fast', names: rancid } : { code: 'smell-first' },
      pressing: rancid !== null,
    },
    phMatters(a),
    layerMatters(a, findings),
    crystalMatters(a),
    butters ? { property: 'grains', why: { code: 'graininess', names: butters }, pressing: true } : null,
    sets
      ? {
          property: 'body',
          why: { code: 'sets-for-days', names: sets },
          pressing: false,
        }
      : null,
    scented
      ? {
          property: 'colour',
          why: fades ? { code: 'browns', names: fades } : { code: 'colour-can-change', names: scented },
          pressing: fades !== null,
        }
      : null,
    wet || a.alcoholPercent > 0
      ? {
          property: 'mass',
          why: { code: 'evaporation' },
          pressing: false,
        }
      : null,
    { property: 'pack', why: { code: 'pack-fails' }, pressing: false },
  ]
  return list.flat().filter((m) => m !== null)
}

/** A sample of so many grams is enough; of a small batch fewer samples are set aside, never more than a third of it. */
const SAMPLE_GRAMS = 25
const LEAST_SAMPLE = 5
const MOST_SHARE = 1 / 3

/** Storages that tell something of this formula, what matters most first. */
function storagesOf(a: Assessment, matters: readonly Matter[]): Storage[] {
  if (a.preservation.needed && !a.preservation.adequate && !a.preservation.selfPreserving) return ['daily']
  const has = (p: Property, pressing = false) =>
    matters.some((m) => m.property === p && (!pressing || m.pressing))
  const list: (Storage | null)[] = [
    'room',
    has('crystals') || has('grains') || has('smell') ? 'fridge' : null,
    a.emulsion ? 'frost' : null,
    a.waterPercent >= 1 || has('smell', true) ? 'warm' : null,
    has('colour', true) || has('smell', true) ? 'window' : null,
    a.waterPercent >= 1 ? 'use' : null,
  ]
  return list.filter((storage) => storage !== null)
}

/** Looks at one sample: on each of its days what is due then, or has a reason there. */
export function looksOf(sample: Sample, matters: readonly Matter[]): PlannedLook[] {
  const { days } = WATCH.storages[sample.storage]
  return days.flatMap((day) => {
    const properties = PROPERTIES.filter((property) => {
      const matter = matters.find((m) => m.property === property)
      const facts = WATCH.properties[property]
      if (!matter || !facts.storages.includes(sample.storage)) return false
      if (sample.storage === 'daily' || sample.storage === 'frost') return true
      return facts.days.includes(day) || (matter.pressing && (facts.reasonDays?.includes(day) ?? false))
    })
    return properties.length > 0 ? [{ day, sample: sample.id, properties }] : []
  })
}

/**
 * What to set aside of a batch and when to look at what, with reasons from its formula (common practice). `filledGrams`:
 * what there is to take from; what is used as meant is set aside of nothing.
 */
export function proposeWatch(a: Assessment, findings: readonly Finding[], filledGrams: number): WatchPlan {
  const matters = mattersOf(a, findings)
  const wanted = storagesOf(a, matters)
  const budget = filledGrams * MOST_SHARE
  const kept = wanted.filter((storage) => storage !== 'use')
  const fit = Math.max(1, Math.min(kept.length, Math.floor(budget / LEAST_SAMPLE)))
  const grams = Math.max(1, Math.min(SAMPLE_GRAMS, Math.floor(budget / fit)))
  const samples = wanted
    .filter((storage) => storage === 'use' || kept.indexOf(storage) < fit)
    .map((storage) => ({ id: storage, storage, ...(storage === 'use' ? {} : { grams }) }))
  return { samples, matters, looks: samples.flatMap((s) => looksOf(s, matters)) }
}
