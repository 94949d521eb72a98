/** What was chosen in a field for files, which is empty afterwards so that the same file can be chosen again. */
export function filesOf(event: Event): File[] {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  return files
}
