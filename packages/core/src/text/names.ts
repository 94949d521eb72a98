const slugs = new Map<string, string>()
/** Names whose key is kept: more than one catalogue with one's own holds. */
const MOST_KEPT = 20_000

/** `Sodium Benzoate, Potassium Sorbate` to `sodium-benzoate-potassium-sorbate`: the key of a substance. */
export function slug(text: string): string {
  const known = slugs.get(text)
  if (known !== undefined) return known
  const made = text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
  if (slugs.size >= MOST_KEPT) slugs.clear()
  slugs.set(text, made)
  return made
}

/** Splits a blend's name into INCI names; commas between digits (`1,2-Hexanediol`) stay. */
export const splitInci = (text: string): string[] =>
  text
    .split(/\s*\(and\)\s*|,\s+|,(?=\D)(?<!\d,)/i)
    .map((part) => part.trim())
    .filter((part) => part !== '')

/** A blend's names without regard to their order. */
export const blendKey = (inci: readonly string[]) => inci.map(slug).sort().join('|')

const SMALL = new Set(['and', 'of'])

/** An INCI name written in its usual capitals when it came in lower case. */
export const properInci = (name: string) =>
  name === name.toLowerCase()
    ? name.replace(/[a-z][a-z']*/g, (word) =>
        SMALL.has(word) ? word : word.charAt(0).toUpperCase() + word.slice(1),
      )
    : name
