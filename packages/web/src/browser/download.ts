import { harmlessRows } from '@omblet/core'

/** Hands a text to the browser as a file. */
export const download = (name: string, text: string, type = 'application/json') =>
  hand(name, new Blob([text], { type }))

type Rows = (string | number | undefined)[][]

export async function downloadCsv(name: string, rows: Rows) {
  const { writeCsv } = await import('./csv')
  // The mark at the start makes spreadsheets read it as UTF-8.
  download(`${name}.csv`, `\ufeff${writeCsv(rows)}`, 'text/csv')
}

export async function downloadSpreadsheet(name: string, rows: Rows) {
  const { default: write } = await import('write-excel-file/universal')
  const [heads = [], ...rest] = harmlessRows(rows)
  const blob = await write([
    heads.map((value) => ({ value: String(value), fontWeight: 'bold' as const })),
    ...rest.map((row) => row.map((value) => (value === '' ? null : { value }))),
  ]).toBlob()
  hand(`${name}.xlsx`, blob)
}

/** Hands a blob to the browser as a file. */
export function hand(name: string, blob: Blob) {
  const url = URL.createObjectURL(blob)
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A file name that any system takes. */
export const fileName = (name: string, ending: string) =>
  `${
    name
      .normalize('NFKD')
      .replace(/[^\w -]+/g, '')
      .trim()
      .replace(/\s+/g, '-')
      .slice(0, 60)
      .toLowerCase() || 'formula'
  }${ending}`

/** Whether this browser can hand a file to another application, as phones do. */
export const canShareFiles = () => {
  try {
    return typeof navigator.canShare === 'function' && navigator.canShare({ files: [shared('a.json', 'x')] })
  } catch {
    return false
  }
}
/** Browsers share plain text and refuse JSON; the name keeps telling what it is. */
const shared = (name: string, content: string | Blob) =>
  new File([content], `${name}.txt`, { type: 'text/plain' })

/** Shares a file; resolves without a word where the sharing is called off. */
export async function share(name: string, content: string | Blob) {
  await navigator.share({ files: [shared(name, content)], title: name }).catch((error: unknown) => {
    if (!(error instanceof DOMException && error.name === 'AbortError')) throw error
  })
}
