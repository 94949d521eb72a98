import { lotsToUse, type Assessment } from '@omblet/core'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { computed, type Ref } from 'vue'
import type { ReadBatch } from '../../../composables/batch-state'
import { useEditor } from '../../../stores/editor'
import { useLearned } from '../../../stores/learned'
import { today, useLots } from '../../../stores/lots'

const DAYS_OF_MONTH = 30.4

/** What a label's dates rest on beside the formula: the lot that ends first, and how long batches of it stayed sound. */
export function useKeepingFacts(
  batch: Readonly<Ref<ReadBatch | null>>,
  assessment: Readonly<Ref<Assessment>>,
) {
  const editor = useEditor()
  const lots = useLots()
  const learned = useLearned()
  /** Of those that went into the batch, else of those that would be used. */
  const firstLot = computed(() => {
    const state = batch.value?.state
    const ends = (state?.plan.a ?? assessment.value).lines.flatMap((l, i) => {
      if (l.grams <= 0) return []
      const used = state
        ? lots.lots.filter((lot) => state.lines[i]!.lots.includes(lot.id))
        : lotsToUse(lots.of(l.id), today()).slice(0, 1)
      return used.flatMap((lot) => (lot.expires ? [{ label: l.label, expires: lot.expires }] : []))
    })
    const first = ends.sort((x, y) => x.expires.localeCompare(y.expires))[0]
    if (!first) return {}
    const made = state?.start.at.slice(0, 10) ?? today()
    const days = differenceInCalendarDays(parseISO(first.expires), parseISO(made))
    return {
      firstLot: { label: first.label, months: Math.max(0, Math.floor((10 * days) / DAYS_OF_MONTH) / 10) },
    }
  })
  return computed(() => {
    const [sound, failed] = [learned.of('sound', editor.id), learned.of('failed', editor.id)]
    return {
      ...firstLot.value,
      ...(sound ? { soundMonths: sound.most } : {}),
      ...(failed ? { failedMonths: failed.least } : {}),
    }
  })
}
