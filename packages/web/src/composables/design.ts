import { pricePerGram } from '@omblet/core'
import type { Remote } from 'comlink'
import type { Ref } from 'vue'
import { plain } from '../browser/plain'
import { useLots } from '../stores/lots'
import { useMaterials } from '../stores/materials'
import type { DesignWorker } from '../workers/design.worker'
import { useNewest } from './newest'

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

/** The answer of the design worker to the newest request, once the typing rests. It knows what the maker knows. */
export function useDesign<Request, Answer>(
  request: Readonly<Ref<Request | null>>,
  ask: (worker: Remote<DesignWorker>, request: Request) => Promise<Answer>,
) {
  const materials = useMaterials()
  let taught: { worker: Remote<DesignWorker>; knowledge: unknown } | null = null
  return useNewest<DesignWorker, Request, Answer>(request, {
    worker: () => new Worker(new URL('../workers/design.worker.ts', import.meta.url), { type: 'module' }),
    async ask(worker, wanted) {
      const { knowledge } = materials
      if (taught?.worker !== worker || taught.knowledge !== knowledge) {
        await worker.learn(plain(knowledge))
        taught = { worker, knowledge }
      }
      return ask(worker, wanted)
    },
    restMs: REST_MS,
  })
}
