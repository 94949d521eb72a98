import { randomUUID } from 'node:crypto'
import { Formula, INSTRUMENTS, SimBench, type InstrumentKind } from '@omblet/core'
import express, { Router, type Request, type Response } from 'express'
import * as z from 'zod'

/** Milliseconds between two lines of an instrument. */
const EVERY: Record<InstrumentKind, number> = { scale: 200, thermometer: 500, ph: 500 }
const TICK = 100
const MOST_BENCHES = 8
const FORGOTTEN_MS = 30 * 60_000

const grams = z.number().min(0).max(100_000)
const vessel = z.string().min(1).max(40)
const celsius = z.number().min(0).max(120)
const line = z.number().int().min(0).max(1000)

const Hands = z.discriminatedUnion('do', [
  z.object({ do: z.literal('place'), vessel }),
  z.object({ do: z.literal('clear') }),
  z.object({ do: z.literal('pour'), line, grams }),
  z.object({ do: z.literal('take'), line, grams }),
  z.object({ do: z.literal('water'), grams }),
  z.object({
    do: z.literal('drip'),
    material: z.string().min(1).max(300),
    strengthPercent: z.number().gt(0).max(100),
    grams,
  }),
  z.object({ do: z.literal('heat'), vessel, celsius: celsius.nullable() }),
  z.object({ do: z.literal('way'), vessel, way: z.enum(['air', 'bath']) }),
  z.object({ do: z.literal('cover'), vessel, covered: z.boolean() }),
  z.object({ do: z.literal('combine'), from: vessel, into: vessel }),
  z.object({ do: z.literal('probe'), vessel: vessel.nullable() }),
  z.object({ do: z.literal('thermometer'), vessel: vessel.nullable() }),
  z.object({ do: z.literal('tare') }),
  z.object({ do: z.literal('plug'), instrument: z.enum(INSTRUMENTS), in: z.boolean() }),
  z.object({ do: z.literal('speed'), speed: z.number().min(1).max(1000) }),
])

const Begin = z.object({
  formula: Formula,
  seed: z.number().int().optional(),
  speed: z.number().min(1).max(1000).optional(),
  resolution: z.number().min(0.0001).max(100).optional(),
  capacity: z.number().min(1).max(100_000).optional(),
  room: celsius.optional(),
})

interface Bench {
  sim: SimBench
  /** When it was advanced last, and when somebody last asked something of it. */
  at: number
  used: number
  streams: Set<{ kind: InstrumentKind; res: Response }>
}

/**
 * Simulated instruments for rehearsing without hardware. `POST /` with a formula sets up a bench; `GET /:id/scale`,
 * `thermometer` and `ph` are endless streams of lines of text; `POST /:id/hands` does something at the bench, and
 * `GET /:id` tells what is really in the beakers. An unplugged instrument ends its stream and answers 204 until it is
 * back. Benches live in memory and are forgotten after half an hour.
 */
export function instruments(now: () => number = Date.now): Router {
  const router = Router()
  const benches = new Map<string, Bench>()

  const advance = (bench: Bench) => {
    const at = now()
    bench.sim.advance((at - bench.at) / 1000)
    bench.at = at
  }
  /** Makes room for one more; false where every bench is being read, and none of those is ever taken away. */
  const sweep = (): boolean => {
    for (const [id, bench] of benches)
      if (bench.streams.size === 0 && now() - bench.used > FORGOTTEN_MS) benches.delete(id)
    const idle = [...benches].filter(([, b]) => b.streams.size === 0).sort((x, y) => x[1].used - y[1].used)
    while (benches.size >= MOST_BENCHES) {
      const oldest = idle.shift()
      if (!oldest) return false
      benches.delete(oldest[0])
    }
    return true
  }
  const find = (req: Request, res: Response): Bench | null => {
    const bench = benches.get(String(req.params['id']))
    if (!bench) {
      res.status(404).json({ error: 'This simulated bench is gone. Set up a new one.' })
      return null
    }
    bench.used = now()
    advance(bench)
    return bench
  }
  const parse = <T>(schema: z.ZodType<T>, req: Request, res: Response): T | null => {
    const parsed = schema.safeParse(req.body)
    if (parsed.success) return parsed.data
    const issue = parsed.error.issues[0]
    res.status(400).json({ error: `${issue?.path.join('.') || 'The request'}: ${issue?.message ?? 'is not understood'}` }) // prettier-ignore
    return null
  }

  router.use(express.json({ limit: '1mb' }))
  router.use((_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store, no-transform')
    next()
  })
  router.post('/', (req, res) => {
    const begin = parse(Begin, req, res)
    if (!begin) return
    if (!sweep()) {
      res.status(503).json({ error: `All ${MOST_BENCHES} simulated benches are in use. Put one away first.` })
      return
    }
    const { formula, ...settings } = begin
    const given = Object.fromEntries(Object.entries(settings).filter(([, v]) => v !== undefined))
    const id = randomUUID()
    benches.set(id, { sim: new SimBench(formula, given), at: now(), used: now(), streams: new Set() })
    res.status(201).json({ id })
  })
  router.get('/:id', (req, res) => {
    const bench = find(req, res)
    if (bench) res.json(bench.sim.truth())
  })
  router.post('/:id/hands', (req, res) => {
    const bench = find(req, res)
    const hand = bench && parse(Hands, req, res)
    if (!bench || !hand) return
    const fault = bench.sim.hand(hand)
    if (fault) {
      res.status(409).json({ error: fault })
      return
    }
    if (hand.do === 'plug' && !hand.in)
      for (const stream of bench.streams) if (stream.kind === hand.instrument) stream.res.end()
    res.json(bench.sim.truth())
  })
  router.get('/:id/:kind', (req, res) => {
    const kind = INSTRUMENTS.find((k) => k === req.params['kind'])
    const bench = find(req, res)
    if (!bench) return
    if (!kind) {
      res.status(404).json({ error: 'There is no such instrument.' })
      return
    }
    if (!bench.sim.plugged[kind]) {
      // nothing is wrong: there is just nothing to read
      res.status(204).end()
      return
    }
    res.type('text/plain')
    res.flushHeaders()
    const stream = { kind, res }
    bench.streams.add(stream)
    const say = () => {
      advance(bench)
      const text = bench.sim.line(kind)
      if (text === null) res.end()
      else res.write(`${text}\r\n`)
    }
    say()
    let since = 0
    const timer = setInterval(() => {
      bench.used = now()
      since += TICK
      if (since >= EVERY[kind]) {
        since = 0
        say()
      } else advance(bench)
    }, TICK)
    const stop = () => {
      clearInterval(timer)
      bench.streams.delete(stream)
    }
    res.once('close', stop)
  })
  // A body that is no JSON gets a sentence, not a page.
  router.use((error: unknown, _req: Request, res: Response, next: express.NextFunction) => {
    if (res.headersSent) next(error)
    else res.status(400).json({ error: 'The request is not understood: it must be JSON of at most 1 MB.' })
  })
  return router
}
