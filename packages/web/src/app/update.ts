import { reactive, shallowRef } from 'vue'
import type { Router } from 'vue-router'

/** A newer version that was fetched and waits to be used. */
export const update = reactive({ ready: false, use: () => undefined as void })

/** A part of the application that could not be loaded, and how to ask for it again. */
export const chunkLoadError = shallowRef<{ again: () => void } | null>(null)

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

/** Asks the server whether it is there, past everything that is kept. */
const serverAnswers = () =>
  fetch('/who', { cache: 'no-store', signal: AbortSignal.timeout(4000) }).then(
    (r) => r.ok,
    () => false,
  )

/**
 * A part is fetched anew: while the server answers, what is kept of the application is thrown away first, since a spoilt
 * piece of it would be spoilt each time. Work is kept elsewhere and stays.
 */
async function anew(to: string) {
  if (await serverAnswers()) {
    const kept = await globalThis.caches?.keys().catch(() => [])
    await Promise.all((kept ?? []).map((name) => caches.delete(name)))
    const workers = await navigator.serviceWorker?.getRegistrations().catch(() => [])
    await Promise.all((workers ?? []).map((w) => w.unregister()))
  }
  location.assign(to)
}

/** A chunk that cannot be loaded is said, with a way to ask again: no click is ever without an answer. */
export function watchParts(router: Router) {
  let wanted: string | null = null
  const lost = (again: () => void) => {
    chunkLoadError.value = {
      again: () => {
        chunkLoadError.value = null
        again()
      },
    }
  }
  let failed = 0
  /** The first time it is just asked for again; after that it is fetched anew. */
  async function again(to: string | null) {
    if (to !== null && failed++ === 0) await router.push(to)
    else await anew(to ?? location.href)
  }
  router.beforeEach((to) => {
    wanted = to.fullPath
  })
  router.afterEach((_to, _from, failure) => {
    if (!failure) wanted = null
  })
  router.onError((_error, to) => lost(() => void again(to.fullPath)))
  addEventListener('vite:preloadError', (event) => {
    event.preventDefault()
    const to = wanted
    lost(() => void again(to))
  })
}
