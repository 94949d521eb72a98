import { fileURLToPath } from 'node:url'
import { createApp } from '../../packages/server/src/app'
import { listen, portOf } from '../../packages/server/src/listen'

/** Serves what was built in the made-up language on a free port, and tells which. */
const root = fileURLToPath(new URL('../../node_modules/.cache/second-language', import.meta.url))
process.stdout.write(`${portOf(await listen(createApp(root), 0, '127.0.0.1'))}\n`)
