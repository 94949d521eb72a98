// Omblet as it is built, served and opened in a browser.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'

const root = new URL('../..', import.meta.url).pathname
const PORT = 4397
const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--enable-precise-memory-info',
]

/** Does something with a way to new browsers, in which nothing is stored; stops all afterwards. */
export async function served(work) {
  const folders = []
  const folder = () => {
    folders.push(mkdtempSync(join(tmpdir(), 'omblet-bench-')))
    return folders.at(-1)
  }
  const server = spawn(`${root}/node_modules/.bin/tsx`, [`${root}/packages/server/src/main.ts`], {
    cwd: root,
    env: { ...process.env, PORT: String(PORT) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let browser
  try {
    await new Promise((resolve, reject) => {
      server.stdout.once('data', resolve)
      server.once('exit', () => reject(new Error('The server did not start. Run: npm run build')))
    })
    browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS })
    await work(async ({ kept = false } = {}) => {
      // what is kept on disk has the room that a maker's own browser has
      if (kept)
        return (
          await chromium.launchPersistentContext(folder(), {
            executablePath: '/usr/bin/chromium',
            args: ARGS,
            baseURL: `http://localhost:${PORT}`,
            viewport: { width: 1280, height: 800 },
            serviceWorkers: 'block',
          })
        ).pages()[0]

      const context = await browser.newContext({
        baseURL: `http://localhost:${PORT}`,
        viewport: { width: 1280, height: 800 },
        serviceWorkers: 'block',
      })
      return context.newPage()
    })
  } finally {
    await browser?.close()
    server.kill('SIGTERM')
    for (const f of folders) rmSync(f, { recursive: true, force: true })
  }
}
