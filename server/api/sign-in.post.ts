import { SignIn } from '#shared/contracts/accounts'
import { signIn } from '#usecases/accounts/signIn'
import { handleOpen } from '../http/handle'
import { originOf } from '../http/origin'
import { welcome } from '../http/welcome'

export default handleOpen(SignIn, async (asked, { body }) => {
  const origin = originOf(asked.event)
  return welcome(asked, origin, await signIn(asked.deps, { ...body, origin }))
})
