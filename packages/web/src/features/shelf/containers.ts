import { parseCsv, readContainers, type Container } from '@omblet/core'
import { makeId } from '../../storage/channel'

/** Takes in a table of containers: what is sound is stored, what is not is told by its row. */
export async function takeInContainers(
  file: File,
  here: readonly Container[],
  put: (container: Container) => Promise<unknown>,
): Promise<{ taken: number; refused: string[] }> {
  const { containers, refused } = readContainers(parseCsv(await file.text()), here, makeId)
  for (const container of containers) await put(container)
  return { taken: containers.length, refused }
}
