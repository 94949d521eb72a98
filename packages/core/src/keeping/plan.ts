import type { Assessment } from '../assess/types.ts'
import { driftingOf } from '../dosing/effects.ts'
import type { Finding } from '../findings/types.ts'
import { hasTrait, type Material } from '../shapes/material.ts'
import { PROPERTIES, type PlannedLook, type Property, type Sample, type Storage } from '../shapes/keeping.ts'
import { formatRange, listWords } from '../text/format.ts'
import { WATCH } from './data.ts'
import { kindHas } from '../shapes/kinds.ts'

/** A property that matters for this formula, and why; `pressing` where the formula gives a reason of its own. */
export interface Matter {
  property: Property
  why: string
  pressing: boolean
}

export interface WatchPlan {
  samples: (Sample & { why: string })[]
  looks: PlannedLook[]
  matters: Matter[]
}

const MOVES = /^emulsion\.|^phase\./

/** Names of lines in the product for which a test holds, three at most. */
function named(a: Assessment, test: (m: Material) => boolean): string | null {
  const found = a.lines.filter((l) => l.percent > 0 && l.material && test(l.material))
  return found.length > 0 ? listWords(found.slice(0, 3).map((l) => l.label)) : null
}

/** pH: wherever there is a water phase to be read. */
function phMatters(a: Assessment): Matter[] {
  if (!a.waterPhase || a.emulsion?.type === 'water-in-oil') return []
  const drifts = driftingOf(a)
  if (drifts.length > 0)
    return [{ property: 'ph', why: drifts.map((d) => d.drift.says).join(' '), pressing: true }]
  const { window } = a.preservation
  const why = window
    ? `The preservation covers at pH ${formatRange(window)}; outside it there is none.`
    : 'A pH that moves tells of what goes on inside.'
  return [{ property: 'ph', why, pressing: false }]
}

/** Layers: wherever two parts could come apart. */
function layerMatters(a: Assessment, findings: readonly Finding[]): Matter[] {
  if (!a.emulsion) return []
  const weak = findings.find((f) => MOVES.test(f.code) && f.severity !== 'note')
  return [
    {
      property: 'layer',
      why: weak
        ? `The emulsion is not certain: ${weak.message}`
        : 'Drops of oil run together slowly, and all at once in frost.',
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
  const why =
    near.length > 0
      ? `More of ${listWords(near)} is in than surely stays dissolved.`
      : 'A dissolved solid can come back in the cold.'
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
          why: 'There is water in it: what grows condemns the whole batch.',
          pressing: !a.preservation.adequate,
        }
      : null,
    wet
      ? { property: 'gas', why: 'Yeast and bacteria give gas before they are seen.', pressing: false }
      : null,
    {
      property: 'smell',
      why: rancid
        ? `${rancid} turn${rancid.includes(' and ') ? '' : 's'} rancid fast, after weeks of nothing.`
        : 'The nose finds what the eye does not.',
      pressing: rancid !== null,
    },
    phMatters(a),
    layerMatters(a, findings),
    crystalMatters(a),
    butters
      ? { property: 'grains', why: `${butters} can set in grains, weeks later.`, pressing: true }
      : null,
    sets
      ? {
          property: 'body',
          why: `${sets} go${sets.includes(' and ') ? '' : 'es'} on setting for days: judge it from day 3.`,
          pressing: false,
        }
      : null,
    scented
      ? {
          property: 'colour',
          why: fades
            ? `${fades} turn${fades.includes(' and ') ? '' : 's'} yellow to brown with air, light and metal.`
            : `${scented} bring${scented.includes(' and ') ? '' : 's'} colour that can change.`,
          pressing: fades !== null,
        }
      : null,
    wet || a.alcoholPercent > 0
      ? {
          property: 'mass',
          why: 'Water leaves through cap and wall, and what stays gets stronger.',
          pressing: false,
        }
      : null,
    { property: 'pack', why: 'A pack can leak, stain or soften.', pressing: false },
  ]
  return list.flat().filter((m) => m !== null)
}

/** A sample of so many grams is enough; of a small batch fewer samples are set aside, never more than a third of it. */
const SAMPLE_GRAMS = 25
const LEAST_SAMPLE = 5
const MOST_SHARE = 1 / 3

/** Storages that tell something of this formula, what matters most first. */
function storagesOf(a: Assessment, matters: readonly Matter[]): { storage: Storage; why: string }[] {
  if (a.preservation.needed && !a.preservation.adequate && !a.preservation.selfPreserving)
    return [{ storage: 'daily', why: WATCH.storages.daily.says }]
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
  return list.flatMap((storage) => (storage ? [{ storage, why: WATCH.storages[storage].says }] : []))
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
  const kept = wanted.filter((s) => s.storage !== 'use')
  const fit = Math.max(1, Math.min(kept.length, Math.floor(budget / LEAST_SAMPLE)))
  const grams = Math.max(1, Math.min(SAMPLE_GRAMS, Math.floor(budget / fit)))
  const samples = wanted
    .filter((s) => s.storage === 'use' || kept.indexOf(s) < fit)
    .map(({ storage, why }) => ({ id: storage, storage, why, ...(storage === 'use' ? {} : { grams }) }))
  return { samples, matters, looks: samples.flatMap((s) => looksOf(s, matters)) }
}
