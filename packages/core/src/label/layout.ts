import type { LabelPart } from './said.ts'

/** What tells how wide a text is; mm. Sizes are those of the type, mm from line to line of solid setting. */
export interface Measure {
  width: (text: string, size: number, bold: boolean) => number
  /** Height of a small x and of a capital, of the size. */
  xHeight: number
  capHeight: number
}

export interface Paragraph {
  /** Bold words at its beginning. */
  head?: string
  text: string
  /** Named where it does not fit. */
  what: LabelPart
}

export interface LabelText {
  name: string
  line: string
  paragraphs: Paragraph[]
  /** Short figures at the foot: content, batch, date. */
  foot: string[]
}

export interface Space {
  width: number
  height: number
  shape: 'rectangle' | 'round'
  /** Side of the code at the lower right, and of the mark at the upper right; 0 for none. */
  code: number
  mark: number
}

/** The smallest letters that law or legibility allows: height of a small x, and of figures of the content; mm. */
export interface Least {
  letters: number
  figures: number
}

export interface Run {
  x: number
  y: number
  size: number
  text: string
  bold: boolean
  /** A figure of the foot. */
  foot: boolean
}

export interface Layout {
  fits: boolean
  runs: Run[]
  /** Height of a small x of the text, mm. */
  letters: number
  /** What found no room at the smallest letters, the first first. */
  lacking: LabelPart[]
  code: { x: number; y: number; side: number } | null
  mark: { x: number; y: number; side: number } | null
  /** Left edge of the text, where the band of colour ends. */
  inner: { left: number; top: number; right: number; bottom: number }
}

const LEADING = 1.22
const STEP = 0.05
const LARGEST = 2.9
const BAND = 2.6
const MARGIN = 1.8
/** A round label holds its text in this part of its width and height. */
const INSCRIBED = { width: 0.76, height: 0.66 }

function innerOf({ width, height, shape }: Space) {
  if (shape === 'round') {
    const [dx, dy] = [(width * (1 - INSCRIBED.width)) / 2, (height * (1 - INSCRIBED.height)) / 2]
    return { left: dx, top: dy, right: width - dx, bottom: height - dy }
  }
  return { left: BAND + MARGIN, top: MARGIN, right: width - MARGIN, bottom: height - MARGIN }
}

interface Word {
  text: string
  bold: boolean
}
const wordsOf = ({ head, text }: Pick<Paragraph, 'head' | 'text'>): Word[] => [
  ...(head ? head.split(/\s+/).map((w) => ({ text: w, bold: true })) : []),
  ...text
    .split(/\s+/)
    .filter(Boolean)
    .map((w) => ({ text: w, bold: false })),
]

/** Words in lines that are no wider than the room at their height; a word too wide for any line stays, and is told. */
function breakLines(
  words: readonly Word[],
  size: number,
  from: number,
  room: (top: number, bottom: number) => { left: number; right: number },
  measure: Measure,
): { lines: { y: number; runs: Omit<Run, 'y' | 'foot'>[] }[]; to: number; tooWide: boolean } {
  const lines: { y: number; runs: Omit<Run, 'y' | 'foot'>[] }[] = []
  const step = size * LEADING
  const space = measure.width(' ', size, false)
  let at = 0
  let top = from
  let tooWide = false
  while (at < words.length) {
    const { left, right } = room(top, top + step)
    const runs: Omit<Run, 'y' | 'foot'>[] = []
    let x = left
    while (at < words.length) {
      const word = words[at]!
      const wide = measure.width(word.text, size, word.bold)
      if (runs.length > 0 && x + wide > right + 1e-6) break
      if (runs.length === 0 && wide > right - left + 1e-6) tooWide = true
      const last = runs.at(-1)
      if (last?.bold === word.bold) last.text += ` ${word.text}`
      else runs.push({ x, size, text: word.text, bold: word.bold })
      x += wide + space
      at++
    }
    lines.push({ y: top + size, runs })
    top += step
  }
  return { lines, to: top, tooWide }
}

/** The largest size of a heading at which it takes at most `most` lines. */
function headingSize(
  text: string,
  largest: number,
  least: number,
  most: number,
  room: number,
  measure: Measure,
) {
  for (let size = largest; size > least; size -= 0.1) {
    const { lines, tooWide } = breakLines(
      wordsOf({ text }),
      size,
      0,
      () => ({ left: 0, right: room }),
      measure,
    )
    if (!tooWide && lines.length <= most) return size
  }
  return least
}

/** The figures at the foot, in as few lines as they need, from the lower edge up. */
function footRuns(
  cells: readonly string[],
  size: number,
  room: { left: number; right: number; bottom: number },
  measure: Measure,
): { runs: Run[]; top: number } {
  const gap = size * 1.2
  const rows: string[][] = []
  let used = Infinity
  for (const cell of cells) {
    const w = measure.width(cell, size, false)
    if (room.left + used + gap + w > room.right) {
      rows.push([])
      used = -gap
    }
    rows.at(-1)!.push(cell)
    used += gap + w
  }
  const step = size * LEADING
  const top = room.bottom - rows.length * step
  const runs = rows.flatMap((row, r) => {
    let x = room.left
    return row.map((cell): Run => {
      const run = { x, y: top + r * step + size, size, text: cell, bold: false, foot: true }
      x += measure.width(cell, size, false) + gap
      return run
    })
  })
  return { runs, top }
}

/**
 * Sets a label: name and line, then its paragraphs in one size, the figures at the foot. The size is the largest at
 * which all of it fits; where even the smallest allowed does not, what found no room is named. All in mm.
 */
export function layLabel(text: LabelText, space: Space, measure: Measure, least: Least): Layout {
  const inner = innerOf(space)
  const wide = inner.right - inner.left
  const smallest = least.letters / measure.xHeight
  const code =
    space.code > 0 ? { side: space.code, x: inner.right - space.code, y: inner.bottom - space.code } : null
  const mark = space.mark > 0 ? { side: space.mark, x: inner.right - space.mark, y: inner.top } : null
  /** Room of a line beside the code and the mark. */
  const room = (top: number, bottom: number) => {
    let right = inner.right
    if (code && bottom > code.y - 0.6) right = Math.min(right, code.x - 1)
    if (mark && top < mark.y + mark.side + 0.4) right = Math.min(right, mark.x - 1)
    return { left: inner.left, right }
  }
  const nameRoom = wide - (mark ? mark.side + 1 : 0)
  /** The name leads, and gives way as the text gets smaller. */
  const nameAt = (size: number) =>
    headingSize(text.name, Math.min(6.2, space.height * 0.15, size * 2.2), smallest, 2, nameRoom, measure)
  const footSize = Math.max(least.figures / measure.capHeight, smallest)

  const attempt = (size: number) => {
    const runs: Run[] = []
    const lacking: LabelPart[] = []
    const foot = footRuns(text.foot, footSize, { ...inner, right: code ? code.x - 1 : inner.right }, measure)
    if (foot.runs.some((r) => r.x + measure.width(r.text, r.size, false) > inner.right + 0.01))
      lacking.push('foot')
    let top = inner.top
    const put = (words: Word[], of: number, what: LabelPart) => {
      const set = breakLines(words, of, top, room, measure)
      // what finds no room is not drawn over the rest
      if (set.tooWide || set.to > foot.top + 0.01) {
        lacking.push(what)
        return
      }
      for (const line of set.lines) for (const run of line.runs) runs.push({ ...run, y: line.y, foot: false })
      top = set.to
    }
    const nameSize = nameAt(size)
    put(wordsOf({ head: text.name, text: '' }), nameSize, 'name')
    if (text.line)
      put(wordsOf({ text: text.line }), Math.max(size, Math.min(nameSize * 0.6, size * 1.15)), 'function')
    for (const p of text.paragraphs) {
      const before = top
      top += size * 0.35
      const held = lacking.length
      put(wordsOf(p), size, p.what)
      if (lacking.length > held) top = before
    }
    return { runs: [...runs, ...foot.runs], lacking }
  }

  let size = Math.max(smallest, LARGEST)
  let result = attempt(size)
  while (result.lacking.length > 0 && size > smallest + 1e-9) {
    size = Math.max(smallest, size - STEP)
    result = attempt(size)
  }
  return {
    fits: result.lacking.length === 0,
    runs: result.runs,
    letters: size * measure.xHeight,
    lacking: [...new Set(result.lacking)],
    code,
    mark,
    inner,
  }
}
