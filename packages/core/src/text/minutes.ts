/** `5 min`, `1 h 25`, `12 h`. */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole < 60) return `${whole} min`
  const rest = whole % 60
  return rest === 0
    ? `${Math.floor(whole / 60)} h`
    : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')}`
}

/** Minutes after midnight of `HH:MM`; null where it is no time. */
export function minutesOfDay(text: string): number | null {
  const m = /^(\d{1,2}):(\d{2})$/.exec(text)
  return m && Number(m[1]) < 24 && Number(m[2]) < 60 ? Number(m[1]) * 60 + Number(m[2]) : null
}
