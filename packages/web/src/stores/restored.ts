import type { Refused } from '@omblet/core'
import type { Kind, Restored } from '../storage/restore'

const NAMES: Record<Kind, [one: string, many: string]> = {
  formulas: ['formula', 'formulas'],
  versions: ['version', 'versions'],
  materials: ['own ingredient', 'own ingredients'],
  lots: ['lot', 'lots'],
  containers: ['container', 'containers'],
  changes: ['changed fact', 'changed facts'],
  batches: ['batch', 'batches'],
  trials: ['trial', 'trials'],
  pictures: ['photograph', 'photographs'],
  papers: ['paper', 'papers'],
  settings: ['setting', 'settings'],
}
const say = (kind: Kind, n: number) => `${n} ${NAMES[kind][n === 1 ? 0 : 1]}`

export interface RestoredWords {
  /** One sentence on what became of it. */
  message: string
  /** Everything that did not simply come in, by name. */
  details: { title: string; items: string[] }[]
}

/** What a restore did, in words. */
export function restoredWords({ added, same, copies, kept, refused }: Restored): RestoredWords {
  const new_ = (Object.keys(NAMES) as Kind[]).flatMap((k) => (added[k] ? [say(k, added[k])] : []))
  const parts = [
    new_.length > 0 ? `${new_.join(', ')} added` : '',
    same > 0 ? `${same} already here` : '',
    copies.length > 0
      ? `${copies.length} kept beside yours as ${copies.length === 1 ? 'a copy' : 'copies'}`
      : '',
    kept.length > 0 ? `${kept.length} left as ${kept.length === 1 ? 'it is' : 'they are'} here` : '',
    refused.length > 0 ? `${refused.length} could not be read` : '',
  ].filter(Boolean)
  const nothing = new_.length === 0 && copies.length === 0
  return {
    message: `Restored${nothing ? ': nothing changed' : ''}${parts.length > 0 ? `${nothing ? ';' : ':'} ${parts.join(', ')}` : ''}.`,
    details: [
      { title: 'Kept as copies under these names', items: copies },
      { title: 'Different here, left unchanged', items: kept },
      { title: 'Not readable, skipped', items: refusedWords(refused) },
    ].filter((d) => d.items.length > 0),
  }
}

export const refusedWords = (refused: readonly Refused[]) => refused.map(({ what, why }) => `${what}: ${why}`)
