import { own as texts } from '#words/server'
import { hostname, networkInterfaces } from 'node:os'
import type { RequestHandler } from 'express'

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** Names by which this machine is reached: itself, and with `lan` its addresses and its name in the network. */
export function ownNames(lan: boolean, host?: string): Set<string> {
  const names = new Set(LOOPBACK)
  if (!lan) return names
  for (const addresses of Object.values(networkInterfaces()))
    for (const { address, family } of addresses ?? [])
      names.add(family === 'IPv6' ? `[${address.split('%')[0]!}]` : address)
  const own = hostname().toLowerCase()
  for (const name of [own, `${own}.local`, ...(host ? [host.toLowerCase()] : [])]) names.add(name)
  return names
}

const nameOf = (host: string) => host.toLowerCase().replace(/:\d+$/, '').replace(/\.$/, '')

/**
 * Answers only those who ask for this machine by a name of its own, so that no page of another site can reach it by a
 * name that it points here, and lets only pages of its own change something.
 */
export function onlyOwn(names: ReadonlySet<string>): RequestHandler {
  return (req, res, next) => {
    const { host, origin } = req.headers
    if (!host || !names.has(nameOf(host))) {
      res.status(403).type('text').send(texts.ombletAnswersOnlyByThe)
      return
    }
    if (origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`) {
      res.status(403).type('text').send(texts.onlyPagesOfOmbletItself)
      return
    }
    next()
  }
}
