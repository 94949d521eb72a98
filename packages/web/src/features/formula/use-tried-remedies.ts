import { isSoundRemedy, type Assessment, type Finding, type Remedy } from '@omblet/core'
import { tryOnScopeDispose, useTimeoutFn } from '@vueuse/core'
import { shallowRef, triggerRef, watch } from 'vue'

/** Milliseconds that a formula stands before its remedies are tried, so that typing never waits for them. */
const REST_MS = 40
const nextTurn = () => new Promise<void>((done) => setTimeout(done))

/**
 * Remedies tried in the very formula, one a turn: true where nothing new would have to be stopped or checked, false
 * where something would, undefined as long as it was not tried.
 */
export function useTriedRemedies(
  assessment: () => Assessment | null,
  findings: () => readonly Finding[],
): (remedy: Remedy) => boolean | undefined {
  const tried = shallowRef(new Map<Remedy, boolean>())
  let round = 0
  async function tryAll(mine: number) {
    const a = assessment()
    const found = findings()
    for (const remedy of found.flatMap((f) => f.remedies)) {
      if (mine !== round || !a) return
      if (tried.value.has(remedy)) continue
      tried.value.set(remedy, isSoundRemedy(a, remedy, found))
      triggerRef(tried)
      await nextTurn()
    }
  }
  const { start, stop } = useTimeoutFn(() => void tryAll(round), REST_MS, { immediate: false })
  watch(
    findings,
    () => {
      round++
      tried.value = new Map()
      stop()
      start()
    },
    { immediate: true },
  )
  tryOnScopeDispose(() => round++)
  return (remedy) => tried.value.get(remedy)
}
