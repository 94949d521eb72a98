import { wrap, type Remote } from 'comlink'
import { onBeforeUnmount, shallowRef, watch, type Ref } from 'vue'
import { pricePerGram } from '@omblet/core'
import { plain } from '../browser/plain'
import { useLots } from '../stores/lots'
import { useMaterials } from '../stores/materials'
import type { DesignWorker } from '../workers/design.worker'

/** Prices of a gram by material, from what stands on the shelf. */
export function usePrices() {
  const lots = useLots()
  return (): Record<string, number> =>
    Object.fromEntries(
      [...new Set(lots.lots.map((l) => l.material))].flatMap((id) => {
        const price = pricePerGram(lots.lots, id)
        return price === null ? [] : [[id, price]]
      }),
    )
}

const REST_MS = 150

/**
 * Answers the newest request by way of the design worker, once the typing rests. While one is under way the next
 * waits, and only the newest of those that wait is asked for.
 */
export function useDesign<Request, Answer>(
  request: Readonly<Ref<Request | null>>,
  ask: (worker: Remote<DesignWorker>, request: Request) => Promise<Answer>,
) {
  const materials = useMaterials()
  const answer = shallowRef<Answer | null>(null)
  const busy = shallowRef(false)
  const failed = shallowRef(false)
  let worker: Worker | null = null
  let remote: Remote<DesignWorker> | null = null
  let taught: unknown = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let running = false
  let waiting: Request | null = null

  async function run(wanted: Request) {
    if (running) {
      waiting = wanted
      return
    }
    running = true
    busy.value = true
    try {
      worker ??= new Worker(new URL('../workers/design.worker.ts', import.meta.url), { type: 'module' })
      remote ??= wrap<DesignWorker>(worker)
      if (taught !== materials.knowledge) {
        taught = materials.knowledge
        await remote.learn(plain(materials.knowledge))
      }
      const asked = remote
      const result = await ask(asked, wanted)
      if (asked !== remote) return
      if (waiting === null && request.value !== null) answer.value = result
      failed.value = false
    } catch {
      failed.value = true
    }
    running = false
    const next = waiting
    waiting = null
    if (next !== null) await run(next)
    else busy.value = false
  }
  watch(
    request,
    (wanted) => {
      clearTimeout(timer)
      if (wanted === null) {
        answer.value = null
        waiting = null
        return
      }
      timer = setTimeout(() => void run(wanted), REST_MS)
    },
    { immediate: true },
  )
  /** Gives up what is under way; the next request begins anew. */
  function stop() {
    clearTimeout(timer)
    worker?.terminate()
    worker = remote = taught = waiting = null
    running = false
    busy.value = false
  }
  onBeforeUnmount(stop)
  return { answer, busy, failed, stop }
}
