import { shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { readBatch, type ReadBatch } from './batch-state'

/** The batch that the address names as `?batch=`, to be read and not worked on; null where it names none. */
export function useBatchInRoute() {
  const route = useRoute()
  const batch = shallowRef<ReadBatch | null>(null)
  const lost = shallowRef(false)
  watch(
    () => route.query['batch'],
    async (id) => {
      batch.value = null
      lost.value = false
      if (typeof id !== 'string') return
      batch.value = await readBatch(id)
      lost.value = batch.value === null
    },
    { immediate: true },
  )
  return { batch, lost }
}
