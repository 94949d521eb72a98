import { vi } from 'vitest'

/** Waits until nothing in it fails, as long as the slowest machine may take; returns what it returned. */
export const eventually = <T>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(check, { timeout: Number(process.env.OMBLET_PATIENCE ?? 50_000), interval: 15 })
