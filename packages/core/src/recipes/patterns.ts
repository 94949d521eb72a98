export const BULLET = /^\s*(?:>+\s*)?(?:[-–—*•·▪◦●○‣☐☑✓+]\s+|\[\s?[xX]?\s?\]\s*|[•·▪◦●○‣☐☑✓]\s*)+/
export const NUMBERED = /^\s*\d{1,2}[.)]\s+(?=\S)/
export const VERB =
  /^(?:then |next,? |now |slowly |gently |carefully |while |when |once |after |before |first,? |finally,? |if |let |in a |in the |into |to make |for the |bring |heat|warm |melt|mix|blend|stir|whisk|combine|weigh|add |adjust|cool|pour|dissolve|sprinkle|use |store |apply |leave |homogeni[sz]e|measure|check|test |fill |keep |disperse|hydrate|wait |remove |place |put |shake |label |saniti[sz]e|sterili[sz]e|allow |take |rub |massage |do not |don't |make sure|prepare|wash|set |continue|repeat|transfer|package|bottle |this |it |you |we |i |here|these |please |enjoy|avoid )\b(?! of\b)/i

export const TOTAL = /^(?:sub)?(?:total|sum|in all|altogether)\b/i
export const BATCH =
  /^(?:\W*)(?:(?:recipe |formula |amounts? |batch |quantities |enough )?(?:for|makes?|yields?|batch(?: size)?|size|total(?: weight| batch)?)\b[^\d]{0,24}(\d+(?:[.,]\d+)?)\s*(g|gr|grams?|kg|ml|oz)\b[^\d]{0,24}|(\d+(?:[.,]\d+)?)\s*(g|gr|grams?|kg|ml|oz)\s+(?:batch|recipe|total)\W*)$/i
export const BATCH_INSIDE =
  /[([]\s*(?:for |makes? )?(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s*(?:batch)?\s*[)\]]\s*$|\b(?:for|makes) (\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s*$/i
/** “Harbour gel, 200 g” */
export const PRODUCT_OF_SIZE =
  /^(.*\b(?:gel|cream|lotion|toner|serum|butter|mask|balm|milk|cleanser|mist|spray|conditioner|emulsion|recipe|formula)(?:\s+recipe|\s+formula)?)(?:\s+(?:for|makes|of))?\b[\s,:–—-]*\(?(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\)?\s*:?$/i
export const PRODUCT = String.raw`(?:\w*gel|cream|lotion|toner|serum|butter|mask|balm|milk|cleanser|mist|spray|conditioner|emulsion)`
/** “100 ml lotion” and “Hydrogel, 50 g batch” */
export const SIZE_OF_PRODUCT = new RegExp(
  String.raw`^(?:(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s+((?:\w+\s+)?${PRODUCT}(?:\s+recipe)?)|(.*\b${PRODUCT})[\s,–—-]+(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s+batch)\s*:?$`,
  'i',
)
/** “Vitamin C serum (15 % ascorbic acid)”: a product with something about it in brackets. */
export const PRODUCT_ABOUT = new RegExp(
  String.raw`^([^()\d]*\b${PRODUCT})\s*\([^()]*[a-z]{3}[^()]*\)\s*:?$`,
  'i',
)
export const PH =
  /^(?:the )?(?:(?:final|target|finished|desired|adjust(?: the)?|check(?: the)?|set(?: the)?|aim for(?: a)?|end)\s+)*(?:to )?ph\b\D{0,24}(\d{1,2}(?:[.,]\d+)?)(?:\s*(?:-|–|—|to|and)\s*(\d{1,2}(?:[.,]\d+)?))?/i

export const number = (text: string) => Number(text.replace(',', '.'))
export const toGrams = (value: string, unit: string) =>
  number(value) * (/^kg$/i.test(unit) ? 1000 : /^oz$/i.test(unit) ? 28.349523 : 1)

export function batchOf(text: string): number | null {
  const m = BATCH.exec(text)
  if (!m) return null
  const grams = toGrams(m[1] ?? m[3]!, m[2] ?? m[4]!)
  return grams > 0 ? grams : null
}

export function phOf(text: string): { min: number; max: number } | null {
  const m = PH.exec(text)
  if (!m) return null
  const [a, b] = [number(m[1]!), m[2] === undefined ? null : number(m[2])]
  // One figure means about that figure: readings are good to 0.2.
  const [min, max] = b === null ? [a - 0.2, a + 0.2] : [Math.min(a, b), Math.max(a, b)]
  return min >= 0 && max <= 14 ? { min: Number(min.toFixed(2)), max: Number(max.toFixed(2)) } : null
}

/** What a list makes, with its strength before it: “1 % hyaluronate stock”. */
export const MADE = new RegExp(
  String.raw`^\W*\d+(?:[.,]\d+)?\s*%\s+[^\d%]*\b(?:stock|solution|dispersion|slurry|${PRODUCT})\s*(?:\([^)]*\))?\s*:?$`,
  'i',
)
/** Words that say that something is heated until it melts. */
export const MELTS =
  /\b(?:melt(?:s|ed|ing)?|double[- ]boiler|bain[- ]marie|water bath|heat(?:s|ed|ing)?|warm(?:ed)? to)\b/i
/** “Do not heat”, “heat-sensitive”: the word, and nothing is heated. */
export const UNHEATED =
  /\b(?:do not|don't|never|without|avoid|no|not|un)[- ]?(?:\w+ )?(?:heat|melt|warm)|\bheat[- ]sensitive|\bunheated\b/i
