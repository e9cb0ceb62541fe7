import { getCookie, getRequestHost, getRequestProtocol, setCookie } from 'h3'
import type { H3Event } from 'h3'
import ipaddr from 'ipaddr.js'
import proxyaddr from 'proxy-addr'
import type { Origin } from '#usecases/accounts/doors'
import { serverOf } from './context'

const BROWSER = 'step-cairn-browser'
const YEAR = 60 * 60 * 24 * 365

/** From where a request comes, as far as those in between are trusted to say. */
export function originOf(event: H3Event): Origin {
  const { deps, trusts } = serverOf(event)
  return {
    address: networkOf(proxyaddr(event.node.req, trusts)),
    // one that is new here gets a mark, which counts once somebody has signed in with it
    browser: getCookie(event, BROWSER) ?? deps.ids.newId(),
  }
}

/** The mark by which a browser is known again after a sign-in; made where it has none. */
export function keepBrowser(event: H3Event, browser: string): void {
  setCookie(event, BROWSER, browser, {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    maxAge: YEAR,
    secure: isSecure(event),
  })
}

/** Whether the browser speaks to us, or to a trusted proxy before us, over TLS. */
export function isSecure(event: H3Event): boolean {
  return getRequestProtocol(event, { xForwardedProto: isForwarded(event) }) === 'https'
}

/** The host the browser asked, as a trusted proxy or the request itself says. */
export function hostOf(event: H3Event): string {
  return getRequestHost(event, { xForwardedHost: isForwarded(event) })
}

function isForwarded(event: H3Event): boolean {
  const address = event.node.req.socket.remoteAddress
  return address !== undefined && serverOf(event).trusts(address, 0)
}

/** An address as one customer has it: IPv6 is given out by networks of 64 bits. */
export function networkOf(address: string): string {
  if (!ipaddr.isValid(address)) return 'unknown'
  const parsed = ipaddr.process(address)
  if (parsed.kind() === 'ipv4') return parsed.toString()
  return `${(parsed as ipaddr.IPv6).parts.slice(0, 4).join(':')}/64`
}
