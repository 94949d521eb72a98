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
        message: `${sayPercent(f.oilsPercent)} oils and ${sayPercent(Number(f.waterPercent.toFixed(1)))} water, and no emulsifier.`,
        why: f.solubiliser
          ? 'Too little solubiliser for this much oil: it will separate.'
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
        message: `Internal phase: ${sayPercent(Math.round(f.oilPercent))} oil.`,
        why: f.turns
          ? `Round droplets pack to about ${sayPercent(f.turnsFromPercent)} at most. Above that the emulsion separates or inverts, unless the emulsifier is made for it.`
          : 'Difficult to emulsify, and stiff. Use less oil, or an emulsifier made for high oil content.',
      }
    case 'water-in-oil':
      return {
        message: `Internal phase: ${sayPercent(Math.round(f.waterPercent))} water, in a W/O emulsion.`,
        why: `Above ${sayPercent(f.mostPercent)} only special emulsifiers keep it stable. Use more oil or less water.`,
      }
    case 'emulsifier':
      return {
        message: `${sayPercent(f.oilsPercent)} oils is more than ${listWords(f.names)} usually emulsifies (${sayPercent(f.mostPercent)}).`,
        why: 'Lower the oils, or add a second emulsifier.',
      }
  }
}

const outside = (needs: FindingFacts['thickener.outside-ph']['needs'], at: PhPoint) =>
  `${listWords(needs.map((x) => `${x.name} is stable at pH ${formatRange(x.range)}`))}; ${
    at.is === 'measured'
      ? `the measured pH is ${sayNumber(at.ph, 2)}`
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
    message: `${sayPercent(f.emulsifierPercent)} emulsifier is only ${sayPercent(Math.round(f.sharePercent))} of the oil phase.`,
    why: `${sayPercent(f.leastPercent)} or more is usual here. With less it may separate within weeks.`,
  }),
  'emulsion.oil-load': oilLoad,
  'emulsion.hlb-mismatch': (f) => ({
    message: `The emulsifiers have HLB ${sayNumber(f.offered, 1)}; the oils require about ${sayNumber(f.required, 1)} (${sayNumber(f.low, 1)}–${sayNumber(f.high, 1)} in the tables).`,
    why: `Use more of the ${f.offered > f.required ? 'low-HLB' : 'high-HLB'} emulsifier. The tables are accurate to ± 1.`,
  }),
  'emulsion.soap-in-acid': (f) => ({
    message: `${listWords(f.names)} ${f.names.length > 1 ? 'turn' : 'turns'} into fatty acid ${f.with.is === 'acids' ? `with ${listWords(f.with.names)}` : `at ${phPoint(f.with)}`}.`,
    why: `Below pH ${f.splitsBelow} soap splits: the fatty acid separates and no longer ${f.emulsifies ? 'emulsifies' : 'cleanses'}. Leave out the acid, or use a surfactant or emulsifier that tolerates acid.`,
  }),
  'emulsion.emulsifier-outside-ph': ({ needs, at }) => ({
    message: outside(needs, at),
    why: 'The emulsion may look thin or separate until the pH is back in range. Then blend it again.',
  }),
  'thickener.outside-ph': ({ needs, at }) => ({
    message: outside(needs, at),
    why: 'The product thins at this pH and usually recovers when the pH is corrected. Do not discard the batch.',
  }),
  'thickener.electrolyte': (f) => ({
    message: `${about(f.saltPercent)} salts will thin ${listWords(f.names)}.`,
    why: `Electrolyte tolerance about ${sayPercent(f.tolerancePercent)}. Xanthan gum, sclerotium gum and hydroxyethylcellulose tolerate salt.`,
  }),
  'thickener.needs-neutralising': ({ names }) => ({
    message: `${listWords(names)} thickens only when neutralised, and there is no base.`,
    why: 'About 0.4 parts of sodium hydroxide, or 1.5 parts of triethanolamine, per part of carbomer give pH 6. Include it in the formula.',
  }),
  'thickener.no-slurry': (f) => ({
    message: `${listWords(f.names)} lumps in plain water.`,
    why: `Wet it first in about ${sayNumber(f.parts)} parts of ${f.in}, or sprinkle it in under high shear.`,
  }),
  'charge.clash': ({ cationic, anionic }) => ({
    message: `${listWords(cationic)} is positively charged, ${listWords(anionic)} negatively.`,
    why: 'Opposite charges bind and precipitate as strings or grains. A nonionic thickener such as hydroxyethylcellulose is compatible with both.',
  }),
  'stability.bleeding': plain(
    'W/O emulsion without an electrolyte.',
    'Many W/O emulsions bleed water. Add 0.5–1 % magnesium sulfate or sodium chloride to the water phase.',
  ),
  'stability.no-chelator': ({ names }) => ({
    message: `No chelator with ${listWords(names)}.`,
    why: 'Traces of iron and copper discolour the product and weaken its preservation. Add sodium phytate or a glutamate chelator at 0.1–0.3 %.',
  }),
  'stability.incompatible': ({ left, right, what, why }) => ({
    message: `${listWords(left)} and ${listWords(right)} ${what}.`,
    why,
  }),
  'oxidation.no-antioxidant': ({ oilsPercent }) => ({
    message: `No antioxidant with ${sayPercent(oilsPercent)} of oils that oxidise.`,
    why: 'Add tocopherol at 0.1–0.5 % to slow rancidity, and start with fresh oil.',
  }),
}
