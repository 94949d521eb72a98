import { amountsIn, fillIn } from './amounts.ts'
import { ingredientOf, type Ingredient } from './lines.ts'
import type { Matcher } from './match.ts'

/** One ingredient, or several where each part of a line between commas has its own amount and name. */
export function severalIn(text: string, match: Matcher): Ingredient[] {
  const parts = text.split(/\s*[;,+]\s+(?![^()]*\))|\s+and\s+(?=[\d.,½¼¾⅓⅔])/i).filter((p) => p.trim() !== '')
  const mayHaveAmount = (p: string) => /[\d½¼¾⅓⅔⅛]/.test(p) || fillIn(p) !== null || amountsIn(p).length > 0
  if (parts.length > 1 && parts.every(mayHaveAmount)) {
    const each = parts.map((p) => ingredientOf(p, match))
    if (each.every((x, i) => x?.amount && (amountsIn(parts[i]!).length > 0 || fillIn(parts[i]!) || x.match)))
      return each as Ingredient[]
  }
  // “Salicylic acid 2 % (dissolved in propanediol 10 %)” is two.
  const within = /^(.*)\(([^()]*[a-z]{3}[^()]*)\)(.*)$/i.exec(text)
  if (within) {
    const outer = ingredientOf(`${within[1]!} ${within[3]!}`, match)
    const inner = ingredientOf(
      within[2]!.replace(/^(?:pre-?)?(?:dissolved|mixed|dispersed|wetted|slurried)?\s*(?:in|with)\s+/i, ''),
      match,
    )
    const told = (x: Ingredient | null) => x?.amount?.kind === 'quantity' && x.amount.unit !== 'bare'
    if (
      told(outer) &&
      told(inner) &&
      inner!.match?.confidence === 'sure' &&
      inner!.match.material !== outer!.match?.material
    )
      return [outer!, inner!]
  }
  const one = ingredientOf(text, match)
  return one ? [one] : []
}
