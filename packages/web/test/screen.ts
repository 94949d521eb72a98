import { flushPromises } from '@vue/test-utils'
import {} from 'vitest'
import { nextTick } from 'vue'
import { eventually } from './patience'

/** What stands on the page, dialogs and menus included, found by its words as a person finds it. */

type Words = string | RegExp
const fits = (text: string | null | undefined, words: Words) => {
  const said = (text ?? '').replace(/\s+/g, ' ').trim()
  return typeof words === 'string' ? said === words : words.test(said)
}
const all = <T extends Element>(of: string, within: ParentNode = document.body) => [
  ...within.querySelectorAll<T>(of),
]
const one = <T extends Element>(found: readonly T[], what: string, words: Words): T => {
  if (!found[0]) throw new Error(`no ${what} “${String(words)}” on: ${text().slice(0, 1500)}`)
  return found[0]
}
export const text = () => document.body.textContent.replace(/\s+/g, ' ').trim()
export const settled = async () => {
  await nextTick()
  await flushPromises()
}
/** Waits until it is so. */
export const until = (check: () => unknown) =>
  eventually(async () => {
    await settled()
    if ((await check()) === false) throw new Error(`not yet: ${text().slice(0, 800)}`)
  })
export const shows = (words: Words) =>
  until(() => (typeof words === 'string' ? text().includes(words) : words.test(text())))

/** A field by its label, the one beside it or its own. */
export function field(words: Words): HTMLInputElement {
  const labelled = all<HTMLLabelElement>('label').filter((l) => fits(l.textContent, words))
  const held = labelled.flatMap((l) =>
    l.htmlFor ? all<HTMLInputElement>(`[id="${l.htmlFor}"]`) : all<HTMLInputElement>('input, textarea', l),
  )
  const own = all<HTMLInputElement>('input[aria-label], textarea[aria-label]').filter((e) =>
    fits(e.getAttribute('aria-label'), words),
  )
  return one([...held, ...own], 'field', words)
}
export const buttons = (words: Words) =>
  all<HTMLButtonElement>('button, [role="menuitem"] > *, a[href]').filter((b) =>
    fits(b.getAttribute('aria-label') ?? b.textContent, words),
  )
export const button = (words: Words) => one(buttons(words), 'button', words)
/** A row, a list item or a section by words that stand in it. */
export const part = (of: string, words: Words) =>
  one(
    all<HTMLElement>(of).filter((e) =>
      typeof words === 'string' ? e.textContent.includes(words) : words.test(e.textContent),
    ),
    of,
    words,
  )

export async function press(words: Words) {
  const it = button(words)
  if (it.disabled) throw new Error(`“${String(words)}” is switched off`)
  it.click()
  await settled()
}
/** Types over what stands in a field. */
export async function type(words: Words, value: string) {
  const it = field(words)
  it.focus()
  it.value = value
  it.dispatchEvent(new Event('input', { bubbles: true }))
  await settled()
}
export async function key(on: Element, pressed: string, more: KeyboardEventInit = {}) {
  on.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, bubbles: true, cancelable: true, ...more }))
  await settled()
}
/** Ticks a box, or takes one of several, by the words beside it. */
export async function tick(words: Words) {
  field(words).click()
  await settled()
}
export async function send(words: Words) {
  field(words)
    .closest('form')!
    .dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }))
  await settled()
}
