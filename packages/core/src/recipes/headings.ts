import type { Role } from '../shapes/formula.ts'
import { amountsIn, fillIn } from './amounts.ts'

export interface Heading {
  /** `phase` opens one; `list` and `method` are sections; `rest` is what follows on the same line. */
  kind: 'phase' | 'list' | 'method'
  name: string
  letter: string | null
  role: Role | null
  heatToC: number | null
  belowC: number | null
  /** Unit of numbers without one, where the heading tells it. */
  unit: 'percent' | 'grams' | null
  rest: string
}

const METHOD =
  /^(?:the )?(?:method|instructions?|directions?|procedure|process|steps?|how to(?: make(?: it)?)?|preparation|manufactur\w+|making(?: it)?|notes?|tips?|comments?|remarks?|packaging|storage|shelf life|equipment|you will need)\b[^a-z]*$/i
const LIST =
  /^(?:the )?(?:ingredients?|formula|recipe|materials|raw materials|what you need|inci|list of ingredients)\b(?:\s*(?:list|\(.*\)|in (?:grams|percent|%)|for .*))?\s*:?$/i
const LETTER =
  /^[([]?\s*(?:phase|part|stage|step)\s+([A-Z]\d?|\d{1,2}|[IVX]{1,4})\b\s*[\])]?\s*(?:[:.)–—-]+|$|\s)\s*(.*)$/i
const ALONE = /^[([]?([A-H])\d?[\])]?\s*[:.)]?$/
const WORDS =
  /^[([]?\s*((?:(?:the|heated|hot|warm|cold|cool|first|second|main|external|internal)\s+)*(?:water|aqueous|watery|oils?|oily|fat|lipid|cool(?:ing)?[- ]?down|cooling|emulsifier|actives?|gel|gum|surfactants?|powders?|glycols?|pre-?mix|adjust(?:ment|er|ing)?|ph|preservative|finishing|final|slurry|post[- ]?add|additives?|after)(?:\s*(?:phase|part|stage))?)\s*[\])]?\s*([:–—-].*|\(.*|\[.*|,?\s*(?:below|under|at|to|<|≤)?\s*\d{2,3}\s*°?\s*C?\.?)?$/i

/** What a phase's name says of its place in the making; null where it says nothing. */
export function roleOfName(name: string): Role | null {
  const n = name.toLowerCase()
  if (/cool|post[- ]?add|final|finish|additive|preservative|active|after/.test(n)) return 'cool-down'
  if (/pre-?mix|slurry|glycol/.test(n)) return 'premix'
  if (/\bph\b|adjust|neutrali/.test(n)) return 'adjust'
  if (/\boil|\bfat|lipid/.test(n)) return 'oil'
  if (/water|aqueous|\bgel\b|\bgum/.test(n)) return 'water'
  return null
}

const CELSIUS = /(below|under|less than|<|≤)?\s*(\d{2,3})\s*(?:°|º|deg(?:rees)?)?\s*C\b/i

function unitOf(text: string): Heading['unit'] {
  if (/\(\s*(?:in )?(?:%|percent|w\/w|% ?w\/w)[^)]*\)|\bin (?:%|percent)/i.test(text)) return 'percent'
  if (/\(\s*(?:in )?(?:g|grams?)\s*\)|\bin grams?\b/i.test(text)) return 'grams'
  return null
}

function phase(name: string, letter: string | null, label: string): Omit<Heading, 'rest'> {
  const heat = CELSIUS.exec(label)
  const celsius = heat ? Number(heat[2]) : null
  const role = roleOfName(`${name} ${label}`)
  const below = celsius !== null && (heat![1] !== undefined || role === 'cool-down' || celsius < 45)
  return {
    kind: 'phase',
    name,
    letter,
    role,
    heatToC: celsius !== null && !below && celsius <= 100 ? celsius : null,
    belowC: celsius !== null && below ? celsius : null,
    unit: unitOf(label),
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const trim = (text: string) => text.replace(/^[\s:.)\]–—-]+|[\s:.([–—-]+$/g, '').trim()

/** The heading that a line is, with what may follow it; null where it is none. */
export function headingOf(text: string): Heading | null {
  const line = text
    .replace(/^#+\s*/, '')
    .replace(/\*\*|__/g, '')
    .trim()
  if (METHOD.test(line)) return { ...phase(line, null, ''), kind: 'method', rest: '' }
  if (LIST.test(line)) return { ...phase(line, null, line), kind: 'list', rest: '' }
  const alone = ALONE.exec(line)
  if (alone) return { ...phase(`Phase ${alone[1]!}`, alone[1]!, ''), rest: '' }
  return lettered(line) ?? worded(line)
}

/** “Phase A, water: glycerin 5 %” */
function lettered(line: string): Heading | null {
  const letter = LETTER.exec(line)
  if (!letter) return null
  const key = letter[1]!.toUpperCase()
  const rest = letter[2]!.trim()
  const inline = amountsIn(rest).length > 0 || fillIn(rest) !== null
  const split = inline ? /^([^:]{1,40}):\s*(.*)$/.exec(rest) : null
  const label = split ? split[1]! : inline ? '' : rest
  const said = trim(label.replace(/\([^)]*\)?/g, ' ').replace(CELSIUS, ' '))
  const name = said && !/^(heat|add|mix|combine|stir)\b/i.test(said) ? capital(said) : `Phase ${key}`
  return { ...phase(name, key, `${label} ${rest}`), rest: split ? split[2]! : inline ? rest : '' }
}

/** A heading in words alone, or before what stands in it: “Oil phase: jojoba 10 %, shea 5 %”. */
function worded(line: string): Heading | null {
  const words = WORDS.exec(line)
  if (words && amountsIn(line).length === 0 && fillIn(line) === null) {
    const marked = /phase|part|stage|cool|premix|post/i.test(words[1]!) || /:\s*$/.test(line)
    if (!marked) return null
    return { ...phase(capital(trim(words[1]!)), null, line), rest: '' }
  }
  const inline = /^([^:\d]{3,30}):\s*(.+)$/.exec(line)
  if (inline && WORDS.test(inline[1]!) && /phase|part|cool/i.test(inline[1]!))
    return { ...phase(capital(trim(inline[1]!)), null, ''), rest: inline[2]! }
  return null
}
