import { PHASE_NAMES } from '../formula/written.ts'
import { assess } from '../assess/assess.ts'
import type { Formula } from '../shapes/formula.ts'
import type { Catalogue } from '../materials/catalogue.ts'
import { ROOM_C } from '../procedure/cooling.ts'
import { phOfModel, toldModel } from '../dosing/model.ts'
import { adjusterKey } from '../dosing/fit.ts'
import { randomOf, type Random } from '../stats/random.ts'
import type { InstrumentKind } from './instruments.ts'
import type { Said } from '../text/said.ts'
import { atResolution } from '../weighing/error.ts'
import type { SimulatedFacts } from './said.ts'

import {
  WATER_HEAT,
  OIL_HEAT,
  LOSS,
  BATH_GAIN,
  EVAPORATES,
  SCALE_TAU,
  THERMOMETER_TAU,
  PROBE_TAU,
  type SimVessel,
  type SimSettings,
  type Hand,
} from './simulated-physics.ts'
export type { SimVessel, SimSettings, Hand } from './simulated-physics.ts'

/**
 * A simulated bench. It knows the formula, so the beaker cools by Newton's law, loses water while it is hot, and has the
 * pH that the solver gives its content, with a charge nobody knows of. Time is given from outside; the same seed and
 * the same hands give the same bench.
 */
/** More vessels than this stand in no kitchen. */
const MOST_VESSELS = 24

export class SimBench {
  readonly vessels = new Map<string, SimVessel>()
  readonly plugged: Record<InstrumentKind, boolean> = { scale: true, thermometer: true, ph: true }
  private readonly formula: Formula
  private readonly catalogue: Catalogue | undefined
  readonly settings: SimSettings
  private onPan: string | null = null
  private probeIn: string | null = null
  private thermometerIn: string | null = null
  private tare = 0
  private shown = 0
  private drift = 0
  private probe = 7
  private sensor: number
  private readonly random: Random
  /** Charge that no recipe tells, mol per kg of water. */
  private readonly hidden: number
  private readonly waterLine: number
  private readonly oily: boolean[]
  private phCache: { key: string; ph: number | null } = { key: '', ph: null }

  constructor(formula: Formula, settings: Partial<SimSettings> = {}, catalogue?: Catalogue) {
    this.formula = formula
    this.catalogue = catalogue
    this.settings = {
      seed: 1,
      speed: 1,
      resolution: formula.scaleResolutionGrams ?? 0.01,
      capacity: 2000,
      room: ROOM_C,
      ...settings,
    }
    this.random = randomOf(this.settings.seed)
    this.sensor = this.settings.room
    const a = assess(formula, catalogue)
    this.waterLine = Math.max(
      0,
      a.lines.findIndex((l) => l.material?.kind === 'water'),
    )
    this.oily = a.lines.map((l) => l.phaseSource.role === 'oil')
    this.hidden = (this.random.uniform() < 0.5 ? -1 : 1) * (0.001 + 0.002 * this.random.uniform())
  }

  vessel(name: string): SimVessel {
    let v = this.vessels.get(name)
    if (!v) {
      v = {
        name,
        tareGrams: Number((60 + 20 * this.vessels.size + 10 * this.random.uniform()).toFixed(2)),
        content: this.oily.map(() => 0),
        doses: [],
        celsius: this.settings.room,
        heatTo: null,
        way: 'air',
        covered: true,
        evaporated: 0,
      }
      this.vessels.set(name, v)
    }
    return v
  }

  static mass(v: SimVessel): number {
    return v.content.reduce((sum, g) => sum + g, 0) + v.doses.reduce((sum, d) => sum + d.grams, 0)
  }

  /** What stands on the pan, grams. */
  private load(): number {
    const v = this.onPan === null ? null : this.vessel(this.onPan)
    return v ? v.tareGrams + SimBench.mass(v) : 0
  }

  /** Lets so many seconds of real time pass. */
  advance(seconds: number) {
    const dt = Math.min(60, Math.max(0, seconds))
    const simulated = dt * this.settings.speed
    const steps = Math.max(1, Math.ceil(simulated / 5))
    for (let i = 0; i < steps; i++) for (const v of this.vessels.values()) this.heat(v, simulated / steps)
    this.drift += this.random.normal() * this.settings.resolution * 0.004 * Math.sqrt(dt)
    this.shown = this.load() + (this.shown - this.load()) * Math.exp(-dt / SCALE_TAU)
    const around = this.thermometerIn === null ? this.settings.room : this.vessel(this.thermometerIn).celsius
    this.sensor = around + (this.sensor - around) * Math.exp(-simulated / THERMOMETER_TAU - dt)
    const ph = this.probeIn === null ? null : this.phOf(this.vessel(this.probeIn))
    if (ph !== null)
      this.probe =
        ph + (this.probe - ph) * Math.exp(-(dt * Math.min(20, Math.max(1, this.settings.speed))) / PROBE_TAU)
  }

  private heat(v: SimVessel, dt: number) {
    const mass = SimBench.mass(v)
    if (mass <= 0) return
    const oil = v.content.reduce((sum, g, i) => sum + (this.oily[i] ? g : 0), 0)
    const capacity = (mass - oil) * WATER_HEAT + oil * OIL_HEAT + 50
    const size = (mass / 100) ** (2 / 3)
    const around = v.way === 'bath' ? Math.min(this.settings.room, 12) : this.settings.room
    if (v.heatTo !== null) {
      const k = (BATH_GAIN * size) / capacity
      v.celsius = v.heatTo + (v.celsius - v.heatTo) * Math.exp(-k * dt)
    } else {
      const k = (LOSS[v.way] * size) / capacity
      v.celsius = around + (v.celsius - around) * Math.exp(-k * dt)
    }
    const water = v.content[this.waterLine] ?? 0
    if (v.celsius > 40 && water > 0) {
      const rate = (EVAPORATES * 10 ** ((v.celsius - 75) / 30) * size) / (v.covered ? 7 : 1) / 60
      const gone = Math.min(water, rate * dt)
      v.content[this.waterLine] = water - gone
      v.evaporated += gone
    }
  }

  /** True pH of what is in a vessel; null where it has none. */
  phOf(v: SimVessel): number | null {
    const key = `${v.content.map((g) => g.toFixed(3)).join(' ')} ${v.doses.map((d) => `${d.key}${d.grams.toFixed(4)}`).join(' ')}`
    if (this.phCache.key === key) return this.phCache.ph
    let index = 0
    const phases = this.formula.phases.map((p) => ({
      ...p,
      lines: p.lines.flatMap((line) => {
        const grams = v.content[index++] ?? 0
        const { percent: _p, grams: _g, fill: _f, ...rest } = line
        return grams > 0 ? [{ ...rest, grams }] : []
      }),
    }))
    phases.push({
      name: PHASE_NAMES.drops,
      role: 'adjust',
      lines: v.doses.map((d) => ({ material: d.key, grams: d.grams, strengthPercent: d.strengthPercent })),
    })
    const { readings: _r, additions: _a, portion: _o, batchGrams: _b, ...rest } = this.formula
    const a = assess({ ...rest, batchGrams: Math.max(0.01, SimBench.mass(v)), phases }, this.catalogue)
    const model = toldModel(a)
    const ph = model ? phOfModel({ ...model, hidden: { ...model.hidden, charge: this.hidden } }).ph : null
    this.phCache = { key, ph }
    return ph
  }

  /** Does something with the hands; why not where that cannot be. */
  hand(h: Hand): Said<SimulatedFacts> | null {
    const named = ['vessel', 'from', 'into'].flatMap((key) => (h as Record<string, unknown>)[key] ?? [])
    const fresh = new Set(named.filter((name) => !this.vessels.has(String(name))))
    if (this.vessels.size + fresh.size > MOST_VESSELS) return { code: 'too-many-vessels', most: MOST_VESSELS }
    switch (h.do) {
      case 'place':
        this.onPan = h.vessel
        this.vessel(h.vessel)
        return null
      case 'clear':
        this.onPan = null
        return null
      case 'pour':
        return this.moveLine(h.line, h.grams)
      case 'take':
        return this.moveLine(h.line, -h.grams)
      case 'water':
        return this.moveLine(this.waterLine, h.grams)
      case 'drip':
        return this.drip(h)
      case 'heat':
        this.vessel(h.vessel).heatTo = h.celsius
        return null
      case 'way':
        this.vessel(h.vessel).way = h.way
        return null
      case 'cover':
        this.vessel(h.vessel).covered = h.covered
        return null
      case 'combine':
        return this.combine(h)
      case 'probe':
        this.probeIn = h.vessel
        return null
      case 'thermometer':
        this.thermometerIn = h.vessel
        return null
      case 'tare':
        this.tare = this.load() + this.drift
        return null
      case 'plug':
        // A scale that comes back takes what stands on it for nothing.
        if (h.in && !this.plugged[h.instrument] && h.instrument === 'scale') this.tare = this.load()
        this.plugged[h.instrument] = h.in
        return null
      case 'speed':
        this.settings.speed = h.speed
        return null
    }
  }

  /** Puts grams of a line into the beaker on the scale, or takes them out. */
  private moveLine(line: number, grams: number): Said<SimulatedFacts> | null {
    if (this.onPan === null) return { code: 'nothing-on-scale' }
    const v = this.vessel(this.onPan)
    if (line < 0 || line >= v.content.length) return { code: 'no-such-line' }
    const next = v.content[line]! + grams
    if (next < -1e-9) return { code: 'not-so-much' }
    this.warmUp(v, Math.max(0, grams))
    v.content[line] = Math.max(0, next)
    return null
  }

  private drip(h: Extract<Hand, { do: 'drip' }>): Said<SimulatedFacts> | null {
    if (this.onPan === null) return { code: 'nothing-on-scale' }
    const key = adjusterKey(h.material)
    if (!key) return { code: 'unknown-adjuster' }
    this.vessel(this.onPan).doses.push({ key, strengthPercent: h.strengthPercent, grams: h.grams })
    return null
  }

  /** Pours one beaker into another; their temperatures mix by mass. */
  private combine(h: Extract<Hand, { do: 'combine' }>): Said<SimulatedFacts> | null {
    if (h.from === h.into) return { code: 'same-vessel' }
    const from = this.vessel(h.from)
    const into = this.vessel(h.into)
    const heavy = SimBench.mass(from) + SimBench.mass(into)
    if (heavy > 0)
      into.celsius = (from.celsius * SimBench.mass(from) + into.celsius * SimBench.mass(into)) / heavy
    into.content = into.content.map((g, i) => g + from.content[i]!)
    into.doses.push(...from.doses)
    into.evaporated += from.evaporated
    into.heatTo = null
    from.content = from.content.map(() => 0)
    from.doses = []
    from.evaporated = 0
    from.heatTo = null
    return null
  }

  private warmUp(v: SimVessel, grams: number) {
    const mass = SimBench.mass(v)
    if (mass + grams > 0) v.celsius = (v.celsius * mass + this.settings.room * grams) / (mass + grams)
  }

  /** What an instrument says now, as one line of text; null while it is unplugged. */
  line(kind: InstrumentKind): string | null {
    if (!this.plugged[kind]) return null
    const d = this.settings.resolution
    if (kind === 'scale') {
      if (this.load() > this.settings.capacity) return 'mass over'
      const moving = Math.abs(this.shown - this.load()) > d * 0.5
      const value = this.shown + this.drift - this.tare + this.random.normal() * d * (moving ? 1 : 0.05)
      const places = Math.max(0, Math.round(-Math.log10(d)))
      return `mass ${atResolution(value, d).toFixed(places)} g ${moving ? 'moving' : 'steady'}`
    }
    if (kind === 'thermometer') {
      const real = this.thermometerIn === null ? this.settings.room : this.vessel(this.thermometerIn).celsius
      const steady = Math.abs(this.sensor - real) < 0.3
      return `temp ${(this.sensor + this.random.normal() * 0.05).toFixed(1)} C ${steady ? 'steady' : 'moving'}`
    }
    const ph = this.probeIn === null ? null : this.phOf(this.vessel(this.probeIn))
    if (ph === null) return 'ph none'
    const steady = Math.abs(this.probe - ph) < 0.02
    return `ph ${(this.probe + this.random.normal() * 0.004).toFixed(2)} ${steady ? 'steady' : 'moving'}`
  }

  /** What is really in each vessel, for rehearsal and tests. */
  truth() {
    return {
      onPan: this.onPan,
      probeIn: this.probeIn,
      plugged: { ...this.plugged },
      speed: this.settings.speed,
      vessels: [...this.vessels.values()].map((v) => ({
        name: v.name,
        tareGrams: v.tareGrams,
        content: [...v.content],
        doses: v.doses.map((d) => ({ ...d })),
        grams: SimBench.mass(v),
        celsius: v.celsius,
        heatTo: v.heatTo,
        way: v.way,
        covered: v.covered,
        evaporated: v.evaporated,
        ph: this.phOf(v),
      })),
    }
  }
}
