#!/usr/bin/env node
// Starts the command from its TypeScript sources.
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..', '..')
if (!existsSync(join(root, 'node_modules', 'tsx'))) {
  process.stderr.write(`omblet: its packages are not installed. Run npm ci in ${root}, then this again.\n`)
  process.exit(2)
}
await import('tsx/esm')
const { main } = await import('../src/main.ts')
process.exitCode = await main(process.argv.slice(2), process.env.INIT_CWD ?? process.cwd())
