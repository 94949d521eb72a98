import { options as texts } from '#words/cli'
import { parseArgs } from 'node:util'
import { acidBaseOf, catalogue, LABEL_REGIONS, listWords, slug, type LabelWish } from '@omblet/core'

/**
 * Files and values of options as `util.parseArgs` finds them: words behind `--` are never options, and `-` is a file. A
 * sentence where an option is not known, has no value or stands there twice.
 */
export function valued(
  args: readonly string[],
  known: readonly string[],
): { files: string[]; values: Map<string, string> } | { error: string } {
  const options = Object.fromEntries(known.map((name) => [name.slice(2), { type: 'string' as const }]))
  const { tokens, positionals } = parseArgs({
    args: [...args],
    options,
    allowPositionals: true,
    strict: false,
    tokens: true,
  })
  const values = new Map<string, string>()
  for (const token of tokens) {
    if (token.kind !== 'option') continue
    const { rawName, value } = token
    if (!known.includes(rawName)) return { error: unknownOption(rawName, known) }
    if (value === undefined || known.includes(value)) return { error: texts.needsAValueBehindIt(rawName) }
    if (values.has(rawName)) return { error: texts.standsThereTwiceNameIt(rawName) }
    values.set(rawName, value)
  }
  return { files: positionals, values }
}
const unknownOption = (name: string, known: readonly string[]) =>
  texts.thereIsNoOption(name, known.length > 0 ? texts.use(listWords(known)) : texts.aFileOfThatName)

/** A plain decimal number, NaN where it is none; a sentence where its comma could part thousands. */
function plainNumber(text: string): number | { error: string } {
  const body = text.trim()
  if (/^[1-9]\d{0,2}(,\d{3})+$/.test(body))
    return {
      error: texts.canBeOrWriteIt(body, body.replaceAll(',', ''), body.replace(',', '.')),
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
    if (!known) return { error: texts.region(listWords(LABEL_REGIONS, 'or')) }
    wish.region = known
  }
  if (read.values.has('--grams') && read.values.has('--millilitres'))
    return { error: texts.nameTheContentOnceGrams }
  for (const key of ['grams', 'millilitres'] as const) {
    const text = read.values.get(`--${key}`)
    if (text === undefined) continue
    const value = plainNumber(text)
    if (typeof value === 'object') return { error: `--${key}: ${value.error}` }
    if (!(value > 0 && value <= 1e6)) return { error: texts.aboveZero(key) }
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
    ['--to', 'to', (n: number) => n >= 0 && n <= 14, texts.mustBeAPhBetween],
    ['--strength', 'strength', (n: number) => n > 0 && n <= 100, texts.mustBeAPercentAbove],
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
    if (!acidBaseOf(key)) return { error: texts.noConstants(adjuster) }
    options.adjuster = key
  }
  return { files: read.files, options }
}
