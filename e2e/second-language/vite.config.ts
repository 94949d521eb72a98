import { fileURLToPath } from 'node:url'
import { mergeConfig, type Plugin } from 'vite'
import omblet from '../../packages/web/vite.config'

const HELPER = '\0made-up-language'

/** Says everything in words/en in the made-up language: the module exports what `translate` makes of it. */
const madeUp = (): Plugin => ({
  name: 'omblet-made-up-language',
  enforce: 'post',
  resolveId: (id) => (id === HELPER ? HELPER : null),
  load: (id) =>
    id === HELPER
      ? `export { translate } from ${JSON.stringify(fileURLToPath(new URL('./translate.ts', import.meta.url)))}`
      : null,
  transform(code, id) {
    if (!/\/words\/en\/[^?]*\.ts$/.test(id)) return null
    const edits: [from: number, to: number, text: string][] = []
    let tail = ''
    for (const node of this.parse(code).body) {
      if (node.type !== 'ExportNamedDeclaration' || !node.declaration) continue
      const told = node.declaration
      if (told.type === 'VariableDeclaration')
        for (const { init } of told.declarations)
          edits.push([init!.start, init!.start, '__translate('], [init!.end, init!.end, ')'])
      if (told.type === 'FunctionDeclaration') {
        edits.push([node.start, told.start, ''])
        tail += `\nconst __${told.id!.name} = __translate(${told.id!.name});export { __${told.id!.name} as ${told.id!.name} };`
      }
    }
    let made = code
    for (const [from, to, text] of edits.sort((x, y) => y[0] - x[0] || y[1] - x[1]))
      made = made.slice(0, from) + text + made.slice(to)
    return { code: `import { translate as __translate } from '${HELPER}';${made}${tail}`, map: null }
  },
})

export default mergeConfig(omblet, {
  root: fileURLToPath(new URL('../../packages/web', import.meta.url)),
  plugins: [madeUp()],
  worker: { plugins: () => [madeUp()] },
  build: {
    outDir: fileURLToPath(new URL('../../node_modules/.cache/second-language', import.meta.url)),
    emptyOutDir: true,
  },
})
