import type { Page } from './helpers'

/** Least width and height of what is pressed, px. */
export const LEAST = 24

/** What is wrong with the page as it stands, in words. */
export const faults = (page: Page, ticks: number) =>
  page.evaluate(
    ([least, ticks]) => {
      const found: string[] = []
      const root = document.scrollingElement!
      if (root.scrollWidth > innerWidth) {
        const wide = [...document.querySelectorAll('main *, header *')]
          .filter((e) => e.getBoundingClientRect().right > innerWidth + 1)
          .slice(0, 3)
          .map((e) => `${e.tagName.toLowerCase()}.${e.className}`)
        found.push(`scrolls sideways by ${root.scrollWidth - innerWidth} px: ${wide.join(', ')}`)
      }
      const named = (e: Element) =>
        (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40) || e.className
      const seen = (e: Element) =>
        (e as HTMLElement).checkVisibility({ visibilityProperty: true, opacityProperty: false })
      const judgeSize = (e: Element) => {
        const box = e.getBoundingClientRect()
        if (!seen(e) || box.width === 0 || e.closest('.hidden-text')) return
        const wanted = e.matches('input[type="checkbox"]') ? ticks! : least!
        const held = e.closest('label')?.getBoundingClientRect()
        const high = Math.max(box.height, held?.height ?? 0)
        const wide = Math.max(box.width, held?.width ?? 0)
        if (high < wanted - 0.5 || wide < wanted - 0.5)
          found.push(`too small to hit, ${Math.round(box.width)} by ${Math.round(box.height)}: ${named(e)}`)
      }
      document.querySelectorAll('button, [role="button"], input[type="checkbox"], summary').forEach(judgeSize)
      for (const e of document.querySelectorAll<HTMLElement>(
        'h1, h2, h3, button, label, th, legend, summary, .p-select-label',
      ))
        if (
          seen(e) &&
          !e.matches('.p-button-icon-only') &&
          e.scrollWidth > e.clientWidth + 1 &&
          e.clientWidth > 1 &&
          getComputedStyle(e).overflowX !== 'visible'
        )
          found.push(`cut: ${named(e)}`)
      for (const e of document.querySelectorAll('a'))
        if (seen(e) && /^rgb\((0, 0, 238|85, 26, 139)\)$/.test(getComputedStyle(e).color))
          found.push(`a link in no colour of ours: ${named(e)}`)
      return found
    },
    [LEAST, ticks] as const,
  )
