/**
 * Minutes since the beginning that never run backwards: where a clock was set back, time goes on from where it was. A
 * clock set forward cannot be told from a closed lid and counts as time that passed.
 */
export class Elapsed {
  private readonly origin: number
  private last: number
  private shift = 0

  /** `start`: milliseconds since 1970 of the first event. */
  constructor(start: number) {
    this.origin = start
    this.last = start
  }

  /** Takes in the time of the next event and gives its minutes. */
  add(ms: number): number {
    if (ms + this.shift < this.last) this.shift = this.last - ms
    this.last = ms + this.shift
    return (this.last - this.origin) / 60_000
  }

  /** Minutes at a moment after all events; changes nothing. */
  at(ms: number): number {
    return (Math.max(this.last, ms + this.shift) - this.origin) / 60_000
  }
}
