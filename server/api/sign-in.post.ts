import { SignIn } from '#shared/contracts/accounts'
import { signIn } from '#usecases/accounts/signIn'
import { handleOpen } from '../http/handle'
import { addressOf, welcome } from '../http/welcome'

export default handleOpen(SignIn, async (asked, { body }) =>
  welcome(asked, await signIn(asked.deps, { ...body, address: addressOf(asked.event) })),
)
