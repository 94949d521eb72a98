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
    else if (args[i + 1] === undefined) return { error: `${arg} needs a value behind it.` }
    else values.set(arg, args[++i]!)
  }
  return { files, values }
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
    const value = text.trim() ? Number(text.replace(',', '.')) : Number.NaN
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
  const options: PhOptions = { to: null, adjuster: null, strength: null }
  const files: string[] = []
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!
    if (arg === '--') {
      files.push(...args.slice(i + 1))
      break
    }
    if (arg === '-' || !arg.startsWith('-')) {
      files.push(arg)
      continue
    }
    const value = args[++i]
    const number = value?.trim() ? Number(value.replace(',', '.')) : Number.NaN
    if (arg === '--to' && number >= 0 && number <= 14) options.to = number
    else if (arg === '--strength' && number > 0 && number <= 100) options.strength = number
    else if (arg === '--with' && value) {
      const key = catalogue.find(value)?.id ?? slug(value)
      if (!acidBaseOf(key)) return { error: `--with: "${value}" has no acid or base constants here.` }
      options.adjuster = key
    } else if (arg === '--to') return { error: '--to must be a pH between 0 and 14.' }
    else if (arg === '--strength') return { error: '--strength must be a percent above 0, 100 at most.' }
    else return { error: `there is no option ${arg}. Use --to, --with and --strength.` }
  }
  return { files, options }
}
