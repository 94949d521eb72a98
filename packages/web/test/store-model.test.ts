// @vitest-environment happy-dom
// Random commands from two tabs against a plain model of what must be in the store after each.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { lotUse, type BatchEvent, type BatchEventBody, type Lot } from '@omblet/core'
import fc from 'fast-check'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { appendEvent, deleteBatch, getBatch } from '../src/storage/batches'
import { listBin, sweepBin, takeFromBin } from '../src/storage/bin'
import { closeStore, openStore } from '../src/storage/db'
import { takeFile, saveBackup } from '../src/storage/files'
import { deleteFormulas, getFormula, saveFormula } from '../src/storage/formulas'
import { changeLot, deleteLot, getLot, saveLot } from '../src/storage/shelf'
import { takeRows, type ShelfRows } from '../src/storage/shelf-rows'
import { disk, done, headOf, iso, makeId, start, watchWrites, type Store, type Tab } from './store-world'
import { toner } from './toner'

const DAY = 864e5
const START = Date.parse('2026-11-26T08:00:00.000Z')
const RUNS = 2000

afterEach(() => vi.restoreAllMocks())

let undo: ShelfRows | null = null
/** What a table took in lately changed, so that taking it back can be foretold. */
let undone: { left: number; supplier: [string, string] } | null = null

type Do = (s: Store) => Promise<void>
const command = (name: string, arb: fc.Arbitrary<Do>) =>
  arb.map((run) => Object.assign(run, { toString: () => name }))
const tab = fc.constantFrom(0 as const, 1 as const)

const read = command(
  'read',
  tab.map((t): Do => async ({ tabs }) => {
    const [formula, lot, batch] = [await getFormula('f'), await getLot('l'), await getBatch('b')]
    tabs[t] = { rev: formula?.rev ?? 0, lot: lot ?? null, events: batch?.events ?? [] }
  }),
)
const edit = command(
  'edit',
  fc.tuple(tab, fc.integer({ min: 50, max: 900 })).map(([t, batchGrams]): Do => async ({ model, tabs }) => {
    const formula = { ...toner('Quay water'), batchGrams }
    await done(
      async () => {
        tabs[t].rev = (await saveFormula('f', formula, tabs[t].rev, iso(model.now))).rev
      },
      () => (model.formula = { batchGrams, rev: tabs[t].rev }),
    )
  }),
)
const weigh = command(
  'weigh',
  fc.tuple(tab, fc.integer({ min: 1, max: 30 })).map(([t, grams]): Do => async ({ model, tabs }) => {
    const { events } = tabs[t]
    const event =
      events.length === 0
        ? start(model.now)
        : ({
            n: events.length,
            at: iso(model.now),
            step: null,
            type: 'weigh',
            line: 0,
            grams,
            lot: 'l',
          } as BatchEvent)
    const next = [...events, event]
    await done(
      () => appendEvent(headOf(next), event, lotUse(events, event as BatchEventBody), events.at(-1)),
      () => {
        tabs[t].events = next
        model.batch = { events: next }
        if (event.type !== 'weigh' || !model.lot) return
        const took = Math.min(model.lot.left, grams)
        model.lot.left -= took
        model.taken.set(event.n, took)
      },
    )
  }),
)
const takeBack = command(
  'take back',
  tab.map((t): Do => async ({ model, tabs }) => {
    const { events } = tabs[t]
    const gone = new Set(events.flatMap((e) => (e.type === 'undo' ? [e.of] : [])))
    const of = events.findLast((e) => e.type === 'weigh' && !gone.has(e.n))
    if (!of) return
    const event = { n: events.length, at: iso(model.now), step: null, type: 'undo', of: of.n } as BatchEvent
    const next = [...events, event]
    await done(
      () => appendEvent(headOf(next), event, lotUse(events, event as BatchEventBody), events.at(-1)),
      () => {
        tabs[t].events = next
        model.batch = { events: next }
        if (model.lot) model.lot.left += model.taken.get(of.n) ?? 0
      },
    )
  }),
)
/** A dialog that was opened earlier is saved: a note, a supplier, or a new count. */
const dialog = command(
  'save dialog',
  fc
    .tuple(tab, fc.constantFrom('note', 'supplier', 'count'), fc.integer({ min: 0, max: 99 }))
    .map(([t, what, n]): Do => async ({ model, tabs }) => {
      const was = tabs[t].lot
      if (!was) return
      const next: Lot = what === 'count' ? { ...was, leftGrams: n } : { ...was, [what]: `${what} ${n}` }
      let clash = false
      await done(
        async () => {
          const saved = await changeLot(was, next, iso(model.now))
          clash = 'clashes' in saved
          tabs[t].lot = 'value' in saved ? saved.value : saved.here
        },
        () => {
          const lot = model.lot!
          if (what === 'count') lot.left = Math.max(0, lot.left + (n - was.leftGrams))
          else {
            const field = what as 'note' | 'supplier'
            const here = lot[field]
            // changed elsewhere meanwhile to something else: nothing is stored
            expect(clash).toBe(here !== (was[field] ?? '') && here !== next[field])
            if (!clash) lot[field] = next[field]!
          }
        },
      )
    }),
)
/** A table that tells what is left and the supplier, and nothing of the note. */
const table = command(
  'table',
  fc.tuple(tab, fc.integer({ min: 0, max: 90 })).map(([t, leftGrams]): Do => async ({ model, tabs }) => {
    const was = tabs[t].lot
    if (!was) return
    const next: Lot = { ...was, leftGrams, supplier: `table ${leftGrams}` }
    const before = model.lot && { ...model.lot }
    await done(
      async () => {
        undo = await takeRows({ materials: [], containers: [], lots: [{ was, next }] }, iso(model.now))
      },
      () => {
        const left = before ? Math.max(0, before.left + (leftGrams - was.leftGrams)) : leftGrams
        model.lot = before
          ? { ...before, left, supplier: next.supplier! }
          : { left, note: was.note ?? '', supplier: next.supplier! }
        undone = before ? { left: before.left - left, supplier: [next.supplier!, before.supplier] } : null
        if (!before) undo = null
      },
    )
  }),
)
const undoTable = command(
  'undo table',
  fc.constant<Do>(async ({ model }) => {
    if (!undo || !undone || !model.lot) return
    const [rows, back] = [undo, undone]
    await done(
      () => takeRows(rows, iso(model.now)),
      () => {
        model.lot!.left = Math.max(0, model.lot!.left + back.left)
        model.lot!.supplier = back.supplier[1]
        undo = undone = null
      },
    )
  }),
)
const remove = command(
  'delete',
  fc.constantFrom('formula', 'batch', 'lot').map((kind): Do => async ({ model }) => {
    const was = model[kind]
    if (!was) return
    let bin: string | null = null
    await done(
      async () => {
        if (kind === 'formula') bin = (await deleteFormulas(['f'], iso(model.now), makeId))[0]!
        else if (kind === 'batch') bin = await deleteBatch('b', iso(model.now), makeId)
        else bin = await deleteLot((await getLot('l'))!, 'Lot', iso(model.now))
      },
      () => {
        model.bin.set(bin!, { kind, was, at: Math.max(model.now, model.latest) })
        model[kind] = null
      },
    )
  }),
)
const bring = command(
  'bring back',
  fc.nat(3).map((i): Do => async ({ model }) => {
    // only into an empty place: what stands there otherwise is put beside it, which other tests look at
    const found = [...model.bin].filter(([, b]) => model[b.kind] === null)[i]
    if (!found) return
    const [id, { kind, was }] = found
    await done(
      () => takeFromBin(id),
      () => {
        model.bin.delete(id)
        Object.assign(model, { [kind]: was })
      },
    )
  }),
)
const backup = command(
  'back up and restore',
  fc.constant<Do>(async ({ model }) => {
    const { blob, unsound } = await saveBackup(iso(model.now))
    expect(unsound).toEqual([])
    const taken = await takeFile(blob)
    if (disk.full) return
    disk.crashAt = Infinity
    if (taken.kind === 'backup')
      expect([taken.restored.added, taken.restored.copies, taken.restored.kept]).toEqual([{}, [], []])
  }),
)
const clock = command(
  'clock',
  fc.constantFrom(1, 20, 40, -365, 365, -1).map((days): Do => async ({ model }) => {
    model.now += days * DAY
  }),
)
const sweep = command(
  'start again',
  fc.constant<Do>(async ({ model, tabs }) => {
    await closeStore()
    await done(
      () => sweepBin(iso(model.now)),
      () => (model.latest = Math.max(model.latest, model.now)),
    )
    for (const record of [...model.bin.keys()]) {
      const here = (await listBin()).some((r) => r.id === record)
      if (here) continue
      // nothing goes before its days are over, by any clock that was ever shown
      expect(model.now - model.bin.get(record)!.at).toBeGreaterThan(30 * DAY)
      model.bin.delete(record)
    }
    for (const t of tabs)
      Object.assign(t, {
        rev: model.formula?.rev ?? 0,
        lot: (await getLot('l')) ?? null,
        events: model.batch?.events ?? [],
      })
  }),
)
const full = command(
  'disk',
  fc.boolean().map((is): Do => async () => {
    disk.full = is
  }),
)
const crash = command(
  'crash',
  fc.nat(4).map((n): Do => async () => {
    disk.crashAt = n
  }),
)

async function holds({ model }: Store) {
  const formula = await getFormula('f')
  expect(formula && { batchGrams: formula.formula.batchGrams, rev: formula.rev }).toEqual(
    model.formula ?? undefined,
  )
  const batch = await getBatch('b')
  expect(batch?.events ?? null).toEqual(model.batch?.events ?? null)
  const lot = await getLot('l')
  expect(lot ? { left: lot.leftGrams, note: lot.note ?? '', supplier: lot.supplier ?? '' } : null).toEqual(
    model.lot,
  )
  const db = await openStore()
  // nothing stands anywhere a second time
  expect(await Promise.all((['formulas', 'batches', 'lots'] as const).map((s) => db.count(s)))).toEqual(
    [model.formula, model.batch, model.lot].map((x) => Number(x !== null)),
  )
  expect((await listBin()).map((r) => r.id).sort()).toEqual([...model.bin.keys()].sort())
}

describe('the store, from two tabs', () => {
  it(`loses, doubles and moves nothing: ${RUNS} runs of random commands`, { timeout: 600_000 }, async () => {
    watchWrites()
    const commands = fc.array(
      fc.oneof(
        { weight: 4, arbitrary: read },
        { weight: 4, arbitrary: edit },
        { weight: 6, arbitrary: weigh },
        { weight: 3, arbitrary: takeBack },
        { weight: 5, arbitrary: dialog },
        { weight: 3, arbitrary: table },
        { weight: 2, arbitrary: undoTable },
        { weight: 3, arbitrary: remove },
        { weight: 3, arbitrary: bring },
        { weight: 1, arbitrary: backup },
        { weight: 2, arbitrary: clock },
        { weight: 2, arbitrary: sweep },
        { weight: 2, arbitrary: full },
        { weight: 2, arbitrary: crash },
      ),
      { minLength: 4, maxLength: 16 },
    )
    await fc.assert(
      fc.asyncProperty(commands, async (list) => {
        Object.assign(disk, { full: false, crashAt: Infinity })
        undo = undone = null
        await closeStore()
        globalThis.indexedDB = new IDBFactory()
        await saveLot({ id: 'l', material: 'propanediol', leftGrams: 60 }, iso(START))
        await sweepBin(iso(START))
        const tabs: [Tab, Tab] = [0, 1].map(() => ({
          rev: 0,
          lot: { id: 'l', material: 'propanediol', leftGrams: 60 },
          events: [],
        })) as never
        const store: Store = {
          model: {
            formula: null,
            batch: null,
            lot: { left: 60, note: '', supplier: '' },
            bin: new Map(),
            taken: new Map(),
            now: START,
            latest: START,
          },
          tabs,
        }
        for (const run of list) {
          store.model.now += 1000
          await run(store)
        }
        Object.assign(disk, { full: false, crashAt: Infinity })
        await holds(store)
      }),
      { numRuns: RUNS },
    )
  })
})
