import type { Rgb } from '@omblet/core'

/** So far round the place that was tapped colours are averaged, as a share of the picture’s width. */
const RADIUS = 0.015

/** A place in a picture, 0 to 1 from its left and its top. */
export interface Place {
  x: number
  y: number
}

/** Where a picture was tapped. */
export function markAt(event: Pick<MouseEvent, 'clientX' | 'clientY'>, canvas: Element): Place {
  const box = canvas.getBoundingClientRect()
  const share = (v: number, from: number, size: number) => Math.min(1, Math.max(0, (v - from) / size))
  return { x: share(event.clientX, box.left, box.width), y: share(event.clientY, box.top, box.height) }
}

/** The mean of squares of channels round a place: what light does, roughly, and noise does not. */
export function meanOf(pixels: ArrayLike<number>): Rgb {
  const sums = [0, 0, 0]
  const n = pixels.length / 4
  for (let i = 0; i < pixels.length; i += 4)
    for (let c = 0; c < 3; c++) sums[c] = sums[c]! + pixels[i + c]! ** 2
  return sums.map((s) => Math.sqrt(s / n)) as Rgb
}

/** The colour round a place of a picture. */
export function meanColour(canvas: HTMLCanvasElement, { x, y }: Place): Rgb {
  const r = Math.max(1, Math.round(RADIUS * canvas.width))
  const left = Math.min(Math.max(0, Math.round(x * canvas.width) - r), Math.max(0, canvas.width - 2 * r))
  const top = Math.min(Math.max(0, Math.round(y * canvas.height) - r), Math.max(0, canvas.height - 2 * r))
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  return meanOf(context.getImageData(left, top, 2 * r, 2 * r).data)
}
