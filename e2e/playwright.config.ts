import { existsSync } from 'node:fs'
import { defineConfig } from '@playwright/test'

const port = Number(process.env['OMBLET_E2E_PORT'] ?? 4327)

/** How long a test waits: less than 1 to see quickly what fails (OMBLET_PATIENCE). */
const PATIENCE = Number(process.env['OMBLET_PATIENCE'] ?? 1)

/** The same browser without a window of its own, which opens a page in half the time. */
const HEADLESS_SHELL = '/usr/bin/chromium-headless-shell'

/** Debian's Chromium, without anything that reaches for the network. */
export const LAUNCH = {
  executablePath: existsSync(HEADLESS_SHELL) ? HEADLESS_SHELL : '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  fullyParallel: true,
  workers: 2,
  forbidOnly: true,
  reporter: [['list']],
  globalSetup: './warm-up.ts',
  // A page that loads its code on a busy machine may take longer than the usual five seconds.
  timeout: 180_000 * PATIENCE,
  expect: { timeout: 30_000 * PATIENCE },
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: LAUNCH,
    screenshot: 'only-on-failure',
    // Each test has a browser of its own, which would fetch everything for work without a network; one test lets it.
    serviceWorkers: 'block',
  },
  webServer: {
    command: 'node_modules/.bin/tsx packages/server/src/main.ts',
    cwd: '..',
    url: `http://localhost:${port}/`,
    env: { PORT: String(port) },
    reuseExistingServer: false,
  },
})
