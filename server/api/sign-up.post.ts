import { SignUp } from '#shared/contracts/accounts'
import { signUp } from '#usecases/accounts/signUp'
import { handleOpen } from '../http/handle'
import { originOf } from '../http/origin'
import { welcome } from '../http/welcome'

export default handleOpen(SignUp, async (asked, { body }) => {
  const origin = originOf(asked.event)
  return welcome(asked, origin, await signUp(asked.deps, { ...body, origin }))
})
