import { useIntervalFn } from '@vueuse/core'
import { readonly, ref } from 'vue'
import { lookAtClock, steadyNow } from '../../../browser/steady'

/** Milliseconds since 1970, once a second, by the clock that nobody sets. */
export function useNow(every = 1000) {
  const now = ref(steadyNow())
  useIntervalFn(() => {
    lookAtClock()
    now.value = steadyNow()
  }, every)
  return readonly(now)
}
