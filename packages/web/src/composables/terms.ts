import { glossary, type Entry, type TermId } from '../words/en/glossary'

/** A piece of a text: plain, or a term of the glossary as it is spelled there. */
export interface TextPart {
  text: string
  term: TermId | null
}

const TERMS = (Object.entries(glossary) as [TermId, Entry][]).map(([id, entry]) => ({ id, ...entry }))

/** Terms in their order on the page, which the words match in name or explanation. */
export function findTerms(words: string): { id: TermId; entry: Entry }[] {
  const wanted = words.trim().toLowerCase()
  return TERMS.filter(({ term, says, also = [] }) =>
    [term, says, ...also].some((text) => text.toLowerCase().includes(wanted)),
  )
    .sort((x, y) => x.term.localeCompare(y.term, 'en', { sensitivity: 'base' }))
    .map(({ id }) => ({ id, entry: glossary[id] }))
}

/** Words that everybody knows are explained on the page, and not in every sentence. */
const PLAIN = new Set<TermId>([
  'acid',
  'acidity',
  'active',
  'batch',
  'lot',
  'ph',
  'phase',
  'stability',
  'gum',
])
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)
/** Spellings of a term; abbreviations as they are written, other words with a capital or without. */
const spellings = ({ term, also = [] }: Entry): string[] => [
  ...new Set([...(term.includes('(') || term.includes(' and ') ? [] : [term]), ...also]),
]
const MATCH = (() => {
  const list = TERMS.filter(({ id }) => !PLAIN.has(id)).flatMap((entry) =>
    spellings(entry).map((text) => ({ text, id: entry.id })),
  )
  const byText = new Map(list.map(({ text, id }) => [text.toLowerCase(), id]))
  const longest = list.map(({ text }) => escaped(text)).sort((x, y) => y.length - x.length)
  const pattern = new RegExp(`(?<![\\p{L}\\d-])(${longest.join('|')})(?![\\p{L}\\d-])`, 'giu')
  return { byText, pattern }
})()

/** A text in parts, each term of the glossary once where it first stands. */
export function termsIn(text: string): TextPart[] {
  const parts: TextPart[] = []
  const seen = new Set<TermId>()
  let at = 0
  for (const match of text.matchAll(MATCH.pattern)) {
    const id = MATCH.byText.get(match[1]!.toLowerCase())!
    if (seen.has(id)) continue
    seen.add(id)
    if (match.index > at) parts.push({ text: text.slice(at, match.index), term: null })
    parts.push({ text: match[1]!, term: id })
    at = match.index + match[1]!.length
  }
  if (at < text.length) parts.push({ text: text.slice(at), term: null })
  return parts
}
