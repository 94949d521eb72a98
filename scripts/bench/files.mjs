// A backup of 1.5 GB of pictures, saved and restored elsewhere: time, longest freeze of the page, and its heap.
import { readdirSync, readFileSync } from 'node:fs'
import { say } from './told.mjs'

const PICTURES = 1500
const BYTES = 1_000_000

/** Watches how long the page does not come to anything else. */
const watchFreezes = () => {
  window.freeze = 0
  let last = performance.now()
  setInterval(() => {
    const now = performance.now()
    window.freeze = Math.max(window.freeze, now - last - 20)
    last = now
  }, 20)
}
const heapOf = (page) => page.evaluate(() => performance.memory.usedJSHeapSize / 1e6)
/** The most memory that one page with its workers takes, heap and all, while something is done; MB, as Linux tells it. */
function watchMemory() {
  let most = 0
  const look = () => {
    for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
      try {
        if (readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('--type=renderer'))
          most = Math.max(
            most,
            Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024,
          )
      } catch {
        // It is over.
      }
  }
  const timer = setInterval(look, 250)
  return () => {
    clearInterval(timer)
    return most
  }
}
const told = async (page, began, memory) =>
  `${((performance.now() - began) / 1000).toFixed(0)} s, longest freeze ${(await page.evaluate(() => window.freeze)).toFixed(0)} ms, ${(await heapOf(page)).toFixed(0)} MB of heap, ${memory().toFixed(0)} MB of memory at most`

/** Puts a batch with so many pictures into the store, a few at a time. */
async function fill(page) {
  await page.evaluate(
    async ([pictures, bytes]) => {
      const db = await new Promise((resolve) => {
        const open = indexedDB.open('omblet')
        open.onsuccess = () => resolve(open.result)
      })
      const formula = await new Promise((resolve) => {
        const all = db.transaction('formulas').objectStore('formulas').getAll()
        all.onsuccess = () => resolve(all.result[0])
      })
      const at = new Date().toISOString()
      const start = { n: 0, at, step: null, type: 'start', formula: formula.formula, version: null }
      const head = {
        id: 'many',
        code: 'MANY-1',
        name: 'Many pictures',
        formulaId: formula.id,
        who: '',
        status: 'running',
        startedAt: at,
        lastAt: at,
        filledGrams: null,
      }
      const done = (tx) =>
        new Promise((resolve, reject) =>
          Object.assign(tx, {
            oncomplete: resolve,
            onerror: () => reject(tx.error),
            onabort: () => reject(tx.error),
          }),
        )
      const first = db.transaction(['batches', 'events'], 'readwrite')
      first.objectStore('batches').put(head)
      first.objectStore('events').put({ batch: 'many', n: 0, event: start })
      await done(first)
      for (let i = 0; i < pictures; i += 50) {
        const tx = db.transaction('pictures', 'readwrite')
        for (let j = i; j < Math.min(pictures, i + 50); j++) {
          const content = new Uint8Array(bytes)
          for (let k = 0; k < bytes; k += 65_536)
            crypto.getRandomValues(content.subarray(k, Math.min(bytes, k + 65_536)))
          tx.objectStore('pictures').put({
            id: `p${j}`,
            batch: 'many',
            blob: new Blob([content], { type: 'image/jpeg' }),
          })
        }
        await done(tx)
      }
      db.close()
    },
    [PICTURES, BYTES],
  )
}

export async function files(newPage) {
  const page = await newPage({ kept: true })
  await page.goto('/formulas')
  await page.getByRole('heading', { name: 'Formulas' }).waitFor()
  await fill(page)
  await page.evaluate(watchFreezes)
  let memory = watchMemory()
  let began = performance.now()
  const download = page.waitForEvent('download', { timeout: 900_000 })
  await page.getByRole('button', { name: 'With or without pictures' }).click()
  await page.getByText('With photographs and papers').click()
  const saved = await download
  const path = await saved.path()
  say(
    `backup of ${((PICTURES * BYTES) / 1e9).toFixed(1)} GB, saved and read again`,
    await told(page, began, memory),
  )
  const other = await newPage({ kept: true })
  await other.goto('/formulas')
  await other.getByRole('heading', { name: 'Formulas' }).waitFor()
  await other.evaluate(watchFreezes)
  memory = watchMemory()
  began = performance.now()
  await other.locator('input[type=file]').first().setInputFiles(path)
  await other
    .getByText(/^Restored/)
    .first()
    .waitFor({ timeout: 900_000 })
  const line = await told(other, began, memory)
  const kept = await other.evaluate(
    () =>
      new Promise((resolve) => {
        const open = indexedDB.open('omblet')
        open.onsuccess = () => {
          const count = open.result.transaction('pictures').objectStore('pictures').count()
          count.onsuccess = () => resolve(count.result)
        }
      }),
  )
  say(`restore of it, ${kept} pictures`, line)
  await Promise.all([page, other].map((p) => p.context().close()))
  if (kept !== PICTURES) throw new Error(`${kept} of ${PICTURES} pictures came back.`)
}
