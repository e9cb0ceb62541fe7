import { createHmac, randomBytes } from 'node:crypto'
import type { Tickets } from '#ports'

const SHAPE = /^[\w-]{43}$/

/**
 * Tickets of 256 random bits; their ids are HMAC-SHA256 (RFC 2104) with the server's secret, so that a copy of
 * the database opens no session and a new secret ends all of them.
 */
export function sessionTickets(secret: string): Tickets {
  const idOf = (ticket: string) =>
    SHAPE.test(ticket) ? createHmac('sha256', secret).update(ticket).digest('base64url') : null
  return {
    make: () => {
      const ticket = randomBytes(32).toString('base64url')
      return { ticket, id: idOf(ticket) as string }
    },
    idOf,
    markOf: (text) => createHmac('sha256', secret).update(`mark ${text}`).digest('base64url'),
  }
}
