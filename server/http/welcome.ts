import { getRequestIP } from 'h3'
import type { H3Event } from 'h3'
import { ok } from '#core/base'
import type { Result } from '#core/base'
import type { Me } from '#shared/contracts/accounts'
import type { Refusal } from '#shared/contracts/refusal'
import { whoAmI } from '#usecases/accounts/session'
import type { Asked } from './context'
import { keepTicket } from './session'

interface SignedIn {
  readonly ticket: string
  readonly user: {
    readonly id: Asked['actor']['userId']
    readonly schoolId: Asked['actor']['schoolId']
    readonly role: Asked['actor']['role']
    readonly office: boolean
    readonly name: string
  }
}

/** Keeps a new session in the cookie and says who it is. */
export async function welcome(
  { deps, event, demo }: Omit<Asked, 'actor'>,
  signedIn: Result<SignedIn, Refusal>,
): Promise<Result<Me, Refusal>> {
  if (!signedIn.ok) return signedIn
  const { ticket, user } = signedIn.value
  keepTicket(event, ticket)
  return ok({
    ...(
      await whoAmI(deps, {
        userId: user.id,
        schoolId: user.schoolId,
        role: user.role,
        office: user.office,
        name: user.name,
      })
    ).value,
    demo,
  })
}

/** The address failures are counted by. */
export function addressOf(event: H3Event): string {
  return getRequestIP(event) ?? 'unknown'
}
