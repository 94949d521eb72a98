import { sayNumber } from '../../text/format.ts'

/** Money with two places, more where it is little; without a currency: it is the maker's own. */
export const sayMoney = (value: number | null) =>
  value === null
    ? 'not known'
    : value === 0 || Math.abs(value) >= 0.01
      ? value.toFixed(2)
      : sayNumber(Number(value.toPrecision(2)), 4)

const DAY = 1440
/** The clock at so many minutes after midnight; days before or after are said. */
export function clockAt(minutes: number): string {
  const day = Math.floor(minutes / DAY)
  const rest = Math.round(minutes - day * DAY)
  const text = `${String(Math.floor(rest / 60) % 24).padStart(2, '0')}:${String(rest % 60).padStart(2, '0')}`
  if (day === 0) return text
  return `${text}, ${day === -1 ? 'the day before' : day === 1 ? 'the day after' : day < 0 ? `${-day} days before` : `${day} days after`}`
}
