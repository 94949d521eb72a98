// Words that the interface does not use any more, and what it says instead: none may come back as a label, a title or a cell.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

const table = readFileSync(new URL('./old-words.tsv', import.meta.url), 'utf8')
  .trim()
  .split('\n')
  .map((row) => row.split('\t'))
const escaped = (text) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
const files = execFileSync('git', ['ls-files', 'packages/*/src/**', 'packages/core/data'], {
  encoding: 'utf8',
})
  .trim()
  .split('\n')
  .filter((file) => /\.(vue|ts|json)$/.test(file))

const found = files.flatMap((file) => {
  const text = readFileSync(file, 'utf8')
    .replace(/\/\*[\s\S]*?\*\/|<!--[\s\S]*?-->/g, '')
    .replace(/^\s*\/\/.*$/gm, '')
  return table.flatMap(([old, now]) =>
    new RegExp(`['"\`>]\\s*${escaped(old)}\\s*['"\`<]`).test(text) ? [`${file}: “${old}”, say “${now}”`] : [],
  )
})
found.forEach((line) => process.stderr.write(`${line}\n`))
if (found.length > 0) process.exit(1)
process.stdout.write(`None of ${table.length} old words in ${files.length} files.\n`)
