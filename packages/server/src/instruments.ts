import { instruments as texts } from '#words/server'
import { simulatedText } from '@omblet/core/words'
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

/** The benches that are set up, in memory. */
class Benches {
  private readonly all = new Map<string, Bench>()
  constructor(private readonly now: () => number) {}

  advance(bench: Bench) {
    const at = this.now()
    bench.sim.advance((at - bench.at) / 1000)
    bench.at = at
  }
  /** Sets one up; null where every bench is being read, and none of those is ever taken away. */
  add(sim: SimBench): string | null {
    for (const [id, bench] of this.all)
      if (bench.streams.size === 0 && this.now() - bench.used > FORGOTTEN_MS) this.all.delete(id)
    const idle = [...this.all].filter(([, b]) => b.streams.size === 0).sort((x, y) => x[1].used - y[1].used)
    while (this.all.size >= MOST_BENCHES) {
      const oldest = idle.shift()
      if (!oldest) return null
      this.all.delete(oldest[0])
    }
    const id = randomUUID()
    this.all.set(id, { sim, at: this.now(), used: this.now(), streams: new Set() })
    return id
  }
  /** The bench that is asked for, as it stands now; says so where it is gone. */
  find(req: Request, res: Response): Bench | null {
    const bench = this.all.get(String(req.params['id']))
    if (!bench) {
      res.status(404).json({ error: texts.thisSimulatedBenchIsGone })
      return null
    }
    bench.used = this.now()
    this.advance(bench)
    return bench
  }
  /** Sends what an instrument says, line by line, until it is unplugged or nobody listens. */
  stream(bench: Bench, kind: InstrumentKind, res: Response) {
    res.type('text/plain')
    res.flushHeaders()
    const stream = { kind, res }
    bench.streams.add(stream)
    const say = () => {
      this.advance(bench)
      const text = bench.sim.line(kind)
      if (text === null) res.end()
      else res.write(`${text}\r\n`)
    }
    say()
    let since = 0
    const timer = setInterval(() => {
      bench.used = this.now()
      since += TICK
      if (since >= EVERY[kind]) {
        since = 0
        say()
      } else this.advance(bench)
    }, TICK)
    res.once('close', () => {
      clearInterval(timer)
      bench.streams.delete(stream)
    })
  }
}

/** What was sent, where it is what was asked for; else says what is wrong with it. */
function parse<T>(schema: z.ZodType<T>, req: Request, res: Response): T | null {
  const parsed = schema.safeParse(req.body)
  if (parsed.success) return parsed.data
  const issue = parsed.error.issues[0]
  res.status(400).json({
    error: `${issue?.path.join('.') || texts.theRequest}: ${issue?.message ?? texts.isNotUnderstood}`,
  })
  return null
}

/**
 * Simulated instruments for rehearsing without hardware. `POST /` with a formula sets up a bench; `GET /:id/scale`,
 * `thermometer` and `ph` are endless streams of lines of text; `POST /:id/hands` does something at the bench, and
 * `GET /:id` tells what is really in the beakers. An unplugged instrument ends its stream and answers 204 until it is
 * back. Benches live in memory and are forgotten after half an hour.
 */
export function instruments(now: () => number = Date.now): Router {
  const router = Router()
  const benches = new Benches(now)

  router.use(express.json({ limit: '1mb' }))
  router.use((_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store, no-transform')
    next()
  })
  router.post('/', (req, res) => {
    const begin = parse(Begin, req, res)
    if (!begin) return
    const { formula, ...settings } = begin
    const given = Object.fromEntries(Object.entries(settings).filter(([, v]) => v !== undefined))
    const id = benches.add(new SimBench(formula, given))
    if (id !== null) res.status(201).json({ id })
    else res.status(503).json({ error: texts.allSimulatedBenchesAreIn(MOST_BENCHES) })
  })
  router.get('/:id', (req, res) => {
    const bench = benches.find(req, res)
    if (bench) res.json(bench.sim.truth())
  })
  router.post('/:id/hands', (req, res) => {
    const bench = benches.find(req, res)
    const hand = bench && parse(Hands, req, res)
    if (!bench || !hand) return
    const refused = bench.sim.hand(hand)
    const fault = refused && simulatedText(refused)
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
    const bench = benches.find(req, res)
    if (!bench) return
    if (!kind) {
      res.status(404).json({ error: texts.thereIsNoSuchInstrument })
      return
    }
    if (!bench.sim.plugged[kind]) {
      // nothing is wrong: there is just nothing to read
      res.status(204).end()
      return
    }
    benches.stream(bench, kind, res)
  })
  // A body that is no JSON gets a sentence, not a page.
  router.use((error: unknown, _req: Request, res: Response, next: express.NextFunction) => {
    if (res.headersSent) next(error)
    else res.status(400).json({ error: texts.theRequestIsNotUnderstood })
  })
  return router
}
