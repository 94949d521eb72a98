export type Link = 'off' | 'opening' | 'open' | 'lost'

/** Where lines of text come from: a stream of the server, a serial port, anything. */
export interface LineSource {
  /** Begins to listen; what is lost is looked for again until it is closed. */
  open(on: { line: (text: string) => void; link: (link: Link, why?: string) => void }): void
  close(): void
}
