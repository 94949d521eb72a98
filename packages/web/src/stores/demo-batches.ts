import { tellAll } from '../storage/channel'
import { takeInBatch } from '../storage/take-in'
import { useBatches } from './batches'
import { useLibrary } from './library'

/** Puts batches of the examples, with what was seen of them, beside one's own; what is there already stays. */
export async function takeInDemoBatches() {
  const { demoBatches } = await import('../demo-batches')
  const library = useLibrary()
  const idOf = (name: string) => library.records.find((r) => r.formula.name === name)?.id ?? null
  for (const batch of demoBatches(Date.now(), idOf)) await takeInBatch(batch)
  await tellAll({ type: 'all' })
  await useBatches().load()
}
