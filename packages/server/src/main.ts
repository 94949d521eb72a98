import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createApp } from './app.ts'
import { listen, portOf } from './listen.ts'
import { ownNames } from './own.ts'

const DEFAULT_PORT = 4180
const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..', 'web', 'dist')
const wanted = process.env['PORT'] ? Number(process.env['PORT']) : undefined

if (wanted !== undefined && !(Number.isInteger(wanted) && wanted >= 0 && wanted < 65536)) {
  process.stderr.write(`Omblet: PORT must be a whole number below 65536, not "${process.env['PORT']}".\n`)
  process.exit(2)
}

const args = process.argv.slice(2)
const odd = args.find((a) => a !== '--lan')
if (odd !== undefined) {
  process.stderr.write(
    `Omblet: there is no option ${odd}. Use --lan to open it to the network, or set HOST and PORT.\n`,
  )
  process.exit(2)
}
const host = process.env['HOST'] || (args.includes('--lan') ? '0.0.0.0' : '127.0.0.1')
const lan = !['127.0.0.1', 'localhost', '::1'].includes(host)

try {
  const app = createApp(root, ownNames(lan, host))
  const server = await listen(app, wanted ?? DEFAULT_PORT, host)
  process.stdout.write(`Omblet is at http://localhost:${portOf(server)}/ (Ctrl C stops it)\n`)
  process.stdout.write(
    lan
      ? `It listens on ${host}: everybody in this network can open it, and use the simulated instruments. Formulas stay in each browser.\n`
      : 'It listens on this machine only. Start it with --lan to open it to your network, such as for a phone.\n',
  )
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => {
      server.close(() => process.exit(0))
      // Instruments speak without end.
      server.closeAllConnections()
    })
} catch (error) {
  process.stderr.write(`Omblet: ${error instanceof Error ? error.message : String(error)}\n`)
  process.exit(1)
}
