/** What changed, and nothing else: another tab reads again just that. `all` after a restore or an import. */
export type Changed =
  | {
      type: 'formula' | 'batch' | 'lot' | 'container' | 'material' | 'change' | 'trial' | 'setting'
      id: string
    }
  | { type: 'all' | 'bin' }
type Message = Changed & { tab: string }
type Handler = (changed: Changed) => unknown

/** This tab's mark, so that it does not answer itself. */
const TAB = crypto.randomUUID?.() ?? `tab-${Math.random().toString(36).slice(2)}`

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('omblet')
const handlers = new Set<Handler>()
channel?.addEventListener('message', ({ data: { tab, ...changed } }: MessageEvent<Message>) => {
  if (tab !== TAB) for (const handler of handlers) handler(changed)
})

/** Tells the other tabs. */
export const announce = (changed: Changed) => channel?.postMessage({ ...changed, tab: TAB } satisfies Message)

/**
 * Tells the other tabs and whoever listens in this one; resolves when all of those have read it again, one after the
 * other with a breath between, for each can have thousands to read.
 */
export async function tellAll(changed: Changed) {
  announce(changed)
  for (const handler of [...handlers]) {
    await handler(changed)
    await new Promise((resolve) => setTimeout(resolve))
  }
}

/** Listens to the other tabs, and to what this one tells all; returns how to stop. */
export function listen(handler: Handler): () => void {
  handlers.add(handler)
  return () => handlers.delete(handler)
}

export const makeId = () =>
  crypto.randomUUID?.() ?? `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 12)}`
