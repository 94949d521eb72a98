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

const DAY = 1440
/** The clock at so many minutes after midnight; days before or after are said. */
export function clockAt(minutes: number): string {
  const day = Math.floor(minutes / DAY)
  const rest = Math.round(minutes - day * DAY)
  const text = `${String(Math.floor(rest / 60) % 24).padStart(2, '0')}:${String(rest % 60).padStart(2, '0')}`
  if (day === 0) return text
  return `${text}, ${day === -1 ? 'the day before' : day === 1 ? 'the day after' : day < 0 ? `${-day} days before` : `${day} days after`}`
}
