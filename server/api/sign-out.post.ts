import { ok } from '#core/base'
import { SignOut } from '#shared/contracts/accounts'
import { signOut } from '#usecases/accounts/session'
import { handleOpen } from '../http/handle'
import { dropTicket, ticketOf } from '../http/session'

export default handleOpen(SignOut, async ({ deps, event }) => {
  await signOut(deps, ticketOf(event))
  dropTicket(event)
  return ok({ done: true as const })
})
