/** What changed, and nothing else: another tab reads again just that. `all` after a restore or an import. */
export type Changed =
  { type: 'formula' | 'batch' | 'lot' | 'material' | 'change'; id: string } | { type: 'all' | 'bin' }
type Message = Changed & { tab: string }

/** This tab's mark, so that it does not answer itself. */
const TAB = crypto.randomUUID?.() ?? `tab-${Math.random().toString(36).slice(2)}`

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('omblet')

/** Tells the other tabs. */
export const announce = (changed: Changed) => channel?.postMessage({ ...changed, tab: TAB } satisfies Message)

/** Listens to the other tabs; returns how to stop. */
export function listen(handler: (changed: Changed) => void): () => void {
  const onMessage = (event: MessageEvent<Message>) => {
    if (event.data.tab !== TAB) handler(event.data)
  }
  channel?.addEventListener('message', onMessage)
  return () => channel?.removeEventListener('message', onMessage)
}

export const makeId = () =>
  crypto.randomUUID?.() ?? `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 12)}`
