// What long lists cost: batches, what is kept, and a Shelf of thousands.
import { fortyLines } from './formulas.mjs'
import { quantile, say } from './told.mjs'

/** A batch with 2,000 events opened, and 2,000 batches listed, from the link to what is painted. */
export async function batches(page) {
  const at = (i) => new Date(Date.UTC(2026, 0, 1) + i * 30_000).toISOString()
  const one = {
    format: 'omblet-batch',
    formatVersion: 1,
    batch: { id: 'long', code: 'BC-0101', name: 'Bench cream', formulaId: null, who: 'Ina' },
    events: [
      { n: 0, at: at(0), step: null, type: 'start', formula: fortyLines(), version: null },
      ...Array.from({ length: 1999 }, (_, i) =>
        i % 4 === 0
          ? { n: i + 1, at: at(i), step: 'prepare', type: 'weigh', line: i % 40, grams: 0.01 }
          : { n: i + 1, at: at(i), step: 'prepare', type: 'temperature', celsius: 30 + (i % 40) },
      ),
    ],
  }
  await page.goto('/bench')
  await page.getByTestId('batch-picker').setInputFiles({
    name: 'long.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(one)),
  })
  await page.locator('a[href="/bench/long"]').waitFor()
  /** Goes somewhere within the page and waits for the frame after what is looked for. */
  const opened = async (link, wanted) =>
    page.evaluate(
      async ([selector, sought]) => {
        const start = performance.now()
        document.querySelector(selector).click()
        while (!document.querySelector(sought)) await new Promise((resolve) => requestAnimationFrame(resolve))
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
        return performance.now() - start
      },
      [link, wanted],
    )
  const opens = []
  for (let i = 0; i < 5; i++) {
    await page.goto('/bench')
    await page.locator('a[href="/bench/long"]').waitFor()
    opens.push(await opened('a[href="/bench/long"]', 'article.step'))
  }
  say('a batch with 2,000 events opened', `${quantile(opens, 0.5).toFixed(0)} ms`, '300 ms')
  await page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const request = indexedDB.open('omblet')
        request.onerror = () => reject(request.error)
        request.onsuccess = () => {
          const tx = request.result.transaction('batches', 'readwrite')
          for (let i = 0; i < 2000; i++)
            tx.objectStore('batches').put({
              id: `b${i}`,
              code: `BC-${i}`,
              name: `Tide ${i % 40} cream`,
              formulaId: null,
              who: 'Ina',
              status: 'finished',
              startedAt: new Date(1.7e12 + i * 1e7).toISOString(),
              lastAt: new Date(1.7e12 + i * 1e7).toISOString(),
              step: 'All steps are over',
              stepsDone: 17,
              steps: 17,
              targetGrams: 250,
              filledGrams: 240,
              events: 60,
            })
          tx.oncomplete = () => {
            request.result.close()
            resolve()
          }
        }
      }),
  )
  const lists = []
  for (let i = 0; i < 5; i++) {
    await page.goto('/formulas')
    await page.waitForSelector('article.formula')
    lists.push(await opened('a.place[href="/bench"]', '.table .row:not(.heads)'))
  }
  say('2,000 batches listed', `${quantile(lists, 0.5).toFixed(0)} ms`, '300 ms')
}

/** What is kept: 500 batches with 40 looks each, listed by what is due. */
export async function keptBatches(page) {
  await page.goto('/stability')
  await page.getByRole('button', { name: 'Try three example batches' }).click()
  await page.getByRole('heading', { name: 'Due' }).waitFor()
  await page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const request = indexedDB.open('omblet')
        request.onerror = () => reject(request.error)
        request.onsuccess = () => {
          const tx = request.result.transaction('batches', 'readwrite')
          const store = tx.objectStore('batches')
          store.get('demo-LT-D1').onsuccess = ({ target }) => {
            const head = target.result
            const look = head.watch.open[0]
            const open = Array.from({ length: 40 }, (_, i) => ({
              ...look,
              day: look.day + i,
              on: i < 2 ? look.on : `2099-01-${String((i % 28) + 1).padStart(2, '0')}`,
            }))
            for (let i = 0; i < 500; i++)
              store.put({ ...head, id: `k${i}`, code: `K-${i}`, watch: { ...head.watch, open } })
          }
          tx.oncomplete = () => {
            request.result.close()
            resolve()
          }
        }
      }),
  )
  const lists = []
  for (let i = 0; i < 5; i++) {
    await page.goto('/formulas')
    await page.waitForSelector('article.formula')
    lists.push(
      await page.evaluate(async () => {
        const start = performance.now()
        document.querySelector('a.place[href="/stability"]').click()
        while (document.querySelectorAll('.due li').length < 60)
          await new Promise((resolve) => requestAnimationFrame(resolve))
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)))
        return performance.now() - start
      }),
    )
  }
  say('500 batches with 40 looks each, listed', `${quantile(lists, 0.5).toFixed(0)} ms`, '300 ms')
}

/** The finder and the Shelf with 5,000 materials of one's own, taken in through the real import. */
export async function shelfOf5000(page) {
  const kinds = ['extract', 'oil', 'active', 'humectant', 'ester']
  const rows = Array.from(
    { length: 5000 },
    (_, i) =>
      `Pier ${kinds[i % 5]} ${i},Invented ${kinds[i % 5]} ${i} Extract;Aqua,${kinds[i % 5]},water,0.5,5`,
  )
  await page.goto('/ingredients')
  await page.getByRole('button', { name: 'Take in' }).click()
  const start = Date.now()
  await page
    .getByRole('dialog')
    .locator('input[type=file]')
    .setInputFiles({
      name: 'own.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['name,inci,functions,phase,usage_min,usage_max', ...rows].join('\n')),
    })
  await page.getByRole('button', { name: /^Store 5000/ }).click()
  await page.getByRole('dialog').waitFor({ state: 'detached' })
  say('5,000 own materials: read, shown and stored', `${((Date.now() - start) / 1000).toFixed(1)} s`)
  // Every frame while the list is rolled from top to bottom.
  const frames = await page.evaluate(async () => {
    const scroller = document.querySelector('.p-virtualscroller')
    const gaps = []
    let last = performance.now()
    for (let i = 0; i < 180; i++) {
      scroller.scrollTop = (scroller.scrollHeight * i) / 180
      await new Promise((resolve) => requestAnimationFrame(resolve))
      gaps.push(performance.now() - last)
      last = performance.now()
    }
    return gaps.slice(1)
  })
  say('  rolling the Shelf, a frame, 95 % under', `${quantile(frames, 0.95).toFixed(1)} ms`, '33 ms')
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Low Tide toner' }).click()
  await page.locator('section.phase').first().waitFor()
  await page.keyboard.press('/')
  const finder = page.getByRole('combobox', { name: /^Material/ })
  await finder.waitFor()
  const keys = await finder.evaluate(async (input) => {
    const samples = []
    for (const words of ['pier extract 4711', 'glycerin', 'invented oil', 'humectnat', 'pier activ 12']) {
      for (let n = 1; n <= words.length; n++) {
        await new Promise((resolve) => setTimeout(resolve, 20))
        const start = performance.now()
        input.value = words.slice(0, n)
        input.dispatchEvent(new InputEvent('input', { bubbles: true }))
        await new Promise((resolve) =>
          requestAnimationFrame(() => {
            const channel = new MessageChannel()
            channel.port1.onmessage = resolve
            channel.port2.postMessage(0)
          }),
        )
        samples.push(performance.now() - start)
      }
    }
    return samples
  })
  say('  a keystroke in the finder, painted, 95 % under', `${quantile(keys, 0.95).toFixed(1)} ms`, '50 ms')
  say('  median', `${quantile(keys, 0.5).toFixed(1)} ms`)
}
