import { onBeforeUnmount, readonly, ref } from 'vue'

/** Milliseconds since 1970, once a second. */
export function useNow(every = 1000) {
  const now = ref(Date.now())
  const timer = setInterval(() => (now.value = Date.now()), every)
  onBeforeUnmount(() => clearInterval(timer))
  return readonly(now)
}
