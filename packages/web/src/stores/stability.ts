import { common } from '#words/common'
import { stability as texts } from '#words/stores'
import { daysLeft, daysUntil, dueObservations, type BatchHead, type Lot, type Watch } from '@omblet/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { localDay } from '../browser/days'
import { useBatches } from './batches'
import { useLots } from './lots'

/** Looks at a batch that wait, with the day of the one that waits longest. */
export interface DueBatch {
  head: BatchHead
  looks: Watch['open']
  /** Days from today; nothing or less is due. */
  inDays: number
}
/** Something that ends: a lot on the shelf, or what is in the jars of a batch. */
export interface Ending {
  kind: 'lot' | 'jar'
  id: string
  name: string
  detail: string
  inDays: number
}

/** Ends are told so many days ahead, and looks that come within so many. */
const ENDS_WITHIN = 60
const SOON_DAYS = 14
/** Ends that are long over are no news. */
const LONG_PAST = -90

/** What is due: looks at batches, and lots and jars that end. */
export const useStability = defineStore('keeping', () => {
  const batches = useBatches()
  const lots = useLots()
  const now = ref(new Date())
  const tick = () => {
    now.value = new Date()
  }
  const today = computed(() => localDay(now.value))
  const watched = computed(() =>
    batches.heads.filter(
      (b): b is BatchHead & { watch: Watch } => b.watch !== undefined && b.status === 'finished',
    ),
  )
  /** Batches that are kept and that nobody watches. */
  const unwatched = computed(() => batches.heads.filter((b) => b.status === 'finished' && !b.watch))
  const waiting = (head: BatchHead, looks: Watch['open']): DueBatch[] =>
    looks.length > 0
      ? [{ head, looks, inDays: Math.min(...looks.map((l) => daysUntil(l.on, now.value))) }]
      : []
  const byDay = (x: DueBatch, y: DueBatch) => x.inDays - y.inDays || x.head.code.localeCompare(y.head.code)
  const due = computed<DueBatch[]>(() =>
    watched.value.flatMap((head) => waiting(head, dueObservations(head.watch.open, now.value))).sort(byDay),
  )
  /** The next looks of each batch that come within two weeks. */
  const soon = computed<DueBatch[]>(() =>
    watched.value
      .flatMap((head) => {
        const first = head.watch.open.find((l) => l.on > today.value)
        const looks = first ? head.watch.open.filter((l) => l.on === first.on) : []
        return waiting(head, looks).filter((w) => w.inDays <= SOON_DAYS)
      })
      .sort(byDay),
  )
  const ends = computed<Ending[]>(() =>
    [
      ...lots.lots.flatMap((lot) => lotEnding(lot, today.value)),
      ...watched.value
        .filter((b) => b.watch.grade !== 'discard')
        .map((b) => ({
          kind: 'jar' as const,
          id: b.id,
          name: b.name,
          detail: texts.jarsOf(b.code),
          inDays: daysUntil(b.watch.goodUntil, now.value),
        })),
    ]
      .filter((e) => e.inDays <= ENDS_WITHIN && e.inDays >= LONG_PAST)
      .sort((x, y) => x.inDays - y.inDays),
  )
  async function load() {
    tick()
    if (!batches.ready) await batches.load()
  }
  return { now, tick, watched, unwatched, due, soon, ends, load }
})

function lotEnding(lot: Lot, today: string): Ending[] {
  const days = lot.leftGrams > 0 ? daysLeft(lot, today) : null
  const name = lot.batch || lot.supplier || common.unnumberedLot
  return days === null
    ? []
    : [{ kind: 'lot', id: lot.material, name: lot.material, detail: name, inDays: days }]
}
