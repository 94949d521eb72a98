// Fills a folder with the demo data as files: formulas, batches, trials, lots and containers (npm run demo -- FOLDER).
import { mkdirSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createServer } from 'vite'

const [folder] = process.argv.slice(2)
if (!folder) {
  console.error('Name a folder: npm run demo -- FOLDER')
  process.exit(2)
}

const root = fileURLToPath(new URL('../packages/web', import.meta.url))
const vite = await createServer({
  root,
  configFile: false,
  logLevel: 'error',
  server: { middlewareMode: true, watch: null },
  optimizeDeps: { noDiscovery: true },
})
try {
  const [core, demo, batches, trials] = await Promise.all(
    ['@omblet/core', '/src/demo.ts', '/src/demo-batches.ts', '/src/demo-trials.ts'].map((path) =>
      vite.ssrLoadModule(path),
    ),
  )
  const slug = (name) =>
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/-$/, '')
  const { lots, containers } = demo.demoShelf()
  const files = [
    ...demo.demoFormulas().map((f) => [`formulas/${slug(f.name)}.omblet.json`, core.writeFormula(f)]),
    ...batches
      .demoBatches(Date.now(), () => null)
      .map((b) => [`batches/${slug(b.batch.code)}.omblet.json`, core.writeBatch(b)]),
    ...trials
      .demoTrials(Date.now(), () => null)
      .map((t) => [`trials/${slug(t.name)}.omblet.json`, core.writeTrial(t)]),
    ['lots.csv', core.writeCsv(core.lotRows(lots))],
    ['containers.csv', core.writeCsv(core.containerRows(containers))],
  ]
  for (const [name, text] of files) {
    const path = join(resolve(folder), name)
    mkdirSync(join(path, '..'), { recursive: true })
    writeFileSync(path, text)
  }
  console.log(`${files.length} files in ${resolve(folder)}`)
} finally {
  await vite.close()
}
