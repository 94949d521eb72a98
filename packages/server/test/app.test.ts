import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import type { AddressInfo, Server } from 'node:net'
import { createServer, request } from 'node:http'
import { hostname, tmpdir } from 'node:os'
import { join } from 'node:path'
import express from 'express'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createApp } from '../src/app.ts'
import { listen, portOf } from '../src/listen.ts'
import { ownNames } from '../src/own.ts'

let server: Server
let base = ''

beforeAll(async () => {
  const root = mkdtempSync(join(tmpdir(), 'omblet-'))
  mkdirSync(join(root, 'assets'))
  writeFileSync(
    join(root, 'index.html'),
    '<meta name="csp-nonce" content="__CSP_NONCE__"><div id="app"></div>',
  )
  writeFileSync(join(root, 'assets', 'main-a1B2c3D4.js'), `console.log(${JSON.stringify('x'.repeat(4000))})`)
  writeFileSync(join(root, 'favicon.svg'), '<svg/>')
  const started = createApp(root).listen(0, '127.0.0.1')
  await new Promise((resolve) => started.once('listening', resolve))
  server = started
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => new Promise((resolve) => server.close(resolve)))

describe('a port that is taken', () => {
  const taken = () => (server.address() as AddressInfo).port
  it('is never left for another, under which the browser would keep work apart; who holds it is said', async () => {
    await expect(listen(express(), taken())).rejects.toThrow(
      /^it runs already: open http:\/\/localhost:\d+\//,
    )
    const other = createServer((_req, res) => res.end('hello'))
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve))
    const { port } = other.address() as AddressInfo
    await expect(listen(express(), port)).rejects.toThrow(
      new RegExp(`^port ${port} is held by .*process ${process.pid}[.] Stop that, or set PORT`),
    )
    await new Promise((resolve) => other.close(resolve))
    const free = await listen(express(), port)
    expect(portOf(free)).toBe(port)
    await new Promise((resolve) => free.close(resolve))
  })
})

describe('the server', () => {
  it('gives each page a policy with a nonce of its own', async () => {
    const pages = await Promise.all([fetch(`${base}/`), fetch(`${base}/formulas`)])
    const nonces = await Promise.all(
      pages.map(async (page) => {
        const policy = page.headers.get('content-security-policy')!
        const nonce = /'nonce-([^']+)'/.exec(policy)![1]!
        expect(await page.text()).toContain(`content="${nonce}"`)
        expect(policy).toContain("default-src 'none'")
        // Style attributes of the charts, and the solver's WebAssembly; nothing else.
        expect(policy.replace(/style-src-attr [^;]*/, '').replace("'wasm-unsafe-eval'", '')).not.toMatch(
          /unsafe-|\*/,
        )
        expect(page.headers.get('cache-control')).toBe('no-cache')
        return nonce
      }),
    )
    expect(nonces[0]).not.toBe(nonces[1])
  })

  it.each(['/formulas/abc', '/no/such/place', '/formulas/abc/print?paper=a4'])(
    'answers %s with the application',
    async (path) => {
      const page = await fetch(base + path)
      expect(page.status).toBe(200)
      expect(await page.text()).toContain('id="app"')
    },
  )

  it('compresses, and lets hashed files be kept for a year', async () => {
    const script = await fetch(`${base}/assets/main-a1B2c3D4.js`)
    expect(script.headers.get('content-encoding')).toMatch(/gzip|br/)
    expect(script.headers.get('cache-control')).toBe('public, max-age=31536000, immutable')
    expect((await fetch(`${base}/favicon.svg`)).headers.get('cache-control')).toBe('no-cache')
  })

  it('does not pass off the application as a missing script', async () => {
    const missing = await fetch(`${base}/assets/gone-00000000.js`)
    expect(missing.status).toBe(404)
    expect(await missing.text()).not.toContain('<')
  })

  it('only reads', async () => {
    expect((await fetch(`${base}/formulas`, { method: 'POST' })).status).toBe(405)
  })

  /** A request with a Host of one's own, which `fetch` does not allow. */
  const ask = (headers: Record<string, string>, path = '/', method = 'GET') =>
    new Promise<number>((resolve, reject) => {
      const { port } = server.address() as AddressInfo
      const req = request({ host: '127.0.0.1', port, path, method, headers }, (res) => {
        res.resume()
        resolve(res.statusCode!)
      })
      req.on('error', reject).end()
    })
  it('answers only by a name of its own, and to pages of its own', async () => {
    const { port } = server.address() as AddressInfo
    for (const host of [`localhost:${port}`, `127.0.0.1:${port}`, 'localhost', `LOCALHOST:${port}`])
      expect(await ask({ host }), host).toBe(200)
    for (const host of [`harbour.example:${port}`, 'localhost.harbour.example', '192.0.2.7'])
      expect(await ask({ host }), host).not.toBe(200)
    const host = `localhost:${port}`
    expect(await ask({ host, origin: `http://${host}` }, '/instruments', 'POST')).toBe(400)
    for (const origin of ['http://harbour.example', 'null', 'http://localhost:1'])
      expect(await ask({ host, origin }, '/instruments', 'POST'), origin).toBe(403)
  })
  it('knows its names in the network only where it was opened to it', () => {
    expect([...ownNames(false)]).toEqual(['localhost', '127.0.0.1', '[::1]'])
    expect(ownNames(true, 'Quay').has('quay')).toBe(true)
    expect(ownNames(true).has(hostname().toLowerCase())).toBe(true)
  })

  it('says what to do when nothing was built', () => {
    expect(() => createApp(join(tmpdir(), 'nowhere-at-all'))).toThrow(/npm run build/)
  })
})

describe('simulated instruments', () => {
  const formula = {
    format: 'omblet-formula',
    formatVersion: 1,
    name: 'Quay water',
    batchGrams: 100,
    scaleResolutionGrams: 0.01,
    product: { kind: 'toner', site: 'face', rinse: 'leave-on', region: 'EU' },
    phases: [
      {
        name: 'Water',
        role: 'water',
        lines: [
          { material: 'aqua', fill: true },
          { material: 'citric acid', percent: 1 },
        ],
      },
    ],
  }
  const post = (path: string, body: unknown) =>
    fetch(`${base}/instruments${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
  const setUp = async (more = {}) => {
    const res = await post('', { formula, seed: 4, ...more })
    expect(res.status).toBe(201)
    return ((await res.json()) as { id: string }).id
  }
  /** Lines of a stream until one is as wanted; the stream is then let go. */
  async function until(path: string, wanted: (line: string) => boolean): Promise<string> {
    const stop = new AbortController()
    const res = await fetch(`${base}/instruments${path}`, { signal: stop.signal })
    let rest = ''
    for await (const chunk of res.body!.pipeThrough(new TextDecoderStream())) {
      const lines = (rest + chunk).split('\r\n')
      rest = lines.pop()!
      const found = lines.find(wanted)
      if (found !== undefined) {
        stop.abort()
        return found
      }
    }
    throw new Error('the stream ended')
  }

  it('speak in lines and show what is poured', async () => {
    const id = await setUp()
    await post(`/${id}/hands`, { do: 'place', vessel: 'A' })
    await until(`/${id}/scale`, (l) => l.endsWith('steady'))
    await post(`/${id}/hands`, { do: 'tare' })
    const truth = await post(`/${id}/hands`, { do: 'pour', line: 0, grams: 20 })
    expect(((await truth.json()) as { vessels: { grams: number }[] }).vessels[0]!.grams).toBe(20)
    expect(await until(`/${id}/scale`, (l) => /mass (19|20)\.\d+ g steady/.test(l))).toMatch(
      /(19\.9[89]|20\.0[012])/,
    )
  })
  it('end their stream when they are unplugged, and come back', async () => {
    const id = await setUp()
    await post(`/${id}/hands`, { do: 'plug', instrument: 'ph', in: false })
    expect((await fetch(`${base}/instruments/${id}/ph`)).status).toBe(204)
    await post(`/${id}/hands`, { do: 'plug', instrument: 'ph', in: true })
    expect(await until(`/${id}/ph`, () => true)).toBe('ph none')
  })
  it('are never taken away while somebody reads them', async () => {
    const stop = new AbortController()
    const ids: string[] = []
    for (let i = 0; i < 8; i++) {
      const id = await setUp()
      ids.push(id)
      await fetch(`${base}/instruments/${id}/scale`, { signal: stop.signal })
    }
    const refused = await post('', { formula, seed: 4 })
    expect(refused.status).toBe(503)
    expect(((await refused.json()) as { error: string }).error).toMatch(/in use/)
    for (const id of ids) expect((await fetch(`${base}/instruments/${id}`)).status).toBe(200)
    stop.abort()
    await expect.poll(async () => (await post('', { formula, seed: 4 })).status).toBe(201)
  })
  it('answer what they do not understand with a sentence', async () => {
    const id = await setUp()
    for (const [path, body, status] of [
      ['', { formula: { name: 'x' } }, 400],
      [`/${id}/hands`, { do: 'pour', line: -1, grams: 2 }, 400],
      [`/${id}/hands`, { do: 'pour', line: 0, grams: 2 }, 409],
      ['/nowhere/hands', { do: 'tare' }, 404],
    ] as const) {
      const res = await post(path, body)
      expect(res.status).toBe(status)
      expect(((await res.json()) as { error: string }).error.length).toBeGreaterThan(10)
    }
  })
})
