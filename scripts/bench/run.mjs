// Prints what Omblet costs. Without words after it all of it, else what is named: core, screens, files, growth, life.
import { core } from './core.mjs'
import { files } from './files.mjs'
import { growth } from './growth.mjs'
import { life } from './life.mjs'
import { batches, keptBatches, shelfOf5000 } from './places.mjs'
import { served } from './served.mjs'
import { sheet } from './sheet.mjs'

const PARTS = {
  core,
  screens: () =>
    served(async (newPage) => {
      const page = await newPage()
      await sheet(page)
      await batches(page)
      await shelfOf5000(page)
      await keptBatches(await newPage())
    }),
  files: () => served(files),
  growth,
  life: () => served(async (newPage) => life(await newPage())),
}

const wanted = process.argv.slice(2)
const unknown = wanted.find((w) => !Object.hasOwn(PARTS, w))
if (unknown) {
  console.error(`“${unknown}” is nothing that is measured. Name any of: ${Object.keys(PARTS).join(', ')}.`)
  process.exit(2)
}
for (const name of wanted.length ? wanted : Object.keys(PARTS)) await PARTS[name]()
