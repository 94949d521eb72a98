#!/usr/bin/env node
// Starts the command; installs what is missing first, so that a bare clone answers too.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..', '..')
if (!existsSync(join(root, 'node_modules', 'tsx'))) {
  process.stderr.write('Omblet: installing packages once…\n')
  const install = spawnSync('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root, stdio: ['ignore', 2, 2] })
  if (install.status !== 0) {
    process.stderr.write('Omblet: npm ci failed; run it in the project folder and look at what it says.\n')
    process.exit(2)
  }
}
await import('tsx/esm')
const { main } = await import('../src/main.ts')
process.exitCode = await main(process.argv.slice(2), process.env.INIT_CWD ?? process.cwd())
