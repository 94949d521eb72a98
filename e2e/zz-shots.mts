import { spawn } from 'node:child_process'
import { chromium } from '@playwright/test'
const PORT = 4377
const server = spawn('node_modules/.bin/tsx', ['packages/server/src/main.ts'], { env: { ...process.env, PORT: String(PORT) }, stdio: ['ignore', 'pipe', 'inherit'] })
await new Promise((r) => server.stdout.once('data', r))
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block', colorScheme: process.env.DARK ? 'dark' : 'light' })
const base = `http://localhost:${PORT}`
const shot = (n: string) => page.screenshot({ path: `/tmp/shots/${n}.png` })
try {
  await page.goto(base + '/'); await page.locator('article.formula .counts').first().waitFor(); await shot('formulas')
  await page.goto(base + '/shelf/glycerin')
  for (const [g, pack, exp] of [['6', '100', ''], ['80', '100', '2026-12-20']] as const) {
    await page.getByRole('button', { name: /Add a lot/ }).first().click()
    await page.getByLabel('Left, g').or(page.getByLabel(/Left/)).first().fill(g)
    await page.getByLabel(/^Pack/).first().fill(pack)
    if (exp) await page.getByLabel('Good until').fill(exp)
    if (exp) { await shot('lot-dialog') }
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: /^(Add|Keep|Save)/ }).last().click()
    await page.waitForTimeout(400)
    await page.goto(base + (exp ? '/shelf/squalane' : '/shelf/urea'))
  }
  await page.goto(base + '/shelf'); await page.waitForTimeout(500); await shot('shelf')
  await page.goto(base + '/bench'); await page.waitForTimeout(500); await shot('bench-empty')
  await page.goto(base + '/'); await page.getByRole('link', { name: 'Low Tide toner' }).click(); await page.waitForTimeout(800); await shot('toner')
  await page.getByRole('link', { name: 'Method' }).click(); await page.waitForTimeout(500); await shot('method')
} finally { await browser.close(); server.kill() }
