import type { ToastServiceMethods } from 'primevue/toastservice'

/** A short message at the corner, with an action such as Undo where there is one. */
export function notify(
  toast: ToastServiceMethods,
  text: string,
  action?: { label: string; run: () => void },
  severity: 'info' | 'error' = 'info',
) {
  toast.removeAllGroups()
  toast.add({
    severity: severity === 'error' ? 'error' : 'secondary',
    summary: text,
    life: action || severity === 'error' ? 9000 : 4500,
    detail: action
      ? {
          label: action.label,
          run: () => {
            action.run()
            toast.removeAllGroups()
          },
        }
      : undefined,
  })
}
