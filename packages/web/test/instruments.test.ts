// Where lines of instruments come from: an endless response of the server, and a serial port.
import { DEFAULT_SERIAL } from '@omblet/core'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Link, LineSource } from '../src/instruments/port'
import { serialPort } from '../src/instruments/serial'
import { streamed } from '../src/instruments/streamed'
import { eventually } from './patience'

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** Listens to a source and writes down what it tells. */
function listen(source: LineSource) {
  const lines: string[] = []
  const links: (Link | string)[] = []
  source.open({
    line: (text) => lines.push(text),
    link: (link, why) => links.push(why ? `${link}: ${why}` : link),
  })
  return { lines, links }
}
const bytes = (text: string) => new TextEncoder().encode(text)

describe('a streamed instrument', () => {
  it('is read line by line, and looked for again when it ends', async () => {
    vi.useFakeTimers()
    let asked = 0
    vi.stubGlobal('fetch', () => {
      asked++
      if (asked === 2) return Promise.resolve(new Response('', { status: 503 }))
      return Promise.resolve(new Response(asked === 1 ? 'mass 1.00 g steady\r\nmass 2.' : 'mass 3.00 g\r\n'))
    })
    const source = streamed('/instruments/x/scale')
    const heard = listen(source)
    await eventually(() => expect(heard.lines).toEqual(['mass 1.00 g steady']))
    await vi.advanceTimersByTimeAsync(400)
    await vi.advanceTimersByTimeAsync(640)
    await eventually(() => expect(heard.lines).toContain('mass 3.00 g'))
    expect(heard.links.slice(0, 4)).toEqual(['opening', 'open', 'lost', 'lost'])
    source.close()
    const before = asked
    await vi.advanceTimersByTimeAsync(20_000)
    expect(asked).toBe(before)
  })
  it('gives up, saying why, where its bench is gone', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{}', { status: 404 })))
    const heard = listen(streamed('/instruments/x/scale'))
    await eventually(() => expect(heard.links.at(-1)).toMatch(/^lost: .*Set it up again/))
  })
})

describe('a serial port', () => {
  /** A port that gives these texts each time it is opened, and then stops. */
  const port = (texts: string[]) => {
    const asked: object[] = []
    const written: string[] = []
    return {
      asked,
      written,
      open: (options: object) => {
        asked.push(options)
        return Promise.resolve()
      },
      close: () => Promise.resolve(),
      get readable() {
        return new ReadableStream<Uint8Array>({
          start(c) {
            texts.forEach((t) => c.enqueue(bytes(t)))
            c.close()
          },
        })
      },
      writable: new WritableStream<Uint8Array>({
        write: (chunk) => void written.push(new TextDecoder().decode(chunk)),
      }),
    }
  }
  it('is opened with its settings and read however the bytes arrive', async () => {
    const p = port(['  12.', '34 g\r', '\n  12.35 g\r\n'])
    const source = serialPort(p, { ...DEFAULT_SERIAL, baudRate: 4800, parity: 'even' })
    const heard = listen(source)
    await eventually(() => expect(heard.lines).toEqual(['  12.34 g', '  12.35 g']))
    expect(p.asked[0]).toEqual({ baudRate: 4800, dataBits: 8, stopBits: 1, parity: 'even' })
    await eventually(() => expect(heard.links.at(-1)).toMatch(/^lost: .*cable/))
    source.close()
  })
  it('is opened again when it comes back', async () => {
    vi.useFakeTimers()
    const p = port(['1\n'])
    const source = serialPort(p, DEFAULT_SERIAL)
    const heard = listen(source)
    await eventually(() => expect(heard.lines).toHaveLength(1))
    await vi.advanceTimersByTimeAsync(2000)
    await eventually(() => expect(heard.lines).toHaveLength(2))
    source.close()
  })
})
