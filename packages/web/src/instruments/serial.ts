import { serial as texts } from '#words/instruments'
import { LineCutter, type SerialSettings } from '@omblet/core'
import type { LineSource } from './port'

/** The part of Web Serial that is used here; browsers that have it are few, and its types come with none. */
interface SerialPort {
  open(options: { baudRate: number; dataBits: number; stopBits: number; parity: string }): Promise<void>
  close(): Promise<void>
  readable: ReadableStream<Uint8Array> | null
  writable: WritableStream<Uint8Array> | null
}
interface Serial extends EventTarget {
  requestPort(): Promise<SerialPort>
  getPorts(): Promise<SerialPort[]>
}
const serial = () => (navigator as Navigator & { serial?: Serial }).serial ?? null

export const hasSerial = () => serial() !== null

/** Asks the maker for a port; null where none was chosen. Must follow a press of a button. */
export const choosePort = async (): Promise<SerialPort | null> =>
  serial()
    ?.requestPort()
    .catch(() => null) ?? null

const ASK_EVERY = 500
const AGAIN = 2000

/** Lines of a serial port; when it is unplugged it is opened again as soon as it is back. */
export function serialPort(port: SerialPort, settings: SerialSettings): LineSource {
  let closed = false
  let reader: ReadableStreamDefaultReader<Uint8Array> | null = null
  return {
    open({ line, link }) {
      const listen = async () => {
        while (!closed) {
          let asking: ReturnType<typeof setInterval> | undefined
          try {
            link('opening')
            const { baudRate, dataBits, stopBits, parity } = settings
            await port.open({ baudRate, dataBits, stopBits, parity })
            link('open')
            const cutter = new LineCutter()
            const decoder = new TextDecoder()
            if (settings.ask && port.writable) {
              const bytes = new TextEncoder().encode(settings.ask.replace(/\\r/g, '\r').replace(/\\n/g, '\n'))
              asking = setInterval(() => {
                const writer = port.writable?.getWriter()
                void writer
                  ?.write(bytes)
                  .catch(() => undefined)
                  .finally(() => writer.releaseLock())
              }, ASK_EVERY)
            }
            reader = port.readable?.getReader() ?? null
            for (;;) {
              const part = await reader?.read()
              if (!part || part.done) break
              for (const text of cutter.cut(decoder.decode(part.value, { stream: true }))) line(text)
            }
          } catch {
            // Unplugged, or held by another program: said below, tried again.
          }
          clearInterval(asking)
          reader?.releaseLock()
          reader = null
          await port.close().catch(() => undefined)
          if (closed) return
          link('lost', texts.noDataFromThePort)
          await new Promise((resolve) => setTimeout(resolve, AGAIN))
        }
      }
      void listen()
    },
    close() {
      closed = true
      void reader?.cancel().catch(() => undefined)
    },
  }
}
