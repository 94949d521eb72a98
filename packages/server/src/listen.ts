import { listen as texts } from '#words/server'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { readdirSync, readFileSync, readlinkSync } from 'node:fs'
import type { Express } from 'express'

export const portOf = (server: Server) => (server.address() as AddressInfo).port

/** Under this path Omblet says that it is Omblet. */
export const WHO = '/who'

/** Whether Omblet answers on this port of this machine. */
async function isOmblet(port: number): Promise<boolean> {
  try {
    const answer = await fetch(`http://localhost:${port}${WHO}`, { signal: AbortSignal.timeout(2000) })
    return ((await answer.json()) as { application?: unknown }).application === 'Omblet'
  } catch {
    return false
  }
}

/** The program that listens on a port, as Linux tells it; null where it does not. */
function holderOf(port: number): string | null {
  try {
    const hex = port.toString(16).toUpperCase().padStart(4, '0')
    const sockets = ['/proc/net/tcp', '/proc/net/tcp6'].flatMap((file) =>
      readFileSync(file, 'utf8')
        .split('\n')
        .map((line) => line.trim().split(/\s+/))
        // local address, state "listening", and the number by which a program holds it
        .flatMap(([, local, , state, , , , , , inode]) =>
          local?.endsWith(`:${hex}`) && state === '0A' ? [`socket:[${inode}]`] : [],
        ),
    )
    for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
      const held = (() => {
        try {
          return readdirSync(`/proc/${pid}/fd`).some((fd) =>
            sockets.includes(readlinkSync(`/proc/${pid}/fd/${fd}`)),
          )
        } catch {
          return false
        }
      })()
      if (held) return `${readFileSync(`/proc/${pid}/comm`, 'utf8').trim()}, process ${pid}`
    }
  } catch {
    // Not every system tells.
  }
  return null
}

/**
 * Listens on a port of `host`, and on no other: under another port the browser would keep what is made apart. Rejects with
 * a sentence that says who holds the port.
 */
export function listen(app: Express, port: number, host = '127.0.0.1'): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host)
    server.once('listening', () => resolve(server))
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE') void whoHolds(port).then((why) => reject(new Error(why)))
      else reject(new Error(texts.cannotListenOnPortOf(port, host, error.message)))
    })
  })
}
async function whoHolds(port: number): Promise<string> {
  if (await isOmblet(port)) return texts.itRunsAlreadyOpenHttp(port)
  const holder = holderOf(port)
  return texts.portIsHeldByStop(port, holder ?? texts.anotherProgram, port)
}
