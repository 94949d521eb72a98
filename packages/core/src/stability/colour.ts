import type { Said } from '../text/said.ts'
import type { AsideFacts } from './verdict-facts.ts'
import { converter, differenceCiede2000, type Lab65 } from 'culori'
import type { Rgb, SeenColour } from '../shapes/stability.ts'

/** CIELAB with the white of daylight (D65). */
export interface Lab {
  l: number
  a: number
  b: number
}

const toLab = converter('lab65')
const differs = differenceCiede2000()
const asLab65 = ({ l, a, b }: Lab): Lab65 => ({ mode: 'lab65', l, a, b })

/** How unlike two colours look: ΔE00 (CIEDE2000). */
export const deltaE = (x: Lab, y: Lab) => differs(asLab65(x), asLab65(y))

/** What a channel of a picture stands for in light, 0 to 1 (sRGB). */
const linear = (c: number) => (c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4)
/** An even grey card reflects so much; plain white paper that much. */
export const GREY_CARD = 0.18
export const WHITE_PAPER = 0.85

/** Beyond these a channel has run out: nothing can be measured in it. */
const DARKEST = 4
const BRIGHTEST = 251

/** The colour of a product in a photograph, put right by the card beside it; null where the picture is too dark or burnt. */
export function labOf({ product, card, cardReflects }: SeenColour): Lab | null {
  const outside = (c: number) => c < DARKEST || c > BRIGHTEST
  if (card.some(outside) || product.some((c) => c > BRIGHTEST)) return null
  const [r, g, b] = product.map((c, i) => (linear(c) * cardReflects) / linear(card[i]!)) as [
    number,
    number,
    number,
  ]
  const lab = toLab({ mode: 'lrgb', r, g, b })
  return { l: lab.l, a: lab.a, b: lab.b }
}

/** Light of two pictures differs too much to tell from so many times on, and a cast from so much. */
const MOST_EXPOSURE = 2
const MOST_CAST = 1.25

/** Whether two cards were seen in light so unlike that the phone will have bent the tones: nothing can be told then. */
export function lightDiffers(x: Rgb, y: Rgb): boolean {
  const ratio = x.map((c, i) => linear(c) / Math.max(1e-6, linear(y[i]!)))
  const [least, most] = [Math.min(...ratio), Math.max(...ratio)]
  return most > MOST_EXPOSURE || least < 1 / MOST_EXPOSURE || most / least > MOST_CAST
}

/** What changed between two pictures; or why it cannot be told. */
export function colourChange(
  first: SeenColour,
  now: SeenColour,
):
  | { deltaE: number; yellower: number }
  | { why: Extract<Said<AsideFacts>, { code: 'picture-exposure' | 'other-card' | 'other-light' }> } {
  const [a, b] = [labOf(first), labOf(now)]
  if (!a || !b) return { why: { code: 'picture-exposure' } }
  if (first.cardReflects !== now.cardReflects) return { why: { code: 'other-card' } }
  if (lightDiffers(first.card, now.card)) return { why: { code: 'other-light' } }
  return { deltaE: deltaE(a, b), yellower: b.b - a.b }
}
