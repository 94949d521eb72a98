import type { CurveRequest, PhCurve } from '@omblet/core'
import { wrap, type Remote } from 'comlink'
import { onBeforeUnmount, shallowRef, watch, type Ref } from 'vue'
import type { PhWorker } from '../../../workers/ph.worker'

/**
 * The curve of the newest request, worked out apart from the page so that typing never waits. While one is under way
 * the next waits, and only the newest of those that wait is ever asked for.
 */
export function useCurve(request: Readonly<Ref<CurveRequest | null>>) {
  const curve = shallowRef<PhCurve | null>(null)
  const failed = shallowRef(false)
  let worker: Worker | null = null
  let remote: Remote<PhWorker> | null = null
  let busy = false
  let waiting: CurveRequest | null = null

  async function ask(wanted: CurveRequest) {
    if (busy) {
      waiting = wanted
      return
    }
    busy = true
    try {
      worker ??= new Worker(new URL('../../../workers/ph.worker.ts', import.meta.url), { type: 'module' })
      remote ??= wrap<PhWorker>(worker)
      curve.value = await remote.curve(wanted)
      failed.value = false
    } catch {
      failed.value = true
    }
    busy = false
    const next = waiting
    waiting = null
    if (next) await ask(next)
  }
  watch(
    request,
    (wanted) => {
      if (wanted) void ask(wanted)
      else curve.value = null
    },
    { immediate: true },
  )
  onBeforeUnmount(() => worker?.terminate())
  return { curve, failed }
}
