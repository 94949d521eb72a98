/**
 * What could not be stored, kept for this tab over a reload. The browser may refuse this too; then the page itself is all
 * that holds it, and it asks before it is left.
 */
const KEY = 'omblet-unstored:'

export function keep(name: string, value: unknown) {
  try {
    sessionStorage.setItem(KEY + name, JSON.stringify(value))
  } catch {
    // No room here either.
  }
}

export function kept<T>(name: string, read: (value: unknown) => T | null): T | null {
  try {
    const text = sessionStorage.getItem(KEY + name)
    return text === null ? null : read(JSON.parse(text))
  } catch {
    return null
  }
}

export function forget(name: string) {
  try {
    sessionStorage.removeItem(KEY + name)
  } catch {
    // Nothing was kept.
  }
}

/** Names of what is kept that begin so. */
export function keptNames(prefix: string): string[] {
  try {
    return Object.keys(sessionStorage).flatMap((k) =>
      k.startsWith(KEY + prefix) ? [k.slice((KEY + prefix).length)] : [],
    )
  } catch {
    return []
  }
}
