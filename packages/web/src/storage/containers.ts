import type { Container } from '@omblet/core'
import { toBin } from './bin'
import { openStore, whole } from './db'

export const listContainers = async (): Promise<Container[]> => (await openStore()).getAll('containers')
export const saveContainer = async (container: Container) => {
  await (await openStore()).put('containers', container)
}
export const getContainer = async (id: string): Promise<Container | undefined> =>
  (await openStore()).get('containers', id)

/** Moves a container to the bin and gives back where it lies there. */
export async function deleteContainer(
  container: Container,
  now: string,
  makeId: () => string,
): Promise<string> {
  const db = await openStore()
  const tx = db.transaction(['containers', 'bin'], 'readwrite')
  return whole(tx, async (put) => {
    const here = (await tx.objectStore('containers').get(container.id)) ?? container
    const bin = toBin({ kind: 'container', container: here }, container.name, now, makeId)
    put(tx.objectStore('bin').put(bin))
    put(tx.objectStore('containers').delete(container.id))
    return bin.id
  })
}
