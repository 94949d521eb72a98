import { benchPlan, foldBatch, type BatchState } from '@omblet/core'
import { shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { getBatch } from '../storage/batches'
import { useMaterials } from '../stores/materials'

/** The batch that the address names as `?batch=`, to be read and not worked on; null where it names none. */
export function useBatchInRoute() {
  const route = useRoute()
  const materials = useMaterials()
  const batch = shallowRef<{ id: string; code: string; state: BatchState } | null>(null)
  const lost = shallowRef(false)
  watch(
    () => route.query['batch'],
    async (id) => {
      batch.value = null
      lost.value = false
      if (typeof id !== 'string') return
      const found = await getBatch(id).catch(() => null)
      const start = found?.events[0]
      if (found && start?.type === 'start') {
        const plan = benchPlan(start.formula, materials.catalogue)
        batch.value = { id, code: found.head.code, state: foldBatch(plan, found.events) }
      } else lost.value = true
    },
    { immediate: true },
  )
  return { batch, lost }
}
