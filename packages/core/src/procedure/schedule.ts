export interface Task {
  key: string
  /** Minutes of hands, then minutes that pass by themselves. */
  hands: number
  wait: number
  after: readonly string[]
}

export interface Slot {
  key: string
  /** Minutes from the start. */
  start: number
  handsEnd: number
  end: number
  /** On the longest chain: any delay of it delays the end. */
  critical: boolean
}

export interface Schedule {
  slots: Slot[]
  totalMinutes: number
  handsMinutes: number
  /** Minutes in which nothing asks for hands. */
  idleMinutes: number
}

/** Minutes from the beginning of each task to the end of everything that waits for it. */
function tails(tasks: readonly Task[]): Map<string, number> {
  const followers = new Map<string, Task[]>()
  for (const t of tasks) for (const k of t.after) followers.set(k, [...(followers.get(k) ?? []), t])
  const known = new Map<string, number>()
  const tail = (t: Task): number => {
    const seen = known.get(t.key)
    if (seen !== undefined) return seen
    known.set(t.key, 0)
    const rest = Math.max(0, ...(followers.get(t.key) ?? []).map(tail))
    const value = t.hands + t.wait + rest
    known.set(t.key, value)
    return value
  }
  tasks.forEach(tail)
  return known
}

/**
 * A plan for one pair of hands: hands do one thing at a time, waiting runs beside it (a gum swells while the oils
 * melt). Of what can begin, the task with the longest way to the end begins first (list scheduling by critical path,
 * Graham 1969: never more than twice the best). Tasks that wait for one another in a circle begin as they are listed.
 */
export function schedule(tasks: readonly Task[]): Schedule {
  const weight = tails(tasks)
  const ends = new Map<string, number>()
  const names = new Set(tasks.map((t) => t.key))
  const slots: Slot[] = []
  let left = [...tasks]
  let free = 0
  while (left.length > 0) {
    const open = left.filter((t) => t.after.every((k) => ends.has(k) || !names.has(k)))
    const pool = open.length > 0 ? open : left.slice(0, 1)
    const startOf = (t: Task) => Math.max(free, ...t.after.map((k) => ends.get(k) ?? 0))
    const earliest = Math.min(...pool.map(startOf))
    const next = pool
      .filter((t) => startOf(t) <= earliest)
      .reduce((best, t) => (weight.get(t.key)! > weight.get(best.key)! ? t : best))
    const start = startOf(next)
    const handsEnd = start + next.hands
    const end = handsEnd + next.wait
    ends.set(next.key, end)
    free = Math.max(free, handsEnd)
    slots.push({ key: next.key, start, handsEnd, end, critical: false })
    left = left.filter((t) => t !== next)
  }
  const totalMinutes = Math.max(0, ...slots.map((s) => s.end))
  markCritical(slots, tasks, totalMinutes)
  const handsMinutes = tasks.reduce((sum, t) => sum + t.hands, 0)
  return { slots, totalMinutes, handsMinutes, idleMinutes: Math.max(0, totalMinutes - handsMinutes) }
}

/** Goes back from the end: what ended, or freed the hands, just when a critical task began is critical too. */
function markCritical(slots: Slot[], tasks: readonly Task[], total: number) {
  const byKey = new Map(slots.map((s) => [s.key, s]))
  const after = new Map(tasks.map((t) => [t.key, t.after]))
  const open = slots.filter((s) => s.end === total)
  while (open.length > 0) {
    const slot = open.pop()!
    if (slot.critical) continue
    slot.critical = true
    for (const key of after.get(slot.key) ?? []) {
      const before = byKey.get(key)
      if (before && before.end === slot.start) open.push(before)
    }
    for (const other of slots)
      if (other !== slot && other.handsEnd === slot.start && other.start < slot.start) open.push(other)
  }
}
