export const ROOM_C = 21
/** Newton's k of a covered beaker of 100 g in still air and of one stirred in cold water, per minute (estimates). */
const K_AIR = 0.02
const K_BATH = 0.18

/**
 * Minutes until a batch has cooled, by Newton's law with a k that falls with the cube root of the mass; an estimate
 * good to half as much again. Null where it starts below.
 */
export function coolingMinutes(fromC: number, toC: number, grams: number, bath: boolean): number | null {
  if (toC >= fromC || toC <= ROOM_C) return toC >= fromC ? null : Infinity
  const k = (bath ? K_BATH : K_AIR) * Math.cbrt(100 / Math.max(20, grams))
  return Math.log((fromC - ROOM_C) / (toC - ROOM_C)) / k
}

/** Temperature after some minutes of cooling, °C; the same law and estimate. */
export function temperatureAfter(fromC: number, minutes: number, grams: number, bath: boolean): number {
  const k = (bath ? K_BATH : K_AIR) * Math.cbrt(100 / Math.max(20, grams))
  return ROOM_C + (fromC - ROOM_C) * Math.exp(-k * minutes)
}

/** Minutes to heat so much in a water bath: a quarter of an hour for 200 g (common practice). */
export const heatingMinutes = (grams: number) => Math.round(4 + 1.9 * Math.cbrt(Math.max(10, grams)))
