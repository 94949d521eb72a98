import type { FindingFacts } from '../../../findings/facts.ts'
import { formatCelsius, listWords, sayNumber, sayPercent } from '../../../text/format.ts'
import type { HeatReason } from '../../../procedure/step-facts.ts'
import { say } from '../../say.ts'
import { heatReasons } from '../routes.ts'
import { titleOf } from '../steps.ts'
import { itThem, type FindingText, type FindingWords } from './shared.ts'

const reasonOf = (reason: HeatReason | null) => (reason ? say(heatReasons, reason) : '')
function tooHot(f: FindingFacts['heat.sensitive-in-hot-phase']): FindingText {
  switch (f.case) {
    case 'hot':
      return {
        message: `${f.phase ?? 'The phase'} is heated to ${formatCelsius(f.heatToC)}, and ${listWords(f.materials.map((m) => `${m.name} tolerates ${formatCelsius(m.heatMaxC)}`))}.`,
        why: `Heat reduces strength, scent or structure. Add ${itThem(f.materials.length)} after cooling.`,
      }
    case 'warm':
      return {
        message: `${listWords(f.materials.map((m) => `${m.name} tolerates ${formatCelsius(m.heatMaxC)}`))}; its phase is added below ${formatCelsius(f.belowC)}.`,
        why: 'Let the batch cool a little further first.',
      }
    case 'method':
      return {
        message: `${listWords(f.names)} would be heated to ${formatCelsius(f.heatToC)} with its phase.`,
        why: `${reasonOf(f.reason)} Move it to a cool-down phase.`,
      }
  }
}

function order(f: FindingFacts['process.order']): FindingText {
  switch (f.case) {
    case 'must-melt':
      return {
        message: `${f.name} melts at about ${formatCelsius(f.meltsC)}; its phase ${f.belowC !== null ? `is added below ${formatCelsius(f.belowC)}` : `is heated to ${formatCelsius(f.heatToC!)}`}.`,
        why: 'It would stay as unmelted grains. Melt it completely with the oils.',
      }
    case 'no-temperature':
      return {
        message: `${f.phase} has no temperature; the method heats it to ${formatCelsius(f.heatToC)}.`,
        why: reasonOf(f.reason),
      }
    case 'hot-into-cold':
      return {
        message: `${f.phase} is poured hot into ${f.target}, which is cold.`,
        why: 'Dissolved solids come out as lumps in the cold. Let it cool below 40 °C and pour it in a thin stream.',
      }
    case 'acid-early':
      return {
        message: `${listWords(f.names)} would be added before the emulsion is formed.`,
        why: 'Acids and salts weaken many emulsifiers while droplets form. Add it in small portions to the cooled emulsion, then blend again.',
      }
    case 'base-early':
      return {
        message: `${listWords(f.bases)} is in the same phase as ${listWords(f.polymers)}. The method adds it after hydration.`,
        why: 'A base thickens the dry polymer around itself and leaves lumps. Put the base in a phase of its own.',
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
          message: `${f.name} is soluble in water, and it is in ${f.phase ?? 'the oil phase'}.`,
          why: 'In oil it settles as droplets or crystals.',
        }
      : {
          message: `${f.name} is not soluble in water, and nothing in its phase emulsifies it.`,
          why:
            f.solubiliserPercent > 0
              ? `${sayPercent(f.solubiliserPercent)} solubiliser is too little for ${sayPercent(f.percent)} oil: 3 to 8 parts per part of oil are usual.`
              : 'The oil would float on top. Move it to the oil phase, or mix it with a solubiliser first.',
        },
  'process.order': order,
  'process.temperature-mismatch': (f) => ({
    message: `${f.phase} is set to ${formatCelsius(f.givenC)} and is combined with a phase at ${formatCelsius(f.hottestC)}.`,
    why: `Waxes and fatty alcohols set in a cooler phase and leave grains. The method heats it to ${formatCelsius(f.heatToC)}.`,
  }),
  'process.not-joined': ({ names, step }) => ({
    message: `${listWords(names)} ${names.length === 1 ? 'is' : 'are'} in no step: “${titleOf(step)}” was removed from the method.`,
    why: `No step of the method adds ${names.length === 1 ? 'this ingredient' : 'these ingredients'}.`,
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
    why: 'Hydration takes longer in the cold. Early lumps disappear; grains at filling mean that it is not finished. Judge the viscosity the next day.',
  }),
  'process.make-up-water': ({ phases, min, max, small }) => ({
    message: `Phase ${listWords(phases)} loses water while hot, often ${min} to ${max} %.`,
    why: `${small ? 'A small beaker loses more than a large one. ' : ''}Cover it, or weigh before and after and replace the loss. Otherwise everything else becomes more concentrated.`,
  }),
}
