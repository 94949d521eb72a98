import { cellText, parseCsv, type Cell } from '../exchange/csv.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { amountsIn, bareAmount, fillIn } from './amounts.ts'
import { headingOf, type Heading } from './headings.ts'
import { ingredientOf, ingredientOfCells, type Ingredient, type Matcher } from './lines.ts'
import { makeMatcher } from './match.ts'

export type RecipeLine =
  | { kind: 'ingredient'; row: number; text: string; phase: number; ingredient: Ingredient }
  | { kind: 'heading' | 'title' | 'batch' | 'ph' | 'total' | 'note' | 'unread'; row: number; text: string }

export interface RecipePhase {
  heading: Heading | null
}

/** A recipe as it was understood: every line that is not blank, in order, and nothing left out. */
export interface Recipe {
  title: string | null
  batchGrams: number | null
  targetPh: { min: number; max: number } | null
  /** Unit of numbers without one, where a heading or a column tells it. */
  bareUnit: 'percent' | 'grams' | null
  phases: RecipePhase[]
  lines: RecipeLine[]
}

/** Longer texts are no recipes. */
export const MOST_RECIPE_LINES = 2000

const BULLET = /^\s*(?:>+\s*)?(?:[-–—*•·▪◦●○‣☐☑✓+]\s+|\[\s?[xX]?\s?\]\s*|[•·▪◦●○‣☐☑✓]\s*)+/
const NUMBERED = /^\s*\d{1,2}[.)]\s+(?=\S)/
const VERB =
  /^(?:then |next,? |now |slowly |gently |carefully |while |when |once |after |before |first,? |finally,? |if |let |in a |in the |into |to make |for the |bring |heat|warm |melt|mix|blend|stir|whisk|combine|weigh|add |adjust|cool|pour|dissolve|sprinkle|use |store |apply |leave |homogeni[sz]e|measure|check|test |fill |keep |disperse|hydrate|wait |remove |place |put |shake |label |saniti[sz]e|sterili[sz]e|allow |take |rub |massage |do not |don't |make sure|prepare|wash|set |continue|repeat|transfer|package|bottle |this |it |you |we |i |here|these |please |enjoy|avoid )/i

const TOTAL = /^(?:sub)?(?:total|sum|in all|altogether)\b/i
const BATCH =
  /^(?:\W*)(?:(?:recipe |formula |amounts? |batch |quantities |enough )?(?:for|makes?|yields?|batch(?: size)?|size|total(?: weight| batch)?)\b[^\d]{0,24}(\d+(?:[.,]\d+)?)\s*(g|gr|grams?|kg|ml|oz)\b[^\d]{0,24}|(\d+(?:[.,]\d+)?)\s*(g|gr|grams?|kg|ml|oz)\s+(?:batch|recipe|total)\W*)$/i
const BATCH_INSIDE =
  /[([]\s*(?:for |makes? )?(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s*(?:batch)?\s*[)\]]\s*$|\b(?:for|makes) (\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s*$/i
/** “Harbour gel, 200 g” */
const PRODUCT_OF_SIZE =
  /^(.*\b(?:gel|cream|lotion|toner|serum|butter|mask|balm|milk|cleanser|mist|spray|conditioner|emulsion|recipe|formula)(?:\s+recipe|\s+formula)?)(?:\s+(?:for|makes|of))?\b[\s,:–—-]*\(?(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\)?\s*:?$/i
const PRODUCT = String.raw`(?:\w*gel|cream|lotion|toner|serum|butter|mask|balm|milk|cleanser|mist|spray|conditioner|emulsion)`
/** “100 ml lotion” and “Hydrogel, 50 g batch” */
const SIZE_OF_PRODUCT = new RegExp(
  String.raw`^(?:(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s+((?:\w+\s+)?${PRODUCT}(?:\s+recipe)?)|(.*\b${PRODUCT})[\s,–—-]+(\d+(?:[.,]\d+)?)\s*(g|grams?|kg|ml)\s+batch)\s*:?$`,
  'i',
)
/** “Vitamin C serum (15 % ascorbic acid)”: a product with something about it in brackets. */
const PRODUCT_ABOUT = new RegExp(String.raw`^([^()\d]*\b${PRODUCT})\s*\([^()]*[a-z]{3}[^()]*\)\s*:?$`, 'i')
const PH =
  /^(?:the )?(?:(?:final|target|finished|desired|adjust(?: the)?|check(?: the)?|set(?: the)?|aim for(?: a)?|end)\s+)*(?:to )?ph\b\D{0,24}(\d{1,2}(?:[.,]\d+)?)(?:\s*(?:-|–|—|to|and)\s*(\d{1,2}(?:[.,]\d+)?))?/i

const number = (text: string) => Number(text.replace(',', '.'))
const toGrams = (value: string, unit: string) =>
  number(value) * (/^kg$/i.test(unit) ? 1000 : /^oz$/i.test(unit) ? 28.349523 : 1)

function batchOf(text: string): number | null {
  const m = BATCH.exec(text)
  if (!m) return null
  const grams = toGrams(m[1] ?? m[3]!, m[2] ?? m[4]!)
  return grams > 0 ? grams : null
}

function phOf(text: string): { min: number; max: number } | null {
  const m = PH.exec(text)
  if (!m) return null
  const [a, b] = [number(m[1]!), m[2] === undefined ? null : number(m[2])]
  // One figure means about that figure: readings are good to 0.2.
  const [min, max] = b === null ? [a - 0.2, a + 0.2] : [Math.min(a, b), Math.max(a, b)]
  return min >= 0 && max <= 14 ? { min: Number(min.toFixed(2)), max: Number(max.toFixed(2)) } : null
}

/** A heading of a column, or null where it means nothing here. */
function columnOf(cell: string): keyof Columns | null {
  const c = cell.trim().toLowerCase().replace(/[*_]/g, '')
  if (/^(?:phase|part|ph\.?)$/.test(c)) return 'phase'
  if (
    /^(?:ingredients?|materials?|raw materials?|names?|components?|substances?|common names?|what)$/.test(c)
  )
    return 'name'
  if (/^inci(?: names?)?$/.test(c)) return 'inci'
  if (/%|percent|w\/w/.test(c)) return 'percent'
  if (/^(?:g|gr|grams?|weight|mass)\b|\((?:g|grams?)\)|^\d+\s*(?:g|grams)\b|^per batch/.test(c))
    return 'grams'
  if (/^(?:amounts?|quantit(?:y|ies)|qty|doses?|how much|parts?)$/.test(c)) return 'amount'
  if (/^(?:functions?|notes?|comments?|remarks?|roles?|purpose|why)$/.test(c)) return 'note'
  return null
}
type Columns = Partial<Record<'phase' | 'name' | 'inci' | 'percent' | 'grams' | 'amount' | 'note', number>>

function columnsOf(cells: readonly string[]): Columns | null {
  const columns: Columns = {}
  cells.forEach((cell, i) => {
    const column = columnOf(cell)
    if (column && columns[column] === undefined) columns[column] = i
  })
  const named = columns.name !== undefined || columns.inci !== undefined
  const measured =
    columns.percent !== undefined || columns.grams !== undefined || columns.amount !== undefined
  return named && measured ? columns : null
}

/** The cells of a line as a table would have them; one cell where it is plain words. */
function cellsOf(line: string, delimiter: string | null): string[] {
  if (delimiter !== null) return parseCsvLine(line, delimiter)
  if (line.includes('\t')) return line.split('\t')
  if (/\|/.test(line)) return line.replace(/^\s*\||\|\s*$/g, '').split('|')
  return line.split(/\s{2,}|\s*(?:\.{3,}|…+|_{3,})\s*/)
}
const parseCsvLine = (line: string, delimiter: string) =>
  delimiter === ',' || delimiter === ';'
    ? (parseCsv(`${line}${delimiter}`)[0] ?? [line]).map(String)
    : line.split(delimiter)

/** Delimiter of a CSV text, told by a row of known headings; null for plain text. */
function delimiterOf(lines: readonly string[]): string | null {
  for (const line of lines.slice(0, 12))
    for (const delimiter of [',', ';'])
      if (line.includes(delimiter) && columnsOf(parseCsvLine(line, delimiter))) return delimiter
  return null
}

/**
 * Reads a recipe from pasted text, line by line: titles, headings, ingredients with their amounts, batch, pH, notes.
 * What it cannot read is kept as `unread`. Names are matched to the catalogue.
 */
export function readRecipe(text: string, catalogue: Catalogue): Recipe {
  const lines = text.replace(/^\ufeff/, '').replace(/[\u00a0\u2009\u202f]/g, ' ').split(/\r\n|\r|\n/) // prettier-ignore
  const delimiter = delimiterOf(lines.filter((l) => l.trim() !== ''))
  return read(
    lines.map((line) => ({ text: line.trim(), cells: cellsOf(line, delimiter) })),
    catalogue,
  )
}

/** Reads a recipe from the cells of a spreadsheet. */
export const readRecipeCells = (rows: readonly (readonly Cell[])[], catalogue: Catalogue): Recipe =>
  read(
    rows.map((row) => {
      const cells = row.map((cell) => cellText(cell))
      return {
        text: cells
          .filter((c) => c.trim() !== '')
          .join('  ')
          .trim(),
        cells,
      }
    }),
    catalogue,
  )

interface RawLine {
  text: string
  cells: readonly string[]
}

/** Whether a cell holds an amount and nothing else. */
function isAmount(cell: string): boolean {
  if (bareAmount(cell)) return true
  const spans = [fillIn(cell), ...amountsIn(cell)].filter((f) => f !== null)
  return spans.some((f) => !/[\p{L}\p{N}]/u.test(cell.slice(0, f.start) + cell.slice(f.end)))
}

class Reader {
  readonly recipe: Recipe = {
    title: null,
    batchGrams: null,
    targetPh: null,
    bareUnit: null,
    phases: [{ heading: null }],
    lines: [],
  }
  private columns: Columns | null = null
  private phase = 0
  private inMethod = false
  private started = false

  constructor(private readonly match: Matcher) {}

  line({ text, cells }: RawLine, row: number) {
    // Rules of a table and of a page hold nothing.
    if (!/[\p{L}\p{N}½¼¾⅓⅔⅛]/u.test(text)) return
    const columns = cells.length > 1 ? columnsOf(cells) : null
    if (columns) {
      this.columns = columns
      this.inMethod = false
      this.push('heading', row, text)
      return
    }
    if (this.columns && cells.length > 1 && !this.inMethod && this.tableRow(cells, text, row)) return
    if (cells.length > 1 && !this.inMethod && this.looseRow(cells, text, row)) return
    this.words(text, row)
  }

  /** A row of cells without headings: one is a name, one or two are nothing but amounts. */
  private looseRow(cells: readonly string[], text: string, row: number): boolean {
    const filled = cells.map((c) => c.replace(BULLET, '').replace(/\*\*|__/g, '').trim()).filter((c) => /[\p{L}\p{N}½¼¾⅓⅔⅛]/u.test(c)) // prettier-ignore
    const letter = /^[A-H]\d?[.):]?$/.test(filled[0] ?? '') ? filled.shift()! : null
    if (TOTAL.test(filled[0] ?? '') || headingOf(filled[0] ?? '')) return false
    const amounts = filled.filter((c) => isAmount(c))
    const names = filled.filter((c) => !isAmount(c) && /[a-z]{2}/i.test(c))
    if (amounts.length === 0 || amounts.length > 2 || names.length === 0) return false
    const first = names[0]!.replace(NUMBERED, '')
    if (amountsIn(first).length > 1 || VERB.test(first)) return false
    const ingredient = ingredientOfCells(
      { name: first, inci: '', percent: '', grams: '', amount: amounts[0]!, note: names.slice(1).join('; ') },
      this.match,
    )
    if (!ingredient) return false
    if (letter) this.open(headingOf(`Phase ${letter.replace(/[.):]/g, '')}`)!)
    const second = amounts[1]
    const beside = second ? (amountsIn(second)[0]?.amount ?? bareAmount(second)) : null
    this.ingredient({ ...ingredient, beside }, row, text)
    return true
  }

  private push(kind: Exclude<RecipeLine['kind'], 'ingredient'>, row: number, text: string) {
    this.recipe.lines.push({ kind, row, text })
  }

  private ingredient(ingredient: Ingredient, row: number, text: string) {
    this.started = true
    this.recipe.lines.push({ kind: 'ingredient', row, text, phase: this.phase, ingredient })
  }

  private open(heading: Heading) {
    const { phases } = this.recipe
    // The method may name a phase once more.
    const same = phases.findIndex((p) => p.heading && samePhase(p.heading, heading))
    if (same >= 0) {
      this.phase = same
      return
    }
    phases.push({ heading })
    this.phase = phases.length - 1
  }

  private tableRow(cells: readonly string[], text: string, row: number): boolean {
    const cell = (column: keyof Columns) => {
      const at = this.columns![column]
      return at === undefined ? '' : (cells[at] ?? '').replace(/\*\*|__/g, '').trim()
    }
    const name = cell('name') || cell('inci')
    if (TOTAL.test(name) || TOTAL.test(cells[0]!.trim())) {
      this.push('total', row, text)
      return true
    }
    const phase = cell('phase')
    if (phase !== '') {
      const heading = headingOf(phase) ?? headingOf(`Phase ${phase}`) ?? headingOf(`${phase} phase`)
      if (heading) this.open(heading)
    }
    if (name === '') {
      const filled = cells.filter((c) => c.trim() !== '').length
      if (phase !== '' && filled === 1) {
        this.push('heading', row, text)
        return true
      }
      return false
    }
    const amounts = cell('percent') + cell('grams') + cell('amount')
    if (amounts === '') {
      const heading = headingOf(name)
      if (heading?.kind === 'phase') {
        this.open(heading)
        this.push('heading', row, text)
        return true
      }
      if (heading) return false
    }
    const ingredient = ingredientOfCells(
      {
        name: name.replace(BULLET, ''),
        inci: cell('inci'),
        percent: cell('percent'),
        grams: cell('grams'),
        amount: cell('amount'),
        note: cell('note'),
      },
      this.match,
    )
    if (!ingredient || (!ingredient.amount && !ingredient.match && amounts === '')) return false
    // What stands in columns without a heading is kept as a note.
    const used = new Set(Object.values(this.columns!))
    const extra = cells.filter((c, i) => !used.has(i) && c.trim() !== '').map((c) => c.trim())
    this.ingredient(
      { ...ingredient, note: [ingredient.note, ...extra].filter(Boolean).join('; ') },
      row,
      text,
    )
    return true
  }

  private words(raw: string, row: number) {
    const { recipe } = this
    const text = raw.replace(BULLET, '').replace(NUMBERED, '').replace(/^\|\s*|\s*\|$/g, '').replace(/\s*(?:\.{3,}|…+|_{3,})\s*/g, '  ').replace(/\*\*|__/g, '').trim() // prettier-ignore
    const heading = headingOf(text)
    if (heading && !(this.inMethod && heading.kind === 'phase' && !this.isNew(heading))) {
      this.heading(heading, row, raw)
      return
    }
    if (this.inMethod) {
      this.pH(text)
      this.push('note', row, raw)
      return
    }
    if (TOTAL.test(text)) {
      this.push('total', row, raw)
      return
    }
    const batch = batchOf(text)
    if (batch !== null && this.match(text).match?.confidence !== 'sure') {
      recipe.batchGrams ??= batch
      this.push('batch', row, raw)
      return
    }
    if (PH.test(text) && this.pH(text)) {
      this.push('ph', row, raw)
      return
    }
    const sized = this.started || recipe.title ? null : PRODUCT_OF_SIZE.exec(text)
    if (sized && !this.match(sized[1]!).match) {
      this.title(`${sized[1]!} (${sized[2]!} ${sized[3]!})`, row, raw)
      return
    }
    const reversed = this.started || recipe.title ? null : SIZE_OF_PRODUCT.exec(text)
    if (reversed && this.match(text).match?.confidence !== 'sure') {
      const [, before, unitBefore, what, name, after, unitAfter] = reversed
      this.title(`${(what ?? name)!} (${(before ?? after)!} ${(unitBefore ?? unitAfter)!})`, row, raw)
      return
    }
    const about = this.started || recipe.title ? null : PRODUCT_ABOUT.exec(text)
    const known = about ? this.match(about[1]!).match : null
    if (about && (!known || known.confidence === 'perhaps')) {
      this.title(text, row, raw)
      return
    }
    const instruction = VERB.test(text) && !(fillIn(text)?.amount.kind === 'fill' && /^add /i.test(text))
    if (!instruction) {
      const pieces = this.pieces(text)
      if (pieces.length > 0) {
        for (const piece of pieces) this.ingredient(piece, row, raw)
        return
      }
    }
    if (!this.started && !recipe.title && !instruction && amountsIn(text).length === 0) {
      this.title(text, row, raw)
      return
    }
    if (!this.started && !recipe.title && BATCH_INSIDE.test(text)) {
      this.title(text, row, raw)
      return
    }
    // A short name among the ingredients that may mean something: how much of it is asked.
    const named = this.started && !instruction && text.split(/\s+/).length <= 4 && !/[.!?:]$/.test(text)
    const guess = named ? this.match(text) : null
    if (guess?.match) {
      const blank = { amount: null, beside: null, strengthPercent: null, note: '', warnings: [] }
      this.ingredient({ ...blank, name: text, ...guess }, row, raw)
      return
    }
    const sentence =
      instruction || text.split(/\s+/).length >= 5 || /[.!?]$/.test(text) || /https?:|www\./.test(text)
    this.push(sentence && amountsIn(text).length === 0 ? 'note' : instruction ? 'note' : 'unread', row, raw)
  }

  private pH(text: string): boolean {
    const ph = phOf(text)
    if (ph) this.recipe.targetPh ??= ph
    return ph !== null
  }

  private isNew = (heading: Heading) =>
    heading.letter !== null && !this.recipe.phases.some((p) => p.heading?.letter === heading.letter)

  private heading(heading: Heading, row: number, raw: string) {
    this.inMethod = heading.kind === 'method'
    this.recipe.bareUnit ??= heading.unit
    const batch = heading.kind === 'list' ? BATCH_INSIDE.exec(raw.replace(/:\s*$/, '')) : null
    if (batch) this.recipe.batchGrams ??= toGrams(batch[1] ?? batch[3]!, batch[2] ?? batch[4]!)
    if (heading.kind === 'phase') this.open(heading)
    const pieces = heading.rest === '' ? [] : this.pieces(heading.rest)
    if (pieces.length === 0) this.push('heading', row, raw)
    for (const piece of pieces) this.ingredient(piece, row, raw)
  }

  private title(text: string, row: number, raw: string) {
    const batch = BATCH_INSIDE.exec(text)
    if (batch) this.recipe.batchGrams ??= toGrams(batch[1] ?? batch[3]!, batch[2] ?? batch[4]!)
    this.recipe.title = text
      .replace(/^#+\s*/, '')
      .replace(/^(?:recipe|title|name|formula)\s*:\s*/i, '')
      .replace(BATCH_INSIDE, '')
      .replace(/[\s:–—-]+$/, '')
      .slice(0, 200)
    this.push('title', row, raw)
  }

  /** One ingredient, or several where each part of a line between commas has its own amount and name. */
  private pieces(text: string): Ingredient[] {
    // “A  Water  70”: the letter of the phase before the row.
    const lettered = /^([A-H])\d?(?:[.):]\s*|\s{1,})(?=\S)(.*)$/.exec(text)
    if (lettered && !/^A (?:pinch|dash|few|drop|tea|table|tsp|tbsp|cup|little|bit)/i.test(text)) {
      const inner = ingredientOf(lettered[2]!, this.match)
      const whole = ingredientOf(text, this.match)
      if (inner && (inner.amount || inner.match) && whole?.match?.confidence !== 'sure') {
        const heading = headingOf(`Phase ${lettered[1]!}`)!
        this.open(heading)
        return this.pieces(lettered[2]!)
      }
    }
    const parts = text
      .split(/\s*[;,+]\s+(?![^()]*\))|\s+and\s+(?=[\d.,½¼¾⅓⅔])/i)
      .filter((p) => p.trim() !== '')
    if (parts.length > 1) {
      const each = parts.map((p) => ingredientOf(p, this.match))
      if (
        each.every((x, i) => x?.amount && (amountsIn(parts[i]!).length > 0 || fillIn(parts[i]!) || x.match))
      )
        return each as Ingredient[]
    }
    // “Salicylic acid 2 % (dissolved in propanediol 10 %)” is two.
    const within = /^(.*)\(([^()]*[a-z]{3}[^()]*)\)(.*)$/i.exec(text)
    if (within) {
      const outer = ingredientOf(`${within[1]!} ${within[3]!}`, this.match)
      const inner = ingredientOf(
        within[2]!.replace(/^(?:pre-?)?(?:dissolved|mixed|dispersed|wetted|slurried)?\s*(?:in|with)\s+/i, ''),
        this.match,
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
    const one = ingredientOf(text, this.match)
    return one ? [one] : []
  }
}

const samePhase = (a: Heading, b: Heading) =>
  a.letter !== null && b.letter !== null
    ? a.letter === b.letter
    : a.name.toLowerCase() === b.name.toLowerCase()

function read(lines: readonly RawLine[], catalogue: Catalogue): Recipe {
  const reader = new Reader(makeMatcher(catalogue))
  lines.forEach((line, i) => reader.line(line, i + 1))
  return reader.recipe
}
