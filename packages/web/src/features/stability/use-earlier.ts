import { historyOf, seriesOf, type Series } from '@omblet/core'
import { shallowRef, watch } from 'vue'
import { getBatch } from '../../storage/batches'
import { useStability } from '../../stores/stability'

/** Another batch of the same formula, with what was seen of it. */
export interface Earlier {
  code: string
  series: Series[]
}
/** So many others are laid over, the newest. */
const MOST = 4

/** Other batches of the formula of one that are watched; none while nothing is asked for. */
export function useEarlier(of: () => { id: string; formulaId: string | null } | null) {
  const keeping = useStability()
  const found = shallowRef<Earlier[]>([])
  watch(
    of,
    async (info) => {
      if (!info?.formulaId) {
        found.value = []
        return
      }
      const others = keeping.watched
        .filter((b) => b.formulaId === info.formulaId && b.id !== info.id)
        .slice(0, MOST)
      const read = await Promise.all(
        others.map(async (b) => {
          const events = (await getBatch(b.id).catch(() => null))?.events
          return events ? [{ code: b.code, series: seriesOf(historyOf(events)) }] : []
        }),
      )
      found.value = read.flat()
    },
    { immediate: true },
  )
  return found
}
