import type { Result } from '#core/base'
import { ok } from '#core/base'
import type { Me } from '#shared/contracts/accounts'
import type { Refusal } from '#shared/contracts/refusal'
import { whoAmI } from '#usecases/accounts/session'
import type { Origin } from '#usecases/accounts/doors'
import type { SignedIn } from '#usecases/accounts/signIn'
import type { Asked } from './context'
import { keepBrowser } from './origin'
import { keepTicket } from './session'

/** Keeps a new session in the cookie and says who it is. */
export async function welcome(
  { deps, event, demo }: Omit<Asked, 'actor'>,
  { browser }: Origin,
  signedIn: Result<SignedIn, Refusal>,
): Promise<Result<Me, Refusal>> {
  if (!signedIn.ok) return signedIn
  const { ticket, user } = signedIn.value
  keepTicket(event, ticket)
  if (browser !== null) keepBrowser(event, browser)
  return ok({ ...(await whoAmI(deps, { ...user, userId: user.id })).value, demo })
}
