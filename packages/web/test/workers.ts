import { vi } from 'vitest'

/**
 * Workers that run in the page itself. What goes in and out is copied as it would be between two threads, so that
 * something which cannot be sent is found here too.
 */
/** A file goes over as it is, and what reports progress is called where it stands. */
const copied = (it: unknown): unknown => {
  if (typeof it === 'function' || it instanceof Blob) return it
  const held = it !== null && typeof it === 'object' && Object.values(it).some((v) => v instanceof Blob)
  return held ? Object.fromEntries(Object.entries(it).map(([k, v]) => [k, copied(v)])) : structuredClone(it)
}
const exposed = vi.hoisted(() => ({ last: null as unknown }))
vi.mock('comlink', () => ({
  expose: (api: unknown) => {
    exposed.last = api
  },
  proxy: (it: unknown) => it,
  transfer: (it: unknown) => it,
  wrap: (worker: { api: Promise<Record<string, (...args: unknown[]) => unknown>> }) =>
    new Proxy(
      {},
      {
        get: (_, name: string) =>
          name === 'then'
            ? undefined
            : async (...args: unknown[]) => copied(await (await worker.api)[name]!(...args.map(copied))),
      },
    ),
}))
const loaded = new Map<string, Promise<unknown>>()
class PageWorker {
  api: Promise<unknown>
  constructor(url: URL) {
    const path = decodeURIComponent(url.pathname)
    if (!loaded.has(path))
      loaded.set(
        path,
        import(/* @vite-ignore */ path).then(() => exposed.last),
      )
    this.api = loaded.get(path)!
  }
  terminate() {}
}
export const useWorkersHere = () => vi.stubGlobal('Worker', PageWorker)
