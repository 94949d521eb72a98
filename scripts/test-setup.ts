// Before every file of unit tests: chance repeats itself, and what was fetched late does not outlive the file.
import fc from 'fast-check'
import { afterAll, afterEach, expect, vi } from 'vitest'

/** OMBLET_SEED: a number to repeat a run that failed, or `random` to look where no run has looked (npm run test:wide). */
const wanted = process.env.OMBLET_SEED ?? '20261128'
if (wanted !== 'random') fc.configureGlobal({ seed: Number(wanted) })

// Nothing is done "when there is time": a test says what happens when.
if ('document' in globalThis) globalThis.requestIdleCallback = () => 0

afterAll(() => vi.dynamicImportSettled())

// What is decided is put into words before it is shown.
if ('document' in globalThis)
  afterEach(() => expect(document.body.textContent).not.toMatch(/\[object |[{,]\s*"code":/))
