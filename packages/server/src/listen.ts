import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Express } from 'express'

export const portOf = (server: Server) => (server.address() as AddressInfo).port

/**
 * Listens on a port of `host`, or on one of the next `spare` where it is taken. Rejects with a sentence where none is free.
 */
export function listen(app: Express, port: number, spare: number, host = '127.0.0.1'): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host)
    server.once('listening', () => resolve(server))
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code !== 'EADDRINUSE')
        reject(new Error(`cannot listen on port ${port} of ${host}: ${error.message}`))
      else if (spare > 0) listen(app, port + 1, spare - 1, host).then(resolve, reject)
      else reject(new Error(`port ${port} is in use. Set PORT to a free one.`))
    })
  })
}
