import type { Result } from '#core/base'
import { ok } from '#core/base'
import type { Me } from '#shared/contracts/accounts'
import type { Refusal } from '#shared/contracts/refusal'
import { actorOf, whoAmI } from '#usecases/accounts/session'
import type { Origin } from '#usecases/accounts/doors'
import type { SignedIn } from '#usecases/accounts/signIn'
import type { AskedByAnybody } from './context'
import { keepBrowser } from './origin'
import { keepTicket } from './session'

/** Keeps a new session in the cookie and says who it is. */
export async function welcome(
  { deps, event, demo }: AskedByAnybody,
  { browser }: Origin,
  signedIn: Result<SignedIn, Refusal>,
): Promise<Result<Me, Refusal>> {
  if (!signedIn.ok) return signedIn
  const { ticket } = signedIn.value
  keepTicket(event, ticket)
  if (browser !== null) keepBrowser(event, browser)
  const actor = await actorOf(deps, ticket)
  return actor.ok ? ok({ ...whoAmI(deps, actor.value).value, demo }) : actor
}
