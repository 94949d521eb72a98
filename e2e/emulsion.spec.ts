import { expect, openFormula, openHome, test, upload } from './helpers'

test('the make-up of a cream, and another emulsifier taken with a way back', async ({ page }) => {
  await openFormula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Emulsion', exact: true }).click()
  const profile = page.getByRole('region', { name: 'Oil in water, a cream' })
  await expect(profile).toContainText('21.5 % oil phase')
  await expect(profile.locator('li', { hasText: 'HLB' }).first()).toContainText('does not apply')
  const chooser = page.getByRole('region', { name: 'Alternatives' })
  await expect(chooser.locator('li', { hasText: 'in use' })).toContainText('Olivate emulsifier')
  await chooser.getByRole('button', { name: /^Cetearyl alcohol with ceteareth-20/ }).click()
  await expect(chooser).toContainText('Nonionic: unaffected by salts and charged actives')
  await chooser.getByRole('button', { name: /^Use/ }).click()
  await expect(chooser.locator('li', { hasText: 'in use' })).toContainText(
    'Cetearyl alcohol with ceteareth-20',
  )
  await page.getByRole('link', { name: 'Formula', exact: true }).click()
  await expect(page.locator('li.line', { hasText: 'Cetearyl alcohol with ceteareth-20' })).toHaveCount(1)
  await expect(page.locator('li.line', { hasText: 'Olivate emulsifier' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(page.locator('li.line', { hasText: 'Olivate emulsifier' })).toHaveCount(1)
})

test('several candidates go into a trial with the one in use', async ({ page }) => {
  await openFormula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Emulsion', exact: true }).click()
  const chooser = page.getByRole('region', { name: 'Alternatives' })
  for (const name of [/^Polyglyceryl methylglucose distearate/, /^Cetearyl alcohol with ceteareth-20/]) {
    await chooser.getByRole('button', { name }).click()
    await chooser.getByLabel('Compare in a trial').check()
  }
  await chooser.getByRole('button', { name: 'Create trial with these 2' }).click()
  await expect(page.getByRole('heading', { name: 'Create trial' })).toBeVisible()
  const compared = page.getByRole('region', { name: 'Samples' })
  await expect(compared.getByRole('listitem')).toHaveCount(3)
  await expect(compared).toContainText('Olivate emulsifier')
  await expect(compared).toContainText('· reference')
})

test('what a swap would bring is said before it is taken', async ({ page }) => {
  await openFormula(page, 'Harbour Fog face cream')
  await page.getByRole('link', { name: 'Emulsion', exact: true }).click()
  const chooser = page.getByRole('region', { name: 'Alternatives' })
  await chooser.getByRole('button', { name: /^Show all/ }).click()
  await chooser.getByRole('button', { name: /^Cetrimonium chloride/ }).click()
  await expect(chooser).toContainText('New findings')
  await expect(chooser).toContainText('is positively charged, xanthan gum negatively')
})

test('a gel has no emulsion and still chooses its thickener', async ({ page }) => {
  await openHome(page)
  await page.getByRole('link', { name: /^Salt Breeze/ }).click()
  await page.getByRole('link', { name: 'Emulsion', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'No emulsion' })).toBeVisible()
  const chooser = page.getByRole('region', { name: 'Alternatives' })
  await expect(chooser.locator('li', { hasText: 'in use' })).toHaveCount(1)
})

test('oils alone have nothing to choose', async ({ page }) => {
  await openHome(page)
  await upload(
    page,
    'one.omblet.json',
    JSON.stringify({
      format: 'omblet-formula',
      formatVersion: 1,
      name: 'Dry Dock balm',
      product: { kind: 'butter', site: 'body', rinse: 'leave-on', region: 'EU' },
      phases: [{ name: 'Oil', role: 'oil', lines: [{ material: 'squalane', percent: 100 }] }],
    }),
  )
  await page.getByRole('link', { name: 'Dry Dock balm' }).click()
  await page.getByRole('link', { name: 'Emulsion', exact: true }).click()
  await expect(page.getByText('Nothing to emulsify without water')).toBeVisible()
  await expect(page.getByText('Nothing to thicken without a water phase on the outside.')).toBeVisible()
})
