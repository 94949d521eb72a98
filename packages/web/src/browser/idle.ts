/** Does something when nothing more urgent is to be done, at the latest after three seconds; not every browser can tell. */
export function whenIdle(work: () => void): void {
  if ('requestIdleCallback' in window) requestIdleCallback(work, { timeout: 3000 })
  else setTimeout(work, 1000)
}
