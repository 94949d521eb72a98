import { main as texts } from '#words/cli'
import { leftOutText } from '@omblet/core/words'
import { readFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { resolve } from 'node:path'
import { text as wholeText } from 'node:stream/consumers'
import { fileURLToPath } from 'node:url'
import {
  assess,
  buildRecipe,
  costByPrices,
  costReport,
  readPrices,
  catalogue,
  formulaFault,
  labelReport,
  procedureReport,
  makeSearch,
  readFormula,
  ReadError,
  readReadings,
  readRecipe,
  readTrial,
  report,
  trendOf,
  trialReport,
  type Formula,
  type Material,
} from '@omblet/core'
import { labelOptions, phOptions, valued } from './options.ts'
import { ph } from './ph.ts'

const USAGE = texts.usageOmbletCheckFileFile

const VERSION = (
  JSON.parse(readFileSync(fileURLToPath(new URL('../package.json', import.meta.url)), 'utf8')) as {
    version: string
  }
).version

const out = (text: string) => process.stdout.write(`${text}\n`)
// A reader that stops early (head, a closed pipe) is no fault of ours; a full disk is said in one line.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') return
  const why = error.code === 'ENOSPC' ? texts.theDiskIsFull : error.message
  process.stderr.write(texts.ombletWhatWasPrintedCould(why))
  process.exit(2)
})
const err = (text: string) => process.stderr.write(`${text.replace(/\s*\n\s*/g, ' ')}\n`)

function explain(error: unknown, file: string): string {
  if (error instanceof ReadError) return error.message
  const code = (error as NodeJS.ErrnoException).code
  if (code === 'ENOSPC') return texts.theDiskIsFull2
  if (code === 'ENOENT') return texts.doesNotExistCheckThe(file)
  if (code === 'EISDIR') return texts.isAFolderNameA(file)
  if (code === 'EACCES') return texts.mayNotBeReadCheck(file)
  return texts.couldNotBeRead(file, error instanceof Error ? error.message : String(error))
}

/** The text of a file, or of standard input where it is called `-`. */
const textOf = async (file: string, cwd: string) =>
  file === '-' ? wholeText(process.stdin) : readFile(resolve(cwd, file), 'utf8')
const load = async (file: string, cwd: string) => readFormula(await textOf(file, cwd))

/** One file: pretty JSON. Several: one compact object a line, faults in their place and exit code 2 at the end. */
async function evaluate(
  files: readonly string[],
  cwd: string,
  work: (formula: Formula) => object,
): Promise<number> {
  if (files.length === 0) {
    err(texts.ombletNameAtLeastOne)
    return 2
  }
  if (files.length === 1) return printed(files[0]!, async () => work(await load(files[0]!, cwd)))
  let code = 0
  for (const file of files) {
    try {
      out(JSON.stringify({ file, ...work(await load(file, cwd)) }))
    } catch (error) {
      out(JSON.stringify({ file, error: explain(error, file) }))
      code = 2
    }
  }
  return code
}

/** What a batch costs by a table of prices. */
async function cost(args: readonly string[], cwd: string): Promise<number> {
  const read = valued(args, ['--prices'])
  const table = 'error' in read ? undefined : read.values.get('--prices')
  const fault =
    'error' in read
      ? read.error
      : read.files.length !== 1
        ? texts.nameOneFormulaFile
        : table === undefined
          ? texts.nameATableOfPrices
          : null
  if (fault !== null || 'error' in read || table === undefined) {
    err(`omblet cost: ${fault}`)
    return 2
  }
  let text: string
  try {
    text = await textOf(table, cwd)
  } catch (error) {
    err(explain(error, table))
    return 2
  }
  const prices = readPrices(text, catalogue)
  if ('error' in prices) {
    err(texts.ombletCost(table, prices.error))
    return 2
  }
  return evaluate(read.files, cwd, (formula) => costReport(costByPrices(assess(formula), prices.priceOf)))
}

/** The drift of readings in a table. */
async function trend(args: readonly string[], cwd: string): Promise<number> {
  const read = valued(args, ['--low', '--high'])
  if ('error' in read || read.files.length !== 1) {
    err(`omblet trend: ${'error' in read ? read.error : texts.nameOneTableOfReadings}`)
    return 2
  }
  const limits: { low?: number; high?: number } = {}
  for (const key of ['low', 'high'] as const) {
    const given = read.values.get(`--${key}`)
    if (given === undefined) continue
    const value = given.trim() ? Number(given.replace(',', '.')) : Number.NaN
    if (!Number.isFinite(value)) {
      err(texts.ombletTrendMustBeA(key))
      return 2
    }
    limits[key] = value
  }
  if (limits.low !== undefined && limits.high !== undefined && limits.low >= limits.high) {
    err(texts.ombletTrendLowMustLie)
    return 2
  }
  const [file] = read.files as [string]
  return printed(file, async () => {
    const readings = readReadings(await textOf(file, cwd))
    if ('error' in readings) throw new ReadError(`${file}: ${readings.error}`)
    return trendOf(readings.points, limits)
  })
}

/** What a trial file tells; who is left out of a test is said on standard error. */
async function trial(files: readonly string[], cwd: string): Promise<number> {
  if (files.length !== 1) {
    err(texts.ombletTrialNameOneTrial)
    return 2
  }
  const [file] = files as [string]
  return printed(file, async () => {
    const { report: told, leftOut } = trialReport(readTrial(await textOf(file, cwd)))
    leftOut.forEach((who) => err(`omblet trial: ${leftOutText(who)}`))
    return told
  })
}

/** Prints what was worked out from one file, or in one line why it could not be. */
async function printed(file: string, work: () => Promise<object>): Promise<number> {
  try {
    out(JSON.stringify(await work(), null, 2))
    return 0
  } catch (error) {
    err(explain(error, file))
    return 2
  }
}

/** A recipe in plain text as a formula file; lines that nobody could read are listed beside it. */
async function parse(files: readonly string[], cwd: string): Promise<number> {
  if (files.length !== 1) {
    err(texts.ombletParseNameOneFile)
    return 2
  }
  try {
    const text = await textOf(files[0]!, cwd)
    if (/^\s*\{/.test(text) && /"format"\s*:\s*"omblet-/.test(text)) {
      err(texts.ombletParseIsAFile(files[0]!, files[0]!))
      return 2
    }
    const recipe = readRecipe(text, catalogue)
    const unread = recipe.lines.flatMap((l) => (l.kind === 'unread' ? [l.text] : []))
    if (!recipe.lines.some((l) => l.kind === 'ingredient')) {
      err(texts.ombletParseHasNoLine(files[0]!))
      return 2
    }
    const { formula } = buildRecipe(recipe, {}, catalogue)
    const fault = formulaFault(formula)
    if (fault) {
      err(texts.ombletParseMakesNoFormula(files[0]!, fault))
      return 2
    }
    out(JSON.stringify({ ...formula, unread }, null, 2))
    return 0
  } catch (error) {
    err(explain(error, files[0]!))
    return 2
  }
}

const describe = (m: Material) =>
  [m.id, m.name, m.inci.join(', '), m.phase, m.usage ? `${m.usage.min}–${m.usage.max} %` : '–'].join('\t')

type Command = (args: readonly string[], cwd: string) => Promise<number>

/** A command that takes files alone. */
const ofFiles =
  (name: string, run: (files: readonly string[], cwd: string) => Promise<number>): Command =>
  async (args, cwd) => {
    const read = valued(args, [])
    if (!('error' in read)) return run(read.files, cwd)
    err(`omblet ${name}: ${read.error}`)
    return 2
  }

async function phCommand(args: readonly string[], cwd: string): Promise<number> {
  const read = phOptions(args)
  if (!('error' in read)) return evaluate(read.files, cwd, (formula) => ph(formula, read.options))
  err(`omblet ph: ${read.error}`)
  return 2
}

async function labelCommand(args: readonly string[], cwd: string): Promise<number> {
  const read = labelOptions(args)
  if (!('error' in read))
    return evaluate(read.files, cwd, (formula) => labelReport(assess(formula), read.wish))
  err(`omblet label: ${read.error}`)
  return 2
}

async function listMaterials(words: readonly string[]): Promise<number> {
  const wanted = words.join(' ').trim()
  const found = wanted === '' ? catalogue.materials : makeSearch(catalogue.materials)(wanted)
  found.forEach((m) => out(describe(m)))
  return 0
}

const COMMANDS: Record<string, Command> = {
  check: ofFiles('check', (files, cwd) => evaluate(files, cwd, (formula) => report(formula))),
  ph: phCommand,
  method: ofFiles('method', (files, cwd) => evaluate(files, cwd, (f) => procedureReport(assess(f)))),
  label: labelCommand,
  cost,
  trend,
  trial: ofFiles('trial', trial),
  parse: ofFiles('parse', parse),
  catalogue: ofFiles('catalogue', listMaterials),
}

/** Runs one command. Exit code 0 when it evaluated, 2 when it could not read what it was given. */
export async function main(args: readonly string[], cwd: string): Promise<number> {
  const [name, ...rest] = args
  const beforeEnd = rest.includes('--') ? rest.slice(0, rest.indexOf('--')) : rest
  const asksHelp = name === undefined || ['help', '-h', '--help'].includes(name)
  if (asksHelp || beforeEnd.some((a) => a === '-h' || a === '--help')) {
    out(USAGE)
    return 0
  }
  if (name === '-V' || name === '--version') {
    out(VERSION)
    return 0
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (command) return command(rest, cwd)
  err(texts.ombletThereIsNoCommand(name, Object.keys(COMMANDS).join(', ')))
  return 2
}
