import { vi } from 'vitest'

/** Less than 1 to see quickly what fails (OMBLET_PATIENCE). */
const PATIENCE = Number(process.env.OMBLET_PATIENCE ?? 1)

/** Waits until nothing in it fails, as long as the slowest machine may take; returns what it returned. */
export const eventually = <T>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(check, { timeout: 50_000 * PATIENCE, interval: 15 })
