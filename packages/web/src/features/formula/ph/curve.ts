import type { CurveRequest, PhCurve } from '@omblet/core'
import type { Ref } from 'vue'
import { useNewest } from '../../../composables/newest'
import type { PhWorker } from '../../../workers/ph.worker'

/** The curve of the newest request. */
export function useCurve(request: Readonly<Ref<CurveRequest | null>>) {
  const { answer: curve, failed } = useNewest<PhWorker, CurveRequest, PhCurve | null>(request, {
    worker: () => new Worker(new URL('../../../workers/ph.worker.ts', import.meta.url), { type: 'module' }),
    ask: (worker, wanted) => worker.curve(wanted),
  })
  return { curve, failed }
}
