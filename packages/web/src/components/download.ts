import { harmlessRows, writeCsv } from '@omblet/core'

/** Hands a text to the browser as a file. */
export const download = (name: string, text: string, type = 'application/json') =>
  hand(name, new Blob([text], { type }))

type Rows = (string | number | undefined)[][]

export const downloadCsv = (name: string, rows: Rows) =>
  // The mark at the start makes spreadsheets read it as UTF-8.
  download(`${name}.csv`, `\ufeff${writeCsv(rows)}`, 'text/csv')

export async function downloadSpreadsheet(name: string, rows: Rows) {
  const { default: write } = await import('write-excel-file/universal')
  const [heads = [], ...rest] = harmlessRows(rows)
  const blob = await write([
    heads.map((value) => ({ value: String(value), fontWeight: 'bold' as const })),
    ...rest.map((row) => row.map((value) => (value === '' ? null : { value }))),
  ]).toBlob()
  hand(`${name}.xlsx`, blob)
}

function hand(name: string, blob: Blob) {
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
