import { useTimeoutFn } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'

/** The second tap of a double tap comes within this time: it was meant for the question before. */
const DOUBLE_TAP_MS = 400

/** Whether a question has stood long enough that a tap is meant for it. */
export function useSettled(question: () => unknown): Ref<boolean> {
  const settled = ref(false)
  const { start } = useTimeoutFn(() => (settled.value = true), DOUBLE_TAP_MS)
  watch(
    question,
    () => {
      settled.value = false
      start()
    },
    { flush: 'sync' },
  )
  return settled
}
