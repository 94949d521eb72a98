// What the first view weighs, and what a key costs on a sheet of 40 lines.
import { firstView } from '../first-view.mjs'
import { fortyLines, linesIn } from './formulas.mjs'
import { quantile, say } from './told.mjs'

/**
 * In the page: what a keystroke costs it, its own work with the redraw and the layout it asks for, and all of it to
 * the end of the frame that shows it, which waits for the screen up to 16.7 ms wherever the key falls.
 */
async function typed() {
  const input = document.activeElement
  const total = () => document.querySelector('.fill')?.value
  const samples = []
  for (let i = 0; i < 140; i++) {
    await new Promise((resolve) => setTimeout(resolve, 12 + (i % 7)))
    const before = total()
    const start = performance.now()
    input.value = String(1.1 + (i % 50) / 10)
    input.dispatchEvent(new InputEvent('input', { bubbles: true }))
    await Promise.resolve()
    await new Promise((resolve) => queueMicrotask(resolve))
    void document.body.offsetHeight
    const worked = performance.now() - start
    await new Promise((resolve) =>
      requestAnimationFrame(() => {
        const channel = new MessageChannel()
        channel.port1.onmessage = resolve
        channel.port2.postMessage(0)
      }),
    )
    if (total() === before) throw new Error('the fill line did not follow')
    if (i >= 20) samples.push({ worked, shown: performance.now() - start })
  }
  return samples
}

export async function sheet(page) {
  await page.goto('/')
  await page.waitForSelector('article.formula')
  const first = firstView().reduce((sum, { kB }) => sum + kB, 0)
  say('first view: scripts, compressed', `${first.toFixed(0)} kB`, '240 kB')
  const formula = fortyLines()
  await page.getByTestId('file-picker').setInputFiles({
    name: 'bench.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(formula)),
  })
  await page.getByRole('link', { name: 'Bench cream' }).click()
  await page.getByRole('textbox', { name: 'Glycerin, percent', exact: true }).focus()
  const keys = await page.evaluate(typed)
  const told = (what, samples, aim) => {
    say(what, `${quantile(samples, 0.95).toFixed(1)} ms`, aim)
    say('  median', `${quantile(samples, 0.5).toFixed(1)} ms`)
  }
  told(
    `keystroke, ${linesIn(formula)} lines: work to the layout, 95 % under`,
    keys.map((k) => k.worked),
    '16.7 ms',
  )
  told(
    '  to the end of the frame that shows it, 95 % under',
    keys.map((k) => k.shown),
    '33 ms',
  )
}
