import { restored as texts } from '#words/stores'
import type { Refused } from '@omblet/core'
import type { Kind, Restored } from '../storage/restore'

const NAMES: Record<Kind, [one: string, many: string]> = {
  formulas: ['formula', 'formulas'],
  versions: ['version', 'versions'],
  materials: [texts.ownIngredient, texts.ownIngredients],
  lots: ['lot', 'lots'],
  containers: ['container', 'containers'],
  changes: [texts.changedFact, texts.changedFacts],
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
    new_.length > 0 ? texts.added(new_.join(', ')) : '',
    same > 0 ? texts.alreadyHere(same) : '',
    copies.length > 0
      ? texts.keptBesideYoursAs(copies.length, copies.length === 1 ? texts.aCopy : texts.copies)
      : '',
    kept.length > 0 ? texts.leftAsHere(kept.length, kept.length === 1 ? texts.itIs : texts.theyAre) : '',
    refused.length > 0 ? texts.couldNotBeRead(refused.length) : '',
  ].filter(Boolean)
  const nothing = new_.length === 0 && copies.length === 0
  return {
    message: texts.restored(
      nothing ? texts.nothingChanged : '',
      parts.length > 0 ? `${nothing ? ';' : ':'} ${parts.join(', ')}` : '',
    ),
    details: [
      { title: texts.keptAsCopiesUnderThese, items: copies },
      { title: texts.differentHereLeftUnchanged, items: kept },
      { title: texts.notReadableSkipped, items: refusedWords(refused) },
    ].filter((d) => d.items.length > 0),
  }
}

export const refusedWords = (refused: readonly Refused[]) => refused.map(({ what, why }) => `${what}: ${why}`)
