import type { HarmlessFacts } from '../../../bench/cause-facts.ts'
import type { Symptom } from '../../../bench/symptoms.ts'
import { listWords, sayNumber } from '../../../text/format.ts'
import type { Sentences } from '../../../text/said.ts'
import { emulsion } from './emulsion.ts'
import { grain } from './grain.ts'
import { measured } from './measured.ts'
import { skin } from './skin.ts'
import type { CauseWords } from './shared.ts'

export const causes: CauseWords = { ...emulsion, ...grain, ...measured, ...skin }

export const symptoms: Record<Symptom, string> = {
  'thin-after-acid': 'Thinned after acid was added',
  thin: 'Too thin',
  thick: 'Too thick',
  grainy: 'Grainy',
  lumps: 'Lumps',
  split: 'Separated into layers',
  oil: 'Oil on the surface',
  foam: 'Air or foam',
  crystals: 'Crystals',
  colour: 'Colour change',
  smell: 'Off smell',
  'ph-stuck': 'pH does not change',
  'ph-over': 'pH overshot',
  stings: 'Stinging',
  whitens: 'Whitening when rubbed in',
  soaps: 'Soaping on the skin',
  pills: 'Pilling',
  greasy: 'Too greasy',
  pump: 'Does not dispense properly',
  'oil-later': 'Oil separation after days',
  'ph-later': 'pH drift after days',
}

/** When a batch with this symptom must be thrown away. */
export const discard: Record<Symptom, string> = {
  'thin-after-acid':
    'A wrong pH alone can be corrected. Discard it only if layers remain after pH and shear are corrected.',
  thin: 'A thin cream is safe. Discard it only if water or oil separates and cannot be re-emulsified.',
  thick: 'A thick cream is safe.',
  grainy: 'Grains are safe. Discard only if they scratch thin skin.',
  lumps: 'Lumps of gum are safe on skin, but a preservative may not reach inside them. Sieve them out.',
  split: 'Discard it if it stays separated: the preservative is no longer where the water is.',
  oil: 'Discard it if oil reappears after two rounds of blending.',
  foam: 'Air is safe.',
  crystals: 'Discard it if sharp crystals remain in a leave-on product.',
  colour: 'Discard it if the colour keeps changing or the smell changes too.',
  smell: 'Discard it if it smells mouldy, sour or rancid. Never mask the smell with fragrance.',
  'ph-stuck': 'No need to discard it.',
  'ph-over':
    'Discard it if salt has built up until the cream stays thin, or if it was at pH 9 or above for hours.',
  stings:
    'Wash it off and stop. Discard it if the pH is outside what skin tolerates. See a doctor if the skin stays red.',
  whitens: 'Safe to use.',
  soaps: 'Safe to use.',
  pills: 'Safe to use.',
  greasy: 'Safe to use.',
  pump: 'Safe to use. Scoop it into a clean jar and keep fingers out.',
  'oil-later': 'Discard it: where it separates, the preservative is no longer where the water is.',
  'ph-later':
    'Discard the batch once its pH is outside the range of the preservation or of what skin tolerates.',
}

export const harmless: Sentences<HarmlessFacts> = {
  'thin-while-hot': ({ celsius }) =>
    `Products are thin while hot, and this one was ${sayNumber(celsius, 1)} °C. Judge it cold, tomorrow.`,
  'hot-after-acid': () => 'Still hot, which also thins it. Judge it cold.',
  'hyaluronate-clumps': ({ names }) =>
    `${listWords(names)} looks clumped at first and hydrates by itself within hours. Cover and wait first.`,
  bubbles: () => 'Bubbles are harmless. They only affect appearance and filling.',
  'thickens-overnight': () => 'Creams thicken overnight and soften a little in use.',
  'wax-specks': () => 'Specks of wax that melt on the skin are harmless. Check again when it is cold.',
}
