import { useEventListener, useTimeoutFn } from '@vueuse/core'

const AGAIN_MS = 10_000

/**
 * What is not stored yet: the page is not left without a question while there is any, and storing is tried again when
 * the page is looked at again, and ten seconds after `later` is asked for. Ends with what it is used in.
 */
export function useUnstored(any: () => boolean, again: () => unknown) {
  const { start } = useTimeoutFn(again, AGAIN_MS, { immediate: false })
  useEventListener(window, 'beforeunload', (event) => {
    if (any()) event.preventDefault()
  })
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'visible') again()
  })
  return { later: () => start() }
}
