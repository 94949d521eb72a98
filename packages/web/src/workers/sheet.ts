import { TableError, type Cell } from '@omblet/core'
import { BlobReader, configure, ZipReader, type FileEntry } from '@zip.js/zip.js'
import { readSheet } from 'read-excel-file/web-worker'

configure({ useWebWorkers: false })

/** More cells than this, empty ones among them, are no table that anybody keeps: a far corner makes millions. */
const MOST_CELLS = 2_000_000
/** More than this unpacked is no table either. */
const MOST_UNPACKED = 80_000_000

/** Number of a column from its letters: A is 1, XFD 16384. */
const columnNumber = (letters: string) => [...letters].reduce((n, c) => n * 26 + c.charCodeAt(0) - 64, 0)

/** Text of a part of the spreadsheet, in pieces; throws where it unpacks to more than a table can hold. */
async function eachPiece(entry: FileEntry, take: (text: string) => void) {
  const decoder = new TextDecoder()
  let size = 0
  await entry.getData(
    new WritableStream<Uint8Array>({
      write(chunk) {
        size += chunk.length
        if (size > MOST_UNPACKED)
          throw new TableError(
            `Unpacked, the spreadsheet is larger than ${MOST_UNPACKED / 1e6} MB. Save it as .csv.`,
          )
        take(decoder.decode(chunk, { stream: true }))
      },
    }),
  )
}

/** Refuses a spreadsheet whose sheets would unpack to more than memory holds, before anything is built from it. */
async function refuseHuge(file: Blob) {
  for (const entry of await new ZipReader(new BlobReader(file)).getEntries()) {
    if (entry.directory || !/\.xml$/.test(entry.filename)) continue
    let far = { rows: 0, columns: 0, at: '' }
    let rest = ''
    const isSheet = /worksheets\//.test(entry.filename)
    await eachPiece(entry, (text) => {
      if (!isSheet) return
      const piece = rest + text
      for (const [, letters = '', row] of piece.matchAll(
        /<(?:\w+:)?(?:c|row)\b[^>]*?\sr="([A-Z]{0,3})(\d{1,7})"/g,
      )) {
        const columns = Math.max(far.columns, columnNumber(letters))
        const rows = Math.max(far.rows, Number(row))
        if (columns > far.columns || rows > far.rows) far = { rows, columns, at: `${letters}${row}` }
      }
      rest = piece.slice(-200)
    })
    if (far.rows * far.columns > MOST_CELLS)
      throw new TableError(
        `The spreadsheet reaches to cell ${far.at}, ${far.rows} rows by ${far.columns} columns: too many for a table. Delete stray cells, or save the table as .csv.`,
      )
  }
}

/** The cells of the first sheet. Throws `TableError` with what to do where it is too large or no spreadsheet. */
export async function sheetCells(file: Blob, name: string): Promise<readonly (readonly Cell[])[]> {
  try {
    await refuseHuge(file)
    return (await readSheet(file)) as readonly (readonly Cell[])[]
  } catch (error) {
    // what is thrown inside a stream can come out wrapped
    const cause = error instanceof TableError ? error : (error as { cause?: unknown } | null)?.cause
    if (cause instanceof TableError) throw cause
    throw new TableError(`${name} is not a readable spreadsheet. Save it as .xlsx or .csv.`)
  }
}
