import { streamed as texts } from '#words/instruments'
import { LineCutter } from '@omblet/core'
import type { LineSource } from './port'

const FIRST_WAIT = 400
const LONGEST_WAIT = 4000

/** Lines of an endless text response; where it ends it is asked for again, more and more seldom. */
export function streamed(url: string): LineSource {
  let stop: AbortController | null = null
  return {
    open({ line, link }) {
      const control = new AbortController()
      stop = control
      const listen = async () => {
        let wait = FIRST_WAIT
        while (!control.signal.aborted) {
          try {
            const response = await fetch(url, { signal: control.signal, cache: 'no-store' })
            if (response.ok && response.body) {
              const cutter = new LineCutter()
              const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
              link('open')
              wait = FIRST_WAIT
              for (;;) {
                const { value, done } = await reader.read()
                if (done) break
                for (const text of cutter.cut(value)) line(text)
              }
            } else if (response.status === 404) {
              link('lost', texts.theSimulatedBenchHasEnded)
              return
            }
          } catch {
            if (control.signal.aborted) return
          }
          if (control.signal.aborted) return
          link('lost')
          await new Promise((resolve) => setTimeout(resolve, wait))
          wait = Math.min(LONGEST_WAIT, wait * 1.6)
        }
      }
      link('opening')
      void listen()
    },
    close() {
      stop?.abort()
      stop = null
    },
  }
}
