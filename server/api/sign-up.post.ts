import { SignUp } from '#shared/contracts/accounts'
import { signUp } from '#usecases/accounts/signUp'
import { handleOpen } from '../http/handle'
import { welcome } from '../http/welcome'

export default handleOpen(SignUp, async (asked, { body }) => welcome(asked, await signUp(asked.deps, body)))
