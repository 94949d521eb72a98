// Weighs what is fetched before the first formulas are seen, and fails where that is over its budget.
import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'

const BUDGET_KB = 240
const dist = new URL('../packages/web/dist/', import.meta.url)

/** Scripts with their compressed kilobytes: the start, the list of formulas, and the examples of a first visit. */
export function firstView() {
  const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', dist), 'utf8'))
  const files = new Set()
  const take = (key) => {
    const { file, imports = [] } = manifest[key]
    if (files.has(file)) return
    files.add(file)
    imports.forEach(take)
  }
  for (const key of ['index.html', 'src/features/formulas/FormulasPage.vue', 'src/demo.ts']) take(key)
  return [...files].map((file) => ({ file, kB: gzipSync(readFileSync(new URL(file, dist))).length / 1000 }))
}

if (process.argv[1] === new URL(import.meta.url).pathname) {
  const parts = firstView().sort((x, y) => y.kB - x.kB)
  const total = parts.reduce((sum, p) => sum + p.kB, 0)
  for (const { file, kB } of parts) if (kB > 1) console.log(`${kB.toFixed(1).padStart(7)} kB  ${file}`)
  console.log(`${total.toFixed(1).padStart(7)} kB  first view, of ${BUDGET_KB}`)
  if (total > BUDGET_KB) {
    console.error(`The first view is over its budget. Fetch later what the list of formulas does not need.`)
    process.exit(1)
  }
}
