import { tryOnScopeDispose, useTimeoutFn } from '@vueuse/core'
import { wrap, type Remote } from 'comlink'
import { shallowRef, watch, type Ref } from 'vue'

export interface Asking<Api, Request, Answer> {
  worker: () => Worker
  ask: (remote: Remote<Api>, wanted: Request) => Promise<Answer>
  /** Milliseconds that a request stands before it is asked for, so that typing is not followed letter by letter. */
  restMs?: number
}

/**
 * The answer to the newest request, worked out apart from the page so that typing never waits. While one is under way
 * the next waits, and only the newest of those that wait is ever asked for. Null asks for nothing and has no answer.
 */
export function useNewest<Api, Request, Answer>(
  request: Readonly<Ref<Request | null>>,
  { worker: make, ask, restMs = 0 }: Asking<Api, Request, Answer>,
) {
  const answer = shallowRef<Answer | null>(null)
  const busy = shallowRef(false)
  const failed = shallowRef(false)
  let worker: Worker | null = null
  let remote: Remote<Api> | null = null
  let waiting: Request | null = null

  /** What was asked before it was given up counts no more. */
  let round = 0

  async function run(wanted: Request) {
    if (busy.value) {
      waiting = wanted
      return
    }
    busy.value = true
    const asked = round
    try {
      worker ??= make()
      remote ??= wrap<Api>(worker)
      const result = await ask(remote, wanted)
      if (asked !== round) return
      if (waiting === null && request.value !== null) answer.value = result
      failed.value = false
    } catch {
      if (asked !== round) return
      failed.value = true
    }
    busy.value = false
    const next = waiting
    waiting = null
    if (next !== null) await run(next)
  }
  const { start, stop: leave } = useTimeoutFn((wanted: Request) => void run(wanted), restMs, {
    immediate: false,
  })
  watch(
    request,
    (wanted) => {
      leave()
      if (wanted !== null) start(wanted)
      else answer.value = waiting = null
    },
    { immediate: true },
  )
  /** Gives up what is under way; the next request begins anew. */
  function stop() {
    leave()
    round++
    worker?.terminate()
    worker = remote = waiting = null
    busy.value = false
  }
  tryOnScopeDispose(stop)
  return { answer, busy, failed, stop }
}
