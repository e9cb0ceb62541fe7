import { deleteCookie, getCookie, getRequestProtocol, getSession, updateSession } from 'h3'
import type { H3Event, SessionConfig } from 'h3'
import { serverOf } from './context'

const NAME = 'step-cairn'
const TWO_WEEKS = 60 * 60 * 24 * 14

function settings(event: H3Event): SessionConfig {
  return {
    name: NAME,
    password: serverOf(event).secret,
    maxAge: TWO_WEEKS,
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      path: '/',
      secure: getRequestProtocol(event, { xForwardedProto: true }) === 'https',
    },
  }
}

/** The session id in the sealed cookie, or null. */
export async function sessionIdOf(event: H3Event): Promise<string | null> {
  if (!getCookie(event, NAME)) return null
  const session = await getSession<{ sid?: string }>(event, settings(event))
  return session.data.sid ?? null
}

/** Puts a session id into the sealed cookie. */
export async function keepSession(event: H3Event, sid: string): Promise<void> {
  await updateSession(event, settings(event), { sid })
}

/** Removes the cookie. */
export function dropSession(event: H3Event): void {
  deleteCookie(event, NAME, { path: '/' })
}
