import { readFileSync, writeFileSync } from 'node:fs'
import { gunzipSync, gzipSync } from 'node:zlib'
import { expect, it } from 'vitest'
import { demoBatches } from '../src/demo-batches'
import { demoTrials } from '../src/demo-trials'
import { scenes, type Scene } from '../../core/test/golden/scenes'

const FILE = new URL('../../core/test/golden/scenes.json.gz', import.meta.url)
const NOW = Date.parse('2026-11-26T08:00:00.000Z')

const kept = () =>
  new Map((JSON.parse(gunzipSync(readFileSync(FILE)).toString()) as Scene[]).map((s) => [s.name, s.lines]))
const valueOf = (line: string) => line.slice(line.indexOf(' = ') + 3)

/** What differs, as `- before` and `+ after`; lines that only moved to another path are left out by `values`. */
function changesOf(before: readonly string[], after: readonly string[], values: boolean): string[] {
  const key = values ? valueOf : (line: string) => line
  const count = new Map<string, number>()
  for (const line of before) count.set(key(line), (count.get(key(line)) ?? 0) - 1)
  for (const line of after) count.set(key(line), (count.get(key(line)) ?? 0) + 1)
  return [...count].flatMap(([line, n]) => (n === 0 ? [] : [`${n < 0 ? '-' : '+'} ${line}`]))
}

/**
 * Everything that Omblet says in many situations, compared with what it said before. Where a sentence or a judgement is
 * changed on purpose, `npm run golden` writes the file anew and tells what changed.
 */
it('says and decides what it said and decided before', () => {
  const now = scenes(
    demoBatches(NOW, () => null),
    demoTrials(NOW, () => null),
  )
  const write = process.env['OMBLET_GOLDEN'] === 'write'
  const before = write && process.env['OMBLET_GOLDEN_FIRST'] ? new Map<string, string[]>() : kept()
  const values = process.env['OMBLET_GOLDEN_VALUES'] !== undefined
  const changed = now.flatMap(({ name, lines }) =>
    changesOf(before.get(name) ?? [], lines, values).map((change) => `${name}: ${change}`),
  )
  if (write) {
    writeFileSync(FILE, gzipSync(JSON.stringify(now), { level: 9 }))
    process.stdout.write(`${now.length} scenes, ${changed.length} changes\n${changed.join('\n')}\n`)
    return
  }
  expect(now.map((s) => s.name)).toEqual([...before.keys()])
  expect(changed.slice(0, 40)).toEqual([])
})
