import fc from 'fast-check'
import {
  catalogue,
  LIMITS,
  KINDS,
  SITES,
  METHODS,
  withKeys,
  decided,
  ended,
  planTrial,
  usualAttributes,
  type PlannedTrial,
  type Backup,
  type BatchFile,
  type BatchEvent,
  type Formula,
  type BatchEventBody,
  CONTAINER_KINDS,
  type Container,
  type LabelDesign,
  type Line,
  type Lot,
  type Phase,
} from '../src/index.ts'
import { ROLES, type Custom } from '../src/shapes/formula.ts'

/** Texts as people and accidents write them. */
const words = (most: number) => fc.string({ unit: 'grapheme', maxLength: Math.min(24, most) })
const amount = (max: number) => fc.double({ min: 0, max, noNaN: true })

const anyCustom = fc.record(
  {
    inci: fc.array(words(40), { maxLength: 3 }),
    functions: fc.subarray(['emollient', 'preservative', 'skin conditioning', 'emulsifying']),
    solubility: fc.constantFrom('water', 'oil', ['water', 'glycol']),
    usage: fc.constant({ min: 0.5, max: 4 }),
    ph: fc.constant({ min: 4, max: 7 }),
    charge: fc.constantFrom('nonionic' as const, 'cationic' as const),
    parts: fc.array(
      fc.record({
        material: fc.constantFrom('aqua', 'glycerin', 'sea mist base'),
        percent: fc.double({ min: 0.1, max: 60, noNaN: true }),
      }),
      { maxLength: 3 },
    ),
    acidBase: fc.constant<NonNullable<Custom['acidBase']>>({
      molarMass: 120,
      pKa: [4.2],
      chargeFullyProtonated: 0,
      counterIonCharge: 0,
    }),
  },
  { requiredKeys: [] },
)
const anyLine: fc.Arbitrary<Line> = fc
  .tuple(
    fc.oneof(
      { weight: 6, arbitrary: fc.constantFrom(...catalogue.materials.map((m) => m.id)) },
      { weight: 1, arbitrary: fc.string({ minLength: 1, maxLength: 40 }) },
    ),
    fc.oneof(fc.record({ percent: amount(40) }), fc.record({ grams: amount(100) }), fc.constant({})),
    fc.option(anyCustom, { nil: undefined, freq: 5 }),
    fc.record(
      { note: words(60), strengthPercent: fc.double({ min: 1, max: 100, noNaN: true }) },
      { requiredKeys: [] },
    ),
  )
  .map(([material, given, custom, more]) => ({
    material,
    ...given,
    ...more,
    ...(custom === undefined ? {} : { custom }),
  }))
const anyPhase: fc.Arbitrary<Phase> = fc.record(
  {
    name: words(LIMITS.name),
    role: fc.constantFrom(...ROLES),
    heatToC: fc.integer({ min: 30, max: 90 }),
    belowC: fc.integer({ min: 20, max: 45 }),
    lines: fc.array(anyLine, { maxLength: 4 }),
  },
  { requiredKeys: ['name', 'role', 'lines'] },
)

const anyDesign: fc.Arbitrary<LabelDesign> = fc.record(
  {
    region: fc.constantFrom('EU' as const, 'US' as const, 'CA' as const),
    sheet: fc.constantFrom('a4-21', 'letter-round-12'),
    line: words(120),
    address: words(200),
    content: fc.record({
      amount: fc.double({ min: 1, max: 500, noNaN: true }),
      unit: fc.constantFrom('g' as const, 'ml' as const),
    }),
    mark: fc.constantFrom('gull' as const, 'none' as const),
    qr: fc.boolean(),
    keep: fc.constant({ closedMonths: 4, openedMonths: 2, reason: 'watched' }),
    order: fc.array(words(30), { maxLength: 3 }),
  },
  { requiredKeys: [] },
)

/** Any formula with keys and a method that speaks of them, and fields that nobody here knows. */
export const anyWholeFormula: fc.Arbitrary<Formula> = fc
  .record({
    name: words(LIMITS.name),
    kind: fc.constantFrom(...KINDS),
    site: fc.constantFrom(...SITES),
    phases: fc.array(anyPhase, { maxLength: 4 }),
    batchGrams: fc.double({ min: 1, max: 2000, noNaN: true }),
    hidden: fc.boolean(),
    odd: fc.jsonValue({ maxDepth: 3 }),
    reading: fc.option(fc.record({ ph: amount(14), method: fc.constantFrom(...METHODS) })),
    fill: fc.boolean(),
    label: fc.option(anyDesign),
    goes: fc.array(
      fc.tuple(
        fc.nat(5),
        fc.nat(6),
        fc.constantFrom('before-heat' as const, 'hot' as const, 'cool' as const),
      ),
      { maxLength: 3 },
    ),
  })
  .map(({ name, kind, site, phases, batchGrams, hidden, odd, reading, fill, label, goes }) => {
    const water: Phase = {
      name: 'Water',
      role: 'water',
      heatToC: 70,
      lines: [{ material: 'aqua', ...(fill ? { fill: true } : { percent: 40 }) }],
    }
    const keyed = withKeys({
      format: 'omblet-formula',
      formatVersion: 1,
      name,
      product: { kind, site, rinse: 'leave-on', region: 'EU' },
      batchGrams,
      phases: [...phases, water],
      shelfMark: odd,
      ...(reading ? { readings: [reading] } : {}),
      ...(label ? { label, costing: { containers: 4, hours: 1.5 } } : {}),
    })
    const last = keyed.phases.at(-1)!.id!
    const chosen = new Map(
      goes.map(([from, into, when]) => [from, { into: keyed.phases[into]?.id ?? 'batch', when }]),
    )
    return {
      ...keyed,
      phases: keyed.phases.map((p, i) => (chosen.has(i) ? { ...p, goes: chosen.get(i)! } : p)),
      method: {
        choices: { pouring: 'water-into-oil' as const },
        changes: { [`heat-${last}`]: { title: 'Into the bath', hands: 7 }, fill: { hidden } },
        own: [{ key: 'own-1', title: 'Ring the bell', hands: 1, wait: 0 }],
        order: ['prepare', 'own-1'],
      },
    }
  })

const START = Date.parse('2026-11-26T08:00:00.000Z')

/** Any course that a batch of a small formula can take. */
export const anyBatch: fc.Arbitrary<BatchFile> = fc
  .tuple(
    fc.uuid(),
    anyWholeFormula,
    fc.array(
      fc.tuple(
        fc.constantFrom('weigh', 'take-out', 'ph', 'note', 'temperature', 'done', 'undo', 'wait', 'water'),
        fc.double({ min: 0.01, max: 30, noNaN: true }),
        fc.nat(20),
        words(60),
      ),
      { maxLength: 12 },
    ),
  )
  .map(([id, formula, happenings]): BatchFile => {
    const lines = formula.phases.reduce((sum, p) => sum + p.lines.length, 0)
    let minutes = 0
    const events: BatchEvent[] = []
    const put = (h: BatchEventBody) =>
      events.push({
        n: events.length,
        at: new Date(START + minutes * 60_000).toISOString(),
        step: null,
        ...h,
      } as BatchEvent)
    put({ type: 'start', formula, version: null })
    for (const [type, size, n, text] of happenings) {
      const line = n % lines
      if (type === 'weigh' || type === 'take-out') put({ type, line, grams: size })
      else if (type === 'ph') put({ type, ph: Math.min(14, size), method: 'meter-direct' })
      else if (type === 'note') put({ type, text })
      else if (type === 'temperature') put({ type, celsius: size })
      else if (type === 'done') put({ type: 'step', how: 'done' })
      else if (type === 'water') put({ type, grams: size })
      else if (type === 'undo' && events.length > 1) put({ type, of: 1 + (n % (events.length - 1)) })
      else minutes += Math.round(size)
    }
    const batch = { id, code: `QT-${id.slice(0, 4)}`, name: formula.name, formulaId: null, who: 'Ina' }
    return { batch, events, photos: [] }
  })

const anyLot: fc.Arbitrary<Lot> = fc.record(
  {
    id: fc.uuid(),
    material: fc.constantFrom('glycerin', 'squalane'),
    leftGrams: amount(1000),
    price: amount(50),
    note: words(60),
  },
  { requiredKeys: ['id', 'material', 'leftGrams'] },
)

const anyContainer: fc.Arbitrary<Container> = fc.record(
  {
    id: fc.uuid(),
    name: fc.constantFrom('Amber jar', 'Quay bottle'),
    kind: fc.constantFrom(...CONTAINER_KINDS),
    nominalMl: fc.double({ min: 1, max: 500, noNaN: true }),
    left: fc.nat(500),
    price: amount(5),
    wall: fc.constantFrom('glass' as const, 'pet' as const),
    note: words(60),
  },
  { requiredKeys: ['id', 'name', 'kind', 'nominalMl', 'left'] },
)

/** A trial of a few jars with what was answered so far. */
export const anyTrial: fc.Arbitrary<PlannedTrial> = fc
  .record({
    id: fc.uuid(),
    seed: fc.integer(),
    formulas: fc.array(fc.option(anyWholeFormula), { minLength: 2, maxLength: 3 }),
    people: fc.uniqueArray(fc.constantFrom('Ina', 'Bo', 'Una', 'Ole'), { minLength: 1 }),
    rounds: fc.integer({ min: 1, max: 3 }),
    values: fc.array(fc.integer({ min: 0, max: 10 }), { maxLength: 8 }),
    over: fc.boolean(),
    because: words(60),
  })
  .map(({ id, seed, formulas, people, rounds, values, over, because }) => {
    const trial = planTrial({
      id,
      seed,
      people,
      rounds,
      name: 'Which wax',
      now: '2026-11-26T08:00:00.000Z',
      of: { id: null, name: 'Quay' },
      product: { kind: 'lotion', hair: false },
      varies: 'version',
      what: 'the version',
      batchGrams: 50,
      samples: formulas.map((formula, i) => ({ name: `Jar ${i}`, formula })),
      reference: 0,
      attributes: usualAttributes('lotion'),
      decides: 'spread',
      choosing: [{ kind: 'triangle', a: 0, b: 1 }],
    })
    values.forEach((value, i) => {
      const { id: attribute } = trial.attributes[i % trial.attributes.length]!
      const { id: sample } = trial.samples[i % trial.samples.length]!
      trial.scores.push({ by: 'p1', round: 1 + (i % rounds), sample, attribute, value })
    })
    return over ? decided(ended(trial, AT), { keep: 'a', because, next: '', at: AT }) : trial
  })

const AT = '2026-11-26T08:00:00.000Z'
export const anyBackup: fc.Arbitrary<Backup> = fc
  .record({
    formulas: fc.uniqueArray(fc.tuple(fc.uuid(), anyWholeFormula, fc.option(anyWholeFormula)), {
      maxLength: 2,
      selector: ([id]) => id,
    }),
    lots: fc.uniqueArray(anyLot, { maxLength: 3, selector: (l) => l.id }),
    containers: fc.uniqueArray(anyContainer, { maxLength: 2, selector: (c) => c.id }),
    batches: fc.array(anyBatch, { maxLength: 1 }),
    trials: fc.array(anyTrial, { maxLength: 1 }),
  })
  .map(({ formulas, lots, containers, batches, trials }) => ({
    trials,
    savedAt: AT,
    settings: {},
    formulas: formulas.map(([id, formula, version]) => ({
      id,
      createdAt: AT,
      updatedAt: AT,
      formula,
      ...(version ? { from: `${id}-v` } : {}),
      versions: version
        ? [
            {
              id: `${id}-v`,
              number: 1,
              name: 'first',
              savedAt: AT,
              formula: version,
              reason: 'less wax',
              result: 'sinks in sooner',
              rating: 4,
            },
          ]
        : [],
    })),
    materials: [],
    lots,
    containers,
    stock: lots.map((l) => ({
      id: `lot ${l.id} before`,
      of: 'lot' as const,
      item: l.id,
      amount: l.leftGrams,
      at: AT,
    })),
    changes: [],
    batches,
  }))
