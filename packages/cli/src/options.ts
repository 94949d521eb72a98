import { acidBaseOf, catalogue, LABEL_REGIONS, listWords, slug, type LabelWish } from '@omblet/core'

/** Words of a command: options before `--`, and everything else; `-` is a file. */
export function split(args: readonly string[]): { files: string[]; options: string[] } {
  const end = args.indexOf('--')
  const before = end < 0 ? args : args.slice(0, end)
  const isOption = (a: string) => a.startsWith('-') && a !== '-'
  return {
    files: [...before.filter((a) => !isOption(a)), ...(end < 0 ? [] : args.slice(end + 1))],
    options: before.filter(isOption),
  }
}

/** Values of options by name, and the words that are none; a sentence where one has no value or is not known. */
export function valued(
  args: readonly string[],
  known: readonly string[],
): { files: string[]; values: Map<string, string> } | { error: string } {
  const values = new Map<string, string>()
  const files: string[] = []
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!
    if (arg === '--') {
      files.push(...args.slice(i + 1))
      break
    }
    if (arg === '-' || !arg.startsWith('-')) files.push(arg)
    else if (!known.includes(arg)) return { error: `there is no option ${arg}. Use ${listWords(known)}.` }
    else if (args[i + 1] === undefined || known.includes(args[i + 1]!))
      return { error: `${arg} needs a value behind it.` }
    else if (values.has(arg)) return { error: `${arg} stands there twice. Name it once.` }
    else values.set(arg, args[++i]!)
  }
  return { files, values }
}

/** A plain decimal number, NaN where it is none; a sentence where its comma could part thousands. */
function plainNumber(text: string): number | { error: string } {
  const body = text.trim()
  if (/^[1-9]\d{0,2}(,\d{3})+$/.test(body))
    return {
      error: `"${body}" can be ${body.replaceAll(',', '')} or ${body.replace(',', '.')}. Write it without the comma.`,
    }
  return /^-?\d+([.,]\d+)?$/.test(body) ? Number(body.replace(',', '.')) : Number.NaN
}

/** Region and content for a label; a sentence when one of them makes no sense. */
export function labelOptions(
  args: readonly string[],
): { files: string[]; wish: LabelWish } | { error: string } {
  const read = valued(args, ['--region', '--grams', '--millilitres'])
  if ('error' in read) return read
  const wish: LabelWish = {}
  const region = read.values.get('--region')
  if (region !== undefined) {
    const known = LABEL_REGIONS.find((r) => r.toLowerCase() === region.toLowerCase())
    if (!known) return { error: `--region must be one of ${listWords(LABEL_REGIONS, 'or')}.` }
    wish.region = known
  }
  if (read.values.has('--grams') && read.values.has('--millilitres'))
    return { error: 'name the content once: --grams or --millilitres.' }
  for (const key of ['grams', 'millilitres'] as const) {
    const text = read.values.get(`--${key}`)
    if (text === undefined) continue
    const value = plainNumber(text)
    if (typeof value === 'object') return { error: `--${key}: ${value.error}` }
    if (!(value > 0 && value <= 1e6)) return { error: `--${key} must be a number above 0.` }
    wish[key] = value
  }
  return { files: read.files, wish }
}

export interface PhOptions {
  to: number | null
  adjuster: string | null
  strength: number | null
}

/** Parts file names from `--to`, `--with` and `--strength`; a sentence when one of them makes no sense. */
export function phOptions(
  args: readonly string[],
): { files: string[]; options: PhOptions } | { error: string } {
  const read = valued(args, ['--to', '--with', '--strength'])
  if ('error' in read) return read
  const options: PhOptions = { to: null, adjuster: null, strength: null }
  const numbers = [
    ['--to', 'to', (n: number) => n >= 0 && n <= 14, 'must be a pH between 0 and 14.'],
    ['--strength', 'strength', (n: number) => n > 0 && n <= 100, 'must be a percent above 0, 100 at most.'],
  ] as const
  for (const [name, key, fits, must] of numbers) {
    const text = read.values.get(name)
    if (text === undefined) continue
    const value = plainNumber(text)
    if (typeof value === 'object') return { error: `${name}: ${value.error}` }
    if (!fits(value)) return { error: `${name} ${must}` }
    options[key] = value
  }
  const adjuster = read.values.get('--with')
  if (adjuster !== undefined) {
    const key = catalogue.find(adjuster)?.id ?? slug(adjuster)
    if (!acidBaseOf(key)) return { error: `--with: "${adjuster}" has no acid or base constants here.` }
    options.adjuster = key
  }
  return { files: read.files, options }
}
