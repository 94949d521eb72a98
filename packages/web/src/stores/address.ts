import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { openStore } from '../storage/db'

/** Names of this machine that a browser keeps apart from the one that Omblet lives under. */
const OTHER_NAMES = ['127.0.0.1', '[::1]']
const HOME = 'localhost'
const YEAR = 365 * 24 * 3600
/** Cookies know no ports: at each port that holds work, one says how much. */
const COOKIE = 'omblet-work-'
const DISMISSED = 'omblet-other-work-seen'

/** The address that Omblet lives under, for a page that was opened under another name of this machine; null where this is it. */
export function homeOf({
  protocol,
  hostname,
  port,
  pathname,
  search,
}: Pick<Location, 'protocol' | 'hostname' | 'port' | 'pathname' | 'search'>): string | null {
  return OTHER_NAMES.includes(hostname)
    ? `${protocol}//${HOME}${port ? `:${port}` : ''}${pathname}${search}`
    : null
}

/** Ports of this machine's name that hold work, with how many records, apart from `port`. */
export const workAt = (cookies: string, port: string): { port: string; records: number }[] =>
  cookies.split('; ').flatMap((cookie) => {
    const [, at = '', count = ''] = /^omblet-work-(\d+)=(\d+)$/.exec(cookie) ?? []
    return at !== '' && at !== (port || '80') && Number(count) > 0
      ? [{ port: at, records: Number(count) }]
      : []
  })

/** Records of one's own that this address holds. */
async function ownRecords(): Promise<number> {
  const db = await openStore()
  const formulas = (await db.getAll('formulas')).filter((r) => !r.demo).length
  const others = await Promise.all(
    (['batches', 'lots', 'materials', 'trials', 'bin'] as const).map((s) => db.count(s)),
  )
  return formulas + others.reduce((sum, n) => sum + n, 0)
}

/** Whether work of this maker lies under another address of this machine: a browser keeps each apart. */
export const useAddress = defineStore('address', () => {
  /** Where Omblet lives, while there is work under this other name of the machine. */
  const home = ref<string | null>(null)
  const elsewhere = shallowRef<{ url: string; records: number }[]>([])

  /** Goes home where nothing lies here; else tells. `go` leaves the page. */
  async function look(go: (url: string) => void = (url) => location.replace(url)) {
    const records = await ownRecords().catch(() => null)
    if (records === null) return
    const to = homeOf(location)
    if (to !== null && records === 0) return go(to)
    home.value = to
    document.cookie = `${COOKIE}${location.port || '80'}=${records}; path=/; max-age=${YEAR}; samesite=strict`
    const seen = (localStorage.getItem(DISMISSED) ?? '').split(' ')
    elsewhere.value = workAt(document.cookie, location.port)
      .filter((w) => !seen.includes(w.port))
      .map((w) => ({ url: `${location.protocol}//${location.hostname}:${w.port}/`, records: w.records }))
  }
  function dismiss() {
    const ports = elsewhere.value.map((w) => new URL(w.url).port || '80')
    localStorage.setItem(DISMISSED, [localStorage.getItem(DISMISSED) ?? '', ...ports].join(' ').trim())
    elsewhere.value = []
  }
  return { home, elsewhere, look, dismiss }
})
