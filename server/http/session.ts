import { deleteCookie, getCookie, setCookie } from 'h3'
import type { H3Event } from 'h3'
import { isSecure } from './origin'

const NAME = 'step-cairn'
const TWO_WEEKS = 60 * 60 * 24 * 14

/** The session's ticket from the cookie, or null. */
export function ticketOf(event: H3Event): string | null {
  return getCookie(event, NAME) ?? null
}

/** Puts a session's ticket into a cookie that scripts cannot read. */
export function keepTicket(event: H3Event, ticket: string): void {
  setCookie(event, NAME, ticket, {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    maxAge: TWO_WEEKS,
    secure: isSecure(event),
  })
}

/** Removes the cookie. */
export function dropTicket(event: H3Event): void {
  deleteCookie(event, NAME, { path: '/' })
}
