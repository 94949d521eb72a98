import { formatCelsius, listWords, uncapitalise } from '../../../text/format.ts'
import { LYE_CARE, LYE_ORDER, LYE_SPLASHES } from '../lye.ts'
import { plain, type FindingText, type FindingWords } from './shared.ts'

/** A caution names who it is about first. */
const of =
  (message: string, why: string) =>
  ({ who }: { who: string[] }): FindingText => ({
    message: `${listWords(who)}: ${uncapitalise(message)}`,
    why,
  })

const BURNS_IN_SUN = 'Skin burns more easily in the sun.'

export const safety: FindingWords<
  | 'safety.sun'
  | 'safety.salicylate'
  | 'safety.pregnancy'
  | 'safety.lye'
  | 'safety.acid'
  | 'safety.fragrance'
  | 'safety.dust'
  | 'safety.flammable'
  | 'safety.eye'
  | 'safety.unpreserved'
  | 'safety.hot'
  | 'safety.sale'
> = {
  'safety.sun': ({ who, by }) =>
    by === 'acid'
      ? of(
          BURNS_IN_SUN,
          'Use sunscreen by day, during use and for a week after. Start every second or third evening.',
        )({ who })
      : of(BURNS_IN_SUN, 'Evening use only, sunscreen by day. Start twice a week.')({ who }),
  'safety.salicylate': of(
    'Contains a salicylate.',
    'Not for people with aspirin allergy, children under 3, or large areas of skin.',
  ),
  'safety.pregnancy': of(
    'Ask a doctor or midwife first in pregnancy or when breastfeeding.',
    'Retinoids are avoided altogether then.',
  ),
  'safety.lye': of('Lye burns.', `${LYE_CARE} Long sleeves. ${LYE_ORDER} ${LYE_SPLASHES}`),
  'safety.acid': of(
    'The concentrated acid burns.',
    'Wear goggles and gloves, add acid to water, and ventilate.',
  ),
  'safety.fragrance': of(
    'Fragrance can cause allergy.',
    'Keep the dose low, and avoid eyes and babies. Patch test first.',
  ),
  'safety.dust': of('Fine dust.', 'Wear a close-fitting mask, pour slowly, wet it at once and wipe up wet.'),
  'safety.flammable': of(
    'Burns easily.',
    'No flame or hot plate nearby, ventilate, and warm only in a water bath off the heat.',
  ),
  'safety.eye': ({ names }) =>
    names.length > 0
      ? {
          message: `For the eye area, with ${listWords(names)}.`,
          why: 'Avoid fragrance, exfoliating acids and retinoids near the eye.',
        }
      : {
          message: 'For the eye area: keep it out of the eyes.',
          why: 'pH 6.5–7.5 is gentlest. Infections can harm sight: preserve well and use a pump or tube. Rinse with plenty of water if it gets in the eye.',
        },
  'safety.unpreserved': plain(
    'Fresh and unpreserved: refrigerate and use within 7 days.',
    'Make one week’s supply at most, use a clean spatula, and label it with date and time. Not for eyes, broken skin, children or anyone unwell. Do not give it away.',
  ),
  'safety.hot': ({ celsius }) => ({
    message: `Hot oil and wax at ${formatCelsius(celsius)} stick and burn.`,
    why: 'Use a water bath and dry glass, and never leave it unattended. Cool burns under running water for 20 minutes.',
  }),
  'safety.sale': (f) =>
    f.for === 'sale'
      ? {
          message: 'Selling falls under cosmetic law.',
          why: 'Usually a safety assessment, a challenge test, stability tests, a product file, notification, good manufacturing practice and a lawful label. Your local rules decide.',
        }
      : {
          message: 'A gift needs a label.',
          why: 'State the ingredients, the date, the shelf life and your name, so that people with allergies can check. In some places cosmetic law also covers gifts: your local rules decide.',
        },
}
