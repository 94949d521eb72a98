import type { BatchEvent, Formula } from '@omblet/core'
import { readBatch } from '../src/composables/batch-state'
import RunPage from '../src/features/bench/run/RunPage.vue'
import { getBatch } from '../src/storage/batches'
import { useBatch } from '../src/stores/batch'
import { useMaterials } from '../src/stores/materials'
import { leavePages, openAt } from './mounted'
import { press, send, type, until } from './screen'

/** A batch at the table, typed as a person types it. */

export { openAt as open } from './mounted'
/** Leaves all pages once everything is stored. */
export async function leaveTable() {
  await useBatch().pump()
  leavePages()
}
const stored = () => until(() => useBatch().pending.length === 0)
export const events = async (id: string) => (await getBatch(id))!.events as BatchEvent[]
/** How the batch stands in the store. */
export async function stood(id: string) {
  await stored()
  return (await readBatch(id))!.state
}
export async function last(id: string) {
  await stored()
  return (await events(id)).at(-1)!
}
export const title = () => document.querySelector('article h2')!.textContent!.trim()
export async function done() {
  const was = title()
  await press('Done')
  await until(() => document.querySelector('article h2')?.textContent?.trim() !== was)
}
const target = () => document.querySelector('[data-testid="target"]')
/** A batch begun, at the step whose title fits; each line was weighed to its target or as given. */
export async function begunBatch(formula: Formula, step: RegExp, grams: readonly number[] = []) {
  await useMaterials().load()
  const id = await useBatch().begin(
    { code: 'QW-1', name: 'Quay water', formulaId: null, who: 'Ina' },
    { type: 'start', formula: useMaterials().selfContained(formula), version: null },
  )
  const page = await openAt(`/bench/${id}`, RunPage, { id })
  await until(() => document.querySelector('article h2') !== null)
  let n = 0
  while (!step.test(title())) {
    while (target() && n < 30) {
      await type('What the scale shows', String(grams[n] ?? Number.parseFloat(target()!.textContent!)))
      await send('What the scale shows')
      n++
    }
    await done()
  }
  return { id, page }
}
