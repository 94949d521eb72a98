import { spawn, type ChildProcess } from 'node:child_process'
import type { BrowserContext, Page } from '@playwright/test'

/**
 * Lets the store answer late: each transaction is told to be complete only after a while, in order. A switch of the page
 * under test and not of the product.
 */
export const slowStore = (where: Page | BrowserContext, least: number, most = least) =>
  where.addInitScript(
    ([low, high]) => {
      const { addEventListener } = EventTarget.prototype
      IDBTransaction.prototype.addEventListener = function (
        this: IDBTransaction,
        type: string,
        listener: unknown,
        options?: unknown,
      ) {
        const late =
          type === 'complete' && typeof listener === 'function'
            ? (event: Event) =>
                void setTimeout(
                  () => (listener as (e: Event) => void).call(this, event),
                  low! + Math.random() * (high! - low!),
                )
            : listener
        addEventListener.call(this, type, late as EventListener, options as AddEventListenerOptions)
      } as typeof addEventListener
    },
    [least, most],
  )

/** Nothing waits to be stored any more. */
export const allStored = (page: Page) => page.waitForFunction(() => !document.querySelector('[data-storing]'))

/** A disk without room, until `makeRoom`. */
export const fillDisk = (page: Page) =>
  page.evaluate(() => {
    const state = window as unknown as { diskFull: boolean; diskPatched?: boolean }
    state.diskFull = true
    if (state.diskPatched) return
    state.diskPatched = true
    for (const name of ['put', 'add'] as const) {
      const write = IDBObjectStore.prototype[name]
      IDBObjectStore.prototype[name] = function (...args) {
        if (state.diskFull) throw new DOMException('no room', 'QuotaExceededError')
        return write.apply(this, args)
      }
    }
  })
export const makeRoom = (page: Page) =>
  page.evaluate(() => {
    ;(window as unknown as { diskFull: boolean }).diskFull = false
  })

/** Sets the clock of a page ahead or back, without anything having passed. */
export const clockThatCanBeSet = (where: Page | BrowserContext) =>
  where.addInitScript(() => {
    const real = Date.now.bind(Date)
    const state = window as unknown as { clockSet: number }
    state.clockSet = 0
    const RealDate = Date
    const now = () => real() + state.clockSet
    window.Date = new Proxy(RealDate, {
      construct: (target, args: []) => (args.length === 0 ? new target(now()) : new target(...args)),
      get: (target, key) => (key === 'now' ? now : (Reflect.get(target, key) as unknown)),
    })
  })
export const setClock = (page: Page, ms: number) =>
  page.evaluate((by) => {
    ;(window as unknown as { clockSet: number }).clockSet = by
  }, ms)

/** A server of its own that a test can take away. */
export async function ownServer(port: number): Promise<{ url: string; kill: () => Promise<void> }> {
  const root = new URL('..', import.meta.url).pathname
  const child: ChildProcess = spawn(
    `${root}/node_modules/.bin/tsx`,
    [`${root}/packages/server/src/main.ts`],
    {
      cwd: root,
      env: { ...process.env, PORT: String(port) },
      stdio: ['ignore', 'pipe', 'inherit'],
      detached: true,
    },
  )
  await new Promise((resolve) => child.stdout!.once('data', resolve))
  return {
    url: `http://localhost:${port}`,
    kill: () =>
      new Promise((resolve) => {
        child.once('exit', () => resolve())
        process.kill(-child.pid!, 'SIGTERM')
      }),
  }
}
