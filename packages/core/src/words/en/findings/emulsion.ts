import type { FindingFacts, PhPoint } from '../../../findings/facts.ts'
import { formatRange, listWords, sayNumber, sayPercent } from '../../../text/format.ts'
import { about, phPoint, plain, type FindingText, type FindingWords } from './shared.ts'

function noEmulsifier(f: FindingFacts['emulsion.no-emulsifier']): FindingText {
  switch (f.case) {
    case 'unknown':
      return {
        message: `Not enough data to tell whether ${listWords(f.names)} can emulsify ${sayPercent(f.oilsPercent)} oils.`,
        why: 'Only the name is known. Choose the INCI name, or describe it as your own ingredient.',
      }
    case 'none':
      return {
        message: `${sayPercent(f.oilsPercent)} oils and ${sayPercent(Number(f.waterPercent.toFixed(1)))} water without an emulsifier.`,
        why: f.solubiliser
          ? 'The solubiliser is too little for that much oil: it will separate.'
          : 'Oil and water separate within minutes. Add an emulsifier.',
      }
    case 'helpers':
      return {
        message: f.holdsSome
          ? `${listWords(f.names)} alone emulsifies little oil, and not for long.`
          : `${listWords(f.names)} is only a co-emulsifier, and there is no main emulsifier.`,
        why: 'A co-emulsifier thickens and stabilises, but the droplets coalesce within days. Add an O/W emulsifier.',
      }
  }
}

function oilLoad(f: FindingFacts['emulsion.oil-load']): FindingText {
  switch (f.case) {
    case 'oil-in-water':
      return {
        message: `${sayPercent(Math.round(f.oilPercent))} of oils and water are oils.`,
        why: f.turns
          ? `Round drops fill at most about ${sayPercent(f.turnsFromPercent)}: beyond that it splits or turns over, unless the emulsifier is made for it.`
          : 'Hard to emulsify, and stiff. Use less oil, or an emulsifier made for high oil content.',
      }
    case 'water-in-oil':
      return {
        message: `${sayPercent(Math.round(f.waterPercent))} of oils and water are water, in oil.`,
        why: `Above ${sayPercent(f.mostPercent)} only special emulsifiers hold it; more oil, or less water.`,
      }
    case 'emulsifier':
      return {
        message: `${sayPercent(f.oilsPercent)} of oils is more than ${listWords(f.names)} usually holds (${sayPercent(f.mostPercent)}).`,
        why: 'Lower the oils, or add a second emulsifier.',
      }
  }
}

const outside = (needs: FindingFacts['thickener.outside-ph']['needs'], at: PhPoint) =>
  `${listWords(needs.map((x) => `${x.name} holds at pH ${formatRange(x.range)}`))}; ${
    at.is === 'measured'
      ? `the pH read is ${sayNumber(at.ph, 2)}`
      : `the target is ${at.is === 'predicted' ? sayNumber(at.ph, 1) : formatRange(at.range)}`
  }.`

export const emulsion: FindingWords<
  | 'emulsion.no-emulsifier'
  | 'emulsion.too-little-emulsifier'
  | 'emulsion.oil-load'
  | 'emulsion.hlb-mismatch'
  | 'emulsion.soap-in-acid'
  | 'emulsion.emulsifier-outside-ph'
  | 'thickener.outside-ph'
  | 'thickener.electrolyte'
  | 'thickener.needs-neutralising'
  | 'thickener.no-slurry'
  | 'charge.clash'
  | 'stability.bleeding'
  | 'stability.no-chelator'
  | 'stability.incompatible'
  | 'oxidation.no-antioxidant'
> = {
  'emulsion.no-emulsifier': noEmulsifier,
  'emulsion.too-little-emulsifier': (f) => ({
    message: `${sayPercent(f.emulsifierPercent)} emulsifier is ${sayPercent(Math.round(f.sharePercent))} of the oil phase.`,
    why: `${sayPercent(f.leastPercent)} or more is usual here; with less it may separate in weeks.`,
  }),
  'emulsion.oil-load': oilLoad,
  'emulsion.hlb-mismatch': (f) => ({
    message: `The emulsifiers have HLB ${sayNumber(f.offered, 1)}; the oils require about ${sayNumber(f.required, 1)} (${sayNumber(f.low, 1)}–${sayNumber(f.high, 1)} in the tables).`,
    why: `${f.offered > f.required ? 'More of the oil-loving' : 'More of the water-loving'} partner brings them together. Within ± 1 is as good as the tables.`,
  }),
  'emulsion.soap-in-acid': (f) => ({
    message: `${listWords(f.names)} ${f.names.length > 1 ? 'turn' : 'turns'} into fatty acid ${f.with.is === 'acids' ? `with ${listWords(f.with.names)}` : `at ${phPoint(f.with)}`}.`,
    why: `Below pH ${f.splitsBelow} soap splits: the fatty acid separates and no longer ${f.emulsifies ? 'emulsifies' : 'cleanses'}. Leave out the acid, or use a surfactant or emulsifier that tolerates acid.`,
  }),
  'emulsion.emulsifier-outside-ph': ({ needs, at }) => ({
    message: outside(needs, at),
    why: 'The cream may look thin or split until the pH is back in range; then blend it again.',
  }),
  'thickener.outside-ph': ({ needs, at }) => ({
    message: outside(needs, at),
    why: 'The product thins there and usually recovers when the pH does. Do not discard the batch.',
  }),
  'thickener.electrolyte': (f) => ({
    message: `${about(f.saltPercent)} of salts thin ${listWords(f.names)}.`,
    why: `It stands about ${sayPercent(f.tolerancePercent)}. Xanthan, sclerotium gum or hydroxyethylcellulose hold with salt.`,
  }),
  'thickener.needs-neutralising': ({ names }) => ({
    message: `${listWords(names)} thickens when it is neutralised, and there is no base.`,
    why: 'About 0.4 part of sodium hydroxide, or 1.5 parts of triethanolamine, for one of carbomer brings it to pH 6. It counts in the formula.',
  }),
  'thickener.no-slurry': (f) => ({
    message: `${listWords(f.names)} lumps in bare water.`,
    why: `Wet it first in about ${sayNumber(f.parts)} parts of ${f.in}, or sprinkle it under shear.`,
  }),
  'charge.clash': ({ cationic, anionic }) => ({
    message: `${listWords(cationic)} is positively charged, ${listWords(anionic)} negatively.`,
    why: 'They bind each other and drop out as strings or grains. A nonionic thickener such as hydroxyethylcellulose goes with both.',
  }),
  'stability.bleeding': plain(
    'Water in oil without salt.',
    'Many such emulsions bleed water. 0.5 to 1 % magnesium sulfate or sodium chloride in the water keeps the drops.',
  ),
  'stability.no-chelator': ({ names }) => ({
    message: `${listWords(names)} without a chelator.`,
    why: 'Traces of iron and copper, which plants, juices and clays bring along, brown it and feed microbes. Sodium phytate or a glutamate chelator at 0.1 to 0.3 % binds them.',
  }),
  'stability.incompatible': ({ left, right, what, why }) => ({
    message: `${listWords(left)} and ${listWords(right)} ${what}.`,
    why,
  }),
  'oxidation.no-antioxidant': ({ oilsPercent }) => ({
    message: `No antioxidant with ${sayPercent(oilsPercent)} of oils that oxidise.`,
    why: 'Tocopherol at 0.1 to 0.5 % slows rancid smells; start with fresh oil.',
  }),
}
