import { shallowRef } from 'vue'

/** What is asked when the clock of the machine ran away from the time that passed on this page. */
export interface Jump {
  /** Milliseconds that the clock went ahead by itself. */
  ms: number
}

/**
 * A clock that nobody sets: the time of day as it was when the page was opened, counted on by what really passed. Where
 * the machine's clock goes back, nothing happens here; where it goes ahead, either the machine slept or its clock was set,
 * which cannot be told apart, so it is a question. Both clocks in milliseconds.
 */
export function makeSteady(wall: () => number, passed: () => number) {
  let base = wall() - passed()
  /** How far the machine's clock was set since. */
  let set = 0
  const drift = () => wall() - (base + passed()) - set
  return {
    now: () => base + passed(),
    /** Looks at the machine's clock; a jump ahead of more than `least` is given back until it is answered. */
    look(least = 5000): Jump | null {
      const ms = drift()
      if (ms < -least) set += ms
      return ms > least ? { ms } : null
    },
    /** The machine slept: that time passed. */
    slept(jump: Jump) {
      base += jump.ms
    },
    /** The clock was set: no time passed. */
    wasSet(jump: Jump) {
      set += jump.ms
    },
  }
}

const steady = makeSteady(
  () => Date.now(),
  () => performance.now(),
)

/** Milliseconds since 1970 that run on evenly while this page is open. */
export const steadyNow = () => steady.now()
/** Now as an ISO time of an entry. */
export const steadyIso = () => new Date(steady.now()).toISOString()

/** The jump that waits for an answer. */
export const jump = shallowRef<Jump | null>(null)
export function lookAtClock() {
  const found = steady.look()
  if (found === null || jump.value === null || Math.abs(found.ms - jump.value.ms) > 2000) jump.value = found
}
export function answerJump(how: 'slept' | 'set') {
  const open = jump.value
  if (!open) return
  if (how === 'slept') steady.slept(open)
  else steady.wasSet(open)
  jump.value = null
}
