import { main as texts } from '#words/server'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createApp } from './app.ts'
import { listen, portOf } from './listen.ts'
import { ownNames } from './own.ts'

const DEFAULT_PORT = 4180
const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..', 'web', 'dist')
const wanted = process.env['PORT'] ? Number(process.env['PORT']) : undefined

if (wanted !== undefined && !(Number.isInteger(wanted) && wanted >= 0 && wanted < 65536)) {
  process.stderr.write(texts.ombletPortMustBeA(process.env['PORT'] ?? ''))
  process.exit(2)
}

const args = process.argv.slice(2)
const odd = args.find((a) => a !== '--lan')
if (odd !== undefined) {
  process.stderr.write(texts.ombletThereIsNoOption(odd))
  process.exit(2)
}
const host = process.env['HOST'] || (args.includes('--lan') ? '0.0.0.0' : '127.0.0.1')
const lan = !['127.0.0.1', 'localhost', '::1'].includes(host)

try {
  const app = createApp(root, ownNames(lan, host))
  const server = await listen(app, wanted ?? DEFAULT_PORT, host)
  process.stdout.write(texts.ombletIsAtHttpLocalhost(portOf(server)))
  process.stdout.write(lan ? texts.itListensOnEverybodyIn(host) : texts.itListensOnThisMachine)
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => {
      server.close(() => process.exit(0))
      // Instruments speak without end.
      server.closeAllConnections()
    })
} catch (error) {
  process.stderr.write(texts.omblet(error instanceof Error ? error.message : String(error)))
  process.exit(1)
}
