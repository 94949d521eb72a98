import type { DoesNotFit, SuitsFacts } from '../../fill/said.ts'
import { sayNumber, sayPercent } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'

/** Why a container does not suit a product, or what to mind. */
export const suits: Sentences<SuitsFacts> = {
  'alcohol-cracks': ({ wall, alcoholPercent }) =>
    `${wall} cracks with ${sayPercent(Number(alcoholPercent.toFixed(0)))} alcohol.`,
  'scent-attacks': ({ wall }) => `${wall} is attacked by this much fragrance or essential oil.`,
  'ph-attacks': ({ wall, ph }) => `${wall} does not resist pH ${sayNumber(ph, 1)}.`,
  'salt-pits': ({ wall }) => `${wall} pits with salt.`,
  'absorbs-scent': ({ wall }) => `${wall} absorbs part of the fragrance.`,
  'too-thick': () => 'Too thick for this container.',
  'too-thin': () => 'Too thin for this container: it runs, spits or spills.',
  'near-its-limits': () => 'The viscosity may be outside the range of this container. Test one first.',
  rusts: () => 'Water rusts the metal, and a lid that is not airtight lets the product dry out.',
  'open-jar': () => 'Fingers and air reach in: use a broad-spectrum preservative and a spatula.',
  whipped: () => 'A whipped product cannot be pumped.',
}
export const doesNotFit = ({ grams, holdsMl, goInGrams }: DoesNotFit) =>
  `${sayNumber(grams, 1)} g do not fit ${sayNumber(holdsMl, 1)} mL: about ${sayNumber(goInGrams, 0)} g go in.`
