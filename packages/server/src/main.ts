import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createApp } from './app.ts'
import { listen, portOf } from './listen.ts'

const DEFAULT_PORT = 4180
const SPARE_PORTS = 50
const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..', 'web', 'dist')
const wanted = process.env['PORT'] ? Number(process.env['PORT']) : undefined

if (wanted !== undefined && !(Number.isInteger(wanted) && wanted >= 0 && wanted < 65536)) {
  process.stderr.write(`Omblet: PORT must be a whole number below 65536, not "${process.env['PORT']}".\n`)
  process.exit(2)
}

try {
  const server = await listen(createApp(root), wanted ?? DEFAULT_PORT, wanted === undefined ? SPARE_PORTS : 0)
  process.stdout.write(`Omblet is at http://localhost:${portOf(server)}/ (Ctrl C stops it)\n`)
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
