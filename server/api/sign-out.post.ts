import { ok } from '#core/base'
import { SignOut } from '#shared/contracts/accounts'
import { signOut } from '#usecases/accounts/session'
import { handleOpen } from '../http/handle'
import { dropSession, sessionIdOf } from '../http/session'

export default handleOpen(SignOut, async ({ deps, event }) => {
  await signOut(deps, await sessionIdOf(event))
  dropSession(event)
  return ok({ done: true as const })
})
