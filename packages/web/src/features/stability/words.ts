import { words as texts } from '#words/stability'
import { WATCH, type Property, type Storage, uncapitalise } from '@omblet/core'

/** The mark of each grade, the same as those of findings. */
export const MARK = { fine: 'fine', again: 'check', discard: 'stop' } as const

/** `today`, `in 3 days`, `2 days overdue`. */
export const sayDue = (inDays: number) =>
  inDays === 0
    ? texts.today
    : inDays > 0
      ? inDays === 1
        ? texts.tomorrow
        : texts.inDays(inDays)
      : inDays === -1
        ? texts.n1DayOverdue
        : texts.daysOverdue(-inDays)

/** `1 day`, `1 week`, `8 weeks`; a turn for what is frozen and thawed. */
export function sayLook(storage: Storage, day: number): string {
  if (WATCH.storages[storage].cycles) return texts.turnOf3(day / 2)
  if (day === 0) return texts.made
  if (day % 7 !== 0) return day === 1 ? texts.oneDay : texts.days(day)
  return day === 7 ? texts.oneWeek : texts.weeks(day / 7)
}

export const sayProperties = (properties: readonly Property[]) => {
  const words = properties.map((p) => uncapitalise(WATCH.properties[p].label))
  return (words.length > 4 ? [...words.slice(0, 3), texts.more(words.length - 3)] : words)
    .join(', ')
    .replace(/\bph\b/, 'pH')
}

/** Looks of one batch: `8 weeks: room, warm; turn 2 of 3`. */
export function sayLooks(looks: readonly { storage: Storage; day: number }[]): string {
  const byDay = new Map<string, string[]>()
  for (const { storage, day } of looks) {
    const when = sayLook(storage, day)
    const where = uncapitalise(WATCH.storages[storage].label)
    byDay.set(when, [...(byDay.get(when) ?? []), where])
  }
  return [...byDay].map(([when, where]) => `${when}, ${where.join(', ')}`).join('; ')
}

/** Answers that follow each other alike, as one: from which look to which. */
export function runsOf<T extends { words: string; day: number | null }>(
  said: readonly T[],
): { first: T; last: T; times: number }[] {
  const runs: { first: T; last: T; times: number }[] = []
  for (const x of said) {
    const run = runs.at(-1)
    if (run && run.last.words === x.words) Object.assign(run, { last: x, times: run.times + 1 })
    else runs.push({ first: x, last: x, times: 1 })
  }
  return runs
}

/** `3 days`, or `3 days to 4 weeks`. */
export function sayRun(
  storage: Storage,
  run: { first: { day: number | null }; last: { day: number | null } },
): string {
  const say = (day: number | null) => (day === null ? texts.between : sayLook(storage, day))
  const [from, to] = [say(run.first.day), say(run.last.day)]
  return from === to ? from : texts.fromTo(from, to)
}
