import type { FindingFacts } from '../../../findings/facts.ts'
import { formatCelsius, listWords, sayNumber, sayPercent } from '../../../text/format.ts'
import { itThem, type FindingText, type FindingWords } from './shared.ts'

function tooHot(f: FindingFacts['heat.sensitive-in-hot-phase']): FindingText {
  switch (f.case) {
    case 'hot':
      return {
        message: `${f.phase ?? 'The phase'} is heated to ${formatCelsius(f.heatToC)}, and ${listWords(f.materials.map((m) => `${m.name} stands ${formatCelsius(m.heatMaxC)}`))}.`,
        why: `Heat reduces strength, scent or structure. Add ${itThem(f.materials.length)} when the batch has cooled.`,
      }
    case 'warm':
      return {
        message: `${listWords(f.materials.map((m) => `${m.name} wants ${formatCelsius(m.heatMaxC)} or less`))}; the phase goes in below ${formatCelsius(f.belowC)}.`,
        why: 'Let it cool a little further first.',
      }
    case 'method':
      return {
        message: `${listWords(f.names)} would be heated to ${formatCelsius(f.heatToC)} with its phase.`,
        why: `${f.reason} Put what is delicate into a cool-down phase.`,
      }
  }
}

function order(f: FindingFacts['process.order']): FindingText {
  switch (f.case) {
    case 'must-melt':
      return {
        message: `${f.name} melts at about ${formatCelsius(f.meltsC)}; its phase ${f.belowC !== null ? `goes in below ${formatCelsius(f.belowC)}` : `is heated to ${formatCelsius(f.heatToC!)}`}.`,
        why: 'Unmelted grains remain. Melt it fully with the oils.',
      }
    case 'no-temperature':
      return {
        message: `${f.phase} has no temperature; the method heats it to ${formatCelsius(f.heatToC)}.`,
        why: f.reason,
      }
    case 'hot-into-cold':
      return {
        message: `${f.phase} is poured hot into ${f.target}, which is cold.`,
        why: 'What it holds dissolved comes out in lumps where it meets the cold. Let it cool below 40 °C and pour it in a thin stream.',
      }
    case 'acid-early':
      return {
        message: `${listWords(f.names)} would be in before the emulsion stands.`,
        why: 'Acid and salt make many emulsifiers let go while the drops form. In small parts into the cool emulsion, then blended again, it holds.',
      }
    case 'base-early':
      return {
        message: `${listWords(f.bases)} stands with ${listWords(f.polymers)}; the method keeps it until that is wet.`,
        why: 'Met by a base while it is dry, it thickens around the powder, and the lumps stay. Most makers give the base a phase of its own.',
      }
  }
}

export const making: FindingWords<
  | 'heat.sensitive-in-hot-phase'
  | 'phase.wrong-solubility'
  | 'process.order'
  | 'process.temperature-mismatch'
  | 'process.not-joined'
  | 'process.hydration-time'
  | 'process.make-up-water'
> = {
  'heat.sensitive-in-hot-phase': tooHot,
  'phase.wrong-solubility': (f) =>
    f.case === 'water-in-oil'
      ? {
          message: `${f.name} dissolves in water, and it stands in ${f.phase ?? 'the oil phase'}.`,
          why: 'In oil it settles as drops or crystals.',
        }
      : {
          message: `${f.name} does not dissolve in water, and nothing in its phase carries it.`,
          why:
            f.solubiliserPercent > 0
              ? `${sayPercent(f.solubiliserPercent)} solubiliser is little for ${sayPercent(f.percent)}: 3 to 8 parts for one of oil are usual.`
              : 'The oil would float. Move it to the oil phase, or mix it with a solubiliser first.',
        },
  'process.order': order,
  'process.temperature-mismatch': (f) => ({
    message: `${f.phase} is given ${formatCelsius(f.givenC)} and meets a part of ${formatCelsius(f.hottestC)}.`,
    why: `Waxes and fatty alcohols set where they meet something cooler and leave grains; the method heats it to ${formatCelsius(f.heatToC)}.`,
  }),
  'process.not-joined': ({ names, step }) => ({
    message: `${listWords(names)} ${names.length === 1 ? 'is' : 'are'} in no step: “${step}” was taken out of the method.`,
    why: 'No step of the method adds this ingredient.',
  }),
  'process.hydration-time': ({ long, short }) => ({
    message: `${listWords([
      ...long.map(
        ({ name, hours }) => `${name} takes ${sayNumber(hours.min)} to ${sayNumber(hours.max)} hours`,
      ),
      ...(short.length > 0
        ? [`${listWords(short)} ${short.length > 1 ? 'take' : 'takes'} minutes in a slurry and up to an hour`]
        : []),
    ])} to hydrate.`,
    why: 'Longer in the cold. Lumps at first are harmless and even out; grains at filling are not finished. Judge thickness the next day.',
  }),
  'process.make-up-water': ({ phases, min, max, small }) => ({
    message: `Phase ${listWords(phases)} loses water while it is hot, often ${min} to ${max} %.`,
    why: `${small ? 'A small beaker loses more than a big one. ' : ''}Cover it, or weigh before and after and put back what left; otherwise every other percent rises.`,
  }),
}
