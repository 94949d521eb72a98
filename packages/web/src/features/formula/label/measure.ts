import type { Measure } from '@omblet/core'
import { shallowRef } from 'vue'

export const FAMILY = "'Atkinson Hyperlegible Next Variable', sans-serif"
const SCALE = 100

/** Heights of letters where the browser cannot tell them, of the size (measured once on the type that ships). */
const X_HEIGHT = 0.496
const CAP_HEIGHT = 0.668

function makeMeasure(): Measure {
  const pen = document.createElement('canvas').getContext('2d')
  if (!pen)
    return { width: (text, size) => text.length * size * 0.52, xHeight: X_HEIGHT, capHeight: CAP_HEIGHT }
  const known = new Map<string, number>()
  const heightOf = (letter: string, usual: number) => {
    pen.font = `400 ${SCALE}px ${FAMILY}`
    return pen.measureText(letter).actualBoundingBoxAscent / SCALE || usual
  }
  return {
    width(text, size, bold) {
      const key = `${bold ? 'b' : ''}${text}`
      let width = known.get(key)
      if (width === undefined) {
        pen.font = `${bold ? 700 : 400} ${SCALE}px ${FAMILY}`
        known.set(key, (width = pen.measureText(text).width / SCALE))
      }
      return width * size
    },
    xHeight: heightOf('x', X_HEIGHT),
    capHeight: heightOf('H', CAP_HEIGHT),
  }
}

/** Measures text in the type of the labels; anew once that type has come. */
export function useMeasure() {
  const measure = shallowRef(makeMeasure())
  void Promise.all([document.fonts.load(`400 20px ${FAMILY}`), document.fonts.load(`700 20px ${FAMILY}`)])
    .then(() => (measure.value = makeMeasure()))
    .catch(() => undefined)
  return measure
}
