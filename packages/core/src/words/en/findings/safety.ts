import { formatCelsius, listWords, uncapitalise } from '../../../text/format.ts'
import { LYE_CARE, LYE_ORDER } from '../../../text/lye.ts'
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
      : of(BURNS_IN_SUN, 'Evening use only, sunscreen by day, start twice a week.')({ who }),
  'safety.salicylate': of(
    'Contains a salicylate.',
    'Not for aspirin allergy, not for children under 3, not over large areas.',
  ),
  'safety.pregnancy': of(
    'Ask a doctor or midwife first in pregnancy or when breastfeeding.',
    'Retinoids are left out altogether then.',
  ),
  'safety.lye': of(
    'Lye burns.',
    `${LYE_CARE} Long sleeves. ${LYE_ORDER} On skin or eyes: running water for 20 minutes, then medical help.`,
  ),
  'safety.acid': of('The concentrated acid burns.', 'Goggles and gloves; acid into water; good air.'),
  'safety.fragrance': of(
    'Scent can cause allergy.',
    'Keep it low, not near the eyes, not for babies. Patch test.',
  ),
  'safety.dust': of('Fine dust.', 'Wear a close mask, pour slowly, wet it at once, wipe up wet.'),
  'safety.flammable': of(
    'Burns easily.',
    'No flame, ring or hot plate near; good air; warm only in a water bath off the flame.',
  ),
  'safety.eye': ({ names }) =>
    names.length > 0
      ? {
          message: `For the eye area, with ${listWords(names)}.`,
          why: 'Nothing that stings or smells belongs near the eye: no fragrance, no exfoliating acids, no retinoids on the lid.',
        }
      : {
          message: 'For the eye area: keep it out of the eye itself.',
          why: 'pH 6.5 to 7.5 is gentlest. Infection can harm sight, so preserve well and use a pump or tube. Rinse with much water if it gets in.',
        },
  'safety.unpreserved': plain(
    'Fresh and unpreserved: fridge, and use it up within 7 days.',
    'Make one week’s worth at most, take it out with a clean spatula, label it with day and hour. Not for eyes, broken skin, children or anyone unwell. Do not give it away.',
  ),
  'safety.hot': ({ celsius }) => ({
    message: `Hot oil and wax at ${formatCelsius(celsius)} stick and burn.`,
    why: 'Water bath, never direct or unattended; dry glass; cool burns under running water for 20 minutes.',
  }),
  'safety.sale': (f) =>
    f.for === 'sale'
      ? {
          message: 'Selling falls under cosmetic law.',
          why: 'Usually a safety assessment, a challenge test, stability tests, a product file, notification, good manufacturing practice and a lawful label. Your local rules decide.',
        }
      : {
          message: 'A gift wants a label.',
          why: 'Ingredients, date, how long it keeps and your name, so that someone with an allergy can tell. Giving away in some places falls under cosmetic law too: your local rules decide.',
        },
}
