/** `phases[1].lines[0].percent` from a list of keys. */
export function fieldName(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (name, key) =>
      typeof key === 'number' ? `${name}[${key}]` : name ? `${name}.${String(key)}` : String(key),
    '',
  )
}
