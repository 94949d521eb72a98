// A trial in two tabs and on two phones: decided once, ended and opened again, united.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import {
  decided,
  ended,
  reopened,
  reopensUntil,
  uniteTrials,
  withAnswer,
  writeTrial,
  type BatchEvent,
} from '@omblet/core'
import { catalogue, headOfFile, judgeSteps, sittingsOf } from '@omblet/core'
import { beginBatch, getBatch } from '../src/storage/batches'
import { closeStore, openStore } from '../src/storage/db'
import { takeFile } from '../src/storage/files'
import { listVersions, saveFormula } from '../src/storage/formulas'
import { addTrial, Decided, decideTrial, getTrial } from '../src/storage/trials'
import { homeOf, workAt } from '../src/stores/address'
import { toner } from './toner'
import { AT, trialOf } from './trial-pieces'

beforeEach(async () => {
  vi.restoreAllMocks()
  await closeStore()
  globalThis.indexedDB = new IDBFactory()
})
const formula = toner('Quay water')

/** The trial with every score of one person. */
function judged(person: string, value: number) {
  let trial = trialOf()
  const sitting = sittingsOf(trial).find((s) => s.person === person)!
  for (const step of judgeSteps(trial, sitting))
    if (step.kind === 'score') trial = withAnswer(trial, person, sitting.round, step.key, { value }) ?? trial
  return trial
}

describe('a trial', () => {
  it('is decided once: of two decisions at once one stands, with one version', async () => {
    await saveFormula('f', formula, 0, AT)
    await addTrial(ended(trialOf(), AT))
    const decide = (keep: string) =>
      decideTrial(
        't1',
        (here, version) =>
          decided(here, {
            keep,
            because: '',
            next: '',
            at: AT,
            ...(version === undefined ? {} : { version }),
          }),
        { formulaId: 'f', formula: { ...formula, batchGrams: 70 }, name: keep, id: `v-${keep}`, now: AT },
      )
    const both = await Promise.allSettled([decide('a'), decide('b')])
    expect(both.map((r) => r.status)).toEqual(['fulfilled', 'rejected'])
    expect(both[1]).toMatchObject({ reason: expect.any(Decided) as Decided })
    expect((await getTrial('t1'))!.plan.decision).toMatchObject({ keep: 'a', version: 1 })
    expect((await listVersions('f')).map((v) => v.name)).toEqual(['a'])
  })
  it('opens again for 30 days after its end, keeps that its codes were seen, and never once it is decided', () => {
    const over = ended(trialOf(), '2026-11-01T10:00:00.000Z')
    expect(reopensUntil(over)).toBe('2026-12-01T10:00:00.000Z')
    const open = reopened(over, '2026-11-20T10:00:00.000Z')!
    expect(open.plan.endedAt).toBeUndefined()
    expect(open.plan.seen).toEqual([{ from: '2026-11-01T10:00:00.000Z', to: '2026-11-20T10:00:00.000Z' }])
    expect(reopened(over, '2026-12-01T10:00:01.000Z')).toBeNull()
    expect(
      reopened(decided(over, { keep: null, because: '', next: '', at: AT }), '2026-11-02T10:00:00.000Z'),
    ).toBeNull()
  })
  it('judged on two phones is one trial with the answers of both, whichever file comes first', async () => {
    const [ina, bo] = [judged('p1', 3), judged('p2', 7)]
    expect(ina.scores.length).toBeGreaterThan(0)
    await addTrial(ina)
    expect(await takeFile(new Blob([writeTrial(bo)]))).toMatchObject({
      kind: 'trial',
      what: 'more',
      id: 't1',
    })
    const both = (await getTrial('t1'))!
    expect(both.scores).toHaveLength(ina.scores.length + bo.scores.length)
    expect(await takeFile(new Blob([writeTrial(ina)]))).toMatchObject({ what: 'nothing' })
    const told = (t: typeof both) =>
      t.scores.map((s) => `${s.by} ${s.sample} ${s.attribute} ${s.value}`).sort()
    expect(told(uniteTrials(bo, ina)!)).toEqual(told(both))
    // the same question answered otherwise is another course of things
    expect(uniteTrials(ina, judged('p1', 4))).toBeNull()
  })
  it('has a jar begun from its base whole or not at all', async () => {
    await addTrial(trialOf())
    const start: BatchEvent = { n: 0, at: AT, step: null, type: 'start', formula, version: null }
    const got: BatchEvent = { n: 1, at: AT, step: null, type: 'weigh', line: 0, grams: 20 }
    const head = headOfFile(
      { batch: { id: 'b', code: 'Q', name: 'Q', formulaId: null, who: '' }, events: [start, got] },
      catalogue,
    )
    const events = [start, got].map((event) => ({ event, use: null }))
    const trial = {
      id: 't1',
      change: (here: NonNullable<Awaited<ReturnType<typeof getTrial>>>) => ({ ...here, name: 'knows of it' }),
    }
    const add = IDBObjectStore.prototype.add
    let writes = 0
    vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (++writes === 2) throw new DOMException('no room', 'QuotaExceededError')
      return add.apply(this, args)
    })
    await expect(beginBatch(head, { events, trial })).rejects.toThrow('no room')
    expect(await getBatch('b')).toBeNull()
    expect(await (await openStore()).count('events')).toBe(0)
    expect((await getTrial('t1'))!.name).not.toBe('knows of it')
    await beginBatch(head, { events, trial })
    expect((await getBatch('b'))!.events).toHaveLength(2)
    expect((await getTrial('t1'))!.name).toBe('knows of it')
  })
})

describe('the address', () => {
  it('is one: other names of the machine lead home, and work under other ports is known', () => {
    const at = (hostname: string, port = '4180') =>
      homeOf({ protocol: 'http:', hostname, port, pathname: '/ingredients', search: '?x=1' })
    expect(at('127.0.0.1')).toBe('http://localhost:4180/ingredients?x=1')
    expect(at('[::1]', '')).toBe('http://localhost/ingredients?x=1')
    expect(at('localhost')).toBeNull()
    expect(at('192.168.1.7')).toBeNull()
    const cookies = 'a=b; omblet-work-4180=3; omblet-work-4181=12; omblet-work-4182=0; omblet-work-x=1'
    expect(workAt(cookies, '4180')).toEqual([{ port: '4181', records: 12 }])
  })
})
