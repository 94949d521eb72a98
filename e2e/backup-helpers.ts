import { readFileSync } from 'node:fs'
import type { Page } from './helpers'

export const propanediol = (page: Page) => page.getByRole('textbox', { name: 'Propanediol, percent' })
export const backUp = async (page: Page) => {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up', exact: true }).click(),
  ])
  return readFileSync((await file.path())!, 'utf8')
}
export const toast = (page: Page) => page.locator('.p-toast')
