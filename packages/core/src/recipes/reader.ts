import { amountsIn, bareAmount, fillIn } from './amounts.ts'
import { headingOf, type Heading } from './headings.ts'
import { ingredientOf, ingredientOfCells, type Ingredient } from './lines.ts'
import { severalIn } from './several.ts'
import type { Recipe, RecipeLine } from './recipe.ts'
import { warmth } from './heat-hints.ts'
import { type Matcher } from './match.ts'
import {
  BATCH_INSIDE,
  batchOf,
  BULLET,
  NUMBERED,
  PH,
  phOf,
  PRODUCT_ABOUT,
  PRODUCT_OF_SIZE,
  SIZE_OF_PRODUCT,
  toGrams,
  TOTAL,
  VERB,
} from './patterns.ts'
import { columnsOf, isAmount, type Columns } from './table.ts'

export interface RawLine {
  text: string
  cells: readonly string[]
}

/** A longer line is no ingredient; it is kept as it is and not looked into. */
const MOST_LINE = 4000

const samePhase = (a: Heading, b: Heading) =>
  a.letter !== null && b.letter !== null
    ? a.letter === b.letter
    : a.name.toLowerCase() === b.name.toLowerCase()

/** Reads one line after the other, and keeps what was read so far. */
export class Reader {
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
    if (text.length > MOST_LINE) {
      this.push('unread', row, text)
      return
    }
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
    const filled = cells
      .map((c) =>
        c
          .replace(BULLET, '')
          .replace(/\*\*|__/g, '')
          .trim(),
      )
      .filter((c) => /[\p{L}\p{N}½¼¾⅓⅔⅛]/u.test(c))
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
    warmth(this.recipe, this.phase, this.inMethod, raw)
    const text = raw
      .replace(BULLET, '')
      .replace(NUMBERED, '')
      .replace(/^\|\s*|\s*\|$/g, '')
      .replace(/\s*(?:\.{3,}|…+|_{3,})\s*/g, '  ')
      .replace(/\*\*|__/g, '')
      .trim()
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
    if (this.figures(text, row, raw)) return
    const title = this.titleIn(text)
    if (title !== null) {
      this.title(title, row, raw)
      return
    }
    const instruction = VERB.test(text) && !(fillIn(text)?.amount.kind === 'fill' && /^add /i.test(text))
    if (this.ingredients(text, instruction, row, raw)) return
    const sentence =
      instruction || text.split(/\s+/).length >= 5 || /[.!?]$/.test(text) || /https?:|www\./.test(text)
    this.push(instruction || (sentence && amountsIn(text).length === 0) ? 'note' : 'unread', row, raw)
  }

  /** A total, the size of the batch, or the pH: whether the line was one of them. */
  private figures(text: string, row: number, raw: string): boolean {
    if (TOTAL.test(text)) {
      this.push('total', row, raw)
      return true
    }
    const batch = batchOf(text)
    if (batch !== null && !this.match.isSure(text)) {
      this.recipe.batchGrams ??= batch
      this.push('batch', row, raw)
      return true
    }
    if (!PH.test(text) || !this.pH(text)) return false
    this.push('ph', row, raw)
    return true
  }

  /** The title where a line tells one with a size or what it is about, before any ingredient; null elsewhere. */
  private titleIn(text: string): string | null {
    if (this.started || this.recipe.title) return null
    const sized = PRODUCT_OF_SIZE.exec(text)
    if (sized && !this.match(sized[1]!).match) return `${sized[1]!} (${sized[2]!} ${sized[3]!})`
    const reversed = SIZE_OF_PRODUCT.exec(text)
    if (reversed && !this.match.isSure(text)) {
      const [, before, unitBefore, what, name, after, unitAfter] = reversed
      return `${(what ?? name)!} (${(before ?? after)!} ${(unitBefore ?? unitAfter)!})`
    }
    const about = PRODUCT_ABOUT.exec(text)
    const known = about ? this.match(about[1]!).match : null
    return about && (!known || known.confidence === 'perhaps') ? text : null
  }

  /** Ingredients in a line, a title without an amount, or a name whose amount is asked: whether the line was one. */
  private ingredients(text: string, instruction: boolean, row: number, raw: string): boolean {
    const pieces = instruction ? [] : this.pieces(text)
    for (const piece of pieces) this.ingredient(piece, row, raw)
    if (pieces.length > 0) return true
    if (!this.started && !this.recipe.title) {
      const plain = !instruction && amountsIn(text).length === 0
      if (plain || BATCH_INSIDE.test(text)) {
        this.title(text, row, raw)
        return true
      }
    }
    // A short name among the ingredients that may mean something: how much of it is asked.
    const named = this.started && !instruction && text.split(/\s+/).length <= 4 && !/[.!?:]$/.test(text)
    const guess = named ? this.match(text) : null
    if (!guess?.match) return false
    const blank = { amount: null, beside: null, strengthPercent: null, note: '', warnings: [] }
    this.ingredient({ ...blank, name: text, ...guess }, row, raw)
    return true
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
    return severalIn(text, this.match)
  }
}
