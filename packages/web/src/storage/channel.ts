export type Message =
  { type: 'saved' | 'deleted' | 'batch'; id: string; tab: string } | { type: 'library'; tab: string }

/** This tab's mark, so that it does not answer itself. */
export const TAB = crypto.randomUUID?.() ?? `tab-${Math.random().toString(36).slice(2)}`

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('omblet')

/** Tells the other tabs. */
export const announce = (message: Message) => channel?.postMessage(message)

/** Listens to the other tabs; returns how to stop. */
export function listen(handler: (message: Message) => void): () => void {
  const onMessage = (event: MessageEvent<Message>) => {
    if (event.data.tab !== TAB) handler(event.data)
  }
  channel?.addEventListener('message', onMessage)
  return () => channel?.removeEventListener('message', onMessage)
}

export const makeId = () =>
  crypto.randomUUID?.() ?? `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 12)}`
