import { useEventListener } from '@vueuse/core'

/** What a key opens at the table. */
export const OPENS = { w: 'rescue', n: 'note', i: 'instruments', s: 'skip', '?': 'keys' } as const
export type Opened = (typeof OPENS)[keyof typeof OPENS]

export interface KeysAtTable {
  /** Whether keys act at all: not while a dialog is open. */
  listens: () => boolean
  forward: () => void
  back: () => void
  open: (which: Opened) => void
}

/** The pedal (page down and up) acts wherever the caret stands; letters only where they are not typed. */
export function useRunKeys({ listens, forward, back, open }: KeysAtTable) {
  useEventListener(window, 'keydown', (event) => {
    if (!listens() || event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key === 'PageDown' || event.key === 'PageUp') {
      event.preventDefault()
      if (event.repeat) return
      if (event.key === 'PageDown') forward()
      else back()
      return
    }
    const target = event.target as Element
    if (target.closest('input, textarea, select, [role=combobox], [role=listbox], [role=dialog]')) return
    if (!Object.hasOwn(OPENS, event.key)) return
    event.preventDefault()
    open(OPENS[event.key as keyof typeof OPENS])
  })
}
