import { count } from './numbers'
import { capital, sayWho } from '../conflict/words'
import { assertNever } from '#core/base'
import type { AccessRefusal } from '#core/access'
import type { Refusal, WireRefusal } from '#shared/contracts/refusal'
import { sayMoment } from './times'

/** What the words need to know beyond the refusal itself. */
export interface Naming {
  readonly zone?: string
  readonly lesson?: (id: string) => string
}

/** The input field a refusal names, or null. */
export function fieldOf(refusal: Refusal): string | null {
  return 'field' in refusal ? refusal.field : null
}

const WIRE = ['input', 'wire']

/**
 * What everybody may meet, in one plain sentence. What only tries meet is said in tryRefusals.ts, the rest in
 * refusals.ts, which comes with the teachers' frame: it would be a fiftieth of a learner's first page.
 */
export function sayForEveryone(refusal: Refusal, naming: Naming = {}): string {
  const topic = refusal.code.slice(0, refusal.code.indexOf('/'))
  if (topic === 'access') return ofAccess(refusal as AccessRefusal, naming)
  if (WIRE.includes(topic)) return ofWire(refusal as WireRefusal)
  return 'This cannot be done here. Reload the page and try again.'
}

function ofAccess(r: AccessRefusal, { zone }: Naming): string {
  switch (r.code) {
    case 'access/not-signed-in':
      return 'You are signed out. Sign in again to go on.'
    case 'access/denied':
      return 'This is not yours to change. Ask the person who runs it.'
    case 'access/not-found':
      return `This ${r.what} is not there, or not yours to see.`
    case 'access/wrong-sign-in':
      return 'Name and password do not fit together. Check both and try again.'
    case 'access/too-many-tries':
      return (
        'That was often in a short time. Try again ' +
        `${zone ? `from ${sayMoment(r.until, zone)}` : sayWait(r.waitSeconds)}.`
      )
    case 'access/busy':
      return 'Very many people are signing in just now. Try again in a moment.'
    case 'access/sign-in-taken':
      return 'This sign-in name is taken. Choose another.'
    case 'access/unknown-code':
      return 'No class has this code. Check it letter by letter, or ask your teacher.'
    case 'access/joining-closed':
      return 'This class lets nobody in at the moment. Ask your teacher to open it.'
    case 'access/sign-up-closed':
      return 'New schools are not made here. Ask whoever runs this server.'
    case 'access/wrong-invitation':
      return 'This invitation is not known here. Check it, or ask whoever invited you.'
    case 'access/wrong-password':
      return 'This is not your present password. Check it and try again.'
    case 'access/same-password':
      return 'This is the password you have. Choose another.'
    case 'access/must-change-password':
      return 'Choose a password of your own first.'
    case 'access/changed-meanwhile':
      return (
        `${capital(sayWho(r.by))} changed this while you had it open. ` +
        'Reload to see what stands now, then make your change again.'
      )
    default:
      return assertNever(r)
  }
}

function ofWire(r: WireRefusal): string {
  switch (r.code) {
    case 'input/invalid':
      return `${r.field ? `${r.field} ` : 'The input '}${r.problem}.`
    case 'input/too-large':
      return `This is too large to send (at most ${Math.round(r.most / 1000)} kB).`
    case 'input/not-json':
      return 'The request could not be read. Reload the page and try again.'
    case 'wire/foreign-origin':
      return 'This request came from another site and was not carried out.'
    case 'wire/unknown-address':
      return 'There is nothing at this address.'
    case 'wire/cannot-save':
      return 'The server cannot save just now. What you entered is kept here; try again later, and tell who runs it.'
    case 'wire/broken':
      return `Something broke on our side; nothing was changed${r.requestId ? ` (report number ${r.requestId})` : ''}.`
    case 'wire/lost':
      return 'No connection to the server. Check the network; nothing was lost.'
    default:
      return assertNever(r)
  }
}

/** 'in 4 seconds', 'in 3 minutes'. */
function sayWait(seconds: number): string {
  return `in ${seconds < 90 ? count(seconds, 'second') : count(Math.ceil(seconds / 60), 'minute')}`
}
