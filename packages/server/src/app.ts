import { app as texts } from '#words/server'
import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express, type Request, type Response } from 'express'
import helmet from 'helmet'
import { WHO } from './listen.ts'
import { instruments } from './instruments.ts'
import { onlyOwn, ownNames } from './own.ts'

const HASHED = /-[\w-]{8}\.\w+$/
const YEAR = 365 * 24 * 3600

/**
 * Serves the built application from `root`: compressed, hashed files kept for a year, a strict content security
 * policy with a fresh nonce for each page, and the application itself for every path that is not a file. Answers only to
 * `names`.
 */
export function createApp(root: string, names: ReadonlySet<string> = ownNames(false)): Express {
  const index = join(root, 'index.html')
  if (!existsSync(index)) throw new Error(texts.doesNotExistBuildFirst(index))
  const page = readFileSync(index, 'utf8')

  const app = express()
  app.disable('x-powered-by')
  app.use(onlyOwn(names))
  app.use((_req, res, next) => {
    res.locals['nonce'] = randomBytes(16).toString('base64')
    next()
  })
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          // The solver is WebAssembly; nothing else is ever compiled.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", (_req, res) => `'nonce-${(res as Response).locals['nonce']}'`],
          // The chart package writes style attributes; with images and scripts bound to this origin they can load nothing.
          styleSrcAttr: ["'unsafe-inline'"],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // Omblet is served over plain http on one's own machine: asking for https would lock the browser out.
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: { policy: 'same-origin' },
    }),
  )
  app.use(compression())
  app.use('/instruments', instruments())

  const sendPage = (_req: Request, res: Response) => {
    res.setHeader('Cache-Control', 'no-cache')
    res.type('html').send(page.replaceAll('__CSP_NONCE__', String(res.locals['nonce'])))
  }
  app.get(WHO, (_req, res) => {
    res.setHeader('Cache-Control', 'no-store')
    res.json({ application: 'Omblet' })
  })
  app.get(['/', '/index.html'], sendPage)
  app.use(
    express.static(root, {
      index: false,
      setHeaders: (res, path) => {
        res.setHeader('Cache-Control', HASHED.test(path) ? `public, max-age=${YEAR}, immutable` : 'no-cache')
      },
    }),
  )
  app.use((req, res) => {
    if (req.method !== 'GET' && req.method !== 'HEAD') {
      res.status(405).setHeader('Allow', 'GET, HEAD')
      res.type('text').send(texts.onlyReadingIsPossibleHere)
    } else if (/^\/assets\//.test(req.path)) {
      // A missing script must not come back as a page.
      res.status(404).type('text').send(texts.thereIsNoSuchFile)
    } else sendPage(req, res)
  })
  return app
}
