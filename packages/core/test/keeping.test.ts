import { sayAge } from '../src/words/index.ts'
import { patchText } from '../src/words/index.ts'
import ICAL from 'ical.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { refusal } from '../src/bench/refuse.ts'
import { refusalText } from '../src/words/index.ts'
import { headOf } from '../src/stability/head.ts'
import type { BatchEventBody } from '../src/batch/events.ts'
import { readFile } from '../src/files/gate.ts'
import { writeBatch } from '../src/files/batch.ts'
import { calendarOf } from '../src/files/calendar.ts'
import { WATCH } from '../src/batch/watch-data.ts'
import { daysUntil, dueObservations, dueOn, openObservations } from '../src/stability/due.ts'
import { historyOf } from '../src/stability/history.ts'
import { patchVerdict } from '../src/stability/patch.ts'
import { mattersOf, proposeWatch } from '../src/stability/plan.ts'
import { stocksWith, whereLotWent } from '../src/stability/recall.ts'
import { observationRows } from '../src/stability/rows.ts'
import { assess, findAll, type Formula } from '../src/index.ts'
import { Making } from './bench-helpers.ts'
import { cream, simple } from './helpers.ts'
import { Kept, toner, lactone, lotion } from './keeping-helpers.ts'

describe('the plan of looks', () => {
  it('asks of each formula what matters for it, with a reason', () => {
    const of = (f: Formula) => {
      const a = assess(f)
      return new Map(mattersOf(a, findAll(a)).map((m) => [m.property, m]))
    }
    const gel = of(toner)
    expect([...gel.keys()]).toEqual(['germs', 'gas', 'smell', 'ph', 'mass', 'pack'])
    expect(of(lactone).get('ph')).toMatchObject({
      pressing: true,
      why: { code: 'drifts' },
    })
    expect([...of(lotion).keys()]).toEqual(expect.arrayContaining(['layer', 'body']))
    const balm = of(
      cream({
        water: [],
        oil: [
          ['shea butter', 60],
          ['squalane', 20],
        ],
      }),
    )
    expect(balm.get('grains')!.pressing).toBe(true)
    const dry = assess({
      ...toner,
      phases: [{ name: 'Oil', role: 'oil', lines: [{ material: 'squalane', percent: 100 }] }],
    })
    expect(mattersOf(dry, []).map((m) => m.property)).not.toEqual(expect.arrayContaining(['ph']))
  })

  it('sets aside no more than a third of a small batch, and nothing for the jar in use', () => {
    const a = assess(lotion)
    for (const filled of [20, 50, 190, 1000]) {
      const p = proposeWatch(a, findAll(a), filled)
      const grams = p.samples.reduce((s, x) => s + (x.grams ?? 0), 0)
      expect(grams).toBeLessThanOrEqual(Math.max(filled / 3, 1) + 1e-9)
      expect(p.samples.find((s) => s.storage === 'use')?.grams).toBeUndefined()
      expect(p.samples.some((s) => s.storage === 'room')).toBe(true)
      expect(p.looks.every((l) => p.samples.some((s) => s.id === l.sample))).toBe(true)
    }
    expect(proposeWatch(a, findAll(a), 190).samples.map((s) => s.storage)).toEqual([
      'room',
      'fridge',
      'frost',
      'warm',
      'use',
    ])
  })

  it('is a week in the fridge, looked at daily, for what nothing preserves', () => {
    const a = assess(simple([['glycerin', 4]]))
    const p = proposeWatch(a, findAll(a), 100)
    expect(p.samples.map((s) => s.storage)).toEqual(['daily'])
    expect(p.looks.map((l) => l.day)).toEqual([1, 2, 3, 4, 5, 6, 7])
  })

  it('reads a lactone on day 3 too, and a plain toner not', () => {
    const days = (f: Formula) => {
      const a = assess(f)
      return proposeWatch(a, findAll(a), 200)
        .looks.filter((l) => l.sample === 'room' && l.properties.includes('ph'))
        .map((l) => l.day)
    }
    expect(days(toner)).toEqual([1, 7, 14, 28, 56, 84])
    expect(days(lactone)).toEqual([1, 3, 7, 14, 28, 56, 84])
  })
})

describe('what is due', () => {
  it('is the last look of each sample whose day has come; an earlier one that was missed is gone', () => {
    const k = new Kept(toner)
    const open = openObservations(k.history)
    const now = new Date(`${dueOn(k.history.filledAt!, 8)}T12:00:00`)
    expect(dueObservations(open, now).map((l) => [l.sample, l.day])).toEqual([
      ['fridge', 1],
      ['room', 7],
      ['warm', 7],
      ['use', 7],
    ])
    expect(dueObservations(open, new Date(`${dueOn(k.history.filledAt!, 0)}T12:00:00`))).toEqual([])
  })

  it('is over when all was answered, or when nobody will look', () => {
    const k = new Kept(toner)
    const room = openObservations(k.history).find((l) => l.sample === 'room')!
    expect(room.day).toBe(1)
    for (const property of room.properties)
      k.after(1).do(
        {
          type: 'observe',
          sample: 'room',
          day: 1,
          property,
          ...(property === 'ph'
            ? { value: 5.4, way: 'meter' }
            : { choice: WATCH.properties[property].choices![0]!.id }),
        } as BatchEventBody,
        'x',
      )
    expect(openObservations(k.history).some((l) => l.sample === 'room' && l.day === 1)).toBe(false)
    k.do({ type: 'pass', sample: 'room', day: 3, reason: 'away' }, 'x')
    expect(openObservations(k.history).find((l) => l.sample === 'room')!.day).toBe(7)
  })

  it('does not go back to what was missed once a later look was made', () => {
    const k = new Kept(toner).after(7).saw('room', 'smell', { choice: 'same' }, 7)
    const room = openObservations(k.history).filter((l) => l.sample === 'room')
    expect(room[0]!.day).toBe(7)
    expect(room[0]!.properties).not.toContain('smell')
  })

  it.each(['UTC', 'Europe/Berlin', 'America/New_York', 'Pacific/Auckland', 'Asia/Kolkata'])(
    'counts days by the calendar, over a change of the clocks too, in %s',
    (zone) => {
      const before = process.env['TZ']
      process.env['TZ'] = zone
      // filled an evening before the clocks change in most of Europe
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 23 }), (day, hour) => {
          const filled = new Date(2026, 9, 20, hour, 30)
          const on = dueOn(filled.toISOString(), day)
          const wanted = new Date(2026, 9, 20 + day)
          expect(on).toBe(
            `${wanted.getFullYear()}-${String(wanted.getMonth() + 1).padStart(2, '0')}-${String(wanted.getDate()).padStart(2, '0')}`,
          )
          expect(daysUntil(on, wanted)).toBe(0)
        }),
      )
      if (before === undefined) delete process.env['TZ']
      else process.env['TZ'] = before
    },
  )

  it('is told in the words of a kitchen', () => {
    expect([0.4, 1, 3, 7, 14, 57, 150].map(sayAge)).toEqual([
      'today',
      '1 day',
      '3 days',
      '1 week',
      '2 weeks',
      '8 weeks',
      '5 months',
    ])
  })
})

describe('answers', () => {
  it('stay as they were given; a correction stands beside and counts instead', () => {
    const k = new Kept(toner).ph(1, 7.4)
    const wrong = k.history.answers.at(-1)!
    k.saw('room', 'ph', { value: 5.4, way: 'meter', corrects: wrong.n })
    const { answers } = k.history
    expect(answers.map((a) => [a.value, a.corrected])).toEqual([
      [7.4, true],
      [5.4, false],
    ])
    expect(k.verdict.grade).toBe('fine')
    expect(observationRows(k.history).map((r) => r.at(-1))).toEqual(['counts', 'no', 'yes'])
  })

  it('are refused where they cannot be one', () => {
    const k = new Kept(toner)
    const why = (h: object) =>
      refusal(k.state, { type: 'observe', sample: 'room', day: 1, ...h } as BatchEventBody)
    expect(why({ property: 'ph', value: 5, way: 'meter' })).toBeNull()
    expect(refusalText(why({ property: 'ph', value: 15, way: 'meter' })!)).toContain('from 0 to 14')
    expect(why({ property: 'ph', value: 5, way: 'flow' })?.code).toBe('wrong-way')
    expect(why({ property: 'ph', value: 5 })?.code).toBe('no-way')
    expect(why({ property: 'smell', choice: 'nice' })?.code).toBe('no-such-answer')
    expect(why({ property: 'smell' })?.code).toBe('no-answer')
    expect(why({ property: 'ph', value: 5, way: 'meter', corrects: 0 })?.code).toBe('other-question')
    expect(
      refusal(k.state, { type: 'observe', sample: 'moon', day: 1, property: 'smell', choice: 'same' })?.code,
    ).toBe('no-such-sample')
    const making = new Making(toner)
    expect(
      refusal(making.state, { type: 'keep', samples: [{ id: 'room', storage: 'room' }], looks: [] })?.code,
    ).toBe('not-finished')
  })

  it('travel in the batch file as text, and come back the same', () => {
    const k = new Kept(lotion).ph(1, 5.4)
    k.saw('frost', 'layer', { choice: 'free' }, 4)
    k.do({ type: 'patch', who: 'IM', consent: true, way: 'once', place: 'left forearm' }, 'x')
    k.do({ type: 'patch-look', of: k.events.length - 1, grade: 1 }, 'x')
    const batch = { id: 'b', code: 'QT-1126', name: 'Quay trial', formulaId: null, who: 'Ina' }
    const read = readFile(writeBatch({ batch, events: k.events, photos: [] }))
    expect(read.kind).toBe('batch')
    const events = read.kind === 'batch' ? read.batch.events : []
    expect(historyOf(events)).toEqual(k.history)
    expect(headOf(batch, k.state).watch).toMatchObject({ grade: 'again', looked: 2 })
  })
})

describe('the calendar file', () => {
  const watched = () => {
    const k = new Kept(toner)
    const batch = { id: 'b1', code: 'QT-1126', name: 'Quay toner; mild, 5 %', formulaId: null, who: '' }
    return { ...batch, watch: headOf(batch, k.state).watch! }
  }
  it('is read back by another’s parser, a whole day each, under ids that stay', () => {
    const b = watched()
    const read = (text: string) =>
      new ICAL.Component(ICAL.parse(text) as never)
        .getAllSubcomponents('vevent')
        .map((e) => new ICAL.Event(e))
    const [once, again] = [read(calendarOf([b])), read(calendarOf([b]))]
    expect(once).toHaveLength(b.watch.open.length)
    expect(once.map((e) => e.uid)).toEqual(again.map((e) => e.uid))
    expect(new Set(once.map((e) => e.uid)).size).toBe(once.length)
    expect(once[0]!.startDate.isDate).toBe(true)
    expect(once[0]!.startDate.toString()).toBe(b.watch.open[0]!.on)
    expect(once[0]!.summary).toContain('Quay toner; mild, 5 %')
  })
  it('holds nothing where nothing is open', () => {
    expect(calendarOf([])).toContain('VCALENDAR')
  })
})

describe('patch tests', () => {
  const test = (looks: { hours: number; grade: number; itches?: boolean }[]) => ({
    n: 1,
    at: '2026-11-26T08:00:00.000Z',
    who: 'IM',
    way: 'once' as const,
    place: '',
    grams: null,
    looks: looks.map((l, i) => ({ n: i + 2, at: '', text: '', itches: false, ...l })),
  })
  it('stop at a clear reaction or an itch that stays, and send to a doctor', () => {
    expect(patchVerdict(test([{ hours: 24, grade: 2 }]))).toMatchObject({ state: 'stop' })
    expect(patchVerdict(test([{ hours: 1, grade: 0, itches: true }])).state).toBe('stop')
    expect(
      patchText(
        patchVerdict(
          test([
            { hours: 24, grade: 1 },
            { hours: 72, grade: 3 },
          ]),
        ),
      ),
    ).toContain('doctor')
    expect(
      patchText(
        patchVerdict(
          test([
            { hours: 24, grade: 1 },
            { hours: 72, grade: 2 },
          ]),
        ),
      ),
    ).toContain('grew')
  })
  it('prove nothing when they stay quiet', () => {
    const quiet = patchVerdict(test([{ hours: 72, grade: 0 }]))
    expect(quiet.state).toBe('quiet')
    expect(patchText(quiet)).toContain('no proof')
    expect(patchVerdict(test([{ hours: 24, grade: 1 }])).state).toBe('open')
  })
})

describe('where a lot went', () => {
  const lot = (id: string, madeFrom?: string[]) => ({
    id,
    material: `m-${id}`,
    leftGrams: 10,
    ...(madeFrom ? { madeFrom } : {}),
  })
  const lots = [lot('a'), lot('stock', ['a']), lot('second', ['stock']), lot('other')]
  it('follows stocks in stocks, and does not run in a circle', () => {
    expect([...stocksWith('a', lots).keys()]).toEqual(['a', 'stock', 'second'])
    expect([...stocksWith('a', [lot('a', ['b']), lot('b', ['a'])]).keys()]).toEqual(['a', 'b'])
  })
  it('finds every batch that holds it, without what was taken back', () => {
    const k = new Making(toner)
    const line = k.line('glycerin')
    k.do({ type: 'weigh', line, grams: 3, lot: 'second' }).do({ type: 'weigh', line, grams: 2, lot: 'a' })
    k.do({ type: 'undo', of: 2 })
    expect(whereLotWent('a', lots, [{ id: 'b', events: k.events }])).toEqual([
      { batch: 'b', grams: 3, by: ['m-stock', 'm-second'] },
    ])
    expect(whereLotWent('other', lots, [{ id: 'b', events: k.events }])).toEqual([])
  })
})
