import { ref, watch } from 'vue'
import { explainStorage } from '../storage/db'
import { useBatch } from '../stores/batch'

/**
 * Opens the batch of an id and says how that went: here, not here, or refused by the store, with why. `before` runs each
 * time before it is opened, `opened` when it is here.
 */
export function useOpenBatch(
  id: () => string,
  { before, opened }: { before?: () => void; opened?: (id: string) => unknown } = {},
) {
  const batch = useBatch()
  const phase = ref<'opening' | 'here' | 'missing'>('opening')
  const refused = ref('')
  watch(
    id,
    async (wanted) => {
      phase.value = 'opening'
      refused.value = ''
      before?.()
      const found = await batch.open(wanted).catch((error: unknown) => {
        refused.value = explainStorage(error)
        return false
      })
      phase.value = found ? 'here' : 'missing'
      if (!found) return
      document.title = `${batch.info!.code} ${batch.info!.name} – Omblet`
      await opened?.(wanted)
    },
    { immediate: true },
  )
  return { batch, phase, refused }
}
