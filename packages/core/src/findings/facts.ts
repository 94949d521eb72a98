import type { PhRange, WindowItem } from '../assess/windows.ts'
import type { AcidVerdict } from '../preservation/effect.ts'
import type { MicrobeGroup } from '../preservation/preservation.ts'
import type { HeatReason, StepSaid } from '../procedure/step-facts.ts'
import type { Product, Role } from '../shapes/formula.ts'
import type { MaterialKind } from '../shapes/material.ts'
import type { Plain } from '../text/said.ts'

type Rinse = Product['rinse']
type Site = Product['site']

/** A pH that a finding is about. */
export type PhPoint =
  | { is: 'measured'; ph: number }
  | { is: 'target'; range: PhRange }
  | { is: 'predicted'; ph: number }
  | { is: 'band'; range: PhRange }

/** What the pH of a product has to suit: a material, the preservatives or the site. */
export type PhNeed = Pick<WindowItem, 'label' | 'grade' | 'min' | 'max' | 'why'>

/** A law or an opinion that limits a substance. */
interface LimitFacts {
  authority: string
  /** The substance, or the family that is summed. */
  name: string
  maxPercent: number
}

/** Who a caution is about: lines and adjusters, by the names they are weighed under. */
interface Who {
  who: string[]
}

/**
 * What is known of each finding, by code. Percents are w/w of the product, temperatures °C, masses grams. `case` parts
 * one code into its sentences. Names are material names and line labels as the maker sees them.
 */
export interface FindingFacts {
  'total.not-100':
    | { case: 'no-room'; fill: string; totalPercent: number; fillPercent: number; overPercent: number }
    | { case: 'sum'; totalPercent: number; gapPercent: number }
  'amount.missing': { names: string[] }
  'amount.mismatch': {
    name: string
    percent: number
    grams: number
    batchGrams: number
    meantGrams: number
  }
  'weighing.too-small': {
    lines: { name: string; grams: number; errorPercent: number }[]
    leastGrams: number
    resolutionGrams: number
  }
  'material.unknown': { names: string[]; guesses: { name: string; kind: MaterialKind }[] }
  'material.which-grade': {
    name: string
    question: string
    assumed: string
    options: { label: string; difference: string }[]
  }

  'legal.above-cap': LimitFacts &
    (
      | { case: 'later'; from: string; percent: number }
      | {
          case: 'over'
          percent: number
          /** What the family is counted as, where it is not counted as itself. */
          unit: string | null
          rinse: Rinse
          site: Site
          several: boolean
          condition: string | null
          opinion: boolean
          strictest: boolean
        }
      | { case: 'open'; low: number; high: number; names: string[] }
      | { case: 'acidity'; phMin: number; ph: number }
    )
  'legal.prohibited': LimitFacts & {
    rinse: Rinse
    site: Site
    condition: string | null
    uncertain: string | null
    strictest: boolean
  }
  'legal.unknown-content': {
    names: string[]
    substances: string[]
    over: { name: string; upToPercent: number; authority: string; maxPercent: number }[]
    likelyOnLabel: string[]
  }
  'label.name-allergens': {
    allergens: { name: string; percent: number }[]
    thresholdPercent: number
    rinse: Rinse
  }
  'label.releases-formaldehyde': { mostPercent: number; saidFromPercent: number }
  'claim.spf': { claim: string | null }
  'claim.natural': { names: string[] }
  'claim.unsupported': {
    claims: (
      | { case: 'needs'; claims: string[]; is: string; needs: string }
      | { case: 'contradicted'; claim: 'vegan' | 'fragrance-free'; names: string[] }
    )[]
  }

  'preservative.missing':
    | { case: 'none' }
    | { case: 'helpers'; names: string[]; weak: MicrobeGroup[] }
    | { case: 'gaps'; names: string[]; weak: MicrobeGroup[] }
  'preservative.unidentified': { names: string[]; sharesOnly: boolean }
  'preservative.low':
    | { case: 'dose'; name: string; percent: number; min: number; max: number }
    | {
        case: 'taken'
        weak: MicrobeGroup[]
        left: { name: string; percent: number }[]
        by: 'micelles' | 'oils'
      }
  'preservative.heat': { name: string; heatToC: number; heatMaxC: number }
  'preservative.ineffective': {
    names: string[]
    at: PhPoint
    weakOnly: boolean
    verdict: AcidVerdict
    acids: { inci: string; sharePercent: number }[]
    /** How much of the needed free acid is there, 0 to 1. */
    ofNeed: number
    short: MicrobeGroup[]
    /** Highest pH at which it is enough; null where none would do. */
    enoughUpTo: number | null
  }
  'preservative.outside-ph': {
    needs: { name: string; range: PhRange }[]
    at: PhPoint
    state: 'covered' | 'partly' | 'bare' | 'thin'
    weak: MicrobeGroup[]
  }

  'ph.no-shared-window': { pair: [PhNeed, PhNeed]; hard: boolean; others: number }
  'ph.outside-window':
    | { case: 'measured'; ph: number; target: PhRange | null; shared: PhRange; needs: PhNeed[] }
    | { case: 'target'; target: PhRange; shared: PhRange; needs: PhNeed[]; stuck: PhNeed | 'none' | null }
    | { case: 'part'; target: PhRange; shared: PhRange; aim: 'narrowed' | 'fits' | PhNeed | 'none' }
    | { case: 'preferred'; needs: PhNeed[] }
    | {
        case: 'predicted'
        ph: number
        band: PhRange
        aim: PhRange
        aimed: boolean
        needs: 'acid' | 'alkali'
      }
  'ph.unsafe': {
    at: PhPoint
    side: 'acidic' | 'alkaline'
    burns: boolean
    rinse: Rinse
    site: Site
    bears: PhRange
    irritants: string[]
    /** Where no target fits: the need that stands in the way. */
    stuck: PhNeed | 'none' | null
  }
  'ph.not-final': { case: 'additions'; names: string[] } | { case: 'phases'; after: string; later: string[] }
  'ph.not-measured': Plain
  'ph.not-measurable': Plain
  'ph.reading-implausible': { ph: number; band: PhRange; far: boolean; lactone: boolean }
  'ph.drift-expected': { names: string[]; why: string }
  'ph.strip-resolution': { ph: number; target: PhRange }
  'record.adjuster-not-counted': { names: string[] }

  'emulsion.no-emulsifier':
    | { case: 'unknown'; names: string[]; oilsPercent: number }
    | { case: 'none'; oilsPercent: number; waterPercent: number; solubiliser: boolean }
    | { case: 'helpers'; names: string[]; holdsSome: boolean }
  'emulsion.too-little-emulsifier': { emulsifierPercent: number; sharePercent: number; leastPercent: number }
  'emulsion.oil-load':
    | { case: 'oil-in-water'; oilPercent: number; turnsFromPercent: number; turns: boolean }
    | { case: 'water-in-oil'; waterPercent: number; mostPercent: number }
    | { case: 'emulsifier'; names: string[]; oilsPercent: number; mostPercent: number }
  'emulsion.hlb-mismatch': { offered: number; required: number; low: number; high: number }
  'emulsion.soap-in-acid': {
    names: string[]
    with: PhPoint | { is: 'acids'; names: string[] }
    splitsBelow: number
    emulsifies: boolean
  }
  'emulsion.emulsifier-outside-ph': { needs: { name: string; range: PhRange }[]; at: PhPoint }
  'thickener.outside-ph': { needs: { name: string; range: PhRange }[]; at: PhPoint }
  'thickener.electrolyte': { names: string[]; saltPercent: number; tolerancePercent: number }
  'thickener.needs-neutralising': { names: string[] }
  'thickener.no-slurry': { names: string[]; parts: number; in: string }
  'charge.clash': { cationic: string[]; anionic: string[] }
  'stability.bleeding': Plain
  'stability.no-chelator': { names: string[] }
  'stability.incompatible': { left: string[]; right: string[]; what: string; why: string }
  'oxidation.no-antioxidant': { oilsPercent: number }

  'solubility.no-solvent':
    { case: 'water'; solid: SolidFacts } | { case: 'oil'; name: string; oilsPercent: number }
  'solubility.may-crystallise':
    | { case: 'water'; solid: SolidFacts }
    | {
        case: 'premix'
        phase: string
        inci: string
        heldPercent: number
        percent: number
        celsius: number
        factor: number
      }
    | { case: 'oil'; name: string; oilsPercent: number; heldPercent: number; percent: number }

  'usage.above-max': {
    name: string
    percent: number
    min: number
    max: number
    effect: 'spent' | 'mild' | 'far' | 'usual'
    /** Lines that it is summed over, where there is more than one. */
    over: string[]
  }
  'usage.below-min': { name: string; percent: number; min: number; max: number }
  'usage.upper-part': { doses: { name: string; percent: number; commonPercent: number; above?: string }[] }
  'usage.scent-total': {
    percent: number
    gentlePercent: number
    mostPercent: number
    rinse: Rinse
    site: Site
    guessed: string[]
  }
  'usage.exfoliant-total':
    | { case: 'acids'; percent: number; freePercent: number; ph: number | null }
    | { case: 'mixed'; names: string[] }
  'usage.extract-load':
    | { case: 'raw'; names: string[]; stop: boolean; botanicals: number | null }
    | { case: 'many'; count: number; percent: number }

  'heat.sensitive-in-hot-phase':
    | { case: 'hot'; phase: string | null; heatToC: number; materials: { name: string; heatMaxC: number }[] }
    | { case: 'warm'; belowC: number; materials: { name: string; heatMaxC: number }[] }
    | { case: 'method'; names: string[]; heatToC: number; reason: HeatReason | null }
  'phase.wrong-solubility':
    | { case: 'water-in-oil'; name: string; phase: string | null }
    | { case: 'oil-in-water'; name: string; percent: number; solubiliserPercent: number }
  'process.order':
    | { case: 'must-melt'; name: string; meltsC: number; belowC: number | null; heatToC: number | null }
    | { case: 'no-temperature'; phase: string; heatToC: number; reason: HeatReason | null }
    | { case: 'hot-into-cold'; phase: string; target: string }
    | { case: 'acid-early'; names: string[] }
    | { case: 'base-early'; bases: string[]; polymers: string[] }
  'process.temperature-mismatch': { phase: string; givenC: number; hottestC: number; heatToC: number }
  'process.not-joined': { names: string[]; step: { said: StepSaid; ownTitle: string | undefined } }
  'process.hydration-time': {
    long: { name: string; hours: { min: number; max: number } }[]
    short: string[]
  }
  'process.make-up-water': { phases: string[]; min: number; max: number; small: boolean }

  'safety.sun': Who & { by: 'acid' | 'retinoid' }
  'safety.salicylate': Who
  'safety.pregnancy': Who
  'safety.lye': Who
  'safety.acid': Who
  'safety.fragrance': Who
  'safety.dust': Who
  'safety.flammable': Who
  'safety.eye': { names: string[] }
  'safety.unpreserved': Plain
  'safety.hot': { celsius: number }
  'safety.sale': { for: 'sale' | 'gift' }
}

/** A solid in the water phase, and how much of it stays dissolved. */
interface SolidFacts {
  inci: string
  percent: number
  mostPercent: number
  factor: number
  /** pH that counts, where it counts. */
  ph: number | null
  cold: boolean
  fate: 'dry' | 'crystals' | 'suspended' | 'needles' | 'held' | 'sinks'
}

/** What a remedy does, by code; the edit beside it does it. */
export interface RemedyFacts {
  'use-usual-amounts': { count: number; percent: number }
  'keep-percent': { percent: number }
  'use-grams': { percent: number }
  'add-adjuster': { percent: number; weighedAs: string; ph: number }
  'add-material': { percent: number; name: string }
  'lower-by': { percent: number; name: string }
  'lower-to': { percent: number }
  'raise-to': { percent: number; name: string }
  'set-to': { percent: number }
  'set-line-to': { percent: number; name: string }
  'fill-up': { name: string }
  remove: { name: string }
  'remove-claims': { count: number }
  'state-challenge-test': Plain
  'declare-fresh': Plain
  /** To a phase by its name, or by what it is where it has none. */
  'move-to': { several: boolean; phase: string | null; role: Role }
  'move-to-adjust': { names: string[] }
  'keep-cold': { several: boolean }
  'add-phase-below': { celsius: number }
  'heat-phase': { phase: string | null; celsius: number }
  'restore-step': Plain
  'add-when-cool': Plain
  'aim-for': { range: PhRange }
  'make-grams': { grams: number }
  'choose-grade': { label: string }
}

/** Where the numbers of a finding come from. */
export type Source =
  | 'arithmetic'
  | 'catalogue'
  | 'common-practice'
  | 'safety-practice'
  | 'melting-ranges'
  | 'challenge-test'
  | 'partition'
  | 'free-acid'
  | 'electroneutrality'
  | 'hlb'
  | 'aha-opinion'
  | 'claims-law'
  | 'sale-law'
  | 'uv-tests'
  | 'natural-origin'
  | 'formaldehyde-law'
  | { cite: 'material'; of: { source: string; confidence: string | null }[] }
  | { cite: 'limit'; source: string; reviewed: string; confidence: string }
  | { cite: 'solubility'; source: string }
  | { cite: 'weighing'; repeatabilityGiven: boolean }
  | { cite: 'data'; source: string }
