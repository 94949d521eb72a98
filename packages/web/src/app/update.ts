import { reactive, shallowRef } from 'vue'
import type { Router } from 'vue-router'

/** A newer version that was fetched and waits to be used. */
export const update = reactive({ ready: false, use: () => undefined as void })

/** A part of the application that could not be loaded, and how to ask for it again. */
export const lostPart = shallowRef<{ again: () => void } | null>(null)

/** The service worker keeps everything for work without a network; a new version is offered, never forced. */
export async function startServiceWorker() {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return
  const { Workbox } = await import('workbox-window')
  const worker = new Workbox('/sw.js')
  worker.addEventListener('waiting', () => {
    update.use = () => {
      worker.addEventListener('controlling', () => location.reload())
      worker.messageSkipWaiting()
    }
    update.ready = true
  })
  await worker.register().catch(() => undefined)
}

/** A chunk that cannot be loaded is said, with a way to ask again: no click is ever without an answer. */
export function watchParts(router: Router) {
  let wanted: string | null = null
  const lost = (again: () => void) => {
    lostPart.value = {
      again: () => {
        lostPart.value = null
        again()
      },
    }
  }
  router.beforeEach((to) => {
    wanted = to.fullPath
  })
  router.afterEach((_to, _from, failure) => {
    if (!failure) wanted = null
  })
  router.onError((_error, to) => lost(() => void router.push(to.fullPath)))
  addEventListener('vite:preloadError', (event) => {
    event.preventDefault()
    const to = wanted
    lost(() => (to ? void router.push(to) : location.reload()))
  })
}
