import { ownKind as texts } from '#words/files'
import usual from '../../data/usual.json' with { type: 'json' }
import type { Catalogue } from '../materials/catalogue.ts'
import { ownMaterial, type OwnFacts } from '../materials/own.ts'
import { acidBases } from '../ph/acid-base.ts'
import type { Material, MaterialFacts } from '../shapes/material.ts'
import { sayNumber } from '../text/format.ts'
import { parseNumber } from '../words/typed.ts'

/** What a material of one's own is asked about, by what it does. */
export type OwnGroup = 'emulsifier' | 'thickener' | 'acid' | 'preservative' | 'oil' | 'powder' | 'other'

export const groupOf = (does: string): OwnGroup =>
  does === 'emulsifying' || does === 'solubilising'
    ? 'emulsifier'
    : does === 'viscosity controlling'
      ? 'thickener'
      : does === 'buffering'
        ? 'acid'
        : does === 'preservative'
          ? 'preservative'
          : does === 'emollient'
            ? 'oil'
            : does === 'absorbent'
              ? 'powder'
              : 'other'

/** The fields as they are typed. */
export interface KindForm {
  role: NonNullable<Material['emulsifier']>['role'] | 'unknown'
  hlb: string
  charge: Material['charge']
  stands: string
  melts: string
  /** Key of an acid or base that it is like; empty where its own constants are given. */
  like: string
  molarMass: string
  pKa: string
  lumps: boolean
  neutralise: boolean
  salt: string
  hours: string
  bacteria: boolean
  yeast: boolean
  mould: boolean
  oxidation: NonNullable<Material['oxidation']> | 'unknown'
  raw: boolean
}

export const blankKind = (): KindForm => ({
  role: 'unknown',
  hlb: '',
  charge: 'none',
  stands: '',
  melts: '',
  like: '',
  molarMass: '',
  pKa: '',
  lumps: false,
  neutralise: false,
  salt: '',
  hours: '',
  bacteria: true,
  yeast: true,
  mould: true,
  oxidation: 'unknown',
  raw: false,
})

const number = (value: number | undefined) => (value === undefined ? '' : sayNumber(value, 4))

/** What is known of a material, as it would be typed. */
export function kindOfMaterial(m: Material): KindForm {
  const traits = new Set(m.traits ?? [])
  return {
    ...blankKind(),
    role: m.emulsifier?.role ?? 'unknown',
    hlb: number(m.emulsifier?.hlb),
    charge: m.charge,
    stands: number(m.heatMaxC),
    melts: number(m.meltsC),
    molarMass: number(m.acidBase?.molarMass),
    pKa: m.acidBase ? m.acidBase.pKa.map((p) => sayNumber(p, 3)).join('; ') : '',
    lumps: m.slurry !== undefined,
    neutralise: traits.has('needs-neutralising'),
    salt: number(m.saltStoodPercent),
    hours: number(m.hydrationHours?.max),
    bacteria: m.cover ? m.cover.gramNegative > 0 : true,
    yeast: m.cover ? m.cover.yeast > 0 : true,
    mould: m.cover ? m.cover.mould > 0 : true,
    oxidation: m.oxidation ?? 'unknown',
    raw: traits.has('raw-plant'),
  }
}

const LIMITS = {
  hlb: { min: 0, max: 40, what: texts.theHlb },
  stands: { min: 0, max: 300, what: texts.theMaximumTemperature, unit: '°C' },
  melts: { min: -30, max: 300, what: texts.theMeltingPoint, unit: '°C' },
  molarMass: { min: 1, max: 100000, what: texts.theMolarMass },
  salt: { min: 0, max: 100, what: texts.thePercentOfSalt, unit: '%' },
  hours: { min: 0, max: 72, what: texts.theHours },
} as const
type NumberField = keyof typeof LIMITS

/** A list of numbers: `3.1; 4.8`. Null where one is none. */
function readPKa(text: string): number[] | null {
  const parts = text.split(/[;\s]+/).filter(Boolean)
  const read = parts.map((p) => Number(p.replace(',', '.')))
  return read.every((p) => Number.isFinite(p) && p >= -10 && p <= 20) && read.length <= 16 ? read : null
}

/** A sentence for each field that cannot be read. */
export function kindFaults(form: KindForm): Partial<Record<NumberField | 'pKa', string>> {
  const faults: Partial<Record<NumberField | 'pKa', string>> = {}
  for (const field of Object.keys(LIMITS) as NumberField[]) {
    const read = parseNumber(form[field], LIMITS[field])
    if ('error' in read) faults[field] = read.error
  }
  if (readPKa(form.pKa) === null) faults.pKa = texts.typePkaValuesBetween10
  return faults
}

/** Facts that the fields of a group decide: cleared before they are set anew. */
const KEYS: Record<OwnGroup, readonly (keyof Material)[]> = {
  emulsifier: ['emulsifier', 'charge', 'meltsC'],
  thickener: ['slurry', 'hydrationHours', 'saltStoodPercent', 'charge'],
  acid: ['acidBase'],
  preservative: ['cover'],
  oil: ['oxidation', 'meltsC'],
  powder: [],
  other: [],
}
const TRAITS_OF: Partial<Record<OwnGroup, string>> = { thickener: 'needs-neutralising', powder: 'raw-plant' }

/** A thickener that lumps is wetted in so many parts of this. */
const SLURRY = { parts: usual.slurry.parts, in: usual.slurry.in }

/** What the form says of one field, and whether it stands as it stood. */
interface Asked {
  form: KindForm
  group: OwnGroup
  old: Material | null
  /** The number in a field; nothing where it is empty or cannot be read. */
  number: (field: NumberField) => number | undefined
  same: (...fields: (keyof KindForm)[]) => boolean
}

const MELTING: readonly OwnGroup[] = ['emulsifier', 'oil', 'other']
const meltingFacts = ({ group, number }: Asked): MaterialFacts => {
  const melts = number('melts')
  return melts === undefined || !MELTING.includes(group) ? {} : { meltsC: melts }
}

function emulsifierFacts({ form, old, number }: Asked): MaterialFacts {
  if (form.role === 'unknown') return {}
  const hlb = number('hlb')
  return { emulsifier: { ...old?.emulsifier, role: form.role, ...(hlb === undefined ? {} : { hlb }) } }
}

function thickenerFacts({ form, old, number, same }: Asked): MaterialFacts {
  const salt = number('salt')
  return {
    ...(same('neutralise') ? {} : { kind: form.neutralise ? ('polymer' as const) : ('gum' as const) }),
    ...(old ? {} : { form: 'powder' as const }),
    ...(form.lumps ? { slurry: old?.slurry ?? SLURRY } : {}),
    ...(salt === undefined ? {} : { saltStoodPercent: salt }),
    ...hydration(old?.hydrationHours, number('hours'), same('hours')),
  }
}
/** The most hours as typed; the least stays what was known, and is half of them otherwise. */
function hydration(
  known: Material['hydrationHours'],
  hours: number | undefined,
  same: boolean,
): MaterialFacts {
  if (same && known) return { hydrationHours: known }
  if (hours === undefined) return {}
  return { hydrationHours: { min: Math.min(known?.min ?? hours / 2, hours), max: hours } }
}

function preservativeFacts({ form, old, same }: Asked): MaterialFacts {
  // what is told in finer steps stays as it was
  if (same('bacteria', 'yeast', 'mould') && old) return old.cover ? { cover: old.cover } : {}
  const level = (told: boolean) => (told ? 2 : 0)
  return {
    cover: {
      gramPositive: level(form.bacteria),
      gramNegative: level(form.bacteria),
      yeast: level(form.yeast),
      mould: level(form.mould),
      role: form.bacteria && form.yeast && form.mould ? 'broad' : 'partner',
    },
  }
}

const FACTS: Partial<Record<OwnGroup, (asked: Asked) => MaterialFacts>> = {
  emulsifier: emulsifierFacts,
  thickener: thickenerFacts,
  preservative: preservativeFacts,
  oil: ({ form }) => (form.oxidation === 'unknown' ? {} : { oxidation: form.oxidation }),
  powder: ({ old }) => (old ? {} : { kind: 'powder', form: 'powder' }),
}

/** Traits that it had, and the one of its group where the form says so. */
function traitsOf({ form, group, old }: Asked): string[] {
  const own = TRAITS_OF[group]
  const wanted = group === 'thickener' ? form.neutralise : group === 'powder' && form.raw
  const traits: string[] = (old?.traits ?? []).filter((t) => t !== own || wanted)
  return own && wanted && !traits.includes(own) ? [...traits, own] : traits
}

/** The fields that matter for a group, as facts; what is left out stays unknown. `old` keeps its other traits. */
export function kindFacts(
  form: KindForm,
  group: OwnGroup,
  old: Material | null = null,
): Pick<OwnFacts, 'charge' | 'acidBase' | 'facts'> {
  const of = (field: NumberField) => {
    const read = parseNumber(form[field], LIMITS[field])
    return 'value' in read && read.value !== null ? read.value : undefined
  }
  const shown = old ? kindOfMaterial(old) : null
  const same = (...fields: (keyof KindForm)[]) => shown !== null && fields.every((f) => shown[f] === form[f])
  const asked: Asked = { form, group, old, number: of, same }
  const stands = of('stands')
  const traits = traitsOf(asked)
  const facts: MaterialFacts = {
    ...(stands === undefined ? {} : { heatMaxC: stands }),
    ...meltingFacts(asked),
    ...FACTS[group]?.(asked),
    ...(traits.length > 0 ? { traits: traits as NonNullable<MaterialFacts['traits']> } : {}),
  }
  const kept = same('like', 'pKa', 'molarMass') ? old?.acidBase : undefined
  const acidBase = group === 'acid' ? (kept ?? constantsOf(form, of('molarMass'))) : undefined
  if (acidBase && !kept)
    facts.kind =
      acidBase.counterIonCharge > 0 ? 'buffer' : acidBase.chargeFullyProtonated > 0 ? 'base' : 'acid'
  return {
    facts,
    ...(form.charge === 'none' ? {} : { charge: form.charge }),
    ...(acidBase ? { acidBase } : {}),
  }
}

/** Constants of what it is like, else its own: an uncharged acid of these pKa. */
function constantsOf(form: KindForm, molarMass: number | undefined): OwnFacts['acidBase'] {
  const like = acidBases.find((x) => x.key === form.like)
  if (like) {
    const { pKa, chargeFullyProtonated, counterIonCharge } = like
    return { molarMass: molarMass ?? like.molarMass, pKa: [...pKa], chargeFullyProtonated, counterIonCharge }
  }
  const pKa = readPKa(form.pKa)
  return pKa && pKa.length > 0 && molarMass !== undefined
    ? { molarMass, pKa, chargeFullyProtonated: 0, counterIonCharge: 0 }
    : undefined
}

/** Acids, bases and salts that another may be like, by name. */
export const likes = () =>
  acidBases
    .filter((x) => !x.polymer && (x.pKa.length > 0 || x.counterIonCharge !== 0))
    .map((x) => ({ value: x.key, label: x.inci }))
    .sort((x, y) => x.label.localeCompare(y.label, 'en'))

const sameRange = (
  a: { min: number; max: number } | undefined,
  b: { min: number; max: number } | undefined,
) =>
  a === undefined || b === undefined
    ? a === b
    : Math.abs(a.min - b.min) < 1e-4 && Math.abs(a.max - b.max) < 1e-4

/** A material of one's own after the dialog: what was told anew, and everything else as it was. */
export function changedMaterial(
  old: Material,
  told: OwnFacts,
  group: OwnGroup,
  catalogue: Catalogue,
): Material {
  const { usage: _u, ph: _p, parts: _parts, ...kept } = old
  const before = groupOf(old.functions[0] ?? '')
  const rest: Partial<Material> = { ...kept }
  for (const key of [...KEYS[group], ...KEYS[before], 'heatMaxC'] as const) delete rest[key]
  if (!told.facts?.traits) delete rest.traits
  const next: Material = { ...rest, ...ownMaterial(told, catalogue), id: old.id }
  const keep = <K extends keyof Material>(key: K) => {
    if (old[key] === undefined) delete next[key]
    else next[key] = old[key]
  }
  keep('origin')
  keep('confidence')
  keep('source')
  if (told.solubility === old.solubility[0]) keep('solubility')
  if (sameRange(told.usage, old.usage)) keep('usage')
  else delete next.common
  if (sameRange(told.ph, old.ph)) keep('ph')
  if (group === before && told.facts?.kind === undefined) keep('kind')
  if (group !== 'emulsifier' && group !== 'thickener') keep('charge')
  if (next.inci.join() === old.inci.join()) keep('unknownShares')
  return next
}
