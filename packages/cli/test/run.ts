import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { vi } from 'vitest'
import { main } from '../src/main.ts'

export const folder = mkdtempSync(join(tmpdir(), 'omblet-'))
export const write = (name: string, text: string) => {
  writeFileSync(join(folder, name), text)
  return name
}

export async function run(...args: string[]) {
  const printed = { out: '', err: '' }
  vi.spyOn(process.stdout, 'write').mockImplementation((text) => ((printed.out += String(text)), true))
  vi.spyOn(process.stderr, 'write').mockImplementation((text) => ((printed.err += String(text)), true))
  const code = await main(args, folder)
  vi.restoreAllMocks()
  return { code, ...printed }
}
export const toner = JSON.stringify({
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Sluice toner',
  product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
  batchGrams: 200,
  phases: [
    {
      name: 'Premix',
      role: 'premix',
      lines: [
        { material: 'Propanediol', percent: 4 },
        { material: 'phenoxyethanol, ethylhexylglycerin', percent: 1 },
      ],
    },
    {
      name: 'Water',
      role: 'water',
      lines: [
        { material: 'aqua', fill: true },
        { material: 'glycerin', grams: 6 },
        {
          material: 'my herb infusion',
          percent: 2,
          custom: { inci: ['aqua', 'avena sativa kernel extract'], functions: ['skin conditioning'] },
        },
      ],
    },
  ],
})
