/** Letters of the made-up language, which stay readable. */
const ACCENTED: Record<string, string> = Object.fromEntries(
  [...'aábƀcçdđeéfƒgğhĥiíjĵkķlłmɱnñoópþqɋrřsštťuúvṽwŵxẋyýzž'].reduce<[string, string][]>(
    (pairs, letter, i, all) =>
      i % 2 === 0
        ? [...pairs, [letter, all[i + 1]!], [letter.toUpperCase(), all[i + 1]!.toUpperCase()]]
        : pairs,
    [],
  ),
)
const accent = (text: string) => text.replace(/[a-zA-Z]/g, (letter) => ACCENTED[letter]!)
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** A text in brackets, a third longer; what was put into it by its caller stays as it is. */
function said(text: string, given: readonly string[]): string {
  if (!/[a-zA-Z]/.test(text)) return text
  const [start = '', body = '', end = ''] = /^(\s*)([\s\S]*?)(\s*)$/.exec(text)!.slice(1)
  const kept = given.filter((g) => g.length > 1).sort((x, y) => y.length - x.length)
  const parts = kept.length > 0 ? body.split(new RegExp(`(${kept.map(escaped).join('|')})`)) : [body]
  const words = parts.map((part, i) => (i % 2 === 1 ? part : accent(part))).join('')
  const more = body.includes('⟦') ? 0 : Math.ceil(body.length / 3)
  // a sentence gets words, which break, and a word gets letters
  const longer = /\s/.test(body) ? ' ·····'.repeat(Math.ceil(more / 6)) : '·'.repeat(more)
  return `${start}⟦${words}${longer}⟧${end}`
}

/** Words in the made-up language: texts, and functions that give texts, however deep they lie. */
export function translate<T>(value: T, given: readonly string[] = []): T {
  if (typeof value === 'string') return said(value, given) as T
  if (typeof value === 'function')
    return ((...args: unknown[]) =>
      translate(
        (value as (...args: unknown[]) => unknown)(...args),
        args.filter((a) => typeof a === 'string'),
      )) as T
  if (Array.isArray(value)) return value.map((v) => translate<unknown>(v, given)) as T
  if (typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype)
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, translate(v, given)])) as T
  return value
}
