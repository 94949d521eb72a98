import { expect, openFormula, test } from './helpers'

const POINTS = { a4: [595, 842], letter: [612, 792] } as const

/** Page boxes of a PDF that Chromium wrote, in points. */
const boxes = (pdf: Buffer) =>
  [...pdf.toString('latin1').matchAll(/\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/g)].map((m) => [
    Math.round(Number(m[1])),
    Math.round(Number(m[2])),
  ])

for (const paper of ['a4', 'letter'] as const) {
  test(`the weigh-out sheet, the method and the card print on ${paper}`, async ({ page }) => {
    await openFormula(page, 'Harbour Fog face cream')
    await page.getByRole('link', { name: 'Print' }).click()
    await page.getByRole('button', { name: paper === 'a4' ? 'A4' : 'Letter' }).click()
    await expect(page.locator('.paper')).toHaveClass(new RegExp(paper))
    const sheet = page.locator('.paper')
    await expect(sheet).toContainText('Weigh-out sheet')
    await expect(sheet.locator('.phase .box').first()).toBeVisible()
    await expect(sheet).toContainText('Tare weight')
    // running totals of the oil phase, on a scale tared with the vessel
    const rows = sheet.locator('section.phase').nth(1).locator('tbody tr')
    const running = await rows.locator('td:nth-child(5)').allInnerTexts()
    const weighed = await rows.locator('td:nth-child(4)').allInnerTexts()
    const grams = (text: string) => Number(text.replace(/[^\d.]/g, ''))
    let sum = 0
    weighed.forEach((text, i) => {
      sum += grams(text)
      expect(grams(running[i]!)).toBeCloseTo(sum, 6)
    })
    const weigh = await page.pdf({ preferCSSPageSize: true })
    expect(boxes(weigh)[0]).toEqual([...POINTS[paper]])
    expect(boxes(weigh).length).toBeLessThanOrEqual(2)

    await page.getByRole('button', { name: 'Method', exact: true }).click()
    await expect(sheet).toContainText('Pour B into A, blending')
    await expect(sheet).toContainText('Equipment')
    const method = boxes(await page.pdf({ preferCSSPageSize: true }))
    expect(method[0]).toEqual([...POINTS[paper]])
    // two pages of steps, and one at most for the drawing at a size that can be read
    expect(method.length).toBeLessThanOrEqual(3)
    // a step of the drawing is a frame around its words, on paper as on the screen
    expect((await sheet.locator('svg rect.stage').first().boundingBox())!.width).toBeGreaterThan(40)

    await page.getByRole('button', { name: 'Formula card' }).click()
    await expect(sheet).toContainText('Ingredients in descending order')
    await expect(sheet).toContainText('Aqua, Coco-Caprylate, Limnanthes Alba Seed Oil')
    expect(boxes(await page.pdf({ preferCSSPageSize: true }))[0]).toEqual([...POINTS[paper]])
  })
}

test('a formula with a stop says so on paper', async ({ page }) => {
  await openFormula(page, 'Storm Warning serum')
  await page.getByRole('link', { name: 'Print' }).click()
  await expect(page.locator('.paper .stopped')).toContainText('Do not make it like this.')
})

test('nothing that is printed promises protection or a cure', async ({ page }) => {
  await openFormula(page, 'Winter Pier hand butter')
  await page.getByRole('link', { name: 'Print' }).click()
  const text = await page.locator('.paper').innerText()
  expect(text).not.toMatch(/\bSPF\s*\d|cures?\b|heals?\b/i)
})
